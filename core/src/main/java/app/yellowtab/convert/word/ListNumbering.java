package app.yellowtab.convert.word;

import app.yellowtab.convert.flow.Props;
import app.yellowtab.convert.page.Xml;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.w3c.dom.Element;

/**
 * Counts numbered paragraphs as a word processor does: several levels, restarts, letters and roman numerals (ECMA-376 part 1,
 * 17.9).
 */
public final class ListNumbering {
    private static final int LEVELS = 9;
    private static final Pattern PLACE = Pattern.compile("%([1-9])");

    /** By list, the definition it follows; and by definition, its levels. */
    private final Map<String, Element> lists = new HashMap<>();
    private final Map<String, Element> definitions = new HashMap<>();
    private final Map<String, int[]> counters = new HashMap<>();
    private final Map<String, boolean[]> restarted = new HashMap<>();

    /** @param part the numbering part; null where there is none */
    ListNumbering(@Nullable Element part) {
        if (part == null) return;
        for (Element definition : Xml.children(part, "abstractNum"))
            definitions.put(Xml.attribute(definition, "abstractNumId"), definition);
        for (Element list : Xml.children(part, "num")) lists.put(Xml.attribute(list, "numId"), list);
    }

    /**
     * What stands in front of a paragraph.
     *
     * @param label  empty where the level shows none
     * @param level  the level's own properties
     * @param follow "tab", "space" or "nothing"
     */
    record Label(String label, Props paragraph, Props run, String follow) {}

    /** {@return the properties that a level gives its paragraphs} */
    Props paragraphOf(String list, int level) {
        return definitionLevel(list, level).map(found -> Props.of(Xml.child(found, "pPr"))).orElse(Props.NONE);
    }

    /** {@return the level of a list whose paragraphs have a style; 0 where none is tied to it} */
    int levelOfStyle(String list, String style) {
        for (int level = 0; level < LEVELS; level++) {
            Optional<Element> found = definitionLevel(list, level);
            if (found.isPresent()
                    && Xml.child(found.get(), "pStyle").filter(tied -> Xml.attribute(tied, "val").equals(style)).isPresent())
                return level;
        }
        return 0;
    }

    /** Counts a paragraph. {@return its label; empty where the list is not known or numbers nothing} */
    Optional<Label> next(String list, int level) {
        Optional<Element> found = definitionLevel(list, level);
        if (found.isEmpty() || level < 0 || level >= LEVELS) return Optional.empty();
        String definition = definitionOf(list);
        int[] counts = counters.computeIfAbsent(definition, key -> new int[LEVELS]);
        boolean[] begun = restarted.computeIfAbsent(list, key -> new boolean[LEVELS]);
        Optional<Element> override = override(list, level);
        boolean startsAnew = !begun[level] && override.flatMap(o -> Xml.child(o, "startOverride")).isPresent();
        int start =
                override.flatMap(o -> Xml.child(o, "startOverride")).map(ListNumbering::number)
                        .orElseGet(() -> start(found.get()));
        counts[level] = counts[level] == 0 || startsAnew ? start + 1 : counts[level] + 1;
        begun[level] = true;
        // A level above that has not been counted yet shows its first number.
        for (int above = 0; above < level; above++) {
            if (counts[above] == 0) counts[above] = definitionLevel(list, above).map(ListNumbering::start).orElse(1) + 1;
        }
        for (int below = level + 1; below < LEVELS; below++) {
            int restartAfter =
                    definitionLevel(list, below).flatMap(l -> Xml.child(l, "lvlRestart")).map(ListNumbering::number)
                            .orElse(below);
            if (restartAfter != 0 && level < restartAfter) counts[below] = 0;
        }
        Element at = found.get();
        return Optional.of(new Label(label(list, at, counts), Props.of(Xml.child(at, "pPr")), Props.of(Xml.child(at, "rPr")),
                Xml.child(at, "suff").map(suff -> Xml.attribute(suff, "val")).orElse("tab")));
    }

    private String label(String list, Element level, int[] counts) {
        String format = format(level);
        String text = Xml.child(level, "lvlText").map(e -> Xml.attribute(e, "val")).orElse("");
        if (format.equals("bullet")) return text.isEmpty() ? "" : bullet(text.charAt(0));
        if (format.equals("none")) return PLACE.matcher(text).replaceAll("");
        boolean legal = Xml.child(level, "isLgl").isPresent();
        return PLACE.matcher(text).replaceAll(place -> {
            int which = place.group(1).charAt(0) - '1';
            String own = definitionLevel(list, which).map(ListNumbering::format).orElse("decimal");
            return Matcher.quoteReplacement(write(counts[which] - 1, legal && !own.equals("decimalZero") ? "decimal" : own));
        });
    }

    /** {@return a number as a format writes it (ECMA-376 part 1, 17.18.59); formats of other scripts as figures} */
    public static String write(int number, String format) {
        return switch (format) {
            case "lowerLetter" -> letters(number).toLowerCase(Locale.ROOT);
            case "upperLetter" -> letters(number);
            case "lowerRoman" -> roman(number).toLowerCase(Locale.ROOT);
            case "upperRoman" -> roman(number);
            case "decimalZero" -> number < 10 ? "0" + number : String.valueOf(number);
            case "ordinal" -> number + ordinalEnding(number);
            default -> String.valueOf(number);
        };
    }

    /** A … Z, AA, BB: a letter is repeated, not carried. */
    private static String letters(int number) {
        if (number < 1) return String.valueOf(number);
        return String.valueOf((char) ('A' + (number - 1) % 26)).repeat(Math.min((number - 1) / 26 + 1, 30));
    }

    private static String roman(int number) {
        if (number < 1 || number > 3999) return String.valueOf(number);
        int[] values = {1000, 900, 500, 400, 100, 90, 50, 40, 10, 9, 5, 4, 1};
        String[] signs = {"M", "CM", "D", "CD", "C", "XC", "L", "XL", "X", "IX", "V", "IV", "I"};
        StringBuilder text = new StringBuilder();
        int rest = number;
        for (int i = 0; i < values.length; i++) {
            while (rest >= values[i]) {
                text.append(signs[i]);
                rest -= values[i];
            }
        }
        return text.toString();
    }

    private static String ordinalEnding(int number) {
        if (number / 10 % 10 == 1) return "th";
        return switch (number % 10) {
            case 1 -> "st";
            case 2 -> "nd";
            case 3 -> "rd";
            default -> "th";
        };
    }

    /** Bullets are often letters of a font of signs; what they look like there is known for the usual ones. */
    private static String bullet(char sign) {
        return switch (sign) {
            case '\uF0A7', '§', '\uF06E', '\uF0A8' -> "▪";
            case 'o', '\uF06F' -> "○";
            case '\uF02D', '-', '–', '—' -> "–";
            case '\uF0D8', '\uF0E8', '\uF0E0' -> "→";
            case '\uF0FC' -> "√";
            default -> "•";
        };
    }

    private static String format(Element level) {
        return Xml.child(level, "numFmt").map(e -> Xml.attribute(e, "val")).orElse("decimal");
    }

    private static int start(Element level) {
        return Xml.child(level, "start").map(ListNumbering::number).orElse(0);
    }

    private static int number(Element element) {
        try {
            return Integer.parseInt(Xml.attribute(element, "val"));
        } catch (NumberFormatException notOne) {
            return 0;
        }
    }

    private Optional<Element> override(String list, int level) {
        return Optional.ofNullable(lists.get(list)).flatMap(found -> ofLevel(found, "lvlOverride", level));
    }

    private Optional<Element> definitionLevel(String list, int level) {
        Optional<Element> own = override(list, level).flatMap(override -> Xml.child(override, "lvl"));
        if (own.isPresent()) return own;
        return Optional.ofNullable(definitions.get(definitionOf(list))).flatMap(definition -> ofLevel(definition, "lvl", level));
    }

    /** {@return the definition that a list follows; one that only points to a style of lists leads to that style's own} */
    private String definitionOf(String list) {
        String id = Optional.ofNullable(lists.get(list)).flatMap(found -> Xml.child(found, "abstractNumId"))
                .map(e -> Xml.attribute(e, "val")).orElse("");
        Optional<String> style = Optional.ofNullable(definitions.get(id)).flatMap(d -> Xml.child(d, "numStyleLink"))
                .map(e -> Xml.attribute(e, "val"));
        if (style.isEmpty()) return id;
        return Arrays.stream(definitions.keySet().toArray(String[]::new))
                .filter(key -> Xml.child(definitions.get(key), "styleLink")
                        .filter(e -> Xml.attribute(e, "val").equals(style.get())).isPresent())
                .findFirst().orElse(id);
    }

    private static Optional<Element> ofLevel(Element parent, String name, int level) {
        return Xml.children(parent, name).stream().filter(e -> Xml.attribute(e, "ilvl").equals(String.valueOf(level)))
                .findFirst();
    }
}
