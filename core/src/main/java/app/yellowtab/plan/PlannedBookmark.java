package app.yellowtab.plan;

import app.yellowtab.model.source.BookmarkLook;

/**
 * One bookmark of the bundle.
 *
 * @param level its depth, 1 for the outermost; never more than one deeper than the bookmark before it
 * @param title as the viewer shows it
 * @param page  the bundle number it leads to
 * @param look  how it is shown
 */
public record PlannedBookmark(int level, String title, int page, BookmarkLook look) {
    /** A bookmark of ours. */
    public PlannedBookmark(int level, String title, int page) {
        this(level, title, page, BookmarkLook.PLAIN);
    }
}
