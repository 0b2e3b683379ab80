package app.yellowtab.edit.page;

import app.yellowtab.facts.Length;
import app.yellowtab.facts.PageShape;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.page.LookedPage;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.Sheet;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Brings pages to sheets of one size: fitted, in the middle, on the sheet upright or lying, whichever they fit better. */
public final class ToSheet {
    /** ANSI/ASME Y14.1, size A. */
    public static final Sheet LETTER = new Sheet(215.9, 279.4);
    /** What differs by less is the same size. */
    private static final double ALIKE_MM = 1;
    /** A longer side is a drawing's: that of A3 and a little more (ISO 216). */
    private static final double DRAWING_MM = 425;
    private static final double HUNDREDTHS = 1e4;

    private ToSheet() {}

    /**
     * A bundle with pages on other sheets.
     *
     * @param brought how many pages are on sheets of that size now that were not
     * @param left    how many were left as they are: drawings, pages whose size is not known, pages of ours
     * @param least   how small the most reduced of them stands, as a share of its own size; 1 where none was reduced
     */
    public record Fitted(Bundle bundle, int brought, int left, double least) {}

    /**
     * {@return the bundle with pages on sheets of a size}
     *
     * @param sheet    upright
     * @param enlarges whether pages that are smaller fill the sheet; otherwise they keep their size
     * @param drawings whether pages larger than A3 are brought to it too, and lose their scale
     */
    public static Fitted fitted(Bundle bundle, Set<PageKey> pages, Sheet sheet, boolean enlarges, boolean drawings) {
        Map<SourceId, Source> sources = bundle.sourcesById();
        Map<Placed, Set<PageKey>> looks = new HashMap<>();
        double least = 1;
        int brought = 0;
        for (Document document : bundle.contents().allDocuments()) {
            for (Run run : document.runs()) {
                if (!(run instanceof SourcePages its)) continue;
                for (int n = 1; n <= its.pageCount(); n++) {
                    if (!pages.contains(its.key(n))) continue;
                    Source source = sources.get(its.source());
                    Optional<PageShape> shape =
                            source == null ? Optional.empty() : source.about().pages().shape(its.first() + n - 1);
                    Optional<Placed> placed = shape.flatMap(known -> placed(known, its.look(), sheet, enlarges, drawings));
                    if (placed.isEmpty()) continue;
                    looks.computeIfAbsent(placed.get(), its2 -> new HashSet<>()).add(its.key(n));
                    least = Math.min(least, placed.get().scale());
                    brought++;
                }
            }
        }
        Bundle now = bundle;
        for (Map.Entry<Placed, Set<PageKey>> its : looks.entrySet())
            now = PageEdits.looked(now, its.getValue(), look -> on(look, its.getKey()));
        return new Fitted(now, brought, pages.size() - brought, least);
    }

    /** {@return the bundle with pages on sheets of their own size, in their own size} */
    public static Bundle takenOff(Bundle bundle, Set<PageKey> pages) {
        return PageEdits.looked(bundle, pages, look -> on(look, new Placed(Optional.empty(), 1)));
    }

    private record Placed(Optional<Sheet> sheet, double scale) {}

    private static PageLook on(PageLook look, Placed placed) {
        return look.onSheet(placed.sheet(), placed.scale());
    }

    private static Optional<Placed> placed(PageShape shape, PageLook look, Sheet sheet, boolean enlarges, boolean drawings) {
        LookedPage seen = LookedPage.of(shape.seenWidthPt(), shape.seenHeightPt(), on(look, new Placed(Optional.empty(), 1)));
        double wide = seen.widthPt() * Length.MM_PER_PT;
        double high = seen.heightPt() * Length.MM_PER_PT;
        if (!drawings && Math.max(wide, high) > DRAWING_MM) return Optional.empty();
        boolean lies = wide > high;
        Sheet turned = lies ? new Sheet(sheet.heightMm(), sheet.widthMm()) : sheet;
        if (Math.abs(wide - turned.widthMm()) < ALIKE_MM && Math.abs(high - turned.heightMm()) < ALIKE_MM)
            return Optional.of(new Placed(Optional.empty(), 1));
        double fits = Math.min(turned.widthMm() / wide, turned.heightMm() / high);
        double scale = enlarges ? fits : Math.min(1, fits);
        return Optional.of(new Placed(Optional.of(turned), Math.clamp(Math.floor(scale * HUNDREDTHS) / HUNDREDTHS, 0.01, 100)));
    }
}
