package app.yellowtab.desktop.arrange;

import app.yellowtab.desktop.arrange.Arrangement.Field;
import app.yellowtab.desktop.work.Controls;
import app.yellowtab.desktop.work.Styles;
import app.yellowtab.desktop.work.Words;
import app.yellowtab.model.EntryId;
import app.yellowtab.plan.PlannedEntry;
import app.yellowtab.plan.PlannedEntry.PlannedDocument;
import app.yellowtab.plan.PlannedEntry.PlannedSection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.input.DragEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** One row of the index sheet. */
final class SheetCell extends ListCell<PlannedEntry> {
    /** Room for "12 May 2031"; a range takes two lines. */
    static final double DATE_WIDTH = 92;
    private static final double INDENT = 20;
    private static final double LEAST_HEIGHT = 32;
    private static final double SCROLL_BAR = 12;
    private final Arrangement arrangement;
    private final Label tab = new Label();
    private final Label title = new Label();
    private final Label description = Controls.label("", Styles.SMALL);
    private final Label date = new Label();
    private final Label page = new Label();
    private final VBox middle = new VBox(title, description);
    private final HBox row = new HBox(8, tab, middle, date, page);

    SheetCell(Arrangement arrangement) {
        this.arrangement = arrangement;
        setWidths(tab, date, page);
        title.setMinWidth(0);
        title.setMaxWidth(Double.MAX_VALUE);
        title.setWrapText(true);
        date.setWrapText(true);
        middle.setMinWidth(0);
        middle.setAlignment(Pos.CENTER_LEFT);
        HBox.setHgrow(middle, Priority.ALWAYS);
        row.setAlignment(Pos.CENTER_LEFT);
        row.setPrefWidth(1);
        getStyleClass().add(Styles.ROW);
        addEventHandler(MouseEvent.MOUSE_CLICKED, this::onClick);
        setOnDragDetected(this::onDragDetected);
        setOnDragOver(this::onDragOver);
        setOnDragExited(event -> mark(false, false));
        setOnDragDropped(this::onDragDropped);
    }

    /** Gives the narrow columns their widths; the head above the rows has the same. */
    static void setWidths(Label tab, Label date, Label page) {
        fix(tab, 32);
        fix(date, DATE_WIDTH);
        fix(page, 56);
        page.setAlignment(Pos.CENTER_RIGHT);
    }

    private static void fix(Label label, double width) {
        label.setMinWidth(width);
        label.setMaxWidth(width);
    }

    @Override
    protected void updateItem(@Nullable PlannedEntry entry, boolean empty) {
        super.updateItem(entry, empty);
        boolean blank = empty || entry == null;
        PlannedDocument document = !blank && entry instanceof PlannedDocument d ? d : null;
        PlannedSection section = !blank && entry instanceof PlannedSection s ? s : null;
        tab.setText(section != null ? section.label() : document == null || document.tab() == 0 ? "–" : String.valueOf(document.tab()));
        title.setText(blank ? "" : entry.title());
        description.setText(document == null ? "" : document.document().description());
        if (document != null && document.tab() == 0) description.setText(Words.of("sheet.unlisted"));
        Controls.show(description, !description.getText().isEmpty());
        date.setText(document == null ? "" : document.document().date().shown());
        page.setText(blank ? "" : section == null ? entry.span().from() : section.span().shown());
        row.setPadding(new Insets(0, 0, 0, blank ? 0 : INDENT * Math.max(0, section != null ? section.depth() : entry.depth() - 1)));
        pseudoClassStateChanged(Styles.SECTION, section != null);
        pseudoClassStateChanged(Styles.HIDDEN, document != null && document.tab() == 0);
        setAccessibleText(blank ? null : Words.of("sheet.row", tab.getText(), title.getText(), date.getText(), page.getText()));
        setGraphic(blank ? null : row);
    }

    /** A long title takes as many lines as it needs at the width of the sheet. */
    @Override
    protected double computePrefHeight(double width) {
        double inner = getListView() == null ? 0 : getListView().getWidth() - snappedLeftInset() - snappedRightInset() - SCROLL_BAR;
        double needed = snappedTopInset() + row.prefHeight(inner) + snappedBottomInset();
        return isEmpty() || inner <= 0 ? super.computePrefHeight(width) : Math.max(LEAST_HEIGHT, needed);
    }

    /** {@return the part of the row over which a field is typed} */
    Region part(Field field) {
        return switch (field) {
            case DATE -> date;
            case TITLE -> title;
            case DESCRIPTION -> description.isVisible() ? description : title;
        };
    }

    /** {@return how wide a field may be that is typed over the row, in pixels} */
    double columnWidth(Field field) {
        return field == Field.DATE ? date.getWidth() : middle.getWidth();
    }

    private void onClick(MouseEvent event) {
        if (event.getClickCount() != 2 || getItem() == null) return;
        boolean onDate = getItem() instanceof PlannedDocument && event.getX() > date.getBoundsInParent().getMinX();
        arrangement.beginEditing(onDate ? Field.DATE : Field.TITLE);
    }

    private void onDragDetected(MouseEvent event) {
        if (getItem() == null || arrangement.editingProperty().get().isPresent()) return;
        Set<EntryId> chosen = arrangement.selectedProperty().get();
        Set<EntryId> dragged = chosen.contains(getItem().id()) ? chosen : Set.of(getItem().id());
        startDragAndDrop(TransferMode.MOVE).setContent(Drags.content(Drags.ENTRIES, dragged.stream().map(EntryId::value).toList()));
        event.consume();
    }

    private void onDragOver(DragEvent event) {
        SheetDrop.accept(event);
        if (event.isAccepted()) mark(isAbove(event), !isAbove(event));
    }

    private void onDragDropped(DragEvent event) {
        List<PlannedEntry> entries = getListView().getItems();
        int gap = isEmpty() ? entries.size() : isAbove(event) ? getIndex() : getIndex() + 1;
        mark(false, false);
        SheetDrop.drop(event, arrangement, gap == 0 ? Optional.empty() : Optional.of(entries.get(gap - 1).id()));
    }

    private boolean isAbove(DragEvent event) {
        return !isEmpty() && event.getY() < getHeight() / 2;
    }

    private void mark(boolean above, boolean below) {
        pseudoClassStateChanged(Styles.DROP_ABOVE, above);
        pseudoClassStateChanged(Styles.DROP_BELOW, below && !isEmpty());
    }
}
