package app.yellowtab.desktop.cut;

import app.yellowtab.cut.TextFinder;
import app.yellowtab.desktop.cut.CutDesk.Shown;
import app.yellowtab.desktop.pages.PagePane;
import app.yellowtab.desktop.pages.PagePictures;
import app.yellowtab.desktop.pages.PagePictures.Urgency;
import app.yellowtab.desktop.work.Controls;
import app.yellowtab.desktop.work.Styles;
import app.yellowtab.desktop.work.Words;
import app.yellowtab.model.page.Area;
import app.yellowtab.picture.PageRenderer;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.IntConsumer;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** One page of a batch, large, with its words; an area drawn on it says what stands in it, and can cut and name. */
final class LargePage extends HBox {
    static final int WIDTH_PX = 800;
    /** How wide the words of a page are shown, in pixels. */
    private static final double BESIDE = 250;

    private final CutDesk desk;
    private final PagePictures pictures;
    private final PagePane picture = new PagePane();
    private final TextArea words = new TextArea();
    private final Label areaWords = Controls.paragraph("", Styles.NOTICE);
    private final VBox areaBox = new VBox(6);
    private Optional<Area> drawn = Optional.empty();
    private PagePictures.Request request = PagePictures.Request.DONE;
    private int page = 1;

    /**
     * @param close is run when it is not wanted any more
     * @param turn  turns so many pages on, or back
     */
    LargePage(CutDesk desk, PagePictures pictures, Runnable close, IntConsumer turn) {
        super(12);
        this.desk = desk;
        this.pictures = pictures;
        setId("large-page");
        getStyleClass().add(Styles.LARGE_PAGE);
        setFocusTraversable(true);
        HBox.setHgrow(picture, Priority.ALWAYS);
        picture.onDrawn(area -> {
            drawn = Optional.of(area);
            desk.shownProperty().get().ifPresent(this::showWords);
        });
        words.setEditable(false);
        words.setWrapText(true);
        VBox.setVgrow(words, Priority.ALWAYS);
        areaWords.setId("area-words");
        areaBox.getChildren().addAll(areaWords, Controls.button("cut.area.value", () -> drawn.ifPresent(desk::cutByValueIn)),
                Controls.button("cut.area.words", () -> drawn.ifPresent(area -> desk.lookForWordsIn(Optional.of(area)))), Controls.button("cut.area.name", () -> drawn.ifPresent(desk::nameByWordsIn)));
        VBox beside = new VBox(8, words, Controls.paragraph(Words.of("cut.area.how"), Styles.SMALL), areaBox);
        beside.setPrefWidth(BESIDE);
        beside.setMinWidth(BESIDE);
        getChildren().addAll(picture, beside);
        addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            boolean turns = event.getCode() == KeyCode.LEFT || event.getCode() == KeyCode.RIGHT;
            if (event.getCode() == KeyCode.ESCAPE) close.run();
            else if (turns && !words.isFocused()) turn.accept(event.getCode() == KeyCode.LEFT ? -1 : 1);
            else return;
            event.consume();
        });
        Controls.show(this, false);
    }

    /** Shows a page, by its place in the batch. */
    void show(Shown shown, int newPage, PageRenderer.Order order) {
        page = newPage;
        Controls.show(this, true);
        request.cancel();
        request = pictures.request(order, Urgency.IN_VIEW, result -> {
            if (result instanceof PagePictures.Result.Picture drawnPage) picture.show(drawnPage, List.of());
            else picture.clear();
        });
        showWords(shown);
    }

    private void showWords(Shown shown) {
        List<Area> marked = new ArrayList<>(desk.areas());
        drawn.ifPresent(marked::add);
        picture.mark(marked);
        Controls.show(areaBox, drawn.isPresent());
        drawn.ifPresent(area -> {
            String in = TextFinder.in(shown.pages().get(page - 1).text(), area).replace('\n', ' ');
            areaWords.setText(in.isEmpty() ? Words.of("cut.area.empty") : Words.of("cut.area.holds", in));
        });
        String text = shown.pages().get(page - 1).text().text();
        words.setText(text.isEmpty() ? Words.of(shown.isRead() ? "cut.noWords" : "cut.notRead") : text);
    }

    /** Shows nothing. */
    void close() {
        drawn = Optional.empty();
        request.cancel();
        Controls.show(this, false);
    }
}
