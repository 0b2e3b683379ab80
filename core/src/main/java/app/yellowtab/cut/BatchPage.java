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
 * @param weight    how much it takes in a file; unknown where nobody has measured it
 */
public record BatchPage(PageText text, boolean isBlank, double widthMm, double heightMm, List<Bookmark> bookmarks, Optional<SheetCode> sheet, PageWeight weight) {
    public BatchPage {
        bookmarks = List.copyOf(bookmarks);
    }

    /** A page that is no separator sheet. */
    public BatchPage(PageText text, boolean isBlank, double widthMm, double heightMm, List<Bookmark> bookmarks) {
        this(text, isBlank, widthMm, heightMm, bookmarks, Optional.empty(), PageWeight.UNKNOWN);
    }

    public BatchPage withBookmarks(List<Bookmark> newBookmarks) {
        return new BatchPage(text, isBlank, widthMm, heightMm, newBookmarks, sheet, weight);
    }

    public BatchPage withText(PageText newText) {
        return new BatchPage(newText, isBlank, widthMm, heightMm, bookmarks, sheet, weight);
    }

    public BatchPage withSheet(Optional<SheetCode> newSheet) {
        return new BatchPage(text, isBlank, widthMm, heightMm, bookmarks, newSheet, weight);
    }

    public BatchPage withWeight(PageWeight newWeight) {
        return new BatchPage(text, isBlank, widthMm, heightMm, bookmarks, sheet, newWeight);
    }

    /** @param level 1 for the outermost */
    public record Bookmark(int level, String title) {}
}
