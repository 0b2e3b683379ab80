package app.yellowtab.mark;

import app.yellowtab.pdf.Face;
import app.yellowtab.pdf.Typeface;
import java.util.Objects;

/**
 * How a mark is set.
 *
 * @param sizePt  in points; on very small pages it is set smaller, so that all of it is seen, and on very large ones larger, so
 *         that it can be read on A4
 * @param ground  what it stands on
 * @param ink     its colour
 * @param opacity from 0 (not seen) to 1 (covers what is below)
 * @param turn    clockwise about its middle, in degrees from -180 to 180; 0 for upright
 */
public record MarkLook(Face face, float sizePt, Ground ground, Ink ink, double opacity, int turn) {
    /**
     * Of bundle numbers. Chosen by us: larger than body text, so that it is found first when a number is called out, and on
     * white, so that every page shows it.
     */
    public static final MarkLook NUMBER = new MarkLook(Typeface.SANS_BOLD, 14, Ground.WHITE);

    /** Of other series. Chosen by us: smaller than the bundle's own, which is called out, and still easily read. */
    public static final MarkLook SERIES = new MarkLook(Typeface.SANS, 10, Ground.NONE);

    /** Of lines at head and foot, which are to be read when looked for. */
    public static final MarkLook LINE = new MarkLook(Typeface.SANS, 9, Ground.NONE);

    /** In points. */
    public static final float LARGEST_PT = 500;
    private static final int MOST_DEGREES = 180;

    /** Upright, in black. */
    public MarkLook(Face face, float sizePt, Ground ground) {
        this(face, sizePt, ground, Ink.BLACK, 1, 0);
    }

    public MarkLook {
        Objects.requireNonNull(face, "face");
        Objects.requireNonNull(ground, "ground");
        Objects.requireNonNull(ink, "ink");
        if (!(sizePt > 0 && sizePt <= LARGEST_PT))
            throw new IllegalArgumentException("a mark's size must be more than 0 and at most 500 points, got " + sizePt);
        if (!(opacity > 0 && opacity <= 1))
            throw new IllegalArgumentException("a mark's opacity must be more than 0 and at most 1, got " + opacity);
        if (Math.abs(turn) > MOST_DEGREES)
            throw new IllegalArgumentException("a mark's turn must be -180 to 180 degrees, got " + turn);
    }

    public MarkLook withFace(Face newFace) {
        return new MarkLook(newFace, sizePt, ground, ink, opacity, turn);
    }

    public MarkLook withSize(float newSizePt) {
        return new MarkLook(face, newSizePt, ground, ink, opacity, turn);
    }

    public MarkLook withGround(Ground newGround) {
        return new MarkLook(face, sizePt, newGround, ink, opacity, turn);
    }

    public MarkLook withInk(Ink newInk) {
        return new MarkLook(face, sizePt, ground, newInk, opacity, turn);
    }

    public MarkLook withOpacity(double newOpacity) {
        return new MarkLook(face, sizePt, ground, ink, newOpacity, turn);
    }

    public MarkLook withTurn(int degrees) {
        return new MarkLook(face, sizePt, ground, ink, opacity, degrees);
    }

    /** {@return whether the typeface has all letters of some words} */
    public boolean hasLettersOf(String words) {
        return face.missingIn(words) == 0;
    }

    /** {@return whether it covers what is below} */
    public boolean hasGround() {
        return ground != Ground.NONE;
    }
}
