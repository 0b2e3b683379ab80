package app.yellowtab.words;

import app.yellowtab.facts.PageText;
import app.yellowtab.model.cut.CutRule.WordsFound;
import app.yellowtab.model.cut.ValuePlace;
import app.yellowtab.model.page.Area;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import com.google.re2j.PatternSyntaxException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** Finds words on pages. White space is one space, or one line feed; patterns run in linear time. */
public final class TextFinder {
    private static final int LONGEST_VALUE = 200;
    /** What stands between the words before a value and the value. */
    private static final String BETWEEN = " \t:.#=–—-";

    /** So many heights of letters part what stands apart. */
    private static final double APART = 2;

    private TextFinder() {}

    /** {@return the words of a page that stand in an area, by their middles, line by line} */
    public static String in(PageText text, Area area) {
        return text.within(area.leftMm(), area.topMm(), area.leftMm() + area.widthMm(), area.topMm() + area.heightMm());
    }

    /**
     * {@return what finds on a page what a rule looks for, as it stands there}
     *
     * @throws IllegalArgumentException if it is a pattern that is none; the message says why
     */
    public static Function<PageText, Optional<String>> finder(WordsFound wanted) {
        Function<PageText, String> where = text -> wanted.area().map(area -> in(text, area)).orElse(text.text());
        if (!wanted.isPattern()) return text -> plain(where.apply(text),
                wanted.words().strip().replaceAll("\\s+", wanted.spacesMatter() ? " " : ""), wanted);
        try {
            Pattern pattern =
                    Pattern.compile(wanted.words(), Pattern.MULTILINE | (wanted.caseMatters() ? 0 : Pattern.CASE_INSENSITIVE));
            return text -> {
                Matcher matcher = pattern.matcher(where.apply(text));
                return matcher.find() ? Optional.of(matcher.group().strip()) : Optional.empty();
            };
        } catch (PatternSyntaxException e) {
            throw new IllegalArgumentException("“" + wanted.words() + "” is no pattern: " + e.getDescription(), e);
        }
    }

    /** Spaces in what is looked for stand for line feeds too; where spaces do not matter, those of the page are passed over. */
    private static Optional<String> plain(String text, String words, WordsFound wanted) {
        char lower = folded(words.charAt(0));
        for (int at = 0; at < text.length(); at++) {
            char here = text.charAt(at);
            if (here != words.charAt(0) && (wanted.caseMatters() || folded(here) != lower)) continue;
            int end = end(text, at, words, wanted);
            if (end > 0) return Optional
                    .of(wanted.spacesMatter() ? text.substring(at, end) : text.substring(at, end).replaceAll("\\s+", ""));
        }
        return Optional.empty();
    }

    /** {@return where words end that begin at a place of a text; 0 if they do not stand there} */
    private static int end(String text, int begin, String words, WordsFound wanted) {
        int at = begin;
        for (int i = 0; i < words.length(); i++, at++) {
            if (!wanted.spacesMatter()) while (at < text.length() && Character.isWhitespace(text.charAt(at))) at++;
            if (at >= text.length()) return 0;
            char is = text.charAt(at) == '\n' ? ' ' : text.charAt(at);
            char sought = words.charAt(i);
            if (is != sought && (wanted.caseMatters() || folded(is) != folded(sought))) return 0;
        }
        return at;
    }

    private static char folded(char letter) {
        return Character.toLowerCase(Character.toUpperCase(letter));
    }

    /** {@return the value that stands on a page; empty where there is none} */
    public static Optional<String> value(PageText text, ValuePlace place) {
        Optional<String> found = switch (place) {
            case ValuePlace.InArea area -> Optional.of(in(text, area.area()).replace('\n', ' '));
            case ValuePlace.AfterWords after -> behind(text.text(), after);
        };
        return found.map(String::strip).filter(value -> !value.isEmpty())
                .map(value -> value.length() > LONGEST_VALUE ? value.substring(0, LONGEST_VALUE) : value);
    }

    private static Optional<String> behind(String text, ValuePlace.AfterWords place) {
        String words = place.words().strip().replaceAll("\\s+", " ");
        char first = folded(words.charAt(0));
        for (int at = 0; at + words.length() <= text.length(); at++) {
            if (text.charAt(at) != words.charAt(0) && folded(text.charAt(at)) != first) continue;
            if (!text.regionMatches(true, at, words, 0, words.length()) || !isApart(text, at, words)) continue;
            int lineEnd = text.indexOf('\n', at);
            int begin = at + words.length();
            while (begin < lineEnd && BETWEEN.indexOf(text.charAt(begin)) >= 0) begin++;
            int end = place.until().isEmpty() ? -1 : text.indexOf(place.until(), begin);
            String value = text.substring(begin, end < 0 || end > lineEnd ? lineEnd : end).strip();
            if (!value.isEmpty()) return Optional.of(value);
        }
        return Optional.empty();
    }

    /** {@return whether words stand by themselves: "no." is not found in "piano."} */
    private static boolean isApart(String line, int at, String words) {
        boolean before =
                at == 0 || !Character.isLetterOrDigit(line.charAt(at - 1)) || !Character.isLetterOrDigit(words.charAt(0));
        int end = at + words.length();
        boolean after = end >= line.length() || !Character.isLetterOrDigit(line.charAt(end))
                || !Character.isLetterOrDigit(words.charAt(words.length() - 1));
        return before && after;
    }

    /** {@return the parts of a line that stand apart, such as a number in the corner} */
    static List<String> parts(PageText text, PageText.Line line) {
        String words = line.text();
        List<String> parts = new ArrayList<>();
        int begin = 0;
        int word = line.firstWord();
        for (int space = words.indexOf(' '); space >= 0; space = words.indexOf(' ', space + 1)) {
            if (text.roomBefore(++word) <= APART) continue;
            parts.add(words.substring(begin, space));
            begin = space + 1;
        }
        parts.add(words.substring(begin));
        return parts;
    }
}
