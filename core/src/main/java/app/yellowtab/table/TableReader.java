package app.yellowtab.table;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellType;
import org.apache.poi.ss.usermodel.DataFormatter;
import org.apache.poi.ss.usermodel.DateUtil;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.ss.usermodel.Workbook;
import org.apache.poi.ss.usermodel.WorkbookFactory;
import org.apache.poi.ss.util.CellRangeAddress;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFTable;
import org.apache.poi.xwpf.usermodel.XWPFTableCell;
import org.apache.poi.xwpf.usermodel.XWPFTableRow;
import org.jspecify.annotations.Nullable;

/** Reads the tables of spreadsheets, of separated values, and of word-processor files. */
public final class TableReader {
    /** More is no index. */
    private static final int MOST_ROWS = 50_000;
    private static final int MOST_COLUMNS = 40;
    private static final String[] MONTHS = {"January", "February", "March", "April", "May", "June", "July", "August", "September",
            "October", "November", "December"};

    private TableReader() {}

    /**
     * {@return the tables of a file, in order; at least one with a row}
     *
     * @throws FindingException if it cannot be read, or has no table
     */
    public static List<IndexTable> read(Path file) throws FindingException {
        String name = String.valueOf(file.getFileName()).toLowerCase(Locale.ROOT);
        List<IndexTable> tables;
        try {
            if (!Files.isReadable(file)) throw new IOException("there is no such file, or you may not read it");
            if (name.endsWith(".docx")) tables = word(file);
            else if (name.endsWith(".xlsx") || name.endsWith(".xls")) tables = workbook(file);
            else if (name.endsWith(".csv") || name.endsWith(".txt")) tables = List.of(values(file));
            else throw new IOException(
                    "it is neither a spreadsheet (.xlsx), nor separated values (.csv), nor a Word document (.docx)");
        } catch (IOException | RuntimeException | LinkageError e) {
            throw new FindingException(Finding.of(Code.TABLE_NOT_READ, file,
                    e instanceof IOException ? String.valueOf(e.getMessage()) : "it is damaged or protected"), e);
        }
        List<IndexTable> filled = tables.stream().filter(table -> !table.rows().isEmpty()).toList();
        if (filled.isEmpty()) throw new FindingException(Finding.of(Code.TABLE_NOT_READ, file, "there is no table in it"), null);
        return filled;
    }

    private static List<IndexTable> workbook(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file); Workbook workbook = WorkbookFactory.create(in)) {
            DataFormatter format = new DataFormatter(Locale.UK);
            List<IndexTable> tables = new ArrayList<>();
            for (Sheet sheet : workbook) tables.add(table(sheet, format));
            return tables;
        }
    }

    private static IndexTable table(Sheet sheet, DataFormatter format) {
        List<IndexTable.Row> rows = new ArrayList<>();
        List<CellRangeAddress> regions = sheet.getMergedRegions();
        for (org.apache.poi.ss.usermodel.Row row : sheet) {
            List<String> cells = new ArrayList<>();
            for (int column = 0; column < Math.min(row.getLastCellNum(), MOST_COLUMNS); column++)
                cells.add(words(row.getCell(column), format));
            boolean spans = regions.stream().anyMatch(merged -> isAcross(merged, row.getRowNum()));
            add(rows, row.getRowNum() + 1, cells, spans);
            if (rows.size() >= MOST_ROWS) break;
        }
        return new IndexTable(rows);
    }

    private static boolean isAcross(CellRangeAddress merged, int row) {
        return merged.getFirstRow() == row && merged.getLastColumn() > merged.getFirstColumn();
    }

    private static String words(@Nullable Cell cell, DataFormatter format) {
        if (cell == null) return "";
        CellType type = cell.getCellType() == CellType.FORMULA ? cell.getCachedFormulaResultType() : cell.getCellType();
        if (type == CellType.NUMERIC && DateUtil.isCellDateFormatted(cell)) {
            LocalDateTime day = cell.getLocalDateTimeCellValue();
            return day.getDayOfMonth() + " " + MONTHS[day.getMonthValue() - 1] + " " + day.getYear();
        }
        if (type == CellType.STRING) return cell.getRichStringCellValue().getString();
        return format.formatCellValue(cell);
    }

    private static List<IndexTable> word(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file); XWPFDocument document = new XWPFDocument(in)) {
            List<IndexTable> tables = new ArrayList<>();
            for (XWPFTable table : document.getTables()) {
                List<IndexTable.Row> rows = new ArrayList<>();
                int number = 0;
                for (XWPFTableRow row : table.getRows()) {
                    List<String> cells = new ArrayList<>();
                    boolean spans = false;
                    for (XWPFTableCell cell : row.getTableCells()) {
                        cells.add(String.join(" ", cell.getParagraphs().stream().map(paragraph -> paragraph.getText().strip())
                                .filter(text -> !text.isEmpty()).toList()));
                        int width = cell.getCTTc().getTcPr() == null || cell.getCTTc().getTcPr().getGridSpan() == null ? 1
                                : cell.getCTTc().getTcPr().getGridSpan().getVal().intValue();
                        spans |= width > 1;
                        for (int more = 1; more < Math.min(width, MOST_COLUMNS); more++) cells.add("");
                    }
                    add(rows, ++number, cells, spans);
                }
                tables.add(new IndexTable(rows));
            }
            return tables;
        }
    }

    private static IndexTable values(Path file) throws IOException {
        String text = decoded(Files.readAllBytes(file)).replaceFirst("^\uFEFF", "");
        List<String> first = text.lines().limit(20).filter(line -> !line.isBlank()).toList();
        char separator = ',';
        for (char other : new char[] {';', '\t'}) if (first.stream().mapToLong(line -> count(line, other)).sum()
                > first.stream().mapToLong(line -> count(line, ',')).sum())
            separator = other;
        CSVFormat format = CSVFormat.DEFAULT.builder().setDelimiter(separator).setIgnoreEmptyLines(false).setLenientEof(true)
                .setTrailingData(true).get();
        List<IndexTable.Row> rows = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(text, format)) {
            for (CSVRecord record : parser) {
                // A mark before a formula, as tables of ours have it, is no part of the words.
                add(rows, (int) record.getRecordNumber(), record.toList().stream().limit(MOST_COLUMNS)
                        .map(value -> value.matches("'[=+\\-@][\\s\\S]*") ? value.substring(1) : value).toList(), false);
                if (rows.size() >= MOST_ROWS) break;
            }
        }
        return new IndexTable(rows);
    }

    private static long count(String line, char sign) {
        return line.chars().filter(c -> c == sign).count();
    }

    private static String decoded(byte[] bytes) {
        try {
            return StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes)).toString();
        } catch (CharacterCodingException older) {
            return new String(bytes, Charset.forName("windows-1252"));
        }
    }

    private static void add(List<IndexTable.Row> rows, int number, List<String> cells, boolean spans) {
        List<String> words = cells.stream().map(cell -> cell.replaceAll("[\\s\u00A0]+", " ").strip()).toList();
        if (words.stream().anyMatch(word -> !word.isEmpty())) rows.add(new IndexTable.Row(number, words, spans));
    }
}
