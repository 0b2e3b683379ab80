package app.yellowtab.inspect;

import app.yellowtab.facts.PrintedSeries;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Recognises page numbers that a file carries already: figures at the same edge that run on from page to page. */
final class PrintedNumbers {
    /** "12", "- 12 -", "Page 12 of 80", "p. 12", "12/80", "TH-000123". */
    private static final Pattern NUMBER = Pattern.compile(
            "^[\\s\\-–—|\\[(]*(?:(?:page|pg|p)\\.?\\s*)?(?<prefix>[A-Za-z]{1,8}[-_ "
                    + ".]{0,2}|)0*(?<number>\\d{1,7})(?:\\s*(?:of|/)\\s*\\d{1,6})?[\\s\\-–—|\\])]*$",
            Pattern.CASE_INSENSITIVE);
    private static final int LONGEST = 40;
    private static final int FEWEST = 2;
    private static final double ENOUGH = 0.6;

    private final Map<String, int[]> found = new HashMap<>();
    private final Map<String, Key> keys = new HashMap<>();
    private final Set<Integer> begins = new HashSet<>();
    private int pages;

    /** A number as it stands on a page, and what it is less the page's place: the same all through a series. */
    private record Key(int offset, boolean foot, String prefix) {
        private String text() {
            return offset + "\n" + foot + "\n" + prefix;
        }
    }

    /**
     * Takes the lines at the edges of one page.
     *
     * @param page   counted from 1
     * @param lines  at the edges, a line broken at its wide gaps
     * @param middle the height that divides head from foot
     */
    void add(int page, List<TextLines.Line> lines, double middle) {
        pages = Math.max(pages, page);
        for (TextLines.Line line : lines) {
            if (line.text().length() > LONGEST) continue;
            Matcher number = NUMBER.matcher(line.text());
            if (!number.matches()) continue;
            String prefix = number.group("prefix").equalsIgnoreCase("page ") ? "" : number.group("prefix");
            if (prefix.isEmpty() && Integer.parseInt(number.group("number")) == 1) begins.add(page);
            Key key = new Key(Integer.parseInt(number.group("number")) - page, line.y() < middle, prefix);
            keys.put(key.text(), key);
            int[] range = found.computeIfAbsent(key.text(), k -> new int[] {page, page, 0});
            if (range[2] > 0 && range[1] == page) continue;
            range[1] = page;
            range[2]++;
        }
    }

    /** {@return on how many pages a numbering begins with 1} */
    int beginnings() {
        return begins.size();
    }

    /** {@return the series that most pages carry; empty where too few do} */
    Optional<PrintedSeries> best() {
        return found.entrySet().stream()
                .filter(e -> e.getValue()[2] >= FEWEST && e.getValue()[2] >= ENOUGH * (e.getValue()[1] - e.getValue()[0] + 1)
                        && e.getValue()[2] >= 0.4 * pages)
                .max((a, b) -> Integer.compare(a.getValue()[2], b.getValue()[2])).map(e -> {
                    Key key = keys.get(e.getKey());
                    return new PrintedSeries(e.getValue()[0] + key.offset(), e.getValue()[1] + key.offset(), key.foot(),
                            key.prefix());
                });
    }
}
