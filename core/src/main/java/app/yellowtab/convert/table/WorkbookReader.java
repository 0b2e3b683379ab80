package app.yellowtab.convert.table;

import app.yellowtab.convert.page.Notes;
import app.yellowtab.convert.table.Grid.Cell;
import app.yellowtab.finding.Finding.Code;
import java.io.IOException;
import java.nio.file.Path;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.SortedMap;
import org.apache.poi.hssf.record.crypto.Biff8EncryptionKey;
import org.apache.poi.hssf.util.HSSFColor;
import org.apache.poi.ss.usermodel.CellStyle;
import org.apache.poi.ss.usermodel.CellType;
import org.apache.poi.ss.usermodel.Color;
import org.apache.poi.ss.usermodel.DataFormatter;
import org.apache.poi.ss.usermodel.DateUtil;
import org.apache.poi.ss.usermodel.FillPatternType;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.ss.usermodel.Workbook;
import org.apache.poi.ss.usermodel.WorkbookFactory;
import org.apache.poi.ss.util.CellRangeAddress;
import org.apache.poi.xssf.usermodel.XSSFColor;
import org.jspecify.annotations.Nullable;

/** Reads workbooks. What formulas gave when the file was saved is what counts; nothing is calculated anew. */
final class WorkbookReader {
    private static final float PT_PER_PIXEL = 0.75f;
    /** Our letters are somewhat wider than those that columns are made for. */
    private static final float WIDER = 1.1f;

    private static final int SHORT_DATE = 14;
    private static final int SHORT_DATE_AND_TIME = 22;

    private final Workbook workbook;
    private final boolean monthFirst;
    private final DataFormatter formatter = new DataFormatter(Locale.UK);
    private final List<String> hidden = new ArrayList<>();
    private final Grid.Count count = new Grid.Count();
    private int comments;

    private WorkbookReader(Workbook workbook, boolean monthFirst) {
        this.workbook = workbook;
        this.monthFirst = monthFirst;
        formatter.setUseCachedValuesForFormulaCells(true);
    }

    static List<Grid> read(Path file, boolean monthFirst, Notes notes) throws IOException {
        try (Workbook workbook = WorkbookFactory.create(file.toFile(), Biff8EncryptionKey.getCurrentUserPassword(), true)) {
            WorkbookReader reader = new WorkbookReader(workbook, monthFirst);
            List<Grid> grids = new ArrayList<>();
            for (int i = 0; i < workbook.getNumberOfSheets(); i++) {
                Sheet sheet = workbook.getSheetAt(i);
                if (workbook.isSheetHidden(i) || workbook.isSheetVeryHidden(i)) {
                    reader.hidden.add("sheet " + sheet.getSheetName());
                    continue;
                }
                grids.add(reader.grid(sheet));
                var drawing = sheet.getDrawingPatriarch();
                if (drawing != null && drawing.iterator().hasNext()) notes.lost("pictures and charts on sheets");
            }
            if (!reader.hidden.isEmpty()) notes.say(Code.HIDDEN_LEFT_OUT, String.join(", ", reader.hidden));
            if (reader.comments > 0) notes.say(Code.COMMENTS_DROPPED, String.valueOf(reader.comments));
            return grids;
        }
    }

    private Grid grid(Sheet sheet) throws IOException {
        Grid grid = new Grid(sheet.getSheetName());
        int last = -1;
        for (Row row : sheet) last = Math.max(last, row.getLastCellNum());
        boolean columnsHidden = false;
        for (int column = 0; column < last; column++) {
            boolean hides = sheet.isColumnHidden(column);
            columnsHidden |= hides;
            grid.widths.add(hides ? 0f : sheet.getColumnWidthInPixels(column) * PT_PER_PIXEL * WIDER);
        }
        boolean rowsHidden = false;
        int next = 0;
        List<Integer> shown = new ArrayList<>();
        for (Row row : sheet) {
            if (row.getZeroHeight()) {
                rowsHidden = true;
                next = row.getRowNum() + 1;
                continue;
            }
            // Empty rows keep the distance that they make, within reason.
            for (int gap = Math.min(row.getRowNum() - next, 40); gap > 0; gap--) {
                grid.addRow();
                shown.add(-1);
            }
            next = row.getRowNum() + 1;
            shown.add(row.getRowNum());
            fill(grid.addRow(), row);
        }
        if (columnsHidden) hidden.add("columns of " + sheet.getSheetName());
        if (rowsHidden) hidden.add("rows of " + sheet.getSheetName());
        merge(sheet, grid, shown);
        CellRangeAddress repeated = sheet.getRepeatingRows();
        if (repeated != null && repeated.getFirstRow() == 0) grid.headRows = repeated.getLastRow() + 1;
        else if (sheet.getPaneInformation() != null && sheet.getPaneInformation().isFreezePane())
            grid.headRows = sheet.getPaneInformation().getHorizontalSplitTopRow();
        grid.finish();
        return grid;
    }

    private void fill(SortedMap<Integer, Cell> into, Row row) throws IOException {
        for (org.apache.poi.ss.usermodel.Cell cell : row) {
            if (row.getSheet().isColumnHidden(cell.getColumnIndex())) continue;
            if (cell.getCellComment() != null) comments++;
            String text = text(cell).strip();
            count.add(text);
            CellStyle style = cell.getCellStyle();
            int fill = style.getFillPattern() == FillPatternType.NO_FILL ? -1 : colour(style.getFillForegroundColorColor());
            if (text.isEmpty() && fill < 0) continue;
            boolean bold = workbook.getFontAt(style.getFontIndex()).getBold();
            into.put(cell.getColumnIndex(), new Cell(text, align(cell, style), bold, fill, 1));
        }
    }

    /**
     * {@return what a cell shows} The built-in short dates stand for the reader's own order of day and month (ECMA-376 part 1,
     * 18.8.30).
     */
    private String text(org.apache.poi.ss.usermodel.Cell cell) {
        CellType type = cell.getCellType() == CellType.FORMULA ? cell.getCachedFormulaResultType() : cell.getCellType();
        int format = cell.getCellStyle().getDataFormat();
        if (type != CellType.NUMERIC || format != SHORT_DATE && format != SHORT_DATE_AND_TIME
                || !DateUtil.isValidExcelDate(cell.getNumericCellValue())) {
            return formatter.formatCellValue(cell);
        }
        String pattern = (monthFirst ? "MM/dd/uuuu" : "dd/MM/uuuu") + (format == SHORT_DATE ? "" : " HH:mm");
        return DateTimeFormatter.ofPattern(pattern, Locale.ROOT).format(cell.getLocalDateTimeCellValue());
    }

    private static Cell.Align align(org.apache.poi.ss.usermodel.Cell cell, CellStyle style) {
        return switch (style.getAlignment()) {
            case RIGHT -> Cell.Align.RIGHT;
            case CENTER, CENTER_SELECTION -> Cell.Align.CENTRE;
            case GENERAL -> {
                CellType type = cell.getCellType() == CellType.FORMULA ? cell.getCachedFormulaResultType() : cell.getCellType();
                yield type == CellType.NUMERIC ? Cell.Align.RIGHT
                        : type == CellType.BOOLEAN ? Cell.Align.CENTRE : Cell.Align.LEFT;
            }
            default -> Cell.Align.LEFT;
        };
    }

    /** {@return a colour as 0xRRGGBB; -1 where it is none that can be told, or too dark to read on} */
    private int colour(@Nullable Color colour) {
        int rgb = -1;
        if (colour instanceof XSSFColor newer) {
            byte[] bytes = newer.getRGBWithTint();
            if (bytes != null && bytes.length >= 3) rgb = (bytes[0] & 0xFF) << 16 | (bytes[1] & 0xFF) << 8 | bytes[2] & 0xFF;
        } else if (colour instanceof HSSFColor older && older.getIndex() != HSSFColor.HSSFColorPredefined.AUTOMATIC.getIndex()) {
            short[] triplet = older.getTriplet();
            rgb = triplet[0] << 16 | triplet[1] << 8 | triplet[2];
        }
        return rgb < 0 || luminance(rgb) < 0.45 ? -1 : rgb;
    }

    private static double luminance(int rgb) {
        return (0.299 * (rgb >> 16 & 0xFF) + 0.587 * (rgb >> 8 & 0xFF) + 0.114 * (rgb & 0xFF)) / 255;
    }

    /** @param shown the sheet's row that each row of the grid shows; -1 for an empty one */
    private static void merge(Sheet sheet, Grid grid, List<Integer> shown) {
        Map<Integer, Integer> places = new HashMap<>();
        for (int i = 0; i < shown.size(); i++) places.putIfAbsent(shown.get(i), i);
        for (CellRangeAddress merged : sheet.getMergedRegions()) {
            Integer top = places.get(merged.getFirstRow());
            if (top == null) continue;
            SortedMap<Integer, Cell> row = grid.rows.get(top);
            Cell cell = row.get(merged.getFirstColumn());
            if (cell == null) continue;
            int columns = merged.getLastColumn() - merged.getFirstColumn() + 1;
            row.put(merged.getFirstColumn(), new Cell(cell.text(), cell.align(), cell.bold(), cell.fill(), columns));
        }
    }
}
