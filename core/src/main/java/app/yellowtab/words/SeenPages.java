package app.yellowtab.words;

import app.yellowtab.facts.Length;
import app.yellowtab.facts.PageText;
import app.yellowtab.facts.PageText.Word;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.cut.BatchOrder;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.LookedPage;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.SourceId;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The pages of a batch: in its order as they were read, and as they are seen once they are turned, straightened and cropped. */
public final class SeenPages {

    private SeenPages() {}

    /**
     * {@return the pages of a batch in its order, as they were read}
     *
     * @param read all pages of each of its sources
     */
    public static List<BatchPage> inOrder(Batch batch, Map<SourceId, List<BatchPage>> read) {
        List<BatchPage> first = read.getOrDefault(batch.runs().getFirst().source(), List.of());
        if (BatchOrder.isAsCame(batch) && batch.runs().getLast().last() == first.size()) return first;
        List<BatchPage> pages = new ArrayList<>();
        SourcePages before = null;
        for (SourcePages its : BatchOrder.singles(batch)) {
            BatchPage page = read.getOrDefault(its.source(), List.of()).get(its.first() - 1);
            // What leads to a sheet leads to the first of its halves.
            pages.add(before != null && its.isOtherHalfOf(before) ? page.withBookmarks(List.of()).withSheet(Optional.empty())
                    : page);
            before = its;
        }
        return pages;
    }

    /** {@return the pages of a batch, in its order, as they are seen} */
    public static List<BatchPage> seen(Batch batch, List<BatchPage> inOrder) {
        if (batch.runs().stream().allMatch(run -> run.look().isPlain())) return inOrder;
        List<BatchPage> pages = new ArrayList<>();
        for (SourcePages run : batch.runs()) for (int n = 1; n <= run.pageCount(); n++)
            pages.add(run.look().isPlain() ? inOrder.get(pages.size()) : seen(inOrder.get(pages.size()), run.look()));
        return pages;
    }

    /** {@return a page as it is seen with a look} Words whose middles are not seen, or are taken out, are left out. */
    public static BatchPage seen(BatchPage page, PageLook look) {
        if (look.isPlain() && page.state().turns() == 0) return page;
        LookedPage looked = LookedPage.of(page.widthMm() * Length.PT_PER_MM, page.heightMm() * Length.PT_PER_MM, look);
        List<List<Word>> lines = new ArrayList<>();
        for (List<Word> line : page.text().lines()) {
            List<Word> its = new ArrayList<>();
            for (Word word : line) seen(word, page, look, looked).ifPresent(its::add);
            if (!its.isEmpty()) lines.add(its);
        }
        return page.asSeen(lines.isEmpty() ? PageText.NONE : new PageText(lines), looked.widthPt() / Length.PT_PER_MM,
                looked.heightPt() / Length.PT_PER_MM);
    }

    private static Optional<Word> seen(Word word, BatchPage page, PageLook look, LookedPage looked) {
        Rectangle2D box = asCame(word, page);
        Point2D at = looked.of(box.getCenterX() * Length.PT_PER_MM, (page.heightMm() - box.getCenterY()) * Length.PT_PER_MM);
        if (!looked.shown().contains(at) || look.redactions().stream().anyMatch(taken -> isIn(taken.area(), box)))
            return Optional.empty();
        boolean lies = look.turns() % 2 != 0;
        double width = (lies ? box.getHeight() : box.getWidth()) * look.scale();
        double height = (lies ? box.getWidth() : box.getHeight()) * look.scale();
        double x = at.getX() / Length.PT_PER_MM;
        double y = (looked.heightPt() - at.getY()) / Length.PT_PER_MM;
        return Optional
                .of(new Word(word.text(), (float) (x - width / 2), (float) (y - height / 2), (float) width, (float) height));
    }

    private static boolean isIn(Area area, Rectangle2D box) {
        return box.intersects(area.leftMm(), area.topMm(), area.widthMm(), area.heightMm());
    }

    /**
     * {@return where a word stands on the page as it came, in millimetres from the upper left: words that were read in a picture
     * are told as on the upright page}
     */
    public static Rectangle2D asCame(Word word, BatchPage page) {
        double[] box = page.state().asCame(word.leftMm(), word.topMm(), word.rightMm(), word.topMm() + word.heightMm(),
                page.widthMm(), page.heightMm());
        return new Rectangle2D.Double(box[0], box[1], box[2] - box[0], box[3] - box[1]);
    }
}
