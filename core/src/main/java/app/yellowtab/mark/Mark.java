package app.yellowtab.mark;

import java.util.Objects;
import java.util.Optional;

/**
 * One thing set on a leaf, on top of all that the leaf shows.
 *
 * @param series what it belongs to, such as {@link #BUNDLE_NUMBER}
 * @param words  empty only for what covers
 * @param spot   where it stands; without meaning for what covers
 * @param look   how it is set
 * @param line   whether it gives way: it is set smaller, and cut at a word, where it has no room
 * @param covers the part of the page that is covered with white; empty for words
 */
public record Mark(String series, String words, Spot spot, MarkLook look, boolean line, Optional<Box> covers) {
    /** The series of the numbers that run through a bundle. */
    public static final String BUNDLE_NUMBER = "number";
    /** Of what covers numbers that pages carried before. */
    public static final String COVER = "cover";

    public Mark {
        Objects.requireNonNull(series, "series");
        Objects.requireNonNull(spot, "spot");
        Objects.requireNonNull(look, "look");
        if (words.isEmpty() == covers.isEmpty()) throw new IllegalArgumentException("a mark needs words, or something to cover");
    }

    /** A number, which is set whole. */
    public Mark(String series, String words, Spot spot, MarkLook look) {
        this(series, words, spot, look, false, Optional.empty());
    }

    /** {@return a line, which gives way} */
    public static Mark line(String series, String words, Spot spot, MarkLook look) {
        return new Mark(series, words, spot, look, true, Optional.empty());
    }

    /** {@return white that covers a part of a page} */
    public static Mark cover(Box box) {
        return new Mark(COVER, "", Spot.STANDARD, MarkLook.LINE, false, Optional.of(box));
    }

    Mark withWords(String newWords) {
        return new Mark(series, newWords, spot, look, line, covers);
    }
}
