package app.yellowtab.cut;

import app.yellowtab.facts.Length;
import app.yellowtab.facts.PageText;
import app.yellowtab.facts.SheetState;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.cut.BatchOrder;
import app.yellowtab.model.cut.BatchOrder.Halves;
import app.yellowtab.model.cut.HandDrop;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.LookedPage;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.words.BatchPage;
import app.yellowtab.words.SeenPages;
import java.awt.geom.AffineTransform;
import java.awt.geom.NoninvertibleTransformException;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;

/**
 * Mends the sheets of batches, as their pictures say. Pages are told by their place in the batch, counted from 1, and are in its
 * order, as they were read.
 */
public final class SheetMending {
    /** So much stays around words where edges are taken away. */
    private static final double ROOM_PT = 1.5;

    private SheetMending() {}

    /** {@return a batch with some of its pages turned upright, as their words say} */
    public static Batch turned(Batch batch, List<BatchPage> pages, List<Integer> places) {
        return looked(batch, pages, places, (page, look) -> withEdges(page, look, look.withTurns(page.state().turns())));
    }

    /** {@return a batch with some of its pages turned as they may stand upright} */
    public static Batch perhapsTurned(Batch batch, List<BatchPage> pages, List<Integer> places) {
        return looked(batch, pages, places, (page, look) -> withEdges(page, look, look.withTurns(page.state().perhapsTurns())));
    }

    /** {@return a batch with some of its pages straightened, as their lines say} */
    public static Batch straightened(Batch batch, List<BatchPage> pages, List<Integer> places) {
        return looked(batch, pages, places,
                (page, look) -> withEdges(page, look, look.withStraightening(page.state().slantDegrees())));
    }

    /** {@return a batch with the dark edges of some pages taken away; no word is} */
    public static Batch cropped(Batch batch, List<BatchPage> pages, List<Integer> places) {
        return looked(batch, pages, places, (page, look) -> look.withCrop(Optional.of(edgeCrop(page, look))));
    }

    /** {@return a batch with some of its sheets turned upright and divided in two at the fold} */
    public static Batch divided(Batch batch, List<BatchPage> pages, List<Integer> places) {
        Batch upright = looked(batch, pages, places,
                (page, look) -> page.state().turns() == 0 ? look : look.withTurns(page.state().turns()));
        List<PageLook> looks = BatchOrder.looks(upright);
        List<PageKey> keys = upright.keys();
        Map<PageKey, Halves> halves = new HashMap<>();
        for (int place : places) {
            BatchPage page = pages.get(place - 1);
            PageLook look = looks.get(place - 1).withCrop(Optional.empty());
            LookedPage looked = LookedPage.of(page.widthMm() * Length.PT_PER_MM, page.heightMm() * Length.PT_PER_MM, look);
            Rectangle2D whole = page.state().edges().areNone() ? new Rectangle2D.Double(0, 0, looked.widthPt(), looked.heightPt())
                    : seenEdges(page, look);
            halves.put(keys.get(place - 1), halves(page, look, whole, page.state().foldShare() * looked.widthPt()));
        }
        return BatchOrder.divided(upright, halves);
    }

    /**
     * {@return a batch with some of its sheets divided in two}
     *
     * @param acrossMm where, from the left of what is seen of each
     */
    public static Batch divided(Batch batch, List<BatchPage> pages, List<Integer> places, double acrossMm) {
        List<PageLook> looks = BatchOrder.looks(batch);
        List<PageKey> keys = batch.keys();
        Map<PageKey, Halves> halves = new HashMap<>();
        for (int place : places) {
            BatchPage page = pages.get(place - 1);
            PageLook look = looks.get(place - 1);
            LookedPage now = LookedPage.of(page.widthMm() * Length.PT_PER_MM, page.heightMm() * Length.PT_PER_MM, look);
            double across = acrossMm * Length.PT_PER_MM;
            if (across <= 0 || across >= now.widthPt()) continue;
            // What is seen now, on the page as it is seen without its crop.
            PageLook bare = look.withCrop(Optional.empty());
            AffineTransform onto =
                    LookedPage.of(page.widthMm() * Length.PT_PER_MM, page.heightMm() * Length.PT_PER_MM, bare).matrix();
            Point2D origin = now.matrix().transform(new Point2D.Double(0, 0), null);
            Point2D bareOrigin = onto.transform(new Point2D.Double(0, 0), null);
            double left = bareOrigin.getX() - origin.getX();
            double bottom = bareOrigin.getY() - origin.getY();
            halves.put(keys.get(place - 1),
                    halves(page, bare, new Rectangle2D.Double(left, bottom, now.widthPt(), now.heightPt()), left + across));
        }
        return BatchOrder.divided(batch, halves);
    }

    /** @param across in points from the left of what is seen of the whole sheet */
    private static Halves halves(BatchPage page, PageLook look, Rectangle2D whole, double across) {
        Rectangle2D first = new Rectangle2D.Double(whole.getX(), whole.getY(), across - whole.getX(), whole.getHeight());
        Rectangle2D second = new Rectangle2D.Double(across, whole.getY(), whole.getMaxX() - across, whole.getHeight());
        return new Halves(LookedPage.cropTo(page.widthMm() * Length.PT_PER_MM, page.heightMm() * Length.PT_PER_MM, look, first),
                LookedPage.cropTo(page.widthMm() * Length.PT_PER_MM, page.heightMm() * Length.PT_PER_MM, look, second));
    }

    /**
     * {@return a new look, whose crop takes the dark edges away if that of the old one did; another one shows as much of the same
     * as it did}
     */
    private static PageLook withEdges(BatchPage page, PageLook old, PageLook look) {
        if (old.crop().isEmpty()) return look;
        if (isOfEdges(page, old)) return look.withCrop(Optional.of(edgeCrop(page, look)));
        double width = page.widthMm() * Length.PT_PER_MM;
        double height = page.heightMm() * Length.PT_PER_MM;
        LookedPage before = LookedPage.of(width, height, old);
        PageLook bare = look.withCrop(Optional.empty());
        Point2D asCame;
        try {
            asCame = before.matrix().inverseTransform(new Point2D.Double(before.widthPt() / 2, before.heightPt() / 2), null);
        } catch (NoninvertibleTransformException e) {
            throw new IllegalStateException("turns can be undone", e);
        }
        Point2D middle = LookedPage.of(width, height, bare).matrix().transform(asCame, null);
        boolean swaps = (old.turns() + look.turns()) % 2 != 0;
        double wide = swaps ? before.heightPt() : before.widthPt();
        double high = swaps ? before.widthPt() : before.heightPt();
        return look.withCrop(Optional.of(LookedPage.cropTo(width, height, bare,
                new Rectangle2D.Double(middle.getX() - wide / 2, middle.getY() - high / 2, wide, high))));
    }

    static boolean isOfEdges(BatchPage page, PageLook look) {
        return !page.state().edges().areNone() && look.crop().equals(Optional.of(edgeCrop(page, look)));
    }

    private static Area edgeCrop(BatchPage page, PageLook look) {
        PageLook bare = look.withCrop(Optional.empty());
        return LookedPage.cropTo(page.widthMm() * Length.PT_PER_MM, page.heightMm() * Length.PT_PER_MM, bare,
                seenEdges(page, bare));
    }

    /**
     * {@return what is seen of a page without its dark edges, in points: as large as what is light of it as it came, and all of
     * its words}
     */
    private static Rectangle2D seenEdges(BatchPage page, PageLook bare) {
        SheetState.DarkEdges edges = page.state().edges();
        double width = page.widthMm() * Length.PT_PER_MM;
        double height = page.heightMm() * Length.PT_PER_MM;
        LookedPage looked = LookedPage.of(width, height, bare);
        boolean lies = bare.turns() % 2 != 0;
        double wide = width - (edges.leftMm() + edges.rightMm()) * Length.PT_PER_MM;
        double high = height - (edges.topMm() + edges.bottomMm()) * Length.PT_PER_MM;
        Point2D middle = looked.of(edges.leftMm() * Length.PT_PER_MM + wide / 2, edges.bottomMm() * Length.PT_PER_MM + high / 2);
        Rectangle2D seen = new Rectangle2D.Double();
        seen.setFrameFromCenter(middle.getX(), middle.getY(), middle.getX() + (lies ? high : wide) / 2,
                middle.getY() + (lies ? wide : high) / 2);
        for (List<PageText.Word> line : page.text().lines()) {
            for (PageText.Word word : line) {
                Rectangle2D box = SeenPages.asCame(word, page);
                Point2D at = looked.of(box.getCenterX() * Length.PT_PER_MM, height - box.getCenterY() * Length.PT_PER_MM);
                double half = (lies ? box.getHeight() : box.getWidth()) / 2 * Length.PT_PER_MM + ROOM_PT;
                double halfHigh = (lies ? box.getWidth() : box.getHeight()) / 2 * Length.PT_PER_MM + ROOM_PT;
                seen.add(new Rectangle2D.Double(at.getX() - half, at.getY() - halfHigh, 2 * half, 2 * halfHigh));
            }
        }
        return seen.createIntersection(new Rectangle2D.Double(0, 0, looked.widthPt(), looked.heightPt()));
    }

    private static Batch looked(Batch batch, List<BatchPage> pages, List<Integer> places,
            BiFunction<BatchPage, PageLook, PageLook> change) {
        List<PageKey> keys = batch.keys();
        List<PageLook> before = BatchOrder.looks(batch);
        Map<PageKey, PageLook> looks = new HashMap<>();
        for (int place : places) looks.put(keys.get(place - 1), change.apply(pages.get(place - 1), before.get(place - 1)));
        return batch.withLooks(looks);
    }

    /** {@return a batch with some of its pages dropped by hand} */
    public static Batch dropped(Batch batch, List<Integer> places) {
        List<PageKey> keys = batch.keys();
        List<HandDrop> drops = new ArrayList<>();
        for (int place : places) drops.add(new HandDrop(keys.get(place - 1), true));
        return batch.withDrops(drops);
    }
}
