package app.yellowtab.edit.page;

import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.run.PageKey;
import java.util.Objects;
import java.util.Optional;

/**
 * A place among the pages of a document.
 *
 * @param before the page that it is before; empty for behind the last
 */
public record PageSpot(EntryId document, Optional<PageKey> before) {
    public PageSpot {
        Objects.requireNonNull(document, "document");
        Objects.requireNonNull(before, "before");
    }
}
