package app.yellowtab.model;

import java.util.Objects;

/**
 * Which pages the bundle has beside those of its documents.
 *
 * @param cover      whether it begins with a cover
 * @param separators what stands between documents
 * @param agreement  whether the index prints how entries stand between the parties
 */
public record Layout(boolean cover, Separators separators, boolean agreement) {
    /** A cover, and nothing between documents. */
    public static final Layout STANDARD = new Layout(true, Separators.NONE);

    /** A layout whose index says nothing of the parties. */
    public Layout(boolean cover, Separators separators) {
        this(cover, separators, false);
    }

    public Layout {
        Objects.requireNonNull(separators, "separators");
    }
}
