package app.yellowtab.desktop.gather;

import app.yellowtab.desktop.gather.Gathering.Row;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.KindIcon;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.facts.Origin;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import javafx.animation.AnimationTimer;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.BooleanBinding;
import javafx.collections.ListChangeListener;
import javafx.collections.ModifiableObservableListBase;
import javafx.geometry.Bounds;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.SelectionMode;
import javafx.scene.control.Tooltip;
import javafx.scene.control.skin.VirtualFlow;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import org.jspecify.annotations.Nullable;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** The sources as a list: for each its title, what matters of it, its date, and where it is. */
final class SourceList extends StackPane {
    private static final double ROW = 52;
    private static final double INDENT = 28;
    private static final int ROWS_A_FRAME = 1;
    private static final int ROWS_IN_VIEW = 24;

    private final Gathering gathering;
    private final Items items = new Items();
    private final ListView<Row> list = new ListView<>(items);
    private final Tooltip fileName = new Tooltip();
    private final Growing growing = new Growing();
    private boolean filled;
    private final Subscription subscription;

    SourceList(Gathering gathering) {
        this.gathering = gathering;
        list.setId("gathered");
        list.getStyleClass().add(Styles.SOURCE_LIST);
        list.getSelectionModel().setSelectionMode(SelectionMode.MULTIPLE);
        list.setCellFactory(view -> new RowCell());
        list.setFixedCellSize(ROW);
        list.setPlaceholder(placeholder());
        list.setAccessibleText(Words.of("gather.list"));
        getChildren().add(list);
        subscription = gathering.rowsProperty().subscribe(this::show);
    }

    private static VBox placeholder() {
        Label kinds = Controls.paragraph(Words.of("gather.empty.kinds"), Styles.SMALL);
        kinds.setMaxWidth(430);
        Label what = Controls.paragraph(Words.of("gather.empty"), Styles.EMPTY_TITLE);
        Label how = Controls.paragraph(Words.of("gather.empty.how"), Styles.EMPTY_TEXT);
        how.setMaxWidth(430);
        VBox box = new VBox(10, new FontIcon(Feather.INBOX), what, how, kinds);
        box.setAlignment(Pos.CENTER);
        box.getStyleClass().add(Styles.EMPTY);
        return box;
    }

    /** Takes new rows over; what was chosen stays chosen, and where one has scrolled to stays too. */
    private void show(List<Row> rows) {
        Set<SourceId> chosen = new HashSet<>(chosen().stream().map(Source::id).toList());
        growing.stop();
        int first = Math.min(rows.size(), Math.max(items.size(), ROWS_A_FRAME));
        if (!filled && first < Math.min(rows.size(), ROWS_IN_VIEW)) {
            items.take(rows.subList(0, first));
            growing.start();
        } else {
            items.take(rows);
        }
        choose(chosen);
    }

    private void choose(Set<SourceId> chosen) {
        if (!chosen.isEmpty() && chosen.equals(new HashSet<>(chosen().stream().map(Source::id).toList()))) return;
        list.getSelectionModel().clearSelection();
        for (int i = 0; i < items.size(); i++)
            if (items.get(i) instanceof Row.Known known && chosen.contains(known.source().id()))
                list.getSelectionModel().select(i);
        if (list.getSelectionModel().isEmpty() && !items.isEmpty() && items.getFirst() instanceof Row.Known)
            list.getSelectionModel().selectFirst();
    }

    /**
     * Until the view has once been full, rows come one in each frame: their nodes are made then, and all at once would hold the
     * window up.
     */
    private final class Growing extends AnimationTimer {
        @Override
        public void handle(long now) {
            List<Row> rows = gathering.rowsProperty().get();
            int next = items.size() + ROWS_A_FRAME;
            boolean whole = next >= Math.min(rows.size(), ROWS_IN_VIEW);
            items.take(whole ? rows : rows.subList(0, next));
            if (!whole) return;
            filled |= rows.size() >= ROWS_IN_VIEW;
            stop();
        }
    }

    void dispose() {
        growing.stop();
        subscription.unsubscribe();
    }

    /** Hears of every change of what is chosen. */
    void onChosen(Runnable listener) {
        list.getSelectionModel().getSelectedItems().addListener((ListChangeListener<Row>) change -> listener.run());
    }

    BooleanBinding isEmpty() {
        return Bindings.isEmpty(items);
    }

    BooleanBinding nothingChosen() {
        return Bindings.isEmpty(list.getSelectionModel().getSelectedItems());
    }

    /** Puts the keyboard on the list, and chooses its first row if none is chosen, so that there is something to look at. */
    void focusRows() {
        list.requestFocus();
        if (list.getSelectionModel().isEmpty()) list.getSelectionModel().selectFirst();
    }

    boolean hasKeyboard() {
        return list.isFocused();
    }

    List<Row.Known> chosenRows() {
        return list.getSelectionModel().getSelectedItems().stream().filter(row -> row instanceof Row.Known)
                .map(row -> (Row.Known) row).toList();
    }

    List<Source> chosen() {
        return chosenRows().stream().map(Row.Known::source).toList();
    }

    /** {@return all sources that are shown} */
    List<Source> sources() {
        return list.getItems().stream().filter(row -> row instanceof Row.Known).map(row -> ((Row.Known) row).source()).toList();
    }

    /** {@return the sources whose rows can be seen whole} */
    List<Source> inView() {
        VirtualFlow<?> flow = (VirtualFlow<?>) list.lookup(".virtual-flow");
        if (flow == null || flow.getFirstVisibleCell() == null) return List.of();
        int first = flow.getFirstVisibleCell().getIndex();
        int last = flow.getLastVisibleCell().getIndex();
        double top = list.localToScene(list.getLayoutBounds()).getMinY();
        double bottom = list.localToScene(list.getLayoutBounds()).getMaxY();
        if (edge(flow.getFirstVisibleCell()).getMinY() < top - 1) first++;
        if (edge(flow.getLastVisibleCell()).getMaxY() > bottom + 1) last--;
        return first > last ? List.of() : list.getItems().subList(first, Math.min(last + 1, list.getItems().size())).stream()
                .filter(row -> row instanceof Row.Known).map(row -> ((Row.Known) row).source()).toList();
    }

    private static Bounds edge(Node cell) {
        return cell.localToScene(cell.getLayoutBounds());
    }

    /** Brings the first source of a kind into view, if there is one, and chooses it. */
    void showNext(Predicate<Source> wanted) {
        Map<SourceId, Source> sources = gathering.workspace().bundle().sourcesById();
        for (int i = 0; i < list.getItems().size(); i++) {
            Source now = list.getItems().get(i) instanceof Row.Known known ? sources.get(known.source().id()) : null;
            if (now == null || !wanted.test(now)) continue;
            list.getSelectionModel().clearAndSelect(i);
            list.scrollTo(i);
            return;
        }
    }

    void putInIndex() {
        gathering.putInIndex(chosen());
    }

    void takeAway() {
        gathering.takeAway(chosen());
    }

    /** Chooses one source and brings it into view. */
    void choose(SourceId id) {
        for (int i = 0; i < list.getItems().size(); i++) {
            if (!(list.getItems().get(i) instanceof Row.Known known) || !known.source().id().equals(id)) continue;
            list.getSelectionModel().clearAndSelect(i);
            list.scrollTo(Math.max(0, i - 3));
        }
    }

    /**
     * Shows the name of the file under the mouse. There is one tooltip for all rows: each is a window of its own, and slow to
     * make.
     */
    private void tell(String name) {
        fileName.setText(name);
        list.setTooltip(name.isEmpty() ? null : fileName);
    }

    /**
     * The rows; new ones are taken over as one change of those that differ, so that a thousand files coming in do not hold the
     * window up.
     */
    private static final class Items extends ModifiableObservableListBase<Row> {
        private final List<Row> rows = new ArrayList<>();

        void take(List<Row> newest) {
            beginChange();
            if (newest.size() == size()) {
                for (int i = 0; i < newest.size(); i++) if (!newest.get(i).equals(get(i))) set(i, newest.get(i));
            } else {
                setAll(newest);
            }
            endChange();
        }

        @Override
        public Row get(int index) {
            return rows.get(index);
        }

        @Override
        public int size() {
            return rows.size();
        }

        @Override
        protected void doAdd(int index, Row row) {
            rows.add(index, row);
        }

        @Override
        protected Row doSet(int index, Row row) {
            return rows.set(index, row);
        }

        @Override
        protected Row doRemove(int index) {
            return rows.remove(index);
        }
    }

    private final class RowCell extends ListCell<Row> {
        private final FontIcon icon = new FontIcon();
        private final Label title = new Label();
        private final Label line = Controls.label("", Styles.SMALL);
        private final Label date = new Label();
        private final Label dateFrom = Controls.label("", Styles.SMALL);
        private final Label place = Controls.label("", Styles.SMALL);
        private final HBox row;

        RowCell() {
            VBox words = new VBox(2, title, line);
            HBox.setHgrow(words, Priority.ALWAYS);
            words.setMinWidth(0);
            words.setAlignment(Pos.CENTER_LEFT);
            VBox dates = new VBox(2, date, dateFrom);
            dates.setAlignment(Pos.CENTER_LEFT);
            dates.setMinWidth(112);
            dates.setPrefWidth(112);
            place.setMinWidth(64);
            place.setPrefWidth(64);
            row = new HBox(10, icon, words, dates, place);
            row.setAlignment(Pos.CENTER_LEFT);
            row.setMinWidth(0);
            row.setPrefWidth(1);
            hoverProperty()
                    .subscribe(over -> tell(over && getItem() instanceof Row.Known known ? known.source().fileName() : ""));
        }

        @Override
        protected void updateItem(@Nullable Row item, boolean empty) {
            super.updateItem(item, empty);
            boolean blank = empty || item == null;
            setGraphic(blank ? null : row);
            pseudoClassStateChanged(Styles.ARRIVING, !blank && item instanceof Row.Arriving);
            pseudoClassStateChanged(Styles.UNREAD, !blank && item instanceof Row.Known known && known.isUnread());
            pseudoClassStateChanged(Styles.LOOK, !blank && item instanceof Row.Known known && known.look());
            setAccessibleText(null);
            if (blank) return;
            switch (item) {
                case Row.Known known -> show(known);
                case Row.Arriving arriving -> {
                    HBox.setMargin(icon, Insets.EMPTY);
                    icon.setIconCode(arriving.coming().source().map(source -> KindIcon.of(source.kind())).orElse(Feather.CLOCK));
                    title.setText(arriving.coming().name());
                    line.setText(arriving.coming().source().map(source -> FactWords.line(source, 0))
                            .orElse(Words.of("gather.waiting")));
                    date.setText("");
                    dateFrom.setText("");
                    place.setText("");
                }
            }
        }

        private void show(Row.Known known) {
            Source source = known.source();
            HBox.setMargin(icon, new Insets(0, 0, 0, known.attached() ? INDENT : 0));
            icon.setIconCode(
                    known.locked() ? Feather.LOCK : known.isUnread() ? Feather.ALERT_TRIANGLE : KindIcon.of(source.kind()));
            title.setText(source.proposedTitle());
            String alike =
                    known.alike().isEmpty() ? "" : Words.of("gather.alike." + known.alike().getFirst().kind().name()) + "  ·  ";
            line.setText(alike + (known.locked() && source.isRead() ? Words.of("fact.closed") + "  ·  " : "")
                    + FactWords.line(source, known.left()));
            boolean dated = source.proposedDate() != DocumentDate.NOT_GIVEN;
            date.setText(dated ? source.proposedDate().shown() : "");
            dateFrom.setText(!dated || source.about().dateFrom() == Origin.USER ? ""
                    : Words.of("gather.from." + source.about().dateFrom().name()));
            Controls.show(dateFrom, !dateFrom.getText().isEmpty());
            place.setText(known.placed() ? Words.of("gather.placed") : "");
            setAccessibleText(source.proposedTitle() + ", " + line.getText() + ", " + date.getText() + ", " + place.getText());
        }
    }
}
