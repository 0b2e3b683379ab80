package app.yellowtab.desktop.work;

import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.InTray;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.source.Source;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;

/**
 * Which sources have a place in the bundle. Worked out anew only where a change concerns it: most edits are of titles, and
 * of these there may be two thousand documents.
 *
 * @param unplaced    the sources without a place in the index, in the order they came
 * @param tray        what has no place in the index
 * @param placedBytes how many bytes the others have in all
 */
public record Placement(List<Source> unplaced, List<InTray> tray, long placedBytes, List<Source> sources, List<Document> setAside,
        List<List<Run>> runs) {
    static Placement of(Bundle bundle) {
        List<Source> unplaced = bundle.unplaced();
        long bytes = 0;
        for (Source source : bundle.sources()) bytes += source.bytes();
        for (Source source : unplaced) bytes -= source.bytes();
        return new Placement(unplaced, bundle.tray(unplaced), bytes, bundle.sources(), bundle.setAside(), runs(bundle));
    }

    /** {@return the placement in a changed bundle; this one where nothing of it has changed} */
    Placement in(Bundle changed) {
        if (changed.sources() != sources || changed.setAside() != setAside) return of(changed);
        List<List<Run>> now = runs(changed);
        if (now.size() != runs.size()) return of(changed);
        if (isSame(now)) return this;
        // Documents that only stand in another order have the same sources.
        Set<List<Run>> before = Collections.newSetFromMap(new IdentityHashMap<>());
        before.addAll(runs);
        return before.containsAll(now) ? new Placement(unplaced, tray, placedBytes, sources, setAside, now) : of(changed);
    }

    private boolean isSame(List<List<Run>> now) {
        for (int i = 0; i < now.size(); i++) if (now.get(i) != runs.get(i)) return false;
        return true;
    }

    private static List<List<Run>> runs(Bundle bundle) {
        return bundle.contents().allDocuments().stream().map(Document::runs).toList();
    }
}
