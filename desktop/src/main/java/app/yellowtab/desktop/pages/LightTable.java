package app.yellowtab.desktop.pages;

import app.yellowtab.desktop.look.Styles;
import app.yellowtab.mark.Mark;
import app.yellowtab.model.page.Area;
import app.yellowtab.picture.PageRenderer;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.WeakHashMap;
import java.util.stream.IntStream;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.collections.FXCollections;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.OverrunStyle;
import javafx.scene.control.Tooltip;
import javafx.scene.control.skin.VirtualFlow;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.util.Subscription;
import org.jspecify.annotations.Nullable;

/**
 * Pages side by side, in reading order, at any size: only those in view are drawn. A yellow tab stands before the first page of
 * each piece. Places are counted from 1.
 */
public final class LightTable extends Region {
    static final double GAP = 6;
    static final double TAB = 24;
    static final double FOOT = 18;
    /** So near the ends the table runs on under what is dragged, so many pixels at each movement. */
    private static final double EDGE = 30;
    private static final double RUN = 16;
    /** A4. */
    private static final double HIGH = 1.42;
    public static final double LEAST = 70;
    public static final double MOST = 560;
    /** Pictures are drawn in few sizes, so that another size of the table seldom draws them anew. */
    private static final int[] WIDTHS_PX = {120, 240, 480, 800};

    /** What lies on the table. */
    public interface Model {
        int pageCount();

        /** {@return the picture of a page} */
        PageRenderer.Order order(int page, int widthPx);

        /** {@return the tab that stands before a page; empty for none} */
        Optional<Tab> tab(int page);

        /** {@return the piece that a page is in, to be told from its neighbours; -1 for none} */
        int piece(int page);

        /** {@return the areas that rules look at} */
        List<Area> areas();

        /** {@return why a page lies faded; empty where it does not} */
        Optional<String> faded(int page);

        /** {@return what stands below a page} */
        default String foot(int page) {
            return String.valueOf(page);
        }

        /** {@return what is set on a page} */
        default List<Mark> marks(int page) {
            return List.of();
        }

        /** {@return whether a page is chosen} */
        default boolean isChosen(int page) {
            return false;
        }
    }

    /**
     * A tab.
     *
     * @param words    on it
     * @param pages    of its piece, in few words
     * @param why      it stands there
     * @param isByHand whether a hand has put it there
     */
    public record Tab(String words, String pages, String why, boolean isByHand) {}

    /** What is done with pages by hand. */
    public interface Hand {
        /** A page was pressed, and is the current one. */
        void press(int page, MouseEvent event);

        /** {@return whether a page, and what is chosen with it, can be moved} */
        boolean takes(int page);

        /** What was taken is let go before a page, or behind it. */
        void drop(int page, boolean before);

        /** Files were let go before a page, or behind it. */
        void dropFiles(List<Path> files, int page, boolean before);
    }

    private final PagePictures pictures;
    private final ListView<Integer> rows = new ListView<>();
    /** How wide a page is, in pixels. */
    private final DoubleProperty pageWidth = new SimpleDoubleProperty(this, "pageWidth", 116);
    private final ReadOnlyIntegerWrapper current = new ReadOnlyIntegerWrapper(this, "current", 1);
    private @Nullable Model model;
    private int columns = 1;
    private Runnable opened = () -> {};
    private @Nullable Hand hand;
    private final Set<RowCell> cells = Collections.newSetFromMap(new WeakHashMap<>());
    private boolean drags;
    private final Subscription subscription;

    public LightTable(PagePictures pictures) {
        this.pictures = pictures;
        rows.setId("light-table");
        rows.getStyleClass().add(Styles.LIGHT_TABLE);
        rows.setCellFactory(list -> new RowCell());
        rows.setAccessibleRole(AccessibleRole.LIST_VIEW);
        rows.addEventFilter(KeyEvent.KEY_PRESSED, this::onKey);
        rows.addEventFilter(ScrollEvent.SCROLL, event -> {
            if (!event.isControlDown() || event.getDeltaY() == 0) return;
            resizeBy(event.getDeltaY() > 0 ? 1.15 : 1 / 1.15);
            event.consume();
        });
        getChildren().add(rows);
        setMinSize(0, 0);
        subscription = Subscription.combine(pageWidth.subscribe(width -> lay()), rows.widthProperty().subscribe(width -> lay()));
    }

    public void dispose() {
        subscription.unsubscribe();
        rows.setItems(FXCollections.observableArrayList());
    }

    /** {@return the place of the page that the keyboard is at} */
    public ReadOnlyIntegerProperty currentProperty() {
        return current.getReadOnlyProperty();
    }

    /** Does something when a page is opened, by double click. */
    public void onOpened(Runnable action) {
        opened = action;
    }

    /** Lets pages be chosen and moved with the mouse. */
    public void onHand(Hand newHand) {
        hand = newHand;
    }

    /** Lays other pages on the table. */
    public void show(Model newModel) {
        model = newModel;
        if (current.get() > newModel.pageCount()) current.set(Math.max(1, newModel.pageCount()));
        lay();
        again();
    }

    /** Shows anew what is in sight, with the same nodes: one of them may just be held by the mouse. */
    private void again() {
        for (RowCell cell : List.copyOf(cells)) cell.updateItem(cell.getItem(), cell.isEmpty());
    }

    /** Goes to a page, and brings it into sight. */
    public void goTo(int page) {
        Model now = model;
        if (now == null || now.pageCount() == 0) return;
        current.set(Math.clamp(page, 1, now.pageCount()));
        int row = (current.get() - 1) / columns;
        VirtualFlow<?> flow = (VirtualFlow<?>) rows.lookup(".virtual-flow");
        boolean inSight = flow != null && flow.getFirstVisibleCell() != null && row > flow.getFirstVisibleCell().getIndex()
                && row < flow.getLastVisibleCell().getIndex();
        if (!inSight) rows.scrollTo(Math.max(0, row - 1));
        again();
    }

    /** {@return how wide pages are, in pixels} */
    public DoubleProperty pageWidthProperty() {
        return pageWidth;
    }

    /** Makes pages larger or smaller. */
    public void resizeBy(double factor) {
        pageWidth.set(Math.clamp(pageWidth.get() * factor, LEAST, MOST));
    }

    @Override
    public void requestFocus() {
        rows.requestFocus();
    }

    /** {@return whether the keyboard is on it} */
    public boolean hasKeyboard() {
        return rows.isFocused();
    }

    private void lay() {
        Model now = model;
        double room = rows.getWidth() - 16;
        int newColumns = Math.max(1, (int) Math.floor(room / (pageWidth.get() + GAP)));
        int count = now == null ? 0 : (now.pageCount() + newColumns - 1) / newColumns;
        double height = TAB + pageWidth.get() * HIGH + FOOT + GAP;
        boolean same = newColumns == columns && count == rows.getItems().size() && height == rows.getFixedCellSize();
        columns = newColumns;
        if (same) return;
        rows.setFixedCellSize(height);
        rows.getItems().setAll(IntStream.range(0, count).boxed().toList());
        if (now != null && current.get() > 1) rows.scrollTo(Math.max(0, (current.get() - 1) / columns - 1));
    }

    @Override
    protected void layoutChildren() {
        rows.resizeRelocate(0, 0, getWidth(), getHeight());
    }

    private void onKey(KeyEvent event) {
        if (event.isControlDown() || event.isAltDown()) return;
        int step = switch (event.getCode()) {
            case LEFT -> -1;
            case RIGHT -> 1;
            case UP -> -columns;
            case DOWN -> columns;
            case PAGE_UP -> -columns * visibleRows();
            case PAGE_DOWN -> columns * visibleRows();
            case HOME -> -current.get();
            case END -> Integer.MAX_VALUE / 2;
            default -> 0;
        };
        if (step != 0) {
            goTo(current.get() + step);
            event.consume();
        } else if (event.getText().equals("+") || event.getText().equals("-")) {
            resizeBy(event.getText().equals("+") ? 1.25 : 0.8);
            event.consume();
        }
    }

    private int visibleRows() {
        return Math.max(1, (int) (rows.getHeight() / rows.getFixedCellSize()));
    }

    int widthPx() {
        for (int width : WIDTHS_PX) if (width >= pageWidth.get()) return width;
        return WIDTHS_PX[WIDTHS_PX.length - 1];
    }

    /** A row of pages. Its pages are kept when other ones come into it. */
    private final class RowCell extends ListCell<Integer> {
        private final List<PageTile> tiles = new ArrayList<>();
        private final Pane pane = new Pane();

        RowCell() {
            cells.add(this);
            setText(null);
        }

        @Override
        protected void updateItem(@Nullable Integer row, boolean empty) {
            super.updateItem(row, empty);
            Model now = model;
            if (empty || row == null || now == null) {
                tiles.forEach(PageTile::clear);
                setGraphic(null);
                return;
            }
            while (tiles.size() < columns) {
                PageTile tile = new PageTile(LightTable.this);
                tile.setManaged(false);
                tiles.add(tile);
            }
            while (tiles.size() > columns) tiles.removeLast().clear();
            List<Node> nodes = new ArrayList<>();
            for (int i = 0; i < columns; i++) {
                int page = row * columns + i + 1;
                PageTile tile = tiles.get(i);
                if (page > now.pageCount()) {
                    tile.clear();
                    continue;
                }
                tile.show(now, page);
                tile.resizeRelocate(i * (pageWidth.get() + GAP), 0, pageWidth.get() + GAP, getListView().getFixedCellSize());
                nodes.add(tile);
            }
            pane.getChildren().removeIf(node -> !nodes.contains(node));
            for (Node node : nodes) if (!pane.getChildren().contains(node)) pane.getChildren().add(node);
            for (int i = 0; i < columns && row * columns + i + 1 <= now.pageCount(); i++) tab(now, row * columns + i + 1, i);
            pane.setPrefHeight(getListView().getFixedCellSize());
            setGraphic(pane);
        }

        /** A tab may be as wide as the pages of its piece that follow in the row. */
        private void tab(Model now, int page, int column) {
            Optional<Tab> stands = now.tab(page);
            if (stands.isEmpty()) return;
            int wide = 1;
            while (column + wide < columns && page + wide <= now.pageCount() && now.tab(page + wide).isEmpty()) wide++;
            Label label = new Label(stands.get().words());
            label.getStyleClass().add(Styles.CUT_TAB);
            label.pseudoClassStateChanged(Styles.BY_HAND, stands.get().isByHand());
            label.setTextOverrun(OverrunStyle.CENTER_ELLIPSIS);
            Label range = new Label(stands.get().pages());
            range.setMinWidth(USE_PREF_SIZE);
            label.setGraphic(range);
            label.setContentDisplay(ContentDisplay.RIGHT);
            label.setGraphicTextGap(8);
            label.setAccessibleText(stands.get().words() + ", " + stands.get().pages() + ". " + stands.get().why());
            label.setTooltip(new Tooltip(stands.get().words() + "\n" + stands.get().why()));
            label.addEventHandler(MouseEvent.MOUSE_PRESSED, event -> press(page, event));
            label.setMinHeight(TAB - 2);
            label.setMaxWidth(wide * (pageWidth.get() + GAP) - GAP);
            label.relocate(column * (pageWidth.get() + GAP) + GAP / 2, 2);
            pane.getChildren().add(label);
        }
    }

    /** Makes a page that was pressed the current one. */
    void press(int page, MouseEvent event) {
        drags = false;
        goTo(page);
        rows.requestFocus();
        Hand now = hand;
        if (now != null) now.press(page, event);
        if (event.getButton() == MouseButton.PRIMARY && event.getClickCount() == 2) opened.run();
        event.consume();
    }

    @Nullable
    Hand hand() {
        return hand;
    }

    PagePictures pictures() {
        return pictures;
    }

    /** {@return whether pages are being dragged} */
    boolean drags() {
        return drags;
    }

    void drag(boolean on) {
        drags = on;
    }

    /** Near the upper and the lower end the table runs on under what is dragged. */
    void runOn(MouseEvent event) {
        double y = sceneToLocal(event.getSceneX(), event.getSceneY()).getY();
        double pixels = y < EDGE ? -RUN : y > getHeight() - EDGE ? RUN : 0;
        if (pixels != 0 && rows.lookup(".virtual-flow") instanceof VirtualFlow<?> flow) flow.scrollPixels(pixels);
    }
}
