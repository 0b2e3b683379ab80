package app.yellowtab.assemble;

import app.yellowtab.carry.Notes;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** Gathers what happened to sources and their pages: one finding for each kind and file, with its pages. For one thread. */
final class Report {
    /** More pages than this are only counted. */
    private static final int MOST_NAMED = 20;

    private final List<Finding> single = new ArrayList<>();
    private final Map<Path, Map<Code, TreeMap<Integer, Integer>>> counted = new LinkedHashMap<>();

    void add(Finding finding) {
        single.add(finding);
    }

    void add(Path file, int page, Notes notes) {
        notes.counts().forEach((code, count) -> counted.computeIfAbsent(file, f -> new EnumMap<>(Code.class))
                .computeIfAbsent(code, c -> new TreeMap<>()).merge(page, count, Integer::sum));
    }

    List<Finding> findings() {
        List<Finding> all = new ArrayList<>(single);
        counted.forEach((file, codes) -> codes.forEach((code, pages) -> all.add(new Finding(code, file, pages.firstKey(), words(pages)))));
        return all;
    }

    /** {@return such as "3, on pages 1, 4 and 9"} */
    private static String words(TreeMap<Integer, Integer> pages) {
        int sum = pages.values().stream().mapToInt(Integer::intValue).sum();
        String named = pages.keySet().stream().limit(MOST_NAMED).map(String::valueOf).collect(Collectors.joining(", "));
        int more = pages.size() - MOST_NAMED;
        return sum + (pages.size() == 1 ? ", on page " : ", on pages ") + (more > 0 ? named + " and " + more + " more"
                : named.replaceFirst(", (\\d+)$", " and $1"));
    }
}
