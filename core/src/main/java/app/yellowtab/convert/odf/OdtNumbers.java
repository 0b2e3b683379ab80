package app.yellowtab.convert.odf;

import app.yellowtab.convert.flow.Props;
import app.yellowtab.convert.page.Xml;
import app.yellowtab.convert.word.ListNumbering;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntFunction;
import org.w3c.dom.Element;

/** Counts the items of lists and the headings (OpenDocument 1.3 part 3, 5.3 and 16.34), as the writer saw them. */
final class OdtNumbers {
    private static final int LEVELS = 10;

    private final OdtStyles styles;
    private final Map<String, int[]> byStyle = new HashMap<>();
    private final Map<String, int[]> byIdentity = new HashMap<>();
    private final int[] headings = new int[LEVELS + 1];

    OdtNumbers(OdtStyles styles) {
        this.styles = styles;
    }

    /** A list that a paragraph is in. */
    static final class Lists {
        private final String style;
        private final int[] counts;
        private int level;

        private Lists(String style, int[] counts) {
            this.style = style;
            this.counts = counts;
        }
    }

    /** {@return a list that begins here, outside of others; it counts on where an earlier one ended if it says so} */
    Lists begin(Element list) {
        String style = Xml.attribute(list, "style-name");
        int[] before = byIdentity.get(Xml.attribute(list, "continue-list"));
        if (before == null && Xml.attribute(list, "continue-numbering").equals("true")) before = byStyle.get(style);
        int[] counts = before == null ? new int[LEVELS + 1] : before;
        byStyle.put(style, counts);
        String identity = Xml.attribute(list, "id");
        if (!identity.isEmpty()) byIdentity.put(identity, counts);
        return new Lists(style, counts);
    }

    void enter(Lists lists) {
        lists.level++;
    }

    /** Leaves a list; one inside another begins anew the next time, the outermost may be gone on with. */
    void leave(Lists lists) {
        if (lists.level > 1) lists.counts[level(lists)] = 0;
        lists.level--;
    }

    private static int level(Lists lists) {
        return Math.min(lists.level, LEVELS);
    }

    /** {@return what stands before the next item of a list} */
    String label(Lists lists, Element item) {
        int level = level(lists);
        Optional<Element> at = styles.listLevel(lists.style, level);
        if (at.isEmpty() || Xml.is(at.get(), "list-level-style-bullet")) return "•";
        int start = number(Xml.attribute(item, "start-value"), -1);
        if (start >= 0) lists.counts[level] = start;
        else count(lists.counts, level, at.get());
        return write(lists.counts, level, l -> styles.listLevel(lists.style, l));
    }

    /** {@return what stands before a heading; empty where headings of its level are not numbered} */
    String heading(Element heading) {
        int level = Math.clamp(number(Xml.attribute(heading, "outline-level"), 0), 0, LEVELS);
        Optional<Element> at = styles.outlineLevel(level);
        if (at.isEmpty() || Xml.attribute(at.get(), "num-format").isEmpty()
                || Xml.attribute(heading, "is-list-header").equals("true"))
            return "";
        if (Xml.attribute(heading, "restart-numbering").equals("true"))
            headings[level] = number(Xml.attribute(heading, "start-value"), 1);
        else count(headings, level, at.get());
        Arrays.fill(headings, level + 1, headings.length, 0);
        return write(headings, level, styles::outlineLevel);
    }

    private static void count(int[] counts, int level, Element at) {
        counts[level] = counts[level] == 0 ? number(Xml.attribute(at, "start-value"), 1) : counts[level] + 1;
    }

    private static String write(int[] counts, int level, IntFunction<Optional<Element>> levels) {
        Element at = levels.apply(level).orElseThrow();
        int shown = number(Xml.attribute(at, "display-levels"), 1);
        List<String> numbers = new ArrayList<>();
        for (int l = Math.max(1, level - shown + 1); l <= level; l++) {
            String format = levels.apply(l).map(e -> Xml.attribute(e, "num-format")).orElse("1");
            if (!format.isEmpty()) numbers.add(ListNumbering.write(Math.max(1, counts[l]), format(format)));
        }
        return numbers.isEmpty() ? ""
                : Xml.attribute(at, "num-prefix") + String.join(".", numbers) + Xml.attribute(at, "num-suffix");
    }

    /** {@return the indents that a list gives its paragraphs (OpenDocument 1.3 part 3, 17.20)} */
    Props indents(Lists lists) {
        Optional<Element> align = styles.listLevel(lists.style, level(lists))
                .flatMap(l -> Xml.child(l, "list-level-properties", "list-level-label-alignment"));
        return align.map(OdtStyles::lines).orElse(Props.NONE);
    }

    private static String format(String odf) {
        return switch (odf) {
            case "a" -> "lowerLetter";
            case "A" -> "upperLetter";
            case "i" -> "lowerRoman";
            case "I" -> "upperRoman";
            default -> "decimal";
        };
    }

    private static int number(String text, int otherwise) {
        return text.matches("\\d{1,9}") ? Integer.parseInt(text) : otherwise;
    }
}
