package app.yellowtab.convert.odf;

import app.yellowtab.convert.flow.Frame;
import app.yellowtab.convert.page.HtmlPages;
import app.yellowtab.convert.page.Lengths;
import app.yellowtab.convert.page.Notes;
import app.yellowtab.convert.page.Parts;
import app.yellowtab.convert.page.Xml;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.jsoup.nodes.Element;

/** Sets an OpenDocument text on pages, with the sheet, header and footer of its master pages. */
public final class OdtPages {
    private final PDDocument document;
    private final OdtStyles styles;
    private final OdtReader reader;
    private final Notes notes;
    private int next = 1;

    private OdtPages(PDDocument document, OdtStyles styles, OdtReader reader, Notes notes) {
        this.notes = notes;
        this.document = document;
        this.styles = styles;
        this.reader = reader;
    }

    /**
     * Adds the pages of an OpenDocument text.
     *
     * @param showChanges  whether tracked changes are marked instead of accepted
     * @param showComments whether comments stand in the text
     */
    public static void add(PDDocument document, Path file, boolean showChanges, boolean showComments, Notes notes)
            throws IOException {
        try (Parts parts = new Parts(file)) {
            org.w3c.dom.Element content = parts.xml("content.xml").orElseThrow(() -> new IOException("no content part"));
            OdtStyles styles = new OdtStyles();
            Optional<org.w3c.dom.Element> part = parts.xml("styles.xml");
            part.ifPresent(styles::add);
            styles.add(content);
            org.w3c.dom.Element text = Xml.child(content, "body", "text").orElseThrow(() -> new IOException("no text"));
            new OdtPages(document, styles, new OdtReader(parts, styles, showChanges, showComments, notes), notes).run(text);
        }
    }

    private void run(org.w3c.dom.Element text) throws IOException {
        int before = document.getNumberOfPages();
        List<Section> sections = sections(text);
        for (Section section : sections) addSection(section, 0);
        int all = document.getNumberOfPages() - before;
        if (reader.countsPages() && sections.size() > 1) {
            while (document.getNumberOfPages() > before) document.removePage(document.getNumberOfPages() - 1);
            next = 1;
            reader.countAnew();
            for (Section section : sections) addSection(section, all);
        }
        reader.report(text);
    }

    /** Neighbouring paragraphs of one master pages. */
    private record Section(String master, List<org.w3c.dom.Element> content) {}

    /** A paragraph whose style names a master page begins a page of that kind (OpenDocument 1.3 part 3, 19.501). */
    private List<Section> sections(org.w3c.dom.Element text) {
        List<Section> sections = new ArrayList<>();
        for (org.w3c.dom.Element one : Xml.children(text)) {
            String master = reader.masterOf(one);
            if (sections.isEmpty() || !master.isEmpty()) sections.add(new Section(master, new ArrayList<>()));
            sections.getLast().content().add(one);
        }
        return sections;
    }

    private void addSection(Section section, int all) throws IOException {
        Optional<org.w3c.dom.Element> master = styles.master(section.master());
        Optional<org.w3c.dom.Element> layout = master.map(m -> Xml.attribute(m, "page-layout-name")).flatMap(styles::layout);
        Optional<org.w3c.dom.Element> sheet = layout.flatMap(l -> Xml.child(l, "page-layout-properties"));
        Frame frame = new Frame(length(sheet, "page-width", 595.3), length(sheet, "page-height", 841.9),
                length(sheet, "margin-top", 57), length(sheet, "margin-right", 57),
                length(sheet, "margin-bottom", 57), length(sheet, "margin-left", 57));
        for (String which : new String[] {"header", "footer"}) {
            Optional<org.w3c.dom.Element> margin = master.flatMap(m -> Xml.child(m, which));
            if (margin.isEmpty()) continue;
            Element box = new Element("div");
            reader.addAll(box, Xml.children(margin.get()), frame.lines());
            frame.place(box, which, "@page", length(sheet, which.equals("header") ? "margin-top" : "margin-bottom", 57));
        }
        reader.addAll(frame.body(), section.content(), frame.lines());
        next += HtmlPages.add(document, frame.html("decimal", all), next, notes);
    }

    private static double length(Optional<org.w3c.dom.Element> sheet, String name, double otherwise) {
        double points = sheet.map(s -> Lengths.points(Xml.attribute(s, name))).orElse(0.0);
        return points > 0 ? points : otherwise;
    }
}
