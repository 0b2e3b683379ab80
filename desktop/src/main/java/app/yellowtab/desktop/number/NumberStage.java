package app.yellowtab.desktop.number;

import app.yellowtab.clash.Clash;
import app.yellowtab.desktop.clash.ClashDesk;
import app.yellowtab.desktop.clash.ClashSide;
import app.yellowtab.desktop.clash.OldDesk;
import app.yellowtab.desktop.clash.OldSide;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.FileDialogs;
import app.yellowtab.desktop.look.Segments;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.mark.PresetStore;
import app.yellowtab.desktop.pages.PagePane;
import app.yellowtab.desktop.pages.PagePictures;
import app.yellowtab.desktop.pages.PagePictures.Urgency;
import app.yellowtab.desktop.work.Shortcut;
import app.yellowtab.desktop.work.StageView;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.mark.Mark;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.number.SeriesId;
import java.util.List;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import org.kordamp.ikonli.feather.Feather;

/**
 * The page in view, large, with its numbers and lines on it to be moved; beside it what is set, what clashes, and what pages
 * carried before.
 */
public final class NumberStage extends HBox implements StageView {
    /** Sharp at the size shown. */
    private static final int WIDTH_PX = 1100;

    /** What is beside the page. */
    private enum Side { SET, CLASHES, OLD }

    private final Workspace workspace;
    private final PagePictures pictures;
    private final NumberDesk desk;
    private final ClashDesk clashes;
    private final OldDesk old;
    private final PageSteps steps;
    private final PagePane page = new PagePane();
    private final TextField number = new TextField();
    private final Label of = new Label();
    private final SetSide set;
    private final ClashSide clashSide;
    private final OldSide oldSide;
    private final Segments<Side> sides;
    private final StackPane side = new StackPane();
    private final Subscription subscription;
    private PagePictures.Request request = PagePictures.Request.DONE;

    /** @param loose shows loose files */
    public NumberStage(Workspace workspace, PagePictures pictures, FileDialogs dialogs, ClashDesk clashes, OldDesk old,
            PresetStore presets, Runnable loose) {
        super(20);
        this.workspace = workspace;
        this.pictures = pictures;
        this.desk = new NumberDesk(workspace);
        this.clashes = clashes;
        this.old = old;
        this.steps = new PageSteps(workspace, desk::say);
        this.set = new SetSide(desk, workspace, dialogs, presets, loose);
        this.clashSide = new ClashSide(clashes, workspace);
        this.oldSide = new OldSide(old, workspace, dialogs, old.saidProperty());
        getStyleClass().add(Styles.NUMBER);
        page.setId("number-page");
        page.onMarks(new PagePane.MarkHand() {
            @Override
            public void chosen(Mark mark) {
                desk.choose(new SeriesId(mark.series()));
                show(Side.SET);
            }

            @Override
            public void moved(Mark mark, Spot spot) {
                desk.choose(new SeriesId(mark.series()));
                set.put(spot);
            }
        });
        page.addEventHandler(ScrollEvent.SCROLL, event -> {
            if (event.getDeltaY() != 0) workspace.goTo(workspace.leaf() + (event.getDeltaY() < 0 ? 1 : -1));
        });
        VBox.setVgrow(page, Priority.ALWAYS);
        VBox middle = new VBox(8, head(), page);
        HBox.setHgrow(middle, Priority.ALWAYS);
        middle.setMinSize(0, 0);
        sides = new Segments<>("number-side", List.of(Side.values()), each -> Words.of("number.side." + each.name()), this::show);
        VBox.setVgrow(side, Priority.ALWAYS);
        VBox beside = new VBox(14, sides, side);
        beside.getStyleClass().add(Styles.NUMBER_SIDE);
        getChildren().addAll(middle, beside);
        show(Side.SET);
        subscription = Subscription.combine(workspace.onPlan(plan -> showPage()), workspace.onLeaf(leaf -> showPage()),
                sceneProperty().subscribe(scene -> {
                    clashes.look(this, scene != null);
                    old.look(this, scene != null);
                    showPage();
                }), clashes.stateProperty().subscribe(state -> {
                    sides.say(Side.CLASHES, Words.of("number.sideClashes", state.clashes().size()));
                    showClashes();
                }), old.foundProperty().subscribe(found -> {
                    sides.say(Side.OLD, Words.of("number.sideOld", found.size()));
                    showOld();
                }));
    }

    private HBox head() {
        number.setId("number-leaf");
        number.setPrefColumnCount(7);
        number.setAccessibleText(Words.of("reader.number"));
        number.setOnAction(event -> {
            workspace.goToNumber(number.getText());
            showPage();
        });
        HBox head = new HBox(6,
                Controls.iconButton(Feather.CHEVRON_LEFT, "number.previous", () -> workspace.goTo(workspace.leaf() - 1)),
                Controls.label(Words.of("reader.leaf"), Styles.SMALL), number, of,
                Controls.iconButton(Feather.CHEVRON_RIGHT, "number.next", () -> workspace.goTo(workspace.leaf() + 1)),
                Controls.spring(), Controls.button("number.nextClash", this::nextClash),
                Controls.button("number.landscape", steps::nextLandscape), Controls.button("number.looked", steps::nextLooked));
        head.setAlignment(Pos.CENTER_LEFT);
        return head;
    }

    private void nextClash() {
        if (!clashes.next()) desk.say(Words.of(clashes.stateProperty().get().isDone() ? "number.noClash" : "number.noClashYet"));
        else if (sides.getScene() != null) clashSide.choose(workspace.leaf());
    }

    private void show(Side chosen) {
        sides.choose(chosen);
        side.getChildren().setAll(switch (chosen) {
            case SET -> set;
            case CLASHES -> clashSide;
            case OLD -> oldSide;
        });
    }

    /** Puts the keyboard on the page's number. */
    @Override
    public void begin() {
        number.requestFocus();
    }

    /** {@return whether the keys meant something here} */
    @Override
    public boolean run(Shortcut shortcut, boolean typing) {
        if (shortcut != Shortcut.GO_TO) return false;
        number.requestFocus();
        number.selectAll();
        return true;
    }

    @Override
    public void dispose() {
        subscription.unsubscribe();
        request.cancel();
        clashSide.dispose();
        oldSide.dispose();
        set.dispose();
        desk.dispose();
    }

    private void showPage() {
        if (getScene() == null) return;
        Leaf leaf = workspace.plan().leaf(workspace.leaf());
        number.setText(leaf.label());
        of.setText(Words.of("reader.of", workspace.plan().lastNumber()));
        request.cancel();
        request = pictures.request(pictures.renderer().leaf(workspace.plan(), leaf, WIDTH_PX), Urgency.IN_VIEW, result -> {
            if (result instanceof PagePictures.Result.Picture drawn) page.show(drawn, workspace.plan().marksOn(leaf));
            else page.clear();
            showClashes();
        });
        showOld();
    }

    /** Frames the marks of the page in view that stand on something. */
    private void showClashes() {
        page.alarm(clashes.stateProperty().get().clashes().stream().filter(clash -> clash.leaf() == workspace.leaf())
                .map(Clash::mark).map(Mark::series).collect(Collectors.toSet()));
    }

    private void showOld() {
        page.mark(Styles.OLD_NUMBER, old.onPage());
    }
}
