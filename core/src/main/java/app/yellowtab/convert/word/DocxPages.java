package app.yellowtab.convert.word;

import app.yellowtab.convert.flow.Frame;
import app.yellowtab.convert.flow.Props;
import app.yellowtab.convert.page.HtmlPages;
import app.yellowtab.convert.page.Notes;
import app.yellowtab.convert.page.Parts;
import app.yellowtab.convert.page.Xml;
import app.yellowtab.finding.Finding.Code;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/**
 * Sets a word-processor document of the Office Open XML kind on pages, section by section: each has its own sheet size,
 * margins, headers and footers (ECMA-376 part 1, 17.6).
 */
final class DocxPages {
    private final Docx docx;
    private final PDDocument document;
    private final List<Section> sections = new ArrayList<>();

    private DocxPages(Docx docx, PDDocument document) {
        this.docx = docx;
        this.document = document;
    }

    /** Pages of one layout. */
    private record Section(List<org.w3c.dom.Element> content, org.w3c.dom.Element layout) {}

    static void add(PDDocument document, Path file, boolean showChanges, boolean showComments, Notes notes) throws IOException {
        try (Parts parts = new Parts(file)) {
            Docx docx = new Docx(parts, showChanges, showComments, notes);
            new DocxPages(docx, document).run();
            if (docx.insertions + docx.deletions > 0) {
                notes.say(showChanges ? Code.CHANGES_SHOWN : Code.CHANGES_ACCEPTED,
                        docx.insertions + " put in, " + docx.deletions + " taken out");
            }
            if (docx.commentCount > 0)
                notes.say(showComments ? Code.COMMENTS_KEPT : Code.COMMENTS_DROPPED, String.valueOf(docx.commentCount));
        }
    }

    private void run() throws IOException {
        divide();
        int before = document.getNumberOfPages();
        addSections(0);
        int all = document.getNumberOfPages() - before;
        // How many pages there are is known once they are set: where that is printed, they are set again.
        if (docx.pagesCounted && sections.size() > 1) {
            while (document.getNumberOfPages() > before) document.removePage(document.getNumberOfPages() - 1);
            docx.countAnew();
            addSections(all);
        }
    }

    /** @param all how many pages there are in all; 0 where that is not known */
    private void addSections(int all) throws IOException {
        Map<String, String> headers = new HashMap<>();
        int next = 1;
        for (Section section : sections) {
            Props layout = Props.of(section.layout());
            for (org.w3c.dom.Element reference : Xml.children(section.layout())) {
                if (reference.getLocalName().matches("(header|footer)Reference")) {
                    docx.target(docx.mainPart, Xml.relationship(reference, "id"))
                            .ifPresent(part -> headers.put(
                                    reference.getLocalName().substring(0, 6) + "-" + Xml.attribute(reference, "type"), part));
                }
            }
            int first = (int) layout.number("pgNumType.start", next);
            next = first + HtmlPages.add(document, html(section, layout, headers, all), first, docx.notes);
        }
    }

    /** A section ends with the paragraph that holds its layout; one that goes on without a break stays with the one before. */
    private void divide() {
        org.w3c.dom.Element body = Xml.child(docx.main, "body").orElse(docx.main);
        List<org.w3c.dom.Element> content = new ArrayList<>();
        org.w3c.dom.Element last = body;
        for (org.w3c.dom.Element one : Xml.children(body)) {
            if (Xml.is(one, "sectPr")) {
                last = one;
                continue;
            }
            content.add(one);
            Optional<org.w3c.dom.Element> layout = Xml.child(one, "pPr", "sectPr");
            if (layout.isPresent()) {
                close(content, layout.get());
                content = new ArrayList<>();
            }
        }
        if (!content.isEmpty() || sections.isEmpty()) close(content, last);
    }

    private void close(List<org.w3c.dom.Element> content, org.w3c.dom.Element layout) {
        Props props = Props.of(layout);
        if (props.number("cols.num", 1) > 1) docx.notes.lost("columns are set one below the other");
        if (props.text("type.val").equals("continuous") && !sections.isEmpty()) {
            Section before = sections.removeLast();
            List<org.w3c.dom.Element> both = new ArrayList<>(before.content());
            both.addAll(content);
            sections.add(new Section(both, before.layout()));
        } else {
            sections.add(new Section(content, layout));
        }
    }

    private Document html(Section section, Props layout, Map<String, String> headers, int all) throws IOException {
        Frame frame = new Frame(layout.pt("pgSz.w", 595.3), layout.pt("pgSz.h", 841.9), layout.pt("pgMar.top", 72),
                layout.pt("pgMar.right", 72),
                layout.pt("pgMar.bottom", 72), layout.pt("pgMar.left", 72) + layout.pt("pgMar.gutter", 0));
        addMargins(frame, layout, headers, "default", "@page");
        if (layout.on("titlePg")) addMargins(frame, layout, headers, "first", "@page :first");
        if (docx.evenAndOdd) addMargins(frame, layout, headers, "even", "@page :left");
        new Story(docx, docx.mainPart, frame.lines()).addAll(frame.body(), section.content(), null);
        return frame.html(style(layout), all);
    }

    private void addMargins(Frame frame, Props layout, Map<String, String> headers, String kind, String pages)
            throws IOException {
        for (String which : new String[] {"header", "footer"}) {
            String part = headers.get(which + "-" + kind);
            Optional<org.w3c.dom.Element> root = part == null ? Optional.empty() : docx.parts.xml(part);
            if (part != null && root.isPresent()) {
                Element box = new Element("div");
                new Story(docx, part, frame.lines()).addAll(box, root.get());
                frame.place(box, which, pages, layout.pt("pgMar." + which, 36));
            } else if (!kind.equals("default")) {
                frame.placeNone(which, pages);
            }
        }
    }

    private static String style(Props layout) {
        return switch (layout.text("pgNumType.fmt")) {
            case "lowerRoman" -> "lower-roman";
            case "upperRoman" -> "upper-roman";
            case "lowerLetter" -> "lower-alpha";
            case "upperLetter" -> "upper-alpha";
            default -> "decimal";
        };
    }
}
