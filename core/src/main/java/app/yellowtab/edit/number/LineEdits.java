package app.yellowtab.edit.number;

import app.yellowtab.model.number.LineField;
import app.yellowtab.model.number.LinePart;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What is done with the parts of a line at head or foot. */
public final class LineEdits {
    private static final Pattern NAMED = Pattern.compile("\\{(?<name>[a-z ]+)(?::(?<form>[^}]*))?}", Pattern.CASE_INSENSITIVE);
    /** As fields are named where a line is typed as one text. */
    private static final Map<String, LineField> NAMES = new HashMap<>();

    static {
        for (LineField field : LineField.values()) NAMES.put(field.name().toLowerCase(Locale.ROOT).replace('_', ' '), field);
        NAMES.put("file", LineField.FILE_NAME);
        NAMES.put("date", LineField.PRODUCED);
        NAMES.put("title", LineField.BUNDLE_TITLE);
    }

    private LineEdits() {}

    /** {@return the parts with words beside each other made one} */
    public static List<LinePart> joined(List<LinePart> parts) {
        List<LinePart> joined = new ArrayList<>();
        for (LinePart part : parts) {
            if (part instanceof LinePart.Typed typed && !joined.isEmpty() && joined.getLast() instanceof LinePart.Typed before)
                joined.set(joined.size() - 1, new LinePart.Typed(before.words() + typed.words()));
            else joined.add(part);
        }
        return List.copyOf(joined);
    }

    /**
     * {@return the parts with one more}
     *
     * @param at     the place of the part that it goes into or before, counted from 0; their number for the end
     * @param letter how many letters of that part stand before it; 0 for before it
     */
    public static List<LinePart> inserted(List<LinePart> parts, int at, int letter, LinePart part) {
        List<LinePart> all = new ArrayList<>(parts);
        if (at < parts.size() && letter > 0 && parts.get(at) instanceof LinePart.Typed typed) {
            all.remove(at);
            int end = Math.min(letter, typed.words().length());
            if (end < typed.words().length()) all.add(at, new LinePart.Typed(typed.words().substring(end)));
            all.add(at, part);
            all.add(at, new LinePart.Typed(typed.words().substring(0, end)));
        } else {
            all.add(Math.min(at, parts.size()), part);
        }
        return joined(all);
    }

    /** {@return the parts without the one at a place} */
    public static List<LinePart> without(List<LinePart> parts, int at) {
        List<LinePart> left = new ArrayList<>(parts);
        left.remove(at);
        return joined(left);
    }

    /** {@return the parts with another one at a place; words of no letter are none} */
    public static List<LinePart> changed(List<LinePart> parts, int at, Optional<LinePart> part) {
        if (part.isEmpty()) return without(parts, at);
        List<LinePart> all = new ArrayList<>(parts);
        all.set(at, part.get());
        return joined(all);
    }

    /** {@return the parts with one moved so as to stand before what stands at another place now} */
    public static List<LinePart> moved(List<LinePart> parts, int from, int before) {
        if (before == from || before == from + 1) return parts;
        List<LinePart> all = new ArrayList<>(parts);
        LinePart part = all.remove(from);
        all.add(before > from ? before - 1 : before, part);
        return joined(all);
    }

    /**
     * {@return a line that is typed as one text, such as "Page {page} of {pages}, {date:d MMM yyyy}"}
     *
     * @throws IllegalArgumentException if a field is named that there is not; its message names those that there are
     */
    public static List<LinePart> read(String typed) {
        List<LinePart> parts = new ArrayList<>();
        Matcher named = NAMED.matcher(typed);
        int from = 0;
        while (named.find()) {
            LineField field = NAMES.get(named.group("name").strip().toLowerCase(Locale.ROOT));
            if (field == null) throw new IllegalArgumentException("there is no field {" + named.group("name") + "}; there are "
                    + String.join(", ", NAMES.keySet().stream().sorted().map(name -> "{" + name + "}").toList()));
            if (named.start() > from) parts.add(new LinePart.Typed(typed.substring(from, named.start())));
            parts.add(named.group("form") == null ? LinePart.Field.of(field)
                    : new LinePart.Field(field, field == LineField.PRODUCED ? named.group("form") : ""));
            from = named.end();
        }
        if (from < typed.length()) parts.add(new LinePart.Typed(typed.substring(from)));
        return joined(parts);
    }
}
