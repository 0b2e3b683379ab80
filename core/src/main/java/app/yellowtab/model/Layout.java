package app.yellowtab.model;

import java.util.Objects;

/**
 * Which pages the bundle has beside those of its documents.
 *
 * @param cover      whether it begins with a cover
 * @param separators what stands between documents
 */
public record Layout(boolean cover, Separators separators) {
    /** A cover, and nothing between documents. */
    public static final Layout STANDARD = new Layout(true, Separators.NONE);

    public Layout {
        Objects.requireNonNull(separators, "separators");
    }
}
