package app.yellowtab.convert.rtf;

import app.yellowtab.convert.flow.Line;
import app.yellowtab.convert.flow.Look;
import app.yellowtab.convert.flow.Piece;
import app.yellowtab.convert.flow.Props;
import app.yellowtab.convert.page.Face;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jsoup.nodes.Element;

/** A text of a Rich Text Format file that is being built: the body's, a header's or a note's. */
final class RtfFlow {
    private static final double TAB_STOP_PT = 36;

    private final Element to;
    private final double widthPt;
    private final List<Piece> pieces = new ArrayList<>();
    private final List<Integer> edges = new ArrayList<>();
    private Element table = new Element("table");
    private Element row = new Element("tr");
    private Element cell = new Element("td");
    private boolean inTable;

    RtfFlow(Element to, double widthPt) {
        this.to = to;
        this.widthPt = widthPt;
    }

    Element element() {
        return to;
    }

    boolean hasContent() {
        return to.childrenSize() > 0;
    }

    /** {@return whether no word of a further paragraph has come yet} */
    boolean isBetweenParagraphs() {
        return pieces.isEmpty();
    }

    void add(Piece piece) {
        pieces.add(piece);
    }

    void endParagraph(Props paragraph, float sizePt) {
        if (!inTable) endTable();
        Element p = (inTable ? cell : to).appendElement("p");
        new Line(paragraph, TAB_STOP_PT, widthPt).write(pieces, p);
        Optional<Face> face = pieces.stream().filter(piece -> piece.kind() == Piece.Kind.TEXT).map(Piece::face).findFirst();
        p.attr("style",
                Look.paragraph(paragraph, face.orElse(Face.TINOS).lineHeight(), false, false) + ";font-size:" + Look.pt(sizePt));
        if (pieces.isEmpty()) p.appendText("\u00A0");
        pieces.clear();
    }

    void beginRow() {
        edges.clear();
    }

    /** Takes the right edge of the next cell, in twentieths of a point. */
    void edge(int twips) {
        edges.add(twips);
    }

    void beginTable() {
        inTable = true;
    }

    void endCell() {
        row.appendChild(cell);
        cell = new Element("td");
        inTable = true;
    }

    /** The edges of a row's cells stand before or behind its words; those that hold at its end count. */
    void endRow() {
        int before = 0;
        List<Element> cells = row.children();
        for (int i = 0; i < cells.size(); i++) {
            int edge = i < edges.size() ? edges.get(i) : before + 1440;
            cells.get(i).attr("style",
                    "padding:1pt 5.4pt;border:0.5pt solid #808080;width:" + Look.pt(Math.max(10, (edge - before) / 20.0)));
            before = edge;
        }
        table.appendChild(row);
        row = new Element("tr");
        inTable = false;
    }

    void endTable() {
        if (table.childrenSize() == 0) return;
        to.appendChild(table);
        table = new Element("table");
    }
}
