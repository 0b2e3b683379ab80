package app.yellowtab.desktop.arrange;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.function.Function;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.DataFormat;
import javafx.scene.input.Dragboard;

/** What is dragged within the window: ids, told apart by what they are of. */
final class Drags {
    static final DataFormat ENTRIES = new DataFormat("application/x-yellowtab-entries");
    static final DataFormat TRAY = new DataFormat("application/x-yellowtab-tray");

    private Drags() {}

    static ClipboardContent content(DataFormat format, Collection<String> ids) {
        ClipboardContent content = new ClipboardContent();
        content.put(format, new ArrayList<>(ids));
        return content;
    }

    /** {@return the dragged ids of one kind; empty where something else is dragged} */
    static <T> List<T> ids(Dragboard board, DataFormat format, Function<String, T> read) {
        return board.getContent(format) instanceof List<?> ids ? ids.stream().map(id -> read.apply(String.valueOf(id))).toList()
                : List.of();
    }
}
