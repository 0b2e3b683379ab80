package app.yellowtab.sets;

import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.Parting;
import app.yellowtab.leaf.PlannedBookmark;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.leaf.PlannedEntry.PlannedDocument;
import app.yellowtab.leaf.Target;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.Runs;
import app.yellowtab.plan.Marking;
import app.yellowtab.plan.Plan;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Plans pages of a bundle as a file of their own: as they are in the bundle, without cover and index. */
public final class Excerpt {
    private final Plan plan;
    private final boolean numbered;
    private final Map<EntryId, PlannedDocument> documents = new HashMap<>();

    /** @param numbered whether pages keep the numbers that they have in the bundle; otherwise they have none */
    public Excerpt(Plan plan, boolean numbered) {
        this.plan = plan;
        this.numbered = numbered;
        for (PlannedEntry entry : plan.entries())
            if (entry instanceof PlannedDocument document) documents.put(document.id(), document);
    }

    /**
     * {@return the plan of some pages} Bookmarks that lead to them come along, and so do links between them.
     *
     * @param leaves of documents, in the order in which they are to stand; at least one
     * @param title  of the file
     */
    public Plan of(List<Leaf> leaves, String title) {
        List<Leaf> own = new ArrayList<>();
        Map<EntryId, List<Run>> runs = new LinkedHashMap<>();
        Map<Integer, Integer> places = new HashMap<>();
        for (Leaf leaf : leaves) {
            Optional<PlannedDocument> document =
                    plan.entryAt(leaf.index()).filter(PlannedDocument.class::isInstance).map(PlannedDocument.class::cast);
            if (document.isEmpty() || leaf.key().isEmpty())
                throw new IllegalArgumentException("a page of a document is needed, got the leaf at " + leaf.index());
            places.put(leaf.index(), own.size());
            own.add(new Leaf(own.size(), leaf.key(), numbered ? leaf.number() : Optional.empty(), leaf.onlyPaper(),
                    leaf.content()));
            runs.computeIfAbsent(document.get().id(), id -> new ArrayList<>()).add(part(document.get(), leaf.key().get()));
        }
        List<PlannedEntry> entries = new ArrayList<>();
        int first = 0;
        for (Map.Entry<EntryId, List<Run>> its : runs.entrySet()) {
            PlannedDocument document = documents.get(its.getKey());
            int last = first + its.getValue().size() - 1;
            entries.add(new PlannedDocument(document.document().withRuns(Runs.merged(its.getValue())), 0, 0,
                    new PlannedEntry.Span(first, last, own.get(first).label(), own.get(last).label())));
            first = last + 1;
        }
        return new Plan(CaseHeading.EMPTY.withTitle(title), plan.comments(), own, entries, List.of(), List.of(),
                bookmarks(places), List.of(), false, List.of(), numbered ? plan.marking().of(leaves) : Marking.STANDARD,
                Parting.NONE, plan.toLookAt());
    }

    private static Run part(PlannedDocument document, PageKey key) {
        for (Run run : document.document().runs()) {
            for (int n = 1; n <= run.pageCount(); n++) if (run.key(n).equals(key)) return Runs.part(run, n, n);
        }
        throw new IllegalArgumentException("no such page in " + document.title());
    }

    private List<PlannedBookmark> bookmarks(Map<Integer, Integer> places) {
        List<PlannedBookmark> bookmarks = new ArrayList<>();
        int before = 0;
        for (PlannedBookmark bookmark : plan.bookmarks()) {
            Integer place = places.get(bookmark.target().leaf());
            if (place == null) continue;
            before = Math.min(bookmark.level(), before + 1);
            bookmarks.add(
                    new PlannedBookmark(before, bookmark.title(), new Target(place, bookmark.target().view()), bookmark.look()));
        }
        return bookmarks;
    }
}
