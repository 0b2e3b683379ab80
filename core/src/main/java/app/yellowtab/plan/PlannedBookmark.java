package app.yellowtab.plan;

/**
 * One bookmark of the bundle.
 *
 * @param level its depth, 1 for the outermost; never more than one deeper than the bookmark before it
 * @param title as the viewer shows it
 * @param page  the bundle number it leads to
 */
public record PlannedBookmark(int level, String title, int page) {}
