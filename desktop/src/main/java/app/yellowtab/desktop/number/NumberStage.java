package app.yellowtab.desktop.number;

import app.yellowtab.desktop.number.NumberDesk.Line;
import app.yellowtab.desktop.number.NumberDesk.Scope;
import app.yellowtab.desktop.number.NumberDesk.State;
import app.yellowtab.desktop.pages.PagePane;
import app.yellowtab.desktop.pages.PagePictures.Urgency;
import app.yellowtab.desktop.pages.PagePictures;
import app.yellowtab.desktop.work.Controls;
import app.yellowtab.desktop.work.FileDialogs;
import app.yellowtab.desktop.work.Shortcut;
import app.yellowtab.desktop.work.Styles;
import app.yellowtab.desktop.work.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.page.Margins;
import app.yellowtab.mark.Mark;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.plan.Leaf;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import org.kordamp.ikonli.feather.Feather;

/** The page in view, large, with its numbers on it to be moved; beside it the series as sentences, and what belongs to the one that is chosen. */
public final class NumberStage extends HBox {
    /** Sharp at the size shown. */
    private static final int WIDTH_PX = 1100;
    private static final int LEAST_PT = 4;
    private static final int MOST_PT = 72;

    private final Workspace workspace;
    private final PagePictures pictures;
    private final NumberDesk desk;
    private final PagePane page = new PagePane();
    private final TextField number = new TextField();
    private final Label of = new Label();
    private final VBox lines = new VBox(4);
    private final ToggleGroup chosen = new ToggleGroup();
    private final Map<Spot.Row, Map<Spot.Column, ToggleButton>> places = new EnumMap<>(Spot.Row.class);
    private final TextField across = length("number-across");
    private final TextField down = length("number-down");
    private final HBox lengths;
    private final Spinner<Integer> size = new Spinner<>(LEAST_PT, MOST_PT, 13);
    private final CheckBox onCover = new CheckBox(Words.of("number.onCover"));
    private final CheckBox ground = new CheckBox(Words.of("number.ground"));
    private final CheckBox here = new CheckBox(Words.of("number.here"));
    private final Button everywhere;
    private final TextField first = new TextField();
    private final ChoiceBox<Scope> scope = new ChoiceBox<>();
    private final Label fixed = Controls.paragraph("", Styles.SMALL);
    private final VBox ofSeries;
    private final Label said = Controls.paragraph("", Styles.NOTICE);
    private final Subscription subscription;
    private PagePictures.Request request = PagePictures.Request.DONE;
    private boolean showing;

    public NumberStage(Workspace workspace, PagePictures pictures, FileDialogs dialogs) {
        super(20);
        this.workspace = workspace;
        this.pictures = pictures;
        this.desk = new NumberDesk(workspace);
        getStyleClass().add(Styles.NUMBER);
        page.onMarks(new PagePane.MarkHand() {
            @Override
            public void chosen(Mark mark) {
                desk.choose(new SeriesId(mark.series()));
            }

            @Override
            public void moved(Mark mark, Spot spot) {
                desk.choose(new SeriesId(mark.series()));
                put(spot);
            }
        });
        page.addEventHandler(ScrollEvent.SCROLL, event -> {
            if (event.getDeltaY() != 0) workspace.goTo(workspace.leaf() + (event.getDeltaY() < 0 ? 1 : -1));
        });
        VBox.setVgrow(page, Priority.ALWAYS);
        VBox middle = new VBox(8, head(), page);
        HBox.setHgrow(middle, Priority.ALWAYS);
        middle.setMinSize(0, 0);
        everywhere = Controls.button("number.everywhere", () -> desk.putHere(Optional.empty()));
        lengths = new HBox(8, new Label(Words.of("number.inward")), across, new Label(Words.of("number.fromEdge")), down);
        lengths.setAlignment(Pos.CENTER_LEFT);
        ofSeries = series(dialogs);
        said.setId("number-said");
        Button add = Controls.button("number.add", desk::add);
        VBox side = new VBox(14, Controls.label(Words.of("number.title"), Styles.TITLE), lines, add, settings(), ofSeries, said);
        side.getStyleClass().add(Styles.NUMBER_SIDE);
        getChildren().addAll(middle, side);
        subscription = Subscription.combine(desk.stateProperty().subscribe(this::show), desk.saidProperty().subscribe(words -> {
            said.setText(words);
            Controls.show(said, !words.isEmpty());
        }), workspace.onPlan(plan -> showPage()), workspace.onLeaf(leaf -> showPage()), sceneProperty().subscribe(scene -> showPage()));
    }

    private HBox head() {
        number.setId("number-leaf");
        number.setPrefColumnCount(7);
        number.setAccessibleText(Words.of("reader.number"));
        number.setOnAction(event -> {
            workspace.goToNumber(number.getText());
            showPage();
        });
        HBox head = new HBox(6, Controls.iconButton(Feather.CHEVRON_LEFT, "number.previous", () -> workspace.goTo(workspace.leaf() - 1)), Controls.label(Words.of("reader.leaf"), Styles.SMALL), number, of,
                Controls.iconButton(Feather.CHEVRON_RIGHT, "number.next", () -> workspace.goTo(workspace.leaf() + 1)), Controls.spring(), Controls.button("number.nextClash", desk::nextClash), Controls.button("number.landscape", desk::nextLandscape), Controls.button("number.looked", desk::nextLooked));
        head.setAlignment(Pos.CENTER_LEFT);
        return head;
    }

    /** What every series has: where it stands, chosen on a small page, and how large it is. */
    private HBox settings() {
        GridPane small = new GridPane(2, 2);
        small.getStyleClass().add(Styles.PLACES);
        ToggleGroup group = new ToggleGroup();
        for (Spot.Row row : Spot.Row.values()) {
            for (Spot.Column column : Spot.Column.values()) {
                ToggleButton place = new ToggleButton();
                place.setId("place-" + row.name() + "-" + column.name());
                place.setToggleGroup(group);
                Controls.describe(place, Words.of("number.place." + row.name() + "." + column.name()));
                place.setOnAction(event -> {
                    place.setSelected(true);
                    Spot now = desk.stateProperty().get().spot();
                    put(new Spot(row, column, now.across() > 0 ? now.across() : Spot.STANDARD.across(), now.down() > 0 ? now.down() : Spot.STANDARD.down()));
                });
                places.computeIfAbsent(row, its -> new EnumMap<>(Spot.Column.class)).put(column, place);
                small.add(place, column.ordinal(), row.ordinal());
            }
        }
        size.setId("number-size");
        size.setEditable(true);
        size.setPrefWidth(80);
        size.valueProperty().addListener((value, before, now) -> {
            if (!showing && now != null) desk.size(now);
        });
        HBox sized = new HBox(8, new Label(Words.of("number.size")), size, new Label(Words.of("number.points")));
        sized.setAlignment(Pos.CENTER_LEFT);
        onCover.setId("number-onCover");
        onCover.setOnAction(event -> desk.onCover(onCover.isSelected()));
        ground.setId("number-ground");
        ground.setOnAction(event -> desk.ground(ground.isSelected()));
        here.setId("number-here");
        VBox beside = new VBox(8, lengths, sized, ground, onCover, here, everywhere);
        return new HBox(16, small, beside);
    }

    /** What a series has that is not the bundle's own. */
    private VBox series(FileDialogs dialogs) {
        first.setId("number-first");
        first.setPrefColumnCount(14);
        first.setAccessibleText(Words.of("number.firstNumber"));
        first.setOnAction(event -> desk.first(first.getText()));
        first.focusedProperty().addListener((value, before, focused) -> {
            if (!focused && !showing) desk.first(first.getText());
        });
        scope.setId("number-scope");
        scope.setMaxWidth(Double.MAX_VALUE);
        scope.setOnAction(event -> {
            if (!showing && scope.getValue() != null) desk.scope(scope.getValue());
        });
        HBox begin = new HBox(8, new Label(Words.of("number.firstNumber")), first);
        begin.setAlignment(Pos.CENTER_LEFT);
        HBox whose = new HBox(8, new Label(Words.of("number.onPages")), scope);
        whose.setAlignment(Pos.CENTER_LEFT);
        HBox.setHgrow(scope, Priority.ALWAYS);
        fixed.setId("number-fixed");
        FlowPane acts = new FlowPane(6, 6, Controls.button("number.issue", desk::issue),
                Controls.button("number.register", () -> dialogs.saveAs(Words.of("number.register"), workspace.folder().path().resolve(Words.of("number.registerFile") + ".csv")).ifPresent(desk::writeRegister)), Controls.button("number.takeOff", desk::takeOff));
        return new VBox(8, begin, whose, fixed, acts);
    }

    private TextField length(String id) {
        TextField length = new TextField();
        length.setId(id);
        length.setPrefColumnCount(4);
        length.setAccessibleText(Words.of(id.replace('-', '.')));
        length.setOnAction(event -> typed());
        length.focusedProperty().addListener((value, before, focused) -> {
            if (!focused && !showing) typed();
        });
        return length;
    }

    private void typed() {
        Spot now = desk.stateProperty().get().spot();
        Optional<Double> inward = Margins.read(across.getText());
        Optional<Double> fromEdge = Margins.read(down.getText());
        if (inward.isEmpty() || fromEdge.isEmpty()) {
            said.setText(Words.of("crop.noLength", (inward.isEmpty() ? across : down).getText().strip()));
            Controls.show(said, true);
            return;
        }
        Spot spot = new Spot(now.row(), now.column(), inward.get(), fromEdge.get());
        if (!spot.equals(now)) put(spot);
    }

    private void put(Spot spot) {
        if (here.isSelected()) desk.putHere(Optional.of(spot));
        else desk.put(spot);
    }

    /** Puts the keyboard on the page's number. */
    public void begin() {
        number.requestFocus();
    }

    /** {@return whether the keys meant something here} */
    public boolean run(Shortcut shortcut) {
        if (shortcut != Shortcut.GO_TO) return false;
        number.requestFocus();
        number.selectAll();
        return true;
    }

    public void dispose() {
        subscription.unsubscribe();
        request.cancel();
        desk.dispose();
    }

    private void show(State state) {
        showing = true;
        lines.getChildren().clear();
        for (Line line : state.lines()) {
            ToggleButton one = new ToggleButton(line.sentence());
            one.setToggleGroup(chosen);
            one.setMaxWidth(Double.MAX_VALUE);
            one.setWrapText(true);
            one.getStyleClass().add(Styles.SERIES_LINE);
            one.setSelected(line.id().equals(state.chosen()));
            one.setOnAction(event -> desk.choose(line.id()));
            lines.getChildren().add(one);
        }
        places.forEach((row, columns) -> columns.forEach((column, place) -> place.setSelected(row == state.spot().row() && column == state.spot().column())));
        if (!across.isFocused()) across.setText(millimetres(state.spot().across()));
        if (!down.isFocused()) down.setText(millimetres(state.spot().down()));
        across.setDisable(state.spot().column() == Spot.Column.MIDDLE);
        down.setDisable(state.spot().row() == Spot.Row.MIDDLE);
        size.getValueFactory().setValue(Math.round(state.look().sizePt()));
        Controls.show(onCover, state.isBundle());
        onCover.setSelected(state.onCover());
        ground.setSelected(state.look().ground());
        Controls.show(everywhere, state.isMoved());
        Controls.show(ofSeries, !state.isBundle());
        if (!first.isFocused()) first.setText(state.first());
        first.setDisable(state.fixed() > 0);
        if (!scope.getItems().equals(state.scopes())) scope.getItems().setAll(state.scopes());
        scope.setValue(state.scope());
        fixed.setText(Words.of("number.fixed", state.fixed(), state.count()));
        showing = false;
    }

    private static String millimetres(double length) {
        return String.format(Locale.ROOT, length == Math.rint(length) ? "%.0f mm" : "%.1f mm", length);
    }

    private void showPage() {
        if (getScene() == null) return;
        Leaf leaf = workspace.plan().leaf(workspace.leaf());
        number.setText(leaf.label());
        of.setText(Words.of("reader.of", workspace.plan().lastNumber()));
        request.cancel();
        request = pictures.request(pictures.renderer().leaf(workspace.plan(), leaf, WIDTH_PX), Urgency.IN_VIEW, result -> {
            if (result instanceof PagePictures.Result.Picture drawn) page.show(drawn, workspace.plan().marksOn(leaf));
            else page.clear();
        });
    }
}
