package app.yellowtab.facts;

import java.util.Objects;

/**
 * How a scanned sheet lies, and what is on it beside words, as its picture tells.
 *
 * @param turns        by how many quarter turns clockwise it surely stands upright; 0 where it does, or nobody knows
 * @param perhapsTurns by how many it may stand upright, where that is not sure; 0 for nothing to be said
 * @param slantDegrees by how much it must be turned clockwise to lie straight; 0 where it does, or nobody knows
 * @param markMm       how long all marks on it are together, dirt apart, in millimetres; 0 where it is surely blank
 * @param edges        that are dark
 * @param foldShare    where two pages on it meet, as a share of its width once it is upright; 0 where it is one page
 */
public record SheetState(int turns, int perhapsTurns, double slantDegrees, double markMm, DarkEdges edges, double foldShare) {
    /** More is not told apart: no such sheet is blank. */
    public static final double MOST_MARK_MM = 999;
    /** As it should be, or unknown. */
    public static final SheetState SOUND = new SheetState(0, 0, 0, MOST_MARK_MM, DarkEdges.NONE, 0);
    /** Nothing on it but dirt. */
    public static final SheetState BLANK = SOUND.withMark(0);

    public SheetState {
        Objects.requireNonNull(edges, "edges");
        if (turns < 0 || turns > 3) throw new IllegalArgumentException("\"turns\" must be 0 to 3, got " + turns);
        if (perhapsTurns < 0 || perhapsTurns > 3)
            throw new IllegalArgumentException("\"perhapsTurns\" must be 0 to 3, got " + perhapsTurns);
        if (!(Math.abs(slantDegrees) <= 45))
            throw new IllegalArgumentException("\"slantDegrees\" must be within 45, got " + slantDegrees);
        if (!(markMm >= 0 && markMm <= MOST_MARK_MM))
            throw new IllegalArgumentException("\"markMm\" must be 0 to " + MOST_MARK_MM + ", got " + markMm);
        if (!(foldShare >= 0 && foldShare < 1))
            throw new IllegalArgumentException("\"foldShare\" must be 0 to 1, got " + foldShare);
    }

    /**
     * {@return where a box of the upright page lies on the page as it came: its left, top, right and bottom, in the units given}
     *
     * @param wide how wide what is seen of the page is as it came
     * @param high how high
     */
    public double[] asCame(double left, double top, double right, double bottom, double wide, double high) {
        return switch (turns) {
            case 1 -> new double[] {top, high - right, bottom, high - left};
            case 2 -> new double[] {wide - right, high - bottom, wide - left, high - top};
            case 3 -> new double[] {wide - bottom, left, wide - top, right};
            default -> new double[] {left, top, right, bottom};
        };
    }

    /** {@return whether it is surely blank: nothing on it but dirt} */
    public boolean isBlank() {
        return markMm == 0;
    }

    public SheetState withTurns(int newTurns) {
        return new SheetState(newTurns, perhapsTurns, slantDegrees, markMm, edges, foldShare);
    }

    public SheetState withPerhapsTurns(int newTurns) {
        return new SheetState(turns, newTurns, slantDegrees, markMm, edges, foldShare);
    }

    public SheetState withSlant(double degrees) {
        return new SheetState(turns, perhapsTurns, degrees, markMm, edges, foldShare);
    }

    public SheetState withMark(double newMarkMm) {
        return new SheetState(turns, perhapsTurns, slantDegrees, newMarkMm, edges, foldShare);
    }

    public SheetState withEdges(DarkEdges newEdges) {
        return new SheetState(turns, perhapsTurns, slantDegrees, markMm, newEdges, foldShare);
    }

    public SheetState withFold(double share) {
        return new SheetState(turns, perhapsTurns, slantDegrees, markMm, edges, share);
    }

    /** How far the dark edges reach into a page as it came, in millimetres; no words stand in them. */
    public record DarkEdges(double leftMm, double topMm, double rightMm, double bottomMm) {
        public static final DarkEdges NONE = new DarkEdges(0, 0, 0, 0);

        public DarkEdges {
            if (!(leftMm >= 0 && topMm >= 0 && rightMm >= 0 && bottomMm >= 0)) throw new IllegalArgumentException(
                    "edges must be >= 0, got " + leftMm + ", " + topMm + ", " + rightMm + ", " + bottomMm);
        }

        public boolean areNone() {
            return equals(NONE);
        }
    }
}
