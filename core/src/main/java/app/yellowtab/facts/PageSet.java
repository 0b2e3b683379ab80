package app.yellowtab.facts;

import java.util.BitSet;

/**
 * Some pages of a file.
 *
 * @param ranges counted from 1, such as "1-3,7"; empty for none
 */
public record PageSet(String ranges) {
    public static final PageSet NONE = new PageSet("");

    public PageSet {
        if (!ranges.matches("(\\d{1,9}(-\\d{1,9})?(,\\d{1,9}(-\\d{1,9})?)*)?"))
            throw new IllegalArgumentException("no set of pages: " + ranges);
    }

    /** @param pages counted from 1 */
    public static PageSet of(BitSet pages) {
        StringBuilder ranges = new StringBuilder();
        for (int first = pages.nextSetBit(0); first >= 0;) {
            int end = pages.nextClearBit(first);
            if (!ranges.isEmpty()) ranges.append(',');
            ranges.append(first);
            if (end - 1 > first) ranges.append('-').append(end - 1);
            first = pages.nextSetBit(end);
        }
        return new PageSet(ranges.toString());
    }

    /** {@return how many pages there are in it} */
    public int count() {
        return pages().cardinality();
    }

    /** {@return its pages as they are read out, such as "1-3, 7"} */
    public String shown() {
        return ranges.replace(",", ", ");
    }

    /** {@return its pages, counted from 1} */
    public BitSet pages() {
        BitSet pages = new BitSet();
        if (ranges.isEmpty()) return pages;
        for (String range : ranges.split(",")) {
            String[] ends = range.split("-");
            pages.set(Integer.parseInt(ends[0]), Integer.parseInt(ends[ends.length - 1]) + 1);
        }
        return pages;
    }
}
