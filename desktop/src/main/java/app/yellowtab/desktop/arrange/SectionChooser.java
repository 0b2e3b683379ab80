package app.yellowtab.desktop.arrange;

import app.yellowtab.desktop.entry.EntryDesk;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** Asks over the sheet for a section by a few letters of its name: Enter takes the marked one, Escape none. */
final class SectionChooser extends VBox {
    private static final double INDENT = 16;
    private static final double ROW_PX = 30;
    private static final int MOST_ROWS = 9;
    private final EntryDesk desk;
    private final Runnable closed;
    private final Label title = Controls.label("", Styles.FORM_LABEL);
    private final TextField typed = new TextField();
    private final ListView<EntryDesk.Target> list = new ListView<>();
    private Consumer<EntryDesk.Target> choose = target -> {};

    SectionChooser(EntryDesk desk, Runnable closed) {
        super(8);
        this.desk = desk;
        this.closed = closed;
        typed.setId("section-name");
        typed.setPromptText(Words.of("chooser.prompt"));
        typed.setAccessibleText(Words.of("chooser.prompt"));
        list.setId("section-list");
        list.setFixedCellSize(ROW_PX);
        list.setFocusTraversable(false);
        list.setCellFactory(view -> new TargetCell());
        list.setPlaceholder(Controls.paragraph(Words.of("chooser.none"), Styles.SMALL));
        list.setOnMouseClicked(event -> take());
        typed.textProperty().subscribe(text -> fill());
        addEventFilter(KeyEvent.KEY_PRESSED, this::onKey);
        getChildren().addAll(title, typed, list);
        getStyleClass().add(Styles.CARD);
        setMaxSize(360, Region.USE_PREF_SIZE);
        Controls.show(this, false);
    }

    /** Asks, and gives the answer on; nothing where the user thinks better of it. */
    void ask(String question, Consumer<EntryDesk.Target> then) {
        title.setText(question);
        choose = then;
        typed.clear();
        fill();
        Controls.show(this, true);
        typed.requestFocus();
    }

    private void fill() {
        list.getItems().setAll(desk.targets(typed.getText()));
        list.setPrefHeight(Math.clamp(list.getItems().size(), 2, MOST_ROWS) * ROW_PX + 2);
        list.getSelectionModel().select(typed.getText().isBlank() || list.getItems().size() == 1 ? 0 : firstSection());
    }

    private int firstSection() {
        for (int i = 0; i < list.getItems().size(); i++) if (list.getItems().get(i).section().isPresent()) return i;
        return 0;
    }

    private void onKey(KeyEvent event) {
        int at = list.getSelectionModel().getSelectedIndex();
        if (event.getCode() == KeyCode.ENTER) take();
        else if (event.getCode() == KeyCode.ESCAPE) close();
        else if (event.getCode() == KeyCode.DOWN) mark(at + 1);
        else if (event.getCode() == KeyCode.UP) mark(at - 1);
        else return;
        event.consume();
    }

    private void mark(int row) {
        if (list.getItems().isEmpty()) return;
        list.getSelectionModel().select(Math.clamp(row, 0, list.getItems().size() - 1));
        list.scrollTo(Math.max(0, list.getSelectionModel().getSelectedIndex() - 2));
    }

    private void take() {
        EntryDesk.Target target = list.getSelectionModel().getSelectedItem();
        if (target == null) return;
        close();
        choose.accept(target);
    }

    private void close() {
        Controls.show(this, false);
        closed.run();
    }

    private static final class TargetCell extends ListCell<EntryDesk.Target> {
        @Override
        protected void updateItem(EntryDesk.@Nullable Target target, boolean empty) {
            super.updateItem(target, empty);
            boolean blank = empty || target == null;
            setText(blank ? "" : target.words());
            setPadding(new Insets(4, 8, 4, 8 + (blank ? 0 : INDENT * target.depth())));
        }
    }
}
