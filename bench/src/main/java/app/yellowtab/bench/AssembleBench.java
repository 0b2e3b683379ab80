package app.yellowtab.bench;

import app.yellowtab.assemble.Assembler;
import app.yellowtab.assemble.Progress;
import app.yellowtab.model.Bundle;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.source.FoundFolder;
import app.yellowtab.source.InPlace;
import app.yellowtab.source.Intake;
import java.io.IOException;
import java.io.OutputStream;
import java.lang.management.ManagementFactory;
import java.lang.management.MemoryPoolMXBean;
import java.lang.management.MemoryType;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;

/** The complete bundle beside the bare copying of its bytes, and beside a naive merge, all in one run and in turn. */
final class AssembleBench {
    private static final int ROUNDS = 3;
    private final List<Path> files;
    private final Path output;

    AssembleBench(Corpus corpus, Path output) throws IOException {
        this.files = corpus.write();
        this.output = output;
    }

    /** Measures, and prints medians and ratios. */
    void run() throws IOException {
        try (InPlace place = new InPlace()) {
            Intake.Taken taken = new Intake(place).bringIn(FoundFolder.of(files, new ArrayList<>()), Intake.Progress.NONE, () -> false);
            place.know(taken.sources());
            Plan plan = Planner.plan(Bundle.EMPTY.withSources(taken.sources()).withContents(taken.contents()));
            Figures copy = new Figures("byte copy");
            Figures bundle = new Figures("complete bundle");
            Figures naive = new Figures("naive merge");
            for (int round = 0; round < ROUNDS; round++) {
                copy.measure(round, this::copy);
                bundle.measure(round, () -> Assembler.standard().assemble(plan, place, output, Progress.NONE, () -> false));
                naive.measure(round, this::merge);
            }
            System.out.printf(Locale.ROOT, "%n%,d pages in %,d files, %,d MB%n", plan.pageCount(), files.size(), size() / 1_000_000);
            for (Figures figures : List.of(copy, bundle, naive)) figures.print(copy);
            System.out.printf(Locale.ROOT, "complete bundle to naive merge: %.2f%n", bundle.median() / naive.median());
        } finally {
            Files.deleteIfExists(output);
        }
    }

    private long size() throws IOException {
        long sum = 0;
        for (Path file : files) sum += Files.size(file);
        return sum;
    }

    private void copy() throws IOException {
        try (OutputStream out = Files.newOutputStream(output)) {
            for (Path file : files) Files.copy(file, out);
        }
    }

    /** Every page into one document in memory, saved: what a first program would do. */
    private void merge() throws IOException {
        List<PDDocument> open = new ArrayList<>();
        try (PDDocument merged = new PDDocument()) {
            for (Path file : files) {
                PDDocument source = Loader.loadPDF(file.toFile());
                open.add(source);
                for (PDPage page : source.getPages()) merged.importPage(page);
            }
            merged.save(output.toFile());
        } finally {
            for (PDDocument source : open) source.close();
        }
    }

    /** A piece of work that is measured. */
    @FunctionalInterface
    private interface Work {
        void run() throws IOException;
    }

    /** Seconds and peak heap of one kind of work, round by round. */
    private static final class Figures {
        private final String name;
        private final double[] seconds = new double[ROUNDS];
        private long peakBytes;

        Figures(String name) {
            this.name = name;
        }

        void measure(int round, Work work) throws IOException {
            List<MemoryPoolMXBean> heap = ManagementFactory.getMemoryPoolMXBeans().stream().filter(pool -> pool.getType() == MemoryType.HEAP).toList();
            heap.forEach(MemoryPoolMXBean::resetPeakUsage);
            long begun = System.nanoTime();
            work.run();
            seconds[round] = (System.nanoTime() - begun) / 1e9;
            peakBytes = Math.max(peakBytes, heap.stream().mapToLong(pool -> pool.getPeakUsage().getUsed()).sum());
        }

        double median() {
            double[] sorted = seconds.clone();
            Arrays.sort(sorted);
            return sorted[ROUNDS / 2];
        }

        void print(Figures baseline) {
            System.out.printf(Locale.ROOT, "%-16s %6.2f s   %5.2f times the byte copy   peak heap %,d MB%n", name, median(),
                    median() / baseline.median(), peakBytes / 1_000_000);
        }
    }
}
