package app.yellowtab.edit.repage;

import app.yellowtab.edit.repage.PagePairs.Pair;
import app.yellowtab.model.run.RunId;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceReading;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/**
 * What became of each page of a reading in another one, of the same file or of a newer version: the same, changed, gone, new.
 *
 * @param pairs every page of both readings stands in one of them
 */
public record Repaging(SourceReading before, SourceReading after, PagePairs pairs) {
    public Repaging {
        Objects.requireNonNull(before, "before");
        Objects.requireNonNull(after, "after");
        Objects.requireNonNull(pairs, "pairs");
    }

    /** {@return what became of the pages of a source, as they were compared} */
    public static Repaging of(Source before, Source after, PagePairs pairs) {
        return new Repaging(before.asRead(), after.asRead(), pairs);
    }

    /**
     * {@return what became of the pages of a source that nobody has compared} Those of the same reading are the same. Of another
     * one none is called so: each has changed into that of its number, and the page that named a file which could not be read
     * stands for none.
     */
    public static Repaging unseen(Source before, Source after) {
        List<Pair> pairs = new ArrayList<>();
        int both = before.isRead() && after.isRead() ? Math.min(before.pageCount(), after.pageCount()) : 0;
        boolean same = before.asRead().equals(after.asRead());
        for (int page = 1; page <= both; page++) pairs.add(new Pair(page, page, same));
        for (int page = both + 1; page <= before.pageCount(); page++) pairs.add(new Pair(page, 0, false));
        for (int page = both + 1; page <= after.pageCount(); page++) pairs.add(new Pair(0, page, false));
        return of(before, after, new PagePairs(pairs));
    }

    /** {@return whether all pages are those that they were, so that nothing must be carried} */
    public boolean changesNothing() {
        return before.equals(after) && pairs.pairs().stream().allMatch(pair -> pair.same() && pair.before() == pair.after());
    }

    /** {@return whether another file takes the place of one, which stays as it is} */
    boolean isOtherFile() {
        return !before.source().equals(after.source());
    }

    /** {@return what a run of the earlier pages is called when it has those that stand for them; the same in every state} */
    RunId named(RunId run) {
        return run.derived(after.source().value() + " " + after.pagesKey());
    }
}
