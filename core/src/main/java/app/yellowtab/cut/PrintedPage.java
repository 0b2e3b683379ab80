package app.yellowtab.cut;

import app.yellowtab.facts.PageText;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The page number that is printed on a page.
 *
 * @param number which page it is
 * @param of     how many there are; 0 if it does not say
 * @param words  as they stand there
 */
record PrintedPage(int number, int of, String words) {
    /** "Page 3 of 12", "3 of 12", "Page 3", "Sheet 3", "p. 3/12"; by itself or at the end of what stands there. */
    private static final Pattern NAMED = Pattern.compile("(?:.*?\\s)??(?<words>(?:(?:page|sheet|pg|p)\\.?\\s*(?<a>\\d{1,4})(?:\\s*(?:of|/)\\s*(?<m>\\d{1,4}))?)|(?<b>\\d{1,4})\\s+of\\s+(?<n>\\d{1,4}))\\W*", Pattern.CASE_INSENSITIVE);
    private static final Pattern BARE = Pattern.compile("[\\s\\-–—|\\[(]*(?<a>\\d{1,4})[\\s\\-–—|\\])]*");
    /** As much of the page at its head and foot may be what a bare number stands in. */
    private static final double EDGE = 0.1;
    /** What is longer is a sentence that speaks of a page. */
    private static final int LONGEST = 60;

    /** {@return the number of a page; empty where none can be made out} */
    static Optional<PrintedPage> of(BatchPage page) {
        Optional<PrintedPage> bare = Optional.empty();
        for (PageText.Line line : page.text().textLines()) {
            if (!hasDigit(line.text())) continue;
            double middle = page.text().topMm(line) + page.text().heightMm(line) / 2;
            boolean atEdge = middle < page.heightMm() * EDGE || middle > page.heightMm() * (1 - EDGE);
            for (String part : TextFinder.parts(page.text(), line)) {
                if (part.length() > LONGEST || !hasDigit(part)) continue;
                Matcher named = NAMED.matcher(part);
                if (named.matches()) return Optional.of(read(named));
                Matcher alone = BARE.matcher(part);
                if (atEdge && alone.matches()) bare = Optional.of(new PrintedPage(Integer.parseInt(alone.group("a")), 0, alone.group("a")));
            }
        }
        return bare;
    }

    private static boolean hasDigit(String words) {
        for (int i = 0; i < words.length(); i++) if (words.charAt(i) >= '0' && words.charAt(i) <= '9') return true;
        return false;
    }

    private static PrintedPage read(Matcher named) {
        String number = named.group("a") == null ? named.group("b") : named.group("a");
        String of = named.group("a") == null ? named.group("n") : named.group("m");
        return new PrintedPage(Integer.parseInt(number), of == null ? 0 : Integer.parseInt(of), named.group("words"));
    }

    /** {@return whether a new numbering begins here, after the page that stood before it} */
    boolean begins(Optional<PrintedPage> before) {
        if (number == 1) return true;
        return of > 0 && before.isPresent() && before.get().of > 0 && (before.get().of != of || before.get().number >= number);
    }
}
