package app.yellowtab.mark;

import java.util.Objects;

/**
 * One thing set on a leaf, on top of all that the leaf shows.
 *
 * @param series what it belongs to, such as {@link #BUNDLE_NUMBER}
 * @param words  never empty
 * @param spot   where it stands
 * @param look   how it is set
 */
public record Mark(String series, String words, Spot spot, MarkLook look) {
    /** The series of the numbers that run through a bundle. */
    public static final String BUNDLE_NUMBER = "number";

    public Mark {
        Objects.requireNonNull(series, "series");
        Objects.requireNonNull(spot, "spot");
        Objects.requireNonNull(look, "look");
        if (words.isEmpty()) throw new IllegalArgumentException("a mark needs words");
    }
}
