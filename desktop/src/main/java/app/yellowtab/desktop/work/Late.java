package app.yellowtab.desktop;

import java.util.function.Consumer;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** Something that is made when it is first asked for. For the JavaFX thread. */
final class Late<T> {
    private final Supplier<T> making;
    private @Nullable T made;

    Late(Supplier<T> making) {
        this.making = making;
    }

    T get() {
        T known = made;
        if (known == null) made = known = making.get();
        return known;
    }

    /** Does something with it, if it was made. */
    void ifMade(Consumer<T> action) {
        if (made != null) action.accept(made);
    }
}
