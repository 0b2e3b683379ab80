package app.yellowtab.desktop.work;

import app.yellowtab.desktop.look.Late;
import java.util.function.Supplier;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;

/** A stage in the window of an open bundle. Its view is made when one goes there for the first time. For the JavaFX thread. */
public final class StagePart {
    private final Stage stage;
    private final ObservableValue<String> count;
    private final Late<? extends StageView> view;

    private StagePart(Stage stage, ObservableValue<String> count, Late<? extends StageView> view) {
        this.stage = stage;
        this.count = count;
        this.view = view;
    }

    /**
     * {@return a part that is made of these}
     *
     * @param count what is counted here, as it stands in the rail
     */
    public static <V extends Node & StageView> StagePart of(Stage stage, ObservableValue<String> count, Supplier<V> view) {
        return new StagePart(stage, count, new Late<>(view));
    }

    public Stage stage() {
        return stage;
    }

    /** {@return what is counted here, live} */
    public ObservableValue<String> count() {
        return count;
    }

    public StageView view() {
        return view.get();
    }

    /** {@return the view as what is put in the window} */
    public Node node() {
        return (Node) view.get();
    }

    public void dispose() {
        view.ifMade(StageView::dispose);
    }
}
