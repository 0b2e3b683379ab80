package app.yellowtab.mark;

import app.yellowtab.pdf.Typeface;
import java.util.Objects;

/**
 * How a mark is set.
 *
 * @param sizePt in points; on very small pages it is set smaller, so that all of it is seen
 * @param ground whether it stands on a white ground, which covers what is there
 */
public record MarkLook(Typeface face, float sizePt, boolean ground) {
    /** Of bundle numbers. Chosen by us: larger than body text, so that it is found first when a number is called out. */
    public static final MarkLook NUMBER = new MarkLook(Typeface.SANS_BOLD, 13, false);

    /** Of other series. Chosen by us: smaller than the bundle's own, which is called out, and still easily read. */
    public static final MarkLook SERIES = new MarkLook(Typeface.SANS, 10, false);

    public MarkLook withSize(float newSizePt) {
        return new MarkLook(face, newSizePt, ground);
    }

    public MarkLook withGround(boolean newGround) {
        return new MarkLook(face, sizePt, newGround);
    }

    /** {@return whether the typeface has all letters of some words} */
    public boolean hasLettersOf(String words) {
        return face.missingIn(words) == 0;
    }

    public MarkLook {
        Objects.requireNonNull(face, "face");
        if (!(sizePt > 0 && sizePt <= 500)) throw new IllegalArgumentException("a mark's size must be more than 0 and at most 500 points, got " + sizePt);
    }
}
