package app.yellowtab.desktop;

import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Autosave;
import java.util.List;
import java.util.Objects;
import javafx.animation.AnimationTimer;
import javafx.geometry.Rectangle2D;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.Alert;
import javafx.scene.control.ButtonBar;
import javafx.scene.control.ButtonType;
import javafx.scene.layout.StackPane;
import javafx.stage.Screen;
import javafx.stage.Stage;

/** The window: one scene, in which one thing after the other is shown. For the JavaFX thread. */
final class DeskWindow {
    private final Stage window;
    private final Scene scene;
    private final StackPane empty = new StackPane();

    DeskWindow(Stage window) {
        this.window = window;
        Rectangle2D screen = Screen.getPrimary().getVisualBounds();
        empty.getStyleClass().add(Styles.DESK);
        scene = new Scene(empty, Math.min(1280, screen.getWidth()), Math.min(800, screen.getHeight()));
        for (String sheet : List.of("tokens.css", "app.css"))
            scene.getStylesheets().add(Objects.requireNonNull(DeskWindow.class.getResource(sheet)).toExternalForm());
        window.setScene(scene);
        window.setTitle(Words.of("app.name"));
        window.setMinWidth(Math.min(960, screen.getWidth()));
        window.setMinHeight(Math.min(600, screen.getHeight()));
    }

    /** {@return whether nothing was shown yet} */
    boolean isEmpty() {
        return scene.getRoot() == empty;
    }

    void show(Parent root, String title) {
        scene.setRoot(root);
        window.setTitle(title);
    }

    void hide() {
        window.hide();
    }

    /** Does something once the screen that was put up now is seen. */
    void whenSeen(Runnable then) {
        new AnimationTimer() {
            private int frames;

            @Override
            public void handle(long now) {
                // The first is laid out and painted after it was announced here.
                if (++frames <= 1) return;
                stop();
                then.run();
            }
        }.start();
    }

    /** {@return whether the user would rather lose the last changes, which could not be saved, than stay} */
    boolean isGivenUp(Autosave.SaveState.Failed failed) {
        ButtonType close = new ButtonType(Words.of("close.anyway"), ButtonBar.ButtonData.OTHER);
        ButtonType stay = new ButtonType(Words.of("close.stay"), ButtonBar.ButtonData.CANCEL_CLOSE);
        Alert question = new Alert(Alert.AlertType.WARNING, failed.message(), stay, close);
        question.initOwner(window);
        question.getDialogPane().getStylesheets().addAll(scene.getStylesheets());
        question.setHeaderText(Words.of("close.unsaved"));
        return question.showAndWait().filter(close::equals).isPresent();
    }
}
