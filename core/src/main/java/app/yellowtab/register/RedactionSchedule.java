package app.yellowtab.register;

import app.yellowtab.finding.FindingException;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.plan.Plan;
import app.yellowtab.table.TableWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * Writes the schedule of redactions: of each its page, its document, where it lies and the reason, and nothing of what was there.
 */
public final class RedactionSchedule {
    private static final List<String> HEADS = List.of("Page", "Tab", "Document", "Date", "Where on the page", "Reason");
    private static final List<Integer> WIDTHS = List.of(8, 6, 40, 18, 34, 30);

    private RedactionSchedule() {}

    /**
     * Writes it as the bundle is numbered now.
     *
     * @param target its ending says how: .docx, .xlsx or .csv
     * @return how many redactions it lists
     * @throws FindingException if it cannot be written
     */
    public static int write(Plan plan, Path target) throws FindingException {
        List<List<String>> rows = new ArrayList<>();
        for (Leaf leaf : plan.leaves()) {
            if (!(leaf.content() instanceof Content.SourcePage page)) continue;
            for (Redaction redaction : page.look().redactions()) rows.add(row(leaf, plan.entryAt(leaf.index()), redaction));
        }
        new TableWriter(plan.heading().titled("Schedule of redactions"), HEADS, WIDTHS, rows, Set.of()).write(target);
        return rows.size();
    }

    private static List<String> row(Leaf leaf, Optional<PlannedEntry> entry, Redaction redaction) {
        String tab = "";
        String date = "";
        if (entry.isPresent() && entry.get() instanceof PlannedEntry.PlannedDocument planned) {
            tab = planned.tab() > 0 ? String.valueOf(planned.tab()) : "";
            date = planned.document().date().shown();
        }
        Area area = redaction.area();
        String where = String.format(Locale.ROOT, "%.0f mm from the left, %.0f mm from the top, %.0f by %.0f mm", area.leftMm(),
                area.topMm(), area.widthMm(), area.heightMm());
        return List.of(leaf.label(), tab, entry.map(PlannedEntry::title).orElse(""), date, where, redaction.reason());
    }
}
