package app.yellowtab.model.entry;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads dates as people type them in English, the day before the month where only figures are given. */
public final class DateReader {
    private static final String NAMES = "jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?"
            + "|aug(?:ust)?|sept?(?:ember)?|oct(?:ober)?|nov(?:ember)?|dec(?:ember)?";
    private static final String SEP = "[ ._/-]";
    private static final String OF = "(?:\\s+(?:day\\s+)?of\\s+)?";
    private static final String DAY_OF = "(?<%s>\\d{1,2})(?:st|nd|rd|th)?" + OF;

    /** A single day, month or "undated", as a piece of the expressions below. */
    private static final String ONE = "(?:\\d{4}" + SEP + "\\d{1,2}" + SEP + "\\d{1,2}|(?:19|20)\\d{6}"
            + "|\\d{1,2}(?:st|nd|rd|th)?" + OF + SEP + "*(?:" + NAMES + ")\\.?,?" + SEP + "*\\d{4}"
            + "|(?:" + NAMES + ")\\.?" + SEP + "*\\d{1,2}(?:st|nd|rd|th)?," + SEP + "*\\d{4}"
            + "|\\d{1,2}[./-]\\d{1,2}[./-]\\d{4}"
            + "|(?:" + NAMES + ")\\.?,?" + SEP + "*\\d{4}|\\d{4}-\\d{2}(?!\\d)|undated)";

    /** A date or a range of days, as a piece of a larger regular expression; to be matched whatever the case. */
    public static final String DATE_OR_RANGE = "(?:(?:" + ONE + "|\\d{1,2}(?:st|nd|rd|th)?(?:\\s*(?:" + NAMES
            + ")\\.?)?)\\s*(?:to|–|—)\\s*)?" + ONE;

    private static final List<Pattern> DAYS = List.of(
            compiled("(?<y>\\d{4})" + SEP + "(?<m>\\d{1,2})" + SEP + "(?<d>\\d{1,2})"),
            compiled("(?<y>(?:19|20)\\d{2})(?<m>\\d{2})(?<d>\\d{2})"),
            compiled(DAY_OF.formatted("d") + SEP + "*(?<m>" + NAMES + ")\\.?,?" + SEP + "*(?<y>\\d{4})"),
            compiled("(?<m>" + NAMES + ")\\.?" + SEP + "*" + DAY_OF.formatted("d") + "," + SEP + "*(?<y>\\d{4})"),
            compiled("(?<d>\\d{1,2})[./-](?<m>\\d{1,2})[./-](?<y>\\d{4})"));
    private static final List<Pattern> MONTHS = List.of(
            compiled("(?<m>" + NAMES + ")\\.?,?" + SEP + "*(?<y>\\d{4})"),
            compiled("(?<y>\\d{4})-(?<m>\\d{2})"));
    private static final Pattern FIGURES = compiled("(?<a>\\d{1,2})(?<s>[./-])(?<b>\\d{1,2})[./-](?<y>\\d{4})");
    /** "1 to 14 October 2031" and "28 September – 3 October 2031": the first half borrows from the second. */
    private static final Pattern SHORT_RANGE = compiled(DAY_OF.formatted("d") + "(?:\\s*(?<m>" + NAMES
            + ")\\.?)?\\s*(?:to|-|–|—)\\s*(?<end>" + ONE + ")");
    private static final Pattern RANGE = compiled("(?<start>" + ONE + ")\\s*(?:to|–|—|\\s-\\s)\\s*(?<end>" + ONE + ")");

    private DateReader() {}

    /**
     * Reads a whole text as one date.
     *
     * @param text such as "4 March 2031", "2031-03-04", "4/3/2031", "March 2031", "undated",
     *             "1 to 14 October 2031"; blank for a date that is not given
     * @return the date, or empty if the text is no date or names a day that does not exist
     */
    public static Optional<DocumentDate> read(String text) {
        return read(text, false);
    }

    /**
     * Reads a whole text as one date.
     *
     * @param monthFirst whether the month stands before the day where only figures are given
     */
    public static Optional<DocumentDate> read(String text, boolean monthFirst) {
        Matcher figures = FIGURES.matcher(text.strip());
        if (monthFirst && figures.matches())
            return read(figures.group("b") + figures.group("s") + figures.group("a") + figures.group("s") + figures.group("y"),
                    false);
        String typed = text.strip();
        if (typed.isEmpty()) return Optional.of(DocumentDate.NOT_GIVEN);
        if (typed.equalsIgnoreCase("undated")) return Optional.of(DocumentDate.UNDATED);
        Optional<LocalDate> day = day(typed);
        if (day.isPresent()) return day.map(DocumentDate.Day::new);
        for (Pattern form : MONTHS) {
            Matcher m = form.matcher(typed);
            if (m.matches()) return exact(m.group("y"), m.group("m"), "1").map(d -> new DocumentDate.Month(YearMonth.from(d)));
        }
        return range(typed);
    }

    private static Optional<DocumentDate> range(String typed) {
        Optional<LocalDate> from = Optional.empty();
        Optional<LocalDate> to = Optional.empty();
        Matcher whole = RANGE.matcher(typed);
        Matcher brief = SHORT_RANGE.matcher(typed);
        if (whole.matches()) {
            from = day(whole.group("start"));
            to = day(whole.group("end"));
        } else if (brief.matches()) {
            to = day(brief.group("end"));
            from = to.flatMap(end -> exact(String.valueOf(end.getYear()),
                    brief.group("m") == null ? String.valueOf(end.getMonthValue()) : brief.group("m"), brief.group("d")));
        }
        if (from.isEmpty() || to.isEmpty() || !to.get().isAfter(from.get())) return Optional.empty();
        return Optional.of(new DocumentDate.Range(from.get(), to.get()));
    }

    private static Optional<LocalDate> day(String typed) {
        for (Pattern form : DAYS) {
            Matcher m = form.matcher(typed);
            if (m.matches()) {
                Optional<LocalDate> day = exact(m.group("y"), m.group("m"), m.group("d"));
                if (day.isPresent()) return day;
            }
        }
        return Optional.empty();
    }

    private static Optional<LocalDate> exact(String year, String month, String day) {
        try {
            return Optional.of(LocalDate.of(Integer.parseInt(year), monthOf(month), Integer.parseInt(day)));
        } catch (DateTimeException noSuchDay) {
            return Optional.empty();
        }
    }

    private static int monthOf(String text) {
        if (Character.isDigit(text.charAt(0))) return Integer.parseInt(text);
        String starts = "janfebmaraprmayjunjulaugsepoctnovdec";
        return starts.indexOf(text.substring(0, 3).toLowerCase(Locale.ROOT)) / 3 + 1;
    }

    private static Pattern compiled(String form) {
        return Pattern.compile(form, Pattern.CASE_INSENSITIVE);
    }
}
