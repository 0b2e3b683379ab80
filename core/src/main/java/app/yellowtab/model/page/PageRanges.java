package app.yellowtab.model.page;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Stretches of pages as they are typed, such as "9-12, 13-29, 40-, 5".
 *
 * @param ranges  what could be read, in order
 * @param mistake the first thing that could not
 */
public record PageRanges(List<Range> ranges, Optional<Mistake> mistake) {
    private static final Pattern RANGE = Pattern.compile("\\s*(?<first>\\d+)\\s*(?:(?<dash>[-–—])\\s*(?<last>\\d+)?\\s*)?");
    private static final int MOST_DIGITS = 9;

    public PageRanges {
        ranges = List.copyOf(ranges);
    }

    /** A stretch of pages, counted from 1, both ends included. */
    public record Range(int first, int last) {}

    /**
     * Something that was typed wrong.
     *
     * @param at       where in the text, counted from 0
     * @param expected what should stand there, in words
     */
    public record Mistake(int at, String expected) {}

    /**
     * Reads stretches of pages; never throws.
     *
     * @param pages how many there are, at least 1
     */
    public static PageRanges read(String typed, int pages) {
        List<Range> ranges = new ArrayList<>();
        int at = 0;
        while (true) {
            int end = typed.indexOf(',', at);
            String one = typed.substring(at, end < 0 ? typed.length() : end);
            Matcher range = RANGE.matcher(one);
            int begin = at + one.length() - one.stripLeading().length();
            if (!range.matches()) return new PageRanges(ranges, Optional.of(
                    new Mistake(begin, one.isBlank() ? "a page, such as 5" : "a page or a stretch of pages, such as 5 or 9-12")));
            int first = number(range.group("first"));
            int last = range.group("dash") == null ? first : range.group("last") == null ? pages : number(range.group("last"));
            if (first < 1 || first > pages)
                return new PageRanges(ranges, Optional.of(new Mistake(begin, "a page from 1 to " + pages)));
            if (last > pages)
                return new PageRanges(ranges, Optional.of(new Mistake(at + range.start("last"), "a page up to " + pages)));
            if (last < first)
                return new PageRanges(ranges, Optional.of(new Mistake(at + range.start("last"), "a page from " + first + " on")));
            ranges.add(new Range(first, last));
            if (end < 0) return new PageRanges(ranges, Optional.empty());
            at = end + 1;
        }
    }

    private static int number(String digits) {
        String plain = digits.replaceFirst("^0+(?=\\d)", "");
        return plain.length() > MOST_DIGITS ? Integer.MAX_VALUE : Integer.parseInt(plain);
    }
}
