package app.yellowtab.model.run;

import java.util.Objects;

/**
 * The sheet of ours before an exhibit, which names the case, whose exhibit it is, and its mark.
 *
 * @param mark what the exhibit is called, such as "OF1"; never blank
 */
public record FrontSheet(RunId id, String mark) implements Run {
    public FrontSheet {
        Objects.requireNonNull(id, "id");
        if (mark.isBlank()) throw new IllegalArgumentException("\"mark\" must not be blank");
    }

    @Override
    public int pageCount() {
        return 1;
    }

    @Override
    public PageKey key(int n) {
        return new PageKey(id, n);
    }

    @Override
    public FrontSheet copy() {
        return new FrontSheet(RunId.fresh(), mark);
    }
}
