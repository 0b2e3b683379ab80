package app.yellowtab.convert.word;

import app.yellowtab.convert.flow.Look;
import app.yellowtab.convert.flow.Props;
import app.yellowtab.convert.page.Face;
import app.yellowtab.convert.page.Xml;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.jsoup.nodes.Element;
import org.jspecify.annotations.Nullable;

/** Reads paragraphs and tables of one part of a document into a tree of HTML: the body, a header, a footnote, a cell. */
final class Story {
    private final Docx docx;
    private final String part;
    private final double widthPt;
    private String styleBefore = "";

    /**
     * @param part    the part whose relationships hold
     * @param widthPt how wide lines may be
     */
    Story(Docx docx, String part, double widthPt) {
        this.docx = docx;
        this.part = part;
        this.widthPt = widthPt;
    }

    String part() {
        return part;
    }

    /** Adds all that an element holds. */
    void addAll(Element to, org.w3c.dom.Element from) throws IOException {
        addAll(to, Xml.children(from), null);
    }

    /** @param ground what the table around says of its paragraphs and runs; null outside of tables */
    void addAll(Element to, List<org.w3c.dom.Element> from, @Nullable Ground ground) throws IOException {
        for (int i = 0; i < from.size(); i++) {
            org.w3c.dom.Element one = from.get(i);
            switch (String.valueOf(one.getLocalName())) {
                case "p" -> addParagraph(to, one, i + 1 < from.size() ? from.get(i + 1) : null, ground);
                case "tbl" -> {
                    new Tables(docx, this, widthPt).add(to, one);
                    styleBefore = "";
                }
                case "sdt" -> {
                    Optional<org.w3c.dom.Element> content = Xml.child(one, "sdtContent");
                    if (content.isPresent()) addAll(to, Xml.children(content.get()), ground);
                }
                case "customXml", "smartTag", "ins", "moveTo" -> addAll(to, Xml.children(one), ground);
                case "altChunk" -> docx.notes.lost("a part of another kind inside the document");
                default -> {}
            }
        }
    }

    /** What a table says of what is in it. */
    record Ground(Props paragraph, Props run) {}

    private void addParagraph(Element to, org.w3c.dom.Element from, org.w3c.dom.@Nullable Element next, @Nullable Ground ground)
            throws IOException {
        Props own = Props.of(Xml.child(from, "pPr"));
        String style = docx.styles.paragraphStyle(own);
        Props ofStyle = docx.styles.paragraph(style);
        Props numbered = ofStyle.with(own);
        String list = numbered.text("numPr.numId.val");
        int level = numbered.has("numPr.ilvl.val") ? (int) numbered.number("numPr.ilvl.val", 0)
                : list.isEmpty() ? 0 : docx.numbering.levelOfStyle(list, style);
        Props paragraph = ground == null ? ofStyle : ground.paragraph().with(ofStyle);
        if (!list.isEmpty() && !list.equals("0")) {
            // The level's indents stand above those of the style, unless the style itself names the list.
            Props ofLevel = docx.numbering.paragraphOf(list, level);
            paragraph = own.has("numPr") || !ofStyle.has("ind") ? paragraph.with(ofLevel) : ofLevel.with(paragraph);
        }
        paragraph = paragraph.with(own);
        Props mark = docx.styles.run(style);
        if (ground != null) mark = ground.run().with(mark);
        Props markOwn = mark.with(Props.of(Xml.child(from, "pPr", "rPr")));
        boolean goesWithItsMark = !docx.showChanges && markOwn.has("del") && !hasVisibleText(from);
        if (goesWithItsMark) {
            docx.deletions++;
            return;
        }
        Optional<ListNumbering.Label> label =
                list.isEmpty() || list.equals("0") || markOwn.on("vanish") ? Optional.empty() : docx.numbering.next(list, level);
        Face face = Face.named(docx.styles.font(markOwn));
        Element p = to.appendElement(heading(paragraph));
        Runs runs = new Runs(docx, part, mark);
        Optional<Element> after = runs.read(from, p, paragraph, label, widthPt);
        boolean contextual = paragraph.on("contextualSpacing");
        boolean afterSame = contextual && style.equals(styleBefore);
        boolean beforeSame = contextual && next != null && Xml.is(next, "p")
                && docx.styles.paragraphStyle(Props.of(Xml.child(next, "pPr"))).equals(style);
        p.attr("style", Look.paragraph(paragraph, runs.faceOfLine().orElse(face).lineHeight(), afterSame, beforeSame)
                + ";" + face.css() + ";font-size:" + Look.pt(Look.size(markOwn))
                + (p.tagName().equals("p") ? "" : ";font-weight:400"));
        if (!p.hasText() && p.childrenSize() == 0) p.appendText("\u00A0");
        after.ifPresent(to::appendChild);
        styleBefore = style;
    }

    private static boolean hasVisibleText(org.w3c.dom.Element paragraph) {
        return Xml.all(paragraph, "t").stream().anyMatch(text -> !text.getTextContent().isEmpty())
                || !Xml.all(paragraph, "drawing").isEmpty();
    }

    private static String heading(Props paragraph) {
        double level = paragraph.number("outlineLvl.val", 9);
        return level < 6 ? "h" + (int) (level + 1) : "p";
    }
}
