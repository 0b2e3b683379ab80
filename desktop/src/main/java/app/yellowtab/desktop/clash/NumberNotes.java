package app.yellowtab.desktop.clash;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Stage;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.printed.OldSeries;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;

/**
 * What must be known of numbers before a bundle is produced: marks that stand on something, and numbers that pages carried
 * before.
 */
public final class NumberNotes extends VBox {
    private final ClashDesk clashes;
    private final OldDesk old;
    private final Workspace workspace;
    private final Subscription subscription;

    public NumberNotes(ClashDesk clashes, OldDesk old, Workspace workspace) {
        super(8);
        this.clashes = clashes;
        this.old = old;
        this.workspace = workspace;
        setId("number-notes");
        subscription = Subscription.combine(sceneProperty().subscribe(scene -> {
            clashes.look(this, scene != null);
            old.look(this, scene != null);
        }), clashes.stateProperty().subscribe(this::show), old.foundProperty().subscribe(this::show));
    }

    public void dispose() {
        subscription.unsubscribe();
    }

    private void show() {
        getChildren().clear();
        ClashDesk.ClashState state = clashes.stateProperty().get();
        if (!state.clashes().isEmpty())
            note(Words.of("notes.clashes", state.clashes().size()), state.clashes().getFirst().leaf());
        List<OldSeries> undecided =
                old.foundProperty().get().stream().filter(series -> !series.isDecided() && series.differing() > 0).toList();
        if (!undecided.isEmpty()) note(Words.of("notes.old", undecided.size(), undecided.getFirst().fileName()),
                undecided.getFirst().leaves().getFirst());
        Controls.show(this, !getChildren().isEmpty());
    }

    private void note(String words, int leaf) {
        var message = Controls.paragraph(words, Styles.NOTICE);
        HBox.setHgrow(message, Priority.ALWAYS);
        message.setMaxWidth(Double.MAX_VALUE);
        Button look = Controls.button("notes.look", () -> {
            workspace.goTo(leaf);
            workspace.stageProperty().set(Stage.NUMBER);
        });
        look.getStyleClass().add(Styles.QUIET);
        look.setMinWidth(USE_PREF_SIZE);
        getChildren().add(new HBox(8, message, look));
    }
}
