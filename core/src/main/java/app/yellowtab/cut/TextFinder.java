package app.yellowtab.cut;

import app.yellowtab.facts.PageText;
import app.yellowtab.facts.PageText.Word;
import app.yellowtab.model.cut.CutRule.WordsFound;
import app.yellowtab.model.cut.ValuePlace;
import app.yellowtab.model.page.Area;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import com.google.re2j.PatternSyntaxException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Finds words on pages. White space is one space, or one line feed; patterns run in linear time. */
public final class TextFinder {
    private static final int LONGEST_VALUE = 200;
    /** What stands between the words before a value and the value. */
    private static final String BETWEEN = " \t:.#=–—-";

    private TextFinder() {}

    /** {@return the words of a line, with spaces between them} */
    static String words(List<Word> line) {
        return line.stream().map(Word::text).collect(Collectors.joining(" "));
    }

    /** {@return the words of a page that stand in an area, by their middles, line by line} */
    public static String in(PageText text, Area area) {
        return text.lines().stream().map(line -> line.stream().filter(word -> isIn(word, area)).map(Word::text).collect(Collectors.joining(" ")))
                .filter(line -> !line.isEmpty()).collect(Collectors.joining("\n"));
    }

    private static boolean isIn(Word word, Area area) {
        double x = word.leftMm() + word.widthMm() / 2;
        double y = word.topMm() + word.heightMm() / 2;
        return x >= area.leftMm() && x <= area.leftMm() + area.widthMm() && y >= area.topMm() && y <= area.topMm() + area.heightMm();
    }

    /**
     * {@return the pattern that finds what a rule looks for}
     *
     * @throws IllegalArgumentException if it is none; the message says why
     */
    static Pattern pattern(WordsFound wanted) {
        String plain = wanted.words().strip();
        String between = wanted.spacesMatter() ? "\\s" : "";
        String expression = wanted.isPattern() ? wanted.words() : Arrays.stream(plain.split("\\s+")).map(Pattern::quote).collect(Collectors.joining(between));
        try {
            return Pattern.compile(expression, Pattern.MULTILINE | (wanted.caseMatters() ? 0 : Pattern.CASE_INSENSITIVE));
        } catch (PatternSyntaxException e) {
            throw new IllegalArgumentException("“" + wanted.words() + "” is no pattern: " + e.getDescription(), e);
        }
    }

    /** {@return what a rule finds on a page, as it stands there} */
    static Optional<String> found(PageText text, WordsFound wanted, Pattern pattern) {
        String all = wanted.area().map(area -> in(text, area)).orElse(text.text());
        Matcher matcher = pattern.matcher(wanted.isPattern() || wanted.spacesMatter() ? all : all.replaceAll("\\s+", ""));
        return matcher.find() ? Optional.of(matcher.group().strip()) : Optional.empty();
    }

    /** {@return the value that stands on a page; empty where there is none} */
    public static Optional<String> value(PageText text, ValuePlace place) {
        Optional<String> found = switch (place) {
            case ValuePlace.InArea area -> Optional.of(in(text, area.area()).replace('\n', ' '));
            case ValuePlace.AfterWords after -> text.text().lines().map(line -> behind(line, after)).flatMap(Optional::stream).findFirst();
        };
        return found.map(String::strip).filter(value -> !value.isEmpty()).map(value -> value.length() > LONGEST_VALUE ? value.substring(0, LONGEST_VALUE) : value);
    }

    private static Optional<String> behind(String line, ValuePlace.AfterWords place) {
        String words = place.words().strip().replaceAll("\\s+", " ");
        for (int at = 0; at + words.length() <= line.length(); at++) {
            if (!line.regionMatches(true, at, words, 0, words.length()) || !isApart(line, at, words)) continue;
            int begin = at + words.length();
            while (begin < line.length() && BETWEEN.indexOf(line.charAt(begin)) >= 0) begin++;
            int end = place.until().isEmpty() ? -1 : line.indexOf(place.until(), begin);
            String value = line.substring(begin, end < 0 ? line.length() : end).strip();
            if (!value.isEmpty()) return Optional.of(value);
        }
        return Optional.empty();
    }

    /** {@return whether words stand by themselves: "no." is not found in "piano."} */
    private static boolean isApart(String line, int at, String words) {
        boolean before = at == 0 || !Character.isLetterOrDigit(line.charAt(at - 1)) || !Character.isLetterOrDigit(words.charAt(0));
        int end = at + words.length();
        boolean after = end >= line.length() || !Character.isLetterOrDigit(line.charAt(end)) || !Character.isLetterOrDigit(words.charAt(words.length() - 1));
        return before && after;
    }

    /** {@return the parts of a line that stand apart, such as a number in the corner} */
    static List<String> parts(List<Word> line) {
        List<String> parts = new ArrayList<>();
        StringBuilder part = new StringBuilder();
        @Nullable Word before = null;
        for (Word word : line) {
            if (before != null && word.leftMm() - before.rightMm() > 2 * Math.max(1, word.heightMm())) {
                parts.add(part.toString());
                part.setLength(0);
            }
            part.append(part.isEmpty() ? "" : " ").append(word.text());
            before = word;
        }
        if (!part.isEmpty()) parts.add(part.toString());
        return parts;
    }
}
