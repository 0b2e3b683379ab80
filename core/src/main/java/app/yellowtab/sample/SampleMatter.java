package app.yellowtab.sample;

import app.yellowtab.agree.IndexFile;
import app.yellowtab.edit.Edits;
import app.yellowtab.files.NaturalOrder;
import app.yellowtab.finding.FindingException;
import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.Party;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.plan.Planner;
import app.yellowtab.sample.paper.SampleFile;
import app.yellowtab.sample.paper.SamplePictures;
import app.yellowtab.source.Depot;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** The made-up matter Tarn Hollow Orchards Ltd v Brightwick Cold Stores Ltd. The same files come out every time. */
public final class SampleMatter {
    /** Files in this folder of the matter are left in the tray. */
    private static final String UNSORTED = "To be sorted";

    public static final CaseHeading HEADING = new CaseHeading("In the County Court at Aldermere", "AL-2031-00417",
            List.of(new Party("Tarn Hollow Orchards Ltd", "Claimant"), new Party("Brightwick Cold Stores Ltd", "Defendant")),
            "Trial bundle", Optional.of(LocalDate.of(2031, 10, 6)), "Reedmoor & Vale, for the claimant");

    /** How a film begins; there is nothing more in it. */
    private static final byte[] FILM = {0, 0, 0, 20, 'f', 't', 'y', 'p', 'q', 't', ' ', ' ', 0, 0, 0, 0, 'q', 't', ' ', ' '};

    private SampleMatter() {}

    /** Writes the matter's files into a folder, in sub-folders as a practice would keep them. */
    public static void writeFiles(Path folder) throws IOException {
        try {
            List<SampleFile> files = SampleFile.all();
            files.parallelStream().filter(file -> !file.has("copy")).forEach(file -> write(file, folder.resolve(file.path())));
            for (SampleFile file : files)
                if (file.has("copy")) Files.copy(folder.resolve(file.lines().getFirst()), folder.resolve(file.path()));
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
    }

    /** {@return the folders that the matter lies in, in the order of the index; files beside them go under an empty name} */
    public static List<String> folders() throws IOException {
        return SampleFile.all().stream().map(SampleMatter::folder).distinct().sorted(new NaturalOrder()).toList();
    }

    private static String folder(SampleFile file) {
        return file.path().contains("/") ? file.path().substring(0, file.path().indexOf('/')) : "";
    }

    /** Writes the files of one of the {@link #folders}, beside those that were written before. */
    public static void writeFolder(Path into, String name) throws IOException {
        Map<String, SampleFile> all = new HashMap<>();
        for (SampleFile file : SampleFile.all()) all.put(file.path(), file);
        try {
            all.values().parallelStream().filter(file -> folder(file).equals(name))
                    .forEach(
                            file -> write(file.has("copy") ? all.get(file.lines().getFirst()) : file, into.resolve(file.path())));
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
    }

    /** {@return an empty bundle with the matter's heading} */
    public static Bundle begun() {
        return Bundle.EMPTY.withHeading(HEADING);
    }

    /** {@return the edit that adds one of the {@link #folders} to the bundle: to the index, or what is unsorted to the tray} */
    public static UnaryOperator<Bundle> adding(Intake.Taken taken) {
        return bundle -> SampleArranging.arranged(
                Edits.append(Edits.addSources(bundle, taken.sources()), indexed(taken.contents())), indexed(taken.contents()));
    }

    /**
     * Writes the index as it came back from the other side, with what they have changed.
     *
     * @param bundle the matter's, whole
     * @return the file, in the folder
     * @throws FindingException if it cannot be written
     */
    public static Path writeIndexBack(Bundle bundle, Path folder) throws FindingException {
        Path target = folder.resolve("Index, come back from the defendant.xlsx");
        IndexFile.write(Planner.plan(SampleArranging.asTheyWantIt(bundle)), target);
        return target;
    }

    private static Contents indexed(Contents contents) {
        return new Contents(contents.documents(),
                contents.sections().stream().filter(section -> !section.title().equals(UNSORTED)).toList());
    }

    /**
     * Makes the bundle: most of the matter in the index, the rest in the tray.
     *
     * @param files the folder that {@link #writeFiles} filled
     * @param depot keeps the sources
     */
    public static Bundle bundle(Path files, Depot depot) {
        FoundFolder found = FoundFolder.of(List.of(files), new ArrayList<>()).folders().getFirst();
        Intake.Taken taken = new Intake(depot).bringIn(found, Intake.Listener.NONE, () -> false);
        Contents contents = indexed(taken.contents());
        return SampleArranging.arranged(begun().withSources(taken.sources()).withContents(contents), contents);
    }

    private static void write(SampleFile file, Path target) {
        try {
            Files.createDirectories(target.getParent());
            writeContent(file, target);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void writeContent(SampleFile file, Path target) throws IOException {
        switch (file.path().substring(file.path().lastIndexOf('.') + 1).toLowerCase(Locale.ROOT)) {
            case "pdf" -> {
                if (file.has("batch")) SampleBatch.write(file, target);
                else if (file.has("separated")) SampleSeparated.write(file, target);
                else SamplePdf.write(file, target);
            }
            case "jpg" -> SamplePictures.photo(file, target);
            case "png" -> SamplePictures.chart(target);
            case "gif", "bmp" -> SamplePictures.drawing(file, target);
            case "tif" -> SamplePictures.scans(file, target);
            case "docx" -> SampleWord.write(file, target);
            case "rtf" -> SampleTables.writeRtf(file.lines(), target);
            case "odt" -> SampleTables.writeOdt(file.lines(), target);
            case "ods" -> SampleTables.writeOds(file, target);
            case "odp" -> SampleTables.writeOdp(file.lines(), target);
            case "xlsx", "xls" -> SampleTables.writeWorkbook(file, target);
            case "pptx" -> SampleSlides.write(file.lines(), target);
            case "eml" -> SampleMail.writeEml(file, target);
            case "msg" -> SampleMail.writeMsg(file, target);
            case "zip" -> writeZip(file, target);
            case "wav" -> SampleSound.write(target);
            case "mov" -> Files.write(target, FILM);
            default -> Files.writeString(target, file.has("log") ? log() : String.join("\n", file.lines()) + "\n");
        }
    }

    /** Each line of the description is a text file inside: its name, a colon, its words. */
    private static void writeZip(SampleFile file, Path target) throws IOException {
        Map<String, byte[]> parts = new LinkedHashMap<>();
        for (String line : file.lines()) {
            String[] inside = line.split(": ", 2);
            parts.put(inside[0], (inside[1].replace("; ", "\n") + "\n").getBytes(StandardCharsets.UTF_8));
        }
        SampleZip.write(target, parts);
    }

    private static String log() {
        StringBuilder log = new StringBuilder("Brightwick Cold Stores Ltd    Chamber 3    wanted 1.5 C\n\n"
                + "date         hour    measured    mode\n");
        for (int hour = 0; hour < 24 * 9; hour += 2) {
            log.append(String.format(Locale.ROOT, "2030-10-%02d   %02d:00   %5.1f C     %s%n", 5 + hour / 24, hour % 24,
                    SamplePictures.temperature(hour), hour >= 26 && hour < 184 ? "MANUAL" : "auto"));
        }
        return log.toString().replace("\r\n", "\n");
    }
}
