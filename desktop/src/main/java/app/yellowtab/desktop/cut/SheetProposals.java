package app.yellowtab.desktop.cut;

import app.yellowtab.desktop.cut.CutDesk.Shown;
import app.yellowtab.desktop.work.Controls;
import app.yellowtab.desktop.work.Styles;
import app.yellowtab.desktop.work.Words;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.IntConsumer;
import java.util.function.IntSupplier;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;

/** What the pictures of a scanned batch propose: pages to be turned and straightened, blank sheets to be dropped. Each is seen before it is done. */
final class SheetProposals extends VBox {
    private final CutDesk desk;
    private final IntSupplier current;
    private final IntConsumer toPage;

    /**
     * @param current gives the page that is looked at
     * @param toPage  goes to a page
     */
    SheetProposals(CutDesk desk, IntSupplier current, IntConsumer toPage) {
        super(6);
        this.desk = desk;
        this.current = current;
        this.toPage = toPage;
        setId("sheet-proposals");
        // Its sentences are not to be cut off where the rules want more room.
        setMinHeight(USE_PREF_SIZE);
    }

    /** Shows what is proposed for a batch; nothing where there is nothing. */
    void show(Optional<Shown> shown) {
        getChildren().clear();
        shown.ifPresent(now -> {
            add("turn", now.sheets().wrongWay(), desk::turn);
            add("straighten", now.sheets().askew(), desk::straighten);
            add(now.sheets().areBacks(now.pages().size()) ? "backs" : "blank", now.sheets().blank(), desk::drop);
        });
        if (!getChildren().isEmpty()) getChildren().addFirst(Controls.label(Words.of("cut.sheet.title"), Styles.TITLE));
        Controls.show(this, !getChildren().isEmpty());
    }

    private void add(String kind, List<Integer> pages, Consumer<List<Integer>> act) {
        if (pages.isEmpty()) return;
        Button all = Controls.button("cut.sheet." + kind + ".do", () -> act.accept(pages));
        Button one = Controls.button("cut.sheet.one", () -> {
            if (pages.contains(current.getAsInt())) act.accept(List.of(current.getAsInt()));
            else step(pages, true);
        });
        Controls.describe(one, Words.of("cut.sheet.oneTip"));
        all.setId("sheet-" + kind);
        HBox steps = new HBox(4, all, one, Controls.spring(), Controls.iconButton(Feather.CHEVRON_LEFT, "cut.step.back", () -> step(pages, false)), Controls.iconButton(Feather.CHEVRON_RIGHT, "cut.step.on", () -> step(pages, true)));
        steps.setAlignment(Pos.CENTER_LEFT);
        getChildren().add(new VBox(2, Controls.paragraph(Words.of("cut.sheet." + kind, pages.size()), Styles.SENTENCE), steps));
    }

    /** Goes to the next of some pages, round and round. */
    private void step(List<Integer> pages, boolean forward) {
        int from = current.getAsInt();
        if (forward) toPage.accept(pages.stream().filter(page -> page > from).findFirst().orElse(pages.getFirst()));
        else toPage.accept(pages.reversed().stream().filter(page -> page < from).findFirst().orElse(pages.getLast()));
    }
}
