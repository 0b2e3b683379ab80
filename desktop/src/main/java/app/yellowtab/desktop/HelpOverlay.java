package app.yellowtab.desktop;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Shortcut;
import app.yellowtab.desktop.work.Stage;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** One page with every key, made from the table that binds them. */
final class HelpOverlay extends StackPane {
    private final Button close = Controls.button("help.close", this::toggle);

    HelpOverlay() {
        GridPane keys = new GridPane(24, 6);
        List<String[]> all = new ArrayList<>();
        for (Stage stage : Stage.values()) all.add(new String[] {stage.keys().getDisplayText(), stage.shown()});
        for (Shortcut shortcut : Shortcut.values()) all.add(new String[] {shortcut.shown(), shortcut.meaning()});
        int rows = (all.size() + 1) / 2;
        for (int i = 0; i < all.size(); i++) {
            keys.add(Controls.label(all.get(i)[0], Styles.FORM_LABEL), i / rows * 2, i % rows);
            keys.add(Controls.label(all.get(i)[1], Styles.SMALL), i / rows * 2 + 1, i % rows);
        }
        close.setCancelButton(true);
        VBox card = new VBox(14, Controls.label(Words.of("help.title"), Styles.TITLE), keys, close);
        card.getStyleClass().add(Styles.CARD);
        card.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        getChildren().add(card);
        getStyleClass().add(Styles.OVERLAY);
    }

    void toggle() {
        Controls.show(this, !isVisible());
        if (isVisible()) close.requestFocus();
    }
}
