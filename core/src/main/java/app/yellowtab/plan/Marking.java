package app.yellowtab.plan;

import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.PageNumber;
import app.yellowtab.mark.Mark;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.number.MarkMove;
import app.yellowtab.model.number.MarkSetting;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.pdf.Face;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Which marks the leaves of a plan bear, and where. They are made when they are asked for, so that twenty thousand leaves with
 * many marks cost nothing.
 *
 * @param number   how the numbers are set that run through the bundle
 * @param numbered the leaves that show them
 * @param totals   the last number of each run of numbers, by what stands before its figures
 * @param series   the others, in their order
 * @param lines    at head and foot, in their order
 * @param moves    marks that stand elsewhere than their series does
 * @param covers   what is covered with white
 */
public record Marking(BundleNumber number, Reach numbered, Map<String, String> totals, List<PlannedSeries> series,
        List<PlannedSeries> lines, Map<Moved, Spot> moves, Covers covers) {
    /** The numbers that run through the bundle, where they usually stand. */
    public static final Marking STANDARD =
            new Marking(BundleNumber.STANDARD, Reach.ALL, Map.of(), List.of(), List.of(), Map.of(), Covers.NONE);
    /** As moves name the numbers that run through the bundle. */
    public static final SeriesId BUNDLE = new SeriesId(Mark.BUNDLE_NUMBER);
    private static final String OF = " of ";

    public Marking {
        series = List.copyOf(series);
        lines = List.copyOf(lines);
    }

    /** A mark that stands elsewhere on one page. */
    record Moved(PageKey page, SeriesId series) {
        public static Map<Moved, Spot> of(List<MarkMove> moves) {
            Map<Moved, Spot> by = new HashMap<>();
            for (MarkMove move : moves) by.put(new Moved(move.page(), move.series()), move.spot());
            return by;
        }
    }

    /** {@return the last number of each run of numbers, where each number says it} */
    static Map<String, String> totals(BundleNumber number, List<Leaf> leaves) {
        if (!number.total()) return Map.of();
        Map<String, String> totals = new HashMap<>();
        for (Leaf leaf : leaves)
            if (leaf.number().isPresent() && !isFront(number, leaf)) totals.put(leaf.number().get().prefix(), leaf.label());
        return totals;
    }

    private static boolean isFront(BundleNumber number, Leaf leaf) {
        return number.front().isPresent()
                && (leaf.content() instanceof Content.Cover || leaf.content() instanceof Content.IndexSheet);
    }

    /** {@return what is set on a leaf: first what covers, then from the left to the right} */
    List<Mark> on(Leaf leaf) {
        List<Mark> marks = new ArrayList<>();
        if (leaf.number().isPresent() && numbered.has(leaf.index())) marks.add(new Mark(Mark.BUNDLE_NUMBER,
                shown(leaf, leaf.number().get()), spot(leaf, BUNDLE, number.setting()), number.setting().look()));
        for (PlannedSeries one : series) {
            String words = one.words(leaf.index());
            if (!words.isEmpty())
                marks.add(new Mark(one.id().value(), words, spot(leaf, one.id(), one.setting()), one.setting().look()));
        }
        for (PlannedSeries one : lines) {
            String words = one.words(leaf.index());
            if (!words.isEmpty())
                marks.add(Mark.line(one.id().value(), words, spot(leaf, one.id(), one.setting()), one.setting().look()));
        }
        // As one reads, so that whoever reads the page's words has a space between them.
        if (marks.size() > 1) marks.sort(
                Comparator.<Mark, Spot.Row>comparing(mark -> mark.spot().row()).thenComparing(mark -> mark.spot().column()));
        if (leaf.content() instanceof Content.SourcePage page) marks.addAll(0, covers.on(page));
        return marks;
    }

    private String shown(Leaf leaf, PageNumber its) {
        String total = totals.isEmpty() || isFront(number, leaf) ? null : totals.get(its.prefix());
        return total == null ? its.shown() : its.shown() + OF + total;
    }

    /** Left-hand pages are those at even places, as the cover is a right-hand page. */
    private Spot spot(Leaf leaf, SeriesId id, MarkSetting setting) {
        Spot usual = setting.mirrored() && leaf.index() % 2 == 1 ? setting.spot().mirrored() : setting.spot();
        return moves.isEmpty() ? usual : moves.getOrDefault(new Moved(leaf.name(), id), usual);
    }

    /** {@return all letters that marks on leaves are made of, by typeface, sorted by its name} */
    Map<Face, Set<Integer>> letters(List<Leaf> leaves) {
        Map<Face, Set<Integer>> letters = new TreeMap<>(Comparator.comparing(Face::key));
        if (leaves.stream().anyMatch(leaf -> leaf.number().isPresent() && numbered.has(leaf.index()))) {
            Set<Integer> own = letters.computeIfAbsent(number.setting().look().face(), face -> new TreeSet<>());
            "0123456789".chars().forEach(own::add);
            if (number.total()) OF.chars().forEach(own::add);
            for (Leaf leaf : leaves)
                if (leaf.number().isPresent() && !leaf.number().get().isPlain()) leaf.label().codePoints().forEach(own::add);
        }
        for (PlannedSeries one : series) add(one, leaves, letters, "");
        for (PlannedSeries one : lines) add(one, leaves, letters, " …");
        return letters;
    }

    private static void add(PlannedSeries one, List<Leaf> leaves, Map<Face, Set<Integer>> letters, String more) {
        Set<Integer> own = new TreeSet<>();
        for (Leaf leaf : leaves) one.words(leaf.index()).codePoints().forEach(own::add);
        if (own.isEmpty()) return;
        more.chars().forEach(own::add);
        letters.computeIfAbsent(one.setting().look().face(), face -> new TreeSet<>()).addAll(own);
    }

    /** {@return the same for some of the leaves, by their places in this plan} */
    public Marking of(List<Leaf> leaves) {
        BitSet shown = new BitSet();
        for (int i = 0; i < leaves.size(); i++) if (numbered.has(leaves.get(i).index())) shown.set(i);
        return new Marking(number, numbered.leaves().isEmpty() ? Reach.ALL : new Reach(Optional.of(shown)), totals,
                series.stream().map(one -> one.of(leaves)).toList(), lines.stream().map(one -> one.of(leaves)).toList(), moves,
                covers);
    }

    /**
     * A series or a line, worded.
     *
     * @param words   what each leaf bears, by its index; empty for nothing
     * @param fixed   how many numbers are given for ever
     * @param count   how many numbers there are on leaves; a copy of a page bears the same; 0 for a line
     * @param highest of these; empty where there is none
     * @param basis   what its numbers follow from; empty for a line
     */
    public record PlannedSeries(SeriesId id, MarkSetting setting, List<String> words, int fixed, int count, String highest,
            Optional<SeriesPlanner.Basis> basis) {
        /** {@return a line} */
        static PlannedSeries line(SeriesId id, MarkSetting setting, List<String> words) {
            return new PlannedSeries(id, setting, words, 0, 0, "", Optional.empty());
        }

        /** {@return the same, set in another way} */
        PlannedSeries with(MarkSetting newSetting) {
            return new PlannedSeries(id, newSetting, words, fixed, count, highest, basis);
        }

        /** {@return what a leaf bears; empty for nothing} */
        public String words(int leaf) {
            return leaf < words.size() ? setting.look().face().showable(words.get(leaf)) : "";
        }

        /** {@return the first words in the order of the leaves; empty where there are none} */
        public Optional<String> first() {
            return words.stream().filter(one -> !one.isEmpty()).findFirst();
        }

        private PlannedSeries of(List<Leaf> leaves) {
            return new PlannedSeries(id, setting, leaves.stream().map(leaf -> words(leaf.index())).toList(), fixed, count,
                    highest, Optional.empty());
        }
    }
}
