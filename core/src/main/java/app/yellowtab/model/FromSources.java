package app.yellowtab.model;

import java.util.Objects;

/**
 * What comes over from the sources beside their pages.
 *
 * @param comments       what becomes of their comments
 * @param bookmarkLevels down to which level their own bookmarks are taken; 0 for none
 */
public record FromSources(Comments comments, int bookmarkLevels) {
    /** Deeper bookmarks than this are never taken; no reader opens that many levels. */
    public static final int ALL_LEVELS = 12;
    /** Everything stays as it is. */
    public static final FromSources STANDARD = new FromSources(Comments.KEPT, ALL_LEVELS);

    public FromSources {
        Objects.requireNonNull(comments, "comments");
        if (bookmarkLevels < 0 || bookmarkLevels > ALL_LEVELS) {
            throw new IllegalArgumentException("bookmark levels must be 0 to " + ALL_LEVELS + ", got " + bookmarkLevels);
        }
    }
}
