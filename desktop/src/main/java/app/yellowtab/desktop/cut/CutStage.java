package app.yellowtab.desktop.cut;

import app.yellowtab.cut.Cutting;
import app.yellowtab.cut.Reason;
import app.yellowtab.desktop.batch.CutDesk;
import app.yellowtab.desktop.batch.CutDesk.Row;
import app.yellowtab.desktop.batch.CutDesk.Shown;
import app.yellowtab.desktop.batch.Making;
import app.yellowtab.desktop.batch.RuleKind;
import app.yellowtab.desktop.batch.RulesStore;
import app.yellowtab.desktop.batch.SheetDesk;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.FileDialogs;
import app.yellowtab.desktop.look.Opener;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.pages.LightTable;
import app.yellowtab.desktop.pages.PagePictures;
import app.yellowtab.desktop.pieces.PiecesView;
import app.yellowtab.desktop.sheets.DoubtfulSheets;
import app.yellowtab.desktop.sheets.LargePage;
import app.yellowtab.desktop.sheets.OrderMenu;
import app.yellowtab.desktop.sheets.SheetProposals;
import app.yellowtab.desktop.sheets.SheetsView;
import app.yellowtab.desktop.work.KeptMenu;
import app.yellowtab.desktop.work.Shortcut;
import app.yellowtab.desktop.work.StageView;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.keep.KeptRules;
import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.picture.PageRenderer;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Slider;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import org.kordamp.ikonli.feather.Feather;

/** A batch on a light table: the batches on the left, the rules on the right, what comes of it below. */
public final class CutStage extends HBox implements StageView {
    /** Room for the bar that the rules are moved with. */
    private static final double BAR_PX = 14;

    private final Workspace workspace;
    private final PagePictures pictures;
    private final CutDesk desk;
    private final BatchList batches;
    private final LightTable table;
    private final RuleSentences rules;
    private final NameParts names;
    private final Label summary = Controls.label("", Styles.FORM_LABEL);
    private final Label lacking = Controls.label("", Styles.SMALL);
    private final Label trouble = Controls.paragraph("", Styles.NOTICE);
    private final Button go = Controls.button("cut.go", this::openPieces);
    private final Label several = Controls.paragraph("", Styles.NOTICE);
    private final TextField name = new TextField();
    private final LargePage large;
    private final Making making;
    private final PiecesView pieces;
    private final SheetsView sheets;
    private final VBox emptyView = new VBox(8);
    private final VBox work = new VBox(8);
    private final SheetProposals proposals;
    private final OrderMenu order;
    private final VBox side;
    private final Subscription subscription;
    private Optional<SourceId> onTable = Optional.empty();

    /** @param kept rules that are kept under names */
    public CutStage(Workspace workspace, PagePictures pictures, FileDialogs dialogs, Opener opener, KeptRules kept) {
        this.workspace = workspace;
        this.pictures = pictures;
        this.desk = new CutDesk(workspace);
        this.batches = new BatchList(desk);
        this.table = new LightTable(pictures);
        this.rules = new RuleSentences(desk, Controls.button("cut.sheets", this::openSheets),
                (kind, forward) -> goTo(desk.rules().cutBy(kind, currentPage(), forward)));
        this.names = new NameParts(desk);
        SheetDesk sheetDesk = new SheetDesk(workspace, desk);
        this.proposals = new SheetProposals(sheetDesk,
                new DoubtfulSheets(sheetDesk, pictures, (shown, page, width) -> new Pages(shown).order(page, width), this::goTo),
                this::currentPage, this::goTo);
        this.order = new OrderMenu(sheetDesk);
        this.large = new LargePage(desk, sheetDesk, pictures, this::closeLarge, step -> goTo(currentPage() + step));
        this.making = new Making(workspace);
        this.pieces = new PiecesView(desk, making, workspace, dialogs, opener, this::closePieces, page -> {
            closePieces();
            goTo(page);
        });
        this.sheets = new SheetsView(workspace, dialogs, opener, this::closeSheets);
        setId("cut-stage");
        Controls.show(several, false);
        several.setMinHeight(USE_PREF_SIZE);
        // All of it moves together: many proposals do not leave the rules without room.
        VBox column = new VBox(10, proposals, Controls.label(Words.of("cut.rules"), Styles.TITLE),
                new KeptMenu<>(workspace.jobs(), dialogs, workspace.folder().path(), "cut.kept", new RulesStore(kept),
                        () -> desk.shownProperty().get().map(shown -> shown.batch().rules()), desk.rules()::useRules),
                several, new VBox(14, rules, Controls.label(Words.of("cut.names"), Styles.FORM_LABEL), names));
        column.setPadding(new Insets(0, BAR_PX, 0, 0));
        side = new VBox(scrolled(column));
        side.getStyleClass().add(Styles.CUT_RULES);
        StackPane middle = new StackPane(work(), pieces, sheets, emptyView);
        HBox.setHgrow(middle, Priority.ALWAYS);
        middle.setMinSize(0, 0);
        getChildren().addAll(batches, middle, side);
        emptyView.setAlignment(Pos.CENTER);
        emptyView.getChildren().addAll(Controls.label(Words.of("cut.empty.title"), Styles.EMPTY_TITLE),
                Controls.paragraph(Words.of("cut.empty.text"), Styles.EMPTY_TEXT));
        pieces.setVisible(false);
        subscription =
                Subscription.combine(desk.rowsProperty().subscribe(this::showRows), desk.shownProperty().subscribe(this::show),
                        desk.shownProperty().subscribe(proposals::show), desk.openProperty().subscribe(this::showSeveral));
    }

    private static ScrollPane scrolled(VBox content) {
        ScrollPane scroll = new ScrollPane(content);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add(Styles.GLANCE_WORDS);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        return scroll;
    }

    private VBox work() {
        HBox head = new HBox(6, Controls.iconButton(Feather.ROTATE_CCW, "sheet.undo", workspace::undo),
                Controls.iconButton(Feather.ROTATE_CW, "sheet.redo", workspace::redo), order, Controls.spring(),
                Controls.iconButton(Feather.MINUS, "cut.smaller", () -> table.resizeBy(0.8)), size(),
                Controls.iconButton(Feather.PLUS, "cut.larger", () -> table.resizeBy(1.25)));
        head.getChildren().getFirst().disableProperty().bind(workspace.undoableProperty().not());
        head.getChildren().get(1).disableProperty().bind(workspace.redoableProperty().not());
        head.setAlignment(Pos.CENTER_LEFT);
        table.onOpened(this::openLarge);
        name.setId("piece-name");
        name.setAccessibleText(Words.of("cut.pieceName"));
        name.setOnAction(event -> endNaming(true));
        name.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ESCAPE) endNaming(false);
        });
        name.focusedProperty().subscribe(focused -> {
            if (!focused && name.isVisible() && !Controls.isWhereOneTypes(name)) endNaming(true);
        });
        Controls.show(name, false);
        StackPane pages = new StackPane(table, large);
        pages.setMinSize(0, 0);
        VBox.setVgrow(pages, Priority.ALWAYS);
        go.getStyleClass().add(Styles.MAIN_ACTION);
        go.setMinWidth(USE_PREF_SIZE);
        HBox foot = new HBox(10, new VBox(1, summary, lacking), Controls.spring(), go);
        foot.setAlignment(Pos.CENTER_LEFT);
        Controls.show(trouble, false);
        work.getChildren().addAll(head, pages, name, trouble, foot);
        work.getStyleClass().add(Styles.CUT_WORK);
        return work;
    }

    private Slider size() {
        Slider size = new Slider(LightTable.LEAST, LightTable.MOST, table.pageWidthProperty().get());
        size.valueProperty().bindBidirectional(table.pageWidthProperty());
        size.setPrefWidth(110);
        size.setId("table-size");
        Controls.describe(size, Words.of("cut.tableSize"));
        size.setFocusTraversable(false);
        return size;
    }

    private void showSeveral(List<Shown> open) {
        several.setText(Words.of("cut.several", open.size()));
        go.setText(Words.of("cut.go", open.stream().mapToInt(one -> one.cutting().pieces().size()).sum()));
        Controls.show(several, open.size() > 1);
    }

    private void openPieces() {
        closeLarge();
        making.reset();
        desk.wantSizes(true);
        work.setVisible(false);
        pieces.setVisible(true);
        pieces.begin();
    }

    private void closePieces() {
        desk.wantSizes(false);
        pieces.setVisible(false);
        work.setVisible(true);
        table.requestFocus();
    }

    private void openSheets() {
        work.setVisible(false);
        pieces.setVisible(false);
        sheets.setVisible(true);
        sheets.begin();
    }

    private void closeSheets() {
        sheets.setVisible(false);
        work.setVisible(true);
        table.requestFocus();
    }

    /** Puts the keyboard where work begins. */
    @Override
    public void begin() {
        if (batches.begin()) table.requestFocus();
    }

    @Override
    public void dispose() {
        subscription.unsubscribe();
        batches.dispose();
        large.close();
        pieces.dispose();
        table.dispose();
        desk.dispose();
    }

    private void showRows(List<Row> rows) {
        boolean empty = rows.isEmpty();
        Controls.show(emptyView, empty);
        work.setManaged(!empty);
        if (empty) {
            pieces.setVisible(false);
            sheets.setVisible(false);
        }
        work.setVisible(!empty && !pieces.isVisible() && !sheets.isVisible());
        Controls.show(side, !empty);
    }

    private void show(Optional<Shown> now) {
        go.setDisable(now.isEmpty() || !now.get().trouble().isEmpty() || now.get().cutting().pieces().isEmpty());
        if (now.isEmpty()) return;
        Shown shown = now.get();
        table.show(new Pages(shown));
        if (!onTable.equals(Optional.of(shown.source().id()))) table.goTo(1);
        onTable = Optional.of(shown.source().id());
        rules.show(shown);
        names.show(shown);
        int count = shown.cutting().pieces().size();
        int dropped = shown.cutting().dropped().size();
        long nameless = shown.names().stream().filter(named -> !named.missing().isEmpty()).count();
        summary.setText(Words.of("cut.summary", count, shown.pages().size() - dropped, shown.pages().size(), dropped));
        lacking.setText(Words.of("cut.lacking", nameless));
        Controls.show(lacking, nameless > 0);
        boolean wordless = shown.isRead() && needsWords(shown) && shown.pages().stream().allMatch(page -> page.text().isEmpty());
        trouble.setText(!shown.trouble().isEmpty() ? shown.trouble()
                : wordless ? Words.of("cut.wordless", shown.source().fileName()) : "");
        Controls.show(trouble, !trouble.getText().isEmpty());
        if (!shown.trouble().isEmpty()) shown.batch().rules().rules().stream().map(RuleKind::of)
                .filter(kind -> kind == RuleKind.RANGES || kind == RuleKind.WORDS).forEach(rules::markWrong);
        if (large.isVisible()) showLarge(shown);
    }

    private static boolean needsWords(Shown shown) {
        return shown.batch().rules().rules().stream()
                .anyMatch(rule -> rule instanceof CutRule.WordsFound || rule instanceof CutRule.ValueChanges
                        || rule instanceof CutRule.NumberingRestarts || rule instanceof CutRule.FirstPages);
    }

    /** {@return whether keys meant something here} */
    @Override
    public boolean run(Shortcut shortcut, boolean typing) {
        if (shortcut == Shortcut.SHOW_LARGE && large.isVisible() && !typing) {
            closeLarge();
            return true;
        }
        if (typing || !table.hasKeyboard() && !large.isVisible()) return false;
        int page = currentPage();
        switch (shortcut) {
            case SET_CUT -> desk.hand().toggleCut(page);
            case TAKE_OUT -> desk.hand().toggleDrop(page);
            case NEXT_CUT -> goTo(desk.hand().cutFrom(page, true));
            case PREVIOUS_CUT -> goTo(desk.hand().cutFrom(page, false));
            case RENAME -> beginNaming(page);
            case SHOW_LARGE -> openLarge();
            default -> {
                return false;
            }
        }
        return true;
    }

    private void goTo(int page) {
        table.goTo(page);
        desk.shownProperty().get().filter(shown -> large.isVisible()).ifPresent(this::showLarge);
    }

    private void beginNaming(int page) {
        desk.shownProperty().get().ifPresent(shown -> shown.pieceOf(page).ifPresent(piece -> {
            name.setUserData(piece);
            name.setText(shown.names().get(piece).words());
            Controls.show(name, true);
            name.requestFocus();
            name.selectAll();
        }));
    }

    private void endNaming(boolean take) {
        if (!name.isVisible()) return;
        Controls.show(name, false);
        if (take && name.getUserData() instanceof Integer piece) desk.hand().name(piece, name.getText());
        table.requestFocus();
    }

    private int currentPage() {
        return table.currentProperty().get();
    }

    private void openLarge() {
        desk.shownProperty().get().ifPresent(shown -> {
            showLarge(shown);
            table.setVisible(false);
            large.requestFocus();
        });
    }

    private void closeLarge() {
        large.close();
        table.setVisible(true);
        table.requestFocus();
    }

    private void showLarge(Shown shown) {
        large.show(shown, currentPage(), new Pages(shown).order(currentPage(), LargePage.WIDTH_PX));
    }

    /** A batch as the table shows it. */
    private final class Pages implements LightTable.Model {
        private final Shown shown;
        private final int[] pieces;
        private final List<Area> areas = desk.rules().areas();

        Pages(Shown shown) {
            this.shown = shown;
            pieces = new int[shown.pages().size() + 1];
            Arrays.fill(pieces, -1);
            for (int i = shown.cutting().pieces().size() - 1; i >= 0; i--)
                for (int page : shown.cutting().pieces().get(i).pages()) pieces[page] = i;
        }

        @Override
        public int pageCount() {
            return shown.pages().size();
        }

        @Override
        public PageRenderer.Order order(int page, int widthPx) {
            SourcePages its = CutDesk.page(shown.batch(), page);
            return pictures.renderer().page(its.source(), its.first(), its.look(), workspace.bundle().fromSources().comments(),
                    widthPx);
        }

        @Override
        public Optional<LightTable.Tab> tab(int page) {
            int piece = pieces[page];
            if (piece < 0 || shown.cutting().pieces().get(piece).first() != page) return Optional.empty();
            Cutting.Piece its = shown.cutting().pieces().get(piece);
            String why = its.reasons().stream().map(Reason::words).collect(Collectors.joining("; "));
            String range = its.pages().size() == 1 ? String.valueOf(page) : page + "–" + its.pages().getLast();
            return Optional.of(new LightTable.Tab(shown.names().get(piece).words(), range, Words.of("cut.tab.why", why),
                    its.reasons().contains(Reason.HAND)));
        }

        @Override
        public List<Area> areas() {
            return areas;
        }

        @Override
        public int piece(int page) {
            return pieces[page];
        }

        @Override
        public Optional<String> faded(int page) {
            return pieces[page] >= 0 ? Optional.empty() : shown.dropped(page);
        }
    }
}
