package app.yellowtab.desktop.arrange;

import app.yellowtab.desktop.entry.Arrangement;
import app.yellowtab.desktop.entry.Arrangement.Field;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.leaf.Parting;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.leaf.PlannedEntry.PlannedDocument;
import app.yellowtab.leaf.PlannedEntry.PlannedSection;
import app.yellowtab.leaf.PlannedVolume;
import app.yellowtab.model.entry.EntryId;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.input.DragEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.TransferMode;
import org.jspecify.annotations.Nullable;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** One row of the index sheet. */
final class SheetCell extends ListCell<PlannedEntry> {
    private static final double INDENT = 20;
    private static final double LEAST_HEIGHT = 32;
    private static final double SCROLL_BAR = 12;
    private final Arrangement arrangement;
    private final Supplier<Optional<EntryId>> inView;
    private final Supplier<Parting> parting;
    private final SheetLine line = new SheetLine();

    /**
     * @param inView  gives the entry whose page is in view
     * @param parting gives how the set for the screen is divided
     */
    SheetCell(Arrangement arrangement, Supplier<Optional<EntryId>> inView, Supplier<Parting> parting) {
        this.parting = parting;
        this.arrangement = arrangement;
        this.inView = inView;
        getStyleClass().add(Styles.ROW);
        addEventHandler(MouseEvent.MOUSE_CLICKED, this::onClick);
        setOnDragDetected(this::onDragDetected);
        setOnDragOver(this::onDragOver);
        setOnDragExited(event -> mark(false, false));
        setOnDragDropped(this::onDragDropped);
    }

    @Override
    protected void updateItem(@Nullable PlannedEntry entry, boolean empty) {
        super.updateItem(entry, empty);
        boolean blank = empty || entry == null;
        PlannedDocument document = !blank && entry instanceof PlannedDocument d ? d : null;
        PlannedSection section = !blank && entry instanceof PlannedSection s ? s : null;
        boolean unordered = document != null && arrangement.isOutOfOrder(document.document());
        String volume = blank ? "" : volume(entry);
        line.show(volume,
                section != null ? section.label()
                        : document == null || document.tab() == 0 ? "–" : String.valueOf(document.tab()),
                blank ? "" : entry.title(), document == null ? "" : arrangement.note(document),
                document == null ? "" : document.document().date().shown(), unordered ? outOfOrder() : null,
                blank ? "" : section != null ? section.span().shown()
                        : entry.span().isEmpty() ? Words.of("sheet.file") : entry.span().from(),
                section != null);
        boolean tied = document != null && arrangement.isTied(document.document());
        line.setPadding(new Insets(0, 0, 0,
                (tied ? INDENT : 0) + (blank ? 0 : INDENT * Math.max(0, section != null ? section.depth() : entry.depth() - 1))));
        pseudoClassStateChanged(Styles.TIED, tied);
        pseudoClassStateChanged(Styles.PLACEHOLDER, document != null && document.document().isPlaceholder());
        showInView(inView.get());
        pseudoClassStateChanged(Styles.SECTION, section != null);
        pseudoClassStateChanged(Styles.HIDDEN, document != null && document.tab() == 0);
        String spoken = unordered ? line.date() + ", " + Words.of("sheet.outOfOrder") : line.date();
        setAccessibleText(blank ? null : Words.of("sheet.row", line.tab(), line.title(), spoken, line.page()));
        setGraphic(blank ? null : line);
    }

    /** {@return which volume begins with an entry, or that it lies in several; empty where it does neither} */
    private String volume(PlannedEntry entry) {
        Parting parted = parting.get();
        String own = parted.shown(entry);
        if (own.isEmpty()) return "";
        if (entry instanceof PlannedDocument && own.contains("–")) return Words.of("sheet.volumes", own);
        List<PlannedEntry> rows = getListView().getItems();
        Optional<PlannedVolume> begins = parted.of(entry.span().first());
        boolean isFirst = getIndex() == 0 || !parted.of(rows.get(getIndex() - 1).span().first()).equals(begins);
        return isFirst ? begins.map(PlannedVolume::title).orElse("") : "";
    }

    /** {@return the sign before a date that is earlier than the one above it} */
    private static Label outOfOrder() {
        Label sign = new Label("", new FontIcon(Feather.SHUFFLE));
        Controls.tip(sign, Words.of("sheet.outOfOrderTip"));
        return sign;
    }

    /** A long title takes as many lines as it needs at the width of the sheet. */
    @Override
    protected double computePrefHeight(double width) {
        double inner =
                getListView() == null ? 0 : getListView().getWidth() - snappedLeftInset() - snappedRightInset() - SCROLL_BAR;
        double needed = snappedTopInset() + line.prefHeight(inner) + snappedBottomInset();
        return isEmpty() || inner <= 0 ? super.computePrefHeight(width) : Math.max(LEAST_HEIGHT, needed);
    }

    /** {@return the part of the row over which a field is typed} */
    Node part(Field field) {
        return line.part(field);
    }

    /** Marks the row if the page in view is one of its pages. */
    void showInView(Optional<EntryId> entry) {
        pseudoClassStateChanged(Styles.IN_VIEW,
                getItem() != null && !isEmpty() && entry.filter(getItem().id()::equals).isPresent());
    }

    /** {@return how wide a field may be that is typed over the row, in pixels} */
    double columnWidth(Field field) {
        return line.columnWidth(field);
    }

    private void onClick(MouseEvent event) {
        if (event.getClickCount() != 2 || getItem() == null) return;
        boolean onDate = getItem() instanceof PlannedDocument && event.getX() > line.getLayoutX() + line.dateX();
        arrangement.beginEditing(onDate ? Field.DATE : Field.TITLE);
    }

    private void onDragDetected(MouseEvent event) {
        if (getItem() == null || arrangement.editingProperty().get().isPresent()) return;
        Set<EntryId> chosen = arrangement.selectedProperty().get();
        Set<EntryId> dragged = chosen.contains(getItem().id()) ? chosen : Set.of(getItem().id());
        startDragAndDrop(TransferMode.MOVE)
                .setContent(Drags.content(Drags.ENTRIES, dragged.stream().map(EntryId::value).toList()));
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
        return middle && getItem() instanceof PlannedDocument planned && planned.document().isPlaceholder()
                && SheetDrop.isOne(event.getDragboard());
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
