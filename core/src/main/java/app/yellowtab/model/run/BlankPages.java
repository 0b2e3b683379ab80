package app.yellowtab.model.run;

import java.util.Objects;

/**
 * Blank pages that the user has put in.
 *
 * @param look    what they are like
 * @param counted whether they carry numbers; what only paper has is never counted
 * @param sets    where they stand
 */
public record BlankPages(RunId id, int count, BlankLook look, boolean counted, Sets sets) implements Run {
    /** In which sets of a bundle a page stands. */
    public enum Sets { BOTH, PAPER }

    public BlankPages {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(look, "look");
        Objects.requireNonNull(sets, "sets");
        if (count < 1) throw new IllegalArgumentException("\"count\" must be >= 1, got " + count);
        if (counted && sets == Sets.PAPER)
            throw new IllegalArgumentException("\"counted\" must not be true for pages that only paper has");
    }

    @Override
    public int pageCount() {
        return count;
    }

    @Override
    public PageKey key(int n) {
        return new PageKey(id, n);
    }

    @Override
    public BlankPages copy() {
        return new BlankPages(RunId.fresh(), count, look, counted, sets);
    }
}
