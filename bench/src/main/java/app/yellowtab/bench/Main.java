package app.yellowtab.bench;

import app.yellowtab.bench.assemble.AssembleBench;
import app.yellowtab.bench.assemble.MarksBench;
import app.yellowtab.bench.assemble.PiecesBench;
import app.yellowtab.bench.disk.FullDisk;
import app.yellowtab.desktop.NumberProbe;
import app.yellowtab.desktop.ReplaceProbe;
import app.yellowtab.desktop.ScrollProbe;
import app.yellowtab.desktop.WindowProbe;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** Runs a benchmark by name and prints its figures as ratios to its baseline. */
public final class Main {
    private Main() {}

    /**
     * @param arguments {@code plan}, {@code gather} or {@code assemble [--files 400] [--pages 25] [--scans 0.33]} or {@code
     *         assemble --pieces 300} or {@code assemble --marks 4}, or {@code start} or {@code pictures [--files 20] [--pages 25]
     *         [--scans 0]}, or {@code cut [--pages 3000] [--scans 0]}, or {@code recognise [--pages 20]}, or {@code
     *         replace [--pages 2000]}, or {@code full-disk},
     *         which needs the right to mount a disk; the system property
     *         {@code bench.dir} names the folder for what is made
     */
    public static void main(String[] arguments) throws RunnerException, IOException {
        String name = arguments.length == 0 ? "" : arguments[0];
        switch (name) {
            case "plan" -> plan();
            case "gather" -> gather(arguments);
            case "assemble" -> assemble(arguments);
            case "pictures" -> new PicturesBench(corpus(arguments, "20", "25", "0"), folder()).run();
            case "start" -> new StartBench(folder().resolve("../.."), folder().resolve("start")).run();
            case "window" -> WindowProbe.run(PlanBenchmark.bundle());
            case "numbers" -> NumberProbe.run(corpus(arguments, "40", "500", "0").write());
            case "scroll" -> ScrollProbe.run(corpus(arguments, "40", "500", "0").write());
            case "replace" -> ReplaceProbe.run(corpus(arguments, "1", "2000", "0.1").write());
            case "find" -> new FindBench(corpus(arguments, "2000", "10", "0"), folder()).run();
            case "cut" -> new CutBench(corpus(arguments, "1", "3000", "0"), folder()).run();
            case "full-disk" -> FullDisk.run(folder(), corpus(arguments, "8", "5", "0.33").write());
            case "recognise" -> new RecogniseBench(Integer.parseInt(option(arguments, "--pages", "20")), folder()).run();
            default -> {
                System.err.println(
                        "Usage: yellowtab bench plan\n       yellowtab bench gather [--files 1000] [--pages 10] [--scans "
                                + "0.33]\n       yellowtab bench assemble [--files 400] [--pages 25] [--scans 0.33] "
                                + "[--against COMMIT]\n       "
                                + "yellowtab bench assemble --pieces 300 [--pages 2000] [--scans 0.85]\n       yellowtab bench "
                                + "assemble --marks 4 [--files 400] [--pages 50] [--scans 0]\n       yellowtab bench pictures "
                                + "[--files 20] [--pages 25] [--scans 0]\n       yellowtab bench start\n       yellowtab bench "
                                + "window\n       yellowtab bench scroll [--files 40] [--pages 500]\n       yellowtab bench "
                                + "numbers [--files 40] [--pages 500]\n       yellowtab bench find [--files 2000] [--pages "
                                + "10]\n       yellowtab bench cut [--pages 3000] [--scans 0]\n       yellowtab bench "
                                + "recognise [--pages 20]\n       yellowtab bench replace [--pages 2000]\n       yellowtab "
                                + "bench full-disk");
                System.exit(2);
            }
        }
    }

    private static void assemble(String[] arguments) throws IOException {
        int pieces = Integer.parseInt(option(arguments, "--pieces", "0"));
        int marks = Integer.parseInt(option(arguments, "--marks", "0"));
        if (marks > 0) new MarksBench(corpus(arguments, "400", "50", "0"), marks, folder()).run();
        else if (pieces > 0) new PiecesBench(corpus(arguments, "1", "2000", "0.85"), pieces, folder()).run();
        else new AssembleBench(corpus(arguments, "400", "25", "0.33"), folder()).run();
    }

    private static void gather(String[] arguments) throws IOException {
        new GatherBench(corpus(arguments, "1000", "10", "0.33"), folder()).run();
    }

    private static Path folder() {
        return Path.of(System.getProperty("bench.dir", "target/bench"));
    }

    private static Corpus corpus(String[] arguments, String usualFiles, String usualPages, String usualScans) {
        int files = Integer.parseInt(option(arguments, "--files", usualFiles));
        int pages = Integer.parseInt(option(arguments, "--pages", usualPages));
        double scans = Double.parseDouble(option(arguments, "--scans", usualScans));
        return new Corpus(folder().resolve("corpus-" + files + "-" + pages + "-" + scans), files, pages, scans);
    }

    private static String option(String[] arguments, String name, String otherwise) {
        for (int i = 1; i + 1 < arguments.length; i += 2) if (arguments[i].equals(name)) return arguments[i + 1];
        return otherwise;
    }

    private static void plan() throws RunnerException {
        var results = new Runner(new OptionsBuilder().include(PlanBenchmark.class.getName()).build()).run();
        Map<String, Double> scores = results.stream().collect(Collectors.toMap(
                result -> result.getPrimaryResult().getLabel(), result -> result.getPrimaryResult().getScore()));
        double plan = scores.getOrDefault("plan", Double.NaN);
        double baseline = scores.getOrDefault("baseline", Double.NaN);
        System.out.printf(Locale.ROOT,
                "%n20,000 pages in 2,000 documents are planned in %.2f ms; listing the leaves alone takes %.3f ms (ratio "
                        + "%.1f).%n",
                plan, baseline, plan / baseline);
    }
}
