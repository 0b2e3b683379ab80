package app.yellowtab.desktop.batch;

import app.yellowtab.cut.SheetMending;
import app.yellowtab.cut.SheetsToMend;
import app.yellowtab.desktop.batch.CutDesk.Shown;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.cut.CutEdits;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.cut.BatchOrder;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.words.BatchPage;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * What is done to the sheets of the batch on the table, and to their order. Knows no node. Pages are told by their place, counted
 * from 1; each call is one step.
 */
public final class SheetDesk {
    /** Sheets whose sides differ by less are of one size. */
    private static final double SAME_MM = 3;

    private final Workspace workspace;
    private final CutDesk desk;

    public SheetDesk(Workspace workspace, CutDesk desk) {
        this.workspace = workspace;
        this.desk = desk;
    }

    private void change(Function<Shown, UnaryOperator<Batch>> change) {
        desk.shownProperty().get().ifPresent(now -> workspace.edit(bundle -> CutEdits.change(bundle, now.source(),
                batch -> isAsShown(batch, now) ? change.apply(now).apply(batch) : batch)));
    }

    /** {@return whether places in a batch are still those that are shown} */
    private static boolean isAsShown(Batch batch, Shown now) {
        return batch.keys().size() == now.pages().size();
    }

    /** Turns pages upright, as their words say. */
    public void turn(List<Integer> pages) {
        change(now -> batch -> SheetMending.turned(batch, now.read(), pages));
    }

    /** Turns pages as they may stand upright. */
    public void turnPerhaps(List<Integer> pages) {
        change(now -> batch -> SheetMending.perhapsTurned(batch, now.read(), pages));
    }

    /** Straightens pages, as their lines say. */
    public void straighten(List<Integer> pages) {
        change(now -> batch -> SheetMending.straightened(batch, now.read(), pages));
    }

    /** Takes dark edges away. */
    public void crop(List<Integer> pages) {
        change(now -> batch -> SheetMending.cropped(batch, now.read(), pages));
    }

    /** Divides sheets at their folds. */
    public void divide(List<Integer> pages) {
        change(now -> batch -> SheetMending.divided(batch, now.read(), pages));
    }

    /** Drops pages. */
    public void drop(List<Integer> pages) {
        change(now -> batch -> SheetMending.dropped(batch, pages));
    }

    /** Does all that is sure: turns, straightens, takes edges away, drops blank sheets, and divides. */
    public void mendAll() {
        change(now -> batch -> {
            SheetsToMend sheets = now.sheets();
            Batch mended = SheetMending.straightened(SheetMending.turned(batch, now.read(), sheets.wrongWay()), now.read(),
                    sheets.askew());
            mended = SheetMending.dropped(SheetMending.cropped(mended, now.read(), sheets.dark()), sheets.blank());
            return sheets.spreads().isEmpty() ? mended : SheetMending.divided(mended, now.read(), sheets.spreads());
        });
    }

    /** Divides a sheet, or all that are seen as large, so many millimetres from the left of what is seen. */
    public void divideAt(int page, double acrossMm, boolean allOfItsSize) {
        change(now -> batch -> {
            BatchPage its = now.pages().get(page - 1);
            List<Integer> pages = IntStream.rangeClosed(1, now.pages().size())
                    .filter(other -> other == page || allOfItsSize && isSame(now.pages().get(other - 1), its)).boxed().toList();
            return SheetMending.divided(batch, now.read(), pages, acrossMm);
        });
    }

    private static boolean isSame(BatchPage one, BatchPage other) {
        return Math.abs(one.widthMm() - other.widthMm()) < SAME_MM && Math.abs(one.heightMm() - other.heightMm()) < SAME_MM;
    }

    /** Puts the halves of a sheet together again. */
    public void undivide(int page) {
        change(now -> batch -> BatchOrder.undivided(batch, Set.of(batch.keys().get(page - 1))));
    }

    /** {@return whether a page is half of a sheet} */
    public boolean isHalf(int page) {
        return desk.shownProperty().get().filter(now -> {
            var its = CutDesk.page(now.batch(), page);
            return now.batch().runs().stream()
                    .filter(run -> run.source().equals(its.source()) && run.first() <= its.first() && run.last() >= its.first())
                    .count() > 1;
        }).isPresent();
    }

    /** Turns the order round: the last page becomes the first. */
    public void reverse() {
        change(now -> BatchOrder::reversed);
    }

    /** Sets each page of the second half, the backs, behind its front. */
    public void interleave(boolean turnedOver) {
        change(now -> batch -> BatchOrder.interleaved(batch, turnedOver));
    }

    /** {@return the files whose pages may be the backs of the batch on the table} */
    public List<Source> backs() {
        return desk.shownProperty().get().map(now -> {
            int fronts = now.pages().size();
            Set<SourceId> own = now.sources().stream().map(Source::id).collect(Collectors.toSet());
            return desk.rowsProperty().get().stream()
                    .filter(row -> !own.contains(row.source().id()) && (row.pages() == fronts || row.pages() == fronts - 1))
                    .map(CutDesk.Row::source).toList();
        }).orElse(List.of());
    }

    /** Sets the pages of another file behind those of the batch on the table, each back behind its front. */
    public void join(Source backs, boolean turnedOver) {
        desk.shownProperty().get()
                .ifPresent(now -> workspace.edit(bundle -> CutEdits.joined(bundle, now.source(), backs, turnedOver)));
    }

    /** {@return whether the pages lie as they came} */
    public boolean isAsCame() {
        return desk.shownProperty().get().map(now -> BatchOrder.isAsCame(now.batch())).orElse(true);
    }

    /** Puts the pages back in the order in which they came, and files apart that were joined. */
    public void putBack() {
        desk.shownProperty().get().ifPresent(now -> workspace.edit(bundle -> CutEdits.asCame(bundle, now.source())));
    }
}
