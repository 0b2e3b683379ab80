package app.yellowtab.convert.flow;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jsoup.nodes.Element;

/**
 * Writes the pieces of a paragraph, with tabs as gaps of the width that leads to the next tab stop: since the faces are as
 * wide as the named ones, the place where a tab stands can be reckoned.
 */
public final class Line {
    private final Map<Double, String> stops;
    private final double everyPt;
    private final double widthPt;
    private final double left;
    private final double hanging;
    private double at;

    public Line(Props paragraph, double everyPt, double widthPt) {
        this.stops = paragraph.tabStops();
        this.everyPt = Math.max(1, everyPt);
        this.widthPt = widthPt;
        this.left = paragraph.pt("ind.left", paragraph.pt("ind.start", 0));
        this.hanging = Math.max(0, -Look.firstLine(paragraph));
        this.at = left + Look.firstLine(paragraph);
    }

    public void write(List<Piece> pieces, Element to) {
        // The page setter takes no indent below nought, but a first thing that is pushed back.
        if (hanging > 0 && !pieces.isEmpty()) to.appendElement("span").attr("style", "margin-left:-" + Look.pt(hanging));
        for (int i = 0; i < pieces.size(); i++) {
            Piece piece = pieces.get(i);
            switch (piece.kind()) {
                case TEXT -> {
                    to.appendElement("span").attr("style", piece.css() + ";white-space:pre-wrap").text(piece.text());
                    advance(piece.widthPt());
                }
                case MARKUP -> {
                    to.appendChild(Objects.requireNonNull(piece.markup()));
                    advance(piece.widthPt());
                }
                case LINE_BREAK -> {
                    to.appendElement("br");
                    at = left;
                }
                case PAGE_BREAK -> {
                    to.appendElement("span").attr("style", "display:block;page-break-after:always");
                    at = left;
                }
                case TAB -> gap(to, widthUntilNextStop(pieces, i + 1));
            }
        }
    }

    private void advance(double width) {
        at += width;
        // A line that is full goes on at the margin; where words break is not known here, only about how far the last line
        // reaches.
        if (at > widthPt && widthPt > left + 20) at = left + (at - left) % (widthPt - left);
    }

    private void gap(Element to, double behind) {
        double stop = Double.NaN;
        String kind = "left|";
        for (Map.Entry<Double, String> one : stops.entrySet()) {
            if (one.getKey() > at + 0.1) {
                stop = one.getKey();
                kind = one.getValue();
                break;
            }
        }
        // The indent that a first line hangs out of is a stop as well.
        if (at < left - 0.1 && (Double.isNaN(stop) || stop > left)) {
            stop = left;
            kind = "left|";
        }
        if (Double.isNaN(stop)) stop = (Math.floor(at / everyPt + 0.001) + 1) * everyPt;
        double width = stop - at;
        if (kind.startsWith("right") || kind.startsWith("end") || kind.startsWith("decimal")) width -= behind;
        if (kind.startsWith("center")) width -= behind / 2;
        // A stop at the very margin leaves no room for a rounding error.
        width = Math.clamp(width, 1, Math.max(1, widthPt - at - (kind.startsWith("left") ? 0 : behind + 0.5)));
        String leader = kind.endsWith("dot") || kind.endsWith("middleDot") ? ";border-bottom:1px dotted #000"
                : kind.endsWith("underscore") || kind.endsWith("hyphen")
                        ? ";border-bottom:0.5pt solid #000" : "";
        to.appendElement("span").attr("style", "display:inline-block;text-indent:0;width:" + Look.pt(width) + leader)
                .appendText("\u00A0");
        at += width;
    }

    private static double widthUntilNextStop(List<Piece> pieces, int from) {
        double width = 0;
        for (int i = from; i < pieces.size(); i++) {
            Piece.Kind kind = pieces.get(i).kind();
            if (kind == Piece.Kind.TAB || kind == Piece.Kind.LINE_BREAK || kind == Piece.Kind.PAGE_BREAK) break;
            width += pieces.get(i).widthPt();
        }
        return width;
    }
}
