package app.yellowtab.bench;

import app.yellowtab.edit.Edits;
import app.yellowtab.files.Folders;
import app.yellowtab.find.BundleWords;
import app.yellowtab.find.WordFinder;
import app.yellowtab.finding.Progress;
import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Reading;
import app.yellowtab.model.source.Source;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.store.BundleFolder;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;

/**
 * Words found in a bundle, once they have been made ready, beside looking for letters in as much text that lies in the memory.
 */
final class FindBench {
    private static final int ROUNDS = 9;
    /** The window stops when so many hits were found. */
    private static final int MOST = 5_000;

    private final List<Path> files;
    private final Path folder;

    FindBench(Corpus corpus, Path folder) throws IOException {
        this.files = corpus.write();
        this.folder = folder.resolve("find");
    }

    /** Measures, and prints figures and ratios. */
    void run() throws IOException {
        Folders.delete(folder);
        try (BundleFolder place = BundleFolder.create(folder.resolve("bundle"), Bundle.EMPTY)) {
            Intake.Taken taken = new Intake(place, List.of(), Reading.STANDARD).bringIn(FoundFolder.of(files, new ArrayList<>()),
                    Intake.Listener.NONE, () -> false);
            place.know(taken.sources());
            Plan plan = Planner.plan(Edits.append(Edits.addSources(Bundle.EMPTY, taken.sources()), taken.contents()));
            Measure first = Measure.of(() -> learn(new BundleWords(place), taken.sources()));
            BundleWords words = new BundleWords(place);
            Measure again = Measure.of(() -> learn(words, taken.sources()));
            System.out.printf(Locale.ROOT,
                    "%n%,d pages in %,d files: made ready for the first time in %.1f s, from what is kept in %.2f s%n",
                    plan.pageCount(), files.size(), first.seconds(), again.seconds());
            double letters = letters(plan.pageCount());
            for (String sought : List.of("elephant", "line 44 the apples", "File 17,", "apples", "e"))
                search(words, plan, sought, letters);
        }
        Folders.delete(folder);
    }

    private static void learn(BundleWords words, List<Source> sources) throws IOException {
        for (Source source : sources) words.learn(source.id(), () -> false);
    }

    private static void search(BundleWords words, Plan plan, String sought, double letters) {
        List<Double> whole = new ArrayList<>();
        List<Double> firstHit = new ArrayList<>();
        int[] pages = {0};
        for (int round = 0; round < ROUNDS; round++) {
            long begun = System.nanoTime();
            long[] first = {0};
            pages[0] = 0;
            int[] hits = {0};
            words.search(plan, new WordFinder(sought), found -> {
                if (pages[0]++ == 0) first[0] = System.nanoTime();
                hits[0] += found.hits().size();
            }, Progress.NONE, () -> hits[0] >= MOST);
            whole.add((System.nanoTime() - begun) / 1e6);
            firstHit.add(pages[0] == 0 ? Double.NaN : (first[0] - begun) / 1e6);
        }
        System.out.printf(Locale.ROOT,
                "%-20s on %,6d pages: done after %7.1f ms (%.1f times looking for letters), the first after %5.1f ms; medians "
                        + "of %d%n",
                sought, pages[0], median(whole), median(whole) / letters, median(firstHit), ROUNDS);
    }

    /** {@return how long it takes to look for letters that do not stand in as much text, in milliseconds} */
    private static double letters(int pages) {
        String page = "File 12, page 3, line 4: the apples in the middle rows were the worst. ".repeat(44);
        List<String> texts = new ArrayList<>();
        for (int i = 0; i < pages; i++) texts.add(page + i);
        List<Double> times = new ArrayList<>();
        int found = 0;
        for (int round = 0; round < ROUNDS; round++) {
            long begun = System.nanoTime();
            for (String text : texts) if (text.contains("elephant")) found++;
            times.add((System.nanoTime() - begun) / 1e6);
        }
        if (found > 0) throw new IllegalStateException("nothing should be found");
        return median(times);
    }

    private static double median(List<Double> values) {
        List<Double> sorted = new ArrayList<>(values);
        Collections.sort(sorted);
        return sorted.get(sorted.size() / 2);
    }
}
