package app.yellowtab.cut;

import app.yellowtab.model.cut.CutRule;
import java.util.List;
import java.util.Map;

/**
 * A batch as it is cut.
 *
 * @param pieces  in order
 * @param dropped pages that are in no piece, in order
 * @param counts  how often each rule cuts; of those that propose cuts
 */
public record Cutting(List<Piece> pieces, List<Dropped> dropped, Map<CutRule, Count> counts) {
    public Cutting {
        pieces = List.copyOf(pieces);
        dropped = List.copyOf(dropped);
        counts = Map.copyOf(counts);
    }

    /**
     * A piece.
     *
     * @param pages   its pages by their place in the batch, counted from 1, in its own order; at least one
     * @param reasons why it begins where it does
     */
    public record Piece(List<Integer> pages, List<Reason> reasons) {
        public Piece {
            pages = List.copyOf(pages);
            reasons = List.copyOf(reasons);
            if (pages.isEmpty()) throw new IllegalArgumentException("a piece needs at least one page");
        }

        /** {@return its first page, by its place in the batch, counted from 1} */
        public int first() {
            return pages.getFirst();
        }
    }

    /** @param page its place in the batch, counted from 1 */
    public record Dropped(int page, Reason reason) {}

    /**
     * How often a rule cuts.
     *
     * @param alone how many of these cuts no other rule makes
     */
    public record Count(int cuts, int alone) {}
}
