package app.yellowtab.plan;

import app.yellowtab.mark.Mark;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.number.MarkMove;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.model.page.PageKey;
import app.yellowtab.pdf.Typeface;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * Which marks the leaves of a plan bear, and where. They are made when they are asked for, so that twenty thousand leaves with many
 * marks cost nothing.
 *
 * @param number how the numbers are set that run through the bundle
 * @param series the others, in their order
 * @param moves  marks that stand elsewhere than their series does
 */
public record Marking(BundleNumber number, List<PlannedSeries> series, List<MarkMove> moves) {
    /** The numbers that run through the bundle, where they usually stand. */
    public static final Marking STANDARD = new Marking(BundleNumber.STANDARD, List.of(), List.of());
    /** As moves name the numbers that run through the bundle. */
    public static final SeriesId BUNDLE = new SeriesId(Mark.BUNDLE_NUMBER);

    public Marking {
        series = List.copyOf(series);
        moves = List.copyOf(moves);
    }

    /** {@return what is set on a leaf, from the left to the right} */
    List<Mark> on(Leaf leaf) {
        List<Mark> marks = new ArrayList<>();
        boolean shown = number.onCover() || !(leaf.content() instanceof Content.Cover);
        if (leaf.number().isPresent() && shown) marks.add(new Mark(Mark.BUNDLE_NUMBER, leaf.number().get().shown(), spot(leaf, BUNDLE, number.spot()), number.look()));
        for (PlannedSeries one : series) {
            String words = one.words(leaf.index());
            if (!words.isEmpty()) marks.add(new Mark(one.id().value(), words, spot(leaf, one.id(), one.spot()), one.look()));
        }
        // From the left to the right, so that whoever reads the page's words has a space between them.
        marks.sort(Comparator.comparing(mark -> mark.spot().column()));
        return marks;
    }

    private Spot spot(Leaf leaf, SeriesId id, Spot usual) {
        Optional<PageKey> key = leaf.key();
        if (moves.isEmpty() || key.isEmpty()) return usual;
        for (MarkMove move : moves) if (move.series().equals(id) && move.page().equals(key.get())) return move.spot();
        return usual;
    }

    /** {@return all letters that marks on leaves are made of, by typeface} */
    Map<Typeface, Set<Integer>> letters(List<Leaf> leaves) {
        Map<Typeface, Set<Integer>> letters = new EnumMap<>(Typeface.class);
        if (leaves.stream().anyMatch(leaf -> leaf.number().isPresent())) {
            Set<Integer> own = letters.computeIfAbsent(number.look().face(), face -> new TreeSet<>());
            "0123456789".chars().forEach(own::add);
            for (Leaf leaf : leaves) if (leaf.number().isPresent() && !leaf.number().get().isPlain()) leaf.label().codePoints().forEach(own::add);
        }
        for (PlannedSeries one : series) {
            Set<Integer> own = new TreeSet<>();
            for (Leaf leaf : leaves) one.words(leaf.index()).codePoints().forEach(own::add);
            if (!own.isEmpty()) letters.computeIfAbsent(one.look().face(), face -> new TreeSet<>()).addAll(own);
        }
        return letters;
    }

    /** {@return the same for some of the leaves, by their places in this plan} */
    Marking of(List<Leaf> leaves) {
        return new Marking(number, series.stream().map(one -> one.of(leaves)).toList(), moves);
    }

    /**
     * A series, worded.
     *
     * @param words   what each leaf bears, by its index; empty for nothing
     * @param fixed   how many numbers are given for ever
     * @param count   how many numbers there are on leaves; a copy of a page bears the same
     * @param highest of these; empty where there is none
     */
    public record PlannedSeries(SeriesId id, Spot spot, MarkLook look, List<String> words, int fixed, int count, String highest) {
        public PlannedSeries {
            words = List.copyOf(words);
        }

        /** {@return what a leaf bears; empty for nothing} */
        public String words(int leaf) {
            return leaf < words.size() ? words.get(leaf) : "";
        }

        /** {@return the first number in the order of the leaves; empty where there is none} */
        public Optional<String> first() {
            return words.stream().filter(one -> !one.isEmpty()).findFirst();
        }

        private PlannedSeries of(List<Leaf> leaves) {
            return new PlannedSeries(id, spot, look, leaves.stream().map(leaf -> words(leaf.index())).toList(), fixed, count, highest);
        }
    }
}
