package app.yellowtab.desktop.pieces;

import app.yellowtab.cut.Cutting.Piece;
import app.yellowtab.cut.PieceNames.Named;
import app.yellowtab.cut.Reason;
import app.yellowtab.deliver.CutReport;
import app.yellowtab.desktop.batch.CutDesk;
import app.yellowtab.desktop.batch.CutDesk.Shown;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.words.PageWeight;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Collectors;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.scene.control.OverrunStyle;
import javafx.scene.control.TableCell;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.control.Tooltip;
import javafx.scene.control.cell.TextFieldTableCell;
import javafx.util.converter.DefaultStringConverter;
import org.jspecify.annotations.Nullable;

/** The pieces, one a line, before anything is made of them; their names and dates can be typed over. */
final class PiecesTable extends TableView<PiecesTable.Line> {
    private static final double ROW_PX = 27;

    private final TableColumn<Line, String> batch;

    /**
     * A piece.
     *
     * @param piece counted from 0
     */
    record Line(Shown batch, int piece) {
        private Piece its() {
            return batch.cutting().pieces().get(piece);
        }

        private Named named() {
            return batch.names().get(piece);
        }

        /** {@return its first page, by its place in the batch} */
        int first() {
            return its().first();
        }

        /** {@return what it will take as a file; empty where nobody has measured it yet} */
        private Optional<Long> bytes() {
            PageWeight.Sum sum = new PageWeight.Sum();
            for (int page : its().pages()) {
                PageWeight weight = batch.pages().get(page - 1).weight();
                if (weight == PageWeight.UNKNOWN) return Optional.empty();
                sum.add(weight);
            }
            return Optional.of(sum.bytes());
        }
    }

    /** @param refused is given what was typed as a date and is none */
    PiecesTable(CutDesk desk, Consumer<String> refused) {
        setId("pieces");
        setEditable(true);
        setFixedCellSize(ROW_PX);
        getStyleClass().add(Styles.PIECES);
        setColumnResizePolicy(CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
        TableColumn<Line, String> number = column("cut.column.number", 42, line -> String.valueOf(line.piece() + 1));
        batch = column("cut.column.batch", 110, line -> line.batch().source().fileName());
        TableColumn<Line, String> name = column("cut.column.name", 230, line -> line.named().words());
        // What tells names apart is often at their end.
        name.setCellFactory(its -> new NameCell());
        name.setEditable(true);
        name.setOnEditCommit(
                edit -> desk.hand().name(edit.getRowValue().batch(), edit.getRowValue().piece(), edit.getNewValue()));
        TableColumn<Line, String> date = column("cut.column.date", 88, line -> line.named().date().shown());
        date.setCellFactory(TextFieldTableCell.forTableColumn());
        date.setEditable(true);
        date.setOnEditCommit(edit -> {
            if (desk.hand().date(edit.getRowValue().batch(), edit.getRowValue().piece(), edit.getNewValue())) return;
            refused.accept(edit.getNewValue());
            refresh();
        });
        getColumns().setAll(List.of(number, batch, name,
                column("cut.column.pages", 74, line -> CutReport.stretches(line.its().pages()).replace('-', '–')),
                date, column("cut.column.size", 66, line -> line.bytes().map(Words::size).orElse("…")),
                why(line -> line.its().reasons().stream().map(Reason::words).collect(Collectors.joining("; ")))));
    }

    /** {@return a column whose words can be read whole in a tip} */
    private static TableColumn<Line, String> why(Function<Line, String> words) {
        TableColumn<Line, String> column = column("cut.column.why", 150, words);
        column.setCellFactory(its -> new TableCell<>() {
            @Override
            protected void updateItem(@Nullable String why, boolean empty) {
                super.updateItem(why, empty);
                setText(empty ? null : why);
                setTooltip(empty || why == null ? null : new Tooltip(why));
            }
        });
        return column;
    }

    private static final class NameCell extends TextFieldTableCell<Line, String> {
        NameCell() {
            super(new DefaultStringConverter());
            setTextOverrun(OverrunStyle.CENTER_ELLIPSIS);
        }

        @Override
        public void updateItem(@Nullable String name, boolean empty) {
            super.updateItem(name, empty);
            setTooltip(empty || name == null ? null : new Tooltip(name));
        }
    }

    private static TableColumn<Line, String> column(String key, double width, Function<Line, String> words) {
        TableColumn<Line, String> column = new TableColumn<>(Words.of(key));
        column.setCellValueFactory(cell -> new ReadOnlyStringWrapper(words.apply(cell.getValue())));
        column.setPrefWidth(width);
        column.setSortable(false);
        column.setReorderable(false);
        column.setEditable(false);
        return column;
    }

    /** Shows the pieces of batches. */
    void show(List<Shown> batches) {
        int selected = getSelectionModel().getSelectedIndex();
        List<Line> lines = new ArrayList<>();
        for (Shown one : batches) for (int piece = 0; piece < one.names().size(); piece++) lines.add(new Line(one, piece));
        batch.setVisible(batches.size() > 1);
        getItems().setAll(lines);
        if (selected >= 0 && selected < lines.size()) getSelectionModel().select(selected);
    }
}
