package app.yellowtab.convert.flow;

import app.yellowtab.convert.page.HtmlPages;
import app.yellowtab.convert.page.Notes;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/** The sheet that a section's text is set on: its size, its margins in points, and what stands above and below the text. */
public final class Frame {
    private static final String SHEET = """
            h1,h2,h3,h4,h5,h6 { margin: 0; font-weight: 400; }
            .footnote { float: footnote; padding-left: 16pt; }
            .footnote::footnote-call { content: attr(data-number); vertical-align: super; font-size: 7pt; line-height: 1; }
            .footnote::footnote-marker { content: attr(data-number); font-size: 8pt; }
            .text-box { border: 0.5pt solid #000; padding: 3pt; margin: 3pt 0; }
            .comment { font-family: Arimo; font-size: 8pt; background-color: #fff4cc; }
            """;
    /**
     * Tables stand out of the lines by the free sides of their cells; the page setter cuts off what stands out of the page's
     * frame.
     */
    private static final double OVERHANG_PT = 12;
    private static final String OVERHANG = "padding:0 " + Look.pt(OVERHANG_PT);

    private final double width;
    private final double height;
    private double top;
    private final double right;
    private double bottom;
    private final double left;
    private final Map<String, StringBuilder> boxes = new LinkedHashMap<>();
    private final StringBuilder own = new StringBuilder();
    private final Document html = Document.createShell("");

    public Frame(double width, double height, double top, double right, double bottom, double left) {
        this.width = Math.clamp(width, 72, 14_400);
        this.height = Math.clamp(height, 72, 14_400);
        this.top = Math.abs(top);
        this.right = right;
        this.bottom = Math.abs(bottom);
        this.left = left;
        boxes.put("@page", new StringBuilder());
    }

    /** {@return how wide lines may be} */
    public double lines() {
        return Math.max(36, width - left - right);
    }

    /**
     * Places a filled box.
     *
     * @param which      "header" or "footer"
     * @param pages      "@page", "@page :first" or "@page :left"
     * @param distancePt from the edge of the sheet
     */
    public void place(Element box, String which, String pages, double distancePt) {
        String name = which + html.body().childrenSize();
        box.attr("style", "position:running(" + name + ");" + OVERHANG);
        // What runs in the margin must come before the text: it shows from the page on where it stands.
        html.body().prependChild(box);
        // The text begins below a header that is higher than the margin.
        double room = distancePt + roughHeight(box);
        boolean header = which.equals("header");
        if (header) top = Math.max(top, room);
        else bottom = Math.max(bottom, room);
        rules(pages).append(header ? "@top-left" : "@bottom-left").append(" { width: 100%; content: element(").append(name)
                .append("); vertical-align: ")
                .append(header ? "top; padding-top: " : "bottom; padding-bottom: ").append(Look.pt(distancePt)).append("; }\n");
    }

    /** Leaves certain pages without what others have above or below the text. */
    public void placeNone(String which, String pages) {
        rules(pages).append(which.equals("header") ? "@top-left" : "@bottom-left").append(" { content: none; }\n");
    }

    private StringBuilder rules(String pages) {
        return boxes.computeIfAbsent(pages, key -> new StringBuilder());
    }

    /** Adds rules for the text. */
    public void style(String css) {
        own.append(css).append('\n');
    }

    /** {@return the element that takes the text} */
    public Element body() {
        return html.body().appendElement("div").attr("style", OVERHANG);
    }

    /**
     * {@return the finished tree}
     *
     * @param numbers how pages are counted, as a CSS counter style
     * @param all     how many pages there are in all; 0 where the pages of this tree are all
     */
    public Document html(String numbers, int all) {
        StringBuilder css = new StringBuilder(SHEET).append(own);
        css.append(String.format(Locale.ROOT, "@page { size: %.2fpt %.2fpt; margin: %.2fpt %.2fpt %.2fpt %.2fpt; }%n", width,
                height, Math.min(top, height / 2),
                Math.max(0, right - OVERHANG_PT), Math.min(bottom, height / 3), Math.max(0, left - OVERHANG_PT)));
        boxes.forEach((pages, rules) -> css.append(pages).append(" { ").append(rules).append(" }\n"));
        css.append(".page-number:before { content: counter(page, ").append(numbers).append("); } .page-count:before { content: ")
                .append(all > 0 ? "'" + all + "'" : "counter(pages)").append("; }");
        Document finished = html.clone();
        finished.head().appendElement("style").appendText(css.toString());
        return finished;
    }

    /**
     * Adds the pages of sheets that follow each other.
     *
     * @param countsPages whether somewhere it says how many pages there are in all
     */
    public static void addAll(PDDocument document, List<Frame> frames, boolean countsPages, Notes notes) throws IOException {
        int all = 0;
        if (frames.size() > 1 && countsPages) {
            try (PDDocument counted = new PDDocument()) {
                for (Frame frame : frames) HtmlPages.add(counted, frame.html("decimal", 0), 1, notes);
                all = counted.getNumberOfPages();
            }
        }
        int next = 1;
        for (Frame frame : frames) next += HtmlPages.add(document, frame.html("decimal", all), next, notes);
    }

    private static double roughHeight(Element box) {
        double pictures = box.select("img").stream().mapToDouble(Frame::height).sum();
        return Math.max(1, box.select("p, h1, h2, h3").size()) * 14 + pictures + 6;
    }

    private static double height(Element picture) {
        String style = picture.attr("style");
        int at = style.indexOf("height:");
        return at < 0 ? 40 : Double.parseDouble(style.substring(at + 7, style.indexOf("pt", at)));
    }
}
