package app.yellowtab.desktop.arrange;

import app.yellowtab.desktop.work.Controls;
import app.yellowtab.desktop.work.Shortcut;
import app.yellowtab.desktop.work.Styles;
import app.yellowtab.desktop.work.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.model.EntryId;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.PlannedEntry;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javafx.collections.ListChangeListener;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.ListView;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SelectionMode;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import org.kordamp.ikonli.feather.Feather;

/** The index as it will be printed, and the place where it is made: every row is typed in, dragged and numbered here. */
final class IndexSheet extends VBox {
    private static final double LEAST_WIDTH = 320;
    private final Workspace workspace;
    private final Arrangement arrangement;
    private final ListView<PlannedEntry> rows = new ListView<>();
    private final HeadingView heading;
    private final InPlaceEditor editor;
    private final Subscription subscription;
    private boolean showingPlan;

    IndexSheet(Workspace workspace, Arrangement arrangement) {
        super(8);
        this.workspace = workspace;
        this.arrangement = arrangement;
        this.heading = new HeadingView(workspace);
        rows.setId("index");
        rows.setAccessibleText(Words.of("sheet.name"));
        rows.getStyleClass().add(Styles.SHEET_LIST);
        rows.setPrefSize(LEAST_WIDTH, LEAST_WIDTH);    // it takes what room there is, and need not measure its rows for that
        rows.getSelectionModel().setSelectionMode(SelectionMode.MULTIPLE);
        rows.setCellFactory(view -> new SheetCell(arrangement));
        rows.setPlaceholder(new SheetDrop(arrangement, Words.of("sheet.empty")));
        EdgeScroll.install(rows);
        rows.setContextMenu(menu());
        rows.getSelectionModel().getSelectedIndices().addListener((ListChangeListener<Integer>) change -> onSelected());
        editor = new InPlaceEditor(workspace, arrangement, rows);
        StackPane typable = new StackPane(rows, editor);
        VBox.setVgrow(typable, Priority.ALWAYS);
        VBox paper = new VBox(heading, columns(), typable);
        paper.getStyleClass().add(Styles.SHEET);
        VBox.setVgrow(paper, Priority.ALWAYS);
        getChildren().addAll(tools(), paper);
        getStyleClass().add(Styles.INDEX_SHEET);
        subscription = Subscription.combine(workspace.onPlan(this::show),
                arrangement.selectedProperty().subscribe(this::showSelected),
                arrangement.editingProperty().subscribe(editing -> {
                    if (editing.isEmpty()) focusRows();
                }));
    }

    void focusRows() {
        rows.requestFocus();
        if (rows.getSelectionModel().isEmpty() && !rows.getItems().isEmpty()) rows.getFocusModel().focus(0);
    }

    void dispose() {
        subscription.unsubscribe();
        heading.dispose();
        editor.dispose();
    }

    private HBox tools() {
        Button undo = Controls.iconButton(Feather.CORNER_UP_LEFT, "sheet.undo", workspace::undo);
        Button redo = Controls.iconButton(Feather.CORNER_UP_RIGHT, "sheet.redo", workspace::redo);
        undo.disableProperty().bind(workspace.undoableProperty().not());
        redo.disableProperty().bind(workspace.redoableProperty().not());
        Button section = Controls.button("sheet.addSection", arrangement::addSection);
        Controls.describe(section, Words.of("sheet.addSectionTip", Shortcut.NEW_SECTION.shown()));
        HBox tools = new HBox(4, undo, redo, Controls.spring(), section);
        tools.setAlignment(Pos.CENTER_LEFT);
        return tools;
    }

    private HBox columns() {
        var tab = Controls.label(Words.of("sheet.tab"), Styles.SMALL);
        var title = Controls.label(Words.of("sheet.document"), Styles.SMALL);
        var date = Controls.label(Words.of("sheet.date"), Styles.SMALL);
        var page = Controls.label(Words.of("sheet.page"), Styles.SMALL);
        SheetCell.setWidths(tab, date, page);
        HBox.setHgrow(title, Priority.ALWAYS);
        title.setMaxWidth(Double.MAX_VALUE);
        HBox columns = new HBox(8, tab, title, date, page);
        columns.getStyleClass().add(Styles.SHEET_COLUMNS);
        return columns;
    }

    private ContextMenu menu() {
        ContextMenu menu = new ContextMenu(
                item("menu.rename", () -> arrangement.beginEditing(Arrangement.Field.TITLE)),
                item("menu.date", () -> arrangement.beginEditing(Arrangement.Field.DATE)),
                item("menu.description", () -> arrangement.beginEditing(Arrangement.Field.DESCRIPTION)),
                item("menu.listed", arrangement::toggleInIndex), new SeparatorMenuItem(),
                item("menu.takeOut", arrangement::takeOut));
        menu.setOnShowing(event -> {
            boolean document = arrangement.lastSelected().filter(PlannedEntry.PlannedDocument.class::isInstance).isPresent();
            menu.getItems().subList(1, 4).forEach(choice -> choice.setVisible(document));
            boolean listed = arrangement.lastSelected().filter(e -> e instanceof PlannedEntry.PlannedDocument d && d.tab() > 0).isPresent();
            menu.getItems().get(3).setText(Words.of(listed ? "menu.unlisted" : "menu.listed"));
        });
        return menu;
    }

    private static MenuItem item(String key, Runnable action) {
        MenuItem item = new MenuItem(Words.of(key));
        item.setOnAction(event -> action.run());
        return item;
    }

    private void show(Plan plan) {
        showingPlan = true;
        rows.getItems().setAll(plan.entries());
        showingPlan = false;
        showSelected(arrangement.selectedProperty().get());
    }

    /** Brings the list's selection in line with what is chosen, by id, so that it survives every change of the rows. */
    private void showSelected(Set<EntryId> ids) {
        if (ids.equals(selectedIds())) return;
        showingPlan = true;
        rows.getSelectionModel().clearSelection();
        List<PlannedEntry> entries = rows.getItems();
        for (int i = 0; i < entries.size(); i++) {
            if (ids.contains(entries.get(i).id())) rows.getSelectionModel().select(i);
        }
        showingPlan = false;
        if (!rows.getSelectionModel().isEmpty()) rows.scrollTo(Math.max(0, rows.getSelectionModel().getSelectedIndex() - 8));
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
