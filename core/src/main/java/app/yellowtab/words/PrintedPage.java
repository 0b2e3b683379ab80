package app.yellowtab.words;

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
public record PrintedPage(int number, int of, String words) {
    /**
     * "Page 3 of 12", "3 of 12", "Page 3", "Sheet 3", "p. 3/12"; by itself or at the end of what stands there. In pictures a 1 is
     * read as a letter, and "1 of" as one word.
     */
    private static final Pattern NAMED = Pattern.compile(
            "(?:.*?\\s)??(?<words>(?:(?:page|sheet|pg|p)\\.?\\s*(?<a>\\d[\\dlI]{0,3}?|[lI](?=\\s*[o0]f))(?:\\s*(?:[o0]f|/"
                    + ")\\s*(?<m>[\\dlI]{1,4}))?)|(?<b>[\\dlI]{1,4}?)\\s*[o0]f\\s*(?<n>[\\dlI]{1,4}))\\W*",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern MISREAD = Pattern.compile("[lI]\\s*[o0]f|\\d[o0]f|0f|[o0]f\\s*[lI]");
    private static final Pattern BARE = Pattern.compile("[\\s\\-–—|\\[(]*(?<a>\\d{1,4})[\\s\\-–—|\\])]*");
    /** As much of the page at its head and foot may be what a bare number stands in. */
    private static final double EDGE = 0.1;
    /** What is longer is a sentence that speaks of a page. */
    private static final int LONGEST = 60;
    private static final int SHORTEST = 7;

    /** {@return the number of a page; empty where none can be made out} */
    public static Optional<PrintedPage> of(BatchPage page) {
        Optional<PrintedPage> bare = Optional.empty();
        for (PageText.Line line : page.text().textLines()) {
            if (!mayCount(line.text())) continue;
            double middle = page.text().topMm(line) + page.text().heightMm(line) / 2;
            boolean atEdge = middle < page.heightMm() * EDGE || middle > page.heightMm() * (1 - EDGE);
            for (String part : TextFinder.parts(page.text(), line)) {
                if (part.length() > LONGEST || !mayCount(part)) continue;
                Matcher named = NAMED.matcher(part);
                if (named.matches()) return Optional.of(read(named));
                Matcher alone = BARE.matcher(part);
                if (atEdge && alone.matches())
                    bare = Optional.of(new PrintedPage(Integer.parseInt(alone.group("a")), 0, alone.group("a")));
            }
        }
        return bare;
    }

    /** {@return whether there is a figure, or so little that it may be a figure that was read as a letter} */
    private static boolean mayCount(String words) {
        if (words.length() <= SHORTEST) return true;
        for (int i = 0; i < words.length(); i++) if (words.charAt(i) >= '0' && words.charAt(i) <= '9') return true;
        return false;
    }

    private static PrintedPage read(Matcher named) {
        String number = named.group("a") == null ? named.group("b") : named.group("a");
        String of = named.group("a") == null ? named.group("n") : named.group("m");
        // What is read half as figures and half as letters may be one figure or two.
        boolean unsure = of != null && of.length() > 1 && !of.chars().allMatch(Character::isDigit);
        int count = of == null || unsure ? 0 : figures(of);
        boolean misread = unsure || MISREAD.matcher(named.group("words")).find();
        return new PrintedPage(figures(number), count,
                misread ? "page " + figures(number) + (count > 0 ? " of " + count : "") : named.group("words"));
    }

    private static int figures(String read) {
        return Integer.parseInt(read.replaceAll("[lLiI]", "1"));
    }

    /** {@return whether a new numbering begins here, after the page that stood before it} */
    public boolean begins(Optional<PrintedPage> before) {
        if (number == 1) return true;
        return of > 0 && before.isPresent() && before.get().of > 0 && (before.get().of != of || before.get().number >= number);
    }
}
