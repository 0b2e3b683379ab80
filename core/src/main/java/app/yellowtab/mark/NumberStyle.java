package app.yellowtab.mark;

import java.util.Locale;

/** How a page number is written; those that page labels know (ISO 32000-1:2008, 12.4.2, table 159). */
public enum NumberStyle {
    /** 1, 2, 3. */
    FIGURES("D"),
    /** i, ii, iii. */
    SMALL_ROMAN("r"),
    /** I, II, III. */
    LARGE_ROMAN("R"),
    /** a, b, c; after z come aa, bb, cc, as the standard has it. */
    SMALL_LETTERS("a"),
    /** A, B, C. */
    LARGE_LETTERS("A");

    private static final int ALPHABET = 26;
    private static final int[] VALUES = {1000, 900, 500, 400, 100, 90, 50, 40, 10, 9, 5, 4, 1};
    private static final String[] LETTERS = {"M", "CM", "D", "CD", "C", "XC", "L", "XL", "X", "IX", "V", "IV", "I"};

    private final String label;

    NumberStyle(String label) {
        this.label = label;
    }

    /** {@return the standard's name of it in page labels} */
    public String label() {
        return label;
    }

    /** {@return a value of at least {@link #least} in this style} */
    public String write(int value) {
        return switch (this) {
            case FIGURES -> String.valueOf(value);
            case SMALL_ROMAN -> roman(value).toLowerCase(Locale.ROOT);
            case LARGE_ROMAN -> roman(value);
            case SMALL_LETTERS -> letters(value).toLowerCase(Locale.ROOT);
            case LARGE_LETTERS -> letters(value);
        };
    }

    /** {@return the first value that can be written in this style} */
    public int least() {
        return this == FIGURES ? 0 : 1;
    }

    private static String letters(int value) {
        return String.valueOf((char) ('A' + (value - 1) % ALPHABET)).repeat((value - 1) / ALPHABET + 1);
    }

    private static String roman(int value) {
        StringBuilder written = new StringBuilder();
        int rest = value;
        for (int i = 0; i < VALUES.length; i++) {
            for (; rest >= VALUES[i]; rest -= VALUES[i]) written.append(LETTERS[i]);
        }
        return written.toString();
    }
}
