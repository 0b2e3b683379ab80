package app.yellowtab.desktop.sheets;

import app.yellowtab.desktop.batch.CutDesk;
import app.yellowtab.desktop.batch.CutDesk.Shown;
import app.yellowtab.desktop.batch.SheetDesk;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.pages.PagePane;
import app.yellowtab.desktop.pages.PagePictures;
import app.yellowtab.desktop.pages.PagePictures.Urgency;
import app.yellowtab.model.page.Area;
import app.yellowtab.picture.PageRenderer;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.IntConsumer;
import javafx.scene.control.ListView;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** One page of a batch, large, with its words; an area drawn on it says what stands in it, and can cut and name. */
public final class LargePage extends HBox {
    public static final int WIDTH_PX = 800;
    /** How wide the words of a page are shown, in pixels. */
    private static final double BESIDE = 250;
    private static final double LEAST_WORDS_PX = 60;

    private final CutDesk desk;
    private final PagePictures pictures;
    private final PagePane picture = new PagePane();
    private final TextArea words = new TextArea();
    private final AreaPanel area;
    private PagePictures.Request request = PagePictures.Request.DONE;
    private int page = 1;

    /**
     * @param close is run when it is not wanted any more
     * @param turn  turns so many pages on, or back
     */
    public LargePage(CutDesk desk, SheetDesk sheets, PagePictures pictures, Runnable close, IntConsumer turn) {
        super(12);
        this.desk = desk;
        this.pictures = pictures;
        setId("large-page");
        getStyleClass().add(Styles.LARGE_PAGE);
        setFocusTraversable(true);
        HBox.setHgrow(picture, Priority.ALWAYS);
        picture.onDrawn(drawn -> {
            take(drawn);
            requestFocus();
        });
        words.setEditable(false);
        words.setWrapText(true);
        words.setMinHeight(LEAST_WORDS_PX);
        VBox.setVgrow(words, Priority.ALWAYS);
        area = new AreaPanel(desk, sheets, this::take, to -> turn.accept(to - page));
        VBox beside = new VBox(8, words, area);
        beside.setPrefWidth(BESIDE);
        beside.setMinWidth(BESIDE);
        getChildren().addAll(picture, beside);
        addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            boolean turns = event.getCode() == KeyCode.LEFT || event.getCode() == KeyCode.RIGHT;
            boolean typing =
                    getScene().getFocusOwner() instanceof TextInputControl || getScene().getFocusOwner() instanceof ListView;
            boolean moves = !typing && event.getCode().isArrowKey() && area.area().isPresent()
                    && (event.isShiftDown() || event.isAltDown());
            if (event.getCode() == KeyCode.ESCAPE) close.run();
            else if (moves) move(event);
            else if (turns && !typing) turn.accept(event.getCode() == KeyCode.LEFT ? -1 : 1);
            else return;
            event.consume();
        });
        Controls.show(this, false);
    }

    /** Shows a page, by its place in the batch. */
    public void show(Shown shown, int newPage, PageRenderer.Order order) {
        page = newPage;
        Controls.show(this, true);
        request.cancel();
        request = pictures.request(order, Urgency.IN_VIEW, result -> {
            if (result instanceof PagePictures.Result.Picture drawnPage) picture.show(drawnPage, List.of());
            else picture.clear();
        });
        showWords(shown);
    }

    private void move(KeyEvent event) {
        double across = event.getCode() == KeyCode.LEFT ? -1 : event.getCode() == KeyCode.RIGHT ? 1 : 0;
        double down = event.getCode() == KeyCode.UP ? -1 : event.getCode() == KeyCode.DOWN ? 1 : 0;
        area.move(across, down, event.isAltDown());
    }

    private void take(Area newArea) {
        area.set(Optional.of(newArea));
        desk.shownProperty().get().ifPresent(this::showWords);
    }

    private void showWords(Shown shown) {
        List<Area> marked = new ArrayList<>(desk.rules().areas());
        area.area().ifPresent(marked::add);
        picture.mark(marked);
        area.show(shown, page);
        String text = shown.pages().get(page - 1).text().text();
        words.setText(text.isEmpty() ? Words.of(shown.isRead() ? "cut.noWords" : "cut.notRead") : text);
    }

    /** Shows nothing. */
    public void close() {
        area.set(Optional.empty());
        request.cancel();
        Controls.show(this, false);
    }
}
