package app.yellowtab.desktop.clash;

import app.yellowtab.clash.Clash;
import app.yellowtab.desktop.clash.ClashDesk.ClashState;
import app.yellowtab.desktop.clash.ClashDesk.Help;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.plan.Plan;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;

/** The marks that stand on something, each with what helps. */
public final class ClashSide extends VBox {
    private static final double ROW = 52;
    private static final int MOST_ROWS = 100;

    private final ClashDesk desk;
    private final Workspace workspace;
    private final Label how = Controls.paragraph("", Styles.SMALL);
    private final ListView<Clash> list = new ListView<>();
    private final VBox helps = new VBox(6);
    /** On how many pages a line was cut, by its series. */
    private final Map<String, Integer> cut = new HashMap<>();
    private final Subscription subscription;

    public ClashSide(ClashDesk desk, Workspace workspace) {
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

    public void dispose() {
        subscription.unsubscribe();
    }

    /** Chooses the first clash of a page. */
    public void choose(int leaf) {
        list.getItems().stream().filter(clash -> clash.leaf() == leaf).findFirst().ifPresent(list.getSelectionModel()::select);
    }

    private void show(ClashState state) {
        List<Clash> listed = listed(state.clashes());
        how.setText(!state.isDone() ? Words.of("clash.looking", state.looked(), state.pages(), listed.size())
                : state.pages() == 0 ? Words.of("clash.begins") : Words.of("clash.found", listed.size()));
        Optional<Clash> before = Optional.ofNullable(list.getSelectionModel().getSelectedItem());
        if (!list.getItems().equals(listed)) list.getItems().setAll(listed);
        Controls.show(list, !listed.isEmpty());
        list.setMaxHeight(Math.min(MOST_ROWS, listed.size()) * ROW + 2);
        before.flatMap(one -> listed.stream().filter(its -> its.leaf() >= one.leaf()).findFirst())
                .ifPresentOrElse(list.getSelectionModel()::select, helps.getChildren()::clear);
    }

    /** {@return what is listed: a line that is cut stands once, with its first page} */
    private List<Clash> listed(List<Clash> clashes) {
        cut.clear();
        for (Clash clash : clashes) if (clash.kind() == Clash.Kind.CUT) cut.merge(clash.mark().series(), 1, Integer::sum);
        Set<String> first = new HashSet<>();
        return clashes.stream().filter(clash -> clash.kind() != Clash.Kind.CUT || first.add(clash.mark().series())).toList();
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
            if (clash.kind() == Clash.Kind.CUT)
                return Words.of("clash.CUT", page, clash.mark().words(), cut.getOrDefault(clash.mark().series(), 1) - 1);
            return Words.of("clash." + clash.kind().name(), page, clash.mark().words(), clash.words());
        }
    }
}
