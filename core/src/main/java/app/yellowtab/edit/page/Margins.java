package app.yellowtab.edit.page;

import app.yellowtab.facts.Length;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What is cut off at the edges of a page as it is seen, in millimetres; none of it less than 0. */
public record Margins(double leftMm, double topMm, double rightMm, double bottomMm) {
    private static final Pattern LENGTH = Pattern
            .compile("(?<number>\\d{1,4}(?:[.,]\\d{1,3})?)\\s*(?<unit>mm|cm|in|inch|inches|\"|pt)?", Pattern.CASE_INSENSITIVE);
    private static final double POINTS_PER_INCH = 72;
    private static final double MM_PER_CM = 10;

    public Margins {
        for (double each : new double[] {leftMm, topMm, rightMm, bottomMm})
            if (!(each >= 0)) throw new IllegalArgumentException("a margin must be >= 0, got " + each);
    }

    /**
     * {@return a typed length in millimetres, such as "12", "1.2 cm", "0.5 in" or "36 pt"; 0 for nothing typed; empty for what is
     * no length}
     */
    public static Optional<Double> read(String typed) {
        if (typed.isBlank()) return Optional.of(0.0);
        Matcher length = LENGTH.matcher(typed.strip());
        if (!length.matches()) return Optional.empty();
        double number = Double.parseDouble(length.group("number").replace(',', '.'));
        String unit = length.group("unit") == null ? "mm" : length.group("unit").toLowerCase(Locale.ROOT);
        return Optional.of(switch (unit) {
            case "mm" -> number;
            case "cm" -> number * MM_PER_CM;
            case "pt" -> number / POINTS_PER_INCH * Length.MM_PER_INCH;
            default -> number * Length.MM_PER_INCH;
        });
    }
}
