package app.yellowtab.convert.odf;

import app.yellowtab.convert.flow.Look;
import app.yellowtab.convert.page.HtmlPages;
import app.yellowtab.convert.page.Lengths;
import app.yellowtab.convert.page.Notes;
import app.yellowtab.convert.page.Parts;
import app.yellowtab.convert.page.PictureData;
import app.yellowtab.convert.page.Xml;
import app.yellowtab.finding.Finding.Code;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/**
 * Sets the slides of an OpenDocument presentation, one a page: texts and pictures where they stand (OpenDocument 1.3 part 3,
 * 10.4).
 */
public final class OdpPages {
    private OdpPages() {}

    /** Adds a page for each slide of an OpenDocument presentation that is not hidden. */
    public static void add(PDDocument document, Path file, Notes notes) throws IOException {
        try (Parts parts = new Parts(file)) {
            org.w3c.dom.Element content = parts.xml("content.xml").orElseThrow(() -> new IOException("no content part"));
            OdtStyles styles = new OdtStyles();
            parts.xml("styles.xml").ifPresent(styles::add);
            styles.add(content);
            org.w3c.dom.Element show =
                    Xml.child(content, "body", "presentation").orElseThrow(() -> new IOException("no presentation"));
            List<String> hidden = new ArrayList<>();
            int number = 0;
            for (org.w3c.dom.Element slide : Xml.children(show, "page")) {
                number++;
                if (styles.property("drawing-page", Xml.attribute(slide, "style-name"), "visibility").equals("hidden"))
                    hidden.add(String.valueOf(number));
                else addSlide(document, slide, parts, styles, notes);
            }
            if (!hidden.isEmpty()) notes.say(Code.HIDDEN_LEFT_OUT, "slides " + String.join(", ", hidden));
        }
    }

    private static void addSlide(PDDocument document, org.w3c.dom.Element slide, Parts parts, OdtStyles styles, Notes notes)
            throws IOException {
        Optional<org.w3c.dom.Element> sheet = styles.master(Xml.attribute(slide, "master-page-name"))
                .map(m -> Xml.attribute(m, "page-layout-name")).flatMap(styles::layout)
                .flatMap(l -> Xml.child(l, "page-layout-properties"));
        double width = sheet.map(s -> Lengths.points(Xml.attribute(s, "page-width"))).filter(w -> w > 0).orElse(793.7);
        double height = sheet.map(s -> Lengths.points(Xml.attribute(s, "page-height"))).filter(h -> h > 0).orElse(595.3);
        Document html = Document.createShell("");
        html.head().appendElement("style").appendText(String.format(Locale.ROOT,
                "@page { size: %.1fpt %.1fpt; margin: 0; } .at { position: absolute; }", width, height));
        OdtReader reader = new OdtReader(parts, styles, false, false, notes);
        Element body = html.body().appendElement("div").attr("style", "position:relative;height:" + Look.pt(height - 2));
        for (org.w3c.dom.Element shape : Xml.all(slide, "frame")) addFrame(body, shape, parts, reader, notes);
        for (org.w3c.dom.Element shape : Xml.all(slide, "custom-shape"))
            reader.addAll(at(body, shape), Xml.children(shape), Lengths.points(Xml.attribute(shape, "width")));
        if (!Xml.all(slide, "custom-shape").isEmpty() || !Xml.all(slide, "line").isEmpty() || !Xml.all(slide, "path").isEmpty())
            notes.lost("drawn shapes");
        HtmlPages.add(document, html, 1, notes);
    }

    private static void addFrame(Element body, org.w3c.dom.Element frame, Parts parts, OdtReader reader, Notes notes)
            throws IOException {
        if (frame.getParentNode() instanceof org.w3c.dom.Element parent && Xml.is(parent, "notes")) return;
        Optional<org.w3c.dom.Element> text = Xml.child(frame, "text-box");
        if (text.isPresent()) {
            reader.addAll(at(body, frame), Xml.children(text.get()), Lengths.points(Xml.attribute(frame, "width")));
            return;
        }
        for (org.w3c.dom.Element image : Xml.children(frame, "image")) {
            Optional<byte[]> bytes = parts.bytes(Xml.attribute(image, "href"));
            Optional<String> data = bytes.isPresent() ? PictureData.of(bytes.get(), notes) : Optional.empty();
            if (data.isEmpty()) continue;
            at(body, frame).appendElement("img").attr("src", data.get())
                    .attr("style", "width:" + Look.pt(Lengths.points(Xml.attribute(frame, "width"))) + ";height:"
                            + Look.pt(Lengths.points(Xml.attribute(frame, "height"))));
            return;
        }
        for (org.w3c.dom.Element table : Xml.children(frame, "table"))
            reader.addAll(at(body, frame), List.of(table), Lengths.points(Xml.attribute(frame, "width")));
        if (Xml.child(frame, "object").isPresent() && Xml.child(frame, "table").isEmpty())
            notes.lost("charts and other embedded objects");
    }

    private static Element at(Element body, org.w3c.dom.Element shape) {
        return body.appendElement("div").addClass("at").attr("style",
                "left:" + Look.pt(Lengths.points(Xml.attribute(shape, "x"))) + ";top:"
                        + Look.pt(Lengths.points(Xml.attribute(shape, "y"))) + ";width:"
                        + Look.pt(Lengths.points(Xml.attribute(shape, "width"))));
    }
}
