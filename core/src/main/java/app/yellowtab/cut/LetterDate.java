package app.yellowtab.cut;

import app.yellowtab.model.DateReader;
import app.yellowtab.model.DocumentDate;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Finds the date of a document on its first page. */
public final class LetterDate {
    private static final Pattern DATE_IN_LINE = Pattern.compile("(?<![\\d/.-])(?:(?:mon|tues|wednes|thurs|fri|satur|sun)day,?\\s+)?(?<date>" + DateReader.DATE_OR_RANGE + ")(?![\\d/])", Pattern.CASE_INSENSITIVE);
    private static final Pattern YEAR = Pattern.compile("(?:19|20)\\d\\d");
    private static final Pattern DATED = Pattern.compile("(?i)\\b(dated?|signed|made)\\b.{0,20}$|^\\W*$|^\\W*date\\W*$");
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
            // Most lines name no year; trying every form of a date at every letter of them would take most of an intake's time.
            if (!YEAR.matcher(line.text()).find()) continue;
            Matcher date = DATE_IN_LINE.matcher(line.text());
            while (date.find()) {
                Optional<DocumentDate> read = DateReader.read(date.group("date"), monthFirst);
                if (read.isEmpty() || !(read.get() instanceof DocumentDate.Day)) continue;
                boolean alone = DATED.matcher(line.text().substring(0, date.start())).find() && line.text().length() - date.end() < LONGEST_REST;
                if (alone) return read;
                if (line.heightShare() > HEAD && found.isEmpty() && line.text().length() < LONGEST_LINE) found = read;
            }
        }
        return found;
    }

    /** {@return the date of a page of a batch} */
    static Optional<DocumentDate> of(BatchPage page, boolean monthFirst) {
        return of(page.text().lines().stream().map(line -> new Line(TextFinder.words(line), 1 - line.getFirst().topMm() / page.heightMm())).toList(), monthFirst);
    }
}
