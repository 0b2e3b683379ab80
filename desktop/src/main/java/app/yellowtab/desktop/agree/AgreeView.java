package app.yellowtab.desktop.agree;

import app.yellowtab.agree.Change;
import app.yellowtab.agree.FileMatches.Match;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.InTray;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;

/** An agreed index in the middle of the screen: its columns, what differs from ours, or which files belong to it. */
public final class AgreeView extends VBox {
    private final Workspace workspace;
    private final Agreeing agreeing;
    private final Label title = Controls.paragraph("", Styles.TITLE);
    private final Label summary = Controls.paragraph("", Styles.FACT);
    private final ColumnsTable table;
    private final ListView<Change> changes = new ListView<>();
    private final ListView<Match> matches = new ListView<>();
    private final ListView<Document> waiting = new ListView<>();
    private final ListView<InTray> unmatched = new ListView<>();
    private final VBox matching;
    private final Button main;
    private final Button agreed = Controls.button("agree.acceptAgreed", () -> {});
    private final Button close = Controls.button("agree.close", () -> {});
    private final Subscription subscription;

    public AgreeView(Workspace workspace, Agreeing agreeing) {
        super(10);
        this.workspace = workspace;
        this.agreeing = agreeing;
        setId("agree");
        setPrefWidth(1);    // it takes what width there is
        table = new ColumnsTable(agreeing::correct);
        changes.setId("changes");
        changes.setAccessibleText(Words.of("agree.changes"));
        changes.setCellFactory(view -> new ChangeCell(agreeing::accept, agreeing::leave));
        changes.setPlaceholder(Controls.paragraph(Words.of("agree.noChanges"), Styles.SMALL));
        changes.getSelectionModel().selectedItemProperty().subscribe(change -> {
            if (change != null)
                workspace.plan().entry(change.id()).map(PlannedEntry::span).ifPresent(span -> workspace.goTo(span.first()));
        });
        changes.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            Change chosen = changes.getSelectionModel().getSelectedItem();
            if (chosen == null || event.getTarget() != changes) return;
            if (event.getCode() == KeyCode.ENTER) agreeing.accept(chosen);
            else if (event.getCode() == KeyCode.DELETE) agreeing.leave(chosen);
            else return;
            event.consume();
        });
        matches.setId("matches");
        matches.setAccessibleText(Words.of("agree.matches"));
        matches.setCellFactory(view -> new MatchCell(agreeing::take, agreeing::refuse));
        matches.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            Match chosen = matches.getSelectionModel().getSelectedItem();
            if (chosen == null || event.getTarget() != matches) return;
            if (event.getCode() == KeyCode.ENTER) agreeing.take(chosen);
            else if (event.getCode() == KeyCode.DELETE) agreeing.refuse(chosen);
            else return;
            event.consume();
        });
        matches.setPlaceholder(Controls.paragraph(Words.of("agree.noMatches"), Styles.SMALL));
        VBox.setVgrow(matches, Priority.ALWAYS);
        waiting.setCellFactory(
                view -> new PlainCell<>(document -> Words.of("agree.waitingRow", document.title(), document.pageCount())));
        unmatched.setCellFactory(view -> new PlainCell<>(AgreeWords::name));
        matching = new VBox(10, matches, new HBox(12, below("agree.waiting", waiting), below("agree.unmatched", unmatched)));
        for (ListView<?> list : new ListView<?>[] {changes, matches, waiting, unmatched})
            list.getStyleClass().add(Styles.AREA_PAGES);
        StackPane middle = new StackPane(table, changes, matching);
        VBox.setVgrow(middle, Priority.ALWAYS);
        main = Controls.button("agree.goOn", agreeing::goOn);
        main.setId("agree-main");
        main.getStyleClass().add(Styles.MAIN_ACTION);
        close.setId("agree-close");
        close.setOnAction(event -> agreeing.close());
        agreed.setId("agree-agreed");
        agreed.setOnAction(event -> agreeing.acceptAgreed());
        HBox actions = new HBox(8, main, agreed, close);
        actions.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(title, summary, middle, actions);
        getStyleClass().add(Styles.STAGE);
        addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() != KeyCode.ESCAPE) return;
            agreeing.close();
            event.consume();
        });
        subscription = agreeing.stateProperty().subscribe(this::show);
    }

    private static VBox below(String key, ListView<?> list) {
        VBox box = new VBox(4, Controls.label(Words.of(key), Styles.FORM_LABEL), list);
        list.setPrefHeight(150);
        list.setPlaceholder(Controls.paragraph(Words.of("agree.none"), Styles.SMALL));
        HBox.setHgrow(box, Priority.ALWAYS);
        box.setPrefWidth(1);
        return box;
    }

    public void dispose() {
        subscription.unsubscribe();
    }

    private void show(Agreeing.AgreeState state) {
        Controls.show(table, state instanceof Agreeing.AgreeState.Reading);
        Controls.show(changes, state instanceof Agreeing.AgreeState.Back);
        Controls.show(matching, state instanceof Agreeing.AgreeState.Matching);
        long agreements =
                state instanceof Agreeing.AgreeState.Back back ? back.changes().stream().filter(Agreeing::isAgreed).count() : 0;
        agreed.setText(Words.of("agree.acceptAgreed", agreements));
        Controls.show(agreed, agreements > 0);
        switch (state) {
            case Agreeing.AgreeState.None none -> {}
            case Agreeing.AgreeState.Failed failed -> {
                say(Words.of("agree.title.failed"), failed.words());
                act("", () -> {});
            }
            case Agreeing.AgreeState.Reading reading -> {
                long sections = reading.lines().stream().filter(line -> line.isSection()).count();
                say(Words.of("agree.title.reading", reading.index().name()),
                        Words.of("agree.read", sections, reading.lines().size() - sections));
                table.show(reading.index());
                act(reading.lines().isEmpty() ? "" : Words.of(agreeing.isBack() ? "agree.compare" : "agree.putIn"),
                        agreeing::goOn);
            }
            case Agreeing.AgreeState.Back back -> {
                say(Words.of("agree.title.back", back.index().name()), Words.of("agree.differences", back.changes().size()));
                keep(changes, back.changes());
                act(back.changes().isEmpty() ? "" : Words.of("agree.acceptAll", back.changes().size()), agreeing::acceptAll);
            }
            case Agreeing.AgreeState.Matching now -> {
                long sure = now.matches().matches().stream().filter(Match::isSure).count();
                say(Words.of("agree.title.matching"), Words.of("agree.found", now.matches().matches().size(), sure));
                keep(matches, now.matches().matches());
                waiting.getItems().setAll(now.matches().waiting());
                unmatched.getItems().setAll(now.matches().unmatched());
                act(sure == 0 ? "" : Words.of("agree.takeSure", sure), agreeing::takeSure);
            }
        }
    }

    /** Shows other items, and stays near the one that was chosen. */
    private static <T> void keep(ListView<T> list, List<T> items) {
        int at = list.getSelectionModel().getSelectedIndex();
        list.getItems().setAll(items);
        if (!items.isEmpty()) list.getSelectionModel().select(Math.clamp(at, 0, items.size() - 1));
    }

    private void say(String heading, String words) {
        title.setText(heading);
        summary.setText(words);
    }

    private void act(String words, Runnable action) {
        Node focused = getScene() == null ? null : getScene().getFocusOwner();
        main.setText(words);
        main.setOnAction(event -> action.run());
        Controls.show(main, !words.isEmpty());
        if (focused == main && words.isEmpty()) close.requestFocus();
    }

    /** Puts the keyboard where work goes on. */
    public void begin() {
        (main.isVisible() ? main : close).requestFocus();
    }
}
