package app.yellowtab.desktop.agree;

import java.util.function.Function;
import javafx.geometry.Insets;
import javafx.scene.control.ListCell;
import org.jspecify.annotations.Nullable;

/** A row of words. */
final class PlainCell<T> extends ListCell<T> {
    private final Function<T, String> words;

    PlainCell(Function<T, String> words) {
        this.words = words;
        setPadding(new Insets(4, 8, 4, 8));
        setPrefWidth(1);
    }

    @Override
    protected void updateItem(@Nullable T item, boolean empty) {
        super.updateItem(item, empty);
        setText(empty || item == null ? "" : words.apply(item));
    }
}
