package app.yellowtab.convert.odf;

import app.yellowtab.convert.flow.Line;
import app.yellowtab.convert.flow.Look;
import app.yellowtab.convert.flow.Piece;
import app.yellowtab.convert.flow.Props;
import app.yellowtab.convert.flow.TrackedChanges;
import app.yellowtab.convert.page.Face;
import app.yellowtab.convert.page.Lengths;
import app.yellowtab.convert.page.Notes;
import app.yellowtab.convert.page.Parts;
import app.yellowtab.convert.page.PictureData;
import app.yellowtab.convert.page.Xml;
import app.yellowtab.finding.Finding.Code;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jsoup.nodes.Element;
import org.jspecify.annotations.Nullable;
import org.w3c.dom.Node;
import org.w3c.dom.Text;

/** Reads paragraphs, lists and tables of an OpenDocument text (OpenDocument 1.3 part 3, 5 to 9) into a tree of HTML. */
final class OdtReader {
    private static final double TAB_STOP_PT = 35.4;
    /** Chosen by us: a repetition is a way to write it short, not to fill the memory. */
    private static final int MOST_REPEATED = 1000;

    private final Parts parts;
    private final OdtStyles styles;
    private final Notes notes;
    private final boolean showChanges;
    private final boolean showComments;
    private final Map<String, org.w3c.dom.Element> changes = new HashMap<>();
    private OdtNumbers numbers;
    private boolean inserting;
    private int footnotes;
    private boolean countsPages;

    OdtReader(Parts parts, OdtStyles styles, boolean showChanges, boolean showComments, Notes notes) {
        this.showChanges = showChanges;
        this.showComments = showComments;
        this.parts = parts;
        this.styles = styles;
        this.notes = notes;
        this.numbers = new OdtNumbers(styles);
    }

    /** {@return the master page that a paragraph or table begins; empty for none} */
    String masterOf(org.w3c.dom.Element one) {
        String family = Xml.is(one, "table") ? "table" : "paragraph";
        return one.getLocalName().matches("p|h|table")
                ? styles.attribute(family, Xml.attribute(one, "style-name"), "master-page-name") : "";
    }

    /** {@return whether somewhere the number of all pages is printed} */
    boolean countsPages() {
        return countsPages;
    }

    /** Forgets what was counted, before the text is read a second time. */
    void countAnew() {
        footnotes = 0;
        numbers = new OdtNumbers(styles);
    }

    void report(org.w3c.dom.Element text) {
        int changes = Xml.all(text, "changed-region").size();
        if (changes > 0) notes.say(showChanges ? Code.CHANGES_SHOWN : Code.CHANGES_ACCEPTED, String.valueOf(changes));
        int comments = Xml.all(text, "annotation").size();
        if (comments > 0) notes.say(showComments ? Code.COMMENTS_KEPT : Code.COMMENTS_DROPPED, String.valueOf(comments));
    }

    void addAll(Element to, List<org.w3c.dom.Element> from, double widthPt) throws IOException {
        for (org.w3c.dom.Element one : from) {
            switch (one.getLocalName()) {
                case "p" -> addParagraph(to, one, widthPt, "", Props.NONE);
                case "h" -> addParagraph(to, one, widthPt, numbers.heading(one), Props.NONE);
                case "frame" -> addLoose(to, one, widthPt);
                case "list" -> addList(to, one, widthPt, null);
                case "table" -> addTable(to, one, widthPt);
                case "section", "index-body", "table-of-content", "alphabetical-index", "bibliography" -> {
                    if (isHidden(one)) notes.lost("hidden text");
                    else addAll(to, Xml.children(one), widthPt);
                }
                case "tracked-changes" ->
                        Xml.children(one, "changed-region").forEach(region -> changes.put(Xml.attribute(region, "id"), region));
                default -> {}
            }
        }
    }

    /**
     * A section, paragraph or field may be hidden for good, or by a condition, of which the file says how it came out
     * (OpenDocument 1.3 part 3, 19.853).
     */
    private static boolean isHidden(org.w3c.dom.Element one) {
        return Xml.attribute(one, "display").equals("none") || Xml.attribute(one, "is-hidden").equals("true");
    }

    /** A frame that is tied to the page and not to a paragraph. */
    private void addLoose(Element to, org.w3c.dom.Element frame, double widthPt) throws IOException {
        List<Piece> pieces = new ArrayList<>();
        frame(frame, pieces);
        new Line(Props.NONE, TAB_STOP_PT, widthPt).write(pieces, to.appendElement("p"));
    }

    private void addList(Element to, org.w3c.dom.Element list, double widthPt, OdtNumbers.@Nullable Lists outer)
            throws IOException {
        OdtNumbers.Lists lists = outer != null ? outer : numbers.begin(list);
        numbers.enter(lists);
        for (org.w3c.dom.Element item : Xml.children(list)) {
            boolean counted = !Xml.is(item, "list-header");
            boolean first = true;
            for (org.w3c.dom.Element one : Xml.children(item)) {
                if (Xml.is(one, "list")) addList(to, one, widthPt, lists);
                else if (one.getLocalName().matches("p|h")) {
                    addParagraph(to, one, widthPt, counted && first ? numbers.label(lists, item) : "", numbers.indents(lists));
                    first = false;
                } else {
                    addAll(to, List.of(one), widthPt);
                }
            }
        }
        numbers.leave(lists);
    }

    private void addParagraph(Element to, org.w3c.dom.Element from, double widthPt, String label, Props ofList)
            throws IOException {
        if (Xml.all(from, "hidden-paragraph").stream().anyMatch(OdtReader::isHidden)) {
            notes.lost("hidden text");
            return;
        }
        String style = Xml.attribute(from, "style-name");
        Props paragraph = ofList.with(styles.paragraph(style));
        Props run = styles.text("paragraph", style);
        if (!label.isEmpty() && !Xml.is(from, "h") && !paragraph.has("ind.left"))
            paragraph = paragraph.and("ind.left", "720").and("ind.hanging", "360");
        int level = number(Xml.attribute(from, "outline-level"), 0);
        Element p = to.appendElement(level >= 1 && level <= 6 ? "h" + level : "p");
        List<Piece> pieces = new ArrayList<>();
        if (!label.isEmpty()) {
            pieces.add(text(label, run));
            pieces.add(Piece.tab());
        }
        collect(from, run, pieces);
        new Line(paragraph, TAB_STOP_PT, widthPt).write(pieces, p);
        Face face = Face.named(run.text("rFonts.ascii"));
        p.attr("style",
                Look.paragraph(paragraph, face.lineHeight(), false, false) + ";" + face.css() + ";font-size:"
                        + Look.pt(Look.size(run))
                        + (paragraph.has("pageBreakAfter") ? ";page-break-after:always" : ""));
        if (pieces.isEmpty()) p.appendText("\u00A0");
    }

    private void collect(Node parent, Props run, List<Piece> pieces) throws IOException {
        for (Node node = parent.getFirstChild(); node != null; node = node.getNextSibling()) {
            if (node instanceof Text text) {
                String words = text.getData().replaceAll("[ \\t\\r\\n]+", " ");
                if (!words.isBlank() && run.on("vanish")) notes.lost("hidden text");
                if (!words.isEmpty() && !run.on("vanish"))
                    pieces.add(text(words, inserting ? run.with(TrackedChanges.INSERTED) : run));
            } else if (node instanceof org.w3c.dom.Element element) {
                inline(element, run, pieces);
            }
        }
    }

    private void inline(org.w3c.dom.Element element, Props run, List<Piece> pieces) throws IOException {
        switch (element.getLocalName()) {
            case "span" -> collect(element, run.with(styles.text("text", Xml.attribute(element, "style-name"))), pieces);
            case "s" -> pieces.add(text(" ".repeat(Math.clamp(number(Xml.attribute(element, "c"), 1), 1, MOST_REPEATED)), run));
            case "tab" -> pieces.add(Piece.tab());
            case "line-break" -> pieces.add(Piece.lineBreak());
            case "page-number" -> pieces.add(Piece.markup(new Element("span").addClass("page-number").attr("style",
                    Look.run(run, Face.named(run.text("rFonts.ascii")))), 10));
            case "page-count" -> {
                countsPages = true;
                pieces.add(Piece.markup(new Element("span").addClass("page-count").attr("style",
                        Look.run(run, Face.named(run.text("rFonts.ascii")))), 10));
            }
            case "note" -> {
                Element box = new Element("span").addClass("footnote").attr("data-number", String.valueOf(++footnotes));
                Optional<org.w3c.dom.Element> body = Xml.child(element, "note-body");
                if (body.isPresent()) addAll(box, Xml.children(body.get()), 400);
                box.select("p").forEach(p -> p.tagName("span").attr("style", "font-size:9pt"));
                pieces.add(Piece.markup(box, 5));
            }
            case "frame" -> frame(element, pieces);
            case "change" -> {
                if (showChanges) addDeleted(element, run, pieces);
            }
            case "change-start" -> inserting = showChanges && changed(element, "insertion").isPresent();
            case "change-end" -> inserting = false;
            case "annotation" -> {
                if (showComments) pieces.add(Piece.markup(comment(element), 40));
            }
            case "annotation-end", "tracked-changes", "bookmark", "bookmark-start", "bookmark-end" -> {}
            case "hidden-text", "conditional-text" -> {
                if (!isHidden(element)) collect(element, run, pieces);
            }
            case "hidden-paragraph" -> {}
            case "custom-shape", "line", "rect" -> notes.lost("drawn shapes");
            default -> collect(element, run, pieces);
        }
    }

    /** {@return what a tracked change did, if it is one of a kind (OpenDocument 1.3 part 3, 5.5)} */
    private Optional<org.w3c.dom.Element> changed(org.w3c.dom.Element mark, String kind) {
        return Optional.ofNullable(changes.get(Xml.attribute(mark, "change-id"))).flatMap(region -> Xml.child(region, kind));
    }

    /** What was taken out stands at the head of the text, and belongs where its mark is. */
    private void addDeleted(org.w3c.dom.Element mark, Props run, List<Piece> pieces) throws IOException {
        Optional<org.w3c.dom.Element> deletion = changed(mark, "deletion");
        if (deletion.isEmpty()) return;
        boolean first = true;
        for (org.w3c.dom.Element one : Xml.children(deletion.get())) {
            if (!one.getLocalName().matches("p|h")) continue;
            if (!first) pieces.add(Piece.lineBreak());
            first = false;
            collect(one, run.with(TrackedChanges.DELETED), pieces);
        }
    }

    private static Element comment(org.w3c.dom.Element annotation) {
        String author =
                Xml.children(annotation, "creator").stream().map(org.w3c.dom.Element::getTextContent).findFirst().orElse("");
        String words =
                Xml.children(annotation, "p").stream().map(org.w3c.dom.Element::getTextContent).collect(Collectors.joining(" "));
        return new Element("span").addClass("comment").text("[" + (author.isEmpty() ? "" : author + ": ") + words + "]");
    }

    private void frame(org.w3c.dom.Element frame, List<Piece> pieces) throws IOException {
        double width = Lengths.points(Xml.attribute(frame, "width"));
        double height = Lengths.points(Xml.attribute(frame, "height"));
        Optional<org.w3c.dom.Element> box = Xml.child(frame, "text-box");
        if (box.isPresent()) {
            notes.lost("text boxes stand in their line");
            Element shown = new Element("span").attr("style", "display:block").addClass("text-box");
            addAll(shown, Xml.children(box.get()), Math.max(60, width));
            pieces.add(Piece.markup(shown, width));
            return;
        }
        for (org.w3c.dom.Element image : Xml.children(frame, "image")) {
            Optional<byte[]> bytes = parts.bytes(Xml.attribute(image, "href").replaceFirst("^\\./", ""));
            Optional<String> data = bytes.isPresent() ? PictureData.of(bytes.get(), notes) : Optional.empty();
            if (bytes.isEmpty()) notes.say(Code.NOT_FETCHED, "linked pictures");
            if (data.isEmpty()) continue;
            String size = width > 0 && height > 0 ? "width:" + Look.pt(width) + ";height:" + Look.pt(height) : "";
            pieces.add(Piece.markup(new Element("img").attr("src", data.get()).attr("style", size), width));
            return;
        }
        if (Xml.child(frame, "object").isPresent()) notes.lost("charts and other embedded objects");
    }

    private static Piece text(String words, Props run) {
        Face face = Face.named(run.text("rFonts.ascii"));
        return Piece.text(words, Look.run(run, face), face, run);
    }

    private void addTable(Element to, org.w3c.dom.Element table, double widthPt) throws IOException {
        Element out = to.appendElement("table").attr("style", "table-layout:fixed;width:" + Look.pt(widthPt));
        List<Double> widths = new ArrayList<>();
        for (org.w3c.dom.Element column : Xml.all(table, "table-column")) {
            double width = Lengths.points(styles.property("table-column", Xml.attribute(column, "style-name"), "column-width"));
            for (int i = 0; i < repeated(column, "number-columns-repeated"); i++) widths.add(width);
        }
        double sum = widths.stream().mapToDouble(Double::doubleValue).sum();
        if (sum > 0) {
            out.attr("style", "table-layout:fixed;width:" + Look.pt(Math.min(sum, widthPt)));
            Element group = out.appendElement("colgroup");
            widths.forEach(
                    width -> group.appendElement("col").attr("style", "width:" + Math.round(width / sum * 1000) / 10.0 + "%"));
        }
        for (org.w3c.dom.Element child : Xml.children(table)) {
            if (Xml.is(child, "table-header-rows")) {
                boolean reachesOut = Xml.all(child, "table-cell").stream()
                        .anyMatch(cell -> number(Xml.attribute(cell, "number-rows-spanned"), 1) > 1);
                Element head = reachesOut ? out : out.appendElement("thead");
                for (org.w3c.dom.Element row : Xml.children(child, "table-row"))
                    addRow(head, row, widthPt / Math.max(1, widths.size()));
            } else if (Xml.is(child, "table-row")) {
                addRow(out, child, widthPt / Math.max(1, widths.size()));
            } else if (Xml.is(child, "table-rows")) {
                for (org.w3c.dom.Element row : Xml.children(child, "table-row"))
                    addRow(out, row, widthPt / Math.max(1, widths.size()));
            }
        }
    }

    private void addRow(Element to, org.w3c.dom.Element row, double cellPt) throws IOException {
        for (int i = 0; i < repeated(row, "number-rows-repeated"); i++) {
            Element tr = to.appendElement("tr");
            for (org.w3c.dom.Element cell : Xml.children(row, "table-cell")) {
                String style = Xml.attribute(cell, "style-name");
                int columns = number(Xml.attribute(cell, "number-columns-spanned"), 1);
                for (int j = 0; j < repeated(cell, "number-columns-repeated"); j++) {
                    Element td = tr.appendElement("td");
                    if (columns > 1) td.attr("colspan", String.valueOf(columns));
                    int rows = number(Xml.attribute(cell, "number-rows-spanned"), 1);
                    if (rows > 1) td.attr("rowspan", String.valueOf(rows));
                    td.attr("style", cellCss(style));
                    addAll(td, Xml.children(cell), Math.max(20, cellPt * columns - 8));
                }
            }
        }
    }

    private String cellCss(String style) {
        StringBuilder css = new StringBuilder("padding:2pt 4pt");
        String all = styles.property("table-cell", style, "border");
        if (!all.isEmpty() && !all.equals("none")) css.append(";border:0.5pt solid #000");
        for (String side : new String[] {"top", "bottom", "left", "right"}) {
            String border = styles.property("table-cell", style, "border-" + side);
            if (!border.isEmpty())
                css.append(";border-").append(side).append(border.equals("none") ? ":none" : ":0.5pt solid #000");
        }
        String fill = styles.property("table-cell", style, "background-color");
        return fill.startsWith("#") ? css.append(";background-color:").append(fill).toString() : css.toString();
    }

    private static int repeated(org.w3c.dom.Element element, String attribute) {
        return Math.clamp(number(Xml.attribute(element, attribute), 1), 1, MOST_REPEATED);
    }

    private static int number(String text, int otherwise) {
        return text.matches("\\d{1,9}") ? Integer.parseInt(text) : otherwise;
    }
}
