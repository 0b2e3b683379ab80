package app.yellowtab.leaf;

import app.yellowtab.model.source.BookmarkLook;

/**
 * One bookmark of the bundle.
 *
 * @param level  its depth, 1 for the outermost; never more than one deeper than the bookmark before it
 * @param title  as the viewer shows it
 * @param target where it leads
 * @param look   how it is shown
 */
public record PlannedBookmark(int level, String title, Target target, BookmarkLook look) {
    /** A bookmark of ours, to the top of a leaf. */
    public PlannedBookmark(int level, String title, int leaf) {
        this(level, title, new Target(leaf, ""), BookmarkLook.PLAIN);
    }
}
