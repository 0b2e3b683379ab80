package app.yellowtab.cut;

import java.util.Map;

/**
 * What was done by hand; rules do not change it. Pages are counted from 1.
 *
 * @param cuts  before which pages there is a cut, or none
 * @param drops which pages are dropped, or stay
 */
public record ByHand(Map<Integer, Boolean> cuts, Map<Integer, Boolean> drops) {
    /** Nothing. */
    public static final ByHand NONE = new ByHand(Map.of(), Map.of());

    public ByHand {
        cuts = Map.copyOf(cuts);
        drops = Map.copyOf(drops);
    }
}
