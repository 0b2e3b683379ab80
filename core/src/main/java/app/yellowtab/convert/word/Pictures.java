package app.yellowtab.convert.word;

import app.yellowtab.convert.flow.Look;
import app.yellowtab.convert.page.PictureData;
import app.yellowtab.convert.page.Xml;
import app.yellowtab.finding.Finding.Code;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.nodes.Element;

/** Finds the pictures of drawings, new (DrawingML) and old (VML). */
final class Pictures {
    /** English Metric Units in a point (ECMA-376 part 1, 20.1.2.1). */
    private static final double EMU_PER_PT = 12_700;
    private static final Pattern LENGTH = Pattern.compile("(?:^|;)\\s*(width|height)\\s*:\\s*([\\d.]+)(pt|in|px)?");

    private final Docx docx;
    private final String part;

    Pictures(Docx docx, String part) {
        this.docx = docx;
        this.part = part;
    }

    List<Element> read(org.w3c.dom.Element drawing) throws IOException {
        List<Element> found = new ArrayList<>();
        for (org.w3c.dom.Element blip : Xml.all(drawing, "blip")) {
            String id = Xml.relationship(blip, "embed");
            if (id.isEmpty()) {
                docx.notes.say(Code.NOT_FETCHED, "linked pictures");
                continue;
            }
            Optional<org.w3c.dom.Element> extent = Xml.all(drawing, "extent").stream().findFirst();
            double width = extent.map(e -> length(e, "cx")).orElse(0.0);
            double height = extent.map(e -> length(e, "cy")).orElse(0.0);
            Optional<org.w3c.dom.Element> anchor =
                    Xml.is(drawing, "anchor") ? Optional.of(drawing) : Xml.all(drawing, "anchor").stream().findFirst();
            add(found, id, width, height, anchor.map(Pictures::side).orElse(""));
        }
        for (org.w3c.dom.Element data : Xml.all(drawing, "imagedata")) {
            double[] size = new double[2];
            if (data.getParentNode() instanceof org.w3c.dom.Element shape) {
                Matcher length = LENGTH.matcher(Xml.attribute(shape, "style"));
                while (length.find()) {
                    double factor = "in".equals(length.group(3)) ? 72 : "px".equals(length.group(3)) ? 0.75 : 1;
                    size[length.group(1).equals("width") ? 0 : 1] = Double.parseDouble(length.group(2)) * factor;
                }
            }
            String id = Xml.relationship(data, "id");
            if (!id.isEmpty()) add(found, id, size[0], size[1], "");
        }
        return found;
    }

    private static double length(org.w3c.dom.Element extent, String name) {
        String text = Xml.attribute(extent, name);
        return text.matches("\\d{1,10}") ? Long.parseLong(text) / EMU_PER_PT : 0;
    }

    /** A picture that text flows round stands at one side. */
    private static String side(org.w3c.dom.Element anchor) {
        boolean flows = !Xml.all(anchor, "wrapSquare").isEmpty() || !Xml.all(anchor, "wrapTight").isEmpty();
        String align = Xml.child(anchor, "positionH", "align").map(org.w3c.dom.Element::getTextContent).orElse("");
        if (align.equals("right")) return "float:right;margin-left:8pt;";
        return flows ? "float:left;margin-right:8pt;" : "";
    }

    private void add(List<Element> to, String id, double width, double height, String css) throws IOException {
        Optional<String> target = docx.target(part, id);
        if (target.isEmpty()) {
            docx.notes.say(Code.NOT_FETCHED, "linked pictures");
            return;
        }
        Optional<byte[]> bytes = docx.parts.bytes(target.get());
        Optional<String> data = bytes.isPresent() ? PictureData.of(bytes.get(), docx.notes) : Optional.empty();
        if (data.isEmpty()) return;
        String size = width > 0 && height > 0 ? "width:" + Look.pt(width) + ";height:" + Look.pt(height) : "";
        to.add(new Element("img").attr("src", data.get()).attr("style", css + size));
    }
}
