package app.yellowtab.bench;

import app.yellowtab.draw.BoundedRenderer;
import app.yellowtab.files.Folders;
import app.yellowtab.finding.Progress;
import app.yellowtab.ink.GreyPicture;
import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.intake.Recognition;
import app.yellowtab.model.Reading;
import app.yellowtab.model.source.Source;
import app.yellowtab.recognise.Languages;
import app.yellowtab.recognise.PageReading;
import app.yellowtab.recognise.ProcessRecogniser;
import app.yellowtab.sample.paper.RehearsalBacks;
import app.yellowtab.sample.paper.RehearsalFile;
import app.yellowtab.sample.paper.RehearsalFile.Packing;
import app.yellowtab.sample.paper.RehearsalPages;
import app.yellowtab.sample.paper.RehearsalScan;
import app.yellowtab.sample.paper.RehearsalScan.Ink;
import app.yellowtab.sample.paper.RehearsalScan.Manner;
import app.yellowtab.sample.paper.RehearsalSheets;
import app.yellowtab.source.InPlace;
import app.yellowtab.source.RecognisedPages;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;

/**
 * Scans whose words are known are recognised: how many words are right, how long it takes, what memory the child processes take;
 * and how sheets lie.
 */
final class RecogniseBench {
    /** Nothing was tuned on pages of this seed. */
    private static final long SEED = 20_311;

    private static final int SHEETS = 8;
    private static final int WIDTH_200_DPI = 1654;
    private static final double MOST_DEGREES = 10;
    private static final double CLOSE_DEGREES = 0.15;

    private final int pages;
    private final Path folder;

    RecogniseBench(int pages, Path folder) {
        this.pages = pages;
        this.folder = folder.resolve("recognise");
    }

    void run() throws IOException {
        Folders.delete(folder);
        Files.createDirectories(folder);
        Path printed = folder.resolve("printed.pdf");
        List<List<String>> truth = RehearsalPages.write(printed, pages, SEED);
        for (int dpi : new int[] {200, 300}) {
            for (boolean dirty : new boolean[] {false, true}) {
                for (Ink ink : new Ink[] {Ink.BLACK_AND_WHITE, Ink.GREY}) {
                    Path scan = folder.resolve("scan.pdf");
                    RehearsalScan.of(printed, scan, new Manner(dpi, ink, dirty ? 1 : 0.2, dirty), SEED);
                    one(scan, truth, dpi + " dpi, " + ink.name().toLowerCase(Locale.ROOT).replace('_', ' ')
                            + (dirty ? ", dirty and askew" : ", clean"));
                }
            }
        }
        otherWays(printed, truth);
        sheets(printed);
        new PostBench(folder).run();
        Folders.delete(folder);
    }

    /** The same pages as other devices deliver and pack them, in black and white or grey as they do. */
    private void otherWays(Path printed, List<List<String>> truth) throws IOException {
        List<BufferedImage> sheets = new ArrayList<>();
        try (PDDocument document = Loader.loadPDF(printed.toFile())) {
            BoundedRenderer renderer = new BoundedRenderer(document);
            for (int page = 0; page < document.getNumberOfPages(); page++)
                sheets.add(RehearsalScan.scanned(renderer.draw(page, WIDTH_200_DPI).image(), 0,
                        new Manner(200, Ink.GREY, 0, false), new Random(SEED)));
        }
        Path scan = folder.resolve("scan.pdf");
        Random random = new Random(SEED);
        RehearsalFile.write(sheets.stream().map(sheet -> RehearsalSheets.faxed(sheet, 200, random)).toList(), Packing.CCITT, 200,
                scan);
        one(scan, truth, "faxed, CCITT");
        RehearsalFile.write(sheets.stream().map(RehearsalSheets::blackAndWhite).toList(), Packing.JBIG2, 200, scan);
        one(scan, truth, "200 dpi, black and white, JBIG2");
        RehearsalFile.write(sheets, Packing.JPEG_2000, 200, scan);
        one(scan, truth, "200 dpi, grey, JPEG 2000");
        RehearsalFile.write(sheets.stream().map(sheet -> RehearsalSheets.photographed(sheet, random)).toList(), Packing.JPEG, 200,
                scan);
        one(scan, truth, "photographed");
    }

    /** How many blank sheets are found, how many others would be lost, and how far off slants are. */
    private static void sheets(Path printed) throws IOException {
        for (int dpi : new int[] {100, 200, 300}) {
            int blank = 0;
            int found = 0;
            int others = 0;
            int lost = 0;
            for (RehearsalBacks.Kind kind : RehearsalBacks.Kind.values()) {
                for (int n = 0; n < SHEETS; n++) {
                    boolean said = PageReading.isBlank(GreyPicture.of(RehearsalBacks.sheet(kind, dpi, SEED + n), dpi));
                    if (kind.isBlank()) blank++;
                    else others++;
                    if (said && kind.isBlank()) found++;
                    if (said && !kind.isBlank()) lost++;
                }
            }
            System.out.printf(Locale.ROOT, "%d dpi: %d of %d blank sheets found, %d of %d others would be lost%n", dpi, found,
                    blank, lost, others);
        }
        Random random = new Random(SEED);
        double most = 0;
        int off = 0;
        int all = 0;
        try (PDDocument document = Loader.loadPDF(printed.toFile())) {
            BoundedRenderer renderer = new BoundedRenderer(document);
            for (int page = 0; page < document.getNumberOfPages(); page++) {
                BufferedImage sheet = renderer.draw(page, WIDTH_200_DPI).image();
                for (int n = 0; n < 4; n++, all++) {
                    double degrees = random.nextDouble() * 2 * MOST_DEGREES - MOST_DEGREES;
                    double wrong = Math.abs(PageReading
                            .slant(GreyPicture
                                    .of(RehearsalScan.scanned(sheet, degrees, new Manner(200, Ink.GREY, 0, true), random), 200))
                            + degrees);
                    most = Math.max(most, wrong);
                    if (wrong > CLOSE_DEGREES) off++;
                }
            }
        }
        System.out.printf(Locale.ROOT, "slants from -10 to 10 degrees: %d of %d within %.2f, furthest off %.2f%n", all - off, all,
                CLOSE_DEGREES, most);
    }

    private void one(Path scan, List<List<String>> truth, String what) throws IOException {
        int threads = Runtime.getRuntime().availableProcessors();
        try (InPlace place = new InPlace(List.of());
                ProcessRecogniser engine = new ProcessRecogniser(Languages.ofUser(), List.of(Languages.ENGLISH))) {
            Source source = new Intake(place, List.of(), Reading.STANDARD)
                    .bringIn(FoundFolder.of(List.of(scan), new ArrayList<>()), Intake.Listener.NONE, () -> false).sources()
                    .getFirst();
            place.know(List.of(source));
            long begun = System.nanoTime();
            Recognition.Done done = new Recognition(place, place.recognisedFolder().orElseThrow(), engine, threads)
                    .read(source.id(), Progress.NONE, () -> false);
            double seconds = (System.nanoTime() - begun) / 1e9;
            double memory = childrenMb();
            place.know(List.of(source.withAbout(source.about().withRecognised(done.list()))));
            RecognisedPages read = RecognisedPages.of(place, source.id()).orElseThrow();
            int right = 0;
            int all = 0;
            for (int page = 1; page <= truth.size(); page++) {
                List<String> words = read.page(page).map(one -> List.of(one.text().text().split("\\s+"))).orElse(List.of());
                right += common(truth.get(page - 1), words);
                all += truth.get(page - 1).size();
            }
            System.out.printf(Locale.ROOT,
                    "%-44s %6.2f %% of %,d words right; %.2f pages a second with %d processes, %,.0f MB in all%n", what,
                    100.0 * right / all, all, truth.size() / seconds, threads, memory);
        }
    }

    /** {@return how many words both have in the same order} */
    private static int common(List<String> truth, List<String> read) {
        int[] before = new int[read.size() + 1];
        for (String word : truth) {
            int[] now = new int[read.size() + 1];
            for (int i = 0; i < read.size(); i++)
                now[i + 1] = word.equals(read.get(i)) ? before[i] + 1 : Math.max(now[i], before[i + 1]);
            before = now;
        }
        return before[read.size()];
    }

    /** {@return the most memory that the child processes had; 0 where the system does not tell} */
    private static double childrenMb() {
        return ProcessHandle.current().descendants().mapToDouble(child -> {
            try {
                return Files.readAllLines(Path.of("/proc", String.valueOf(child.pid()), "status")).stream()
                        .filter(line -> line.startsWith("VmHWM"))
                        .mapToDouble(line -> Double.parseDouble(line.replaceAll("\\D", "")) / 1024).sum();
            } catch (IOException unknown) {
                return 0;
            }
        }).sum();
    }
}
