package app.yellowtab.facts;

/** How long things are in one unit and in another: an inch is 72 points (ISO 32000-1:2008, 8.3.2.3), and 25.4 mm. */
public final class Length {
    public static final double MM_PER_INCH = 25.4;
    public static final double PT_PER_MM = 72 / MM_PER_INCH;
    public static final double MM_PER_PT = MM_PER_INCH / 72;

    private Length() {}
}
