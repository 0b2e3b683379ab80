package app.yellowtab.model.page;

/** The size of a sheet of paper, in millimetres. */
public record Sheet(double widthMm, double heightMm) {
    /** ISO 216. */
    public static final Sheet A4 = new Sheet(210, 297);
    /** The largest side a PDF page may have: 14,400 points (ISO 32000-1:2008, annex C). */
    private static final double LARGEST_MM = 5080;

    public Sheet {
        if (!(widthMm >= 1 && widthMm <= LARGEST_MM))
            throw new IllegalArgumentException("\"widthMm\" must be 1 to " + LARGEST_MM + ", got " + widthMm);
        if (!(heightMm >= 1 && heightMm <= LARGEST_MM))
            throw new IllegalArgumentException("\"heightMm\" must be 1 to " + LARGEST_MM + ", got " + heightMm);
    }
}
