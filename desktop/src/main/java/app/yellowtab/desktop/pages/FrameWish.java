package app.yellowtab.desktop.pages;

import app.yellowtab.model.page.Area;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;

/** Somebody's wish that a frame be drawn on the page in view, which the reader fulfils. For the JavaFX thread. */
public final class FrameWish {
    private final ReadOnlyBooleanWrapper wanted = new ReadOnlyBooleanWrapper(this, "wanted", false);
    private Consumer<Area> taker = area -> {};

    public ReadOnlyBooleanProperty wantedProperty() {
        return wanted.getReadOnlyProperty();
    }

    /** Wishes for frames, each given in millimetres from the upper left of the page as it is seen. */
    public void want(Consumer<Area> newTaker) {
        taker = newTaker;
        wanted.set(true);
    }

    /** Wishes for none any more. */
    public void end() {
        wanted.set(false);
    }

    /** Gives a frame that was drawn. */
    public void give(Area area) {
        if (wanted.get()) taker.accept(area);
    }
}
