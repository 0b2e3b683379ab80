package app.yellowtab.convert.table;

import app.yellowtab.convert.page.Notes;
import app.yellowtab.convert.table.Grid.Cell;
import app.yellowtab.pdf.Canvas;
import app.yellowtab.pdf.FontSet;
import app.yellowtab.pdf.Typeface;
import app.yellowtab.pdf.Units;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/**
 * Sets a sheet on A4 pages: upright if its columns fit, else sideways, else smaller, else with its columns divided over
 * several runs of pages. Rows are drawn one by one, so that a long sheet takes no more memory than its cells.
 */
final class GridPages {
    private static final float SIDE_PT = Units.mm(15);
    private static final float TOP_PT = Units.mm(16);
    private static final float BOTTOM_PT = Units.mm(20);
    private static final float SIZE_PT = 9;
    private static final float LEADING = 1.25f;
    private static final float PAD_PT = 2.5f;
    /** Smaller letters are not to be read at a hearing. */
    private static final float SMALLEST = 0.72f;
    /** Chosen by us: longer ones are no numbers that anybody reads. */
    private static final float MOST_FOR_NUMBER_PT = 160;
    private static final int RULE_GREY = 0xC8C8C8;

    private final PDDocument document;
    private final FontSet fonts;
    private final Grid grid;
    private final String heading;
    private final Notes notes;
    private float pageWidth = Units.A4_WIDTH_PT;
    private float pageHeight = Units.A4_HEIGHT_PT;
    private float scale = 1;
    private float y;
    private int from;
    private int to;

    private GridPages(PDDocument document, FontSet fonts, Grid grid, String heading, Notes notes) {
        this.notes = notes;
        this.document = document;
        this.fonts = fonts;
        this.grid = grid;
        this.heading = heading;
    }

    /** @param heading stands above every page; empty for none */
    static void add(PDDocument document, FontSet fonts, Grid grid, String heading, Notes notes) throws IOException {
        new GridPages(document, fonts, grid, heading, notes).run();
    }

    private void run() throws IOException {
        widenForNumbers();
        float sum = 0;
        for (float width : grid.widths) sum += width;
        if (sum > pageWidth - 2 * SIDE_PT) {
            pageWidth = Units.A4_HEIGHT_PT;
            pageHeight = Units.A4_WIDTH_PT;
        }
        float room = pageWidth - 2 * SIDE_PT;
        if (sum > room) scale = Math.max(SMALLEST, room / sum);
        List<Integer> breaks = breaks(room / scale);
        if (breaks.size() > 2) notes.lost("columns of a wide sheet go on over further pages");
        for (int band = 0; band + 1 < breaks.size(); band++) {
            from = breaks.get(band);
            to = breaks.get(band + 1);
            addBand();
        }
    }

    /** A sum that is broken over two lines is read wrongly: columns are made as wide as their widest number. */
    private void widenForNumbers() {
        for (SortedMap<Integer, Cell> row : grid.rows) {
            for (Map.Entry<Integer, Cell> entry : row.entrySet()) {
                Cell cell = entry.getValue();
                int column = entry.getKey();
                if (cell.columns() > 1 || column >= grid.widths.size() || grid.widths.get(column) == 0) continue;
                float wanted = Math.min(MOST_FOR_NUMBER_PT, widestNumber(cell) + 2 * PAD_PT + 0.5f);
                if (wanted > grid.widths.get(column)) grid.widths.set(column, wanted);
            }
        }
    }

    /**
     * {@return how wide the widest part of a cell is that must stay on one line: all of a number, else any word with a digit in
     * it}
     */
    private static float widestNumber(Cell cell) {
        if (cell.text().codePoints().noneMatch(Character::isDigit)) return 0;
        String[] parts = cell.text().split(cell.align() == Cell.Align.RIGHT ? "\n" : "\\s+");
        float widest = 0;
        for (String part : parts)
            if (part.codePoints().anyMatch(Character::isDigit)) widest = Math.max(widest, face(cell).width(part, SIZE_PT));
        return widest;
    }

    /** {@return the columns at which a run of pages begins, and the end} */
    private List<Integer> breaks(float room) {
        List<Integer> breaks = new ArrayList<>(List.of(0));
        float at = 0;
        for (int column = 0; column < grid.widths.size(); column++) {
            float width = Math.min(grid.widths.get(column), room);
            if (at + width > room + 0.5f) {
                breaks.add(column);
                at = 0;
            }
            at += width;
        }
        breaks.add(grid.widths.size());
        return breaks;
    }

    private void addBand() throws IOException {
        int row = 0;
        while (row < grid.rows.size()) {
            PDPage page = new PDPage(new PDRectangle(pageWidth, pageHeight));
            document.addPage(page);
            try (Canvas canvas = new Canvas(document, page, fonts)) {
                y = pageHeight - TOP_PT;
                if (!heading.isEmpty()) canvas.left(heading, Typeface.SANS_BOLD, SIZE_PT, SIDE_PT, y + 6);
                if (row >= grid.headRows) for (int head = 0; head < grid.headRows; head++) draw(canvas, head, height(head));
                int first = row;
                while (row < grid.rows.size()) {
                    float height = height(row);
                    if (row > first && y - height < BOTTOM_PT) break;
                    draw(canvas, row++, height);
                }
            }
        }
    }

    private float width(int column) {
        return Math.min(grid.widths.get(column) * scale, pageWidth - 2 * SIDE_PT);
    }

    /** {@return the room of a cell: its columns, and those to the right that words may run over because they are empty} */
    private float room(SortedMap<Integer, Cell> row, int column, Cell cell) {
        int end = Math.min(column + cell.columns(), to);
        if (cell.align() == Cell.Align.LEFT) while (end < to && row.get(end) == null) end++;
        float room = 0;
        for (int c = Math.max(from, column); c < end; c++) room += width(c);
        return room;
    }

    private List<String> lines(SortedMap<Integer, Cell> row, int column, Cell cell) {
        List<String> lines = new ArrayList<>();
        float room = Math.max(8, room(row, column, cell) - 2 * PAD_PT);
        for (String line : cell.text().split("\n", -1)) lines.addAll(face(cell).wrap(line, SIZE_PT * scale, room));
        return lines;
    }

    private static Typeface face(Cell cell) {
        return cell.bold() ? Typeface.SANS_BOLD : Typeface.SANS;
    }

    private float height(int index) {
        SortedMap<Integer, Cell> row = grid.rows.get(index);
        int most = 1;
        for (Map.Entry<Integer, Cell> cell : row.subMap(from, to).entrySet())
            most = Math.max(most, lines(row, cell.getKey(), cell.getValue()).size());
        float page = pageHeight - TOP_PT - BOTTOM_PT;
        float wanted = most * SIZE_PT * scale * LEADING + 2 * PAD_PT;
        if (wanted > page) notes.lost("the end of cells that are higher than a page");
        return Math.min(page, wanted);
    }

    private void draw(Canvas canvas, int index, float height) throws IOException {
        SortedMap<Integer, Cell> row = grid.rows.get(index);
        float left = SIDE_PT;
        float x = left;
        for (int column = from; column < to; column++) {
            Cell cell = row.get(column);
            if (cell != null && cell.fill() >= 0) {
                float wide = 0;
                for (int c = column; c < Math.min(column + cell.columns(), to); c++) wide += width(c);
                canvas.fill(x, y - height, wide, height, cell.fill());
            }
            x += width(column);
        }
        float right = x;
        canvas.colour(RULE_GREY);
        canvas.rule(left, right, y, 0.4f);
        canvas.rule(left, right, y - height, 0.4f);
        canvas.upright(left, y, y - height, 0.4f);
        canvas.upright(right, y, y - height, 0.4f);
        canvas.colour(0);
        x = left;
        for (int column = from; column < to; column++) {
            Cell cell = row.get(column);
            if (cell != null && !cell.text().isEmpty()) drawText(canvas, row, column, cell, x, height);
            x += width(column);
        }
        y -= height;
    }

    private void drawText(Canvas canvas, SortedMap<Integer, Cell> row, int column, Cell cell, float x, float height)
            throws IOException {
        float size = SIZE_PT * scale;
        float own = 0;
        for (int c = column; c < Math.min(column + cell.columns(), to); c++) own += width(c);
        float line = y - PAD_PT - size;
        for (String text : lines(row, column, cell)) {
            if (line < y - height) break;
            switch (cell.align()) {
                case LEFT -> canvas.left(text, face(cell), size, x + PAD_PT, line);
                case RIGHT -> canvas.right(text, face(cell), size, x + own - PAD_PT, line);
                case CENTRE -> canvas.centre(text, face(cell), size, x + own / 2, line);
            }
            line -= size * LEADING;
        }
    }
}
