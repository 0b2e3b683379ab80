package app.yellowtab.desktop.work;

import java.util.function.Consumer;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** Something that is made when it is first asked for, so that nobody waits for it before. For one thread. */
public final class Lazily<T> {
    private final Supplier<T> make;
    private @Nullable T made;

    public Lazily(Supplier<T> make) {
        this.make = make;
    }

    /** {@return it, made if it is not yet} */
    public T get() {
        T known = made;
        if (known == null) made = known = make.get();
        return known;
    }

    /** Does something with it if it was made. */
    public void ifMade(Consumer<T> action) {
        T known = made;
        if (known != null) action.accept(known);
    }
}
