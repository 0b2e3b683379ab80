package app.yellowtab.model.number;

import app.yellowtab.model.source.SourceId;
import java.util.Objects;

/**
 * A number that a page of a source has been given, once and for all.
 *
 * @param page   of the source, counted from 1
 * @param number as it looks
 */
public record GivenNumber(SeriesId series, SourceId source, int page, Half half, String number) {
    /** Which part of a page of two; all of any other. */
    public enum Half { WHOLE, LEFT, RIGHT }

    public GivenNumber {
        Objects.requireNonNull(series, "series");
        Objects.requireNonNull(source, "source");
        Objects.requireNonNull(half, "half");
        if (page < 1) throw new IllegalArgumentException("\"page\" must be >= 1, got " + page);
        if (number.isBlank()) throw new IllegalArgumentException("\"number\" must not be blank");
    }
}
