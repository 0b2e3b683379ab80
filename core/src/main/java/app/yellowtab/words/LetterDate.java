package app.yellowtab.words;

import app.yellowtab.model.entry.DateReader;
import app.yellowtab.model.entry.DocumentDate;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Finds the date of a document on its first page. */
public final class LetterDate {
    private static final Pattern DATE_IN_LINE =
            Pattern.compile("(?<![\\d/.-])(?:(?:mon|tues|wednes|thurs|fri|satur|sun)day,?\\s+)?(?<date>"
                    + DateReader.DATE_OR_RANGE + ")(?![\\d/])", Pattern.CASE_INSENSITIVE);
    private static final Pattern DATED = Pattern.compile("(?i)\\b(dated?|signed|made)\\b.{0,20}$|^\\W*$|^\\W*date\\W*$");
    private static final List<String> MONTHS =
            List.of("jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec");
    /** The space first, since a figure behind one is no part of a date by itself. */
    private static final String SEPARATORS = " ._/-";
    private static final int YEAR = 4;
    /** So far before its year a month may begin: "September the 30th, 2030". */
    private static final int FURTHEST = 28;
    private static final double HEAD = 0.55;
    private static final int LONGEST_LINE = 60;
    private static final int LONGEST_REST = 12;

    private LetterDate() {}

    /**
     * A line of a page.
     *
     * @param heightShare how far up the page it stands, from 0 to 1
     */
    public record Line(String text, double heightShare) {}

    /**
     * {@return the date of a letter's head: the only day named in the upper half, or one that stands by itself or behind
     * "dated"} Days that are merely spoken of further down are no date of the document.
     */
    public static Optional<DocumentDate> of(List<Line> lines, boolean monthFirst) {
        Optional<DocumentDate> found = Optional.empty();
        for (Line line : lines) {
            // Most lines name no day; trying every form of a date at every letter of them would take most of an intake's time.
            if (!mayNameDay(line.text())) continue;
            Matcher date = DATE_IN_LINE.matcher(line.text());
            while (date.find()) {
                Optional<DocumentDate> read = DateReader.read(date.group("date"), monthFirst);
                if (read.isEmpty() || !(read.get() instanceof DocumentDate.Day)) continue;
                boolean alone = DATED.matcher(line.text().substring(0, date.start())).find()
                        && line.text().length() - date.end() < LONGEST_REST;
                if (alone) return read;
                if (line.heightShare() > HEAD && found.isEmpty() && line.text().length() < LONGEST_LINE) found = read;
            }
        }
        return found;
    }

    /**
     * {@return whether a year stands in a text where a date has it: behind a month or a separator, or before one and more
     * figures}
     */
    private static boolean mayNameDay(String text) {
        for (int at = 0; at + 3 < text.length(); at++) {
            char first = text.charAt(at);
            if (first != '1' && first != '2') continue;
            if (text.charAt(at + 1) != (first == '1' ? '9' : '0') || !isDigit(text.charAt(at + 2))
                    || !isDigit(text.charAt(at + 3)))
                continue;
            int next = at + YEAR;
            boolean goesOn = next < text.length() && (isDigit(text.charAt(next))
                    || SEPARATORS.indexOf(text.charAt(next)) >= 0 && next + 1 < text.length() && isDigit(text.charAt(next + 1)));
            if (goesOn || at > 0 && SEPARATORS.indexOf(text.charAt(at - 1)) > 0 || hasMonth(text, Math.max(0, at - FURTHEST), at))
                return true;
        }
        return false;
    }

    private static boolean hasMonth(String text, int from, int to) {
        for (int at = from; at + 2 < to; at++)
            for (String month : MONTHS) if (text.regionMatches(true, at, month, 0, month.length())) return true;
        return false;
    }

    private static boolean isDigit(char letter) {
        return letter >= '0' && letter <= '9';
    }

    /** {@return the date of a page of a batch} */
    public static Optional<DocumentDate> of(BatchPage page, boolean monthFirst) {
        if (!mayNameDay(page.text().text())) return Optional.empty();
        return of(page.text().textLines().stream()
                .map(line -> new Line(line.text(), 1 - page.text().topMm(line) / page.heightMm())).toList(), monthFirst);
    }
}
