package app.yellowtab.desktop.batch;

import app.yellowtab.cut.Cutting;
import app.yellowtab.desktop.batch.CutDesk.Shown;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.cut.CutEdits;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.entry.DateReader;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.run.PageKey;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** What the hand does with the batch on the table: cuts, dropped pages, names and dates of pieces. For the JavaFX thread. */
public final class PieceDesk {
    private final Workspace workspace;
    private final CutDesk desk;

    PieceDesk(Workspace workspace, CutDesk desk) {
        this.workspace = workspace;
        this.desk = desk;
    }

    private void change(UnaryOperator<Batch> change) {
        desk.shownProperty().get().ifPresent(now -> workspace.edit(bundle -> CutEdits.change(bundle, now.source(), change)));
    }

    /** Sets a cut before a page, or takes it away; it stays as the hand left it. */
    public void toggleCut(int page) {
        desk.shownProperty().get().ifPresent(now -> {
            if (page <= 1 || now.batch().rules().rules().stream().anyMatch(CutRule::isAlone)) return;
            boolean there = now.cutting().pieces().stream().anyMatch(piece -> piece.first() == page);
            change(batch -> batch.withCut(key(batch, page), !there));
        });
    }

    /** Drops a page, or takes it back. */
    public void toggleDrop(int page) {
        desk.shownProperty().get()
                .ifPresent(now -> change(batch -> batch.withDrop(key(batch, page), now.dropped(page).isEmpty())));
    }

    /** Names a piece, counted from 0, of the batch on the table; blank words let the rules name it. */
    public void name(int piece, String words) {
        desk.shownProperty().get().ifPresent(now -> name(now, piece, words));
    }

    /** Names a piece of a batch, counted from 0; blank words let the rules name it. */
    public void name(Shown batch, int piece, String words) {
        workspace.edit(bundle -> CutEdits.change(bundle, batch.source(),
                its -> its.withName(key(its, batch.cutting().pieces().get(piece).first()), words)));
    }

    /** Gives a piece of a batch, counted from 0, a date; nothing typed lets its first page say it. {@return whether it is one} */
    public boolean date(Shown batch, int piece, String typed) {
        Optional<DocumentDate> date =
                typed.isBlank() ? Optional.empty() : DateReader.read(typed.strip(), workspace.bundle().reading().monthFirst());
        if (!typed.isBlank() && date.isEmpty()) return false;
        workspace.edit(bundle -> CutEdits.change(bundle, batch.source(),
                its -> its.withDate(key(its, batch.cutting().pieces().get(piece).first()), date)));
        return true;
    }

    private static PageKey key(Batch batch, int page) {
        return batch.keys().get(page - 1);
    }

    /** {@return the page of the next cut after a page, or before it; the page itself where there is none} */
    public int cutFrom(int page, boolean forward) {
        List<Integer> firsts =
                desk.shownProperty().get().map(now -> now.cutting().pieces().stream().map(Cutting.Piece::first).sorted().toList())
                        .orElse(List.of());
        if (forward) return firsts.stream().filter(first -> first > page).findFirst().orElse(page);
        return firsts.reversed().stream().filter(first -> first < page).findFirst().orElse(page);
    }
}
