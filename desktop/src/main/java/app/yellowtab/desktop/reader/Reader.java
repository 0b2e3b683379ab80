package app.yellowtab.desktop.reader;

import app.yellowtab.desktop.work.Controls;
import app.yellowtab.desktop.work.Pictures;
import app.yellowtab.desktop.work.Styles;
import app.yellowtab.desktop.work.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.model.EntryId;
import app.yellowtab.plan.Content;
import app.yellowtab.plan.Leaf;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.PlannedEntry;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.image.ImageView;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.text.TextAlignment;
import javafx.util.Subscription;
import org.kordamp.ikonli.feather.Feather;

/** Shows one leaf as it will be produced, with its number, and goes to any other. */
public final class Reader extends VBox {
    /** Sharp at the width shown, and on displays of up to double density. */
    private static final int WIDTH_PX = 760;

    private final Workspace workspace;
    private final ExecutorService drawing = Executors.newSingleThreadExecutor(Thread.ofPlatform().daemon().name("draw").factory());
    private final PagePictures pictures;
    private final TextField number = new TextField();
    private final Label of = new Label();
    private final ImageView picture = new ImageView();
    private final Label trouble = Controls.paragraph("", Styles.NOTICE);
    private final Label remark = Controls.paragraph("", Styles.NOTICE);
    private final StackPane paper = new StackPane(picture, trouble);
    private final Label what = Controls.paragraph("", Styles.SMALL);
    private final Subscription subscription;

    public Reader(Workspace workspace) {
        super(8);
        this.workspace = workspace;
        this.pictures = new PagePictures(workspace.folder(), drawing, Platform::runLater);
        number.setId("leaf-number");
        number.setPrefColumnCount(4);
        number.setAccessibleText(Words.of("reader.number"));
        number.setOnAction(event -> goToTyped());
        number.focusedProperty().subscribe(focused -> {
            if (!focused) showNumber();
        });
        HBox head = new HBox(6, Controls.iconButton(Feather.CHEVRON_LEFT, "reader.previous", () -> step(-1)),
                Controls.label(Words.of("reader.leaf"), Styles.SMALL), number, of,
                Controls.iconButton(Feather.CHEVRON_RIGHT, "reader.next", () -> step(1)));
        head.setAlignment(Pos.CENTER);
        picture.setPreserveRatio(true);
        picture.setSmooth(true);
        picture.fitWidthProperty().bind(paper.widthProperty().subtract(2));
        picture.fitHeightProperty().bind(paper.heightProperty().subtract(2));
        paper.setMinSize(0, 0);
        paper.setAlignment(Pos.TOP_CENTER);
        paper.getStyleClass().add(Styles.PAGE);
        paper.addEventHandler(ScrollEvent.SCROLL, event -> {
            if (event.getDeltaY() != 0) step(event.getDeltaY() < 0 ? 1 : -1);
        });
        VBox.setVgrow(paper, Priority.ALWAYS);
        remark.setId("leaf-remark");
        Controls.show(remark, false);
        what.setId("leaf-what");
        what.setAlignment(Pos.CENTER);
        what.setTextAlignment(TextAlignment.CENTER);
        what.setMaxWidth(Double.MAX_VALUE);
        getChildren().addAll(head, what, remark, paper);
        getStyleClass().add(Styles.READER);
        subscription = Subscription.combine(workspace.onPlan(plan -> show()),
                workspace.onLeaf(leaf -> show()), workspace.unlockingsProperty().subscribe(count -> show()));
    }

    /** Puts the keyboard in the number field. */
    public void askForNumber() {
        number.requestFocus();
        number.selectAll();
    }

    public void dispose() {
        subscription.unsubscribe();
        drawing.shutdownNow();
    }

    private void step(int leaves) {
        workspace.goTo(workspace.leaf() + leaves);
    }

    private void goToTyped() {
        String typed = number.getText().strip();
        workspace.goToNumber(typed);
        showNumber();
        number.selectAll();
    }

    private void showNumber() {
        number.setText(read().label());
    }

    private void show() {
        Plan plan = workspace.plan();
        Leaf leaf = read();
        showNumber();
        of.setText(Words.of("reader.of", plan.lastNumber()));
        what.setText(describe(plan, leaf));
        pictures.ask(plan, leaf.index(), workspace.unlockingsProperty().get(), WIDTH_PX, this::show);
    }

    private Leaf read() {
        return workspace.plan().leaf(workspace.leaf());
    }

    private void show(Pictures.Result result) {
        switch (result) {
            case Pictures.Result.Picture drawn -> {
                picture.setImage(drawn.image());
                remark.setText(drawn.missing() > 0 ? Words.of("reader.picturesMissing", drawn.missing()) : "");
            }
            case Pictures.Result.Failed failed -> {
                picture.setImage(null);
                remark.setText("");
                trouble.setText(failed.message().isEmpty() ? Words.of("reader.notDrawn") : failed.message());
            }
        }
        Controls.show(trouble, result instanceof Pictures.Result.Failed);
        Controls.show(remark, !remark.getText().isEmpty());
    }

    /** {@return what a leaf is, in words, such as "Defence, page 3 of 7"} */
    private String describe(Plan plan, Leaf leaf) {
        return switch (leaf.content()) {
            case Content.Cover c -> Words.of("leaf.cover");
            case Content.IndexSheet i -> Words.of("leaf.index", i.sheet() + 1, plan.indexSheets().size());
            case Content.SectionTitle s -> Words.of("leaf.section", s.label(), s.title());
            case Content.Blank b -> Words.of(leaf.key().isPresent() ? "leaf.blankIn" : "leaf.blank", title(plan.entry(b.document())));
            case Content.Divider d -> Words.of("leaf.divider", d.title());
            case Content.Slip s -> inDocument(plan, leaf, s.document());
            case Content.SourcePage s -> inDocument(plan, leaf, s.document());
        };
    }

    private static String inDocument(Plan plan, Leaf leaf, EntryId document) {
        Optional<PlannedEntry> entry = plan.entry(document);
        PlannedEntry.Span span = entry.map(PlannedEntry::span).orElse(new PlannedEntry.Span(leaf.index(), leaf.index(), "", ""));
        return Words.of("leaf.source", title(entry), leaf.index() - span.first() + 1, span.count());
    }

    private static String title(Optional<PlannedEntry> entry) {
        return entry.map(PlannedEntry::title).orElse("");
    }
}
