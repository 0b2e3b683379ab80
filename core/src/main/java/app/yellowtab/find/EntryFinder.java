package app.yellowtab.find;

import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.leaf.PlannedEntry.PlannedDocument;
import app.yellowtab.model.entry.DateReader;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.plan.Plan;
import java.text.Normalizer;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * Finds entries of the index by what they say: their titles, descriptions and dates. Capitals, accents and spaces do not matter.
 */
public final class EntryFinder {
    private static final Pattern ACCENTS = Pattern.compile("\\p{M}+");

    private final String sought;
    private final Optional<DocumentDate> date;

    /**
     * @param typed      what is looked for, a part of a title or a date in any form
     * @param monthFirst whether 4/3/2031 is the third of April
     */
    public EntryFinder(String typed, boolean monthFirst) {
        sought = plain(typed);
        date = DateReader.read(typed, monthFirst).filter(read -> read.firstDay().isPresent());
    }

    /** {@return the entries that say it, in order; none where nothing is looked for} */
    public List<PlannedEntry> in(Plan plan) {
        if (sought.isEmpty()) return List.of();
        List<PlannedEntry> found = new ArrayList<>();
        for (PlannedEntry entry : plan.entries()) {
            boolean says = plain(entry.title()).contains(sought) || entry instanceof PlannedDocument planned
                    && (plain(planned.document().description()).contains(sought) || isOf(planned.document().date()));
            if (says) found.add(entry);
        }
        return found;
    }

    /** {@return whether a date is the one that is looked for, lies in its month, or within its days} */
    private boolean isOf(DocumentDate of) {
        Optional<LocalDate> day = of.firstDay();
        if (date.isEmpty() || day.isEmpty()) return false;
        return switch (date.get()) {
            case DocumentDate.Month month -> month.month().equals(YearMonth.from(day.get()));
            case DocumentDate.Range range -> !day.get().isBefore(range.from()) && !day.get().isAfter(range.to());
            case DocumentDate.Day one -> of.equals(one) || of instanceof DocumentDate.Range range
                    && !one.day().isBefore(range.from()) && !one.day().isAfter(range.to());
            case DocumentDate.NotGiven none -> false;
            case DocumentDate.Undated none -> false;
        };
    }

    private static String plain(String text) {
        return ACCENTS.matcher(Normalizer.normalize(text, Normalizer.Form.NFKD)).replaceAll("").toLowerCase(Locale.ROOT)
                .replaceAll("\\s+", " ").strip();
    }
}
