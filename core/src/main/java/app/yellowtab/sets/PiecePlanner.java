package app.yellowtab.sets;

import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.Parting;
import app.yellowtab.leaf.PlannedBookmark;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.leaf.Target;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.Comments;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceBookmark;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Marking;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Plans a document as a file of its own: its pages as they are, with no cover, index or number, and the bookmarks that are in it.
 */
public final class PiecePlanner {
    private PiecePlanner() {}

    /**
     * Plans a document.
     *
     * @param document of pages of sources alone
     * @param sources  that it takes pages from, by their ids
     * @param levels   down to which the sources' own bookmarks come over; 0 for none
     * @throws IllegalArgumentException if it holds something else, or one of its sources is missing
     */
    public static Plan plan(Document document, Map<SourceId, Source> sources, Comments comments, int levels) {
        List<Leaf> leaves = new ArrayList<>();
        List<PlannedBookmark> bookmarks = new ArrayList<>();
        Optional<Run> before = Optional.empty();
        for (Run run : document.runs()) {
            if (!(run instanceof SourcePages pages)) throw new IllegalArgumentException("a piece is of pages of sources");
            Source source = sources.get(pages.source());
            if (source == null) throw new IllegalArgumentException("no such source: " + pages.source().value());
            int level = bookmarks.isEmpty() ? 0 : 1;
            boolean isOtherHalf = before.filter(pages::isOtherHalfOf).isPresent();
            before = Optional.of(run);
            for (SourceBookmark own : source.bookmarks()) {
                if (isOtherHalf || own.page() < pages.first() || own.page() > pages.last() || own.level() > levels) continue;
                level = Math.min(own.level(), level + 1);
                bookmarks.add(new PlannedBookmark(level, own.title(),
                        new Target(leaves.size() + own.page() - pages.first(), Planner.view(own, source, pages.look())),
                        own.look()));
            }
            for (int n = 1; n <= pages.pageCount(); n++) {
                int page = pages.first() + n - 1;
                leaves.add(new Leaf(leaves.size(), Optional.of(pages.key(n)), Optional.empty(), false,
                        Content.of(document.id(), pages.source(), page, pages.look())));
            }
        }
        PlannedEntry.Span span = new PlannedEntry.Span(0, leaves.size() - 1, "", "");
        return new Plan(CaseHeading.EMPTY.withTitle(document.title()), comments, leaves,
                List.of(new PlannedEntry.PlannedDocument(document, 0, 0, span)), List.of(), List.of(), bookmarks, List.of(),
                false, List.of(), Marking.STANDARD, Parting.NONE, List.of());
    }
}
