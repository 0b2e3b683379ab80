package app.yellowtab.edit.page;

import app.yellowtab.edit.Edits;
import app.yellowtab.facts.PageShape;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.page.LookedPage;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.RunId;
import app.yellowtab.model.run.Runs;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;

/** Divides pages that show two pages beside each other. */
public final class Spreads {
    private Spreads() {}

    /**
     * A bundle with divided pages.
     *
     * @param left how many were left as they are: upright ones, halves, pages whose size is not known, pages of ours
     */
    public record Divided(Bundle bundle, int left) {}

    /** {@return the bundle with pages that lie divided down the middle, the left half first, which keeps the page's name} */
    public static Divided divided(Bundle bundle, Set<PageKey> pages) {
        Map<SourceId, Source> sources = bundle.sourcesById();
        AtomicInteger count = new AtomicInteger();
        Bundle now = Edits.eachDocument(bundle, document -> {
            List<Run> runs = new ArrayList<>();
            boolean any = false;
            for (Stretch stretch : Stretch.of(document.runs(), pages)) {
                if (!(stretch.chosen() && stretch.pages() instanceof SourcePages its) || isHalf(document, its)) {
                    runs.add(stretch.pages());
                    continue;
                }
                for (int page = its.first(); page <= its.last(); page++) {
                    SourcePages one = its.part(page, page);
                    Optional<List<Run>> halves = Optional.ofNullable(sources.get(its.source()))
                            .flatMap(source -> source.about().pages().shape(one.first())).flatMap(shape -> halves(one, shape));
                    runs.addAll(halves.orElse(List.of(one)));
                    any |= halves.isPresent();
                    if (halves.isPresent()) count.incrementAndGet();
                }
            }
            return any ? document.withRuns(Runs.merged(runs)) : document;
        });
        return new Divided(now, pages.size() - count.get());
    }

    private static boolean isHalf(Document document, SourcePages its) {
        for (int i = 1; i < document.runs().size(); i++) {
            if (!(document.runs().get(i) instanceof SourcePages second) || !second.isOtherHalfOf(document.runs().get(i - 1)))
                continue;
            if (second.id().equals(its.id()) || document.runs().get(i - 1).key(1).equals(its.key(1))) return true;
        }
        return false;
    }

    private static Optional<List<Run>> halves(SourcePages page, PageShape shape) {
        PageLook bare = new PageLook(page.look().turns(), page.look().straightenDegrees(), Optional.empty(), Optional.empty(), 1,
                List.of());
        LookedPage seen = LookedPage.of(shape.seenWidthPt(), shape.seenHeightPt(), bare);
        Rectangle2D all = new Rectangle2D.Double(0, 0, seen.widthPt(), seen.heightPt());
        Rectangle2D whole =
                page.look().crop().map(crop -> seen.matrix().createTransformedShape(LookedPage.asCame(crop, shape.seenHeightPt()))
                        .getBounds2D().createIntersection(all)).orElse(all);
        if (whole.getWidth() <= whole.getHeight()) return Optional.empty();
        double half = whole.getWidth() / 2;
        return Optional.of(List.of(
                half(page, page.id(), shape, bare, new Rectangle2D.Double(whole.getX(), whole.getY(), half, whole.getHeight())),
                half(page, RunId.fresh(), shape, bare,
                        new Rectangle2D.Double(whole.getX() + half, whole.getY(), half, whole.getHeight()))));
    }

    private static Run half(SourcePages page, RunId id, PageShape shape, PageLook bare, Rectangle2D seen) {
        PageLook look =
                page.look().withCrop(Optional.of(LookedPage.cropTo(shape.seenWidthPt(), shape.seenHeightPt(), bare, seen)));
        return new SourcePages(id, page.source(), page.first(), page.last(), look);
    }
}
