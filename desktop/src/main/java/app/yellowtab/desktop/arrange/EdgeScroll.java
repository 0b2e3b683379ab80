package app.yellowtab.desktop.arrange;

import javafx.animation.AnimationTimer;
import javafx.geometry.Orientation;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollBar;
import javafx.scene.input.DragEvent;

/** Scrolls a list while something is dragged and held near its upper or lower edge. */
final class EdgeScroll extends AnimationTimer {
    /** How near to the edge it begins, in pixels: about one row. */
    private static final double ZONE = 32;
    private static final double ROWS_PER_SECOND = 12;
    private final ListView<?> list;
    private int direction;
    private long before;

    private EdgeScroll(ListView<?> list) {
        this.list = list;
    }

    static void install(ListView<?> list) {
        EdgeScroll scroll = new EdgeScroll(list);
        list.addEventFilter(DragEvent.DRAG_OVER, event -> scroll.move(event.getY()));
        list.addEventFilter(DragEvent.DRAG_EXITED_TARGET, event -> {
            if (event.getTarget() == list) scroll.move(list.getHeight() / 2);
        });
        list.addEventFilter(DragEvent.DRAG_DROPPED, event -> scroll.move(list.getHeight() / 2));
    }

    /** @param y where the drag is, in pixels from the list's top */
    private void move(double y) {
        int wanted = y < ZONE ? -1 : y > list.getHeight() - ZONE ? 1 : 0;
        if (wanted == direction) return;
        direction = wanted;
        before = 0;
        if (wanted == 0) stop();
        else start();
    }

    @Override
    public void handle(long now) {
        double seconds = before == 0 ? 0 : (now - before) / 1e9;
        before = now;
        list.lookupAll(".scroll-bar").stream().map(ScrollBar.class::cast)
                .filter(bar -> bar.getOrientation() == Orientation.VERTICAL && bar.isVisible()).findFirst()
                .ifPresent(bar -> bar
                        .setValue(Math.clamp(bar.getValue() + direction * seconds * ROWS_PER_SECOND / list.getItems().size(),
                                bar.getMin(), bar.getMax())));
    }
}
