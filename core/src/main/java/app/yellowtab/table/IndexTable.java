package app.yellowtab.table;

import java.util.ArrayList;
import java.util.List;

/**
 * A table as it stands in a file, cell by cell.
 *
 * @param rows in order; empty ones are left out
 */
public record IndexTable(List<Row> rows) {
    public IndexTable {
        rows = List.copyOf(rows);
    }

    /**
     * One row.
     *
     * @param number where it stands in the file, counted from 1
     * @param cells  their words, without spaces around; a missing one at the end is empty
     * @param spans  whether its first filled cell reaches over several columns, as a heading does
     */
    public record Row(int number, List<String> cells, boolean spans) {
        public Row {
            cells = List.copyOf(cells);
        }

        /** {@return the words of a cell; empty where there is none} */
        public String cell(int column) {
            return column >= 0 && column < cells.size() ? cells.get(column) : "";
        }

        /** {@return the cells that are not empty} */
        public List<String> filled() {
            List<String> filled = new ArrayList<>(cells);
            filled.removeIf(String::isEmpty);
            return filled;
        }
    }

    /** {@return how many columns it has} */
    public int columns() {
        return rows.stream().mapToInt(row -> row.cells().size()).max().orElse(0);
    }
}
