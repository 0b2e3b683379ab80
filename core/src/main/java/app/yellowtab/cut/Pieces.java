package app.yellowtab.cut;

import app.yellowtab.cut.Cutting.Piece;
import app.yellowtab.cut.PieceNames.Named;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.cut.HandCut;
import app.yellowtab.model.cut.HandDrop;
import app.yellowtab.model.cut.PieceName;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.RunId;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.words.BatchPage;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Between a batch, whose pages have names for ever, and its cutting, which counts them. */
public final class Pieces {
    private Pieces() {}

    /** {@return what was done to a batch by hand, by the places of its pages} */
    public static ByHand byHand(Batch batch) {
        Map<PageKey, Integer> places = batch.places();
        Map<Integer, Boolean> cuts = new HashMap<>();
        for (HandCut cut : batch.cuts()) if (places.containsKey(cut.before())) cuts.put(places.get(cut.before()), cut.there());
        Map<Integer, Boolean> drops = new HashMap<>();
        for (HandDrop drop : batch.drops())
            if (places.containsKey(drop.page())) drops.put(places.get(drop.page()), drop.dropped());
        return new ByHand(cuts, drops);
    }

    /** {@return the names of a batch's pieces, with what was typed over them} */
    public static List<Named> names(Batch batch, List<BatchPage> pages, Cutting cutting, String fileName, boolean monthFirst) {
        Map<PageKey, PieceName> typed = new HashMap<>();
        for (PieceName name : batch.names()) typed.put(name.first(), name);
        List<PageKey> keys = batch.keys();
        List<Named> names = new ArrayList<>(PieceNames.of(pages, cutting, batch.rules(), fileName, monthFirst));
        for (int i = 0; i < names.size(); i++) {
            PieceName its = typed.get(keys.get(cutting.pieces().get(i).first() - 1));
            Named found = names.get(i);
            if (its != null) names.set(i, new Named(its.words().isEmpty() ? found.words() : its.words(),
                    its.words().isEmpty() ? found.missing() : List.of(), its.date().orElse(found.date()), found.section()));
        }
        return names;
    }

    /**
     * {@return the documents that the pieces are} Pages keep their names; one that is in several pieces has its own in the first,
     * and is a copy in the others.
     *
     * @param names of the pieces, in order
     */
    public static List<Document> documents(Batch batch, Cutting cutting, List<Named> names) {
        List<PageKey> keys = batch.keys();
        List<SourcePages> singles = new ArrayList<>();
        for (SourcePages run : batch.runs())
            for (int page = run.first(); page <= run.last(); page++) singles.add(run.part(page, page));
        Set<PageKey> used = new HashSet<>();
        List<Document> documents = new ArrayList<>();
        for (int i = 0; i < names.size(); i++) {
            Piece piece = cutting.pieces().get(i);
            RunId copies = RunId.fresh();
            List<Run> runs = new ArrayList<>();
            for (int place : piece.pages()) {
                SourcePages page = singles.get(place - 1);
                SourcePages its = used.add(keys.get(place - 1)) ? page
                        : new SourcePages(copies, page.source(), page.first(), page.last(), page.look());
                if (!runs.isEmpty() && runs.getLast() instanceof SourcePages before && before.isFollowedBy(its))
                    runs.set(runs.size() - 1, before.to(its.last()));
                else runs.add(its);
            }
            documents.add(
                    new Document(EntryId.fresh(), names.get(i).words(), "", names.get(i).date(), true, Optional.empty(), runs));
        }
        return documents;
    }
}
