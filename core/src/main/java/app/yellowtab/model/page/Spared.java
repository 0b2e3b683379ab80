package app.yellowtab.model.page;

import java.util.Objects;

/**
 * Words of a page that stay to be seen although they are redacted elsewhere, because somebody decided so.
 *
 * @param area   where they stand
 * @param words  as they were found there; other words at that place are another matter
 * @param reason may be empty
 */
public record Spared(Area area, String words, String reason) {
    public Spared {
        Objects.requireNonNull(area, "area");
        Objects.requireNonNull(words, "words");
        Objects.requireNonNull(reason, "reason");
    }
}
