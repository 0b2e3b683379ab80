package app.yellowtab.desktop.sheets;

import app.yellowtab.cut.SheetsToMend;
import app.yellowtab.desktop.batch.CutDesk.Shown;
import app.yellowtab.desktop.batch.SheetDesk;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.pages.PagePictures;
import app.yellowtab.desktop.pages.PagePictures.Urgency;
import app.yellowtab.picture.PageRenderer;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.IntConsumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.image.ImageView;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/**
 * Sheets that are not blank for sure: a slider says how much may be on them, and they are shown beside it before they are
 * dropped.
 */
public final class DoubtfulSheets extends VBox {
    /** Sheets with longer marks on them are no question. */
    private static final double MOST_MM = 60;
    private static final double FIRST_MM = 6;
    private static final int MOST_SHOWN = 8;
    private static final int WIDTH_PX = 56;
    private static final double CORNERS = 4;

    private final SheetDesk sheets;
    private final PagePictures pictures;
    private final Orders orders;
    private final IntConsumer toPage;
    private final Slider most = new Slider(0, MOST_MM, FIRST_MM);
    private final Label said = Controls.paragraph("", Styles.SENTENCE);
    private final FlowPane pages = new FlowPane(CORNERS, CORNERS);
    private final Button drop = Controls.button("cut.sheet.doubtful.do", this::drop);
    private final List<PagePictures.Request> requests = new ArrayList<>();
    private Optional<Shown> shown = Optional.empty();
    private List<Integer> found = List.of();

    /** Orders the picture of a page of a batch. */
    @FunctionalInterface
    public interface Orders {
        PageRenderer.Order of(Shown shown, int page, int widthPx);
    }

    public DoubtfulSheets(SheetDesk sheets, PagePictures pictures, Orders orders, IntConsumer toPage) {
        super(4);
        this.sheets = sheets;
        this.pictures = pictures;
        this.orders = orders;
        this.toPage = toPage;
        most.setId("doubtful-most");
        drop.setId("sheet-doubtful");
        pages.setId("doubtful-pages");
        Controls.describe(most, Words.of("cut.sheet.doubtful.slider"));
        most.valueProperty().subscribe((before, now) -> list());
        HBox row = new HBox(6, most, drop);
        row.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(said, row, pages);
    }

    /** Takes another batch; {@return whether any of its sheets is doubtful at all} */
    boolean show(Optional<Shown> now) {
        shown = now;
        boolean any = now.filter(its -> !SheetsToMend.doubtful(its.read(), its.cutting(), MOST_MM).isEmpty()).isPresent();
        list();
        return any;
    }

    private void list() {
        List<Integer> before = found;
        found = shown.map(now -> SheetsToMend.doubtful(now.read(), now.cutting(), most.getValue())).orElse(List.of());
        said.setText(Words.of("cut.sheet.doubtful", found.size(), Math.round(most.getValue())));
        drop.setDisable(found.isEmpty());
        if (found.equals(before) && !pages.getChildren().isEmpty()) return;
        requests.forEach(PagePictures.Request::cancel);
        requests.clear();
        pages.getChildren().clear();
        for (int page : found.subList(0, Math.min(MOST_SHOWN, found.size()))) pages.getChildren().add(picture(page));
        if (found.size() > MOST_SHOWN)
            pages.getChildren().add(Controls.label(Words.of("cut.sheet.doubtful.more", found.size() - MOST_SHOWN), Styles.SMALL));
    }

    private Button picture(int page) {
        ImageView view = new ImageView();
        view.setFitWidth(WIDTH_PX);
        view.setPreserveRatio(true);
        Button button = new Button(String.valueOf(page), view);
        button.setContentDisplay(ContentDisplay.TOP);
        button.getStyleClass().add(Styles.SMALL_PAGE);
        button.setAccessibleText(Words.of("cut.sheet.doubtful.page", page));
        button.setOnAction(event -> toPage.accept(page));
        shown.ifPresent(now -> requests.add(pictures.request(orders.of(now, page, 2 * WIDTH_PX), Urgency.IN_VIEW, result -> {
            if (result instanceof PagePictures.Result.Picture drawn) view.setImage(drawn.image());
        })));
        return button;
    }

    private void drop() {
        sheets.drop(found);
    }
}
