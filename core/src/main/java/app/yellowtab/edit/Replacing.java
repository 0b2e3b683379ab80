package app.yellowtab.edit;

import app.yellowtab.edit.PagePairs.Pair;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.RunId;
import app.yellowtab.model.run.Runs;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.SourceId;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Puts a newer version of a file in place of an older one in a document. All else of the document stays; pages that have not
 * changed keep their looks, and those that have changed what is redacted on them: nothing of a page is shown again unasked. A
 * document that had some of the pages has those that stand for them, and what is new right behind one of them.
 */
public final class Replacing {
    private final SourceId older;
    private final SourceId newer;
    private final Pair[] byBefore;
    private final BitSet isNew = new BitSet();
    /** What the runs are called now, by what they were called. */
    private final Map<RunId, RunId> names = new HashMap<>();
    private final List<Run> runs = new ArrayList<>();

    private Replacing(SourceId older, SourceId newer, PagePairs pairs) {
        this.older = older;
        this.newer = newer;
        this.byBefore = pairs.byBefore();
        for (Pair pair : pairs.pairs()) if (pair.before() == 0) isNew.set(pair.after());
    }

    /**
     * {@return the bundle with a newer file in a document; the bundle itself where the document has no page of the older one, or
     * would have none of the newer}
     *
     * @param pairs which pages stand for each other
     */
    public static Bundle replaced(Bundle bundle, EntryId id, SourceId older, SourceId newer, PagePairs pairs) {
        return Edits.changeDocument(bundle, id, document -> new Replacing(older, newer, pairs).in(document));
    }

    private Document in(Document document) {
        boolean first = true;
        for (int i = 0; i < document.runs().size(); i++) {
            Run run = document.runs().get(i);
            if (!(run instanceof SourcePages pages) || !pages.source().equals(older)) {
                runs.add(run);
                continue;
            }
            RunId name = names.computeIfAbsent(pages.id(), id -> RunId.fresh());
            if (first && pages.first() == 1) addNew(name, 1);
            first = false;
            boolean halfFollows = i + 1 < document.runs().size() && document.runs().get(i + 1) instanceof SourcePages next
                    && next.isOtherHalfOf(pages);
            for (int page = pages.first(); page <= pages.last(); page++) {
                Pair pair = byBefore[page];
                if (pair.after() == 0) continue;
                runs.add(new SourcePages(name, newer, pair.after(), pair.after(),
                        pair.same() ? pages.look() : PageLook.PLAIN.withRedactions(pages.look().redactions())));
                if (!halfFollows) addNew(name, pair.after() + 1);
            }
        }
        boolean has = runs.stream().anyMatch(run -> run instanceof SourcePages pages && pages.source().equals(newer));
        return has ? document.withRuns(Runs.merged(runs)) : document;
    }

    /** Adds pages that are new, from one on. */
    private void addNew(RunId name, int from) {
        for (int page = from; isNew.get(page); page++) {
            runs.add(new SourcePages(name, newer, page, page, PageLook.PLAIN));
            isNew.clear(page);
        }
    }
}
