package app.yellowtab.assemble;

import app.yellowtab.model.EntryId;
import app.yellowtab.model.PageRun;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.PlannedEntry;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Where the pages of sources stand in the bundle. Grows with the documents, not with their pages. Immutable. */
final class LeafLookup {
    private final Map<SourceId, List<Place>> places = new HashMap<>();

    LeafLookup(Plan plan) {
        for (PlannedEntry entry : plan.entries()) {
            if (!(entry instanceof PlannedEntry.PlannedDocument planned)) continue;
            int leaf = planned.firstPage();
            for (PageRun run : planned.document().runs()) {
                places.computeIfAbsent(run.source(), id -> new ArrayList<>()).add(new Place(planned.id(), run, leaf));
                leaf += run.lastPage() - run.firstPage() + 1;
            }
        }
    }

    /**
     * {@return the bundle number of a source's page: in the document that asks if it has that page, else in the first that
     * has; 0 if none has}
     *
     * @param page counted from 1
     */
    int leafOf(SourceId source, int page, EntryId asking) {
        int elsewhere = 0;
        for (Place place : places.getOrDefault(source, List.of())) {
            if (page < place.run.firstPage() || page > place.run.lastPage()) continue;
            int leaf = place.leaf + page - place.run.firstPage();
            if (place.document.equals(asking)) return leaf;
            if (elsewhere == 0) elsewhere = leaf;
        }
        return elsewhere;
    }

    /** A run of pages, and the bundle number of its first. */
    private record Place(EntryId document, PageRun run, int leaf) {}
}
