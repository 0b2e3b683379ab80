package app.yellowtab.desktop.number;

import app.yellowtab.clash.Clash;
import app.yellowtab.desktop.number.ClashDesk.Help;
import app.yellowtab.desktop.number.ClashDesk.State;
import app.yellowtab.desktop.work.Controls;
import app.yellowtab.desktop.work.Styles;
import app.yellowtab.desktop.work.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.plan.Plan;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;

/** The marks that stand on something, each with what helps. */
final class ClashSide extends VBox {
    private static final double ROW = 52;
    private static final int MOST_ROWS = 100;

    private final ClashDesk desk;
    private final Workspace workspace;
    private final Label how = Controls.paragraph("", Styles.SMALL);
    private final ListView<Clash> list = new ListView<>();
    private final VBox helps = new VBox(6);
    private final Subscription subscription;

    ClashSide(ClashDesk desk, Workspace workspace) {
        super(10);
        this.desk = desk;
        this.workspace = workspace;
        how.setId("clash-how");
        list.setId("clashes");
        list.setCellFactory(view -> new Cell());
        VBox.setVgrow(list, Priority.ALWAYS);
        list.getSelectionModel().selectedItemProperty().addListener((value, before, now) -> chosen(Optional.ofNullable(now)));
        helps.setId("clash-helps");
        getChildren().addAll(how, list, helps);
        subscription = desk.stateProperty().subscribe(this::show);
    }

    void dispose() {
        subscription.unsubscribe();
    }

    /** Chooses the first clash of a page. */
    void choose(int leaf) {
        list.getItems().stream().filter(clash -> clash.leaf() == leaf).findFirst().ifPresent(list.getSelectionModel()::select);
    }

    private void show(State state) {
        how.setText(!state.isDone() ? Words.of("clash.looking", state.looked(), state.pages(), state.clashes().size()) : state.pages() == 0 ? Words.of("clash.begins") : Words.of("clash.found", state.clashes().size()));
        Optional<Clash> before = Optional.ofNullable(list.getSelectionModel().getSelectedItem());
        if (!list.getItems().equals(state.clashes())) list.getItems().setAll(state.clashes());
        Controls.show(list, !state.clashes().isEmpty());
        list.setMaxHeight(Math.min(MOST_ROWS, state.clashes().size()) * ROW + 2);
        before.flatMap(one -> state.clashes().stream().filter(its -> its.leaf() >= one.leaf()).findFirst()).ifPresentOrElse(list.getSelectionModel()::select, helps.getChildren()::clear);
    }

    private void chosen(Optional<Clash> clash) {
        helps.getChildren().clear();
        if (clash.isEmpty()) return;
        workspace.goTo(clash.get().leaf());
        desk.helps(clash.get(), all -> {
            if (clash.get().equals(list.getSelectionModel().getSelectedItem())) offer(all);
        });
    }

    private void offer(List<Help> all) {
        helps.getChildren().clear();
        if (all.isEmpty()) helps.getChildren().add(Controls.paragraph(Words.of("clash.noHelp"), Styles.SMALL));
        for (Help help : all) {
            Button button = new Button(help.words());
            button.setMnemonicParsing(false);
            button.setMaxWidth(Double.MAX_VALUE);
            button.getStyleClass().add(Styles.HELP_LINE);
            button.setOnAction(event -> desk.mend(help));
            helps.getChildren().add(button);
        }
    }

    /** A clash as a sentence. */
    private final class Cell extends ListCell<Clash> {
        @Override
        protected void updateItem(Clash clash, boolean empty) {
            super.updateItem(clash, empty);
            setText(empty || clash == null ? "" : sentence(clash));
            setWrapText(true);
            setPrefWidth(0);
            setPrefHeight(ROW);
        }

        private String sentence(Clash clash) {
            Plan plan = workspace.plan();
            String page = clash.leaf() < plan.pageCount() ? plan.leaf(clash.leaf()).label() : "";
            return Words.of("clash." + clash.kind().name(), page, clash.mark().words(), clash.words());
        }
    }
}
