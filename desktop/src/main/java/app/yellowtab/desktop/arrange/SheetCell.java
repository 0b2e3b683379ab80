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
import java.util.function.Supplier;
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
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** One row of the index sheet. */
final class SheetCell extends ListCell<PlannedEntry> {
    /** Room for "12 May 2031"; a range takes two lines. */
    static final double DATE_WIDTH = 92;
    private static final double PAGE_WIDTH = 56;
    private static final double INDENT = 20;
    private static final double LEAST_HEIGHT = 32;
    private static final double SCROLL_BAR = 12;
    private final Arrangement arrangement;
    private final Supplier<Optional<EntryId>> inView;
    private final Label tab = new Label();
    private final Label title = new Label();
    private final Label description = Controls.label("", Styles.SMALL);
    private final Label date = new Label();
    private final Label page = Controls.label("", Styles.PAGE_NUMBER);
    private final VBox middle = new VBox(title, description);
    private final HBox row = new HBox(8, tab, middle, date, page);

    /** @param inView gives the entry whose page is in view */
    SheetCell(Arrangement arrangement, Supplier<Optional<EntryId>> inView) {
        this.arrangement = arrangement;
        this.inView = inView;
        setWidths(tab, date, page);
        title.setMinWidth(0);
        title.setMaxWidth(Double.MAX_VALUE);
        title.setWrapText(true);
        description.setMinWidth(0);
        description.setMaxWidth(Double.MAX_VALUE);
        description.setWrapText(true);
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
        fix(page, PAGE_WIDTH);
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
        description.setText(document == null ? "" : arrangement.note(document));
        Controls.show(description, !description.getText().isEmpty());
        date.setText(document == null ? "" : document.document().date().shown());
        boolean unordered = document != null && arrangement.isOutOfOrder(document.document());
        date.setGraphic(unordered ? new FontIcon(Feather.SHUFFLE) : null);
        Controls.tip(date, unordered ? Words.of("sheet.outOfOrderTip") : "");
        boolean tied = document != null && arrangement.isTied(document.document());
        page.setText(blank ? "" : section != null ? section.span().shown() : entry.span().isEmpty() ? Words.of("sheet.file") : entry.span().from());
        // A range such as "1012–1145" takes the room that it needs.
        page.setMinWidth(section == null ? PAGE_WIDTH : USE_PREF_SIZE);
        page.setMaxWidth(section == null ? PAGE_WIDTH : USE_PREF_SIZE);
        row.setPadding(new Insets(0, 0, 0, (tied ? INDENT : 0) + (blank ? 0 : INDENT * Math.max(0, section != null ? section.depth() : entry.depth() - 1))));
        pseudoClassStateChanged(Styles.TIED, tied);
        pseudoClassStateChanged(Styles.PLACEHOLDER, document != null && document.document().isPlaceholder());
        showInView(inView.get());
        pseudoClassStateChanged(Styles.SECTION, section != null);
        pseudoClassStateChanged(Styles.HIDDEN, document != null && document.tab() == 0);
        String spoken = unordered ? date.getText() + ", " + Words.of("sheet.outOfOrder") : date.getText();
        setAccessibleText(blank ? null : Words.of("sheet.row", tab.getText(), title.getText(), spoken, page.getText()));
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
            case MARK -> title;
            case DESCRIPTION, PAGES, SUPPLIED -> description.isVisible() ? description : title;
        };
    }

    /** Marks the row if the page in view is one of its pages. */
    void showInView(Optional<EntryId> entry) {
        pseudoClassStateChanged(Styles.IN_VIEW, getItem() != null && !isEmpty() && entry.filter(getItem().id()::equals).isPresent());
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
        if (!event.isAccepted()) return;
        boolean into = isInto(event);
        mark(!into && isAbove(event), !into && !isAbove(event));
        pseudoClassStateChanged(Styles.DROP_INTO, into);
    }

    /** {@return whether a drop fills the free pages of this row: a single file, or one thing of the tray, in its middle} */
    private boolean isInto(DragEvent event) {
        boolean middle = event.getY() > getHeight() / 4 && event.getY() < getHeight() * 3 / 4;
        return middle && getItem() instanceof PlannedDocument planned && planned.document().isPlaceholder() && SheetDrop.isOne(event.getDragboard());
    }

    private void onDragDropped(DragEvent event) {
        List<PlannedEntry> entries = getListView().getItems();
        int gap = isEmpty() ? entries.size() : isAbove(event) ? getIndex() : getIndex() + 1;
        boolean into = isInto(event);
        mark(false, false);
        if (into) {
            SheetDrop.fill(event, arrangement.filling(), getItem().id());
            return;
        }
        SheetDrop.drop(event, arrangement, gap == 0 ? Optional.empty() : Optional.of(entries.get(gap - 1).id()));
    }

    private boolean isAbove(DragEvent event) {
        return !isEmpty() && event.getY() < getHeight() / 2;
    }

    private void mark(boolean above, boolean below) {
        pseudoClassStateChanged(Styles.DROP_ABOVE, above);
        pseudoClassStateChanged(Styles.DROP_BELOW, below && !isEmpty());
        pseudoClassStateChanged(Styles.DROP_INTO, false);
    }
}
