package app.yellowtab.assemble;

import app.yellowtab.carry.part.CarryNotes;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.Subject;
import app.yellowtab.mark.Placed;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * Gathers what happened to sources and their pages: one finding for each kind and source, with its pages. Safe to share between
 * threads.
 */
final class Report {
    /** More pages than this are only counted. */
    private static final int MOST_NAMED = 20;

    private final List<Finding> single = new ArrayList<>();
    private final Map<Subject.OfSource, Map<Code, TreeMap<Integer, Integer>>> counted = new LinkedHashMap<>();
    private final Map<Subject.OfSource, Map<Code, Set<String>>> named = new LinkedHashMap<>();
    /** By the line's series. */
    private final Map<String, CutLine> cut = new LinkedHashMap<>();

    /** A line that was cut, in the words that were left of it on the first of the pages. */
    private record CutLine(String words, List<String> pages) {}

    synchronized void add(Finding finding) {
        single.add(finding);
    }

    /** Takes what concerns a source as a whole; it counts once, however often it is said. */
    synchronized void add(Subject.OfSource source, CarryNotes notes) {
        notes.counts().forEach((code, count) -> pages(source, code).put(0, count));
        notes.names().forEach((code, names) -> named.computeIfAbsent(source, s -> new EnumMap<>(Code.class))
                .computeIfAbsent(code, c -> new LinkedHashSet<>()).addAll(names));
    }

    /** Takes what happened to the things of one page, counted from 1. */
    synchronized void add(Subject.OfSource source, int page, CarryNotes notes) {
        notes.counts().forEach((code, count) -> pages(source, code).merge(page, count, Integer::sum));
    }

    /** Takes the marks of a page, and says of each line once on which pages it was cut. */
    synchronized void add(String label, List<Placed> marks) {
        for (Placed placed : marks) if (placed.cut())
            cut.computeIfAbsent(placed.mark().series(), series -> new CutLine(placed.mark().words(), new ArrayList<>())).pages()
                    .add(label);
    }

    private TreeMap<Integer, Integer> pages(Subject.OfSource source, Code code) {
        return counted.computeIfAbsent(source, s -> new EnumMap<>(Code.class)).computeIfAbsent(code, c -> new TreeMap<>());
    }

    synchronized List<Finding> findings() {
        List<Finding> all = new ArrayList<>(single);
        counted.forEach((source, codes) -> codes
                .forEach((code, pages) -> all.add(new Finding(code, source.onPage(pages.firstKey()), words(pages)))));
        named.forEach((source, codes) -> codes
                .forEach((code, names) -> all.add(new Finding(code, source, listed(List.copyOf(names))))));
        cut.values()
                .forEach(line -> all.add(new Finding(Code.LINES_CUT, new Subject.OfThing(listed(line.pages())), line.words())));
        return all;
    }

    /** {@return such as "3, on pages 1, 4 and 9", or "2" where no page is concerned; page 0 is the file as a whole} */
    private static String words(TreeMap<Integer, Integer> counts) {
        int sum = counts.values().stream().mapToInt(Integer::intValue).sum();
        List<Integer> pages = counts.keySet().stream().filter(page -> page > 0).toList();
        if (pages.isEmpty()) return String.valueOf(sum);
        return sum + (pages.size() == 1 ? ", on page " : ", on pages ") + listed(pages)
                + (counts.containsKey(0) ? " and for the file as a whole" : "");
    }

    /** {@return such as "1, 4 and 9"} */
    private static String listed(List<?> things) {
        String first = things.stream().limit(MOST_NAMED - 1).map(String::valueOf).collect(Collectors.joining(", "));
        int more = things.size() - MOST_NAMED;
        if (more > 0) return first + ", " + things.get(MOST_NAMED - 1) + " and " + more + " more";
        return things.size() < 2 ? first
                : things.stream().limit(things.size() - 1L).map(String::valueOf).collect(Collectors.joining(", ")) + " and "
                        + things.getLast();
    }
}
