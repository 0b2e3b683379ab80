package app.yellowtab.desktop.agree;

import app.yellowtab.agree.FileMatches.Match;
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

/** A placeholder, the file that may be it, and how sure that is. */
final class MatchCell extends ListCell<Match> {
    private static final double SURE_WIDTH = 66;
    private final Label sure = Controls.label("", Styles.FORM_LABEL);
    private final Label title = Controls.paragraph("", Styles.FACT);
    private final Label file = Controls.paragraph("", Styles.SMALL);
    private final Button take = Controls.button("agree.take", () -> {});
    private final Button refuse = Controls.button("agree.refuse", () -> {});
    private final HBox row;

    MatchCell(Consumer<Match> taken, Consumer<Match> refused) {
        VBox words = new VBox(title, file);
        words.setMinWidth(0);
        words.setPrefWidth(1);
        HBox.setHgrow(words, Priority.ALWAYS);
        sure.setMinWidth(SURE_WIDTH);
        for (Button button : new Button[] {take, refuse}) button.setMinWidth(USE_PREF_SIZE);
        take.setOnAction(event -> taken.accept(getItem()));
        refuse.setOnAction(event -> refused.accept(getItem()));
        row = new HBox(10, sure, words, take, refuse);
        row.setAlignment(Pos.CENTER_LEFT);
        setPrefWidth(1);
    }

    @Override
    protected void updateItem(@Nullable Match match, boolean empty) {
        super.updateItem(match, empty);
        boolean blank = empty || match == null;
        setGraphic(blank ? null : row);
        sure.setText(blank ? "" : Words.of(match.isSure() ? "agree.sure" : "agree.perhaps", match.percent()));
        title.setText(blank ? "" : match.placeholder().title());
        file.setText(blank ? "" : AgreeWords.of(match));
        setAccessibleText(blank ? null : sure.getText() + ", " + title.getText() + ", " + file.getText());
    }
}
