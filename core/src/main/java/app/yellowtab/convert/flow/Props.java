package app.yellowtab.convert.flow;

import app.yellowtab.convert.page.Xml;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.w3c.dom.Element;

/**
 * Properties of paragraphs, runs, tables and cells, flattened so that a style's can be laid under others: {@code w:ind
 * w:left="720"} becomes "ind.left" with "720". Lengths are in twentieths of a point where nothing else is said.
 */
public final class Props {
    public static final Props NONE = new Props();

    private final Map<String, String> values = new LinkedHashMap<>();

    private Props() {}

    /** {@return those of an element; none for null} */
    public static Props of(@Nullable Element element) {
        Props props = new Props();
        if (element != null) props.add("", element);
        return props;
    }

    public static Props of(Optional<Element> element) {
        return of(element.orElse(null));
    }

    private void add(String path, Element element) {
        for (Element child : Xml.children(element)) {
            String name = child.getLocalName();
            if (name.endsWith("Change") || name.equals("sectPr")) continue;
            String here = path + (name.equals("tab") ? "tab@" + Xml.attribute(child, "pos") : name);
            values.put(here, "");
            var attributes = child.getAttributes();
            for (int i = 0; i < attributes.getLength(); i++) {
                values.put(here + "." + attributes.item(i).getLocalName(), attributes.item(i).getNodeValue());
            }
            add(here + ".", child);
        }
    }

    /** {@return these and one more} */
    public Props and(String name, String value) {
        Props both = new Props();
        both.values.putAll(values);
        both.values.put(name, value);
        return both;
    }

    /** {@return these without those whose names begin so} */
    public Props without(String beginning) {
        Props fewer = new Props();
        values.forEach((name, value) -> {
            if (!name.startsWith(beginning)) fewer.values.put(name, value);
        });
        return fewer;
    }

    /** {@return these with others laid over them} */
    public Props with(Props over) {
        Props both = new Props();
        both.values.putAll(values);
        // An indent that hangs takes back one that does not, and the other way round.
        if (over.values.containsKey("ind.hanging")) both.values.remove("ind.firstLine");
        if (over.values.containsKey("ind.firstLine")) both.values.remove("ind.hanging");
        both.values.putAll(over.values);
        return both;
    }

    public boolean has(String name) {
        return values.containsKey(name);
    }

    /** {@return whether a switch is on: present, and not set to off (ECMA-376 part 1, 17.17.4)} */
    public boolean on(String name) {
        return has(name) && !text(name + ".val").matches("0|false|off|none");
    }

    public String text(String name) {
        return values.getOrDefault(name, "");
    }

    public OptionalDouble number(String name) {
        try {
            String text = text(name).replaceFirst("pt$", "");
            return text.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(Double.parseDouble(text));
        } catch (NumberFormatException notOne) {
            return OptionalDouble.empty();
        }
    }

    public double number(String name, double otherwise) {
        return number(name).orElse(otherwise);
    }

    /** {@return a length given in twentieths of a point, in points} */
    public double pt(String name, double otherwisePt) {
        OptionalDouble number = number(name);
        return number.isPresent() ? number.getAsDouble() / 20 : otherwisePt;
    }

    /** {@return the tab stops: their place in points from the margin, and what kind they are} */
    public Map<Double, String> tabStops() {
        Map<Double, String> stops = new TreeMap<>();
        values.forEach((name, value) -> {
            if (!name.startsWith("tabs.tab@") || !name.endsWith(".val")) return;
            String stop = name.substring(0, name.length() - ".val".length());
            if (!value.equals("clear")) stops.put(pt(stop + ".pos", 0), value + "|" + text(stop + ".leader"));
        });
        return stops;
    }
}
