package app.yellowtab.convert.table;

import java.util.ArrayList;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;

/** A sheet of cells as they are shown. */
final class Grid {
    /** Chosen by us: some 3,000 pages; a sheet that was filled down to its last row by mistake has a million. */
    static final int MOST_CELLS = 1_500_000;

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
    }

    SortedMap<Integer, Cell> addRow() {
        SortedMap<Integer, Cell> row = new TreeMap<>();
        rows.add(row);
        return row;
    }

    /** Takes away what lies empty below and to the right, and makes a head of the first row where the sheet looks like a list. */
    void finish() {
        while (!rows.isEmpty() && rows.getLast().values().stream().allMatch(cell -> cell.text().isEmpty())) rows.removeLast();
        int columns = rows.stream().mapToInt(row -> row.entrySet().stream().filter(e -> !e.getValue().text().isEmpty()).mapToInt(e -> e.getKey() + e.getValue().columns()).max().orElse(0)).max().orElse(0);
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
