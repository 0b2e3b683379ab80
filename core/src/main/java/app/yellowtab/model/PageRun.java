package app.yellowtab.model;

import app.yellowtab.model.source.SourceId;
import java.util.Objects;

/**
 * Neighbouring pages of one source, in their order.
 *
 * @param source    the source they come from
 * @param firstPage the first of them, counted from 1
 * @param lastPage  the last of them, counted from 1, included
 */
public record PageRun(SourceId source, int firstPage, int lastPage) {
    public PageRun {
        Objects.requireNonNull(source, "source");
        if (firstPage < 1) throw new IllegalArgumentException("first page must be >= 1, got " + firstPage);
        if (lastPage < firstPage) {
            throw new IllegalArgumentException("last page must be >= " + firstPage + ", got " + lastPage);
        }
    }

    public int pageCount() {
        return lastPage - firstPage + 1;
    }
}
