package app.yellowtab.convert.word;

import app.yellowtab.convert.flow.Props;
import app.yellowtab.convert.page.Xml;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.w3c.dom.Element;

/** The styles of a document, each with those it is based on laid under it (ECMA-376 part 1, 17.7). */
final class Styles {
    private final Map<String, Element> styles = new HashMap<>();
    private final Map<String, Props> paragraphs = new HashMap<>();
    private final Map<String, Props> runs = new HashMap<>();
    private Props ground = Props.NONE;
    private Props runGround = Props.NONE;
    private String usualParagraph = "";
    private String usualTable = "";
    private final String majorFont;
    private final String minorFont;

    /** @param part the styles part; {@code theme} the theme part; either null where there is none */
    Styles(@Nullable Element part, @Nullable Element theme) {
        majorFont = themeFont(theme, "majorFont");
        minorFont = themeFont(theme, "minorFont");
        if (part == null) return;
        ground = Props.of(Xml.child(part, "docDefaults", "pPrDefault", "pPr"));
        runGround = Props.of(Xml.child(part, "docDefaults", "rPrDefault", "rPr"));
        for (Element style : Xml.children(part, "style")) {
            String id = Xml.attribute(style, "styleId");
            styles.put(id, style);
            if (!Xml.attribute(style, "default").matches("1|true")) continue;
            if (Xml.attribute(style, "type").equals("paragraph")) usualParagraph = id;
            if (Xml.attribute(style, "type").equals("table")) usualTable = id;
        }
    }

    private static String themeFont(@Nullable Element theme, String which) {
        if (theme == null) return "";
        return Xml.all(theme, which).stream().findFirst().flatMap(font -> Xml.child(font, "latin"))
                .map(font -> Xml.attribute(font, "typeface")).orElse("");
    }

    /** {@return the style that a paragraph has by its properties} */
    String paragraphStyle(Props own) {
        String named = own.text("pStyle.val");
        return styles.containsKey(named) ? named : usualParagraph;
    }

    String tableStyle(Props own) {
        String named = own.text("tblStyle.val");
        return styles.containsKey(named) ? named : usualTable;
    }

    /** {@return what a style says of its paragraphs} */
    Props paragraph(String style) {
        return paragraphs.computeIfAbsent(style, id -> ground.with(chain(id, "pPr", new HashSet<>())));
    }

    /** {@return what a paragraph's style says of its runs, on the document's ground} */
    Props run(String style) {
        return runs.computeIfAbsent(style, id -> runGround.with(chain(id, "rPr", new HashSet<>())));
    }

    /** {@return what a style for runs adds} */
    Props character(String style) {
        return chain(style, "rPr", new HashSet<>());
    }

    /** {@return a part of a table style, such as "tblPr", with those of the styles below it} */
    Props table(String style, String part) {
        return chain(style, part, new HashSet<>());
    }

    /** {@return a table style's say on certain cells, such as "firstRow"; parts as in {@link #table}} */
    Props tableWhere(String style, String where, String part) {
        Props found = Props.NONE;
        Set<String> seen = new HashSet<>();
        for (String id = style; styles.containsKey(id) && seen.add(id); id = basedOn(id)) {
            Element element = styles.get(id);
            for (Element condition : Xml.children(element, "tblStylePr")) {
                if (Xml.attribute(condition, "type").equals(where)) found = Props.of(Xml.child(condition, part)).with(found);
            }
        }
        return found;
    }

    private Props chain(String style, String part, Set<String> seen) {
        Element element = styles.get(style);
        if (element == null || !seen.add(style)) return Props.NONE;
        return chain(basedOn(style), part, seen).with(Props.of(Xml.child(element, part)));
    }

    private String basedOn(String style) {
        return Optional.ofNullable(styles.get(style)).flatMap(e -> Xml.child(e, "basedOn")).map(e -> Xml.attribute(e, "val"))
                .orElse("");
    }

    /** {@return the font that a run names, itself or through the theme; empty where none is} */
    String font(Props run) {
        String theme = run.text("rFonts.asciiTheme");
        if (theme.startsWith("major") && !majorFont.isEmpty()) return majorFont;
        if (theme.startsWith("minor") && !minorFont.isEmpty()) return minorFont;
        return run.text("rFonts.ascii");
    }
}
