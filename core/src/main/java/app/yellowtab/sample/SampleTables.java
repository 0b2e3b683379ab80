package app.yellowtab.sample;

import app.yellowtab.sample.paper.SampleFile;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.poi.hssf.usermodel.HSSFWorkbook;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellStyle;
import org.apache.poi.ss.usermodel.Font;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.ss.usermodel.Workbook;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.jspecify.annotations.Nullable;

/** Writes spreadsheets from lines "a | b | c"; "~~~ name" begins a sheet, "~~~ name hidden" a hidden one. */
final class SampleTables {
    private SampleTables() {}

    /** Writes .xlsx or .xls. */
    static void writeWorkbook(SampleFile file, Path target) throws IOException {
        boolean older = target.toString().endsWith(".xls");
        try (Workbook workbook = older ? new HSSFWorkbook() : new XSSFWorkbook()) {
            CellStyle money = workbook.createCellStyle();
            money.setDataFormat(workbook.createDataFormat().getFormat("£#,##0.00"));
            CellStyle head = workbook.createCellStyle();
            Font bold = workbook.createFont();
            bold.setBold(true);
            head.setFont(bold);
            Sheet sheet = null;
            for (String line : file.lines()) {
                if (line.startsWith("~~~ ")) {
                    sheet = workbook.createSheet(line.substring(4).replace(" hidden", ""));
                    sheet.setColumnWidth(0, 22 * 256);
                    if (line.endsWith(" hidden")) workbook.setSheetHidden(workbook.getNumberOfSheets() - 1, true);
                } else if (sheet != null) {
                    boolean first = sheet.getPhysicalNumberOfRows() == 0;
                    Row row = sheet.createRow(first ? 0 : sheet.getLastRowNum() + 1);
                    String[] values = line.split(" \\| ", -1);
                    for (int i = 0; i < values.length; i++)
                        fill(row.createCell(i), values[i].strip(), money, first ? head : null);
                }
            }
            if (older) {
                try (OutputStream out = Files.newOutputStream(target)) {
                    workbook.write(out);
                }
            } else {
                SampleZip.writeAgain(workbook::write, target);
            }
        }
    }

    private static void fill(Cell cell, String value, CellStyle money, @Nullable CellStyle head) {
        if (value.matches("£[\\d,.]+")) {
            cell.setCellValue(Double.parseDouble(value.substring(1).replace(",", "")));
            cell.setCellStyle(money);
        } else if (value.matches("-?\\d+(\\.\\d+)?")) {
            cell.setCellValue(Double.parseDouble(value));
        } else {
            cell.setCellValue(value);
        }
        if (head != null) cell.setCellStyle(head);
    }

    static void writeOds(SampleFile file, Path target) throws IOException {
        StringBuilder body = new StringBuilder("<office:spreadsheet>");
        boolean open = false;
        for (String line : file.lines()) {
            if (line.startsWith("~~~ ")) {
                body.append(open ? "</table:table>" : "").append("<table:table table:name=\"")
                        .append(SampleZip.escape(line.substring(4))).append("\">");
                open = true;
                continue;
            }
            body.append("<table:table-row>");
            for (String value : line.split(" \\| ", -1)) {
                boolean number = value.strip().matches("[£\\d,.]+");
                body.append("<table:table-cell office:value-type=\"").append(number ? "float" : "string").append("\"><text:p>")
                        .append(SampleZip.escape(value.strip())).append("</text:p></table:table-cell>");
            }
            body.append("</table:table-row>");
        }
        writeOpenDocument("spreadsheet", "", body.append("</table:table></office:spreadsheet>").toString(), target);
    }

    /** Writes a text whose lines are paragraphs, "# " ones headings, "- " ones items of a numbered list. */
    static void writeOdt(List<String> lines, Path target) throws IOException {
        StringBuilder body = new StringBuilder("<office:text>");
        boolean inList = false;
        for (String line : lines) {
            boolean item = line.startsWith("- ");
            if (item != inList) body.append(item ? "<text:list text:style-name=\"L1\">" : "</text:list>");
            inList = item;
            String words = SampleZip.escape(line.replaceFirst("^(# |- )", ""));
            if (item) body.append("<text:list-item><text:p>").append(words).append("</text:p></text:list-item>");
            else if (line.startsWith("# "))
                body.append("<text:h text:outline-level=\"1\" text:style-name=\"H\">").append(words).append("</text:h>");
            else body.append("<text:p text:style-name=\"P\">").append(words).append("</text:p>");
        }
        String styles =
                "<style:style style:name=\"P\" style:family=\"paragraph\"><style:paragraph-properties "
                        + "fo:margin-bottom=\"0.25cm\"/><style:text-properties fo:font-size=\"11.5pt\"/></style:style>"
                        + "<style:style style:name=\"H\" style:family=\"paragraph\"><style:paragraph-properties "
                        + "fo:margin-bottom=\"0.3cm\"/><style:text-properties fo:font-size=\"15pt\" "
                        + "fo:font-weight=\"bold\"/></style:style>"
                        + "<text:list-style style:name=\"L1\"><text:list-level-style-number text:level=\"1\" "
                        + "style:num-suffix=\".\" style:num-format=\"1\"/></text:list-style>";
        writeOpenDocument("text", styles, body.append(inList ? "</text:list>" : "").append("</office:text>").toString(), target);
    }

    /** Writes slides; "~~~ title" begins one. */
    static void writeOdp(List<String> lines, Path target) throws IOException {
        StringBuilder body = new StringBuilder("<office:presentation>");
        int line = 0;
        boolean open = false;
        for (String text : lines) {
            if (text.startsWith("~~~ ")) {
                body.append(open ? "</draw:page>" : "").append("<draw:page>").append(frame(1.5, 25, "T", text.substring(4)));
                open = true;
                line = 0;
            } else {
                body.append(frame(5 + 1.8 * line++, 25, "B", text));
            }
        }
        String styles =
                "<style:style style:name=\"T\" style:family=\"paragraph\"><style:text-properties fo:font-size=\"30pt\" "
                        + "fo:font-weight=\"bold\"/></style:style>"
                        + "<style:style style:name=\"B\" style:family=\"paragraph\"><style:text-properties "
                        + "fo:font-size=\"20pt\"/></style:style>";
        writeOpenDocument("presentation", styles, body.append("</draw:page></office:presentation>").toString(), target);
    }

    private static String frame(double yCm, double widthCm, String style, String words) {
        return "<draw:frame svg:x=\"1.5cm\" svg:y=\"" + yCm + "cm\" svg:width=\"" + widthCm
                + "cm\" svg:height=\"1.6cm\"><draw:text-box><text:p text:style-name=\"" + style + "\">"
                + SampleZip.escape(words) + "</text:p></draw:text-box></draw:frame>";
    }

    private static void writeOpenDocument(String kind, String styles, String body, Path target) throws IOException {
        String spaces = "";
        for (String space : new String[] {"office", "style", "text", "table"})
            spaces += " xmlns:" + space + "=\"urn:oasis:names:tc:opendocument:xmlns:" + space + ":1.0\"";
        spaces +=
                " xmlns:draw=\"urn:oasis:names:tc:opendocument:xmlns:drawing:1.0\" "
                        + "xmlns:fo=\"urn:oasis:names:tc:opendocument:xmlns:xsl-fo-compatible:1.0\" "
                        + "xmlns:svg=\"urn:oasis:names:tc:opendocument:xmlns:svg-compatible:1.0\"";
        Map<String, byte[]> parts = new LinkedHashMap<>();
        parts.put("mimetype", ("application/vnd.oasis.opendocument." + kind).getBytes(StandardCharsets.US_ASCII));
        parts.put("content.xml",
                SampleZip.xml("<office:document-content" + spaces + " office:version=\"1.3\"><office:automatic-styles>" + styles
                        + "</office:automatic-styles><office:body>"
                        + body + "</office:body></office:document-content>"));
        parts.put("META-INF/manifest.xml", SampleZip.xml(
                "<manifest:manifest xmlns:manifest=\"urn:oasis:names:tc:opendocument:xmlns:manifest:1.0\" "
                        + "manifest:version=\"1.3\">"
                        + "<manifest:file-entry manifest:full-path=\"/\" "
                        + "manifest:media-type=\"application/vnd.oasis.opendocument."
                        + kind + "\"/>"
                        + "<manifest:file-entry manifest:full-path=\"content.xml\" "
                        + "manifest:media-type=\"text/xml\"/></manifest:manifest>"));
        SampleZip.write(target, parts);
    }

    /** Writes rich text; lines are paragraphs, "# " ones bold. */
    static void writeRtf(List<String> lines, Path target) throws IOException {
        StringBuilder rtf = new StringBuilder(
                "{\\rtf1\\ansi\\ansicpg1252\\deff0{\\fonttbl{\\f0 Times New "
                        + "Roman;}}\\paperw11906\\paperh16838\\margl1440\\margr1440\\margt1440\\margb1440\n");
        for (String line : lines) {
            StringBuilder words = new StringBuilder();
            line.replaceFirst("^# ", "").chars().forEach(c -> words.append(c < 128 ? String.valueOf((char) c) : "\\u" + c + "?"));
            rtf.append("\\pard\\sa140\\f0\\fs23 ").append(line.startsWith("# ") ? "{\\b " + words + "}" : words)
                    .append("\\par\n");
        }
        Files.writeString(target, rtf.append("}").toString(), StandardCharsets.US_ASCII);
    }
}
