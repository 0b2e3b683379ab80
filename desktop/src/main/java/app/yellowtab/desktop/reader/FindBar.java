package app.yellowtab.desktop.reader;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import java.util.List;
import java.util.stream.IntStream;
import javafx.animation.Animation;
import javafx.animation.PauseTransition;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import javafx.util.Subscription;
import org.kordamp.ikonli.feather.Feather;

/** Where words are typed that are looked for in the bundle, and what came of it. */
final class FindBar extends VBox {
    private final FindDesk desk;
    /** While more is being found, the list is made anew so often. */
    private static final Duration NOW_AND_THEN = Duration.millis(120);
    private static final double ROW_PX = 26;
    private static final int MOST_ROWS = 7;
    private final TextField words = new TextField();
    private final Label said = Controls.paragraph("", Styles.SMALL);
    private final Button previous = Controls.iconButton(Feather.CHEVRON_UP, "find.previous", () -> step(false));
    private final Button next = Controls.iconButton(Feather.CHEVRON_DOWN, "find.next", () -> step(true));
    private final ListView<FindDesk.Row> results = new ListView<>();
    private final Subscription subscription;
    private final PauseTransition later = new PauseTransition(NOW_AND_THEN);
    private final Button redact = Controls.button("find.redact", () -> {});
    private boolean redacts;
    private boolean showing;

    /** @param redacting goes through what was found, to redact it */
    FindBar(FindDesk desk, Runnable redacting) {
        super(2);
        this.desk = desk;
        redact.setOnAction(event -> redacting.run());
        words.setId("find-words");
        words.setPromptText(Words.of("find.prompt"));
        words.setAccessibleText(Words.of("find.prompt"));
        HBox.setHgrow(words, Priority.ALWAYS);
        words.setOnAction(event -> enter());
        words.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                words.clear();
                desk.search("");
            } else if (event.getCode() == KeyCode.DOWN || event.getCode() == KeyCode.UP) {
                step(event.getCode() == KeyCode.DOWN);
                event.consume();
            }
        });
        said.setId("find-said");
        HBox row = new HBox(2, words, previous, next);
        row.setAlignment(Pos.CENTER_LEFT);
        later.setOnFinished(event -> showResults());
        results.setId("find-results");
        results.getStyleClass().add(Styles.AREA_PAGES);
        results.setAccessibleText(Words.of("find.results"));
        results.setFixedCellSize(ROW_PX);
        results.setMinHeight(0);
        results.setCellFactory(view -> new FindCell());
        results.getSelectionModel().selectedItemProperty().subscribe(chosen -> {
            if (chosen != null && !showing) desk.goTo(chosen);
        });
        getChildren().addAll(row, said, results, redact);
        subscription = desk.stateProperty().subscribe(this::show);
        Controls.attachWhenShown(this, results);
    }

    void dispose() {
        subscription.unsubscribe();
        later.stop();
    }

    /** Offers to redact what was found, or does not. */
    void offerRedacting(boolean offered) {
        redacts = offered;
        show(desk.stateProperty().get());
    }

    /** Puts the keyboard where words are typed. */
    void ask() {
        words.requestFocus();
        words.selectAll();
    }

    /** Enter looks for what is typed, and goes on to the next hit where that was looked for already. */
    private void enter() {
        if (words.getText().strip().equals(desk.stateProperty().get().sought()) && desk.stateProperty().get().count() > 0)
            desk.step(true);
        else desk.search(words.getText());
    }

    private void step(boolean forward) {
        if (words.getText().strip().equals(desk.stateProperty().get().sought())) desk.step(forward);
        else desk.search(words.getText());
    }

    private void show(FindDesk.FindState now) {
        int count = now.count();
        String text = now.sought().isEmpty() ? ""
                : count == 0 ? Words.of(now.searches() ? "find.looking" : "find.none", now.sought())
                        : Words.of("find.hits", now.current() + 1, count, now.found().size(),
                                now.looked().map(at -> ": " + at.around()).orElse(""));
        said.setText(text + (now.unread() > 0 ? " " + Words.of("find.unread", now.unread()) : ""));
        Controls.show(said, !said.getText().isEmpty());
        Controls.show(redact, redacts && count > 0);
        previous.setDisable(count == 0);
        next.setDisable(count == 0);
        if (!now.searches()) {
            later.stop();
            showResults();
        } else if (later.getStatus() != Animation.Status.RUNNING) {
            later.playFromStart();
        }
    }

    private void showResults() {
        FindDesk.FindState now = desk.stateProperty().get();
        List<FindDesk.Row> rows = desk.rows();
        showing = true;
        if (!rows.equals(results.getItems())) results.getItems().setAll(rows);
        int at = IntStream.range(0, rows.size())
                .filter(i -> rows.get(i) instanceof FindDesk.Row.Place place && place.hit() == now.current()).findFirst()
                .orElse(-1);
        if (at < 0) results.getSelectionModel().clearSelection();
        else if (results.getSelectionModel().getSelectedIndex() != at) {
            results.getSelectionModel().select(at);
            results.scrollTo(Math.max(0, at - 2));
        }
        showing = false;
        results.setPrefHeight(Math.min(rows.size(), MOST_ROWS) * ROW_PX + 2);
        Controls.show(results, !rows.isEmpty());
    }
}
