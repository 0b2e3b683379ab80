package app.yellowtab.mark;

import java.util.Locale;
import java.util.regex.Pattern;

/**
 * A colour to print with.
 *
 * @param rgb red, green and blue, eight bits each, as 0xRRGGBB
 */
public record Ink(int rgb) {
    public static final Ink BLACK = new Ink(0);
    private static final Pattern WRITTEN = Pattern.compile("#?([0-9a-fA-F]{6})");

    public Ink {
        if (rgb < 0 || rgb > 0xFFFFFF)
            throw new IllegalArgumentException("a colour must be 000000 to ffffff, got " + Integer.toHexString(rgb));
    }

    /**
     * {@return the colour that is written like "#c8102e"}
     *
     * @throws IllegalArgumentException if it is none
     */
    public static Ink read(String written) {
        var hex = WRITTEN.matcher(written.strip());
        if (!hex.matches()) throw new IllegalArgumentException("a colour must be like #c8102e, got " + written);
        return new Ink(Integer.parseInt(hex.group(1), 16));
    }

    /** {@return it as {@link #read} reads it} */
    public String written() {
        return String.format(Locale.ROOT, "#%06x", rgb);
    }

    /** {@return red, green and blue, from 0 to 1} */
    public float[] parts() {
        return new float[] {(rgb >> 16) / 255f, (rgb >> 8 & 255) / 255f, (rgb & 255) / 255f};
    }
}
