package app.yellowtab.fetch;

import app.yellowtab.carry.part.Targets;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Plan;
import app.yellowtab.sets.Way;
import app.yellowtab.sets.Ways;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Where the pages of sources stand in what is produced. Grows with the documents, not with their pages. Immutable. */
final class LeafLookup {
    private final Map<SourceId, List<Stand>> stands = new HashMap<>();
    private final Ways ways;

    LeafLookup(Plan plan, Ways ways) {
        this.ways = ways;
        for (PlannedEntry entry : plan.entries()) {
            if (!(entry instanceof PlannedEntry.PlannedDocument planned)) continue;
            int leaf = planned.span().first();
            for (Run run : planned.document().runs()) {
                if (run.pageCount() == 0) continue;
                leaf = find(plan, run.key(1), leaf, planned.span().last());
                if (leaf < 0) break;
                // Where a document is printed on one side alone, the back of each page is a leaf too.
                int step = Math.max(1, run.pageCount() > 1 ? find(plan, run.key(2), leaf, planned.span().last()) - leaf : 1);
                if (run instanceof SourcePages pages) stands.computeIfAbsent(pages.source(), id -> new ArrayList<>())
                        .add(new Stand(planned.id(), pages, leaf, step));
                leaf += (run.pageCount() - 1) * step + 1;
            }
        }
    }

    /** {@return the index of the leaf of a page, between two leaves; -1 where there is none} */
    private static int find(Plan plan, PageKey page, int from, int last) {
        Optional<PageKey> key = Optional.of(page);
        for (int leaf = from; leaf <= last; leaf++) if (plan.leaf(leaf).key().equals(key)) return leaf;
        return -1;
    }

    /**
     * {@return where a source's page stands: in the document that asks if it has that page, else in the first that
     * has; empty where no file has it}
     *
     * @param page counted from 1
     */
    Optional<Targets.Target> targetOf(SourceId source, int page, EntryId asking) {
        Optional<Targets.Target> elsewhere = Optional.empty();
        for (Stand stand : stands.getOrDefault(source, List.of())) {
            if (page < stand.run.first() || page > stand.run.last()) continue;
            Optional<Way> way = ways.to(stand.leaf + (page - stand.run.first()) * stand.step);
            if (way.isEmpty()) continue;
            Targets.Target target = new Targets.Target(way.get(), stand.run.look());
            if (stand.document.equals(asking)) return Optional.of(target);
            if (elsewhere.isEmpty()) elsewhere = Optional.of(target);
        }
        return elsewhere;
    }

    /** A run of pages, the index of the leaf that its first has become, and how many leaves it is from one to the next. */
    private record Stand(EntryId document, SourcePages run, int leaf, int step) {}
}
