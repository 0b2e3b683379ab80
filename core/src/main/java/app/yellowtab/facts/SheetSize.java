package app.yellowtab.facts;

/**
 * A size of sheet, the way up that it is shown.
 *
 * @param widthMm  in millimetres
 * @param heightMm in millimetres
 * @param pages    how many pages have it
 */
public record SheetSize(int widthMm, int heightMm, int pages) {
    /** Sizes are named that are this near (ISO 216 allows 2 mm). */
    private static final int NEAR_MM = 3;
    private static final Object[][] NAMED =
            {{"A4", 210, 297}, {"A3", 297, 420}, {"A5", 148, 210}, {"A2", 420, 594}, {"A1", 594, 841}, {"A0", 841, 1189},
                    {"Letter size", 216, 279}, {"Legal size", 216, 356}};

    public boolean isLandscape() {
        return widthMm > heightMm;
    }

    /** {@return its name, such as "A4 landscape"; its measures where it has none} */
    public String shown() {
        int narrow = Math.min(widthMm, heightMm);
        int wide = Math.max(widthMm, heightMm);
        for (Object[] named : NAMED) {
            if (Math.abs(narrow - (int) named[1]) <= NEAR_MM && Math.abs(wide - (int) named[2]) <= NEAR_MM)
                return named[0] + (isLandscape() ? " landscape" : "");
        }
        return widthMm + " × " + heightMm + " mm";
    }
}
