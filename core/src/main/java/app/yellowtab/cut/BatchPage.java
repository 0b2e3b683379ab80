package app.yellowtab.cut;

import app.yellowtab.facts.PageText;
import java.util.List;

/**
 * What rules go by on a page of a batch.
 *
 * @param isBlank  whether nothing at all is on it
 * @param widthMm  what is seen of it
 * @param heightMm what is seen of it
 * @param bookmarks those that lead to it, in order
 */
public record BatchPage(PageText text, boolean isBlank, double widthMm, double heightMm, List<Bookmark> bookmarks) {
    public BatchPage {
        bookmarks = List.copyOf(bookmarks);
    }

    /** @param level 1 for the outermost */
    public record Bookmark(int level, String title) {}
}
