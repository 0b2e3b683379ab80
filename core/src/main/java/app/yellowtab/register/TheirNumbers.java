package app.yellowtab.register;

import app.yellowtab.finding.FindingException;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.number.OldNumbers;
import app.yellowtab.model.number.OldNumbers.Handling;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Plan;
import app.yellowtab.table.TableWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** The table from the numbers of the other side to the pages of a bundle. */
public final class TheirNumbers {
    private static final List<String> HEADS = List.of("Their number", "Page", "Document", "File", "Page of the file");
    private static final List<Integer> WIDTHS = List.of(18, 10, 44, 40, 10);

    private TheirNumbers() {}

    /**
     * Writes it in the order of the bundle.
     *
     * @param target its ending says how: .docx, .xlsx or .csv
     * @return how many pages it lists
     * @throws FindingException if it cannot be written
     */
    public static int write(Bundle bundle, Plan plan, Path target) throws FindingException {
        Map<SourceId, Map<Integer, List<String>>> numbers = new HashMap<>();
        for (OldNumbers old : bundle.numbering().old()) {
            if (old.handling() != Handling.IDENTITY) continue;
            for (OldNumbers.Place place : old.places()) numbers.computeIfAbsent(old.source(), id -> new HashMap<>())
                    .computeIfAbsent(place.page(), page -> new ArrayList<>()).add(place.words());
        }
        List<List<String>> rows = new ArrayList<>();
        for (Leaf leaf : plan.leaves()) {
            if (!(leaf.content() instanceof Content.SourcePage page)) continue;
            for (String number : numbers.getOrDefault(page.source(), Map.of()).getOrDefault(page.page(), List.of())) {
                String file = bundle.sources().stream().filter(source -> source.id().equals(page.source())).findFirst()
                        .map(source -> source.fileName()).orElse("");
                rows.add(List.of(number, leaf.label(), plan.entryAt(leaf.index()).map(PlannedEntry::title).orElse(""), file,
                        String.valueOf(page.page())));
            }
        }
        new TableWriter(plan.heading().titled("Numbers of the other side"), HEADS, WIDTHS, rows, Set.of())
                .write(target);
        return rows.size();
    }
}
