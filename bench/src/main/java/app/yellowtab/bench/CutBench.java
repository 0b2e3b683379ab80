package app.yellowtab.bench;

import app.yellowtab.cut.ByHand;
import app.yellowtab.cut.Cutter;
import app.yellowtab.cut.Cutting;
import app.yellowtab.cut.PieceNames;
import app.yellowtab.deliver.CutReport;
import app.yellowtab.deliver.PieceFiles;
import app.yellowtab.deliver.Wanted;
import app.yellowtab.files.Folders;
import app.yellowtab.finding.Progress;
import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Comments;
import app.yellowtab.model.Reading;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.cut.CutRules;
import app.yellowtab.model.cut.ValuePlace;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.source.Source;
import app.yellowtab.source.BatchPages;
import app.yellowtab.store.BundleFolder;
import app.yellowtab.words.BatchPage;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.multipdf.Splitter;
import org.apache.pdfbox.pdmodel.PDDocument;

/**
 * A long batch: its words read, rules changed, its pieces written, beside a copy of the same bytes and the PDF library's own
 * splitter, in one run and in turn.
 */
final class CutBench {
    private static final int ROUNDS = 3;
    private static final int PAGES_EACH = 5;

    private final List<Path> files;
    private final Path folder;

    CutBench(Corpus corpus, Path folder) throws IOException {
        this.files = corpus.write();
        this.folder = folder.resolve("cut");
    }

    /** Measures, and prints figures and ratios. */
    void run() throws IOException {
        Folders.delete(folder);
        try (BundleFolder place = BundleFolder.create(folder.resolve("bundle"), Bundle.EMPTY)) {
            Source batch = new Intake(place, List.of(), Reading.STANDARD)
                    .bringIn(FoundFolder.of(files, new ArrayList<>()), Intake.Listener.NONE, () -> false).sources().getFirst();
            place.know(List.of(batch));
            List<BatchPage> pages = new ArrayList<>();
            Measure first = Measure.of(() -> pages.addAll(read(place, batch)));
            Measure again = Measure.of(() -> read(place, batch));
            System.out.printf(Locale.ROOT,
                    "%n%,d pages in one file of %,d MB%nwords, the first time %6.2f s%nwords, kept           %6.2f s%n",
                    batch.pageCount(), batch.bytes() / 1_000_000, first.seconds(), again.seconds());
            rules(pages, batch);
            pieces(pages, batch, place);
        }
        Folders.delete(folder);
    }

    private static List<BatchPage> read(BundleFolder place, Source batch) throws IOException {
        return BatchPages.read(place, batch.id(), false, Progress.NONE, () -> false);
    }

    private static void rules(List<BatchPage> pages, Source batch) {
        List<CutRule> all = List.of(new CutRule.EveryPages(PAGES_EACH, 1),
                new CutRule.WordsFound("page 1", false, false, true, Optional.empty(), false),
                new CutRule.WordsFound("page \\d+0,", true, false, true, Optional.of(new Area(10, 10, 150, 40)), false),
                new CutRule.ValueChanges(new ValuePlace.AfterWords("page", ",")),
                new CutRule.ValueChanges(new ValuePlace.InArea(new Area(10, 10, 150, 30))), new CutRule.NumberingRestarts(),
                new CutRule.SizeChanges(), new CutRule.BlankSheets(true));
        for (CutRule rule : all) {
            CutRules rules = new CutRules(List.of(rule), 1, List.of());
            double most = 0;
            for (int round = 0; round < ROUNDS; round++) {
                long begun = System.nanoTime();
                Cutting cutting = Cutter.cut(pages, rules, ByHand.NONE);
                PieceNames.of(pages, cutting, rules, batch.fileName(), false);
                most = Math.max(most, (System.nanoTime() - begun) / 1e6);
            }
            System.out.printf(Locale.ROOT, "rule changed, longest of %d: %6.1f ms  %s%n", ROUNDS, most,
                    rule.getClass().getSimpleName());
        }
    }

    private void pieces(List<BatchPage> pages, Source batch, BundleFolder place) throws IOException {
        CutRules rules = new CutRules(List.of(new CutRule.EveryPages(PAGES_EACH, 1)), 1, List.of());
        Cutting cutting = Cutter.cut(pages, rules, ByHand.NONE);
        CutReport report = new CutReport(List.of(batch), Batch.of(batch), cutting,
                PieceNames.of(pages, cutting, rules, batch.fileName(), false), List.of(), List.of());
        for (int round = 0; round < ROUNDS; round++) {
            Path ours = folder.resolve("ours-" + round);
            Measure written = Measure.of(() -> new PieceFiles(place, report, pages, Comments.KEPT, Wanted.FILES).write(ours,
                    Progress.NONE, () -> false));
            Path copied = Files.createDirectories(folder.resolve("copied-" + round));
            Measure copy = Measure.of(() -> copy(ours, copied));
            Path split = Files.createDirectories(folder.resolve("split-" + round));
            Measure splitter = Measure.of(() -> split(place.original(batch.id()), split));
            System.out.printf(Locale.ROOT,
                    "%d pieces, %,.1f MB: %6.2f s; a copy of the bytes %6.2f s (%.2f times); the library's splitter %6.2f s, "
                            + "%,.1f MB (%.2f times); most of the heap in use after a collection %,.0f MB, with the splitter "
                            + "%,.0f MB%n",
                    cutting.pieces().size(), bytes(ours) / 1e6,
                    written.seconds(), copy.seconds(), written.seconds() / copy.seconds(), splitter.seconds(), bytes(split) / 1e6,
                    written.seconds() / splitter.seconds(), written.liveBytes() / 1e6, splitter.liveBytes() / 1e6);
            for (Path done : List.of(ours, copied, split)) Folders.delete(done);
        }
    }

    private static long bytes(Path folder) throws IOException {
        try (Stream<Path> all = Files.list(folder)) {
            return all.mapToLong(file -> file.toFile().length()).sum();
        }
    }

    /** Every file is brought to the disk, as a piece is. */
    private static void copy(Path from, Path to) throws IOException {
        List<Path> all;
        try (Stream<Path> listed = Files.list(from)) {
            all = listed.toList();
        }
        for (Path file : all) {
            try (FileChannel out =
                    FileChannel.open(to.resolve(file.getFileName()), StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE)) {
                out.write(ByteBuffer.wrap(Files.readAllBytes(file)));
                out.force(false);
            }
        }
    }

    private static void split(Path file, Path to) throws IOException {
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            Splitter splitter = new Splitter();
            splitter.setSplitAtPage(PAGES_EACH);
            int n = 0;
            for (PDDocument piece : splitter.split(document)) {
                try (piece) {
                    piece.save(to.resolve(++n + ".pdf").toFile());
                }
            }
        }
    }
}
