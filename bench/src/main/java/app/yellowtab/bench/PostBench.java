package app.yellowtab.bench;

import app.yellowtab.cut.ByHand;
import app.yellowtab.cut.Cutter;
import app.yellowtab.cut.Cutting;
import app.yellowtab.draw.BoundedRenderer;
import app.yellowtab.facts.SheetState.DarkEdges;
import app.yellowtab.finding.Progress;
import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.intake.Recognition;
import app.yellowtab.model.Reading;
import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.cut.CutRules;
import app.yellowtab.model.source.Source;
import app.yellowtab.recognise.Languages;
import app.yellowtab.recognise.ProcessRecogniser;
import app.yellowtab.sample.paper.RehearsalFile;
import app.yellowtab.sample.paper.RehearsalFile.Packing;
import app.yellowtab.sample.paper.RehearsalPost;
import app.yellowtab.sample.paper.RehearsalScan;
import app.yellowtab.sample.paper.RehearsalScan.Ink;
import app.yellowtab.sample.paper.RehearsalScan.Manner;
import app.yellowtab.sample.paper.RehearsalSheets;
import app.yellowtab.source.BatchPages;
import app.yellowtab.source.InPlace;
import app.yellowtab.words.BatchPage;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;

/** A pile of post is scanned and read: how many of its first pages are found; and what is found on dark edges and spreads. */
final class PostBench {
    /** Nothing was tuned on piles of this seed. */
    private static final long SEED = 20_317;
    private static final int DOCUMENTS = 100;
    private static final int DPI = 200;
    private static final int WIDTH_PX = 1654;
    private static final int[] PERCENTS = {30, 40, 50, 60, 70, 80};
    private static final double CLOSE_MM = 1;
    private static final double EDGE_MM = 8;
    private static final double CLOSE_SHARE = 0.02;
    private static final int SHEETS = 4;
    private static final int GROUPS = 5;

    private final Path folder;

    PostBench(Path folder) {
        this.folder = folder;
    }

    void run() throws IOException {
        firstPages();
        int[] edges = new int[2];
        int[] shadows = new int[2];
        int[] margins = new int[2];
        int[] singles = new int[2];
        // A few at a time: the benchmarks have little memory.
        for (int first = 0; first < GROUPS * SHEETS; first += SHEETS) {
            List<BufferedImage> sheets = sheets(first);
            count(read(sheets, sheet -> RehearsalSheets.onDark(sheet, DPI, EDGE_MM, 0)), edges,
                    page -> isClose(page.state().edges()));
            count(read(spreads(sheets, true), UnaryOperator.identity()), shadows,
                    page -> Math.abs(page.state().foldShare() - 0.5) < CLOSE_SHARE);
            count(read(spreads(sheets, false), UnaryOperator.identity()), margins,
                    page -> Math.abs(page.state().foldShare() - 0.5) < CLOSE_SHARE);
            count(read(sheets, UnaryOperator.identity()), singles,
                    page -> page.state().foldShare() > 0 || !page.state().edges().areNone());
        }
        System.out.printf(Locale.ROOT, "dark edges: all four of %d of %d pages within %.0f mm%n", edges[0], edges[1], CLOSE_MM);
        System.out.printf(Locale.ROOT, "spreads with the shadow of a fold: %d of %d found; without: %d of %d%n", shadows[0],
                shadows[1], margins[0], margins[1]);
        System.out.printf(Locale.ROOT, "single pages without dark edges: %d of %d taken for something else%n", singles[0],
                singles[1]);
    }

    private static void count(List<BatchPage> pages, int[] counts, Predicate<BatchPage> test) {
        counts[0] += (int) pages.stream().filter(test).count();
        counts[1] += pages.size();
    }

    private static boolean isClose(DarkEdges edges) {
        return DoubleStream.of(edges.leftMm(), edges.topMm(), edges.rightMm(), edges.bottomMm())
                .allMatch(mm -> Math.abs(mm - EDGE_MM) <= CLOSE_MM);
    }

    private List<BufferedImage> sheets(int first) throws IOException {
        List<BufferedImage> sheets = new ArrayList<>();
        try (PDDocument document = Loader.loadPDF(folder.resolve("post.pdf").toFile())) {
            BoundedRenderer renderer = new BoundedRenderer(document);
            for (int page = first; page < first + SHEETS; page++) sheets.add(RehearsalScan
                    .scanned(renderer.draw(page, WIDTH_PX).image(), 0, new Manner(DPI, Ink.GREY, 0, false), new Random(SEED)));
        }
        return sheets;
    }

    private static List<BufferedImage> spreads(List<BufferedImage> sheets, boolean shadow) {
        List<BufferedImage> spreads = new ArrayList<>();
        for (int i = 0; i + 1 < sheets.size(); i += 2)
            spreads.add(RehearsalSheets.spread(sheets.get(i), sheets.get(i + 1), DPI, shadow));
        return spreads;
    }

    private void firstPages() throws IOException {
        Path printed = folder.resolve("post.pdf");
        Path scan = folder.resolve("post-scan.pdf");
        List<Integer> firsts = RehearsalPost.write(printed, DOCUMENTS, SEED);
        RehearsalScan.of(printed, scan, new Manner(DPI, Ink.BLACK_AND_WHITE, 0.6, true), SEED);
        List<BatchPage> pages = read(scan);
        for (int percent : PERCENTS) {
            CutRules rule = new CutRules(List.of(new CutRule.FirstPages(percent)), 1, List.of());
            List<Integer> cut = Cutter.cut(pages, rule, ByHand.NONE).pieces().stream().map(Cutting.Piece::first)
                    .filter(page -> page > 1).toList();
            double right = cut.stream().filter(firsts::contains).count();
            System.out.printf(Locale.ROOT,
                    "first pages of %d documents on %d pages, sure to %d %%: precision %.3f, recall %.3f%n", DOCUMENTS,
                    pages.size(), percent, right / cut.size(), right / (firsts.size() - 1));
        }
    }

    private List<BatchPage> read(List<BufferedImage> sheets, UnaryOperator<BufferedImage> change) throws IOException {
        Path scan = folder.resolve("sheets.pdf");
        RehearsalFile.write(IntStream.range(0, sheets.size()).mapToObj(i -> change.apply(sheets.get(i))).toList(), Packing.JPEG,
                DPI, scan);
        return read(scan);
    }

    private static List<BatchPage> read(Path scan) throws IOException {
        try (InPlace place = new InPlace(List.of());
                ProcessRecogniser engine = new ProcessRecogniser(Languages.ofUser(), List.of(Languages.ENGLISH))) {
            Source source = new Intake(place, List.of(), Reading.STANDARD)
                    .bringIn(FoundFolder.of(List.of(scan), new ArrayList<>()), Intake.Listener.NONE, () -> false).sources()
                    .getFirst();
            place.know(List.of(source));
            Recognition.Done done = new Recognition(place, place.recognisedFolder().orElseThrow(), engine,
                    Runtime.getRuntime().availableProcessors()).read(source.id(), Progress.NONE, () -> false);
            place.know(List.of(source.withAbout(source.about().withRecognised(done.list()))));
            return BatchPages.read(place, source.id(), false, Progress.NONE, () -> false);
        }
    }
}
