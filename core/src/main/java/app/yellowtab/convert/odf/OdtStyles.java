package app.yellowtab.convert.odf;

import app.yellowtab.convert.flow.Props;
import app.yellowtab.convert.page.Lengths;
import app.yellowtab.convert.page.Xml;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.w3c.dom.Element;

/** The styles of an OpenDocument text (OpenDocument 1.3 part 3, 16), in the properties that the rest of this package speaks. */
final class OdtStyles {
    private final Map<String, Element> styles = new HashMap<>();
    private final Map<String, Element> lists = new HashMap<>();
    private final Map<String, Element> outline = new HashMap<>();
    private final Map<String, Element> layouts = new HashMap<>();
    private final Map<String, Element> masters = new HashMap<>();
    private final Map<String, String> fonts = new HashMap<>();
    private final Map<String, Element> defaults = new HashMap<>();

    /** Takes over the styles of a part. */
    void add(Element part) {
        Xml.all(part, "style")
                .forEach(style -> styles.put(key(Xml.attribute(style, "family"), Xml.attribute(style, "name")), style));
        Xml.all(part, "default-style").forEach(style -> defaults.put(Xml.attribute(style, "family"), style));
        Xml.all(part, "list-style").forEach(style -> lists.put(Xml.attribute(style, "name"), style));
        Xml.all(part, "outline-level-style").forEach(level -> outline.put(Xml.attribute(level, "level"), level));
        Xml.all(part, "page-layout").forEach(layout -> layouts.put(Xml.attribute(layout, "name"), layout));
        Xml.all(part, "master-page").forEach(master -> masters.put(Xml.attribute(master, "name"), master));
        Xml.all(part, "font-face")
                .forEach(face -> fonts.put(Xml.attribute(face, "name"), Xml.attribute(face, "font-family").replace("'", "")));
    }

    /** {@return the level of a list style; empty where there is none} */
    Optional<Element> listLevel(String style, int level) {
        return Optional.ofNullable(lists.get(style)).flatMap(list -> Xml.children(list).stream()
                .filter(e -> Xml.attribute(e, "level").equals(String.valueOf(level))).findFirst());
    }

    /** {@return how headings of a level are numbered; empty where the text says nothing of it} */
    Optional<Element> outlineLevel(int level) {
        return Optional.ofNullable(outline.get(String.valueOf(level)));
    }

    /** {@return a master page; the first one where the name is not known} */
    Optional<Element> master(String name) {
        return Optional.ofNullable(masters.get(name)).or(() -> Optional.ofNullable(masters.get("Standard")))
                .or(() -> masters.values().stream().findFirst());
    }

    Optional<Element> layout(String name) {
        return Optional.ofNullable(layouts.get(name));
    }

    /** {@return an attribute of a style itself or of those it is based on; empty where none has it} */
    String attribute(String family, String name, String attribute) {
        Set<String> seen = new HashSet<>();
        for (String at = name; seen.add(at);) {
            Element style = styles.get(key(family, at));
            if (style == null) return "";
            String value = Xml.attribute(style, attribute);
            if (!value.isEmpty()) return value;
            at = Xml.attribute(style, "parent-style-name");
        }
        return "";
    }

    /** {@return a property of a style of tables, columns, rows or cells; empty where it has none} */
    String property(String family, String name, String property) {
        Element style = styles.get(key(family, name));
        if (style == null) return "";
        return Xml.children(style).stream().map(group -> Xml.attribute(group, property)).filter(value -> !value.isEmpty())
                .findFirst().orElse("");
    }

    /** {@return what a style says of paragraphs, its parents' say below it} */
    Props paragraph(String name) {
        return chain("paragraph", name, false, new HashSet<>());
    }

    /** {@return what a style of paragraphs or of text says of letters} */
    Props text(String family, String name) {
        return chain(family, name, true, new HashSet<>());
    }

    private Props chain(String family, String name, boolean text, Set<String> seen) {
        Element style = styles.get(key(family, name));
        boolean last = style == null || !seen.add(name);
        if (last) return Optional.ofNullable(defaults.get(family)).filter(d -> family.equals("paragraph")).map(d -> own(d, text))
                .orElse(Props.NONE);
        return chain(family, Xml.attribute(style, "parent-style-name"), text, seen).with(own(style, text));
    }

    private Props own(Element style, boolean text) {
        Props props = Props.NONE;
        for (Element group : Xml.children(style, text ? "text-properties" : "paragraph-properties"))
            props = props.with(text ? letters(group) : lines(group));
        return props;
    }

    /** {@return what an element says of the lines of a paragraph} */
    static Props lines(Element group) {
        Props props = Props.NONE;
        String align = Xml.attribute(group, "text-align");
        if (!align.isEmpty()) props = props.and("jc.val", align.equals("justify") ? "both" : align);
        props = length(props, group, "margin-left", "ind.left");
        props = length(props, group, "margin-right", "ind.right");
        props = length(props, group, "margin-top", "spacing.before");
        props = length(props, group, "margin-bottom", "spacing.after");
        double indent = Lengths.points(Xml.attribute(group, "text-indent"));
        if (indent < 0) props = props.and("ind.hanging", twips(-indent));
        if (indent > 0) props = props.and("ind.firstLine", twips(indent));
        String height = Xml.attribute(group, "line-height");
        if (height.matches("\\d+%"))
            props = props.and("spacing.line", String.valueOf(Integer.parseInt(height.replace("%", "")) * 240 / 100));
        if (Xml.attribute(group, "break-before").equals("page")) props = props.and("pageBreakBefore", "");
        if (Xml.attribute(group, "break-after").equals("page")) props = props.and("pageBreakAfter", "");
        if (Xml.attribute(group, "keep-with-next").equals("always")) props = props.and("keepNext", "");
        for (Element stop : Xml.all(group, "tab-stop")) {
            double place = Lengths.points(Xml.attribute(stop, "position"));
            String name = "tabs.tab@" + Math.round(place * 20);
            String type = Xml.attribute(stop, "type");
            props = props.and(name + ".val", type.isEmpty() || type.equals("char") ? "left" : type).and(name + ".pos",
                    twips(place));
            if (Xml.attribute(stop, "leader-style").equals("dotted")) props = props.and(name + ".leader", "dot");
        }
        return props;
    }

    private Props letters(Element group) {
        Props props = Props.NONE;
        props = flag(props, Xml.attribute(group, "font-weight"), "b", "bold|[6-9]00");
        props = flag(props, Xml.attribute(group, "font-style"), "i", "italic|oblique");
        props = flag(props, Xml.attribute(group, "text-underline-style"), "u", "(?!none).+");
        props = flag(props, Xml.attribute(group, "text-line-through-style"), "strike", "(?!none).+");
        props = flag(props, Xml.attribute(group, "font-variant"), "smallCaps", "small-caps");
        props = flag(props, Xml.attribute(group, "text-transform"), "caps", "uppercase");
        props = flag(props, Xml.attribute(group, "display"), "vanish", "none");
        double size = Lengths.points(Xml.attribute(group, "font-size"));
        if (size > 0) props = props.and("sz.val", String.valueOf(Math.round(size * 2)));
        String colour = Xml.attribute(group, "color");
        if (colour.startsWith("#")) props = props.and("color.val", colour.substring(1));
        if (Xml.attribute(group, "background-color").startsWith("#"))
            props = props.and("shd.fill", Xml.attribute(group, "background-color").substring(1));
        String font = Xml.attribute(group, "font-name");
        if (!font.isEmpty()) props = props.and("rFonts.ascii", fonts.getOrDefault(font, font));
        String place = Xml.attribute(group, "text-position");
        if (place.startsWith("super")) props = props.and("vertAlign.val", "superscript");
        if (place.startsWith("sub")) props = props.and("vertAlign.val", "subscript");
        return props;
    }

    private static Props flag(Props props, String value, String name, String on) {
        return value.isEmpty() ? props : props.and(name, "").and(name + ".val", value.matches(on) ? "1" : "0");
    }

    private static Props length(Props props, Element group, String from, String to) {
        String value = Xml.attribute(group, from);
        return value.isEmpty() || value.endsWith("%") ? props : props.and(to, twips(Lengths.points(value)));
    }

    private static String twips(double points) {
        return String.valueOf(Math.round(points * 20));
    }

    private static String key(String family, String name) {
        return family + "\n" + name;
    }
}
