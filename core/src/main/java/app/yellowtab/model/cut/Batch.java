package app.yellowtab.model.cut;

import app.yellowtab.model.contents.Document;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/**
 * A file that holds several documents, and how it is cut into them.
 *
 * @param runs    its pages, in order; at least one
 * @param rules   those that are followed
 * @param resting rules that are switched off, as they were filled in
 * @param cuts    by hand
 * @param drops   by hand
 * @param names   and dates that were typed
 * @param made    the documents that were made of it last, as they were made
 */
public record Batch(BatchId id, List<SourcePages> runs, CutRules rules, List<CutRule> resting, List<HandCut> cuts,
        List<HandDrop> drops, List<PieceName> names, List<Document> made) {
    public Batch {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(rules, "rules");
        runs = List.copyOf(runs);
        resting = List.copyOf(resting);
        cuts = List.copyOf(cuts);
        drops = List.copyOf(drops);
        names = List.copyOf(names);
        made = List.copyOf(made);
        if (runs.isEmpty()) throw new IllegalArgumentException("a batch needs pages");
    }

    /** {@return a source as a batch, not cut yet} */
    public static Batch of(Source source) {
        return new Batch(BatchId.fresh(), List.of(SourcePages.of(source.id(), 1, source.pageCount())), CutRules.NONE, List.of(),
                List.of(), List.of(), List.of(), List.of());
    }

    /** {@return which page each is, in order} */
    public List<PageKey> keys() {
        List<PageKey> keys = new ArrayList<>();
        for (SourcePages run : runs) for (int n = 1; n <= run.pageCount(); n++) keys.add(run.key(n));
        return keys;
    }

    /** {@return the place of each page in the batch, counted from 1} */
    public Map<PageKey, Integer> places() {
        Map<PageKey, Integer> places = new HashMap<>();
        for (PageKey key : keys()) places.put(key, places.size() + 1);
        return places;
    }

    public Batch withRuns(List<SourcePages> newRuns) {
        return new Batch(id, newRuns, rules, resting, cuts, drops, names, made);
    }

    /** {@return the same with pages looked upon another way; they keep their names} */
    public Batch withLooks(Map<PageKey, PageLook> looks) {
        List<SourcePages> changed = new ArrayList<>();
        for (SourcePages run : runs) {
            for (int page = run.first(); page <= run.last(); page++) {
                SourcePages one = run.part(page, page);
                one = one.withLook(looks.getOrDefault(one.key(1), one.look()));
                if (!changed.isEmpty() && changed.getLast().isFollowedBy(one)) one = changed.removeLast().to(page);
                changed.add(one);
            }
        }
        return withRuns(changed);
    }

    public Batch withRules(CutRules newRules, List<CutRule> newResting) {
        return new Batch(id, runs, newRules, newResting, cuts, drops, names, made);
    }

    /** {@return the same with a cut before a page, or none, as the hand has it} */
    public Batch withCut(PageKey before, boolean there) {
        List<HandCut> all = new ArrayList<>(cuts);
        all.removeIf(cut -> cut.before().equals(before));
        all.add(new HandCut(before, there));
        return new Batch(id, runs, rules, resting, all, drops, names, made);
    }

    /** {@return the same with a page dropped, or kept, as the hand has it} */
    public Batch withDrop(PageKey page, boolean dropped) {
        return withDrops(List.of(new HandDrop(page, dropped)));
    }

    /** {@return the same with pages dropped, or kept, as the hand has it; each is named once} */
    public Batch withDrops(List<HandDrop> more) {
        Set<PageKey> named = new HashSet<>();
        for (HandDrop drop : more) named.add(drop.page());
        List<HandDrop> all = new ArrayList<>(drops);
        all.removeIf(drop -> named.contains(drop.page()));
        all.addAll(more);
        return new Batch(id, runs, rules, resting, cuts, all, names, made);
    }

    /** {@return the same with a name for the piece that begins with a page; a blank one lets the rules name it} */
    public Batch withName(PageKey first, String words) {
        return withTyped(first, words.strip(), typed(first).flatMap(PieceName::date));
    }

    /** {@return the same with a date for the piece that begins with a page; an empty one lets its first page say it} */
    public Batch withDate(PageKey first, Optional<DocumentDate> date) {
        return withTyped(first, typed(first).map(PieceName::words).orElse(""), date);
    }

    private Optional<PieceName> typed(PageKey first) {
        return names.stream().filter(name -> name.first().equals(first)).findFirst();
    }

    private Batch withTyped(PageKey first, String words, Optional<DocumentDate> date) {
        List<PieceName> all = new ArrayList<>(names);
        all.removeIf(name -> name.first().equals(first));
        if (!words.isEmpty() || date.isPresent()) all.add(new PieceName(first, words, date));
        return new Batch(id, runs, rules, resting, cuts, drops, all, made);
    }

    public Batch withMade(List<Document> documents) {
        return new Batch(id, runs, rules, resting, cuts, drops, names, documents);
    }
}
