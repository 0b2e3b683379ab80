package app.yellowtab.model.run;

import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.source.SourceReading;
import java.util.Objects;
import java.util.Optional;

/**
 * A page of which something was said that could not be carried to what its file has now: nothing goes out with it before somebody
 * has looked.
 *
 * @param document the document that has, or had, the page
 * @param page     the page that stands for it now; empty where it is gone
 * @param before   how its file was read when that was said
 * @param was      the page of that reading, counted from 1
 * @param hidden   whether areas were redacted on it, or it was withheld
 * @param numbered whether it bears numbers that were issued, and it must be said whether the changed page keeps them
 */
public record LookAgain(EntryId document, Optional<PageKey> page, SourceReading before, int was, boolean hidden,
        boolean numbered) {
    public LookAgain {
        Objects.requireNonNull(document, "document");
        Objects.requireNonNull(page, "page");
        Objects.requireNonNull(before, "before");
        if (was < 1) throw new IllegalArgumentException("\"was\" must be >= 1, got " + was);
        if (!hidden && !numbered) throw new IllegalArgumentException("there is nothing to look at");
    }
}
