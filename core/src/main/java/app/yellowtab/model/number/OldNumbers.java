package app.yellowtab.model.number;

import app.yellowtab.model.page.Area;
import app.yellowtab.model.source.SourceId;
import java.util.List;
import java.util.Objects;

/**
 * Numbers that pages of a file carried before it came in, in one series, and what is done about them.
 *
 * @param first    of them, in its words
 * @param handling what is done about them
 * @param places   where they stand, page by page
 */
public record OldNumbers(SourceId source, String first, Handling handling, List<Place> places) {
    /** What is done about numbers that pages carried before. */
    public enum Handling {
        /** They have been looked at, and stay. */
        LEFT,
        /** Ours stand elsewhere. */
        AVOIDED,
        /** White covers them. */
        COVERED,
        /** They are numbers of the other side: they stay, nothing covers them, and pages are found by them. */
        IDENTITY
    }

    /**
     * Where one stands.
     *
     * @param page  of the file, counted from 1
     * @param words as it is printed
     */
    public record Place(int page, String words, Area area) {
        public Place {
            Objects.requireNonNull(area, "area");
            if (page < 1) throw new IllegalArgumentException("\"page\" must be >= 1, got " + page);
            if (words.isBlank()) throw new IllegalArgumentException("\"words\" must not be blank");
        }
    }

    public OldNumbers withHandling(Handling newHandling) {
        return new OldNumbers(source, first, newHandling, places);
    }

    public OldNumbers {
        Objects.requireNonNull(source, "source");
        Objects.requireNonNull(handling, "handling");
        if (first.isBlank()) throw new IllegalArgumentException("\"first\" must not be blank");
        places = List.copyOf(places);
    }
}
