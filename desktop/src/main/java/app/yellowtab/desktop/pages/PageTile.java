package app.yellowtab.desktop.pages;

import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.pages.PagePictures.Urgency;
import app.yellowtab.mark.Mark;
import app.yellowtab.picture.PageRenderer;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.CacheHint;
import javafx.scene.control.Label;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.Region;
import org.jspecify.annotations.Nullable;

/**
 * One page of a {@link LightTable} on its piece's ground: it is pressed, dragged, and takes what is let go on it. For the JavaFX
 * thread.
 */
final class PageTile extends Region {
    private final LightTable table;
    private final PagePane picture = new PagePane();
    private final Label foot = new Label();
    private PagePictures.Request request = PagePictures.Request.DONE;
    private @Nullable Object shownKey;
    private List<Mark> shownMarks = List.of();
    private int page;

    PageTile(LightTable table) {
        this.table = table;
        getStyleClass().add(Styles.PAGE_TILE);
        foot.getStyleClass().add(Styles.SMALL);
        // Drawn once with its shadow, and copied while the table moves.
        picture.setCache(true);
        picture.setCacheHint(CacheHint.SPEED);
        getChildren().addAll(picture, foot);
        addEventHandler(MouseEvent.MOUSE_PRESSED, event -> table.press(page, event));
        setOnDragDetected(event -> {
            LightTable.Hand now = table.hand();
            if (now == null || event.getButton() != MouseButton.PRIMARY || !now.takes(page)) return;
            table.drag(true);
            startFullDrag();
            event.consume();
        });
        setOnMouseDragOver(event -> {
            if (!table.drags()) return;
            markDrop(event.getX() < getWidth() / 2, event.getX() >= getWidth() / 2);
            table.runOn(event);
        });
        setOnMouseDragExited(event -> markDrop(false, false));
        setOnMouseDragReleased(event -> {
            LightTable.Hand now = table.hand();
            markDrop(false, false);
            if (table.drags() && now != null) now.drop(page, event.getX() < getWidth() / 2);
            table.drag(false);
        });
        takeFiles();
    }

    /** Files can be put between pages. */
    private void takeFiles() {
        setOnDragOver(event -> {
            if (table.hand() == null || !event.getDragboard().hasFiles()) return;
            event.acceptTransferModes(TransferMode.COPY);
            markDrop(event.getX() < getWidth() / 2, event.getX() >= getWidth() / 2);
            event.consume();
        });
        setOnDragExited(event -> markDrop(false, false));
        setOnDragDropped(event -> {
            LightTable.Hand now = table.hand();
            markDrop(false, false);
            if (now == null || !event.getDragboard().hasFiles()) return;
            now.dropFiles(event.getDragboard().getFiles().stream().map(file -> Path.of(file.getPath())).toList(), page,
                    event.getX() < getWidth() / 2);
            event.setDropCompleted(true);
            event.consume();
        });
    }

    private void markDrop(boolean before, boolean behind) {
        pseudoClassStateChanged(Styles.DROP_ABOVE, before);
        pseudoClassStateChanged(Styles.DROP_BELOW, behind);
    }

    void show(LightTable.Model now, int newPage) {
        page = newPage;
        int piece = now.piece(page);
        Optional<String> faded = now.faded(page);
        pseudoClassStateChanged(Styles.ODD_PIECE, piece >= 0 && piece % 2 == 1);
        pseudoClassStateChanged(Styles.EVEN_PIECE, piece >= 0 && piece % 2 == 0);
        pseudoClassStateChanged(Styles.FADED, faded.isPresent());
        pseudoClassStateChanged(Styles.CURRENT, page == table.currentProperty().get());
        pseudoClassStateChanged(Styles.CHOSEN, now.isChosen(page));
        picture.mark(now.areas());
        picture.setOpacity(faded.isPresent() ? 0.35 : 1);
        foot.setText(faded.map(why -> now.foot(page) + " · " + why).orElse(now.foot(page)));
        PageRenderer.Order order = now.order(page, table.widthPx());
        List<Mark> marks = now.marks(page);
        if (order.key().equals(shownKey) && marks.equals(shownMarks)) return;
        request.cancel();
        shownKey = order.key();
        shownMarks = marks;
        Consumer<PagePictures.Result> take = result -> {
            if (result instanceof PagePictures.Result.Picture drawn) picture.show(drawn, marks);
            else picture.clear();
        };
        picture.clear();
        request = table.pictures().request(order, Urgency.IN_VIEW, take);
    }

    void clear() {
        request.cancel();
        request = PagePictures.Request.DONE;
        shownKey = null;
        picture.clear();
    }

    @Override
    protected void layoutChildren() {
        double width = getWidth();
        picture.resizeRelocate(LightTable.GAP / 2 + 2, LightTable.TAB, width - LightTable.GAP - 4,
                getHeight() - LightTable.TAB - LightTable.FOOT - LightTable.GAP / 2);
        foot.resizeRelocate(LightTable.GAP / 2 + 3, getHeight() - LightTable.FOOT - LightTable.GAP / 2,
                width - LightTable.GAP - 6, LightTable.FOOT);
    }
}
