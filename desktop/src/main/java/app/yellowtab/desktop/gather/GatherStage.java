package app.yellowtab.desktop.gather;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.FileDialogs;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.pages.PagePictures;
import app.yellowtab.desktop.work.Intakes;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.desktop.work.Shortcut;
import app.yellowtab.desktop.work.StageView;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.files.WorkFolder;
import app.yellowtab.finding.Finding;
import app.yellowtab.model.Reading;
import app.yellowtab.model.RecognitionChoice;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.recognise.Languages;
import app.yellowtab.sample.paper.RehearsalScanner;
import java.nio.file.Path;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.ChoiceDialog;
import javafx.scene.control.Label;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.Clipboard;
import javafx.scene.input.DragEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import javafx.util.Subscription;

/** Where the work begins: everything that came in, and one of it at a glance. */
public final class GatherStage extends HBox implements StageView {
    private final Workspace workspace;
    private final Intakes intakes;
    private final FileDialogs dialogs;
    private final Gathering gathering;
    private final Watching watching;
    private final SourceList list;
    private final Glance glance;
    private final HBox filters = new HBox(6);
    private final HBox offer = new HBox(10);
    private final HBox watched = new HBox(10);
    private final MenuItem stopWatching = new MenuItem(Words.of("gather.stopWatching"));
    private final Subscription subscription;
    private Subscription confirming = Subscription.EMPTY;

    public GatherStage(Workspace workspace, Intakes intakes, Gathering gathering, FileDialogs dialogs, PagePictures pictures) {
        this.workspace = workspace;
        this.intakes = intakes;
        this.dialogs = dialogs;
        this.gathering = gathering;
        this.watching = new Watching(workspace, gathering::bringIn);
        this.list = new SourceList(gathering);
        this.glance = new Glance(gathering, list, pictures);
        VBox.setVgrow(list, Priority.ALWAYS);
        VBox table = new VBox(10, head(), tools(), offer, watched, list, actions());
        table.getStyleClass().add(Styles.GATHER);
        HBox.setHgrow(table, Priority.ALWAYS);
        getChildren().addAll(table, glance);
        setOnDragOver(this::onDragOver);
        setOnDragDropped(this::onDragDropped);
        setOnDragExited(event -> pseudoClassStateChanged(Styles.DROP_INTO, false));
        subscription = Subscription.combine(gathering.countsProperty().subscribe(counts -> showFilters()),
                gathering.filterProperty().subscribe(filter -> showFilters()),
                gathering.foldersProperty().subscribe(this::showOffer), watching.folderProperty().subscribe(this::showWatched));
    }

    private HBox head() {
        MenuItem watch = new MenuItem(Words.of("gather.watch"));
        watch.setOnAction(event -> dialogs.folder(Words.of("gather.watch")).ifPresent(watching::start));
        stopWatching.setOnAction(event -> watching.stop());
        MenuItem tiff = new MenuItem(Words.of("gather.rehearse.TIFF"));
        tiff.setOnAction(event -> rehearse(RehearsalScanner.Form.TIFF));
        MenuItem pdf = new MenuItem(Words.of("gather.rehearse.PDF"));
        pdf.setOnAction(event -> rehearse(RehearsalScanner.Form.PDF));
        MenuButton scanner = new MenuButton(Words.of("gather.scanner"), null, watch, stopWatching, tiff, pdf);
        scanner.setId("gather-scanner");
        Button files = Controls.button("gather.addFiles", this::addFiles);
        Button folder = Controls.button("gather.addFolder", this::addFolder);
        Controls.describe(files, Words.of("tray.addFilesTip", Shortcut.ADD_FILES.shown()));
        Controls.describe(folder, Words.of("tray.addFolderTip", Shortcut.ADD_FOLDER.shown()));
        HBox head = new HBox(8, Controls.label(Words.of("gather.title"), Styles.TITLE), Controls.spring(), reading(), files,
                folder, scanner);
        head.setAlignment(Pos.CENTER_LEFT);
        return head;
    }

    /** How files are read that leave a choice; it holds for the whole bundle. */
    private MenuButton reading() {
        CheckMenuItem monthFirst = new CheckMenuItem(Words.of("reading.monthFirst"));
        CheckMenuItem changes = new CheckMenuItem(Words.of("reading.showChanges"));
        CheckMenuItem comments = new CheckMenuItem(Words.of("reading.showComments"));
        for (CheckMenuItem one : List.of(monthFirst, changes, comments)) {
            one.setOnAction(event -> gathering.read(new Reading(monthFirst.isSelected(), changes.isSelected(),
                    comments.isSelected(), workspace.bundle().reading().zone())));
        }
        MenuItem zone = new MenuItem();
        zone.setOnAction(event -> askForZone());
        MenuItem forget = new MenuItem(Words.of("reading.forget"));
        forget.setOnAction(event -> intakes.forgetPasswords());
        SeparatorMenuItem parted = new SeparatorMenuItem();
        parted.visibleProperty().bind(forget.visibleProperty());
        CheckMenuItem recognise = new CheckMenuItem(Words.of("reading.recognise"));
        recognise.setOnAction(event -> workspace.edit(bundle -> bundle
                .withRecognition(new RecognitionChoice(recognise.isSelected(), bundle.recognition().languages()))));
        Menu languages = new Menu(Words.of("reading.languages"));
        MenuButton menu = new MenuButton(Words.of("reading.title"), null, monthFirst, changes, comments, zone,
                new SeparatorMenuItem(), recognise, languages, parted, forget);
        menu.setId("gather-reading");
        menu.getStyleClass().add(Styles.QUIET);
        menu.setOnShowing(event -> {
            Reading reading = workspace.bundle().reading();
            recognise.setSelected(workspace.bundle().recognition().isOn());
            languages.getItems().setAll(languages());
            forget.setVisible(intakes.remembersPasswords());
            monthFirst.setSelected(reading.monthFirst());
            zone.setText(reading.zone().map(chosen -> Words.of("reading.zone", chosen.getId()))
                    .orElseGet(() -> Words.of("reading.zoneHere", ZoneId.systemDefault().getId())));
            changes.setSelected(reading.showChanges());
            comments.setSelected(reading.showComments());
        });
        return menu;
    }

    /** {@return the languages that there are, to be chosen, and where others are put} */
    private List<MenuItem> languages() {
        Languages known = Languages.ofUser();
        List<MenuItem> items = new ArrayList<>();
        for (String code : known.codes()) {
            CheckMenuItem item = new CheckMenuItem(Languages.named(code));
            item.setSelected(workspace.bundle().recognition().languages().contains(code));
            item.setOnAction(event -> workspace.edit(bundle -> {
                List<String> codes = new ArrayList<>(bundle.recognition().languages());
                if (item.isSelected()) codes.add(code);
                else codes.remove(code);
                return codes.isEmpty() ? bundle
                        : bundle.withRecognition(new RecognitionChoice(bundle.recognition().isOn(), codes));
            }));
            items.add(item);
        }
        MenuItem more = new MenuItem(Words.of("reading.languagesFolder", known.folder()));
        more.setDisable(true);
        items.add(more);
        return items;
    }

    /** Asks where days begin; what stands first in the list is the computer's own zone. */
    private void askForZone() {
        String here = Words.of("reading.here", ZoneId.systemDefault().getId());
        List<String> zones = new ArrayList<>(List.of(here));
        zones.addAll(new TreeSet<>(ZoneId.getAvailableZoneIds()));
        ChoiceDialog<String> question =
                new ChoiceDialog<>(workspace.bundle().reading().zone().map(ZoneId::getId).orElse(here), zones);
        question.initOwner(getScene().getWindow());
        question.getDialogPane().getStylesheets().addAll(getScene().getStylesheets());
        question.setTitle(Words.of("reading.title"));
        question.setHeaderText(Words.of("reading.zoneWhy"));
        question.setGraphic(null);
        question.showAndWait().ifPresent(chosen -> gathering.read(workspace.bundle().reading()
                .withZone(chosen.equals(here) ? Optional.empty() : Optional.of(ZoneId.of(chosen)))));
    }

    private HBox tools() {
        TextField search = new TextField();
        search.setId("gather-search");
        search.setPromptText(Words.of("gather.search"));
        search.setPrefWidth(170);
        search.setMinWidth(110);
        search.textProperty().bindBidirectional(gathering.searchProperty());
        ChoiceBox<Gathering.Order> order = new ChoiceBox<>();
        order.setId("gather-order");
        order.getItems().setAll(Gathering.Order.values());
        order.setConverter(new StringConverter<>() {
            @Override
            public String toString(Gathering.Order value) {
                return Words.of("gather.order." + value.name());
            }

            @Override
            public Gathering.Order fromString(String text) {
                return order.getItems().stream().filter(value -> toString(value).equals(text)).findFirst()
                        .orElse(Gathering.Order.CAME);
            }
        });
        order.valueProperty().bindBidirectional(gathering.orderProperty());
        Controls.describe(order, Words.of("gather.order"));
        filters.setAlignment(Pos.CENTER_LEFT);
        HBox tools = new HBox(8, search, filters, Controls.spring(), order);
        tools.setAlignment(Pos.CENTER_LEFT);
        order.setMinWidth(USE_PREF_SIZE);
        return tools;
    }

    private HBox actions() {
        Button put = Controls.button("gather.put", list::putInIndex);
        Button away = Controls.button("gather.takeAway", list::takeAway);
        Button all = Controls.button("gather.confirmInView", () -> {
            gathering.confirm(list.inView().stream().filter(Gathering::isProposed).toList());
            list.showNext(Gathering::isProposed);
        });
        put.disableProperty().bind(list.nothingChosen());
        away.disableProperty().bind(list.nothingChosen());
        Controls.describe(put, Words.of("gather.putTip", Shortcut.PUT_IN_INDEX.shown()));
        Controls.describe(away, Words.of("gather.takeAwayTip", Shortcut.TAKE_OUT.shown()));
        Controls.describe(all, Words.of("gather.confirmInViewTip"));
        confirming = gathering.rowsProperty().subscribe(rows -> {
            // Of all rows: the list itself may still be growing.
            long left = rows.stream()
                    .filter(row -> row instanceof Gathering.Row.Known known && Gathering.isProposed(known.source())).count();
            all.setText(left == 0 ? Words.of("gather.confirmInView") : Words.of("gather.confirmCount", left));
            all.setDisable(left == 0);
        });
        return new HBox(8, put, away, Controls.spring(), all);
    }

    private void showFilters() {
        var counts = gathering.countsProperty().get();
        ToggleGroup group = new ToggleGroup();
        filters.getChildren().clear();
        for (Gathering.Filter filter : Gathering.Filter.values()) {
            int count = counts.getOrDefault(filter, 0);
            boolean chosen = gathering.filterProperty().get() == filter;
            if (count == 0 && filter != Gathering.Filter.ALL && !chosen) continue;
            ToggleButton button = new ToggleButton(Words.of("gather.filter." + filter.name(), count));
            button.setId("filter-" + filter.name());
            button.getStyleClass().add(Styles.FILTER);
            button.setToggleGroup(group);
            button.setSelected(chosen);
            button.setMinWidth(USE_PREF_SIZE);
            button.setOnAction(event -> gathering.filterProperty().set(filter));
            filters.getChildren().add(button);
        }
    }

    private void showOffer(Optional<Contents> folders) {
        Controls.show(offer, folders.isPresent());
        offer.getChildren().clear();
        if (folders.isEmpty()) return;
        Label words = Controls.paragraph(Words.of("gather.offer", folders.get().sections().size()), Styles.NOTICE);
        words.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(words, Priority.ALWAYS);
        offer.setAlignment(Pos.CENTER_LEFT);
        Button make = Controls.button("gather.offer.make", () -> gathering.answerFolders(true));
        Button leave = Controls.button("gather.offer.leave", () -> gathering.answerFolders(false));
        make.setMinWidth(USE_PREF_SIZE);
        leave.setMinWidth(USE_PREF_SIZE);
        offer.getChildren().addAll(words, make, leave);
    }

    private void showWatched(Optional<Path> folder) {
        Controls.show(watched, folder.isPresent());
        stopWatching.setVisible(folder.isPresent());
        watched.getChildren().clear();
        if (folder.isEmpty()) return;
        Label words = Controls.paragraph(Words.of("gather.watching", folder.get().toString()), Styles.NOTICE);
        words.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(words, Priority.ALWAYS);
        watched.setAlignment(Pos.CENTER_LEFT);
        Button stop = Controls.button("gather.stopWatching", watching::stop);
        stop.setMinWidth(USE_PREF_SIZE);
        watched.getChildren().addAll(words, stop);
    }

    /** The rehearsal scanner delivers into the watched folder if there is one, as a real one would, and otherwise here. */
    private void rehearse(RehearsalScanner.Form form) {
        int number = gathering.nextBatch();
        Optional<Path> into = watching.folderProperty().get();
        workspace.jobs().start((progress, stop) -> {
            progress.accept(new Jobs.JobProgress(Words.of("gather.scanning"), 0.5));
            Path folder = into.isPresent() ? into.get() : WorkFolder.newFolder("scan");
            return RehearsalScanner.deliver(folder, number, RehearsalScanner.SHEETS, form);
        }, delivered -> {
            if (into.isEmpty()) gathering.bringInAndDelete(delivered);
        }, failure -> workspace.findings().add(Finding.about(Finding.Code.NO_ROOM, Words.of("gather.scanner"), "")));
    }

    /** Puts the keyboard on the list. */
    @Override
    public void begin() {
        list.focusRows();
    }

    @Override
    public void dispose() {
        subscription.unsubscribe();
        confirming.unsubscribe();
        watching.stop();
        glance.dispose();
        list.dispose();
    }

    /** {@return whether the keys meant something here} */
    @Override
    public boolean run(Shortcut shortcut, boolean typing) {
        if (typing) return false;
        switch (shortcut) {
            case ADD_FILES -> addFiles();
            case ADD_FOLDER -> addFolder();
            case PASTE -> paste();
            case RENAME -> glance.beginTyping();
            case PUT_IN_INDEX -> {
                if (!list.hasKeyboard()) return false;
                list.putInIndex();
            }
            case TAKE_OUT -> {
                if (!list.hasKeyboard()) return false;
                list.takeAway();
            }
            default -> {
                return false;
            }
        }
        return true;
    }

    private void addFiles() {
        List<Path> files = dialogs.files(Words.of("tray.addFiles"));
        if (!files.isEmpty()) gathering.bringIn(files);
    }

    private void addFolder() {
        dialogs.folder(Words.of("tray.addFolder")).ifPresent(folder -> gathering.bringIn(List.of(folder)));
    }

    /** Brings in files that were copied in the file manager. */
    private void paste() {
        Clipboard clipboard = Clipboard.getSystemClipboard();
        if (clipboard.hasFiles()) gathering.bringIn(clipboard.getFiles().stream().map(file -> Path.of(file.getPath())).toList());
    }

    private void onDragOver(DragEvent event) {
        if (!event.getDragboard().hasFiles()) return;
        event.acceptTransferModes(TransferMode.COPY);
        pseudoClassStateChanged(Styles.DROP_INTO, true);
        event.consume();
    }

    private void onDragDropped(DragEvent event) {
        if (!event.getDragboard().hasFiles()) return;
        gathering.bringIn(event.getDragboard().getFiles().stream().map(file -> Path.of(file.getPath())).toList());
        event.setDropCompleted(true);
        event.consume();
    }

}
