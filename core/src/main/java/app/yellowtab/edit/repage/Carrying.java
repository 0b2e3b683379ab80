package app.yellowtab.edit.repage;

import app.yellowtab.edit.repage.PagePairs.Pair;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.cut.HandCut;
import app.yellowtab.model.cut.HandDrop;
import app.yellowtab.model.cut.PieceName;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.number.GivenNumber;
import app.yellowtab.model.number.MarkMove;
import app.yellowtab.model.number.Numbering;
import app.yellowtab.model.number.OldNumbers;
import app.yellowtab.model.number.ServedNumber;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.run.EnclosedFile;
import app.yellowtab.model.run.LookAgain;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.ReservedPages;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.RunId;
import app.yellowtab.model.run.Runs;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * Carries all that is said of pages through a {@link Repaging}: runs of the index, of the tray and of batches, looks and
 * redactions, cuts, moved marks, issued and served numbers. A page that is the same keeps everything; one that has changed what
 * hides something of it; what is new, or has moved, stands right behind the page that it follows. Of what cannot be
 * carried, and would be a leak or a wrong number, the bundle says that somebody must look ({@link Bundle#toLookAt}).
 */
public final class Carrying {
    private final Repaging repaging;
    private final UnaryOperator<RunId> names;
    private final CarriedRuns carried;
    private final Set<Integer> issued = new HashSet<>();
    /** Where pages stand now; the same as before where nothing has become of them, nowhere where they are gone. */
    private final Map<PageKey, Optional<PageKey>> keys = new HashMap<>();
    private final Set<PageKey> sameKeys = new HashSet<>();
    private final Set<LookAgain> toLookAt = new LinkedHashSet<>();

    /** @param names how runs are called that have other pages */
    private Carrying(Bundle bundle, Repaging repaging, UnaryOperator<RunId> names) {
        this.repaging = repaging;
        this.names = names;
        this.carried = new CarriedRuns(repaging, names);
        for (GivenNumber given : bundle.numbering().given()) if (isOfBefore(given)) issued.add(given.page());
    }

    /**
     * {@return the bundle with the pages of another reading of a file, wherever it had some} A document of which nothing is left
     * keeps a page free.
     */
    public static Bundle everywhere(Bundle bundle, Repaging repaging) {
        if (repaging.changesNothing()) return bundle;
        Carrying carrying = new Carrying(bundle, repaging, repaging::named);
        Bundle documents = bundle
                .withContents(bundle.contents().mapAll(
                        here -> here.withDocuments(here.documents().stream().map(carrying::document).toList())))
                .withSetAside(bundle.setAside().stream().map(carrying::document).toList());
        Bundle batches =
                documents.withBatches(bundle.batches().stream().flatMap(batch -> carrying.batch(batch).stream()).toList());
        return carrying.said(batches);
    }

    /**
     * {@return the bundle with the pages of another file in one document; the bundle itself where the document has no page of the
     * earlier one, or would have none of the other}
     */
    public static Bundle inDocument(Bundle bundle, EntryId id, Repaging repaging) {
        Optional<Document> found = bundle.contents().allDocuments().stream().filter(its -> its.id().equals(id)).findFirst();
        if (found.isEmpty()) return bundle;
        Carrying carrying = new Carrying(bundle, repaging, repaging::named);
        Document carried = carrying.document(found.get());
        if (stands(bundle, carried)) {
            // Its pages were brought to that file before, with other pairs.
            Map<RunId, RunId> fresh = new HashMap<>();
            carrying = new Carrying(bundle, repaging, run -> fresh.computeIfAbsent(run, its -> RunId.fresh()));
            carried = carrying.document(found.get());
        }
        Document now = carried;
        boolean has = now.runs().stream()
                .anyMatch(run -> run instanceof SourcePages pages && pages.source().equals(repaging.after().source()));
        if (!has) return bundle;
        return carrying.said(bundle.withContents(bundle.contents().mapAll(here -> here.withDocuments(
                here.documents().stream().map(document -> document.id().equals(id) ? now : document).toList()))));
    }

    /** {@return whether a page of a document stands in it twice, or in another one too} */
    private static boolean stands(Bundle bundle, Document document) {
        Set<PageKey> keys = new HashSet<>();
        Stream<Run> others = Stream.concat(bundle.contents().allDocuments().stream(), bundle.setAside().stream())
                .filter(other -> !other.id().equals(document.id())).flatMap(other -> other.runs().stream());
        others.forEach(run -> keys.addAll(run.keys()));
        return !document.runs().stream().flatMap(run -> run.keys().stream()).allMatch(keys::add);
    }

    /**
     * {@return the bundle with marks that stand elsewhere, served numbers, and what must be looked at, of pages said of those
     * that stand for them}
     */
    public static Bundle under(Bundle bundle, Map<PageKey, PageKey> stead) {
        Numbering numbering = bundle.numbering();
        List<MarkMove> moves = numbering.moves().stream().map(
                move -> new MarkMove(stead.getOrDefault(move.page(), move.page()), move.series(), move.spot())).toList();
        Set<ServedNumber> served = new LinkedHashSet<>(numbering.served());
        for (ServedNumber known : numbering.served()) {
            PageKey page = stead.get(known.page());
            if (page != null) served.add(new ServedNumber(page, known.label()));
        }
        List<LookAgain> toLookAt = bundle.toLookAt().stream()
                .map(again -> new LookAgain(again.document(), again.page().map(page -> stead.getOrDefault(page, page)),
                        again.before(), again.was(), again.hidden(), again.numbered()))
                .toList();
        return bundle.withNumbering(numbering.withMoves(moves).withServed(List.copyOf(served))).withToLookAt(toLookAt);
    }

    /**
     * {@return the bundle with what was said of pages said of those that the user has put in their place, one for one} Somebody
     * must look at those in whose place something was hidden, and say whether they keep numbers that were issued.
     *
     * @param before the bundle with the pages that are gone
     * @param now    the bundle with those in their place
     */
    public static Bundle inStead(Bundle before, Bundle now, List<PageKey> gone, List<PageKey> put) {
        Map<PageKey, PageKey> stead = new HashMap<>();
        for (int n = 0; n < Math.min(gone.size(), put.size()); n++) stead.put(gone.get(n), put.get(n));
        Map<SourceId, Source> sources = before.sourcesById();
        Set<PageKey> left = new HashSet<>(gone);
        Set<LookAgain> more = new LinkedHashSet<>();
        for (Document document : before.contents().allDocuments()) {
            for (Run run : document.runs()) {
                Source source = run instanceof SourcePages pages ? sources.get(pages.source()) : null;
                if (source == null) continue;
                for (PageKey key : run.keys()) {
                    Optional<PageKey> page = Optional.ofNullable(stead.get(key));
                    boolean hidden = hides(((SourcePages) run).look());
                    boolean numbered = page.isPresent() && before.numbering().given().stream()
                            .anyMatch(given -> given.isOf(source.asRead()) && given.page() == key.page());
                    if (left.contains(key) && (hidden || numbered))
                        more.add(new LookAgain(document.id(), page, source.asRead(), key.page(), hidden, numbered));
                }
            }
        }
        Bundle carried = under(now, stead);
        more.addAll(carried.toLookAt());
        return carried.withToLookAt(List.copyOf(more));
    }

    private static boolean hides(PageLook look) {
        return !look.redactions().isEmpty() || look.withheld().isPresent();
    }

    private Document document(Document document) {
        if (document.runs().stream().noneMatch(carried::has)) return document;
        List<Run> runs = new ArrayList<>(
                carried.of(document.runs(), (pages, page, now) -> note(pages, page, now, Optional.of(document.id()))));
        boolean empty = runs.stream().noneMatch(run -> run instanceof SourcePages || run instanceof ReservedPages);
        // What is left of it stands where it stood, and is not missed.
        if (empty) runs.add(new ReservedPages(names.apply(document.runs().getFirst().id()), 1));
        return document.withRuns(Runs.merged(runs));
    }

    /** Notes where a page stands now, and whether somebody must look at it. */
    private void note(SourcePages pages, int page, Optional<PageKey> now, Optional<EntryId> document) {
        PageKey was = new PageKey(pages.id(), page);
        boolean same = carried.pair(page).same();
        keys.put(was, now);
        if (same) sameKeys.add(was);
        if (same || document.isEmpty()) return;
        boolean hidden = hides(pages.look());
        boolean numbered = now.isPresent() && issued.contains(page);
        if (hidden || numbered)
            toLookAt.add(new LookAgain(document.get(), now, repaging.before(), page, hidden, numbered));
    }

    /** {@return a batch of the pages there are now; none where none is left} */
    private Optional<Batch> batch(Batch batch) {
        if (batch.runs().stream().noneMatch(carried::has)) return Optional.of(batch);
        List<PageKey> order = batch.keys();
        List<SourcePages> runs = Runs
                .merged(carried.of(new ArrayList<>(batch.runs()), (pages, page, now) -> note(pages, page, now, Optional.empty())))
                .stream().map(SourcePages.class::cast).toList();
        if (runs.isEmpty()) return Optional.empty();
        Set<PageKey> cutAt = new HashSet<>();
        List<HandCut> cuts = new ArrayList<>();
        for (HandCut cut : batch.cuts()) {
            Optional<PageKey> at = cut.there() ? next(order, cut.before()) : moved(cut.before());
            at.filter(cutAt::add).ifPresent(page -> cuts.add(new HandCut(page, cut.there())));
        }
        Set<PageKey> namedAt = new HashSet<>();
        List<PieceName> names = new ArrayList<>();
        for (PieceName name : batch.names())
            next(order, name.first()).filter(namedAt::add)
                    .ifPresent(page -> names.add(new PieceName(page, name.words(), name.date())));
        List<HandDrop> drops = batch.drops().stream()
                .flatMap(drop -> moved(drop.page()).map(page -> new HandDrop(page, drop.dropped())).stream()).toList();
        return Optional.of(new Batch(batch.id(), runs, batch.rules(), batch.resting(), cuts, drops, names,
                batch.made().stream().map(this::made).toList()));
    }

    /** What was made of a batch is known by what it was made as, and nobody looks at that. */
    private Document made(Document document) {
        return document.runs().stream().noneMatch(carried::has) ? document : new Carrying(this).document(document);
    }

    /** The same, with what it notes for itself. */
    private Carrying(Carrying other) {
        this.repaging = other.repaging;
        this.names = other.names;
        this.carried = other.carried;
    }

    private Optional<PageKey> moved(PageKey page) {
        return keys.getOrDefault(page, Optional.of(page));
    }

    /** {@return where a page of a batch stands, or where it is gone the next that there is} */
    private Optional<PageKey> next(List<PageKey> order, PageKey page) {
        int at = order.indexOf(page);
        if (at < 0) return moved(page);
        return order.subList(at, order.size()).stream().flatMap(its -> moved(its).stream()).findFirst();
    }

    /** {@return the bundle with what is said of pages apart from the runs said of those there are now} */
    private Bundle said(Bundle bundle) {
        Numbering numbering = bundle.numbering();
        List<MarkMove> moves = numbering.moves().stream()
                .flatMap(move -> moved(move.page()).map(page -> new MarkMove(page, move.series(), move.spot())).stream())
                .toList();
        List<OldNumbers> old = repaging.isOtherFile() ? numbering.old()
                : numbering.old().stream().flatMap(numbers -> old(numbers).stream()).toList();
        Set<LookAgain> all = new LinkedHashSet<>();
        for (LookAgain known : bundle.toLookAt()) {
            Optional<PageKey> page = known.page().flatMap(this::moved);
            // Of a page that is gone nobody needs to say whether it keeps its number.
            boolean numbered = known.numbered() && page.isPresent();
            if (known.hidden() || numbered)
                all.add(new LookAgain(known.document(), page, known.before(), known.was(), known.hidden(), numbered));
        }
        all.addAll(toLookAt);
        return bundle.withNumbering(numbering.withMoves(moves).withOld(old).withGiven(given(numbering))
                .withServed(served(numbering))).withToLookAt(List.copyOf(all));
    }

    private boolean isOfBefore(GivenNumber given) {
        return given.isOf(repaging.before());
    }

    /** What was promised stays promised: the page that is the same now has it too. */
    private List<GivenNumber> given(Numbering numbering) {
        Set<GivenNumber> all = new LinkedHashSet<>(numbering.given());
        for (GivenNumber given : numbering.given()) {
            if (!isOfBefore(given)) continue;
            Pair pair = carried.pair(given.page());
            if (pair.same()) all.add(given.of(repaging.after(), pair.after()));
        }
        return List.copyOf(all);
    }

    private List<ServedNumber> served(Numbering numbering) {
        Set<ServedNumber> all = new LinkedHashSet<>(numbering.served());
        for (ServedNumber served : numbering.served())
            if (sameKeys.contains(served.page()))
                moved(served.page()).ifPresent(page -> all.add(new ServedNumber(page, served.label())));
        return List.copyOf(all);
    }

    /** {@return what was decided of numbers that pages carried, where these are the same; nothing where none is} */
    private Optional<OldNumbers> old(OldNumbers numbers) {
        if (!numbers.source().equals(repaging.before().source())) return Optional.of(numbers);
        List<OldNumbers.Place> places = numbers.places().stream()
                .filter(place -> carried.pair(place.page()).same())
                .map(place -> new OldNumbers.Place(carried.pair(place.page()).after(), place.words(), place.area())).toList();
        return places.isEmpty() ? Optional.empty()
                : Optional.of(new OldNumbers(numbers.source(), numbers.first(), numbers.handling(), places));
    }
}
