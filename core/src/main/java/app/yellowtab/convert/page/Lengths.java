package app.yellowtab.convert.page;

import app.yellowtab.facts.Length;

/** Lengths as OpenDocument writes them (OpenDocument 1.3 part 3, 18.3.18). */
public final class Lengths {
    private Lengths() {}

    /** {@return a length such as "2.5cm" in points; 0 where it is none} */
    public static double points(String length) {
        if (!length.matches("-?[\\d.]+(cm|mm|in|pt|pc|px)")) return 0;
        double number = Double.parseDouble(length.substring(0, length.length() - 2));
        return number * switch (length.substring(length.length() - 2)) {
            case "cm" -> 72 / 2.54;
            case "mm" -> Length.PT_PER_MM;
            case "in" -> 72;
            case "pc" -> 12;
            case "px" -> 0.75;
            default -> 1;
        };
    }
}
