package app.yellowtab.bench;

import javafx.application.Application;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.layout.StackPane;
import javafx.stage.Stage;

/** A window with one button, as large as ours; what any start is compared with. */
public final class EmptyWindow extends Application {
    /** Made by JavaFX. */
    public EmptyWindow() {
        // Nothing is needed.
    }

    /** @param arguments none */
    public static void main(String[] arguments) {
        launch(EmptyWindow.class);
    }

    @Override
    public void start(Stage stage) {
        Button button = new Button("Empty");
        button.setMaxSize(Double.MAX_VALUE, Double.MAX_VALUE);
        StackPane root = new StackPane(button);
        root.setStyle("-fx-background-color: #F3C41B; -fx-padding: 60;");
        button.setOnAction(event -> button.setStyle("-fx-base: #2F5D7C;"));
        stage.setScene(new Scene(root, 1280, 800));
        stage.show();
    }
}
