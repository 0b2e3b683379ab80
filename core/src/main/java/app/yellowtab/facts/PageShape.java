package app.yellowtab.facts;

/**
 * The shape of a page as it came.
 *
 * @param leftPt   where its visible box begins (ISO 32000-1:2008, 14.11.2), in units of the page, before its turn
 * @param bottomPt where its visible box begins
 * @param widthPt  of its visible box
 * @param heightPt of its visible box
 * @param turn     how far it is turned clockwise when it is shown: 0, 90, 180 or 270 degrees
 * @param userUnit how many points one unit of the page is
 */
public record PageShape(double leftPt, double bottomPt, double widthPt, double heightPt, int turn, double userUnit) {
    /** An upright sheet of A4 (ISO 216). */
    public static final PageShape A4 = new PageShape(0, 0, 210 * 72 / Length.MM_PER_INCH, 297 * 72 / Length.MM_PER_INCH, 0, 1);

    public PageShape {
        if (!(widthPt > 0 && heightPt > 0))
            throw new IllegalArgumentException("a page must have an extent, got " + widthPt + " x " + heightPt);
        if (turn % 90 != 0 || turn < 0 || turn > 270)
            throw new IllegalArgumentException("\"turn\" must be 0, 90, 180 or 270, got " + turn);
        if (!(userUnit > 0)) throw new IllegalArgumentException("\"userUnit\" must be more than 0, got " + userUnit);
    }

    /** {@return the width that a reader sees, in points} */
    public double seenWidthPt() {
        return (turn % 180 == 0 ? widthPt : heightPt) * userUnit;
    }

    /** {@return the height that a reader sees, in points} */
    public double seenHeightPt() {
        return (turn % 180 == 0 ? heightPt : widthPt) * userUnit;
    }
}
