package app.yellowtab.convert.flow;

import app.yellowtab.convert.page.Face;
import java.util.Locale;
import java.util.Map;

/** Says in CSS what properties say. */
public final class Look {
    /** The colours of the sixteen markers (ECMA-376 part 1, 17.18.40). */
    private static final Map<String, String> MARKERS =
            Map.ofEntries(Map.entry("yellow", "#ffff00"), Map.entry("green", "#00ff00"),
                    Map.entry("cyan", "#00ffff"), Map.entry("magenta", "#ff00ff"), Map.entry("blue", "#0000ff"),
                    Map.entry("red", "#ff0000"),
                    Map.entry("darkBlue", "#00008b"), Map.entry("darkCyan", "#008b8b"), Map.entry("darkGreen", "#006400"),
                    Map.entry("darkMagenta", "#800080"), Map.entry("darkRed", "#8b0000"), Map.entry("darkYellow", "#808000"),
                    Map.entry("darkGray", "#a9a9a9"), Map.entry("lightGray", "#d3d3d3"), Map.entry("black", "#000000"),
                    Map.entry("white", "#ffffff"));

    private Look() {}

    public static String pt(double points) {
        return String.format(Locale.ROOT, "%.2fpt", points);
    }

    /** {@return the size of a run's letters in points} */
    public static float size(Props run) {
        return (float) Math.clamp(run.number("sz.val", 20) / 2, 1, 400);
    }

    public static String run(Props run, Face face) {
        StringBuilder css = new StringBuilder();
        css.append(face.css()).append(";font-size:").append(pt(size(run)));
        if (run.on("b")) css.append(";font-weight:700");
        if (run.on("i")) css.append(";font-style:italic");
        boolean struck = run.on("strike") || run.on("dstrike");
        if (run.on("u") || struck)
            css.append(";text-decoration:").append(run.on("u") ? "underline " : "").append(struck ? "line-through" : "");
        if (run.on("caps")) css.append(";text-transform:uppercase");
        if (run.on("smallCaps")) css.append(";text-transform:uppercase;font-size:").append(pt(size(run) * 0.8));
        if (run.text("color.val").matches("[0-9A-Fa-f]{6}")) css.append(";color:#").append(run.text("color.val"));
        String marker = MARKERS.get(run.text("highlight.val"));
        if (marker != null) css.append(";background-color:").append(marker);
        else css.append(shading(run));
        String raised = run.text("vertAlign.val");
        if (raised.equals("superscript"))
            css.append(";vertical-align:super;line-height:1;font-size:").append(pt(size(run) * 0.65));
        if (raised.equals("subscript")) css.append(";vertical-align:sub;line-height:1;font-size:").append(pt(size(run) * 0.65));
        if (run.has("spacing.val")) css.append(";letter-spacing:").append(pt(run.pt("spacing.val", 0)));
        return css.toString();
    }

    /** @param lineHeight the height of a line of the paragraph's typeface in em */
    public static String paragraph(Props paragraph, float lineHeight, boolean afterSame, boolean beforeSame) {
        StringBuilder css = new StringBuilder();
        switch (paragraph.text("jc.val")) {
            case "right", "end" -> css.append("text-align:right;");
            case "center" -> css.append("text-align:center;");
            case "both", "distribute" -> css.append("text-align:justify;");
            default -> {}
        }
        double left = paragraph.pt("ind.left", paragraph.pt("ind.start", 0));
        css.append("margin-left:").append(pt(left)).append(";margin-right:")
                .append(pt(paragraph.pt("ind.right", paragraph.pt("ind.end", 0))));
        css.append(";text-indent:").append(pt(Math.max(0, firstLine(paragraph))));
        boolean framed =
                paragraph.has("pBdr.top") || paragraph.has("pBdr.bottom") || paragraph.has("pBdr.left") || paragraph.has("shd");
        String gap = framed ? ";margin-" : ";padding-";
        css.append(gap).append("top:").append(pt(afterSame ? 0 : space(paragraph, "before")));
        css.append(gap).append("bottom:").append(pt(beforeSame ? 0 : space(paragraph, "after")));
        double line = paragraph.number("spacing.line", 240);
        boolean multiple = !paragraph.text("spacing.lineRule").matches("exact|atLeast");
        css.append(";line-height:")
                .append(multiple ? String.format(Locale.ROOT, "%.3f", line / 240 * lineHeight) : pt(line / 20));
        if (paragraph.on("keepNext")) css.append(";page-break-after:avoid");
        if (paragraph.on("keepLines")) css.append(";page-break-inside:avoid");
        if (paragraph.on("pageBreakBefore")) css.append(";page-break-before:always");
        for (String side : new String[] {"top", "bottom", "left", "right"}) {
            String border = border(paragraph, "pBdr." + side);
            if (!border.isEmpty()) css.append(";border-").append(side).append(':').append(border)
                    .append(";padding-").append(side).append(':').append(pt(paragraph.number("pBdr." + side + ".space", 1)));
        }
        return css.append(shading(paragraph)).append(";orphans:2;widows:2").toString();
    }

    public static double firstLine(Props paragraph) {
        return paragraph.has("ind.hanging") ? -paragraph.pt("ind.hanging", 0) : paragraph.pt("ind.firstLine", 0);
    }

    private static double space(Props paragraph, String where) {
        return paragraph.on("spacing." + where + "Autospacing") || paragraph.text("spacing." + where + "Autospacing").equals("1")
                ? 14 : paragraph.pt("spacing." + where, 0);
    }

    /** {@return a border in CSS, widths given in eighths of a point; empty for none} */
    public static String border(Props props, String which) {
        String kind = props.text(which + ".val");
        if (kind.isEmpty() || kind.equals("nil") || kind.equals("none")) return "";
        String style = switch (kind) {
            case "double", "triple" -> "double";
            case "dotted" -> "dotted";
            case "dashed", "dashSmallGap", "dotDash" -> "dashed";
            default -> "solid";
        };
        double width = Math.max(style.equals("double") ? 2.25 : 0.5, props.number(which + ".sz", 4) / 8);
        String colour = props.text(which + ".color");
        return pt(width) + " " + style + " " + (colour.matches("[0-9A-Fa-f]{6}") ? "#" + colour : "#000000");
    }

    public static String shading(Props props) {
        String fill = props.text("shd.fill");
        return fill.matches("[0-9A-Fa-f]{6}") ? ";background-color:#" + fill : "";
    }
}
