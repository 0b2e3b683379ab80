package app.yellowtab.desktop.replace;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.FileDialogs;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.pages.PagePane;
import app.yellowtab.desktop.pages.PagePictures;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.repage.PagePairs.Pair;
import app.yellowtab.model.Comments;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.source.Source;
import java.util.List;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import org.jspecify.annotations.Nullable;

/** What differs between a document's file and the one that is to take its place: page by page, side by side. */
public final class ReplaceView extends VBox {
    private static final int WIDTH_PX = 600;
    private final Replacement replacement;
    private final Label title = Controls.paragraph("", Styles.TITLE);
    private final Label summary = Controls.paragraph("", Styles.FACT);
    private final Label said = Controls.paragraph("", Styles.SMALL);
    private final ListView<Pair> differences = new ListView<>();
    private final Side older;
    private final Side newer;
    private final HBox sides;
    private final Button accept;
    private final Button keep;
    private final Subscription subscription;

    public ReplaceView(Workspace workspace, Replacement replacement, PagePictures pictures, FileDialogs dialogs) {
        super(10);
        this.replacement = replacement;
        setId("replace");
        setPrefWidth(1);    // it takes what width there is, however long the names are
        older = new Side(pictures);
        newer = new Side(pictures);
        differences.setId("differences");
        differences.setAccessibleText(Words.of("replace.list"));
        differences.getStyleClass().add(Styles.AREA_PAGES);
        differences.setCellFactory(view -> new PairCell());
        differences.setPrefWidth(150);
        differences.setMinWidth(150);
        differences.getSelectionModel().selectedItemProperty().subscribe(this::look);
        sides = new HBox(12, differences, older, newer);
        HBox.setHgrow(older, Priority.ALWAYS);
        HBox.setHgrow(newer, Priority.ALWAYS);
        VBox.setVgrow(sides, Priority.ALWAYS);
        accept = Controls.button("replace.accept", replacement::accept);
        accept.getStyleClass().add(Styles.MAIN_ACTION);
        keep = Controls.button("replace.keep",
                () -> dialogs
                        .saveAs(Words.of("replace.keep"), workspace.folder().path().resolve(Words.of("replace.file") + ".csv"))
                        .ifPresent(replacement::keepList));
        HBox actions = new HBox(8, accept, Controls.button("replace.cancel", replacement::cancel), Controls.spring(), said, keep);
        actions.setAlignment(Pos.CENTER_LEFT);
        title.setMinHeight(USE_PREF_SIZE);
        getChildren().addAll(title, summary, sides, actions);
        getStyleClass().add(Styles.STAGE);
        addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() != KeyCode.ESCAPE) return;
            replacement.cancel();
            event.consume();
        });
        subscription = Subscription.combine(replacement.stateProperty().subscribe(this::show),
                replacement.saidProperty().subscribe(said::setText));
    }

    public void dispose() {
        subscription.unsubscribe();
        older.withdraw();
        newer.withdraw();
    }

    private void show(Replacement.ReplaceState state) {
        boolean ready = state instanceof Replacement.ReplaceState.Ready;
        boolean differs = state instanceof Replacement.ReplaceState.Ready both && !both.pairs().differences().isEmpty();
        Controls.show(accept, ready);
        Controls.show(keep, differs);
        // Its room stays where it is not shown, so that the buttons keep their place.
        sides.setVisible(differs);
        switch (state) {
            case Replacement.ReplaceState.None none -> differences.getItems().clear();
            case Replacement.ReplaceState.Comparing comparing -> say(Words.of("replace.title.comparing", comparing.newer()), "");
            case Replacement.ReplaceState.Failed failed -> say(Words.of("replace.title.failed"), failed.words());
            case Replacement.ReplaceState.Ready now -> {
                say(Words.of("replace.title", now.newer().fileName(), now.older().fileName()), Replacement.summary(now.pairs()));
                List<Pair> pairs = now.pairs().differences();
                differences.getItems().setAll(pairs);
                if (!pairs.isEmpty()) differences.getSelectionModel().selectFirst();
                (pairs.isEmpty() ? accept : differences).requestFocus();
            }
        }
    }

    private void say(String heading, String words) {
        title.setText(heading);
        summary.setText(words);
        Controls.show(summary, !words.isEmpty());
    }

    private void look(@Nullable Pair pair) {
        if (pair == null || !(replacement.stateProperty().get() instanceof Replacement.ReplaceState.Ready ready)) return;
        older.show(Words.of("replace.before"), ready.older(), pair.before());
        newer.show(Words.of("replace.after"), ready.newer(), pair.after());
    }

    /** One of the two pages, with what it is above it. */
    private static final class Side extends VBox {
        private final PagePictures pictures;
        private final Label caption = Controls.label("", Styles.SMALL);
        private final Label none = Controls.paragraph("", Styles.SMALL);
        private final PagePane page = new PagePane();
        private PagePictures.Request request = PagePictures.Request.DONE;

        Side(PagePictures pictures) {
            super(4);
            this.pictures = pictures;
            setMinSize(0, 0);
            setPrefWidth(1);
            StackPane paper = new StackPane(page, none);
            paper.setMinSize(0, 0);
            VBox.setVgrow(paper, Priority.ALWAYS);
            getChildren().addAll(caption, paper);
        }

        /** @param number counted from 1; 0 where there is no such page */
        void show(String which, Source source, int number) {
            request.cancel();
            page.clear();
            caption.setText(number == 0 ? which : Words.of("replace.page", which, number));
            none.setText(number == 0 ? Words.of("replace.noPage", source.fileName()) : "");
            if (number == 0) return;
            request = pictures.request(pictures.renderer().page(source.id(), number, PageLook.PLAIN, Comments.KEPT, WIDTH_PX),
                    PagePictures.Urgency.IN_VIEW, result -> {
                        switch (result) {
                            case PagePictures.Result.Picture drawn -> page.show(drawn, List.of());
                            case PagePictures.Result.Failed failed ->
                                    none.setText(failed.message().isEmpty() ? Words.of("reader.notDrawn") : failed.message());
                        }
                    });
        }

        void withdraw() {
            request.cancel();
        }
    }

    private static final class PairCell extends ListCell<Pair> {
        PairCell() {
            setPadding(new Insets(4, 8, 4, 8));
        }

        @Override
        protected void updateItem(@Nullable Pair pair, boolean empty) {
            super.updateItem(pair, empty);
            if (empty || pair == null) setText("");
            else if (pair.before() == 0) setText(Words.of("replace.new", pair.after()));
            else if (pair.after() == 0) setText(Words.of("replace.gone", pair.before()));
            else setText(Words.of(pair.moved() ? "replace.moved" : "replace.changed", pair.before(), pair.after()));
        }
    }
}
