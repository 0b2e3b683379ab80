package app.yellowtab.agree;

import app.yellowtab.finding.FindingException;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Content;
import app.yellowtab.plan.Leaf;
import app.yellowtab.plan.Marking;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.PlannedEntry;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Writes which page bears which number of a series, and where it comes from. */
public final class NumberRegister {
    private static final List<String> HEADS = List.of("Number", "Page", "Document", "File", "Page of the file", "SHA-256 of the file");
    private static final List<Integer> WIDTHS = List.of(16, 8, 40, 40, 10, 66);

    private NumberRegister() {}

    /**
     * Writes it as the bundle is numbered now, page by page.
     *
     * @param target its ending says how: .csv, .xlsx or .docx
     * @return how many pages it lists
     * @throws FindingException if it cannot be written
     */
    public static int write(Plan plan, Map<SourceId, Source> sources, SeriesId id, Path target) throws FindingException {
        List<List<String>> rows = new ArrayList<>();
        for (Marking.PlannedSeries series : plan.marking().series()) {
            if (!series.id().equals(id)) continue;
            for (Leaf leaf : plan.leaves()) {
                String number = series.words(leaf.index());
                if (number.isEmpty() || !(leaf.content() instanceof Content.SourcePage page)) continue;
                Source source = sources.get(page.source());
                rows.add(List.of(number, leaf.label(), plan.entryAt(leaf.index()).map(PlannedEntry::title).orElse(""), source == null ? "" : source.fileName(), String.valueOf(page.page()), source == null ? "" : source.sha256()));
            }
        }
        new TableWriter(IndexFile.title(plan.heading(), "Register of numbers"), HEADS, WIDTHS, rows, Set.of()).write(target);
        return rows.size();
    }
}
