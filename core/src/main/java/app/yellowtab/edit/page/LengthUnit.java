package app.yellowtab.edit.page;

import app.yellowtab.facts.Length;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The units that lengths are typed and shown in. */
public enum LengthUnit {
    MM("mm", 1, 1), CM("cm", 10, 2), INCH("in", Length.MM_PER_INCH, 2), PT("pt", Length.MM_PER_PT, 0);

    private static final Pattern TYPED =
            Pattern.compile(".*\\d\\s*(?<unit>mm|cm|in|inch|inches|\"|pt)\\s*", Pattern.CASE_INSENSITIVE);

    private final String shown;
    private final double mm;
    private final int places;

    LengthUnit(String shown, double mm, int places) {
        this.shown = shown;
        this.mm = mm;
        this.places = places;
    }

    /** {@return the unit in which a length was typed; empty where none was} */
    public static Optional<LengthUnit> of(String typed) {
        Matcher matcher = TYPED.matcher(typed);
        if (!matcher.matches()) return Optional.empty();
        return Optional.of(switch (matcher.group("unit").toLowerCase(Locale.ROOT)) {
            case "mm" -> MM;
            case "cm" -> CM;
            case "pt" -> PT;
            default -> INCH;
        });
    }

    /** {@return a length in this unit, such as "12.5 mm", without noughts that say nothing} */
    public String shown(double lengthMm) {
        String number = String.format(Locale.ROOT, "%." + places + "f", lengthMm / mm);
        return (number.contains(".") ? number.replaceFirst("0+$", "").replaceFirst("\\.$", "") : number) + " " + shown;
    }
}
