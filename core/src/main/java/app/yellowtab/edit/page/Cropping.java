package app.yellowtab.edit.page;

import app.yellowtab.facts.Length;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.LookedPage;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.awt.geom.Rectangle2D;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Crops pages, which hides and takes nothing away. */
public final class Cropping {
    /** Less than this of a page is nothing that could be read. */
    private static final double LEAST_MM = 5;

    private Cropping() {}

    /**
     * A bundle with cropped pages.
     *
     * @param left how many pages were left as they are: nothing would remain of them, their size is not known, or they are halves
     *         of a sheet, or pages of ours
     */
    public record Cropped(Bundle bundle, int left) {}

    /**
     * {@return the bundle with pages cropped by margins, measured on each page as it is turned and instead of what was cropped
     * before}
     */
    public static Cropped byMargins(Bundle bundle, Set<PageKey> pages, Margins margins) {
        Map<Area, Set<PageKey>> areas = new LinkedHashMap<>();
        Map<SourceId, Source> sources = bundle.sourcesById();
        int cropped = 0;
        for (Document document : bundle.contents().allDocuments()) {
            for (int i = 0; i < document.runs().size(); i++) {
                if (!(document.runs().get(i) instanceof SourcePages run) || isHalf(document.runs(), i)) continue;
                for (int n = 1; n <= run.pageCount(); n++) {
                    if (!pages.contains(run.key(n))) continue;
                    Optional<Area> area = area(sources.get(run.source()), run.first() + n - 1, run.look(), margins);
                    if (area.isEmpty()) continue;
                    areas.computeIfAbsent(area.get(), its -> new HashSet<>()).add(run.key(n));
                    cropped++;
                }
            }
        }
        Bundle now = bundle;
        for (Map.Entry<Area, Set<PageKey>> its : areas.entrySet())
            now = PageEdits.looked(now, its.getValue(), look -> look.withCrop(Optional.of(its.getKey())));
        return new Cropped(now, pages.size() - cropped);
    }

    private static boolean isHalf(List<Run> runs, int at) {
        SourcePages run = (SourcePages) runs.get(at);
        return at > 0 && run.isOtherHalfOf(runs.get(at - 1))
                || at + 1 < runs.size() && runs.get(at + 1) instanceof SourcePages next && next.isOtherHalfOf(run);
    }

    private static Optional<Area> area(@Nullable Source source, int page, PageLook look, Margins margins) {
        PageLook bare = new PageLook(look.turns(), look.straightenDegrees(), Optional.empty(), Optional.empty(), 1, List.of());
        return Optional.ofNullable(source).flatMap(known -> known.about().pages().shape(page)).flatMap(shape -> {
            LookedPage seen = LookedPage.of(shape.seenWidthPt(), shape.seenHeightPt(), bare);
            double width = seen.widthPt() - (margins.leftMm() + margins.rightMm()) * Length.PT_PER_MM;
            double height = seen.heightPt() - (margins.topMm() + margins.bottomMm()) * Length.PT_PER_MM;
            if (width < LEAST_MM * Length.PT_PER_MM || height < LEAST_MM * Length.PT_PER_MM) return Optional.empty();
            return Optional.of(LookedPage.cropTo(shape.seenWidthPt(), shape.seenHeightPt(), bare,
                    new Rectangle2D.Double(margins.leftMm() * Length.PT_PER_MM, margins.bottomMm() * Length.PT_PER_MM, width,
                            height)));
        });
    }

    /** {@return the bundle with all of pages seen again; halves of a sheet stay halves} */
    public static Bundle takenOff(Bundle bundle, Set<PageKey> pages) {
        Set<PageKey> whole = new HashSet<>(pages);
        for (Document document : bundle.contents().allDocuments()) {
            for (int i = 0; i < document.runs().size(); i++) {
                if (!(document.runs().get(i) instanceof SourcePages run) || !isHalf(document.runs(), i)) continue;
                for (int n = 1; n <= run.pageCount(); n++) whole.remove(run.key(n));
            }
        }
        return PageEdits.looked(bundle, whole, look -> look.withCrop(Optional.empty()));
    }
}
