package app.yellowtab.model.entry;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.List;
import java.util.Optional;

/** The date of a document as its index row gives it. Read from text by {@link DateReader}. */
public sealed interface DocumentDate {
    /** Nobody has said anything about the date; nothing is printed. */
    record NotGiven() implements DocumentDate {}

    /** The document bears no date, and the index says so. */
    record Undated() implements DocumentDate {}

    /** An exact day. */
    record Day(LocalDate day) implements DocumentDate {}

    /** Only month and year are known. */
    record Month(YearMonth month) implements DocumentDate {}

    /** From one day to a later one, both included. */
    record Range(LocalDate from, LocalDate to) implements DocumentDate {
        public Range {
            if (!to.isAfter(from)) throw new IllegalArgumentException("a range must end after " + from + ", got " + to);
        }
    }

    DocumentDate NOT_GIVEN = new NotGiven();
    DocumentDate UNDATED = new Undated();

    /** {@return the date in the index's words, such as "4 Mar 2031"; empty if none was given} */
    default String shown() {
        return switch (this) {
            case NotGiven n -> "";
            case Undated u -> "undated";
            case Day d -> Formats.day(d.day());
            case Month m -> Formats.month(m.month());
            case Range r -> Formats.range(r);
        };
    }

    /** {@return the first day that it may mean; empty where there is no date} */
    default Optional<LocalDate> firstDay() {
        return switch (this) {
            case NotGiven n -> Optional.empty();
            case Undated u -> Optional.empty();
            case Day d -> Optional.of(d.day());
            case Month m -> Optional.of(m.month().atDay(1));
            case Range r -> Optional.of(r.from());
        };
    }

    /** The printed forms. The words are our own, so that a bundle reads the same on every machine. */
    final class Formats {
        private static final List<String> MONTHS = List.of("January", "February", "March", "April", "May", "June", "July",
                "August", "September", "October", "November", "December");

        private Formats() {}

        /** {@return a day in full, such as "4 March 2031"} */
        public static String full(LocalDate day) {
            return day.getDayOfMonth() + " " + month(YearMonth.from(day));
        }

        private static String month(YearMonth month) {
            return MONTHS.get(month.getMonthValue() - 1) + " " + month.getYear();
        }

        private static String dayOfYear(LocalDate day) {
            return day.getDayOfMonth() + " " + MONTHS.get(day.getMonthValue() - 1).substring(0, 3);
        }

        /** What both days share is said once: "5–13 Oct 2030", "28 Sep – 3 Oct 2030". */
        private static String range(Range range) {
            LocalDate from = range.from();
            LocalDate to = range.to();
            if (YearMonth.from(from).equals(YearMonth.from(to))) return from.getDayOfMonth() + "–" + day(to);
            return (from.getYear() == to.getYear() ? dayOfYear(from) : day(from)) + " – " + day(to);
        }

        private static String day(LocalDate day) {
            return dayOfYear(day) + " " + day.getYear();
        }
    }
}
