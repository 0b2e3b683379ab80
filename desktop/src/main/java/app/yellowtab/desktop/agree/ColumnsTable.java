package app.yellowtab.desktop.agree;

import app.yellowtab.agree.AgreedIndex;
import app.yellowtab.agree.Columns;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.table.IndexTable;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;

/** A table as it was read, with what each column holds above it, to be corrected. */
final class ColumnsTable extends TableView<IndexTable.Row> {
    private static final double LEAST_WIDTH = 96;
    private static final double TITLE_WIDTH = 240;
    private final BiConsumer<Columns.Role, Optional<Integer>> correct;

    /** @param correct is told when another column holds something, or none does */
    ColumnsTable(BiConsumer<Columns.Role, Optional<Integer>> correct) {
        this.correct = correct;
        setId("columns");
        getStyleClass().add(Styles.PIECES);
        setAccessibleText(Words.of("agree.columns"));
    }

    /** What a column may hold, as the list above it offers it. */
    private record Held(Optional<Columns.Role> role) {
        @Override
        public String toString() {
            return Words.of("column." + role.map(Enum::name).orElse("NOTHING"));
        }
    }

    void show(AgreedIndex index) {
        List<TableColumn<IndexTable.Row, String>> columns = new ArrayList<>();
        for (int column = 0; column < index.table().columns(); column++) columns.add(column(index, column));
        getColumns().setAll(columns);
        getItems().setAll(index.table().rows());
    }

    private TableColumn<IndexTable.Row, String> column(AgreedIndex index, int number) {
        TableColumn<IndexTable.Row, String> column = new TableColumn<>();
        column.setSortable(false);
        column.setReorderable(false);
        column.setCellValueFactory(row -> new ReadOnlyStringWrapper(row.getValue().cell(number)));
        ChoiceBox<Held> held = new ChoiceBox<>();
        held.getItems().add(new Held(Optional.empty()));
        for (Columns.Role role : Columns.Role.values()) held.getItems().add(new Held(Optional.of(role)));
        Optional<Columns.Role> now = index.columns().where().entrySet().stream().filter(entry -> entry.getValue() == number)
                .map(Map.Entry::getKey).findFirst();
        held.setValue(new Held(now));
        held.setAccessibleText(Words.of("agree.column", number + 1));
        held.setOnAction(event -> {
            if (held.getValue().role().equals(now)) return;
            held.getValue().role().ifPresentOrElse(role -> correct.accept(role, Optional.of(number)),
                    () -> now.ifPresent(role -> correct.accept(role, Optional.empty())));
        });
        column.setGraphic(held);
        column.setPrefWidth(now.filter(Columns.Role.TITLE::equals).isPresent() ? TITLE_WIDTH : LEAST_WIDTH);
        return column;
    }
}
