package app.yellowtab.desktop;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Shortcut;
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
        int rows = (Shortcut.values().length + 1) / 2;
        for (Shortcut shortcut : Shortcut.values()) {
            int column = shortcut.ordinal() / rows * 2;
            keys.add(Controls.label(shortcut.shown(), Styles.FORM_LABEL), column, shortcut.ordinal() % rows);
            keys.add(Controls.label(shortcut.meaning(), Styles.SMALL), column + 1, shortcut.ordinal() % rows);
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
