package app.yellowtab.model.source;

import java.util.Objects;

/**
 * A file as it is read: what is said of one of its pages holds for that reading, and for another only where the page was found to
 * be the same.
 *
 * @param source   the file
 * @param pagesKey what tells the pages of this reading from those of all others, as {@link Source#pagesKey} gives it: other
 *         bundles understand it too
 */
public record SourceReading(SourceId source, String pagesKey) {
    public SourceReading {
        Objects.requireNonNull(source, "source");
        Objects.requireNonNull(pagesKey, "pagesKey");
    }
}
