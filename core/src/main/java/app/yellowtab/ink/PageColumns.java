package app.yellowtab.ink;

/**
 * Whether a page is set in two columns of running text, as law reports are: such pages are read column by column, and all others,
 * letters and tables among them, row by row. A quick look, on a raster of a millimetre or so.
 */
public final class PageColumns {
    private static final double CELLS_AN_INCH = 25.4;
    private static final int DARK = 128;
    /** The gap between columns, in cells. */
    private static final int GAP = 3;
    private static final double FROM = 0.35;
    private static final double TO = 0.65;
    /** So many rows must have text on both sides, and so large a part of these nothing in the gap. */
    private static final int LEAST_ROWS = 30;
    private static final double EMPTY = 0.95;
    /** Running text fills its column so far; the cells of tables do not. */
    private static final double FILLED = 0.65;

    private PageColumns() {}

    /** {@return whether there are two columns of running text} */
    public static boolean areTwo(GreyPicture picture) {
        int cell = (int) Math.max(1, Math.round(picture.dpi() / CELLS_AN_INCH));
        int columns = picture.width() / cell;
        int rows = picture.height() / cell;
        boolean[][] ink = new boolean[rows][columns];
        for (int row = 0; row < rows; row++)
            for (int column = 0; column < columns; column++) ink[row][column] = isInk(picture, row * cell, column * cell, cell);
        for (int gap = (int) (columns * FROM); gap + GAP < columns * TO; gap++) if (isBetween(ink, gap, columns)) return true;
        return false;
    }

    private static boolean isInk(GreyPicture picture, int top, int left, int cell) {
        int dark = 0;
        for (int y = top; y < top + cell; y++)
            for (int x = left; x < left + cell; x++) if ((picture.pixels()[y * picture.width() + x] & 255) < DARK) dark++;
        // A speck is no letter.
        return dark >= Math.max(2, cell * cell / 16);
    }

    private static boolean isBetween(boolean[][] ink, int gap, int columns) {
        int both = 0;
        int empty = 0;
        double left = 0;
        double right = 0;
        int leftmost = columns;
        int rightmost = 0;
        for (boolean[] row : ink) {
            int first = next(row, 0, gap);
            int last = last(row, gap + GAP, columns);
            if (first >= 0) leftmost = Math.min(leftmost, first);
            if (last >= 0) rightmost = Math.max(rightmost, last);
        }
        for (boolean[] row : ink) {
            int first = next(row, 0, gap);
            int last = last(row, gap + GAP, columns);
            if (first < 0 || last < 0) continue;
            both++;
            if (next(row, gap, gap + GAP) < 0) empty++;
            left += (double) (last(row, 0, gap) - first + 1) / Math.max(1, gap - leftmost);
            right += (double) (last - next(row, gap + GAP, columns) + 1) / Math.max(1, rightmost - gap - GAP);
        }
        return both >= LEAST_ROWS && empty >= EMPTY * both && left >= FILLED * both && right >= FILLED * both;
    }

    private static int next(boolean[] row, int from, int end) {
        for (int i = from; i < end; i++) if (row[i]) return i;
        return -1;
    }

    private static int last(boolean[] row, int from, int end) {
        for (int i = end - 1; i >= from; i--) if (row[i]) return i;
        return -1;
    }
}
