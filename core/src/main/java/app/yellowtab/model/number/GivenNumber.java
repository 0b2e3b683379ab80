package app.yellowtab.model.number;

import app.yellowtab.model.source.SourceId;
import app.yellowtab.model.source.SourceReading;
import java.util.Objects;

/**
 * A number that a page of a source has been given, once and for all. It holds for the page as it was read then; where the page is
 * found again in another reading, that has one of its own with the same number.
 *
 * @param pagesKey which reading of the source, as {@link SourceReading#pagesKey} says it
 * @param page   of the source, counted from 1
 * @param number as it looks
 */
public record GivenNumber(SeriesId series, SourceId source, String pagesKey, int page, Half half, String number) {
    /** Which part of a page of two; all of any other. */
    public enum Half { WHOLE, LEFT, RIGHT }

    public GivenNumber {
        Objects.requireNonNull(series, "series");
        Objects.requireNonNull(source, "source");
        Objects.requireNonNull(pagesKey, "pagesKey");
        Objects.requireNonNull(half, "half");
        if (page < 1) throw new IllegalArgumentException("\"page\" must be >= 1, got " + page);
        if (number.isBlank()) throw new IllegalArgumentException("\"number\" must not be blank");
    }

    /** {@return whether it was given to a page of a reading} */
    public boolean isOf(SourceReading reading) {
        return source.equals(reading.source()) && pagesKey.equals(reading.pagesKey());
    }

    /** {@return the same number of a page of another reading} */
    public GivenNumber of(SourceReading reading, int itsPage) {
        return new GivenNumber(series, reading.source(), reading.pagesKey(), itsPage, half, number);
    }
}
