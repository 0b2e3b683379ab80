package app.yellowtab.convert.table;

import app.yellowtab.convert.page.Lengths;
import app.yellowtab.convert.page.Notes;
import app.yellowtab.convert.page.Parts;
import app.yellowtab.convert.page.Xml;
import app.yellowtab.convert.table.Grid.Cell;
import app.yellowtab.finding.Finding.Code;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.stream.Collectors;
import org.w3c.dom.Element;

/** Reads OpenDocument spreadsheets: each cell holds its value as it is shown (OpenDocument 1.3 part 3, 9.1). */
final class OdsReader {
    /** A row or column that is repeated further than this is the empty rest of a sheet. */
    private static final int MOST_REPEATED = 1000;

    private final Map<String, Element> styles = new HashMap<>();
    private final List<String> hidden = new ArrayList<>();
    private final Grid.Count count = new Grid.Count();

    private OdsReader() {}

    static List<Grid> read(Path file, Notes notes) throws IOException {
        try (Parts parts = new Parts(file)) {
            OdsReader reader = new OdsReader();
            Element content = parts.xml("content.xml").orElseThrow(() -> new IOException("no content part"));
            parts.xml("styles.xml").ifPresent(reader::addStyles);
            reader.addStyles(content);
            Element book = Xml.child(content, "body", "spreadsheet").orElseThrow(() -> new IOException("no spreadsheet"));
            List<Grid> grids = new ArrayList<>();
            for (Element table : Xml.children(book, "table")) {
                String name = Xml.attribute(table, "name");
                if (reader.property(Xml.attribute(table, "style-name"), "table-properties", "display").equals("false"))
                    reader.hidden.add("sheet " + name);
                else grids.add(reader.grid(table, name));
            }
            if (!reader.hidden.isEmpty()) notes.say(Code.HIDDEN_LEFT_OUT, String.join(", ", reader.hidden));
            if (!Xml.all(book, "frame").isEmpty()) notes.lost("pictures and charts on sheets");
            int comments = Xml.all(book, "annotation").size();
            if (comments > 0) notes.say(Code.COMMENTS_DROPPED, String.valueOf(comments));
            return grids;
        }
    }

    private void addStyles(Element part) {
        Xml.all(part, "style").forEach(style -> styles.put(Xml.attribute(style, "name"), style));
    }

    private String property(String style, String group, String property) {
        Element at = styles.get(style);
        for (int depth = 0; at != null && depth < 20; depth++) {
            Optional<String> value = Xml.child(at, group).map(e -> Xml.attribute(e, property)).filter(v -> !v.isEmpty());
            if (value.isPresent()) return value.get();
            at = styles.get(Xml.attribute(at, "parent-style-name"));
        }
        return "";
    }

    private Grid grid(Element table, String name) throws IOException {
        Grid grid = new Grid(name);
        for (Element column : Xml.all(table, "table-column")) {
            boolean hides = Xml.attribute(column, "visibility").matches("collapse|filter");
            if (hides) hidden.add("columns of " + name);
            float width = hides ? 0 : (float) Lengths
                    .points(property(Xml.attribute(column, "style-name"), "table-column-properties", "column-width"));
            for (int i = repeated(column, "number-columns-repeated"); i > 0 && grid.widths.size() < MOST_REPEATED; i--)
                grid.widths.add(hides ? 0 : width > 0 ? width : Grid.USUAL_WIDTH_PT);
        }
        addRows(grid, table, name, false);
        grid.finish();
        return grid;
    }

    private void addRows(Grid grid, Element parent, String name, boolean head) throws IOException {
        for (Element one : Xml.children(parent)) {
            switch (one.getLocalName()) {
                case "table-header-rows" -> addRows(grid, one, name, true);
                case "table-rows", "table-row-group" -> addRows(grid, one, name, head);
                case "table-row" -> {
                    if (Xml.attribute(one, "visibility").matches("collapse|filter")) {
                        if (!hidden.contains("rows of " + name)) hidden.add("rows of " + name);
                        continue;
                    }
                    int times = repeated(one, "number-rows-repeated");
                    for (int i = 0; i < (times >= MOST_REPEATED ? 1 : times); i++) fill(grid.addRow(), one, grid.widths);
                    if (head && grid.headRows == grid.rows.size() - 1) grid.headRows++;
                }
                default -> {}
            }
        }
    }

    private void fill(SortedMap<Integer, Cell> into, Element row, List<Float> widths) throws IOException {
        int column = 0;
        for (Element cell : Xml.children(row)) {
            int times = repeated(cell, "number-columns-repeated");
            String text = Xml.children(cell, "p").stream().map(OdsReader::words).collect(Collectors.joining("\n"));
            String style = Xml.attribute(cell, "style-name");
            String fill = property(style, "table-cell-properties", "background-color");
            int colour = fill.matches("#[0-9A-Fa-f]{6}") ? Integer.parseInt(fill.substring(1), 16) : -1;
            if (!text.isEmpty() && times < MOST_REPEATED) {
                for (int i = 0; i < times; i++) {
                    count.add(text);
                    if (column + i < widths.size() && widths.get(column + i) == 0) continue;
                    boolean bold = property(style, "text-properties", "font-weight").equals("bold");
                    into.put(column + i,
                            new Cell(text, align(cell, style), bold, colour, repeated(cell, "number-columns-spanned")));
                }
            }
            column += times;
        }
    }

    /** {@return the words of a paragraph, without those of notes on the cell} */
    private static String words(Element paragraph) {
        StringBuilder words = new StringBuilder();
        for (var node = paragraph.getFirstChild(); node != null; node = node.getNextSibling()) {
            if (node instanceof Element element) {
                if (Xml.is(element, "s")) words.append(' ');
                else if (!Xml.is(element, "annotation")) words.append(words(element));
            } else words.append(node.getNodeValue());
        }
        return words.toString().strip();
    }

    private Cell.Align align(Element cell, String style) {
        return switch (property(style, "paragraph-properties", "text-align")) {
            case "end", "right" -> Cell.Align.RIGHT;
            case "center" -> Cell.Align.CENTRE;
            case "start", "left" -> Cell.Align.LEFT;
            default -> Xml.attribute(cell, "value-type").matches("float|currency|percentage|date|time") ? Cell.Align.RIGHT
                    : Cell.Align.LEFT;
        };
    }

    private static int repeated(Element element, String attribute) {
        String text = Xml.attribute(element, attribute);
        return text.matches("[1-9]\\d{0,8}") ? Integer.parseInt(text) : 1;
    }
}
