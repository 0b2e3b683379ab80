package app.yellowtab.desktop.look;

import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.layout.Pane;
import org.jspecify.annotations.Nullable;

/** Something that is made when it is first asked for. For the JavaFX thread. */
public final class Late<T> {
    private final Supplier<T> making;
    private @Nullable T made;

    public Late(Supplier<T> making) {
        this.making = making;
    }

    /** {@return part of a pane, to be put last in it, hidden, when it is made} */
    public static <N extends Node> Late<N> in(Pane pane, Supplier<N> making) {
        return new Late<>(() -> {
            N node = making.get();
            Controls.show(node, false);
            pane.getChildren().add(node);
            return node;
        });
    }

    /** Shows part of a pane, and makes it for that, or hides it if it was made. */
    public static <N extends Node> void show(Late<N> part, boolean shown) {
        if (shown) Controls.show(part.get(), true);
        else part.ifMade(its -> Controls.show(its, false));
    }

    /** {@return whether a part is there to be seen} */
    public static boolean isShown(Late<? extends Node> part) {
        return part.made != null && part.made.isVisible();
    }

    public T get() {
        T known = made;
        if (known == null) made = known = making.get();
        return known;
    }

    /** Does something with it, if it was made. */
    public void ifMade(Consumer<T> action) {
        if (made != null) action.accept(made);
    }
}
