package app.yellowtab.convert.table;

import app.yellowtab.convert.page.TooLargeException;
import java.util.ArrayList;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;

/** A sheet of cells as they are shown. */
final class Grid {
    /** Chosen by us: some 3,000 pages; a sheet that was filled down to its last row by mistake has a million. */
    private static final int MOST_CELLS = 1_500_000;

    /** Chosen by us: some 5,000 pages. */
    private static final long MOST_LETTERS = 24_000_000;
    private static final int LONGEST_TEXT = 10_000;

    /** The width of a column of which the file says nothing. */
    static final float USUAL_WIDTH_PT = 64;

    final String name;
    final List<SortedMap<Integer, Cell>> rows = new ArrayList<>();
    /** Widths of the columns in points; a hidden one has none. */
    final List<Float> widths = new ArrayList<>();
    /** How many rows from the top are repeated on every page. */
    int headRows;

    Grid(String name) {
        this.name = name;
    }

    /**
     * A cell that shows something.
     *
     * @param fill    the colour behind it as 0xRRGGBB; -1 for none
     * @param columns how many columns it takes
     */
    record Cell(String text, Align align, boolean bold, int fill, int columns) {
        enum Align { LEFT, RIGHT, CENTRE }

        Cell {
            // More does not fit on a page, where the end is cut off and that is said.
            if (text.length() > LONGEST_TEXT) text = text.substring(0, LONGEST_TEXT);
        }
    }

    /** Bounds what one file makes: so many cells, so many letters in them. */
    static final class Count {
        private int cells;
        private long letters;

        /** Counts a cell before it is kept. */
        void add(String text) throws TooLargeException {
            letters += Math.min(text.length(), LONGEST_TEXT);
            if (++cells > MOST_CELLS) throw new TooLargeException("more than " + MOST_CELLS + " cells");
            if (letters > MOST_LETTERS)
                throw new TooLargeException("more than " + MOST_LETTERS / 1_000_000 + " million letters in its cells");
        }
    }

    SortedMap<Integer, Cell> addRow() {
        SortedMap<Integer, Cell> row = new TreeMap<>();
        rows.add(row);
        return row;
    }

    /** Takes away what lies empty below and to the right, and makes a head of the first row where the sheet looks like a list. */
    void finish() {
        while (!rows.isEmpty() && rows.getLast().values().stream().allMatch(cell -> cell.text().isEmpty())) rows.removeLast();
        int columns = rows.stream().mapToInt(row -> row.entrySet().stream().filter(e -> !e.getValue().text().isEmpty())
                .mapToInt(e -> e.getKey() + e.getValue().columns()).max().orElse(0)).max().orElse(0);
        while (widths.size() > columns) widths.removeLast();
        while (widths.size() < columns) widths.add(USUAL_WIDTH_PT);
        if (headRows == 0 && rows.size() > 20 && isHead(rows.getFirst(), columns)) headRows = 1;
        headRows = Math.min(headRows, Math.min(8, rows.size() - 1));
    }

    private boolean isHead(SortedMap<Integer, Cell> row, int columns) {
        long words = row.values().stream().filter(cell -> cell.text().codePoints().anyMatch(Character::isLetter)).count();
        return words == columns && columns > 1;
    }
}
