package app.yellowtab.desktop;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Placement;
import app.yellowtab.desktop.work.Shortcut;
import app.yellowtab.desktop.work.Stage;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.cut.CutEdits;
import app.yellowtab.model.cut.Batch;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.beans.binding.Bindings;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.value.ObservableValue;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import org.jspecify.annotations.Nullable;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** The stages of the work, each with its count. */
final class Rail extends VBox {
    private final List<Subscription> subscriptions = new ArrayList<>();
    private final ToggleGroup stages = new ToggleGroup();
    private @Nullable Placement placed;
    private @Nullable List<Batch> batches;

    Rail(Workspace workspace, Runnable leave, Runnable help) {
        ToggleButton gather = stage(workspace, Stage.GATHER, Feather.INBOX, Shortcut.STAGE_GATHER,
                workspace.stateProperty().map(state -> String.valueOf(state.bundle().sources().size())));
        SimpleStringProperty waiting = new SimpleStringProperty();
        subscriptions.add(workspace.onBundle(bundle -> {
            // It follows from what is placed, and from how it is cut; most edits are of titles.
            if (workspace.placement() == placed && bundle.batches() == batches) return;
            placed = workspace.placement();
            batches = bundle.batches();
            waiting.set(String.valueOf(CutEdits.waiting(bundle).size()));
        }));
        ToggleButton cut = stage(workspace, Stage.CUT, Feather.SCISSORS, Shortcut.STAGE_CUT,
                waiting);
        ToggleButton arrange = stage(workspace, Stage.ARRANGE, Feather.LIST, Shortcut.STAGE_ARRANGE,
                workspace.stateProperty().map(state -> String.valueOf(state.plan().documentCount())));
        ToggleButton number = stage(workspace, Stage.NUMBER, Feather.HASH, Shortcut.STAGE_NUMBER,
                workspace.stateProperty().map(state -> String.valueOf(1 + state.bundle().numbering().series().size())));
        ToggleButton produce = stage(workspace, Stage.PRODUCE, Feather.FILE_TEXT, Shortcut.STAGE_PRODUCE,
                workspace.stateProperty().map(state -> String.valueOf(state.plan().pageCount())));
        Region spring = new Region();
        VBox.setVgrow(spring, Priority.ALWAYS);
        getChildren().addAll(Controls.iconButton(Feather.HOME, "rail.leave", leave), gather, cut, arrange, number, produce,
                spring,
                Controls.iconButton(Feather.HELP_CIRCLE, "rail.help", help));
        getStyleClass().add(Styles.RAIL);
    }

    private ToggleButton stage(Workspace workspace, Stage stage, Feather icon, Shortcut shortcut, ObservableValue<String> count) {
        ToggleButton button = new ToggleButton();
        button.setId("stage-" + stage.name().toLowerCase(Locale.ROOT));
        button.setGraphic(new FontIcon(icon));
        button.setContentDisplay(ContentDisplay.TOP);
        button.setToggleGroup(stages);
        button.getStyleClass().add(Styles.RAIL_BUTTON);
        String name = Words.of("stage." + stage.name());
        subscriptions.add(
                count.subscribe(now -> Controls.describe(button, Words.of("rail.tip." + stage.name(), now, shortcut.shown()))));
        button.textProperty().bind(Bindings.concat(name, "\n", count));
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
