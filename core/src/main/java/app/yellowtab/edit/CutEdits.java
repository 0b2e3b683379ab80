package app.yellowtab.edit;

import app.yellowtab.model.Bundle;
import app.yellowtab.model.Document;
import app.yellowtab.model.EntryId;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/** The edits of batches. */
public final class CutEdits {
    /** A file of so many pages may well hold several documents. */
    private static final int LONG = 12;

    private CutEdits() {}

    /** {@return the batch that a source is, cut as it was last; one that is not cut yet if it never was} */
    public static Batch batchOf(Bundle bundle, Source source) {
        return find(bundle, source.id()).orElseGet(() -> Batch.of(source));
    }

    private static Optional<Batch> find(Bundle bundle, SourceId source) {
        return bundle.batches().stream().filter(batch -> batch.runs().stream().anyMatch(run -> run.source().equals(source))).findFirst();
    }

    /** {@return the sources that look like batches and that nothing is made of yet, neither by cutting nor by putting them in the index} */
    public static List<Source> waiting(Bundle bundle) {
        Set<SourceId> used = new HashSet<>();
        bundle.contents().allDocuments().forEach(document -> used.addAll(document.sources()));
        bundle.setAside().forEach(document -> used.addAll(document.sources()));
        return bundle.sources().stream().filter(source -> looksLikeBatch(source) && !used.contains(source.id())).toList();
    }

    private static boolean looksLikeBatch(Source source) {
        boolean scanned = source.about().pages().scanned().count() * 2 > source.pageCount();
        boolean marked = source.bookmarks().stream().filter(mark -> mark.level() == 1).count() > 2;
        return source.isRead() && source.pageCount() >= LONG && (scanned || marked);
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
     * {@return the bundle with documents that a batch's pieces have become} Those that it became before, and that nobody has changed
     * since, go.
     *
     * @param place in the index; empty for the tray
     */
    public static Bundle make(Bundle bundle, Source source, List<Document> pieces, Optional<Place> place) {
        Set<EntryId> old = new HashSet<>();
        unchanged(bundle, batchOf(bundle, source)).forEach(document -> old.add(document.id()));
        Bundle left = Edits.without(bundle, old).withSetAside(bundle.setAside().stream().filter(document -> !old.contains(document.id())).toList());
        Bundle noted = change(left, source, batch -> batch.withMade(pieces));
        if (place.isPresent()) return Edits.insertDocuments(noted, pieces, place.get());
        List<Document> aside = new ArrayList<>(noted.setAside());
        aside.addAll(pieces);
        return noted.withSetAside(aside);
    }
}
