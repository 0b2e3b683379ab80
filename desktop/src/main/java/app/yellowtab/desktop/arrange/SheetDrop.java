package app.yellowtab.desktop.arrange;

import app.yellowtab.desktop.work.Controls;
import app.yellowtab.desktop.work.Styles;
import app.yellowtab.model.EntryId;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import javafx.scene.input.DragEvent;
import javafx.scene.input.Dragboard;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.StackPane;

/** The empty sheet: says what goes here and takes it. */
final class SheetDrop extends StackPane {
    SheetDrop(Arrangement arrangement, String words) {
        var hint = Controls.paragraph(words, Styles.SMALL);
        hint.setMaxWidth(380);
        getChildren().add(hint);
        setOnDragOver(SheetDrop::accept);
        setOnDragDropped(event -> drop(event, arrangement, Optional.empty()));
    }

    /** Accepts what the sheet can take: rows, what lies in the tray, files. */
    static void accept(DragEvent event) {
        Dragboard board = event.getDragboard();
        if (board.hasContent(Drags.ENTRIES) || board.hasContent(Drags.TRAY)) event.acceptTransferModes(TransferMode.MOVE);
        else if (board.hasFiles()) event.acceptTransferModes(TransferMode.COPY);
        else return;
        event.consume();
    }

    /** Puts what was dropped below a row, or at the very beginning. */
    static void drop(DragEvent event, Arrangement arrangement, Optional<EntryId> below) {
        Dragboard board = event.getDragboard();
        List<EntryId> entries = Drags.ids(board, Drags.ENTRIES, EntryId::new);
        List<String> tray = Drags.ids(board, Drags.TRAY, id -> id);
        if (!entries.isEmpty()) arrangement.drop(new HashSet<>(entries), below);
        else if (!tray.isEmpty()) arrangement.putBelow(tray, below);
        else arrangement.bringInBelow(board.getFiles().stream().map(file -> Path.of(file.getPath())).toList(), below);
        event.setDropCompleted(true);
        event.consume();
    }
}
