package app.yellowtab.desktop.cut;

import app.yellowtab.cut.PieceNames;
import app.yellowtab.desktop.batch.CutDesk;
import app.yellowtab.desktop.batch.CutDesk.Shown;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.model.cut.NamePart;
import app.yellowtab.model.cut.ValuePlace;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.Cursor;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.DataFormat;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;

/** What the pieces are called: parts in a row, which are added and taken away. */
final class NameParts extends VBox {
    /** What is dragged: the place of a part. */
    private static final DataFormat PART = new DataFormat("application/x-yellowtab-name-part");

    private final CutDesk desk;
    private final FlowPane row = new FlowPane(4, 4);
    private List<NamePart> parts = List.of();

    NameParts(CutDesk desk) {
        super(6);
        this.desk = desk;
        row.setPrefWrapLength(230);
        row.setAlignment(Pos.CENTER_LEFT);
        MenuButton add = new MenuButton(Words.of("cut.name.add"));
        add.setId("cut-name-add");
        for (NamePart part : List.of(new NamePart.Bookmark(), new NamePart.Value(new ValuePlace.AfterWords("No.", "")),
                new NamePart.FirstDate(), new NamePart.FileName(), new NamePart.Number(3, 1), new NamePart.Typed("Invoice"))) {
            MenuItem item = new MenuItem(Words.of("cut.name." + key(part)));
            item.setOnAction(event -> {
                List<NamePart> more = new ArrayList<>(parts);
                more.add(part);
                desk.rules().setNameParts(more);
            });
            add.getItems().add(item);
        }
        getChildren().addAll(row, add);
    }

    private static String key(NamePart part) {
        return switch (part) {
            case NamePart.Bookmark b -> "bookmark";
            case NamePart.Value v when v.place() instanceof ValuePlace.InArea -> "area";
            case NamePart.Value v -> "value";
            case NamePart.FileName f -> "file";
            case NamePart.Number n -> "number";
            case NamePart.FirstDate d -> "date";
            case NamePart.Typed t -> "typed";
        };
    }

    /** Shows how a batch's pieces are named. */
    void show(Shown now) {
        List<NamePart> its =
                now.batch().rules().name().isEmpty() ? PieceNames.usual(now.batch().rules()) : now.batch().rules().name();
        if (its.equals(parts) && !row.getChildren().isEmpty()) return;
        parts = its;
        row.getChildren().clear();
        for (int i = 0; i < parts.size(); i++) row.getChildren().add(chip(i));
    }

    private Node chip(int index) {
        NamePart part = parts.get(index);
        HBox chip = new HBox(2);
        chip.setAlignment(Pos.CENTER_LEFT);
        chip.getStyleClass().add(Styles.CHIP);
        switch (part) {
            case NamePart.Typed typed ->
                    chip.getChildren().add(field(typed.words(), 8, words -> Optional.of(new NamePart.Typed(words)), index));
            case NamePart.Value value when value.place() instanceof ValuePlace.AfterWords after ->
                    chip.getChildren().addAll(Controls.label(Words.of("cut.name.value.chip"), Styles.SENTENCE),
                            field(after.words(), 8,
                                    words -> Optional.of(words).filter(text -> !text.isBlank())
                                            .map(text -> new NamePart.Value(new ValuePlace.AfterWords(text, after.until()))),
                                    index));
            default -> chip.getChildren().add(Controls.label(Words.of("cut.name." + key(part)), Styles.SENTENCE));
        }
        chip.setCursor(Cursor.MOVE);
        chip.setOnDragDetected(event -> {
            ClipboardContent content = new ClipboardContent();
            content.put(PART, index);
            chip.startDragAndDrop(TransferMode.MOVE).setContent(content);
            event.consume();
        });
        chip.setOnDragOver(event -> {
            if (event.getDragboard().hasContent(PART)) event.acceptTransferModes(TransferMode.MOVE);
        });
        chip.setOnDragDropped(event -> {
            if (event.getDragboard().getContent(PART) instanceof Integer from) move(from, index);
            event.setDropCompleted(true);
        });
        chip.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (!event.isAltDown() || event.getCode() != KeyCode.LEFT && event.getCode() != KeyCode.RIGHT) return;
            move(index, index + (event.getCode() == KeyCode.LEFT ? -1 : 1));
            event.consume();
        });
        Tooltip.install(chip, new Tooltip(Words.of("cut.name.move")));
        Button away = Controls.iconButton(Feather.X, "cut.name.away", () -> {
            List<NamePart> less = new ArrayList<>(parts);
            less.remove(index);
            desk.rules().setNameParts(less);
        });
        chip.getChildren().add(away);
        return chip;
    }

    /** Moves a part to the place of another. */
    private void move(int from, int to) {
        if (from == to || from < 0 || to < 0 || from >= parts.size() || to >= parts.size()) return;
        List<NamePart> moved = new ArrayList<>(parts);
        moved.add(to, moved.remove(from));
        desk.rules().setNameParts(moved);
    }

    private TextField field(String text, int columns, Function<String, Optional<NamePart>> part, int index) {
        TextField field = new TextField(text);
        field.setPrefColumnCount(columns);
        field.setAccessibleText(Words.of("cut.name.typed"));
        Runnable take = () -> {
            Optional<NamePart> changed = field.getText().equals(text) ? Optional.empty() : part.apply(field.getText());
            if (changed.isEmpty() || index >= parts.size()) return;
            List<NamePart> now = new ArrayList<>(parts);
            now.set(index, changed.get());
            desk.rules().setNameParts(now);
        };
        field.setOnAction(event -> take.run());
        field.focusedProperty().subscribe(focused -> {
            if (!focused) take.run();
        });
        return field;
    }
}
