package app.yellowtab.desktop.work;

import app.yellowtab.model.Bundle;
import app.yellowtab.model.Document;
import app.yellowtab.model.page.Run;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Which sources have a place in the bundle. Worked out anew only where a change concerns it: most edits are of titles, and
 * of these there may be two thousand documents.
 *
 * @param tray        the sources without a place, in the order they came
 * @param placedBytes how many bytes the others have in all
 */
public record Placement(List<Source> tray, long placedBytes, List<Source> sources, List<List<Run>> runs) {
    static Placement of(Bundle bundle) {
        List<List<Run>> runs = runs(bundle);
        Set<SourceId> used = new HashSet<>();
        for (Document document : bundle.contents().allDocuments()) used.addAll(document.sources());
        long bytes = 0;
        for (Source source : bundle.sources()) if (used.contains(source.id())) bytes += source.bytes();
        return new Placement(bundle.sources().stream().filter(source -> !used.contains(source.id())).toList(), bytes, bundle.sources(), runs);
    }

    /** {@return the placement in a changed bundle; this one where nothing of it has changed} */
    Placement in(Bundle changed) {
        if (changed.sources() != sources) return of(changed);
        List<List<Run>> now = runs(changed);
        if (now.size() != runs.size()) return of(changed);
        for (int i = 0; i < now.size(); i++) if (now.get(i) != runs.get(i)) return of(changed);
        return this;
    }

    private static List<List<Run>> runs(Bundle bundle) {
        return bundle.contents().allDocuments().stream().map(Document::runs).toList();
    }
}
