package app.yellowtab.desktop.sheets;

import app.yellowtab.desktop.batch.CutDesk.Shown;
import app.yellowtab.desktop.batch.SheetDesk;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
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

/**
 * What the pictures of a scanned batch propose: pages to be turned, straightened and rid of dark edges, sheets to be divided,
 * blank sheets to be dropped. Each is seen before it is done.
 */
public final class SheetProposals extends VBox {
    private final SheetDesk sheets;
    private final IntSupplier current;
    private final IntConsumer toPage;
    private final DoubtfulSheets doubtful;

    /**
     * @param doubtful shows sheets that may be blank
     * @param current  gives the page that is looked at
     * @param toPage   goes to a page
     */
    public SheetProposals(SheetDesk sheets, DoubtfulSheets doubtful, IntSupplier current, IntConsumer toPage) {
        super(6);
        this.sheets = sheets;
        this.doubtful = doubtful;
        this.current = current;
        this.toPage = toPage;
        setId("sheet-proposals");
        // Its sentences are not to be cut off where the rules want more room.
        setMinHeight(USE_PREF_SIZE);
    }

    /** Shows what is proposed for a batch; nothing where there is nothing. */
    public void show(Optional<Shown> shown) {
        getChildren().clear();
        shown.ifPresent(now -> {
            add("turn", now.sheets().wrongWay(), sheets::turn, true);
            add("straighten", now.sheets().askew(), sheets::straighten, true);
            add("edges", now.sheets().dark(), sheets::crop, true);
            add("spreads", now.sheets().spreads(), sheets::divide, true);
            add(now.sheets().areBacks(now.pages().size()) ? "backs" : "blank", now.sheets().blank(), sheets::drop, true);
        });
        int sure = getChildren().size();
        // What is not sure is done one by one, each looked at.
        shown.ifPresent(now -> add("perhaps", now.sheets().perhaps(), sheets::turnPerhaps, false));
        if (doubtful.show(shown)) getChildren().add(doubtful);
        if (!getChildren().isEmpty()) getChildren().addFirst(head(sure > 1));
        Controls.show(this, !getChildren().isEmpty());
    }

    private HBox head(boolean several) {
        HBox head = new HBox(6, Controls.label(Words.of("cut.sheet.title"), Styles.TITLE), Controls.spring());
        head.setAlignment(Pos.CENTER_LEFT);
        if (several) {
            Button all = Controls.button("cut.sheet.all", sheets::mendAll);
            all.setId("sheet-all");
            Controls.describe(all, Words.of("cut.sheet.allTip"));
            head.getChildren().add(all);
        }
        return head;
    }

    private void add(String kind, List<Integer> pages, Consumer<List<Integer>> act, boolean sure) {
        if (pages.isEmpty()) return;
        Button all = Controls.button("cut.sheet." + kind + ".do", () -> act.accept(pages));
        Button one = Controls.button("cut.sheet.one", () -> {
            if (pages.contains(current.getAsInt())) act.accept(List.of(current.getAsInt()));
            else step(pages, true);
        });
        Controls.describe(one, Words.of("cut.sheet.oneTip"));
        all.setId("sheet-" + kind);
        if (!sure) one.setText(Words.of("cut.sheet." + kind + ".do"));
        one.setId("sheet-" + kind + "-one");
        HBox steps = new HBox(4, one, Controls.spring(),
                Controls.iconButton(Feather.CHEVRON_LEFT, "cut.step.back", () -> step(pages, false)),
                Controls.iconButton(Feather.CHEVRON_RIGHT, "cut.step.on", () -> step(pages, true)));
        if (sure) steps.getChildren().addFirst(all);
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
