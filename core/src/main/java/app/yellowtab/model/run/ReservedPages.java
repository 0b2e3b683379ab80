package app.yellowtab.model.run;

import java.util.Objects;

/** Pages that are kept free, and counted, for a document that is still to come. */
public record ReservedPages(RunId id, int count) implements Run {
    public ReservedPages {
        Objects.requireNonNull(id, "id");
        if (count < 1) throw new IllegalArgumentException("\"count\" must be >= 1, got " + count);
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
    public ReservedPages copy() {
        return new ReservedPages(RunId.fresh(), count);
    }
}
