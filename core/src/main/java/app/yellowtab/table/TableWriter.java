package app.yellowtab.table;

import app.yellowtab.files.CsvLine;
import app.yellowtab.files.Drafts;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Subject;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.math.BigInteger;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellStyle;
import org.apache.poi.ss.usermodel.Font;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.ss.usermodel.VerticalAlignment;
import org.apache.poi.ss.util.CellRangeAddress;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.apache.poi.xwpf.usermodel.ParagraphAlignment;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFParagraph;
import org.apache.poi.xwpf.usermodel.XWPFRun;
import org.apache.poi.xwpf.usermodel.XWPFTable;
import org.apache.poi.xwpf.usermodel.XWPFTableRow;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTPageMar;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTSectPr;

/**
 * A table that is written as a spreadsheet, as separated values, or into a Word file, by the ending of the file's name.
 *
 * @param title    above it, where the form has room for that
 * @param heads    of its columns
 * @param widths   of its columns, in letters
 * @param rows     each with as many cells as there are heads
 * @param headings the numbers of the rows that are headings, counted from 0
 */
public record TableWriter(String title, List<String> heads, List<Integer> widths, List<List<String>> rows,
        Set<Integer> headings) {
    /** A twentieth of a point, the measure of Word files (ECMA-376, 17.18.81). */
    private static final int TWIPS_A_MM = 57;
    private static final int A_CHARACTER = 256;
    private static final String FACE = "Georgia";

    /**
     * Writes the table, whole or not at all.
     *
     * @throws FindingException if it cannot be written
     */
    public void write(Path target) throws FindingException {
        String name = String.valueOf(target.getFileName()).toLowerCase(Locale.ROOT);
        try {
            byte[] content = name.endsWith(".docx") ? word() : name.endsWith(".csv") ? values() : workbook();
            Drafts.write(target, content);
        } catch (IOException e) {
            throw new FindingException(
                    new Finding(Code.TARGET_NOT_WRITABLE, Subject.OfProduced.of(target, 0), String.valueOf(e.getMessage())), e);
        }
    }

    private byte[] values() {
        // Spreadsheets take the letters for what they are only behind this mark.
        StringBuilder table = new StringBuilder("\uFEFF").append(CsvLine.of(heads.toArray()));
        for (List<String> row : rows) table.append(CsvLine.of(row.toArray()));
        return table.toString().getBytes(StandardCharsets.UTF_8);
    }

    private byte[] workbook() throws IOException {
        try (XSSFWorkbook workbook = new XSSFWorkbook(); ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            Sheet sheet = workbook.createSheet("Index");
            CellStyle plain = style(workbook, false);
            CellStyle bold = style(workbook, true);
            row(sheet, 0, heads, bold);
            for (int i = 0; i < rows.size(); i++) row(sheet, i + 1, rows.get(i), headings.contains(i) ? bold : plain);
            for (int column = 0; column < widths.size(); column++) sheet.setColumnWidth(column, widths.get(column) * A_CHARACTER);
            sheet.createFreezePane(0, 1);
            sheet.setRepeatingRows(CellRangeAddress.valueOf("1:1"));
            sheet.getPrintSetup().setLandscape(true);
            sheet.setFitToPage(true);
            sheet.getPrintSetup().setFitHeight((short) 0);
            workbook.write(out);
            return out.toByteArray();
        }
    }

    private static CellStyle style(XSSFWorkbook workbook, boolean bold) {
        CellStyle style = workbook.createCellStyle();
        Font font = workbook.createFont();
        font.setBold(bold);
        style.setFont(font);
        style.setWrapText(true);
        style.setVerticalAlignment(VerticalAlignment.TOP);
        // A date or a number that is typed stays as it is typed.
        style.setDataFormat(workbook.createDataFormat().getFormat("@"));
        return style;
    }

    private static void row(Sheet sheet, int number, List<String> cells, CellStyle style) {
        Row row = sheet.createRow(number);
        for (int column = 0; column < cells.size(); column++) {
            Cell cell = row.createCell(column);
            cell.setCellStyle(style);
            cell.setCellValue(cells.get(column));
        }
    }

    private byte[] word() throws IOException {
        try (XWPFDocument document = new XWPFDocument(); ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            CTSectPr section = document.getDocument().getBody().addNewSectPr();
            section.addNewPgSz().setW(BigInteger.valueOf(210L * TWIPS_A_MM));
            section.getPgSz().setH(BigInteger.valueOf(297L * TWIPS_A_MM));
            CTPageMar margins = section.addNewPgMar();
            BigInteger margin = BigInteger.valueOf(20L * TWIPS_A_MM);
            margins.setLeft(margin);
            margins.setRight(margin);
            margins.setTop(margin);
            margins.setBottom(margin);
            XWPFParagraph above = document.createParagraph();
            above.setAlignment(ParagraphAlignment.CENTER);
            say(above, title, true, 14);
            XWPFTable table = document.createTable(1, heads.size());
            table.setWidth("100%");
            fill(table.getRow(0), heads, true);
            table.getRow(0).setRepeatHeader(true);
            for (int i = 0; i < rows.size(); i++) fill(table.createRow(), rows.get(i), headings.contains(i));
            int all = widths.stream().mapToInt(Integer::intValue).sum();
            for (XWPFTableRow row : table.getRows()) {
                row.setCantSplitRow(true);
                for (int column = 0; column < heads.size(); column++)
                    row.getCell(column).setWidth(String.valueOf(170 * TWIPS_A_MM * widths.get(column) / all));
            }
            document.write(out);
            return out.toByteArray();
        }
    }

    private static void fill(XWPFTableRow row, List<String> cells, boolean bold) {
        for (int column = 0; column < cells.size(); column++)
            say(row.getCell(column).getParagraphs().getFirst(), cells.get(column), bold, 10);
    }

    private static void say(XWPFParagraph paragraph, String words, boolean bold, int points) {
        XWPFRun run = paragraph.createRun();
        run.setText(words);
        run.setBold(bold);
        run.setFontFamily(FACE);
        run.setFontSize(points);
    }
}
