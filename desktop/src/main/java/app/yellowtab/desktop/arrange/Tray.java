package app.yellowtab.desktop.arrange;

import app.yellowtab.desktop.entry.Arrangement;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.KindIcon;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Shortcut;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.model.contents.InTray;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.source.Source;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.function.Consumer;
import javafx.beans.binding.Bindings;
import javafx.collections.ListChangeListener;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SelectionMode;
import javafx.scene.input.DragEvent;
import javafx.scene.input.Dragboard;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import org.jspecify.annotations.Nullable;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** What has no place in the index: documents that were taken out of it, and files that nothing was made of yet. */
final class Tray extends VBox {
    private static final double LEAST_WIDTH = 160;
    private final Arrangement arrangement;
    private final ListView<InTray> list = new ListView<>();
    private final Label count = Controls.label("", Styles.SMALL);
    private final Label said = Controls.paragraph("", Styles.SMALL);
    private Consumer<InTray> saving = item -> {};
    private final Subscription subscription;
    private @Nullable List<InTray> shown;

    Tray(Workspace workspace, Arrangement arrangement, Runnable addFiles, Runnable addFolder) {
        super(8);
        this.arrangement = arrangement;
        HBox head = new HBox(8, Controls.label(Words.of("tray.title"), Styles.FORM_LABEL), count);
        head.setAlignment(Pos.BASELINE_LEFT);
        Button files = Controls.button("tray.addFiles", addFiles);
        Button folder = Controls.button("tray.addFolder", addFolder);
        Controls.describe(files, Words.of("tray.addFilesTip", Shortcut.ADD_FILES.shown()));
        Controls.describe(folder, Words.of("tray.addFolderTip", Shortcut.ADD_FOLDER.shown()));
        list.setId("tray");
        list.getStyleClass().add(Styles.TRAY_LIST);
        list.setPrefSize(LEAST_WIDTH, LEAST_WIDTH);    // it takes what room there is, and need not measure its rows for that
        list.getSelectionModel().setSelectionMode(SelectionMode.MULTIPLE);
        list.setCellFactory(view -> new TrayCell());
        list.setPlaceholder(Controls.paragraph(Words.of("tray.empty"), Styles.SMALL));
        list.getSelectionModel().getSelectedItems().addListener((ListChangeListener<InTray>) change -> arrangement.selectInTray(
                list.getSelectionModel().getSelectedItems().stream().filter(Objects::nonNull).map(InTray::id).toList()));
        list.setOnMouseClicked(event -> {
            if (event.getClickCount() == 2) putInIndex();
        });
        VBox.setVgrow(list, Priority.ALWAYS);
        Button put = Controls.button("tray.put", this::putInIndex);
        put.setMaxWidth(Double.MAX_VALUE);
        put.disableProperty().bind(Bindings.isEmpty(list.getSelectionModel().getSelectedItems()));
        MenuItem save = new MenuItem(Words.of("tray.save"));
        save.setId("tray-save");
        save.setOnAction(event -> {
            InTray item = list.getSelectionModel().getSelectedItem();
            if (item != null) saving.accept(item);
        });
        list.setContextMenu(new ContextMenu(save));
        said.setId("tray-said");
        Controls.show(said, false);
        getChildren().addAll(head, new HBox(8, files, folder), list, said, put);
        getStyleClass().add(Styles.TRAY);
        setOnDragOver(this::onDragOver);
        setOnDragDropped(this::onDragDropped);
        setOnDragExited(event -> pseudoClassStateChanged(Styles.DROP_INTO, false));
        subscription = workspace.onBundle(bundle -> {
            List<InTray> tray = workspace.placement().tray();
            if (tray == shown) return;
            shown = tray;
            take(tray);
            count.setText(tray.isEmpty() ? "" : String.valueOf(tray.size()));
        });
    }

    /** Does something when what lies in the tray is to be saved as a file. */
    void onSave(Consumer<InTray> action) {
        saving = action;
    }

    /** Says what came of it. */
    void say(String words) {
        said.setText(words);
        Controls.show(said, !words.isEmpty());
    }

    /** Takes a new tray over by changing only what differs between what both begin and end with. */
    private void take(List<InTray> tray) {
        List<InTray> items = list.getItems();
        int most = Math.min(tray.size(), items.size());
        int first = 0;
        while (first < most && isSame(tray.get(first), items.get(first))) first++;
        int last = 0;
        while (last < most - first && isSame(tray.get(tray.size() - 1 - last), items.get(items.size() - 1 - last))) last++;
        if (first < items.size() - last) items.subList(first, items.size() - last).clear();
        if (first < tray.size() - last) items.addAll(first, tray.subList(first, tray.size() - last));
    }

    /** What is known of a file may be long, and most files are still the very same. */
    private static boolean isSame(InTray one, InTray other) {
        return one instanceof InTray.File(Source its) && other instanceof InTray.File(Source there) && its == there
                || one.equals(other);
    }

    void dispose() {
        subscription.unsubscribe();
    }

    boolean hasKeyboard() {
        return list.isFocused();
    }

    Set<String> chosen() {
        return new HashSet<>(list.getSelectionModel().getSelectedItems().stream().map(InTray::id).toList());
    }

    void putInIndex() {
        arrangement.putInIndex(list.getSelectionModel().getSelectedItems().stream().map(InTray::id).toList());
    }

    private void onDragOver(DragEvent event) {
        Dragboard board = event.getDragboard();
        if (!board.hasFiles() && !board.hasContent(Drags.ENTRIES)) return;
        event.acceptTransferModes(board.hasFiles() ? TransferMode.COPY : TransferMode.MOVE);
        pseudoClassStateChanged(Styles.DROP_INTO, true);
        event.consume();
    }

    private void onDragDropped(DragEvent event) {
        Dragboard board = event.getDragboard();
        if (board.hasFiles()) {
            arrangement.bringIn(board.getFiles().stream().map(file -> Path.of(file.getPath())).toList());
        } else {
            arrangement.select(new HashSet<>(Drags.ids(board, Drags.ENTRIES, EntryId::new)));
            arrangement.takeOut();
        }
        event.setDropCompleted(true);
        event.consume();
    }

    private void beginDrag(MouseEvent event, InTray dragged) {
        Set<String> chosen = chosen();
        Set<String> ids = chosen.contains(dragged.id()) ? chosen : Set.of(dragged.id());
        List<String> inOrder = list.getItems().stream().map(InTray::id).filter(ids::contains).toList();
        startDragAndDrop(TransferMode.MOVE).setContent(Drags.content(Drags.TRAY, inOrder));
        event.consume();
    }

    private final class TrayCell extends ListCell<InTray> {
        private final FontIcon icon = new FontIcon();
        private final Label name = new Label();
        private final Label facts = Controls.label("", Styles.SMALL);
        private final HBox row = new HBox(8, icon, new VBox(name, facts));

        TrayCell() {
            row.setAlignment(Pos.CENTER_LEFT);
            row.setMinWidth(0);
            row.setPrefWidth(1);
            setOnDragDetected(event -> {
                if (getItem() != null) beginDrag(event, getItem());
            });
        }

        @Override
        protected void updateItem(@Nullable InTray item, boolean empty) {
            super.updateItem(item, empty);
            boolean blank = empty || item == null;
            setGraphic(blank ? null : row);
            icon.setIconCode(
                    !blank && item instanceof InTray.File file ? KindIcon.of(file.source().kind()) : Feather.CORNER_UP_LEFT);
            name.setText(blank ? "" : nameOf(item));
            facts.setText(blank ? "" : Arrangement.describe(item));
            Controls.tip(this, name.getText());
            setAccessibleText(blank ? null : name.getText() + ", " + facts.getText());
        }

        private static String nameOf(InTray item) {
            return switch (item) {
                case InTray.File file -> file.source().fileName();
                case InTray.SetAside aside -> aside.document().title();
            };
        }
    }
}
