package app.yellowtab.model.number;

import app.yellowtab.model.source.SourceId;
import java.util.Objects;

/**
 * What was said of two files with the same pages.
 *
 * @param oneDocument whether they are one document, whose copies bear the same numbers; otherwise each has numbers of its own, as
 *         where two people have disclosed it
 */
public record AlikeFiles(SourceId one, SourceId other, boolean oneDocument) {
    public AlikeFiles {
        Objects.requireNonNull(one, "one");
        Objects.requireNonNull(other, "other");
        if (one.equals(other)) throw new IllegalArgumentException("two files are needed, got " + one.value() + " twice");
    }

    /** {@return whether it is about two files, in whatever order} */
    public boolean isOf(SourceId some, SourceId another) {
        return one.equals(some) && other.equals(another) || one.equals(another) && other.equals(some);
    }
}
