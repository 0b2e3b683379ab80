package app.yellowtab.edit.repage;

import app.yellowtab.model.Bundle;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.util.Map;

/**
 * Puts a newer version of a file in place of an older one in a document. All else of the document stays; pages that have not
 * changed keep all that is said of them, and those that have changed what hides something of them: nothing of a page is shown
 * again unasked. A document that had some of the pages has those that stand for them, and what is new right behind one of them.
 */
public final class Replacing {
    private Replacing() {}

    /**
     * {@return the bundle with a newer file in a document; the bundle itself where the document has no page of the older one, or
     * would have none of the newer, or where it does not have the files}
     *
     * @param pairs which pages stand for each other
     */
    public static Bundle replaced(Bundle bundle, EntryId id, SourceId older, SourceId newer, PagePairs pairs) {
        Map<SourceId, Source> sources = bundle.sourcesById();
        Source before = sources.get(older);
        Source after = sources.get(newer);
        return before == null || after == null ? bundle : Carrying.inDocument(bundle, id, Repaging.of(before, after, pairs));
    }
}
