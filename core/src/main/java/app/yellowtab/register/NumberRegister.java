package app.yellowtab.register;

import app.yellowtab.finding.FindingException;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Marking;
import app.yellowtab.plan.Plan;
import app.yellowtab.table.TableWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Writes which page bears which number of a series, and where it comes from. */
public final class NumberRegister {
    private static final List<String> HEADS =
            List.of("Number", "Page", "Document", "File", "Page of the file", "SHA-256 of the file");
    private static final List<Integer> WIDTHS = List.of(16, 8, 40, 40, 10, 66);

    private static final String WITHHELD = " (page withheld)";

    private NumberRegister() {}

    private static List<String> row(String number, Leaf leaf, String title, Optional<Source> source, int page) {
        return List.of(number, leaf.label(), title, source.map(Source::fileName).orElse(""), String.valueOf(page),
                source.map(Source::sha256).orElse(""));
    }

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
                if (number.isEmpty()) continue;
                String title = plan.entryAt(leaf.index()).map(PlannedEntry::title).orElse("");
                switch (leaf.content()) {
                    case Content.SourcePage page ->
                            rows.add(row(number, leaf, title, Optional.ofNullable(sources.get(page.source())), page.page()));
                    case Content.Withheld page -> rows.add(
                            row(number, leaf, title + WITHHELD, Optional.ofNullable(sources.get(page.source())), page.page()));
                    default -> {}
                }
            }
        }
        new TableWriter(plan.heading().titled("Register of numbers"), HEADS, WIDTHS, rows, Set.of()).write(target);
        return rows.size();
    }
}
