package app.yellowtab.desktop.pages;

import app.yellowtab.desktop.look.Styles;
import app.yellowtab.facts.Length;
import app.yellowtab.mark.Mark;
import app.yellowtab.mark.Placed;
import app.yellowtab.mark.Placing;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.page.Area;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import javafx.geometry.Point2D;
import javafx.scene.Cursor;
import javafx.scene.image.ImageView;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;
import org.jspecify.annotations.Nullable;

/**
 * A page as large as there is room for, at the top of that room, with its marks set over the picture: when they change, nothing
 * is drawn anew.
 */
public final class PagePane extends Region {
    /** For the line around a page. */
    private static final double EDGE = 1;
    /** What is smaller was a click. */
    private static final double LEAST_MM = 2;
    private static final double LEAST_DRAG_PX = 3;

    private final ImageView picture = new ImageView();
    private final List<ShownMark> marks = new ArrayList<>();
    /** Areas of the page that are marked, and one that is being drawn, each with what shows it, by what they are marked as. */
    private final Map<String, Map<Rectangle, Area>> areas = new LinkedHashMap<>();
    private PagePictures.Result.@Nullable Picture shown;
    private @Nullable MarkHand hand;
    private double scale = 1;
    private double left;

    public PagePane() {
        picture.setSmooth(true);
        picture.setManaged(false);
        getChildren().add(picture);
        getStyleClass().add(Styles.PAGE);
        setMinSize(0, 0);
    }

    /** What is done with the marks on a page by hand. */
    public interface MarkHand {
        /** A mark was pressed. */
        void chosen(Mark mark);

        /** A mark was dragged to another place. */
        void moved(Mark mark, Spot spot);
    }

    /** Lets marks be chosen and dragged with the mouse. */
    public void onMarks(MarkHand newHand) {
        hand = newHand;
    }

    private void takes(ShownMark mark) {
        MarkHand now = hand;
        if (now == null || mark.placed().mark().covers().isPresent()) return;
        Text text = mark.text();
        double[] begun = new double[2];
        text.setPickOnBounds(true);
        text.setCursor(Cursor.MOVE);
        text.setOnMousePressed(event -> {
            begun[0] = event.getSceneX();
            begun[1] = event.getSceneY();
            now.chosen(mark.placed().mark());
            event.consume();
        });
        text.setOnMouseDragged(event -> {
            text.setTranslateX(event.getSceneX() - begun[0]);
            text.setTranslateY(event.getSceneY() - begun[1]);
            event.consume();
        });
        text.setOnMouseReleased(event -> {
            double across = text.getTranslateX();
            double down = text.getTranslateY();
            text.setTranslateX(0);
            text.setTranslateY(0);
            PagePictures.Result.Picture page = shown;
            if (page != null && Math.hypot(across, down) > LEAST_DRAG_PX) now.moved(mark.placed().mark(),
                    SpotAt.of(mark.placed(), across / scale, -down / scale, page.widthPt(), page.heightPt()));
            event.consume();
        });
    }

    /** Shows a page. */
    public void show(PagePictures.Result.Picture page, List<Mark> itsMarks) {
        shown = page;
        picture.setImage(page.image());
        remark(itsMarks);
    }

    /** Sets other marks on the page that is shown; nothing where none is. */
    public void remark(List<Mark> itsMarks) {
        PagePictures.Result.Picture page = shown;
        if (page == null) return;
        forgetMarks();
        for (Placed placed : Placing.of(itsMarks, page.widthPt(), page.heightPt())) {
            ShownMark mark = new ShownMark(placed);
            marks.add(mark);
            takes(mark);
            getChildren().addAll(mark.nodes());
        }
        requestLayout();
    }

    /** Frames the marks of some series, because something is the matter with them. */
    public void alarm(Set<String> series) {
        for (ShownMark mark : marks) mark.alarm(series.contains(mark.placed().mark().series()));
    }

    /** Shows nothing. */
    public void clear() {
        shown = null;
        picture.setImage(null);
        forgetMarks();
    }

    private void forgetMarks() {
        for (ShownMark mark : marks) getChildren().removeAll(mark.nodes());
        marks.clear();
    }

    /** Marks areas of the page. */
    public void mark(List<Area> marked) {
        mark(Styles.AREA, marked);
    }

    /**
     * Marks areas of the page, as one of several things that are marked on it.
     *
     * @param style of the areas; those that had it before are marked no more
     */
    public void mark(String style, List<Area> marked) {
        Map<Rectangle, Area> frames = areas.computeIfAbsent(style, its -> new LinkedHashMap<>());
        getChildren().removeAll(frames.keySet());
        frames.clear();
        for (Area area : marked) {
            Rectangle frame = new Rectangle();
            frame.getStyleClass().add(style);
            frame.setMouseTransparent(true);
            frame.setManaged(false);
            frames.put(frame, area);
        }
        getChildren().addAll(frames.keySet());
        requestLayout();
    }

    /** {@return the areas that are marked as something} */
    public List<Area> marked(String style) {
        return List.copyOf(areas.getOrDefault(style, Map.of()).values());
    }

    /** {@return where on the page a place of this pane is, in millimetres from the upper left of the page} */
    public Point2D placeMm(double x, double y) {
        return new Point2D(mm(x - left), mm(y - EDGE));
    }

    /** Lets areas be drawn with the mouse; each is given when the mouse is let go. */
    public void onDrawn(Consumer<Area> take) {
        setCursor(Cursor.CROSSHAIR);
        onDrawn(() -> true, take);
    }

    /**
     * Lets areas be drawn with the mouse.
     *
     * @param active whether they can be, asked at every move
     */
    public void onDrawn(BooleanSupplier active, Consumer<Area> take) {
        double[] begun = new double[2];
        addEventHandler(MouseEvent.MOUSE_PRESSED, event -> {
            begun[0] = event.getX();
            begun[1] = event.getY();
        });
        addEventHandler(MouseEvent.MOUSE_DRAGGED, event -> {
            if (active.getAsBoolean()) between(begun, event).ifPresent(area -> mark(List.of(area)));
        });
        addEventHandler(MouseEvent.MOUSE_RELEASED, event -> {
            if (active.getAsBoolean()) between(begun, event).ifPresent(take);
        });
    }

    /** {@return the area between two places of the mouse; empty where it is too small to be meant, or off the page} */
    private Optional<Area> between(double[] begun, MouseEvent event) {
        PagePictures.Result.Picture page = shown;
        if (page == null) return Optional.empty();
        double wide = page.widthPt() * Length.MM_PER_PT;
        double high = page.heightPt() * Length.MM_PER_PT;
        double fromX = Math.clamp(mm(Math.min(begun[0], event.getX()) - left), 0, wide);
        double toX = Math.clamp(mm(Math.max(begun[0], event.getX()) - left), 0, wide);
        double fromY = Math.clamp(mm(Math.min(begun[1], event.getY()) - EDGE), 0, high);
        double toY = Math.clamp(mm(Math.max(begun[1], event.getY()) - EDGE), 0, high);
        if (toX - fromX < LEAST_MM || toY - fromY < LEAST_MM) return Optional.empty();
        return Optional.of(new Area(tenth(fromX), tenth(fromY), tenth(toX - fromX), tenth(toY - fromY)));
    }

    private double mm(double px) {
        return px / scale * Length.MM_PER_PT;
    }

    private static double tenth(double mm) {
        return Math.round(mm * 10) / 10.0;
    }

    /** {@return the words that are set on the page that is shown} */
    public List<String> marksShown() {
        return marks.stream().map(mark -> mark.placed().mark().words()).filter(words -> !words.isEmpty()).toList();
    }

    /** {@return whether a page is shown} */
    public boolean isShowing() {
        return shown != null;
    }

    @Override
    protected void layoutChildren() {
        PagePictures.Result.Picture page = shown;
        if (page == null) return;
        double room = Math.max(1, getWidth() - 2 * EDGE);
        scale = Math.min(room / page.widthPt(), Math.max(1, getHeight() - 2 * EDGE) / page.heightPt());
        double width = snapSizeX(page.widthPt() * scale);
        double height = snapSizeY(page.heightPt() * scale);
        left = snapPositionX((getWidth() - width) / 2);
        picture.setFitWidth(width);
        picture.setFitHeight(height);
        picture.relocate(left, EDGE);
        double perMm = scale / Length.MM_PER_PT;
        areas.values().forEach(frames -> frames.forEach((frame, area) -> {
            frame.setX(left + area.leftMm() * perMm);
            frame.setY(EDGE + area.topMm() * perMm);
            frame.setWidth(area.widthMm() * perMm);
            frame.setHeight(area.heightMm() * perMm);
            frame.toFront();
        }));
        for (ShownMark mark : marks) mark.layout(left, EDGE + height, scale);
    }
}
