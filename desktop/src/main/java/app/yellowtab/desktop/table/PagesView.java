package app.yellowtab.desktop.table;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.FileDialogs;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.pages.FrameWish;
import app.yellowtab.desktop.pages.LightTable;
import app.yellowtab.desktop.pages.PagePictures;
import app.yellowtab.desktop.table.PagesDesk.Kind;
import app.yellowtab.desktop.table.PagesDesk.Shown;
import app.yellowtab.desktop.work.Shortcut;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.mark.Mark;
import app.yellowtab.model.page.Area;
import app.yellowtab.picture.PageRenderer;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.OverrunStyle;
import javafx.scene.control.Slider;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import org.kordamp.ikonli.feather.Feather;

/** The light table over documents: their pages as they will be produced, and what is done with those that are chosen. */
public final class PagesView extends VBox {
    private static final int HALF = 2;

    private final Workspace workspace;
    private final PagesDesk desk;
    private final PagePictures pictures;
    private final LightTable table;
    private final Label heading = Controls.label("", Styles.FORM_LABEL);
    private final Label said = Controls.label("", Styles.SMALL);
    private final Label counted = Controls.label("", Styles.SMALL);
    private final FlowPane tools = new FlowPane(6, 6);
    private final PagesWork work;
    /** What can be opened above the table, one of them at a time. */
    private final Map<String, TableBar> bars;
    private final Subscription subscription;

    public PagesView(Workspace workspace, PagesDesk desk, PagesWork work, PagePictures pictures, FileDialogs dialogs,
            FrameWish frame) {
        super(8);
        this.workspace = workspace;
        this.desk = desk;
        this.pictures = pictures;
        this.work = work;
        this.bars = Map.of("crop", new CropBar(desk, work, frame), "blank", new BlankBar(work), "insert",
                new InsertBar(work, dialogs), "paper", new PaperBar(work), "save", new SaveBar(work, dialogs), "withhold",
                new WithholdBar(desk));
        setId("pages-view");
        getStyleClass().add(Styles.CUT_WORK);
        table = new LightTable(pictures);
        table.onHand(new OnTable());
        table.addEventFilter(KeyEvent.KEY_PRESSED, this::onKey);
        VBox.setVgrow(table, Priority.ALWAYS);
        heading.setMinWidth(0);
        heading.setTextOverrun(OverrunStyle.CENTER_ELLIPSIS);
        counted.setMinWidth(USE_PREF_SIZE);
        Button back = Controls.button("pages.back", desk::close);
        back.setMinWidth(USE_PREF_SIZE);
        HBox head = new HBox(10, heading, counted, Controls.spring(), size(), back);
        head.setAlignment(Pos.CENTER_LEFT);
        Button left = Controls.iconButton(Feather.ROTATE_CCW, "pages.left", () -> desk.turn(-1));
        Button right = Controls.iconButton(Feather.ROTATE_CW, "pages.right", () -> desk.turn(1));
        MenuButton more = new MenuButton(Words.of("pages.more"));
        more.setId("pages-more");
        more.getItems().setAll(Controls.menuItem("pages.about", () -> desk.turn(HALF)),
                Controls.menuItem("pages.divide",
                        () -> work.divide(whole -> said.setText(whole == 0 ? "" : Words.of("pages.divided", whole)))),
                Controls.menuItem("pages.reverse", desk::reverse), Controls.menuItem("pages.copy", desk::copy),
                Controls.menuItem("pages.keepOnly", desk::keepOnly), Controls.menuItem("pages.withhold", () -> open("withhold")),
                Controls.menuItem("pages.asTheyCame", desk::asTheyCame));
        tools.getChildren().addAll(kinds(), left, right, Controls.button("pages.takeOut", desk::takeOut), opener("blank"),
                opener("insert"), opener("crop"), opener("paper"), opener("save"), more);
        said.setId("pages-said");
        getChildren().addAll(head, tools);
        getChildren().addAll(bars.values());
        getChildren().addAll(said, table);
        subscription = Subscription.combine(desk.shownProperty().subscribe(this::show), workspace.onLeaf(this::follow));
    }

    public void dispose() {
        subscription.unsubscribe();
        table.dispose();
    }

    /** Puts the keyboard on the pages. */
    public void begin() {
        follow(workspace.leaf());
        table.requestFocus();
    }

    private Button opener(String bar) {
        return Controls.button("pages." + bar, () -> open(bar));
    }

    /** Opens a bar alone, or closes it where it is open. */
    private void open(String bar) {
        boolean shows = !bars.get(bar).isVisible();
        bars.values().forEach(each -> each.open(false));
        bars.get(bar).open(shows);
    }

    /** Opens what saves pages, with all of them chosen. */
    public void beginSaving() {
        desk.choose(Kind.ALL);
        bars.values().forEach(each -> each.open(false));
        bars.get("save").open(true);
    }

    private MenuButton kinds() {
        MenuButton kinds = new MenuButton(Words.of("pages.choose"));
        kinds.setId("pages-choose");
        for (Kind kind : Kind.values())
            kinds.getItems().add(Controls.menuItem("pages.kind." + kind.name(), () -> desk.choose(kind)));
        return kinds;
    }

    private Slider size() {
        Slider size = new Slider(LightTable.LEAST, LightTable.MOST, table.pageWidthProperty().get());
        size.valueProperty().bindBidirectional(table.pageWidthProperty());
        size.setPrefWidth(110);
        size.setMinWidth(80);
        size.setFocusTraversable(false);
        Controls.describe(size, Words.of("cut.tableSize"));
        return size;
    }

    private void show(Shown shown) {
        Controls.show(said, !said.getText().isEmpty());
        if (!shown.open()) {
            bars.values().forEach(each -> each.open(false));
            said.setText("");
            return;
        }
        heading.setText(shown.documents().size() == 1 ? shown.documents().getFirst().title()
                : Words.of("pages.documents", shown.documents().size()));
        counted.setText(Words.of("pages.counted", shown.leaves().size(), shown.chosen().size()));
        tools.getChildren().stream().skip(1).forEach(tool -> tool.setDisable(shown.chosen().isEmpty()));
        table.show(new OfDocuments(shown));
    }

    /** The page that is read is the one that the keyboard is at. */
    private void follow(int leaf) {
        List<Leaf> leaves = desk.shownProperty().get().leaves();
        int low = 0;
        int high = leaves.size();
        while (low < high) {
            int middle = (low + high) / 2;
            if (leaves.get(middle).index() < leaf) low = middle + 1;
            else high = middle;
        }
        if (low < leaves.size() && leaves.get(low).index() == leaf && table.currentProperty().get() != low + 1)
            table.goTo(low + 1);
    }

    private void onKey(KeyEvent event) {
        int before = table.currentProperty().get();
        boolean moves = switch (event.getCode()) {
            case LEFT, RIGHT, UP, DOWN, PAGE_UP, PAGE_DOWN, HOME, END -> !event.isControlDown() && !event.isAltDown();
            default -> false;
        };
        if (moves) {
            // The table has gone there by the time that this is done.
            boolean extend = event.isShiftDown();
            Platform.runLater(() -> {
                int now = table.currentProperty().get();
                if (now == before || desk.shownProperty().get().leaves().isEmpty()) return;
                if (extend) desk.extendTo(now);
                else desk.choose(now);
            });
            return;
        }
        if (run(event, before)) event.consume();
    }

    private boolean run(KeyEvent event, int current) {
        boolean plain = !event.isControlDown() && !event.isAltDown() && !event.isShiftDown();
        if (event.getCode() == KeyCode.ESCAPE) desk.close();
        else if (Shortcut.SELECT_ALL.matches(event)) desk.choose(Kind.ALL);
        else if (Shortcut.TAKE_OUT.matches(event)) desk.takeOut();
        else if (plain && Shortcut.SET_CUT.matches(event)) desk.toggle(current);
        else if (Shortcut.TURN_RIGHT.matches(event)) desk.turn(1);
        else if (Shortcut.TURN_LEFT.matches(event)) desk.turn(-1);
        else if (Shortcut.NEST.matches(event)) desk.step(true);
        else if (Shortcut.UN_NEST.matches(event)) desk.step(false);
        else return false;
        return true;
    }

    /** Choosing and moving with the mouse. */
    private final class OnTable implements LightTable.Hand {
        @Override
        public void press(int page, MouseEvent event) {
            if (event.isShortcutDown()) desk.toggle(page);
            else if (event.isShiftDown()) desk.extendTo(page);
            // What is chosen stays so while it may be about to be dragged.
            else if (event.getButton() != MouseButton.PRIMARY || !desk.shownProperty().get().isChosen(page)) desk.choose(page);
            else workspace.goTo(desk.shownProperty().get().leaves().get(page - 1).index());
        }

        @Override
        public boolean takes(int page) {
            return desk.shownProperty().get().isChosen(page);
        }

        @Override
        public void drop(int page, boolean before) {
            desk.moveTo(page, before);
        }

        @Override
        public void dropFiles(List<Path> files, int page, boolean before) {
            work.insertAt(files, page, before);
        }
    }

    /** Documents as the table shows them. */
    private final class OfDocuments implements LightTable.Model {
        private final Shown shown;

        OfDocuments(Shown shown) {
            this.shown = shown;
        }

        private Leaf leaf(int page) {
            return shown.leaves().get(page - 1);
        }

        @Override
        public int pageCount() {
            return shown.leaves().size();
        }

        @Override
        public PageRenderer.Order order(int page, int widthPx) {
            return pictures.renderer().leaf(shown.plan(), leaf(page), widthPx);
        }

        @Override
        public Optional<LightTable.Tab> tab(int page) {
            int document = shown.document(page);
            if (shown.starts().get(document) != page) return Optional.empty();
            var its = shown.documents().get(document);
            return Optional
                    .of(new LightTable.Tab(its.title(), its.span().shown(), Words.of("pages.tabWhy", its.span().count()), false));
        }

        @Override
        public int piece(int page) {
            return shown.document(page);
        }

        @Override
        public List<Area> areas() {
            return List.of();
        }

        @Override
        public Optional<String> faded(int page) {
            return Optional.empty();
        }

        @Override
        public String foot(int page) {
            return leaf(page).label();
        }

        @Override
        public List<Mark> marks(int page) {
            return shown.plan().marksOn(leaf(page));
        }

        @Override
        public boolean isChosen(int page) {
            return shown.isChosen(page);
        }
    }
}
