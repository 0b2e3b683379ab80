package app.yellowtab.leaf;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * Stretches of pages as they are typed, by the numbers that the pages bear, such as "4-25, B3-B10, 30-".
 *
 * @param leaves  the indexes of the leaves, as far as they could be made out
 * @param mistake the first thing that could not, as it was typed
 */
public record NumberRanges(BitSet leaves, Optional<String> mistake) {
    /** Reads stretches; never throws. Without any words there are none. */
    public static NumberRanges read(String typed, List<Leaf> leaves) {
        BitSet found = new BitSet();
        Map<String, Integer> places = new HashMap<>();
        int last = -1;
        for (Leaf leaf : leaves) {
            if (leaf.number().isEmpty()) continue;
            places.putIfAbsent(leaf.label().toLowerCase(Locale.ROOT), leaf.index());
            last = leaf.index();
        }
        List<String> wrong = new ArrayList<>();
        for (String one : typed.split("[,;]")) {
            if (one.isBlank()) continue;
            String[] ends = one.strip().toLowerCase(Locale.ROOT).split("\\s*[-–—]\\s*", -1);
            Integer from = places.get(ends[0]);
            Integer to = ends.length == 1 ? from : ends[1].isEmpty() ? Integer.valueOf(last) : places.get(ends[1]);
            if (ends.length > 2 || from == null || to == null || to < from) wrong.add(one.strip());
            else found.set(from, to + 1);
        }
        return new NumberRanges(found, wrong.stream().findFirst());
    }
}
