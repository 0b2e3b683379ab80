package app.yellowtab.convert.word;

import app.yellowtab.convert.flow.Look;
import app.yellowtab.convert.flow.Props;
import app.yellowtab.convert.page.Xml;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import org.jsoup.nodes.Element;

/** Reads tables: columns, merged cells, borders, head rows that repeat (ECMA-376 part 1, 17.4). */
final class Tables {
    /** What a cell leaves free at its sides if nothing is said. */
    private static final double SIDE_PT = 5.4;

    private final Docx docx;
    private final Story story;
    private final double widthPt;

    Tables(Docx docx, Story story, double widthPt) {
        this.docx = docx;
        this.story = story;
        this.widthPt = widthPt;
    }

    /** A cell, where it begins in the grid, and how far it reaches. */
    private record Cell(org.w3c.dom.Element element, Props props, int column, int columns) {
        boolean continues() {
            return props.has("vMerge") && !props.text("vMerge.val").equals("restart");
        }
    }

    private record Row(Props props, List<Cell> cells) {}

    void add(Element to, org.w3c.dom.Element from) throws IOException {
        Props own = Props.of(Xml.child(from, "tblPr"));
        String style = docx.styles.tableStyle(own);
        Props table = docx.styles.table(style, "tblPr").with(own);
        List<Row> rows = rows(from);
        if (rows.isEmpty()) return;
        double[] columns = columns(from, rows, table);
        Element out = to.appendElement("table").attr("style", tableCss(table, columns));
        Element group = out.appendElement("colgroup");
        double sum = Arrays.stream(columns).sum();
        for (double column : columns)
            group.appendElement("col").attr("style", String.format(Locale.ROOT, "width:%.3f%%", column / sum * 100));
        // A cell that reaches out of the head into the body keeps the head from being set apart.
        int heads = 0;
        while (heads < rows.size() - 1 && rows.get(heads).props().on("tblHeader")) heads++;
        for (Cell cell : heads == 0 ? List.<Cell>of() : rows.get(heads).cells()) if (cell.continues()) heads = 0;
        Element head = null;
        Element body = null;
        for (int i = 0; i < rows.size(); i++) {
            Row row = rows.get(i);
            boolean repeats = i < heads;
            if (repeats && head == null) head = out.appendElement("thead");
            if (!repeats && body == null) body = out.appendElement("tbody");
            Element tr = (repeats && head != null ? head : Objects.requireNonNull(body)).appendElement("tr");
            StringBuilder css = new StringBuilder("page-break-inside:").append(row.props().on("cantSplit") ? "avoid" : "auto");
            if (row.props().has("trHeight.val")) css.append(";height:").append(Look.pt(row.props().pt("trHeight.val", 0)));
            tr.attr("style", css.toString());
            addCells(tr, rows, i, table, style, columns);
        }
    }

    private void addCells(Element tr, List<Row> rows, int index, Props table, String style, double[] columns) throws IOException {
        Row row = rows.get(index);
        int at = 0;
        for (Cell cell : row.cells()) {
            if (cell.column() > at) tr.appendElement("td").attr("colspan", String.valueOf(cell.column() - at));
            at = cell.column() + cell.columns();
            if (cell.continues() && index > 0) continue;
            int reach = reach(rows, index, cell);
            Element td = tr.appendElement("td");
            if (cell.columns() > 1) td.attr("colspan", String.valueOf(cell.columns()));
            if (reach > 1) td.attr("rowspan", String.valueOf(reach));
            String where = where(table, index, rows.size(), at == columns.length, cell.column() == 0);
            Props props = docx.styles.table(style, "tcPr").with(docx.styles.tableWhere(style, where, "tcPr")).with(cell.props());
            td.attr("style",
                    cellCss(table, props, index == 0, index + reach == rows.size(), cell.column() == 0, at == columns.length));
            Props run = docx.styles.table(style, "rPr").with(docx.styles.tableWhere(style, where, "rPr"));
            double width = 0;
            for (int c = cell.column(); c < Math.min(at, columns.length); c++) width += columns[c];
            new Story(docx, story.part(), Math.max(20, width - 2 * SIDE_PT)).addAll(td, Xml.children(cell.element()),
                    new Story.Ground(docx.styles.table(style, "pPr"), run));
        }
    }

    /** {@return which part of the table's style a cell has, if the table asks for that part} */
    private static String where(Props table, int row, int rows, boolean last, boolean first) {
        String look = table.text("tblLook.val");
        int bits = look.matches("[0-9A-Fa-f]{1,8}") ? Integer.parseUnsignedInt(look, 16) : 0;
        if (row == 0 && ((bits & 0x20) != 0 || table.text("tblLook.firstRow").equals("1"))) return "firstRow";
        if (row == rows - 1 && ((bits & 0x40) != 0 || table.text("tblLook.lastRow").equals("1"))) return "lastRow";
        if (first && ((bits & 0x80) != 0 || table.text("tblLook.firstColumn").equals("1"))) return "firstCol";
        if (last && ((bits & 0x100) != 0 || table.text("tblLook.lastColumn").equals("1"))) return "lastCol";
        boolean bands = !((bits & 0x200) != 0 || table.text("tblLook.noHBand").equals("1"));
        return bands && row % 2 == 1 ? "band1Horz" : bands ? "band2Horz" : "";
    }

    private List<Row> rows(org.w3c.dom.Element table) {
        List<Row> rows = new ArrayList<>();
        for (org.w3c.dom.Element tr : withContents(table, "tr")) {
            Props props = Props.of(Xml.child(tr, "trPr"));
            if (props.has("ins")) docx.insertions++;
            if (props.has("del")) {
                docx.deletions++;
                if (!docx.showChanges) continue;
            }
            List<Cell> cells = new ArrayList<>();
            int column = (int) props.number("gridBefore.val", 0);
            for (org.w3c.dom.Element tc : withContents(tr, "tc")) {
                Props cell = Props.of(Xml.child(tc, "tcPr"));
                int columns = (int) Math.clamp(cell.number("gridSpan.val", 1), 1, 200);
                cells.add(new Cell(tc, cell, column, columns));
                column += columns;
            }
            if (!cells.isEmpty()) rows.add(new Row(props, cells));
        }
        return rows;
    }

    /** {@return the elements of a name in another, those in content controls as well} */
    private static List<org.w3c.dom.Element> withContents(org.w3c.dom.Element parent, String name) {
        List<org.w3c.dom.Element> found = new ArrayList<>();
        for (org.w3c.dom.Element child : Xml.children(parent)) {
            if (Xml.is(child, name)) found.add(child);
            else if (Xml.is(child, "sdt"))
                Xml.child(child, "sdtContent").ifPresent(content -> found.addAll(withContents(content, name)));
            else if (Xml.is(child, "customXml")) found.addAll(withContents(child, name));
        }
        return found;
    }

    private static int reach(List<Row> rows, int from, Cell cell) {
        if (!cell.props().has("vMerge")) return 1;
        int reach = 1;
        while (from + reach < rows.size() && rows.get(from + reach).cells().stream()
                .anyMatch(below -> below.column() == cell.column() && below.continues()))
            reach++;
        return reach;
    }

    private double[] columns(org.w3c.dom.Element from, List<Row> rows, Props table) {
        List<org.w3c.dom.Element> grid = Xml.child(from, "tblGrid").map(e -> Xml.children(e, "gridCol")).orElse(List.of());
        int count =
                rows.stream().mapToInt(row -> row.cells().getLast().column() + row.cells().getLast().columns()).max().orElse(1);
        double[] columns = new double[count];
        double sum = 0;
        for (int i = 0; i < count; i++) {
            String width = i < grid.size() ? Xml.attribute(grid.get(i), "w") : "";
            columns[i] = width.matches("\\d{1,6}") ? Double.parseDouble(width) / 20 : 0;
            sum += columns[i];
        }
        double most = widthPt + 2 * SIDE_PT;
        double wanted = switch (table.text("tblW.type")) {
            case "pct" -> most * Math.min(1, table.number("tblW.w", 5000) / (table.text("tblW.w").endsWith("%") ? 100 : 5000));
            case "dxa" -> Math.min(most, table.pt("tblW.w", sum));
            default -> Math.min(most, sum);
        };
        if (sum <= 0 || wanted <= 0) {
            Arrays.fill(columns, widthPt / count);
            return columns;
        }
        for (int i = 0; i < count; i++) columns[i] = Math.max(2, columns[i] * wanted / sum);
        return columns;
    }

    private static String tableCss(Props table, double[] columns) {
        StringBuilder css = new StringBuilder("table-layout:fixed;width:").append(Look.pt(Arrays.stream(columns).sum()));
        switch (table.text("jc.val")) {
            case "center" -> css.append(";margin-left:auto;margin-right:auto");
            case "right", "end" -> css.append(";margin-left:auto");
            default ->
                    css.append(";margin-left:").append(Look.pt(table.pt("tblInd.w", 0) - table.pt("tblCellMar.left.w", SIDE_PT)));
        }
        return css.toString();
    }

    private static String cellCss(Props table, Props cell, boolean top, boolean bottom, boolean left, boolean right) {
        StringBuilder css = new StringBuilder();
        css.append("padding:").append(Look.pt(table.pt("tblCellMar.top.w", 0))).append(' ')
                .append(Look.pt(table.pt("tblCellMar.right.w", SIDE_PT))).append(' ')
                .append(Look.pt(table.pt("tblCellMar.bottom.w", 0))).append(' ')
                .append(Look.pt(table.pt("tblCellMar.left.w", SIDE_PT)));
        border(css, "top", table, cell, top ? "top" : "insideH");
        border(css, "bottom", table, cell, bottom ? "bottom" : "insideH");
        border(css, "left", table, cell, left ? "left" : "insideV");
        border(css, "right", table, cell, right ? "right" : "insideV");
        if (cell.text("vAlign.val").equals("center")) css.append(";vertical-align:middle");
        if (cell.text("vAlign.val").equals("bottom")) css.append(";vertical-align:bottom");
        return css.append(Look.shading(cell)).toString();
    }

    private static void border(StringBuilder css, String side, Props table, Props cell, String ofTable) {
        boolean own = cell.has("tcBorders." + side);
        String border = own ? Look.border(cell, "tcBorders." + side) : Look.border(table, "tblBorders." + ofTable);
        if (!border.isEmpty()) css.append(";border-").append(side).append(':').append(border);
    }
}
