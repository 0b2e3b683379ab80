package app.yellowtab.desktop.agree;

import app.yellowtab.agree.Change;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** One thing in which an index that came back differs from ours, with what can be done about it. */
final class ChangeCell extends ListCell<Change> {
    private static final double KIND_WIDTH = 76;
    private final Label kind = Controls.label("", Styles.FORM_LABEL);
    private final Label title = Controls.paragraph("", Styles.FACT);
    private final Label what = Controls.paragraph("", Styles.SMALL);
    private final Button accept = Controls.button("agree.accept", () -> {});
    private final Button leave = Controls.button("agree.leave", () -> {});
    private final HBox row;

    ChangeCell(Consumer<Change> accepted, Consumer<Change> left) {
        VBox words = new VBox(title, what);
        words.setMinWidth(0);
        words.setPrefWidth(1);
        HBox.setHgrow(words, Priority.ALWAYS);
        kind.setMinWidth(KIND_WIDTH);
        for (Button button : new Button[] {accept, leave}) button.setMinWidth(USE_PREF_SIZE);
        accept.setOnAction(event -> accepted.accept(getItem()));
        leave.setOnAction(event -> left.accept(getItem()));
        row = new HBox(10, kind, words, accept, leave);
        row.setAlignment(Pos.CENTER_LEFT);
        setPrefWidth(1);
    }

    @Override
    protected void updateItem(@Nullable Change change, boolean empty) {
        super.updateItem(change, empty);
        boolean blank = empty || change == null;
        setGraphic(blank ? null : row);
        kind.setText(blank ? "" : Words.of("change." + change.getClass().getSimpleName()));
        title.setText(blank ? "" : change.title());
        what.setText(blank ? "" : AgreeWords.of(change));
        Controls.show(what, !what.getText().isEmpty());
        setAccessibleText(blank ? null : kind.getText() + ", " + title.getText() + ", " + what.getText());
    }
}
