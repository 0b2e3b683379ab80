package app.yellowtab.desktop.look;

import java.util.function.Function;
import javafx.util.StringConverter;
import org.jspecify.annotations.Nullable;

/** Shows values in words where they are chosen, and none is typed. */
public final class InWords<T> extends StringConverter<T> {
    private final Function<T, String> words;
    private final String none;

    /** @param words of a value; where none is chosen, nothing is shown */
    public InWords(Function<T, String> words) {
        this(words, "");
    }

    /** @param none what is shown where none is chosen */
    public InWords(Function<T, String> words, String none) {
        this.words = words;
        this.none = none;
    }

    @Override
    public String toString(@Nullable T value) {
        return value == null ? none : words.apply(value);
    }

    @Override
    public T fromString(String text) {
        throw new UnsupportedOperationException("nothing is typed here");
    }
}
