package app.yellowtab.model.page;

/**
 * A part of a page, in millimetres from the upper left corner of the source's page as it came: its visible box, shown with its
 * own turn and user unit. It may reach over the page's edges.
 */
public record Area(double leftMm, double topMm, double widthMm, double heightMm) {
    /** The largest side a PDF page may have, with its user unit, is far less. */
    private static final double FURTHEST_MM = 1e6;

    public Area {
        if (!(Math.abs(leftMm) <= FURTHEST_MM)) throw new IllegalArgumentException("\"leftMm\" is no place on a page: " + leftMm);
        if (!(Math.abs(topMm) <= FURTHEST_MM)) throw new IllegalArgumentException("\"topMm\" is no place on a page: " + topMm);
        if (!(widthMm > 0 && widthMm <= FURTHEST_MM))
            throw new IllegalArgumentException("\"widthMm\" must be more than 0, got " + widthMm);
        if (!(heightMm > 0 && heightMm <= FURTHEST_MM))
            throw new IllegalArgumentException("\"heightMm\" must be more than 0, got " + heightMm);
    }
}
