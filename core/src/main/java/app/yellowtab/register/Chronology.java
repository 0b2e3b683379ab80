package app.yellowtab.register;

import app.yellowtab.finding.FindingException;
import app.yellowtab.leaf.PlannedEntry.PlannedDocument;
import app.yellowtab.leaf.ReferenceForm;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.plan.Plan;
import app.yellowtab.table.TableWriter;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Set;

/** The dated documents in the order of their dates, with where they stand. */
public final class Chronology {
    private static final List<String> HEADS = List.of("Date", "What", "Page");
    private static final List<Integer> WIDTHS = List.of(20, 60, 14);

    private Chronology() {}

    /**
     * {@return its rows: the date, the title, and the reference of the first page; the oldest first, those of one day in the
     * order of the index}
     */
    public static List<List<String>> rows(Plan plan, ReferenceForm form) {
        return plan.entries().stream().filter(PlannedDocument.class::isInstance).map(PlannedDocument.class::cast)
                .filter(planned -> planned.tab() > 0 && planned.document().date().firstDay().isPresent())
                .sorted(Comparator.comparing(planned -> planned.document().date().firstDay().orElseThrow()))
                .map(planned -> List.of(
                        planned.document().date() instanceof DocumentDate.Day day ? DocumentDate.Formats.full(day.day())
                                : planned.document().date().shown(),
                        planned.title(),
                        planned.span().isEmpty() ? "as a file"
                                : form.of(plan.letterAt(planned.span().first()), planned.span().from())))
                .toList();
    }

    /**
     * Writes it as it is numbered now.
     *
     * @param target its ending says how: .docx, .xlsx or .csv
     * @throws FindingException if it cannot be written
     */
    public static void write(Plan plan, ReferenceForm form, Path target) throws FindingException {
        new TableWriter(plan.heading().titled("Chronology"), HEADS, WIDTHS, rows(plan, form), Set.of()).write(target);
    }
}
