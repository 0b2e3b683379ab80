package app.yellowtab.model.cut;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Objects;
import java.util.Optional;

/**
 * What a separator sheet says of the document behind it, in its code and in plain words.
 *
 * @param name    of the document; empty where the sheet only separates
 * @param date    of the document; empty for none
 * @param section that the document belongs in; empty for none
 */
public record SheetCode(String name, Optional<LocalDate> date, String section) {
    /** Only separates. */
    public static final SheetCode NAMELESS = new SheetCode("", Optional.empty(), "");

    /** Longer names make a code of so small squares that a poor scan loses them. */
    public static final int LONGEST = 160;
    private static final String BEGIN = "yellowtab-separator 1";
    private static final int LINES = 4;

    public SheetCode {
        Objects.requireNonNull(date, "date");
        name = oneLine(name);
        section = oneLine(section);
    }

    private static String oneLine(String words) {
        String line = words.replaceAll("[\\s\\p{Cntrl}]+", " ").strip();
        return line.length() <= LONGEST ? line
                : line.substring(0, Character.isHighSurrogate(line.charAt(LONGEST - 1)) ? LONGEST - 1 : LONGEST);
    }

    /** {@return what stands in the code: four lines, the first says what it is, then name, date (ISO 8601) and section} */
    public String text() {
        return BEGIN + "\n" + name + "\n" + date.map(LocalDate::toString).orElse("") + "\n" + section;
    }

    /** {@return what a code says; empty where it is none of ours} */
    public static Optional<SheetCode> read(String text) {
        String[] lines = text.split("\n", -1);
        if (lines.length != LINES || !lines[0].equals(BEGIN)) return Optional.empty();
        try {
            return Optional.of(new SheetCode(lines[1],
                    lines[2].isEmpty() ? Optional.empty() : Optional.of(LocalDate.parse(lines[2])), lines[LINES - 1]));
        } catch (DateTimeParseException noDate) {
            return Optional.of(new SheetCode(lines[1], Optional.empty(), lines[LINES - 1]));
        }
    }
}
