package app.yellowtab.desktop.arrange;

import app.yellowtab.desktop.entry.Arrangement;
import app.yellowtab.desktop.entry.Filling;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.model.entry.EntryId;
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

    /** {@return whether something is dragged that can fill a placeholder} */
    static boolean isOne(Dragboard board) {
        if (board.hasContent(Drags.TRAY)) return Drags.ids(board, Drags.TRAY, id -> id).size() == 1;
        return board.hasFiles() && board.getFiles().size() == 1 && !board.getFiles().getFirst().isDirectory();
    }

    /** Fills the free pages of a document with what was dropped. */
    static void fill(DragEvent event, Filling filling, EntryId placeholder) {
        Dragboard board = event.getDragboard();
        List<String> tray = Drags.ids(board, Drags.TRAY, id -> id);
        if (!tray.isEmpty()) filling.fillWith(placeholder, tray.getFirst());
        else filling.fillWith(placeholder, Path.of(board.getFiles().getFirst().getPath()));
        event.setDropCompleted(true);
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
