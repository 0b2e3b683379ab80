package app.yellowtab.json;

import app.yellowtab.model.entry.DocumentDate;
import java.time.LocalDate;
import java.time.YearMonth;

/** Dates as {@code bundle.json} keeps them: ISO 8601 days, months and intervals, "undated", or nothing. */
final class DateCode {
    private DateCode() {}

    static String write(DocumentDate date) {
        return switch (date) {
            case DocumentDate.NotGiven n -> "";
            case DocumentDate.Undated u -> "undated";
            case DocumentDate.Day d -> d.day().toString();
            case DocumentDate.Month m -> m.month().toString();
            case DocumentDate.Range r -> r.from() + "/" + r.to();
        };
    }

    /** @throws java.time.DateTimeException if the text is none of the forms */
    static DocumentDate read(String text) {
        if (text.isEmpty()) return DocumentDate.NOT_GIVEN;
        if (text.equals("undated")) return DocumentDate.UNDATED;
        int slash = text.indexOf('/');
        if (slash > 0) {
            return new DocumentDate.Range(LocalDate.parse(text.substring(0, slash)), LocalDate.parse(text.substring(slash + 1)));
        }
        return text.length() == 7 ? new DocumentDate.Month(YearMonth.parse(text)) : new DocumentDate.Day(LocalDate.parse(text));
    }
}
