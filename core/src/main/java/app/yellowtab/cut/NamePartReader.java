package app.yellowtab.cut;

import app.yellowtab.model.cut.NamePart;
import app.yellowtab.model.cut.ValuePlace;
import app.yellowtab.model.page.Area;
import java.util.Locale;

/**
 * Reads parts of names that were typed: {@code bookmark}, {@code file}, {@code date}, {@code number:3}, {@code after:WORDS},
 * {@code in:AREA}, {@code text:WORDS}.
 */
public final class NamePartReader {
    private NamePartReader() {}

    /** @throws IllegalArgumentException if it is none; the message says what there is */
    public static NamePart read(String typed) {
        int colon = typed.indexOf(':');
        String kind = (colon < 0 ? typed : typed.substring(0, colon)).strip().toLowerCase(Locale.ROOT);
        String rest = colon < 0 ? "" : typed.substring(colon + 1);
        return switch (kind) {
            case "bookmark" -> new NamePart.Bookmark();
            case "file" -> new NamePart.FileName();
            case "date" -> new NamePart.FirstDate();
            case "number" -> new NamePart.Number(rest.isEmpty() ? 1 : digits(typed, rest), 1);
            case "after" -> new NamePart.Value(new ValuePlace.AfterWords(rest.strip(), ""));
            case "in" -> new NamePart.Value(new ValuePlace.InArea(area(rest)));
            case "text" -> new NamePart.Typed(rest);
            default -> throw new IllegalArgumentException(typed
                    + " is no part of a name; there are bookmark, file, number:3, date, after:WORDS, in:AREA and text:WORDS");
        };
    }

    private static int digits(String typed, String digits) {
        if (!digits.strip().matches("[1-9]"))
            throw new IllegalArgumentException("in " + typed + " should stand how many digits, 1 to 9");
        return Integer.parseInt(digits.strip());
    }

    /**
     * {@return an area typed as LEFT,TOP,WIDTH,HEIGHT in millimetres}
     *
     * @throws IllegalArgumentException if it is none
     */
    public static Area area(String typed) {
        String[] sides = typed.split(",", -1);
        try {
            if (sides.length == 4) return new Area(Double.parseDouble(sides[0]), Double.parseDouble(sides[1]),
                    Double.parseDouble(sides[2]), Double.parseDouble(sides[3]));
        } catch (NumberFormatException noNumber) {
            // Said below, as for too many or too few.
        }
        throw new IllegalArgumentException(
                typed + " is no area; write it as LEFT,TOP,WIDTH,HEIGHT in millimetres, such as 10,10,80,20");
    }
}
