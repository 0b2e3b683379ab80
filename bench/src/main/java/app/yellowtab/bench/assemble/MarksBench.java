package app.yellowtab.bench.assemble;

import app.yellowtab.assemble.Assembler;
import app.yellowtab.bench.Corpus;
import app.yellowtab.clash.ClashFinder;
import app.yellowtab.edit.number.LineEdits;
import app.yellowtab.edit.number.NumberEdits;
import app.yellowtab.find.BundleWords;
import app.yellowtab.finding.Progress;
import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.ledger.Ledger;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.number.MarkSetting;
import app.yellowtab.model.number.RunningLine;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.picture.PageRenderer;
import app.yellowtab.picture.PictureFiles;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.printed.OldSeries;
import app.yellowtab.source.InPlace;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * A bundle with several marks on every page beside the same with its numbers alone, in turn in one run; and how fast clashes and
 * old numbers are looked for.
 */
public final class MarksBench {
    private static final int ROUNDS = 3;
    private static final int WARM_UPS = 2;
    private static final List<String> LINES =
            List.of("{file}, page {document page} of {document pages}", "{document} · {page} of {pages}", "{section}", "{date}");
    private static final Spot.Column[] COLUMNS = Spot.Column.values();

    private final List<Path> files;
    private final int marks;
    private final Path target;

    public MarksBench(Corpus corpus, int marks, Path folder) throws IOException {
        this.files = corpus.write();
        this.marks = marks;
        this.target = folder.resolve("marked.pdf");
    }

    public void run() throws IOException {
        try (InPlace place = new InPlace(); PageRenderer renderer = new PageRenderer(place, PictureFiles.NONE)) {
            Intake.Taken taken =
                    new Intake(place).bringIn(FoundFolder.of(files, new ArrayList<>()), Intake.Listener.NONE, () -> false);
            place.know(taken.sources());
            Bundle plain = Bundle.EMPTY.withSources(taken.sources()).withContents(taken.contents());
            Bundle marked = marked(plain);
            for (int i = 0; i < 20; i++) Planner.plan(marked);
            System.out.printf(Locale.ROOT, "%n%,d pages; planning with numbers alone %.1f ms, with %d marks %.1f ms%n",
                    Planner.plan(plain).pageCount(), planning(plain), marks, planning(marked));
            List<Double> alone = new ArrayList<>();
            List<Double> all = new ArrayList<>();
            for (int round = -WARM_UPS; round < ROUNDS; round++) {
                double one = assemble(Planner.plan(plain), place);
                double other = assemble(Planner.plan(marked), place);
                if (round < 0) continue;
                alone.add(one);
                all.add(other);
            }
            System.out.printf(Locale.ROOT, "produced with numbers alone %.2f s, with %d marks %.2f s: %.2f times%n",
                    median(alone), marks, median(all), median(all) / median(alone));
            search(marked, place, renderer);
        } finally {
            settle();
        }
    }

    private Bundle marked(Bundle plain) {
        Bundle now = plain;
        if (marks > 1) now = NumberEdits.with(now,
                new Series(new SeriesId("bates"), "TH-000001", new MarkSetting(Spot.OPPOSITE, MarkLook.SERIES)));
        for (int n = 0; n < marks - 2; n++) {
            Spot spot = new Spot(Spot.Row.HEAD, COLUMNS[n % COLUMNS.length], 10, 10 + 6.0 * (n / COLUMNS.length));
            now = NumberEdits.with(now, new RunningLine(new SeriesId("line " + n), new MarkSetting(spot, MarkLook.LINE),
                    LineEdits.read(LINES.get(n % LINES.size()))));
        }
        return now;
    }

    private static double planning(Bundle bundle) {
        List<Double> times = new ArrayList<>();
        for (int i = 0; i < 9; i++) {
            long begun = System.nanoTime();
            Planner.plan(bundle);
            times.add((System.nanoTime() - begun) / 1e6);
        }
        return times.stream().sorted().toList().get(times.size() / 2);
    }

    private double assemble(Plan plan, InPlace place) throws IOException {
        settle();
        long begun = System.nanoTime();
        Assembler.standard().assemble(plan, place, target, Progress.NONE, () -> false);
        return (System.nanoTime() - begun) / 1e9;
    }

    private static void search(Bundle bundle, InPlace place, PageRenderer renderer) {
        Plan plan = Planner.plan(bundle);
        BundleWords words = new BundleWords(place);
        long begun = System.nanoTime();
        int old = OldSeries.in(bundle, plan, words, () -> false).size();
        double first = (System.nanoTime() - begun) / 1e9;
        ClashFinder finder = new ClashFinder(words, renderer);
        AtomicInteger clashes = new AtomicInteger();
        begun = System.nanoTime();
        finder.all(plan, bundle.sourcesById(), found -> clashes.addAndGet(found.size()), Progress.NONE, () -> false);
        double search = (System.nanoTime() - begun) / 1e9;
        begun = System.nanoTime();
        finder.all(plan, bundle.sourcesById(), found -> {}, Progress.NONE, () -> false);
        double again = (System.nanoTime() - begun) / 1e9;
        System.out.printf(Locale.ROOT,
                "old numbers: %d series, %.0f pages a second (their words are read for it); clashes: %d, %.0f pages a second, "
                        + "%.0f once the pages are known%n",
                old, plan.pageCount() / first, clashes.get(), plan.pageCount() / search, plan.pageCount() / again);
    }

    private void settle() throws IOException {
        Files.deleteIfExists(target);
        Files.deleteIfExists(Ledger.beside(target));
    }

    private static double median(List<Double> times) {
        return times.stream().sorted(Comparator.naturalOrder()).toList().get(times.size() / 2);
    }
}
