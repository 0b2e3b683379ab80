package app.yellowtab.edit.repage;

import app.yellowtab.edit.repage.PagePairs.Pair;
import app.yellowtab.finding.Finding;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.number.GivenNumber;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;

/** The pages that a document had, and that are in no reading of their file any more, with what was on them. */
public final class GonePages {
    private GonePages() {}

    /**
     * {@return what must be said of pages that are gone; empty where no document had one}
     *
     * @param bundle as it was before
     */
    public static Optional<Finding> finding(Bundle bundle, Repaging repaging) {
        Source source = bundle.sourcesById().get(repaging.before().source());
        if (source == null || !source.isRead()) return Optional.empty();
        Map<Integer, String> gone = new TreeMap<>();
        Pair[] byBefore = repaging.pairs().byBefore();
        Stream.concat(bundle.contents().allDocuments().stream(), bundle.setAside().stream()).map(Document::runs)
                .flatMap(List::stream).forEach(run -> {
                    if (!(run instanceof SourcePages pages) || !pages.source().equals(source.id())) return;
                    for (int page = pages.first(); page <= pages.last(); page++)
                        if (page < byBefore.length && byBefore[page].after() == 0)
                            gone.merge(page, on(bundle, repaging, pages, page), (one, other) -> one.isEmpty() ? other : one);
                });
        if (gone.isEmpty()) return Optional.empty();
        List<String> words = new ArrayList<>();
        gone.forEach((page, on) -> words.add("page " + page + (on.isEmpty() ? "" : " (" + on + ")")));
        return Optional.of(Finding.about(Finding.Code.PAGES_GONE, source.fileName(), String.join(", ", words)));
    }

    /** {@return what was on a page; empty for nothing of ours} */
    private static String on(Bundle bundle, Repaging repaging, SourcePages pages, int page) {
        PageLook look = pages.look();
        List<String> on = new ArrayList<>();
        if (look.withheld().isPresent()) on.add("withheld");
        if (!look.redactions().isEmpty()) on.add("redacted");
        if (!look.withRedactions(List.of()).withWithheld(Optional.empty()).isPlain()) on.add("turned, cropped or resized");
        PageKey key = new PageKey(pages.id(), page);
        if (bundle.numbering().moves().stream().anyMatch(move -> move.page().equals(key))) on.add("a number moved");
        for (GivenNumber given : bundle.numbering().given())
            if (given.isOf(repaging.before()) && given.page() == page) on.add(given.number());
        return String.join(", ", on);
    }
}
