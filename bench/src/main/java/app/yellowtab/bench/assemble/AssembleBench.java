package app.yellowtab.bench.assemble;

import app.yellowtab.assemble.Assembler;
import app.yellowtab.assemble.Delivery;
import app.yellowtab.bench.Corpus;
import app.yellowtab.bench.Measure;
import app.yellowtab.finding.Progress;
import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.ledger.Ledger;
import app.yellowtab.ledger.LedgerPlace;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Volumes;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.source.InPlace;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/** The complete bundle beside the bare copying of its bytes, and beside a naive merge, all in one run and in turn. */
public final class AssembleBench {
    private static final int ROUNDS = 3;
    private static final int VOLUMES = 3;
    /**
     * So often all is assembled before it is measured, so that it is not the compiler that is measured; the first time is told
     * apart.
     */
    private static final int WARM_UPS = 4;
    private final List<Path> files;
    private final Path folder;
    private final List<Measure> copies = new ArrayList<>();
    private final List<Measure> safeCopies = new ArrayList<>();
    private final List<Measure> bundles = new ArrayList<>();
    private final List<Measure> volumes = new ArrayList<>();
    private final List<Measure> merges = new ArrayList<>();

    /** @param folder for what is written; each kind of work has a file of its own there, which is gone before it begins */
    public AssembleBench(Corpus corpus, Path folder) throws IOException {
        this.files = corpus.write();
        this.folder = folder;
    }

    /** Measures, and prints medians and ratios. */
    public void run() throws IOException {
        try (InPlace place = new InPlace(); NaiveMerge naive = new NaiveMerge(files, folder.resolve("naive.pdf"))) {
            Bundle bundle = bundle(files, place);
            Plan plan = Planner.plan(bundle);
            Plan divided = Planner.plan(bundle.withLayout(bundle.layout().withVolumes(
                    Volumes.atMost(Volumes.Division.PAGES, plan.pageCount() / VOLUMES + plan.pageCount() / 50))));
            Measure cold = Measure.of(() -> assemble(plan, place));
            for (int i = 1; i < WARM_UPS; i++) {
                settle();
                assemble(plan, place);
            }
            copy(false);
            settle();
            naive.merge();
            for (int round = 0; round < ROUNDS; round++) {
                settle();
                copies.add(Measure.of(() -> copy(false)));
                settle();
                safeCopies.add(Measure.of(() -> copy(true)));
                settle();
                bundles.add(Measure.of(() -> assemble(plan, place)));
                settle();
                volumes.add(Measure.of(() -> assemble(divided, place)));
                settle();
                double[] merged = naive.merge();
                merges.add(new Measure(merged[0], merged[1], merged[1]));
            }
            System.out.printf(Locale.ROOT, "%n%,d pages in %,d files, %,d MB; heap of the bundle at most %,d MB%n",
                    plan.pageCount(), files.size(),
                    size() / 1_000_000, Runtime.getRuntime().maxMemory() / 1_000_000);
            print("byte copy", copies);
            print("the same, on disk", safeCopies);
            print("complete bundle", bundles);
            print(divided.parting().volumes().size() + " volumes of it", volumes);
            print("naive merge", merges);
            System.out.printf(Locale.ROOT, "volumes to one file: %.2f%n", median(volumes) / median(bundles));
            System.out.printf(Locale.ROOT, "complete bundle, the first time in a new program: %.2f s%n", cold.seconds());
            System.out.printf(Locale.ROOT,
                    "complete bundle to naive merge: %.2f; %.0f microseconds a page; most of the heap in use after a "
                            + "collection: %,.0f MB%n",
                    median(bundles) / median(merges), median(bundles) * 1e6 / plan.pageCount(),
                    bundles.stream().mapToDouble(Measure::liveBytes).max().orElse(0) / 1e6);
        } finally {
            settle();
        }
    }

    private static Bundle bundle(List<Path> files, InPlace place) {
        Intake.Taken taken =
                new Intake(place).bringIn(FoundFolder.of(files, new ArrayList<>()), Intake.Listener.NONE, () -> false);
        place.know(taken.sources());
        return Bundle.EMPTY.withSources(taken.sources()).withContents(taken.contents());
    }

    private void assemble(Plan plan, InPlace place) throws IOException {
        Assembler.standard().deliver(Delivery.screen(plan, folder.resolve("bundle.pdf"), LedgerPlace.BESIDE), place,
                Progress.NONE, () -> false);
    }

    /** Deletes what was written, so that no work pays for the disk's catching up with the one before. */
    private void settle() throws IOException {
        Path bundle = folder.resolve("bundle.pdf");
        for (Path file : List.of(bundle, Ledger.beside(bundle), folder.resolve("copy"), folder.resolve("naive.pdf")))
            Files.deleteIfExists(file);
        try (DirectoryStream<Path> divided = Files.newDirectoryStream(folder, "bundle (volume *")) {
            for (Path file : divided) Files.delete(file);
        }
    }

    private long size() throws IOException {
        long sum = 0;
        for (Path file : files) sum += Files.size(file);
        return sum;
    }

    /** @param onDisk whether it lasts until the disk has it, as a bundle does, or leaves that to the system for later */
    private void copy(boolean onDisk) throws IOException {
        try (FileChannel channel =
                FileChannel.open(folder.resolve("copy"), StandardOpenOption.CREATE, StandardOpenOption.WRITE)) {
            OutputStream out = Channels.newOutputStream(channel);
            for (Path file : files) Files.copy(file, out);
            if (onDisk) channel.force(false);
        }
    }

    private static double median(List<Measure> measures) {
        return measures.stream().map(Measure::seconds).sorted(Comparator.naturalOrder()).toList().get(ROUNDS / 2);
    }

    private void print(String name, List<Measure> measures) {
        System.out.printf(Locale.ROOT, "%-18s %6.2f s   %5.2f times the byte copy, %5.2f on disk   peak heap %,.0f MB%n", name,
                median(measures),
                median(measures) / median(copies), median(measures) / median(safeCopies),
                measures.stream().mapToDouble(Measure::peakBytes).max().orElse(0) / 1e6);
    }
}
