package app.yellowtab.convert.word;

import app.yellowtab.convert.flow.Line;
import app.yellowtab.convert.flow.Look;
import app.yellowtab.convert.flow.Piece;
import app.yellowtab.convert.flow.Props;
import app.yellowtab.convert.flow.TrackedChanges;
import app.yellowtab.convert.page.Face;
import app.yellowtab.convert.page.Xml;
import java.io.IOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.jsoup.nodes.Element;
import org.jspecify.annotations.Nullable;

/** Reads the runs of one paragraph: text, tabs, breaks, pictures, fields, notes, and what reviewers did to it. */
final class Runs {
    private final Docx docx;
    private final String part;
    private final Props ground;
    private final List<Piece> pieces = new ArrayList<>();
    private final Deque<Field> fields = new ArrayDeque<>();
    private final Set<String> commented = new HashSet<>();
    private final Element after = new Element("div");

    Runs(Docx docx, String part, Props ground) {
        this.docx = docx;
        this.part = part;
        this.ground = ground;
    }

    private static final class Field {
        private final StringBuilder instruction = new StringBuilder();
        private boolean inResult;

        private boolean isPageNumber() {
            return instruction.toString().strip().toUpperCase(Locale.ROOT).matches("(PAGE|NUMPAGES|SECTIONPAGES)(\\s.*)?");
        }
    }

    /**
     * Reads a paragraph's runs into an element.
     *
     * @return what stands behind the paragraph: the words of its text boxes
     */
    Optional<Element> read(org.w3c.dom.Element paragraph, Element to, Props props, Optional<ListNumbering.Label> label,
            double widthPt) throws IOException {
        if (label.isPresent() && !label.get().label().isEmpty()) {
            Props run = ground.with(Props.of(Xml.child(paragraph, "pPr", "rPr"))).with(label.get().run());
            boolean bullet = label.get().label().length() == 1 && !Character.isLetterOrDigit(label.get().label().charAt(0));
            Face face = bullet ? Face.ARIMO : face(run);
            pieces.add(Piece.text(label.get().label(), Look.run(run, face), face, run));
            if (label.get().follow().equals("tab")) pieces.add(Piece.tab());
            if (label.get().follow().equals("space")) pieces.add(Piece.text(" ", Look.run(run, face), face, run));
        }
        walk(paragraph, "");
        new Line(props, docx.tabStopPt, widthPt).write(pieces, to);
        return after.childrenSize() == 0 ? Optional.empty() : Optional.of(after);
    }

    /** {@return the face of the first text, which sets the height of lines} */
    Optional<Face> faceOfLine() {
        return pieces.stream().filter(piece -> piece.kind() == Piece.Kind.TEXT).map(Piece::face).findFirst();
    }

    private void walk(org.w3c.dom.Element parent, String change) throws IOException {
        for (org.w3c.dom.Element one : Xml.children(parent)) {
            switch (String.valueOf(one.getLocalName())) {
                case "r" -> run(one, change);
                case "hyperlink", "smartTag", "customXml", "sdt", "sdtContent", "dir", "bdo" -> walk(one, change);
                case "fldSimple" -> simpleField(one, change);
                case "ins", "moveTo" -> {
                    docx.insertions++;
                    walk(one, docx.showChanges ? "ins" : change);
                }
                case "del", "moveFrom" -> {
                    docx.deletions++;
                    if (docx.showChanges) walk(one, "del");
                }
                case "oMath", "oMathPara" -> {
                    docx.notes.lost("formulas are set in one line");
                    StringBuilder words = new StringBuilder();
                    Xml.all(one, "t").forEach(t -> words.append(t.getTextContent()));
                    add(words.toString(), ground);
                }
                default -> {}
            }
        }
    }

    private void simpleField(org.w3c.dom.Element field, String change) throws IOException {
        Field simple = new Field();
        simple.instruction.append(Xml.attribute(field, "instr"));
        if (simple.isPageNumber()) pageNumber(simple, ground);
        else walk(field, change);
    }

    private void run(org.w3c.dom.Element run, String change) throws IOException {
        Props own = Props.of(Xml.child(run, "rPr"));
        Props props = ground.with(docx.styles.character(own.text("rStyle.val"))).with(own);
        if (change.equals("ins")) props = props.with(TrackedChanges.INSERTED);
        if (change.equals("del")) props = props.with(TrackedChanges.DELETED);
        if (props.on("vanish") && fields.isEmpty()) {
            docx.notes.lost("hidden text");
            return;
        }
        for (org.w3c.dom.Element one : Xml.children(run)) {
            String name = String.valueOf(one.getLocalName());
            if (name.equals("fldChar")) {
                fieldChar(Xml.attribute(one, "fldCharType"), props);
                continue;
            }
            if (name.equals("instrText")) {
                if (!fields.isEmpty()) fields.peek().instruction.append(one.getTextContent());
                continue;
            }
            if (fields.stream().anyMatch(field -> !field.inResult || field.isPageNumber())) continue;
            content(name, one, props);
        }
    }

    private void fieldChar(String type, Props props) {
        if (type.equals("begin")) fields.push(new Field());
        if (type.equals("separate") && !fields.isEmpty()) fields.peek().inResult = true;
        if (type.equals("end") && !fields.isEmpty()) {
            Field ended = fields.pop();
            if (ended.isPageNumber()) pageNumber(ended, props);
        }
    }

    private void pageNumber(Field field, Props props) {
        boolean count = field.instruction.toString().toUpperCase(Locale.ROOT).contains("PAGES");
        Face face = face(props);
        docx.pagesCounted |= count;
        pieces.add(Piece.markup(
                new Element("span").addClass(count ? "page-count" : "page-number").attr("style", Look.run(props, face)),
                2 * Look.size(props) * 0.55));
    }

    private void content(String name, org.w3c.dom.Element one, Props props) throws IOException {
        switch (name) {
            case "t", "delText" -> add(one.getTextContent(), props);
            case "tab", "ptab" -> pieces.add(Piece.tab());
            case "br" -> {
                String type = Xml.attribute(one, "type");
                pieces.add(type.equals("page") || type.equals("column") ? Piece.pageBreak() : Piece.lineBreak());
            }
            case "cr" -> pieces.add(Piece.lineBreak());
            case "noBreakHyphen" -> add("\u2011", props);
            case "sym" -> symbol(one, props);
            case "footnoteReference" -> note(docx.footnotes.get(Xml.attribute(one, "id")), "footnotes");
            case "endnoteReference" -> note(docx.endnotes.get(Xml.attribute(one, "id")), "endnotes");
            case "commentReference" -> comment(Xml.attribute(one, "id"));
            case "drawing", "pict", "object", "AlternateContent" -> drawing(one);
            default -> {}
        }
    }

    private void add(String text, Props props) {
        if (text.isEmpty()) return;
        Face face = face(props);
        pieces.add(Piece.text(text, Look.run(props, face), face, props));
    }

    private Face face(Props props) {
        return Face.named(docx.styles.font(props));
    }

    /** Signs of fonts of signs: the ones that letters and forms use. */
    private void symbol(org.w3c.dom.Element one, Props props) {
        String shown = switch (Xml.attribute(one, "char").toUpperCase(Locale.ROOT)) {
            case "F0FE", "F052", "F053" -> "☑";
            case "F0A8", "F06F", "F0A3" -> "☐";
            case "F0FC", "F050" -> "✓";
            case "F0B7" -> "•";
            case "F0A7" -> "▪";
            case "F0E0" -> "→";
            default -> "";
        };
        if (shown.isEmpty()) docx.notes.lost("signs of special fonts");
        else if (Face.ARIMO.has(shown.codePointAt(0))) add(shown, props.with(TrackedChanges.SANS));
        else add(shown.equals("☐") ? "[ ]" : "[x]", props);
    }

    private void note(org.w3c.dom.@Nullable Element note, String kind) throws IOException {
        if (note == null) return;
        docx.noteCount++;
        if (kind.equals("endnotes")) docx.notes.lost("endnotes stand at the foot of their pages");
        Element box = new Element("span").addClass("footnote").attr("data-number", String.valueOf(docx.noteCount));
        new Story(docx, "word/" + kind + ".xml", 400).addAll(box, note);
        // A note's paragraphs stand in a line of their own; the first goes on behind its number.
        box.select("p").forEach(p -> p.tagName("span").attr("style", "font-size:9pt"));
        pieces.add(Piece.markup(box, 5));
    }

    private void comment(String id) throws IOException {
        if (!commented.add(id)) return;
        docx.commentCount++;
        org.w3c.dom.Element comment = docx.comments.get(id);
        if (!docx.showComments || comment == null) return;
        StringBuilder words = new StringBuilder();
        Xml.all(comment, "t").forEach(t -> words.append(t.getTextContent()));
        pieces.add(Piece.markup(
                new Element("span").addClass("comment").text("[" + Xml.attribute(comment, "author") + ": " + words + "]"), 40));
    }

    private void drawing(org.w3c.dom.Element one) throws IOException {
        Pictures pictures = new Pictures(docx, part);
        org.w3c.dom.Element chosen = Xml.is(one, "AlternateContent")
                ? Xml.child(one, "Choice").filter(choice -> !Xml.all(choice, "txbxContent").isEmpty()
                        || !Xml.all(choice, "blip").isEmpty()).or(() -> Xml.child(one, "Fallback")).orElse(one)
                : one;
        for (org.w3c.dom.Element box : Xml.all(chosen, "txbxContent")) {
            docx.notes.lost("text boxes stand below the paragraph they belong to");
            Element shown = after.appendElement("div").addClass("text-box");
            new Story(docx, part, 300).addAll(shown, box);
        }
        List<Element> shown = pictures.read(chosen);
        shown.forEach(picture -> pieces.add(Piece.markup(picture, 60)));
        if (!Xml.all(chosen, "chart").isEmpty()) docx.notes.lost("charts");
        else if (!Xml.all(chosen, "relIds").isEmpty()) docx.notes.lost("diagrams");
        else if (shown.isEmpty() && Xml.all(chosen, "txbxContent").isEmpty() && !Xml.all(chosen, "wsp").isEmpty())
            docx.notes.lost("drawn shapes");
    }
}
