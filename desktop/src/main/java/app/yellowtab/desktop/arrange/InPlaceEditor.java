package app.yellowtab.desktop.arrange;

import app.yellowtab.desktop.entry.Arrangement;
import app.yellowtab.desktop.entry.Arrangement.Editing;
import app.yellowtab.desktop.entry.Arrangement.Field;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.leaf.PlannedEntry.PlannedDocument;
import app.yellowtab.model.entry.EntryId;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.animation.AnimationTimer;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ListView;
import javafx.scene.layout.Pane;
import javafx.util.Subscription;
import org.jspecify.annotations.Nullable;

/**
 * Lays the field that is typed in over its row, and keeps it there while rows come, go and scroll. It is no part of the
 * row, because a list gives its cells to other rows as it likes, and what is being typed must not go with them.
 */
final class InPlaceEditor extends Pane {
    /** The field's own padding, so that its text stands where the row's text stands. */
    private static final double OVERHANG = 8;
    private final Workspace workspace;
    private final Arrangement arrangement;
    private final ListView<PlannedEntry> rows;
    private final Subscription subscription;
    private @Nullable InPlaceField typing;
    private final AnimationTimer following = new AnimationTimer() {
        @Override
        public void handle(long now) {
            place();
        }
    };

    InPlaceEditor(Workspace workspace, Arrangement arrangement, ListView<PlannedEntry> rows) {
        this.workspace = workspace;
        this.arrangement = arrangement;
        this.rows = rows;
        setPickOnBounds(false);
        subscription = arrangement.editingProperty().subscribe(this::show);
    }

    void dispose() {
        subscription.unsubscribe();
        following.stop();
    }

    private void show(Optional<Editing> editing) {
        following.stop();
        typing = null;
        getChildren().clear();
        Optional<PlannedEntry> entry = editing.flatMap(now -> workspace.plan().entry(now.id()));
        if (entry.isEmpty()) return;
        InPlaceField field =
                new InPlaceField(arrangement, entry.get(), editing.orElseThrow().field(), from -> next(entry.get(), from));
        field.setManaged(false);    // placed by us, not by the pane
        typing = field;
        getChildren().add(field);
        if (cell(entry.get().id()).filter(this::isWhole).isEmpty())
            rows.scrollTo(Math.max(0, rows.getItems().indexOf(entry.get()) - 4));
        place();
        field.begin();
        following.start();
    }

    /** Puts the field over its row's text; while the row is scrolled out of sight, the field is too. */
    private void place() {
        InPlaceField field = typing;
        if (field == null) return;
        Optional<SheetCell> cell = arrangement.editingProperty().get().flatMap(editing -> cell(editing.id()));
        field.setOpacity(cell.isPresent() ? 1 : 0);
        if (cell.isEmpty()) return;
        Field what = arrangement.editingProperty().get().orElseThrow().field();
        Node part = cell.get().part(what);
        Bounds text = sceneToLocal(part.localToScene(part.getLayoutBounds()));
        Bounds row = sceneToLocal(cell.get().localToScene(cell.get().getLayoutBounds()));
        double height = Math.min(28, row.getHeight() - 2);
        double middle = text.getHeight() > 0 ? text.getCenterY() : row.getCenterY();
        field.resizeRelocate(text.getMinX() - OVERHANG, middle - height / 2, cell.get().columnWidth(what) + OVERHANG, height);
    }

    private Optional<SheetCell> cell(EntryId id) {
        return rows.lookupAll(".sheet-row").stream().map(SheetCell.class::cast)
                .filter(cell -> !cell.isEmpty() && cell.getItem() != null && cell.getItem().id().equals(id) && isSeen(cell))
                .findFirst();
    }

    private boolean isWhole(SheetCell cell) {
        Bounds seen = rows.sceneToLocal(cell.localToScene(cell.getLayoutBounds()));
        return seen.getMinY() >= 0 && seen.getMaxY() <= rows.getHeight();
    }

    /** A list keeps one more cell, hidden, to measure with. */
    static boolean isSeen(SheetCell cell) {
        return cell.isVisible() && cell.getParent() != null && cell.getParent().isVisible() && cell.getHeight() > 0;
    }

    /**
     * Tab goes from title to date, from there to how many pages are kept free, if any are, and then to the title of the next row.
     */
    private void next(PlannedEntry entry, Field from) {
        List<PlannedEntry> entries = workspace.plan().entries();
        int at = entries.stream().map(PlannedEntry::id).toList().indexOf(entry.id());
        if (from == Field.TITLE && entry instanceof PlannedDocument) {
            arrangement.editingProperty().set(Optional.of(new Editing(entry.id(), Field.DATE)));
        } else if (from == Field.DATE && entry instanceof PlannedDocument planned && Arrangement.isFree(planned.document())) {
            arrangement.editingProperty().set(Optional.of(new Editing(entry.id(), Field.PAGES)));
        } else if (at >= 0 && at + 1 < entries.size()) {
            EntryId following = entries.get(at + 1).id();
            arrangement.select(Set.of(following));
            arrangement.editingProperty().set(Optional.of(new Editing(following, Field.TITLE)));
        } else {
            arrangement.endEditing();
        }
    }
}
