package app.yellowtab.sample;

import app.yellowtab.model.Bundle;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.Contents;
import app.yellowtab.model.Party;
import app.yellowtab.source.Depot;
import app.yellowtab.source.FoundFolder;
import app.yellowtab.source.Intake;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** The made-up matter Tarn Hollow Orchards Ltd v Brightwick Cold Stores Ltd. The same files come out every time. */
public final class SampleMatter {
    /** Files in this folder of the matter are left in the tray. */
    private static final String UNSORTED = "To be sorted";

    public static final CaseHeading HEADING = new CaseHeading("In the County Court at Aldermere", "AL-2031-00417",
            List.of(new Party("Tarn Hollow Orchards Ltd", "Claimant"), new Party("Brightwick Cold Stores Ltd", "Defendant")),
            "Trial bundle", Optional.of(LocalDate.of(2031, 10, 6)), "Reedmoor & Vale, for the claimant");

    private SampleMatter() {}

    /** Writes the matter's files into a folder, in sub-folders as a practice would keep them. */
    public static void writeFiles(Path folder) throws IOException {
        try {
            SampleFile.all().parallelStream().forEach(file -> write(file, folder.resolve(file.path())));
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
    }

    /**
     * Makes the bundle: most of the matter in the index, the rest in the tray.
     *
     * @param files the folder that {@link #writeFiles} filled
     * @param depot keeps the sources
     */
    public static Bundle bundle(Path files, Depot depot) {
        FoundFolder found = FoundFolder.of(List.of(files), new ArrayList<>()).folders().getFirst();
        Intake.Taken taken = new Intake(depot).bringIn(found, Intake.Progress.NONE, () -> false);
        if (!taken.findings().isEmpty()) throw new IllegalStateException(taken.findings().getFirst().message());
        Contents indexed = new Contents(taken.contents().documents(), taken.contents().sections().stream()
                .filter(section -> !section.title().equals(UNSORTED)).toList());
        return Bundle.EMPTY.withHeading(HEADING).withSources(taken.sources()).withContents(indexed);
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
        String name = file.path().toLowerCase(Locale.ROOT);
        if (name.endsWith(".pdf")) SamplePdf.write(file, target);
        else if (name.endsWith(".jpg")) SamplePictures.photo(file, target);
        else if (name.endsWith(".png")) SamplePictures.chart(target);
        else if (name.endsWith(".tif")) SamplePictures.scans(file, target);
        else Files.writeString(target, file.has("log") ? log() : String.join("\n", file.lines()) + "\n");
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
