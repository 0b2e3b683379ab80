package app.yellowtab.edit.cut;

import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Place;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.cut.BatchOrder;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.RunId;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/** The edits of batches. */
public final class CutEdits {
    /** A file of so many pages may well hold several documents. */
    private static final int LONG = 12;

    private CutEdits() {}

    /** {@return the batch that a source is, cut as it was last; one that is not cut yet if it never was} */
    public static Batch batchOf(Bundle bundle, Source source) {
        return find(bundle, source.id()).orElseGet(() -> Batch.of(source));
    }

    /** {@return the sources that a batch has pages of, in the bundle's order; that which it is called after is the first} */
    public static List<Source> sources(Bundle bundle, Batch batch) {
        List<SourceId> its = BatchOrder.sources(batch);
        return bundle.sources().stream().filter(source -> its.contains(source.id())).toList();
    }

    /** {@return whether a source is shown as part of the batch of another} */
    public static boolean isInOther(Bundle bundle, Source source) {
        return find(bundle, source.id()).filter(batch -> !sources(bundle, batch).getFirst().id().equals(source.id())).isPresent();
    }

    /**
     * {@return the bundle with the backs of one source behind the fronts of another, as one batch}
     *
     * @param turnedOver whether the backs come from the last sheet on
     * @throws IllegalArgumentException if there are not as many backs as fronts, or one less
     */
    public static Bundle joined(Bundle bundle, Source fronts, Source backs, boolean turnedOver) {
        Batch second = batchOf(bundle, backs);
        Batch joined = BatchOrder.interleaved(batchOf(bundle, fronts), second, turnedOver);
        List<Batch> others = new ArrayList<>(bundle.batches());
        others.removeIf(batch -> batch.id().equals(second.id()));
        return change(bundle.withBatches(others), fronts, before -> new Batch(before.id(), joined.runs(), joined.rules(),
                joined.resting(), joined.cuts(), joined.drops(), joined.names(), joined.made()));
    }

    /**
     * {@return the bundle with the pages of a source's batch in the order in which they came, and each file a batch of its own
     * again}
     */
    public static Bundle asCame(Bundle bundle, Source source) {
        Optional<Batch> there = find(bundle, source.id());
        if (there.isEmpty()) return bundle;
        List<Batch> all = new ArrayList<>();
        for (Batch batch : bundle.batches()) {
            if (batch.id().equals(there.get().id())) all.addAll(BatchOrder.asCame(batch));
            else all.add(batch);
        }
        return bundle.withBatches(all);
    }

    private static Optional<Batch> find(Bundle bundle, SourceId source) {
        return bundle.batches().stream().filter(batch -> batch.runs().stream().anyMatch(run -> run.source().equals(source)))
                .findFirst();
    }

    /**
     * {@return the sources that look like batches and that nothing is made of yet, neither by cutting nor by putting them in the
     * index}
     */
    public static List<Source> waiting(Bundle bundle) {
        List<Source> batches = bundle.sources().stream().filter(CutEdits::looksLikeBatch).toList();
        if (batches.isEmpty()) return batches;
        Set<SourceId> used = new HashSet<>();
        bundle.contents().allDocuments().forEach(document -> used.addAll(document.sources()));
        bundle.setAside().forEach(document -> used.addAll(document.sources()));
        return batches.stream().filter(source -> !used.contains(source.id()) && !isInOther(bundle, source)).toList();
    }

    private static boolean looksLikeBatch(Source source) {
        if (!source.isRead() || source.pageCount() < LONG) return false;
        boolean scanned = source.about().pages().scanned().count() * 2 > source.pageCount();
        boolean marked = source.bookmarks().stream().filter(mark -> mark.level() == 1).count() > 2;
        boolean beginsOften = source.about().pages().beginnings() > 2;
        return scanned || marked || beginsOften;
    }

    /** {@return the bundle with a source cut another way} */
    public static Bundle change(Bundle bundle, Source source, UnaryOperator<Batch> change) {
        Batch before = batchOf(bundle, source);
        Batch after = change.apply(before);
        if (after.equals(before)) return bundle;
        List<Batch> all = new ArrayList<>(bundle.batches());
        if (!all.contains(before)) all.add(after);
        all.replaceAll(batch -> batch.id().equals(before.id()) ? after : batch);
        return bundle.withBatches(all);
    }

    /** {@return the documents that were made of a batch before and that nobody has changed since, wherever they are} */
    public static List<Document> unchanged(Bundle bundle, Batch batch) {
        Set<Document> there = new HashSet<>(bundle.contents().allDocuments());
        there.addAll(bundle.setAside());
        return batch.made().stream().filter(there::contains).toList();
    }

    /**
     * {@return the bundle with documents that a batch's pieces have become}
     *
     * @param replaced whether those that it became before, and that nobody has changed since, go
     * @throws IllegalArgumentException if there is no such section, or there are not as many titles as pieces
     */
    public static Bundle make(Bundle bundle, Source source, List<Document> pieces, PiecePlace place, boolean replaced) {
        Bundle left = replaced ? without(bundle, unchanged(bundle, batchOf(bundle, source))) : bundle;
        List<Document> fresh = withNamesOfTheirOwn(left, pieces);
        Bundle noted = change(left, source, batch -> batch.withMade(fresh));
        return switch (place) {
            case PiecePlace.Tray tray -> inTray(noted, fresh);
            case PiecePlace.InSection in ->
                    Edits.insertDocuments(noted, fresh, new Place(Optional.of(in.section()), Integer.MAX_VALUE));
            case PiecePlace.Titled titled -> titled(noted, titled.title(), fresh);
            case PiecePlace.BySheets sheets -> bySheets(noted, sheets.titles(), fresh);
        };
    }

    /** {@return documents whose pages are copies where a document that stays has them already} */
    private static List<Document> withNamesOfTheirOwn(Bundle bundle, List<Document> pieces) {
        Set<PageKey> used = new HashSet<>();
        Stream.concat(bundle.contents().allDocuments().stream(), bundle.setAside().stream())
                .flatMap(document -> document.runs().stream()).forEach(run -> used.addAll(run.keys()));
        return pieces.stream()
                .map(piece -> piece.withRuns(piece.runs().stream()
                        .map(run -> run instanceof SourcePages pages && run.keys().stream().anyMatch(used::contains)
                                ? new SourcePages(RunId.fresh(), pages.source(), pages.first(), pages.last(), pages.look()) : run)
                        .toList()))
                .toList();
    }

    private static Bundle without(Bundle bundle, List<Document> old) {
        Set<EntryId> ids = new HashSet<>();
        old.forEach(document -> ids.add(document.id()));
        return Edits.without(bundle, ids)
                .withSetAside(bundle.setAside().stream().filter(document -> !ids.contains(document.id())).toList());
    }

    private static Bundle inTray(Bundle bundle, List<Document> documents) {
        List<Document> aside = new ArrayList<>(bundle.setAside());
        aside.addAll(documents);
        return bundle.withSetAside(aside);
    }

    private static Bundle titled(Bundle bundle, String title, List<Document> documents) {
        Optional<Section> there = bundle.contents().sections().stream()
                .filter(section -> section.title().strip().equalsIgnoreCase(title.strip())).findFirst();
        if (there.isPresent())
            return Edits.insertDocuments(bundle, documents, new Place(Optional.of(there.get().id()), Integer.MAX_VALUE));
        return Edits.insertSections(bundle,
                List.of(new Section(EntryId.fresh(), title.strip(), new Contents(documents, List.of()))),
                new Place(Optional.empty(), Integer.MAX_VALUE));
    }

    private static Bundle bySheets(Bundle bundle, List<String> titles, List<Document> documents) {
        if (titles.size() != documents.size())
            throw new IllegalArgumentException("as many sections as pieces are needed, got " + titles.size());
        Map<String, List<Document>> grouped = new LinkedHashMap<>();
        for (int i = 0; i < titles.size(); i++)
            grouped.computeIfAbsent(titles.get(i).strip(), title -> new ArrayList<>()).add(documents.get(i));
        Bundle now = bundle;
        for (Map.Entry<String, List<Document>> group : grouped.entrySet())
            now = group.getKey().isEmpty() ? inTray(now, group.getValue()) : titled(now, group.getKey(), group.getValue());
        return now;
    }
}
