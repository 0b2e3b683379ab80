package app.yellowtab.model.run;

import app.yellowtab.model.page.Sheet;
import java.util.Objects;
import java.util.regex.Pattern;

/**
 * What a blank page is like.
 *
 * @param sheet its size
 * @param tint  the colour of its paper as "rrggbb" in lower-case hexadecimal; empty for white
 * @param words what stands in its middle; empty for nothing
 */
public record BlankLook(Sheet sheet, String tint, String words) {
    private static final Pattern TINT = Pattern.compile("|[0-9a-f]{6}");

    /** White, A4, empty. */
    public static final BlankLook PLAIN = new BlankLook(Sheet.A4, "", "");

    public BlankLook {
        Objects.requireNonNull(sheet, "sheet");
        Objects.requireNonNull(words, "words");
        if (!TINT.matcher(tint).matches()) throw new IllegalArgumentException("\"tint\" must be rrggbb, got " + tint);
    }
}
