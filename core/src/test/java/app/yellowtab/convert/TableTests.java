package app.yellowtab.convert;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.finding.Finding.Code;
import app.yellowtab.model.Reading;
import app.yellowtab.model.source.SourceKind;
import app.yellowtab.testing.Conversions;
import app.yellowtab.testing.WordFile;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.poi.hssf.record.crypto.Biff8EncryptionKey;
import org.apache.poi.hssf.usermodel.HSSFWorkbook;
import org.apache.poi.ss.usermodel.CellStyle;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.ss.usermodel.Workbook;
import org.apache.poi.ss.util.CellRangeAddress;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Spreadsheets, as the one who made them saw them. */
class TableTests {
    @TempDir
    private Path folder;

    private Conversions.Result workbook(SourceKind kind, Consumer<Workbook> fill) throws IOException {
        Path file = folder.resolve("book." + kind.name().toLowerCase(Locale.ROOT));
        try (Workbook workbook = kind == SourceKind.XLS ? new HSSFWorkbook() : new XSSFWorkbook();
                OutputStream out = Files.newOutputStream(file)) {
            fill.accept(workbook);
            workbook.write(out);
        }
        return Conversions.of(file, kind);
    }

    private static Row row(Sheet sheet, String... values) {
        Row row = sheet.createRow(sheet.getPhysicalNumberOfRows() == 0 ? 0 : sheet.getLastRowNum() + 1);
        for (int i = 0; i < values.length; i++) row.createCell(i).setCellValue(values[i]);
        return row;
    }

    private static CellStyle style(Workbook workbook, String format) {
        CellStyle style = workbook.createCellStyle();
        style.setDataFormat(workbook.createDataFormat().getFormat(format));
        return style;
    }

    @ParameterizedTest
    @EnumSource(value = SourceKind.class, names = {"XLSX", "XLS"})
    void shortDatesAreInTheReadersOrderWithAllTheirDigits(SourceKind kind) throws IOException {
        Conversions.Result result = workbook(kind, book -> {
            Row row = row(book.createSheet("Dates"), "Dates");
            for (int format : new int[] {14, 22}) {
                CellStyle style = book.createCellStyle();
                style.setDataFormat((short) format);
                row.createCell(row.getLastCellNum()).setCellValue(LocalDateTime.of(2016, 3, 9, 14, 5));
                row.getCell(row.getLastCellNum() - 1).setCellStyle(style);
            }
        });
        assertThat(result.page(1)).isEqualTo("Dates 09/03/2016 09/03/2016 14:05");
        Path file = folder.resolve("book." + kind.name().toLowerCase(Locale.ROOT));
        assertThat(Conversions.of(file, kind, new Reading(true, false, false)).page(1)).contains("03/09/2016 14:05");
    }

    @Test
    void aLongTextInVeryManyCellsIsBounded() throws IOException {
        String longText = "x".repeat(30_000) + " and then ".repeat(200);
        assertThatThrownBy(() -> workbook(SourceKind.XLSX, book -> {
            Sheet sheet = book.createSheet("Long");
            for (int i = 0; i < 3000; i++) row(sheet, longText);
        })).hasMessageContaining("million letters");
        Conversions.Result few = workbook(SourceKind.XLSX, book -> {
            Sheet sheet = book.createSheet("Long");
            for (int i = 0; i < 20; i++) row(sheet, longText);
        });
        assertThat(few.pages()).hasSize(20);
        assertThat(few.detail(Code.CONVERSION_LOST)).contains("higher than a page");
    }

    @ParameterizedTest
    @EnumSource(value = SourceKind.class, names = {"XLSX", "XLS"})
    void cellsAreShownAsTheyWere(SourceKind kind) throws IOException {
        Conversions.Result result = workbook(kind, book -> {
            Row row = row(book.createSheet("Loss"), "Loss");
            row.createCell(1).setCellValue(61880);
            row.getCell(1).setCellStyle(style(book, "£#,##0.00"));
            row.createCell(2).setCellValue(LocalDate.of(2031, 3, 4));
            row.getCell(2).setCellStyle(style(book, "d mmm yyyy"));
            row.createCell(3).setCellValue(0.125);
            row.getCell(3).setCellStyle(style(book, "0.0%"));
            for (int i = 0; i < 4; i++) book.getSheetAt(0).setColumnWidth(i, 16 * 256);
        });
        assertThat(result.page(1)).isEqualTo("Loss £61,880.00 4 Mar 2031 12.5%");
        assertThat(result.findings()).isEmpty();
    }

    @Test
    void aFormulaShowsWhatItGaveWhenItWasSaved() throws IOException {
        Conversions.Result result = workbook(SourceKind.XLSX, book -> {
            Sheet sheet = book.createSheet();
            sheet.createRow(0).createCell(0).setCellFormula("2*21");
            book.getCreationHelper().createFormulaEvaluator().evaluateAll();
        });
        assertThat(result.page(1)).isEqualTo("42");
    }

    @Test
    void whatIsHiddenIsLeftOutAndSaid() throws IOException {
        Conversions.Result result = workbook(SourceKind.XLSX, book -> {
            Sheet shown = book.createSheet("Shown");
            row(shown, "a", "secret column", "c");
            row(shown, "secret row").setZeroHeight(true);
            shown.setColumnHidden(1, true);
            row(book.createSheet("Working"), "secret sheet");
            book.setSheetHidden(1, true);
        });
        assertThat(result.pages()).containsExactly("a c");
        assertThat(result.detail(Code.HIDDEN_LEFT_OUT)).contains("columns of Shown", "rows of Shown", "sheet Working");
    }

    @Test
    void everySheetIsSetUnderItsNameAndItsHeadIsRepeated() throws IOException {
        Conversions.Result result = workbook(SourceKind.XLSX, book -> {
            Sheet log = book.createSheet("Log");
            row(log, "Hour", "Reading");
            for (int i = 1; i <= 120; i++) row(log, "hour " + i, "value " + i);
            log.setRepeatingRows(CellRangeAddress.valueOf("1:1"));
            row(book.createSheet("Notes"), "short");
        });
        assertThat(result.pages().getLast()).isEqualTo("Notes short");
        assertThat(result.pages().subList(0, result.pages().size() - 1)).hasSizeGreaterThan(1)
                .allMatch(page -> page.startsWith("Log Hour Reading hour "));
        assertThat(String.join(" ", result.pages())).contains("hour 1 value 1 ", "hour 120 value 120");
    }

    @Test
    void aWideSheetTurnsSidewaysAndAVeryWideOneGoesOn() throws IOException {
        Conversions.Result wide = workbook(SourceKind.XLSX, book -> columns(book.createSheet(), 9));
        try (PDDocument document = Loader.loadPDF(wide.pdf().toFile())) {
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            assertThat(document.getPage(0).getMediaBox().getWidth()).isGreaterThan(800);
        }
        Conversions.Result veryWide = workbook(SourceKind.XLSX, book -> columns(book.createSheet(), 40));
        assertThat(veryWide.pages()).hasSizeGreaterThan(2);
        assertThat(String.join(" ", veryWide.pages())).contains("c0 ", "c20", "c39");
        assertThat(veryWide.detail(Code.CONVERSION_LOST)).contains("columns");
    }

    private static void columns(Sheet sheet, int count) {
        String[] values = new String[count];
        for (int i = 0; i < count; i++) {
            values[i] = "c" + i;
            sheet.setColumnWidth(i, 14 * 256);
        }
        row(sheet, values);
    }

    @Test
    void hiddenPartsOfOpenDocumentSheetsAreLeftOut() throws IOException {
        String content =
                "<office:document-content xmlns:office=\"urn:oasis:names:tc:opendocument:xmlns:office:1.0\" "
                        + "xmlns:table=\"urn:oasis:names:tc:opendocument:xmlns:table:1.0\" "
                        + "xmlns:text=\"urn:oasis:names:tc:opendocument:xmlns:text:1.0\"><office:body><office:spreadsheet>"
                        + "<table:table table:name=\"S\"><table:table-column/>"
                        + "<table:table-column "
                        + "table:visibility=\"collapse\"/><table:table-column/><table:table-row><table:table-cell><text:p>a</"
                        + "text:p></table:table-cell>"
                        + "<table:table-cell><text:p>secret "
                        + "column</text:p></table:table-cell><table:table-cell><text:p>c</text:p></table:table-cell></"
                        + "table:table-row>"
                        + "<table:table-row table:visibility=\"filter\"><table:table-cell><text:p>secret "
                        + "row</text:p></table:table-cell></table:table-row></table:table></office:spreadsheet>"
                        + "</office:body></office:document-content>";
        Path file = WordFile.zip(folder.resolve("t.ods"), Map.of("content.xml", content.getBytes(StandardCharsets.UTF_8)));
        Conversions.Result result = Conversions.of(file, SourceKind.ODS);
        assertThat(result.pages()).containsExactly("a c");
        assertThat(result.codes()).containsExactly(Code.HIDDEN_LEFT_OUT);
    }

    @Test
    void longWordsWrapAndMergedCellsReachOver() throws IOException {
        Conversions.Result result = workbook(SourceKind.XLSX, book -> {
            Sheet sheet = book.createSheet();
            row(sheet, "A title over both columns of the table", "");
            sheet.addMergedRegion(CellRangeAddress.valueOf("A1:B1"));
            row(sheet, "a long text that needs several lines in so narrow a column", "next");
            sheet.setColumnWidth(0, 12 * 256);
        });
        assertThat(result.page(1)).startsWith("A title over both").contains("next", "narrow");
    }

    @Test
    void aLockedWorkbookOfTheOlderKindOpensWithItsPasswordOnly() throws IOException {
        Path file = folder.resolve("locked.xls");
        try (Workbook workbook = new HSSFWorkbook(); OutputStream out = Files.newOutputStream(file)) {
            row(workbook.createSheet(), "sealed figures");
            Biff8EncryptionKey.setCurrentUserPassword("orchard");
            workbook.write(out);
        } finally {
            Biff8EncryptionKey.setCurrentUserPassword(null);
        }
        assertThatThrownBy(() -> Conversions.of(file, SourceKind.XLS, Reading.STANDARD, "wrong"))
                .isInstanceOf(LockedException.class);
        assertThat(Conversions.of(file, SourceKind.XLS, Reading.STANDARD, "wrong", "orchard").page(1))
                .isEqualTo("sealed figures");
    }

    @Test
    void separatedValuesAreReadWhateverSeparatesThem() throws IOException {
        for (String separator : new String[] {",", ";", "\t"}) {
            Path file = Files.writeString(folder.resolve("bins.csv"), String.join(separator, "Day", "Bins") + "\n"
                    + String.join(separator, "\"Monday" + separator + " late\"", "40") + "\n");
            assertThat(Conversions.of(file, SourceKind.CSV).page(1).replaceAll(" +", " ")).startsWith("Day Bins Monday")
                    .endsWith("40");
        }
    }

    @Test
    void aLongListOfValuesKeepsEveryRow() throws IOException {
        StringBuilder text = new StringBuilder("Day,Bins\n");
        for (int i = 1; i <= 3000; i++) text.append("day ").append(i).append(',').append(i).append('\n');
        Conversions.Result result = Conversions.of(Files.writeString(folder.resolve("log.csv"), text), SourceKind.CSV);
        assertThat(String.join(" ", result.pages())).contains("day 1 1 ", "day 1500 1500 ", "day 3000 3000");
        assertThat(result.pages()).allMatch(page -> page.startsWith("Day Bins"));
    }

    @Test
    void noNumberIsBrokenOverTwoLines() throws IOException {
        Conversions.Result result = workbook(SourceKind.XLSX, book -> {
            Sheet sheet = book.createSheet("Loss");
            Row row = row(sheet, "Week", "Loss", "Reference");
            row = row(sheet, "6 October 2030", "", "TH-2030-000417/A");
            row.getCell(1).setCellValue(1220384.5);
            row.getCell(1).setCellStyle(style(book, "£#,##0.00"));
            for (int i = 0; i < 3; i++) sheet.setColumnWidth(i, 5 * 256);
        });
        try (PDDocument document = Loader.loadPDF(result.pdf().toFile())) {
            assertThat(new PDFTextStripper().getText(document).lines().map(String::strip))
                    .anyMatch(line -> line.contains("£1,220,384.50")).anyMatch(line -> line.contains("TH-2030-000417/A"));
        }
    }

    @Test
    void aCellThatIsHigherThanAPageSaysThatItsEndIsMissing() throws IOException {
        Conversions.Result result = workbook(SourceKind.XLSX,
                book -> row(book.createSheet("Notes"), "a line of a long note about the chamber\n".repeat(200)));
        assertThat(result.detail(Code.CONVERSION_LOST)).contains("higher than a page");
        assertThat(result.page(1)).startsWith("a line of a long note");
    }

    @Test
    void columnsOfWhichTheFileSaysNothingAreNotLost() throws IOException {
        String content =
                "<office:document-content xmlns:office=\"urn:oasis:names:tc:opendocument:xmlns:office:1.0\" "
                        + "xmlns:table=\"urn:oasis:names:tc:opendocument:xmlns:table:1.0\" "
                        + "xmlns:text=\"urn:oasis:names:tc:opendocument:xmlns:text:1.0\"><office:body><office:spreadsheet>"
                        + "<table:table "
                        + "table:name=\"S\"><table:table-row><table:table-cell><text:p>Month</text:p></table:table-cell>"
                        + "<table:table-cell><text:p>Charge</text:p></table:table-cell></table:table-row></table:table></"
                        + "office:spreadsheet></office:body></office:document-content>";
        Path file = WordFile.zip(folder.resolve("t.ods"), Map.of("content.xml", content.getBytes(StandardCharsets.UTF_8)));
        assertThat(Conversions.of(file, SourceKind.ODS).page(1)).isEqualTo("Month Charge");
    }
}
