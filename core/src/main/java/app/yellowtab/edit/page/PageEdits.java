package app.yellowtab.edit.page;

import app.yellowtab.edit.Edits;
import app.yellowtab.edit.repage.Carrying;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.run.EnclosedFile;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.Runs;
import app.yellowtab.model.run.SourcePages;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/**
 * The edits of single pages. Pages are named by their keys, which hold while everything moves; those that the bundle does not
 * have are passed over. No source is touched.
 */
public final class PageEdits {
    private static final int TURNS = 4;

    private PageEdits() {}

    /**
     * {@return the bundle with pages of sources turned}
     *
     * @param quarters clockwise; may be negative
     */
    public static Bundle turned(Bundle bundle, Set<PageKey> pages, int quarters) {
        return looked(bundle, pages, look -> look.withTurns(Math.floorMod(look.turns() + quarters, TURNS)));
    }

    /**
     * {@return the bundle with nothing done to pages: neither turned, nor straightened, cropped or put on another sheet} What was
     * redacted stays so.
     */
    public static Bundle asTheyCame(Bundle bundle, Set<PageKey> pages) {
        return looked(bundle, pages,
                look -> PageLook.PLAIN.withRedactions(look.redactions()).withWithheld(look.withheld()).withSpared(look.spared()));
    }

    /**
     * {@return the bundle with pages of sources withheld for a reason, which may be empty; shown again for none} A slip stands in
     * the place of each, with its numbers.
     */
    public static Bundle withheld(Bundle bundle, Set<PageKey> pages, Optional<String> reason) {
        return looked(bundle, pages, look -> look.withWithheld(reason));
    }

    /** {@return the bundle with pages of sources in another look} */
    public static Bundle looked(Bundle bundle, Set<PageKey> pages, UnaryOperator<PageLook> change) {
        return eachTouched(bundle, pages, document -> {
            List<Run> runs = new ArrayList<>();
            for (Run run : document.runs()) {
                if (!(run instanceof SourcePages)) {
                    runs.add(run);
                    continue;
                }
                for (Stretch stretch : Stretch.of(List.of(run), pages)) {
                    runs.add(stretch.chosen() && stretch.pages() instanceof SourcePages its
                            ? its.withLook(change.apply(its.look())) : stretch.pages());
                }
            }
            return document.withRuns(Runs.merged(runs));
        });
    }

    /**
     * {@return the bundle without pages} A document of which no page is left goes to the tray, as it was. The sheet of a file
     * that goes along is taken out, and the file stays as a line.
     */
    public static Bundle takenOut(Bundle bundle, Set<PageKey> pages) {
        Set<EntryId> whole = new HashSet<>();
        for (Document document : bundle.contents().allDocuments()) {
            if (document.pageCount() > 0 && document.enclosed().isEmpty()
                    && Stretch.of(document.runs(), pages).stream().allMatch(Stretch::chosen))
                whole.add(document.id());
        }
        Bundle thinned = eachTouched(bundle, pages,
                document -> whole.contains(document.id()) ? document : document.withRuns(Stretch.runs(left(document, pages))));
        return whole.isEmpty() ? thinned : Edits.takeOut(thinned, whole);
    }

    private static List<Stretch> left(Document document, Set<PageKey> pages) {
        List<Stretch> left = new ArrayList<>();
        for (Stretch stretch : Stretch.of(document.runs(), pages)) {
            if (!stretch.chosen()) left.add(stretch);
            else if (stretch.pages() instanceof EnclosedFile file)
                left.add(new Stretch(new EnclosedFile(file.id(), file.source(), false, file.supplied()), false));
        }
        return left;
    }

    /** {@return the bundle without the other pages of the documents that have any of these} */
    public static Bundle keptOnly(Bundle bundle, Set<PageKey> pages) {
        Set<PageKey> others = new HashSet<>();
        for (Document document : bundle.contents().allDocuments()) {
            List<PageKey> own = keys(document.runs());
            if (own.stream().anyMatch(pages::contains)) own.stream().filter(key -> !pages.contains(key)).forEach(others::add);
        }
        return takenOut(bundle, others);
    }

    /** {@return the bundle with pages in each document the other way round, among the places that they hold} */
    public static Bundle reversed(Bundle bundle, Set<PageKey> pages) {
        return eachTouched(bundle, pages, document -> {
            List<Stretch> singles = new ArrayList<>();
            for (Stretch stretch : Stretch.of(document.runs(), pages)) {
                if (!(stretch.chosen() && stretch.pages() instanceof SourcePages its)) singles.add(stretch);
                else for (int page = its.first(); page <= its.last(); page++)
                    singles.add(new Stretch(its.part(page, page), true));
            }
            List<Integer> places = new ArrayList<>();
            for (int i = 0; i < singles.size(); i++) if (singles.get(i).chosen() && singles.get(i).isMovable()) places.add(i);
            List<Stretch> turned = new ArrayList<>(singles);
            for (int i = 0; i < places.size(); i++) turned.set(places.get(i), singles.get(places.get(places.size() - 1 - i)));
            return document.withRuns(Stretch.runs(turned));
        });
    }

    /**
     * {@return the bundle with pages at another place, one behind the other as they stood; a document of which no page is left is
     * gone, and what belonged to it is on its own}
     */
    public static Bundle moved(Bundle bundle, Set<PageKey> pages, PageSpot to) {
        List<Run> taken = chosen(bundle, pages);
        if (taken.isEmpty() || find(bundle, to.document()).isEmpty()) return bundle;
        Set<EntryId> gone = new HashSet<>();
        Bundle moved = Edits.eachDocument(bundle, document -> {
            boolean target = document.id().equals(to.document());
            if (!target && !touches(document, pages)) return document;
            List<Run> runs = runs(document, pages, target ? Optional.of(to) : Optional.empty(), taken);
            if (runs.isEmpty()) gone.add(document.id());
            return runs.isEmpty() ? document : document.withRuns(runs);
        });
        if (gone.isEmpty()) return moved;
        return Edits.eachDocument(Edits.without(moved, gone), document -> document.belongsTo().filter(gone::contains).isEmpty()
                ? document : document.withBelongsTo(Optional.empty()));
    }

    /** {@return the bundle with pages once more at a place, under names of their own} */
    public static Bundle copied(Bundle bundle, Set<PageKey> pages, PageSpot to) {
        return inserted(bundle, to, chosen(bundle, pages).stream().map(Run::copy).toList());
    }

    /**
     * {@return the bundle with pages in the place of others, where the first of them stood} Where none of those is left, nothing
     * is put in. Moved marks go over one for one; what was hidden on a page that goes, and numbers that were issued to it, are to
     * be looked at.
     */
    public static Bundle replaced(Bundle bundle, Set<PageKey> pages, List<? extends Run> put) {
        for (Document document : bundle.contents().allDocuments()) {
            for (PageKey key : keys(document.runs())) {
                if (!pages.contains(key)) continue;
                Bundle now = takenOut(inserted(bundle, new PageSpot(document.id(), Optional.of(key)), List.copyOf(put)), pages);
                List<PageKey> gone = chosen(bundle, pages).stream().flatMap(run -> run.keys().stream()).toList();
                return Carrying.inStead(bundle, now, gone, put.stream().flatMap(run -> run.keys().stream()).toList());
            }
        }
        return bundle;
    }

    /** {@return the bundle with more pages at a place} */
    public static Bundle inserted(Bundle bundle, PageSpot to, List<Run> runs) {
        return runs.isEmpty() ? bundle : Edits.changeDocument(bundle, to.document(),
                document -> document.withRuns(runs(document, Set.of(), Optional.of(to), runs)));
    }

    /** {@return the pages of a document without those that are chosen, and with others at a place in it} */
    private static List<Run> runs(Document document, Set<PageKey> without, Optional<PageSpot> at, List<Run> put) {
        List<Stretch> all = new ArrayList<>();
        Optional<PageKey> before = at.flatMap(PageSpot::before);
        int place = -1;
        for (Stretch stretch : Stretch.of(document.runs(), without)) {
            int page = before.map(key -> stretch.place(key)).orElse(0);
            if (page > 1) all.add(stretch.part(1, page - 1));
            if (page > 0) place = all.size();
            all.add(page > 1 ? stretch.part(page, stretch.pages().pageCount()) : stretch);
        }
        List<Run> runs = new ArrayList<>();
        for (int i = 0; i <= all.size(); i++) {
            if (at.isPresent() && i == (place < 0 ? all.size() : place)) runs.addAll(put);
            if (i < all.size() && !(all.get(i).chosen() && all.get(i).isMovable())) runs.add(all.get(i).pages());
        }
        return Runs.merged(runs);
    }

    /** {@return the pages that can be moved, in the order of the bundle} */
    private static List<Run> chosen(Bundle bundle, Set<PageKey> pages) {
        List<Run> chosen = new ArrayList<>();
        for (Document document : bundle.contents().allDocuments()) {
            if (!touches(document, pages)) continue;
            for (Stretch stretch : Stretch.of(document.runs(), pages))
                if (stretch.chosen() && stretch.isMovable()) chosen.add(stretch.pages());
        }
        return chosen;
    }

    private static Optional<Document> find(Bundle bundle, EntryId id) {
        return bundle.contents().allDocuments().stream().filter(document -> document.id().equals(id)).findFirst();
    }

    private static boolean touches(Document document, Set<PageKey> pages) {
        for (Run run : document.runs()) for (int n = 1; n <= run.pageCount(); n++) if (pages.contains(run.key(n))) return true;
        return false;
    }

    private static List<PageKey> keys(List<Run> runs) {
        List<PageKey> keys = new ArrayList<>();
        for (Run run : runs) for (int n = 1; n <= run.pageCount(); n++) keys.add(run.key(n));
        return keys;
    }

    private static Bundle eachTouched(Bundle bundle, Set<PageKey> pages, UnaryOperator<Document> change) {
        return Edits.eachDocument(bundle, document -> touches(document, pages) ? change.apply(document) : document);
    }
}
