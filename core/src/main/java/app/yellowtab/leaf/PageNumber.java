package app.yellowtab.leaf;

import app.yellowtab.mark.NumberStyle;
import java.util.Objects;

/**
 * What is printed on a page and called out. Numbers are compared by the place of their pages, never by their words: 45A stands
 * between 45 and 46.
 *
 * @param place  the index of its leaf in the plan, counted from 0
 * @param prefix what stands before the figures, such as "B"; may be empty
 * @param value  at least what the style can write
 * @param style  how the value is written
 * @param suffix what stands behind the figures, such as "A"; may be empty
 */
public record PageNumber(int place, String prefix, int value, NumberStyle style, String suffix)
        implements Comparable<PageNumber> {
    public PageNumber {
        Objects.requireNonNull(prefix, "prefix");
        Objects.requireNonNull(style, "style");
        Objects.requireNonNull(suffix, "suffix");
        if (value < style.least())
            throw new IllegalArgumentException("a page number must be >= " + style.least() + ", got " + value);
    }

    /** {@return its words, such as "412", "45A", "iii" or "B12"} */
    public String shown() {
        return isPlain() ? Integer.toString(value) : prefix + style.write(value) + suffix;
    }

    /** {@return whether it is of figures alone} */
    public boolean isPlain() {
        return style == NumberStyle.FIGURES && prefix.isEmpty() && suffix.isEmpty();
    }

    @Override
    public int compareTo(PageNumber other) {
        return Integer.compare(place, other.place);
    }
}
