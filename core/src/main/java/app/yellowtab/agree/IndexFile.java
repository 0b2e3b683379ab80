package app.yellowtab.agree;

import app.yellowtab.finding.FindingException;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.model.contents.Document;
import app.yellowtab.plan.Plan;
import app.yellowtab.table.TableWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Writes the index as a table that the other side can edit and send back: each line bears a lasting reference. */
public final class IndexFile {
    private static final List<Integer> WIDTHS = List.of(18, 7, 48, 18, 8, 10, 12, 30);

    private IndexFile() {}

    /**
     * Writes the index as it is numbered now.
     *
     * @param target its ending says how: .xlsx, .csv or .docx
     * @throws FindingException if it cannot be written
     */
    public static void write(Plan plan, Path target) throws FindingException {
        List<List<String>> rows = new ArrayList<>();
        Set<Integer> headings = new HashSet<>();
        for (PlannedEntry entry : plan.entries()) {
            switch (entry) {
                case PlannedEntry.PlannedSection section -> {
                    headings.add(rows.size());
                    rows.add(List.of(section.id().value(), section.label(), section.title(), "", "", section.span().from(), "",
                            ""));
                }
                case PlannedEntry.PlannedDocument planned -> {
                    if (planned.tab() > 0) rows.add(row(planned));
                }
            }
        }
        new TableWriter(plan.heading().titled("Index"), Columns.heads(), WIDTHS, rows, headings).write(target);
    }

    private static List<String> row(PlannedEntry.PlannedDocument planned) {
        Document document = planned.document();
        return List.of(document.id().value(), String.valueOf(planned.tab()), document.title(), document.date().shown(),
                document.pageCount() == 0 ? "" : String.valueOf(document.pageCount()), planned.span().from(),
                document.agreement().standing().word(), document.agreement().remark());
    }
}
