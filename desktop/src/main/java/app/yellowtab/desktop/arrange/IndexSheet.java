package app.yellowtab.desktop.arrange;

import app.yellowtab.desktop.agree.AgreeMenu;
import app.yellowtab.desktop.entry.Arrangement;
import app.yellowtab.desktop.entry.EntryDesk;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.replace.Replacement;
import app.yellowtab.desktop.work.Shortcut;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.leaf.Parting;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.plan.Plan;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import javafx.animation.PauseTransition;
import javafx.collections.ListChangeListener;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.MenuButton;
import javafx.scene.control.SelectionMode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import javafx.util.Subscription;
import org.kordamp.ikonli.feather.Feather;

/** The index as it will be printed, and the place where it is made: every row is typed in, dragged and numbered here. */
final class IndexSheet extends VBox {
    private static final double LEAST_WIDTH = 320;
    /** More changed rows than this are set all at once. */
    private static final int MOST_ROW_BY_ROW = 20;
    /** So many rows are seen above one that is brought into sight. */
    private static final int ROWS_ABOVE = 8;
    private static final Duration RESTS = Duration.millis(120);
    private final Workspace workspace;
    private final Arrangement arrangement;
    private final ListView<PlannedEntry> rows = new ListView<>();
    private Runnable savePages = () -> {};
    private Runnable openPages = () -> {};
    private final HeadingView heading;
    private final InPlaceEditor editor;
    private final SectionChooser chooser;
    private final OfferBar offers;
    private final Subscription subscription;
    private Optional<EntryId> inView = Optional.empty();
    private final PauseTransition bringing = new PauseTransition(RESTS);
    private boolean showingPlan;
    private Parting parting = Parting.NONE;

    /** @param file asks for a file */
    IndexSheet(Workspace workspace, Arrangement arrangement, Replacement replacement, AgreeMenu agree,
            Supplier<Optional<Path>> file) {
        super(8);
        this.workspace = workspace;
        this.arrangement = arrangement;
        this.heading = new HeadingView(workspace);
        rows.setId("index");
        rows.setAccessibleText(Words.of("sheet.name"));
        rows.getStyleClass().add(Styles.SHEET_LIST);
        rows.setPrefSize(LEAST_WIDTH, LEAST_WIDTH);    // it takes what room there is, and need not measure its rows for that
        rows.getSelectionModel().setSelectionMode(SelectionMode.MULTIPLE);
        rows.setCellFactory(view -> new SheetCell(arrangement, () -> inView, () -> parting));
        rows.setPlaceholder(new SheetDrop(arrangement, Words.of("sheet.empty")));
        EdgeScroll.install(rows);
        EntryDesk desk = arrangement.entries();
        chooser = new SectionChooser(desk, this::focusRows);
        StackPane.setAlignment(chooser, Pos.TOP_CENTER);
        rows.setContextMenu(
                new EntryMenu(arrangement, replacement, this::askWhereTo, this::askForCopy, file, () -> savePages.run()));
        rows.getSelectionModel().getSelectedIndices().addListener((ListChangeListener<Integer>) change -> onSelected());
        editor = new InPlaceEditor(workspace, arrangement, rows);
        StackPane typable = new StackPane(rows, editor, chooser);
        VBox.setVgrow(typable, Priority.ALWAYS);
        Controls.attachWhenShown(typable, chooser);
        VBox paper = new VBox(heading, columns(), typable);
        paper.getStyleClass().add(Styles.SHEET);
        VBox.setVgrow(paper, Priority.ALWAYS);
        offers = new OfferBar(arrangement.filling());
        getChildren().addAll(tools(agree), offers, paper);
        getStyleClass().add(Styles.INDEX_SHEET);
        bringing.setOnFinished(event -> bringIntoSight());
        subscription = Subscription.combine(workspace.onPlan(this::show),
                workspace.stateProperty().subscribe(state -> showInView()), sceneProperty().subscribe(scene -> showInView()),
                arrangement.selectedProperty().subscribe(this::showSelected),
                arrangement.editingProperty().subscribe(editing -> {
                    if (editing.isEmpty()) focusRows();
                }));
    }

    void focusRows() {
        rows.requestFocus();
        if (rows.getSelectionModel().isEmpty() && !rows.getItems().isEmpty()) rows.getFocusModel().focus(0);
    }

    /** Does something when the pages of what is chosen are to be saved as files. */
    void onSavePages(Runnable action) {
        savePages = action;
    }

    /** Does something when the pages of what is chosen are asked for. */
    void onPages(Runnable action) {
        openPages = action;
    }

    void dispose() {
        subscription.unsubscribe();
        heading.dispose();
        bringing.stop();
        editor.dispose();
        offers.dispose();
    }

    /** Asks to which section what is chosen is moved. */
    void askWhereTo() {
        if (!arrangement.selectedProperty().get().isEmpty()) chooser.ask(Words.of("chooser.move"), arrangement.entries()::moveTo);
    }

    /** Asks to which section what is chosen is copied. */
    void askForCopy() {
        if (!arrangement.selectedProperty().get().isEmpty()) chooser.ask(Words.of("chooser.copy"), arrangement.entries()::copyTo);
    }

    private HBox tools(AgreeMenu agree) {
        Button undo = Controls.iconButton(Feather.CORNER_UP_LEFT, "sheet.undo", workspace::undo);
        Button redo = Controls.iconButton(Feather.CORNER_UP_RIGHT, "sheet.redo", workspace::redo);
        undo.disableProperty().bind(workspace.undoableProperty().not());
        redo.disableProperty().bind(workspace.redoableProperty().not());
        MenuButton sort = new MenuButton(Words.of("sheet.sort"));
        sort.setId("sheet-sort");
        sort.getItems().setAll(EntryMenu.sorts(arrangement.entries()));
        sort.disableProperty().bind(arrangement.selectedProperty().map(Set::isEmpty));
        Controls.describe(sort, Words.of("sheet.sortTip"));
        Button placeholder = Controls.button("sheet.addPlaceholder", arrangement.entries()::addPlaceholder);
        Controls.describe(placeholder, Words.of("sheet.addPlaceholderTip", Shortcut.PLACEHOLDER.shown()));
        Button pages = Controls.iconButton(Feather.GRID, "sheet.pages", () -> openPages.run());
        Controls.describe(pages, Words.of("sheet.pagesTip", Shortcut.PAGES.shown()));
        Button section = Controls.button("sheet.addSection", arrangement::addSection);
        Controls.describe(section, Words.of("sheet.addSectionTip", Shortcut.NEW_SECTION.shown()));
        HBox tools = new HBox(4, undo, redo, Controls.spring(), agree.said(), agree, pages, sort, placeholder, section);
        tools.setAlignment(Pos.CENTER_LEFT);
        return tools;
    }

    private HBox columns() {
        var tab = Controls.label(Words.of("sheet.tab"), Styles.SMALL);
        var title = Controls.label(Words.of("sheet.document"), Styles.SMALL);
        var date = Controls.label(Words.of("sheet.date"), Styles.SMALL);
        var page = Controls.label(Words.of("sheet.page"), Styles.SMALL);
        fix(tab, SheetLine.TAB_WIDTH);
        fix(date, SheetLine.DATE_WIDTH);
        fix(page, SheetLine.PAGE_WIDTH);
        page.setAlignment(Pos.CENTER_RIGHT);
        HBox.setHgrow(title, Priority.ALWAYS);
        title.setMaxWidth(Double.MAX_VALUE);
        HBox columns = new HBox(8, tab, title, date, page);
        columns.getStyleClass().add(Styles.SHEET_COLUMNS);
        return columns;
    }

    /** Gives the head of a narrow column the width that the rows have there. */
    private static void fix(Label head, double width) {
        head.setMinWidth(width);
        head.setMaxWidth(width);
    }

    /** Marks the row whose page is in view, and brings it into sight when another is. */
    private void showInView() {
        if (getScene() == null) return;
        Optional<EntryId> entry = workspace.plan().entryAt(workspace.leaf()).map(PlannedEntry::id);
        boolean moved = !entry.equals(inView);
        inView = entry;
        Set<Integer> seen = new HashSet<>();
        for (Node node : rows.lookupAll("." + Styles.ROW)) {
            if (!(node instanceof SheetCell cell)) continue;
            cell.showInView(entry);
            if (InPlaceEditor.isSeen(cell) && !cell.isEmpty()) seen.add(cell.getIndex());
        }
        if (moved && entry.isPresent() && !seen.contains(rowOf(entry.get()))) bringing.playFromStart();
    }

    /** {@return the row of an entry, counted from 0; -1 where it has none} */
    private int rowOf(EntryId id) {
        List<PlannedEntry> shown = rows.getItems();
        for (int i = 0; i < shown.size(); i++) if (shown.get(i).id().equals(id)) return i;
        return -1;
    }

    /** Brings the row of the page in view into sight; not while one leafs through quickly, which would be felt. */
    private void bringIntoSight() {
        int row = inView.map(this::rowOf).orElse(-1);
        if (row >= 0) rows.scrollTo(Math.max(0, row - ROWS_ABOVE));
    }

    private void show(Plan plan) {
        showingPlan = true;
        boolean sameVolumes = plan.parting().equals(parting);
        parting = plan.parting();
        List<PlannedEntry> shown = rows.getItems();
        boolean sameRows = shown.size() == plan.entries().size();
        int from = 0;
        while (sameRows && from < shown.size() && shown.get(from).equals(plan.entries().get(from))) from++;
        int to = shown.size();
        while (sameRows && to > from && shown.get(to - 1).equals(plan.entries().get(to - 1))) to--;
        // A title that is typed concerns its own row, which is felt where there are two thousand.
        if (!sameRows || to - from > MOST_ROW_BY_ROW) rows.getItems().setAll(plan.entries());
        else for (int i = from; i < to; i++) shown.set(i, plan.entries().get(i));
        if (!sameVolumes) rows.refresh();
        showingPlan = false;
        showSelected(arrangement.selectedProperty().get());
    }

    /** Brings the list's selection in line with what is chosen, by id, so that it survives every change of the rows. */
    private void showSelected(Set<EntryId> ids) {
        if (ids.equals(selectedIds())) return;
        showingPlan = true;
        rows.getSelectionModel().clearSelection();
        List<PlannedEntry> entries = rows.getItems();
        int[] chosen = IntStream.range(0, entries.size()).filter(i -> ids.contains(entries.get(i).id())).toArray();
        // All at once: one after the other would be felt where two thousand are chosen.
        if (chosen.length > 0) rows.getSelectionModel().selectIndices(chosen[0], Arrays.copyOfRange(chosen, 1, chosen.length));
        showingPlan = false;
        if (!rows.getSelectionModel().isEmpty())
            rows.scrollTo(Math.max(0, rows.getSelectionModel().getSelectedIndex() - ROWS_ABOVE));
    }

    private void onSelected() {
        if (showingPlan) return;
        arrangement.select(selectedIds());
        PlannedEntry chosen = rows.getSelectionModel().getSelectedItem();
        if (chosen != null) workspace.goTo(chosen.span().first());
    }

    private Set<EntryId> selectedIds() {
        Set<EntryId> ids = new HashSet<>();
        for (PlannedEntry entry : rows.getSelectionModel().getSelectedItems()) {
            if (entry != null) ids.add(entry.id());
        }
        return ids;
    }
}
