package app.yellowtab.cut;

import app.yellowtab.facts.PageText;
import app.yellowtab.model.cut.SheetCode;
import java.util.List;
import java.util.Optional;

/**
 * What rules go by on a page of a batch.
 *
 * @param isBlank  whether nothing at all is on it
 * @param widthMm  what is seen of it
 * @param heightMm what is seen of it
 * @param bookmarks those that lead to it, in order
 * @param sheet     what it says as a separator sheet of ours; empty where it is none, or nobody has looked
 */
public record BatchPage(PageText text, boolean isBlank, double widthMm, double heightMm, List<Bookmark> bookmarks, Optional<SheetCode> sheet) {
    public BatchPage {
        bookmarks = List.copyOf(bookmarks);
    }

    /** A page that is no separator sheet. */
    public BatchPage(PageText text, boolean isBlank, double widthMm, double heightMm, List<Bookmark> bookmarks) {
        this(text, isBlank, widthMm, heightMm, bookmarks, Optional.empty());
    }

    /** @param level 1 for the outermost */
    public record Bookmark(int level, String title) {}
}
