package app.yellowtab.bench;

import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** Runs a benchmark by name and prints its figures as ratios to its baseline. */
public final class Main {
    private Main() {}

    /** @param arguments the benchmark: {@code plan} */
    public static void main(String[] arguments) throws RunnerException {
        if (arguments.length != 1 || !arguments[0].equals("plan")) {
            System.err.println("Usage: yellowtab bench plan");
            System.exit(2);
        }
        var results = new Runner(new OptionsBuilder().include(PlanBenchmark.class.getName()).build()).run();
        Map<String, Double> scores = results.stream().collect(Collectors.toMap(
                result -> result.getPrimaryResult().getLabel(), result -> result.getPrimaryResult().getScore()));
        double plan = scores.getOrDefault("plan", Double.NaN);
        double baseline = scores.getOrDefault("baseline", Double.NaN);
        System.out.printf(Locale.ROOT, "%n20,000 pages in 2,000 documents are planned in %.2f ms; listing the leaves alone takes %.3f ms (ratio %.1f).%n",
                plan, baseline, plan / baseline);
    }
}
