package app.yellowtab.desktop.cut;

import app.yellowtab.desktop.batch.CutDesk;
import app.yellowtab.desktop.batch.CutDesk.Row;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.model.source.SourceId;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import javafx.collections.ListChangeListener;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.SelectionMode;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import org.jspecify.annotations.Nullable;

/** The files that may be cut; one or several are chosen. */
final class BatchList extends VBox {
    private final CutDesk desk;
    private final ListView<Row> batches = new ListView<>();
    private final Subscription subscription;
    private boolean showing;
    private int chosenRow = -1;

    BatchList(CutDesk desk) {
        super(10);
        this.desk = desk;
        batches.setId("batches");
        batches.getStyleClass().add(Styles.TRAY_LIST);
        batches.setCellFactory(list -> new BatchCell());
        batches.getSelectionModel().setSelectionMode(SelectionMode.MULTIPLE);
        batches.getSelectionModel().getSelectedItems().addListener((ListChangeListener<Row>) change -> choose());
        VBox.setVgrow(batches, Priority.ALWAYS);
        getChildren().addAll(Controls.label(Words.of("cut.batches"), Styles.FORM_LABEL), batches);
        getStyleClass().add(Styles.TRAY);
        subscription = desk.rowsProperty().subscribe(this::show);
    }

    void dispose() {
        subscription.unsubscribe();
    }

    /**
     * Chooses the first file where none is chosen; {@return whether there is any} Where there is none, the keyboard comes here.
     */
    boolean begin() {
        if (batches.getItems().isEmpty()) {
            batches.requestFocus();
            return false;
        }
        if (desk.chosen().isEmpty()) batches.getSelectionModel().selectFirst();
        return true;
    }

    private void choose() {
        List<SourceId> selected = new ArrayList<>(batches.getSelectionModel().getSelectedItems().stream().filter(Objects::nonNull)
                .map(row -> row.source().id()).toList());
        if (showing || selected.isEmpty()) return;
        // What is on the table stays there, so that a second file is added to it and does not take its place.
        desk.chosen().stream().findFirst().filter(selected::remove).ifPresent(selected::addFirst);
        desk.choose(selected);
    }

    private void show(List<Row> rows) {
        showing = true;
        batches.getSelectionModel().clearSelection();
        batches.getItems().setAll(rows);
        List<SourceId> chosen = desk.chosen();
        rows.stream().filter(row -> chosen.contains(row.source().id())).forEach(batches.getSelectionModel()::select);
        int first = chosen.isEmpty() ? -1 : rows.stream().map(row -> row.source().id()).toList().indexOf(chosen.getFirst());
        if (first >= 0 && first != chosenRow) batches.scrollTo(Math.max(0, first - 2));
        chosenRow = first;
        showing = false;
    }

    private static final class BatchCell extends ListCell<Row> {
        BatchCell() {
            setPrefWidth(0);
        }

        @Override
        protected void updateItem(@Nullable Row row, boolean empty) {
            super.updateItem(row, empty);
            if (empty || row == null) {
                setGraphic(null);
                setTooltip(null);
                return;
            }
            Label file = new Label(row.name());
            setTooltip(new Tooltip(row.name()));
            setGraphic(new VBox(1, file,
                    Controls.label(Words.of("cut.batch", row.pages(), row.made(), row.pieces()), Styles.SMALL)));
        }
    }
}
