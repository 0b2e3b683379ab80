package app.yellowtab.model.source;

import java.util.Objects;

/**
 * One bookmark that a source brought with it.
 *
 * @param level its depth, 1 for the outermost
 * @param title as the source words it; never blank
 * @param page  the page it leads to, counted from 1
 * @param look  how it is shown
 */
public record SourceBookmark(int level, String title, int page, BookmarkLook look) {
    public SourceBookmark {
        if (level < 1) throw new IllegalArgumentException("a bookmark's level must be >= 1, got " + level);
        if (page < 1) throw new IllegalArgumentException("a bookmark's page must be >= 1, got " + page);
        if (title.isBlank()) throw new IllegalArgumentException("a bookmark's title must not be blank");
        Objects.requireNonNull(look, "look");
    }
}
