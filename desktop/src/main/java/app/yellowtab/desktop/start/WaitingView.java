package app.yellowtab.desktop.start;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import javafx.animation.PauseTransition;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressIndicator;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Duration;

/** What is shown while a bundle is opened or closed: what is being done, and a sign that moves. */
public final class WaitingView extends StackPane {
    private static final double SIGN = 28;

    private final VBox lines = new VBox(12);

    /** @param words what is being done */
    public WaitingView(String words) {
        Label label = Controls.paragraph(words, Styles.FORM_LABEL);
        label.setId("waiting");
        HBox row = new HBox(12, label);
        row.setAlignment(Pos.CENTER_LEFT);
        // What moves takes time from what is waited for, and short waits need no sign.
        PauseTransition soon = new PauseTransition(Duration.seconds(1));
        soon.setOnFinished(event -> row.getChildren().addFirst(sign()));
        soon.play();
        lines.getChildren().add(row);
        lines.getStyleClass().add(Styles.CARD);
        lines.setMaxSize(520, USE_PREF_SIZE);
        getStyleClass().add(Styles.DESK);
        getChildren().add(lines);
    }

    private static ProgressIndicator sign() {
        ProgressIndicator sign = new ProgressIndicator();
        sign.setMaxSize(SIGN, SIGN);
        sign.setPrefSize(SIGN, SIGN);
        return sign;
    }

    /** Says something more. */
    public void say(String words) {
        lines.getChildren().add(Controls.paragraph(words, Styles.FORM_LABEL));
    }

    /** Offers not to wait any longer. */
    public void offer(String key, Runnable action) {
        Button button = Controls.button(key, action);
        lines.getChildren().add(button);
        button.requestFocus();
    }

    /** {@return it, with words of the user's language} */
    public static WaitingView of(String key, Object... values) {
        return new WaitingView(Words.of(key, values));
    }
}
