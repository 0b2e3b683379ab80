package app.yellowtab.desktop;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Stage;
import app.yellowtab.desktop.work.StagePart;
import app.yellowtab.desktop.work.Workspace;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.beans.binding.Bindings;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** The stages of the work, each with its count. */
final class Rail extends VBox {
    private final List<Subscription> subscriptions = new ArrayList<>();
    private final ToggleGroup stages = new ToggleGroup();

    Rail(List<StagePart> parts, Workspace workspace, Runnable leave, Runnable help) {
        Region spring = new Region();
        VBox.setVgrow(spring, Priority.ALWAYS);
        getChildren().add(Controls.iconButton(Feather.HOME, "rail.leave", leave));
        for (StagePart part : parts) getChildren().add(button(part, workspace));
        getChildren().addAll(spring, Controls.iconButton(Feather.HELP_CIRCLE, "rail.help", help));
        getStyleClass().add(Styles.RAIL);
    }

    private ToggleButton button(StagePart part, Workspace workspace) {
        Stage stage = part.stage();
        ToggleButton button = new ToggleButton();
        button.setId("stage-" + stage.name().toLowerCase(Locale.ROOT));
        button.setGraphic(new FontIcon(stage.icon()));
        button.setContentDisplay(ContentDisplay.TOP);
        button.setToggleGroup(stages);
        button.getStyleClass().add(Styles.RAIL_BUTTON);
        String keys = stage.keys().getDisplayText();
        subscriptions
                .add(part.count().subscribe(now -> Controls.describe(button, Words.of("rail.tip." + stage.name(), now, keys))));
        button.textProperty().bind(Bindings.concat(stage.shown(), "\n", part.count()));
        button.setOnAction(event -> {
            button.setSelected(true);
            workspace.stageProperty().set(stage);
        });
        subscriptions.add(workspace.stageProperty().subscribe(now -> button.setSelected(now == stage)));
        subscriptions.add(button.textProperty()::unbind);
        return button;
    }

    void dispose() {
        subscriptions.forEach(Subscription::unsubscribe);
    }
}
