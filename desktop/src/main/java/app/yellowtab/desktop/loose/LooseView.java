package app.yellowtab.desktop.loose;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.FileDialogs;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.loose.LooseDesk.Loose;
import app.yellowtab.desktop.loose.LooseDesk.LooseState;
import app.yellowtab.desktop.mark.LineEditor;
import app.yellowtab.desktop.mark.PlaceChoice;
import app.yellowtab.desktop.mark.PresetStore;
import app.yellowtab.desktop.pages.PagePane;
import app.yellowtab.desktop.pages.PagePictures;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.desktop.work.KeptMenu;
import app.yellowtab.desktop.work.RunningJob;
import app.yellowtab.draw.DrawnPage;
import app.yellowtab.files.FileNames;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.number.LineField;
import app.yellowtab.stamp.LoosePages;
import java.io.File;
import java.io.IOException;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.collections.ListChangeListener;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.MenuButton;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.SelectionMode;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import org.kordamp.ikonli.feather.Feather;
import org.slf4j.LoggerFactory;

/** Loose files on the left, the first page of one of them in the middle with what is put on it, and on the right what that is. */
public final class LooseView extends BorderPane {
    private static final int WIDTH_PX = 700;
    private static final List<LineField> FIELDS = List.of(LineField.FILE_NAME, LineField.PRODUCED, LineField.PAGE,
            LineField.PAGES, LineField.DOCUMENT_PAGE, LineField.DOCUMENT_PAGES);

    private final LooseDesk desk;
    private final FileDialogs dialogs;
    private final ListView<Loose> list = new ListView<>();
    private final PagePane page = new PagePane();
    private final CheckBox number = new CheckBox(Words.of("loose.number"));
    private final TextField start = new TextField();
    private final PlaceChoice numberPlace;
    private final CheckBox series = new CheckBox(Words.of("loose.series"));
    private final TextField first = new TextField();
    private final PlaceChoice seriesPlace;
    private final CheckBox line = new CheckBox(Words.of("loose.line"));
    private final LineEditor editor;
    private final PlaceChoice linePlace;
    private final CheckBox each = new CheckBox(Words.of("loose.each"));
    private final TextField before = new TextField();
    private final TextField after = new TextField();
    private final TextField folder = new TextField();
    private final Button stamp;
    private final Button register;
    private final Label said = Controls.paragraph("", Styles.NOTICE);
    private final VBox running = new VBox(6);
    private final Subscription subscription;
    private Optional<Loose> drawn = Optional.empty();
    private boolean showing;

    /** @param back leads to where one came from */
    public LooseView(Jobs jobs, PresetStore presets, FileDialogs dialogs, Path kept, Runnable back) {
        this.desk = new LooseDesk(jobs);
        this.dialogs = dialogs;
        numberPlace = new PlaceChoice("loose-number-place", spot -> number(number.isSelected(),
                desk.stateProperty().get().number().withSetting(desk.stateProperty().get().number().setting().withSpot(spot))));
        seriesPlace = new PlaceChoice("loose-series-place",
                spot -> desk.series(series.isSelected(), desk.stateProperty().get().series().setting().withSpot(spot)));
        editor = new LineEditor(parts -> desk.line(line.isSelected(), desk.stateProperty().get().line().withParts(parts)));
        linePlace = new PlaceChoice("loose-line-place", spot -> desk.line(line.isSelected(),
                desk.stateProperty().get().line().withSetting(desk.stateProperty().get().line().setting().withSpot(spot))));
        stamp = Controls.button("loose.stamp", desk::stamp);
        stamp.getStyleClass().add(Styles.MAIN_ACTION);
        register = Controls.button("loose.register", this::askRegister);
        said.setId("loose-said");
        getStyleClass().add(Styles.LOOSE);
        HBox head = new HBox(12, Controls.iconButton(Feather.ARROW_LEFT, "loose.back", back),
                Controls.label(Words.of("loose.title"), Styles.TITLE), Controls.spring());
        head.setAlignment(Pos.CENTER_LEFT);
        setTop(head);
        setLeft(files());
        VBox.setVgrow(page, Priority.ALWAYS);
        setCenter(page);
        setRight(side(presets, kept));
        setOnDragOver(event -> {
            if (event.getDragboard().hasFiles()) event.acceptTransferModes(TransferMode.COPY);
        });
        setOnDragDropped(event -> desk.add(event.getDragboard().getFiles().stream().map(File::toPath).toList()));
        jobs.running().addListener((ListChangeListener<Jobs.Job>) change -> running.getChildren()
                .setAll(jobs.running().stream().<Node>map(RunningJob::new).toList()));
        subscription = Subscription.combine(desk.stateProperty().subscribe(this::show), desk.saidProperty().subscribe(words -> {
            said.setText(words);
            Controls.show(said, !words.isEmpty());
            Controls.show(register, desk.hasDone());
        }));
    }

    public void dispose() {
        subscription.unsubscribe();
    }

    private VBox files() {
        list.setId("loose-files");
        list.getSelectionModel().setSelectionMode(SelectionMode.MULTIPLE);
        list.setCellFactory(view -> new Cell());
        list.setPlaceholder(Controls.paragraph(Words.of("loose.empty"), Styles.SMALL));
        list.getSelectionModel().selectedItemProperty().addListener((value, was, now) -> draw());
        list.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.DELETE) desk.remove(List.copyOf(list.getSelectionModel().getSelectedItems()));
            if (event.isAltDown() && event.getCode() == KeyCode.UP) move(-1);
            if (event.isAltDown() && event.getCode() == KeyCode.DOWN) move(1);
        });
        VBox.setVgrow(list, Priority.ALWAYS);
        FlowPane acts =
                new FlowPane(6, 6, Controls.button("loose.addFiles", () -> desk.add(dialogs.files(Words.of("loose.addFiles")))),
                        Controls.button("loose.addFolder",
                                () -> dialogs.folder(Words.of("loose.addFolder")).ifPresent(one -> desk.add(List.of(one)))),
                        Controls.iconButton(Feather.ARROW_UP, "loose.up", () -> move(-1)),
                        Controls.iconButton(Feather.ARROW_DOWN, "loose.down", () -> move(1)), Controls.iconButton(Feather.X,
                                "loose.remove", () -> desk.remove(List.copyOf(list.getSelectionModel().getSelectedItems()))));
        VBox left = new VBox(10, acts, list);
        left.getStyleClass().add(Styles.LOOSE_FILES);
        return left;
    }

    private void move(int by) {
        Loose chosen = list.getSelectionModel().getSelectedItem();
        if (chosen == null) return;
        desk.move(chosen, by);
        list.getSelectionModel().clearAndSelect(list.getItems().indexOf(chosen));
    }

    private ScrollPane side(PresetStore presets, Path kept) {
        number.setId("loose-number");
        number.setOnAction(event -> number(number.isSelected(), desk.stateProperty().get().number()));
        typed(start, "loose-start", 6, () -> desk.start(start.getText()));
        series.setId("loose-series");
        series.setOnAction(event -> desk.series(series.isSelected(), desk.stateProperty().get().series().setting()));
        typed(first, "loose-first", 10, () -> desk.first(first.getText()));
        line.setId("loose-line");
        line.setOnAction(event -> desk.line(line.isSelected(), desk.stateProperty().get().line()));
        MenuButton put = editor.menu("loose-put", FIELDS);
        each.setId("loose-each");
        each.setOnAction(event -> copies());
        typed(before, "loose-before", 8, this::copies);
        typed(after, "loose-afterwards", 10, this::copies);
        typed(folder, "loose-folder", 24, this::copies);
        HBox.setHgrow(folder, Priority.ALWAYS);
        VBox side = new VBox(10,
                new KeptMenu<>(desk.jobs(), dialogs, kept, "number.kept", presets, () -> Optional.of(desk.preset()), desk::use),
                number, indented(row(new Label(Words.of("number.from")), start, numberPlace)), series,
                indented(row(new Label(Words.of("number.from")), first, seriesPlace)), line, indented(editor),
                indented(row(put, linePlace)), each,
                Controls.label(Words.of("loose.copies"), Styles.FORM_LABEL),
                row(before, new Label(Words.of("loose.name")), after, new Label(".pdf")),
                row(folder,
                        Controls.button("loose.choose",
                                () -> dialogs.folder(Words.of("loose.folderTitle"))
                                        .ifPresent(chosen -> folder.setText(chosen.toString())))),
                new FlowPane(8, 8, stamp, register, Controls.button("loose.takeOff", desk::takeOff)), running, said);
        folder.textProperty().addListener((value, was, now) -> {
            if (!showing && !folder.isFocused()) copies();
        });
        ScrollPane scroll = new ScrollPane(side);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add(Styles.LOOSE_SIDE);
        return scroll;
    }

    private static HBox row(Node... nodes) {
        HBox row = new HBox(8, nodes);
        for (Node node : nodes) if (node instanceof Label label) label.setMinWidth(USE_PREF_SIZE);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private static Node indented(Node node) {
        VBox.setMargin(node, new Insets(0, 0, 4, 26));
        return node;
    }

    private void typed(TextField field, String id, int columns, Runnable take) {
        field.setId(id);
        field.setPrefColumnCount(columns);
        field.setAccessibleText(Words.of(id.replace('-', '.')));
        field.setOnAction(event -> take.run());
        field.focusedProperty().addListener((value, was, focused) -> {
            if (!focused && !showing) take.run();
        });
    }

    private void number(boolean on, BundleNumber now) {
        desk.number(on, now);
    }

    private void copies() {
        if (showing) return;
        for (TextField part : List.of(before, after)) {
            if (part.getText().isEmpty() || FileNames.safe("x" + part.getText() + "x").equals("x" + part.getText() + "x"))
                continue;
            said.setText(Words.of("loose.noName", part.getText()));
            Controls.show(said, true);
            return;
        }
        Optional<Path> into;
        try {
            into = folder.getText().isBlank() ? Optional.empty() : Optional.of(Path.of(folder.getText().strip()));
        } catch (InvalidPathException none) {
            into = Optional.empty();
        }
        LooseState now = desk.stateProperty().get();
        if (now.each() != each.isSelected() || !now.before().equals(before.getText()) || !now.after().equals(after.getText())
                || !now.folder().equals(into))
            desk.copies(each.isSelected(), before.getText(), after.getText(), into);
    }

    private void askRegister() {
        desk.stateProperty().get().folder().ifPresent(
                into -> dialogs.saveAs(Words.of("loose.register"), into.resolve(Words.of("number.registerFile") + ".csv"))
                        .ifPresent(desk::writeRegister));
    }

    private void show(LooseState state) {
        showing = true;
        if (!list.getItems().equals(state.files())) list.getItems().setAll(state.files());
        else list.refresh();
        if (list.getSelectionModel().isEmpty() && !state.files().isEmpty()) list.getSelectionModel().select(0);
        number.setSelected(state.hasNumber());
        if (!start.isFocused()) start.setText(String.valueOf(state.number().start()));
        numberPlace.show(state.number().setting().spot());
        series.setSelected(state.hasSeries());
        if (!first.isFocused()) first.setText(state.series().first());
        seriesPlace.show(state.series().setting().spot());
        line.setSelected(state.hasLine());
        editor.show(state.line().parts());
        linePlace.show(state.line().setting().spot());
        for (Node node : List.of(start, numberPlace)) node.setDisable(!state.hasNumber());
        for (Node node : List.of(first, seriesPlace)) node.setDisable(!state.hasSeries());
        for (Node node : List.of(editor, linePlace)) node.setDisable(!state.hasLine());
        each.setSelected(state.each());
        if (!before.isFocused()) before.setText(state.before());
        if (!after.isFocused()) after.setText(state.after());
        if (!folder.isFocused()) folder.setText(state.folder().map(Path::toString).orElse(""));
        stamp.setText(Words.of("loose.stampMany", state.good().size()));
        stamp.setDisable(!state.isReady());
        Controls.show(register, desk.hasDone());
        showing = false;
        draw();
    }

    private void draw() {
        Loose chosen = list.getSelectionModel().getSelectedItem();
        if (chosen == null || !chosen.trouble().isEmpty()) {
            drawn = Optional.empty();
            page.clear();
            return;
        }
        if (drawn.filter(chosen::equals).isPresent() && page.isShowing()) {
            page.remark(desk.firstMarks(chosen));
            return;
        }
        drawn = Optional.of(chosen);
        desk.jobs().quietly(() -> picture(chosen), picture -> {
            if (drawn.filter(chosen::equals).isEmpty()) return;
            if (picture.isEmpty()) page.clear();
            else page.show(picture.get(), desk.firstMarks(chosen));
        });
    }

    private static Optional<PagePictures.Result.Picture> picture(Loose file) {
        try {
            DrawnPage first = LoosePages.draw(file.file(), 1, WIDTH_PX);
            return Optional.of(PagePictures.Result.Picture.of(first));
        } catch (IOException | RuntimeException | Error undrawable) {
            LoggerFactory.getLogger(LooseView.class).info("not drawn: {}", file.file(), undrawable);
            return Optional.empty();
        }
    }

    /** A file with its numbers, or with what is the matter. */
    private final class Cell extends ListCell<Loose> {
        private final Label name = new Label();
        private final Label more = Controls.paragraph("", Styles.SMALL);
        private final VBox both = new VBox(2, name, more);

        @Override
        protected void updateItem(Loose file, boolean empty) {
            super.updateItem(file, empty);
            setPrefWidth(0);
            setGraphic(empty || file == null ? null : both);
            if (empty || file == null) return;
            name.setText(String.valueOf(file.file().getFileName()));
            String numbers = desk.numbers(file);
            more.setText(!file.trouble().isEmpty() ? file.trouble()
                    : Words.of("loose.pages", file.pages()) + (numbers.isEmpty() ? "" : " · " + numbers));
        }
    }
}
