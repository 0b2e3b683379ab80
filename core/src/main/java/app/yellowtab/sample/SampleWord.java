package app.yellowtab.sample;

import app.yellowtab.sample.paper.SampleFile;
import java.io.IOException;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Writes a word-processor document (ECMA-376) from lines: "# " to "#### " are numbered levels (1., 1.1, (a), (i)), ". " is
 * centred, "> " stands right, "| a | b" is a row of a table, a line of "---" begins a new page and "~~~ landscape" a new
 * section; {@code [+words+]} were put in and {@code [-words-]} taken out by a reviewer, {@code [!words!]} is a comment and
 * {@code [^words^]} a footnote.
 */
final class SampleWord {
    private static final String SPACE = "xmlns:w=\"http://schemas.openxmlformats.org/wordprocessingml/2006/main\" "
            + "xmlns:r=\"http://schemas.openxmlformats.org/officeDocument/2006/relationships\"";
    private static final String OFFICE = "http://schemas.openxmlformats.org/officeDocument/2006/relationships/";
    private static final String TYPES = "application/vnd.openxmlformats-officedocument.wordprocessingml.";
    private static final Pattern MARK = Pattern.compile("\\[([+\\-!^])(.*?)\\1]");
    private static final String BY = " w:author=\"Idris Vantongeren\" w:date=\"2031-05-02T10:00:00Z\"";

    private final StringBuilder body = new StringBuilder();
    private final StringBuilder footnotes = new StringBuilder();
    private final StringBuilder comments = new StringBuilder();
    private boolean inTable;
    private int marks;

    private SampleWord() {}

    static void write(SampleFile file, Path target) throws IOException {
        new SampleWord().writeTo(file, target);
    }

    private void writeTo(SampleFile file, Path target) throws IOException {
        String header = "";
        for (String line : file.lines()) {
            if (line.startsWith("header: ")) header = line.substring(8);
            else add(line);
        }
        endTable();
        Map<String, byte[]> parts = new LinkedHashMap<>();
        parts.put("[Content_Types].xml",
                SampleZip.xml("<Types xmlns=\"http://schemas.openxmlformats.org/package/2006/content-types\">"
                        + "<Default Extension=\"rels\" "
                        + "ContentType=\"application/vnd.openxmlformats-package.relationships+xml\"/><Default "
                        + "Extension=\"xml\" ContentType=\"application/xml\"/>"
                        + type("document", "document.main") + type("styles", "styles") + type("numbering", "numbering")
                        + type("header1", "header") + type("footer1", "footer")
                        + type("footnotes", "footnotes") + type("comments", "comments") + "</Types>"));
        parts.put("_rels/.rels",
                SampleZip.xml("<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\">"
                        + "<Relationship Id=\"r1\" Type=\"" + OFFICE
                        + "officeDocument\" Target=\"word/document.xml\"/></Relationships>"));
        StringBuilder rels =
                new StringBuilder("<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\">");
        for (String part : new String[] {"styles", "numbering", "footnotes", "comments"})
            rels.append(relationship(part, part, part));
        rels.append(relationship("header", "header", "header1")).append(relationship("footer", "footer", "footer1"))
                .append("</Relationships>");
        parts.put("word/_rels/document.xml.rels", SampleZip.xml(rels.toString()));
        parts.put("word/document.xml", SampleZip
                .xml("<w:document " + SPACE + "><w:body>" + body + layout(file.has("landscape")) + "</w:body></w:document>"));
        parts.put("word/styles.xml", SampleZip.xml(SampleFile.resource("word-styles.xml").replace("SPACE", SPACE)));
        parts.put("word/numbering.xml", SampleZip.xml(SampleFile.resource("word-numbering.xml").replace("SPACE", SPACE)));
        parts.put("word/header1.xml",
                SampleZip.xml("<w:hdr " + SPACE + "><w:p><w:pPr><w:tabs><w:tab w:val=\"right\" w:pos=\"9026\"/></w:tabs></w:pPr>"
                        + runs(header) + "</w:p></w:hdr>"));
        parts.put("word/footer1.xml", SampleZip.xml("<w:ftr " + SPACE + "><w:p><w:pPr><w:jc w:val=\"center\"/></w:pPr>"
                + runs("Page ") + field("PAGE") + runs(" of ") + field("NUMPAGES") + "</w:p></w:ftr>"));
        parts.put("word/footnotes.xml", SampleZip.xml("<w:footnotes " + SPACE + ">" + footnotes + "</w:footnotes>"));
        parts.put("word/comments.xml", SampleZip.xml("<w:comments " + SPACE + ">" + comments + "</w:comments>"));
        SampleZip.write(target, parts);
    }

    private static String type(String part, String type) {
        return "<Override PartName=\"/word/" + part + ".xml\" ContentType=\"" + TYPES + type + "+xml\"/>";
    }

    private static String relationship(String id, String type, String part) {
        return "<Relationship Id=\"" + id + "\" Type=\"" + OFFICE + type + "\" Target=\"" + part + ".xml\"/>";
    }

    private static String field(String name) {
        return "<w:fldSimple w:instr=\" " + name + " \"><w:r><w:t>1</w:t></w:r></w:fldSimple>";
    }

    private static String layout(boolean landscape) {
        return "<w:sectPr><w:headerReference w:type=\"default\" r:id=\"header\"/><w:footerReference w:type=\"default\" "
                + "r:id=\"footer\"/>"
                + (landscape ? "<w:pgSz w:w=\"16838\" w:h=\"11906\" w:orient=\"landscape\"/>"
                        : "<w:pgSz w:w=\"11906\" w:h=\"16838\"/>")
                + "<w:pgMar w:top=\"1440\" w:right=\"1440\" w:bottom=\"1440\" w:left=\"1440\" w:header=\"708\" "
                + "w:footer=\"708\"/></w:sectPr>";
    }

    private void add(String line) {
        if (line.startsWith("| ")) {
            addRow(line.substring(2).split(" \\| ", -1));
            return;
        }
        endTable();
        int level = line.startsWith("#") ? line.indexOf(' ') : 0;
        if (level > 0) paragraph("<w:pStyle w:val=\"Level" + level + "\"/>", line.substring(level + 1));
        else if (line.startsWith(". ")) paragraph("<w:jc w:val=\"center\"/>", line.substring(2));
        else if (line.startsWith("> ")) paragraph("<w:jc w:val=\"right\"/>", line.substring(2));
        else if (line.equals("---")) body.append("<w:p><w:r><w:br w:type=\"page\"/></w:r></w:p>");
        else if (line.equals("~~~ landscape")) body.append("<w:p><w:pPr>").append(layout(false)).append("</w:pPr></w:p>");
        else paragraph("", line);
    }

    private void paragraph(String properties, String text) {
        body.append("<w:p><w:pPr>").append(properties).append("</w:pPr>").append(runs(text)).append("</w:p>");
    }

    /** "<<" joins a cell with the one before it, "^^" with the one above. */
    private void addRow(String[] cells) {
        if (!inTable) {
            body.append("<w:tbl><w:tblPr><w:tblW w:w=\"5000\" w:type=\"pct\"/><w:tblBorders>");
            for (String side : new String[] {"top", "left", "bottom", "right", "insideH", "insideV"})
                body.append("<w:").append(side).append(" w:val=\"single\" w:sz=\"4\" w:color=\"808080\"/>");
            body.append("</w:tblBorders></w:tblPr><w:tblGrid>");
            for (int i = 0; i < cells.length; i++) body.append("<w:gridCol w:w=\"").append(9026 / cells.length).append("\"/>");
            body.append("</w:tblGrid>");
        }
        body.append("<w:tr>").append(inTable ? "" : "<w:trPr><w:tblHeader/></w:trPr>");
        for (int i = 0; i < cells.length; i++) {
            int span = 1;
            while (i + span < cells.length && cells[i + span].strip().equals("<<")) span++;
            String text = cells[i].strip();
            body.append("<w:tc><w:tcPr>").append(span > 1 ? "<w:gridSpan w:val=\"" + span + "\"/>" : "")
                    .append(text.equals("^^") ? "<w:vMerge/>" : text.endsWith(" vv") ? "<w:vMerge w:val=\"restart\"/>" : "")
                    .append(inTable ? "" : "<w:shd w:val=\"clear\" w:fill=\"E8EEF2\"/>").append("</w:tcPr><w:p>")
                    .append(text.equals("^^") ? "" : runs(text.replaceFirst(" vv$", "")))
                    .append("</w:p></w:tc>");
            i += span - 1;
        }
        body.append("</w:tr>");
        inTable = true;
    }

    private void endTable() {
        if (inTable) body.append("</w:tbl><w:p/>");
        inTable = false;
    }

    private String runs(String text) {
        StringBuilder runs = new StringBuilder();
        Matcher mark = MARK.matcher(text);
        int from = 0;
        while (mark.find()) {
            runs.append(run(text.substring(from, mark.start()), "t"));
            int id = ++marks;
            String words = mark.group(2);
            switch (mark.group(1)) {
                case "+" -> runs.append("<w:ins w:id=\"").append(id).append('"').append(BY).append('>').append(run(words, "t"))
                        .append("</w:ins>");
                case "-" -> runs.append("<w:del w:id=\"").append(id).append('"').append(BY).append('>')
                        .append(run(words, "delText")).append("</w:del>");
                case "!" -> {
                    comments.append("<w:comment w:id=\"").append(id).append('"').append(BY).append("><w:p>")
                            .append(run(words, "t")).append("</w:p></w:comment>");
                    runs.append("<w:r><w:commentReference w:id=\"").append(id).append("\"/></w:r>");
                }
                default -> {
                    footnotes.append("<w:footnote w:id=\"").append(id).append("\"><w:p>").append(run(words, "t"))
                            .append("</w:p></w:footnote>");
                    runs.append("<w:r><w:footnoteReference w:id=\"").append(id).append("\"/></w:r>");
                }
            }
            from = mark.end();
        }
        return runs.append(run(text.substring(from), "t")).toString();
    }

    private static String run(String text, String element) {
        if (text.isEmpty()) return "";
        StringBuilder run = new StringBuilder("<w:r>");
        String[] parts = text.split("\t", -1);
        for (int i = 0; i < parts.length; i++) {
            if (i > 0) run.append("<w:tab/>");
            run.append("<w:").append(element).append(" xml:space=\"preserve\">").append(SampleZip.escape(parts[i])).append("</w:")
                    .append(element).append('>');
        }
        return run.append("</w:r>").toString();
    }
}
