package app.yellowtab.desktop;

import app.yellowtab.clash.ClashFinder;
import app.yellowtab.desktop.agree.AgreeMenu;
import app.yellowtab.desktop.arrange.ArrangeStage;
import app.yellowtab.desktop.clash.ClashDesk;
import app.yellowtab.desktop.clash.NumberNotes;
import app.yellowtab.desktop.clash.OldDesk;
import app.yellowtab.desktop.cut.CutStage;
import app.yellowtab.desktop.gather.GatherStage;
import app.yellowtab.desktop.gather.Gathering;
import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.FileDialogs;
import app.yellowtab.desktop.look.Late;
import app.yellowtab.desktop.look.Opener;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.mark.PresetStore;
import app.yellowtab.desktop.number.NumberStage;
import app.yellowtab.desktop.pages.FrameWish;
import app.yellowtab.desktop.pages.PagePictures;
import app.yellowtab.desktop.produce.ProduceStage;
import app.yellowtab.desktop.reader.ForeEdge;
import app.yellowtab.desktop.reader.Reader;
import app.yellowtab.desktop.work.Intakes;
import app.yellowtab.desktop.work.Recognising;
import app.yellowtab.desktop.work.Shortcut;
import app.yellowtab.desktop.work.Stage;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.find.BundleWords;
import app.yellowtab.keep.KeptReference;
import app.yellowtab.keep.KeptRules;
import app.yellowtab.keep.NumberPresets;
import app.yellowtab.keep.RememberedPasswords;
import app.yellowtab.keep.Templates;
import app.yellowtab.picture.PageRenderer;
import app.yellowtab.picture.PictureFiles;
import java.util.List;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.ListView;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.skin.VirtualFlow;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import org.jspecify.annotations.Nullable;

/** The frame of an open bundle: rail, the stage in the middle, fore-edge, reader, status bar. */
final class Shell extends StackPane {
    private final Workspace workspace;
    private final Gathering gathering;
    private final Late<GatherStage> gather;
    private final Late<CutStage> cut;
    private final ArrangeStage arrange;
    private final Late<NumberStage> number;
    private final ClashDesk clashes;
    private final OldDesk old;
    private final NumberNotes notes;
    private final Late<ProduceStage> produce;
    private final PagePictures pictures;
    private final Reader reader;
    private final ForeEdge foreEdge;
    private final Late<HelpOverlay> help = Late.in(this, HelpOverlay::new);
    private final StackPane middle = new StackPane();
    private final Rail rail;
    private final StatusBar status;
    private final Recognising recognising;
    private final Subscription subscription;

    Shell(Desk desk, Workspace workspace, RememberedPasswords passwords, PictureFiles pictureFiles, KeptRules kept,
            NumberPresets presets, KeptReference reference, Templates templates, FileDialogs dialogs, Opener opener,
            Recognising.Engines engines) {
        this.workspace = workspace;
        this.pictures = new PagePictures(new PageRenderer(workspace.folder(), pictureFiles), Platform::runLater,
                workspace.jobs()::beside);
        FrameWish framing = new FrameWish();
        Intakes intakes = new Intakes(workspace, passwords);
        this.recognising = new Recognising(workspace, engines);
        this.gathering = new Gathering(workspace, intakes, recognising);
        // A program shows one stage when it starts; the others are made when one goes there.
        this.gather = new Late<>(() -> new GatherStage(workspace, intakes, gathering, dialogs, pictures));
        this.cut = new Late<>(() -> new CutStage(workspace, pictures, dialogs, opener, kept));
        this.arrange = new ArrangeStage(workspace, intakes, dialogs, pictures, new AgreeMenu.Kept(reference, templates), framing);
        BundleWords words = new BundleWords(workspace.folder());
        ClashFinder finder = new ClashFinder(words, pictures.renderer());
        this.clashes = new ClashDesk(workspace, finder);
        this.old = new OldDesk(workspace, words, finder);
        this.notes = new NumberNotes(clashes, old, workspace);
        this.produce = new Late<>(() -> new ProduceStage(workspace, pictures.renderer(), notes, dialogs, opener));
        this.number = new Late<>(
                () -> new NumberStage(workspace, pictures, dialogs, clashes, old, new PresetStore(presets), desk::openLoose));
        this.reader = new Reader(workspace, pictures, reference, dialogs, framing);
        this.foreEdge = new ForeEdge(workspace);
        this.rail = new Rail(workspace, desk::leave, () -> help.get().toggle());
        this.status = new StatusBar(workspace, recognising);
        HBox.setHgrow(middle, Priority.ALWAYS);
        HBox work = new HBox(middle, foreEdge, reader);
        VBox.setVgrow(work, Priority.ALWAYS);
        BorderPane frame = new BorderPane(work);
        // The window gives them their sizes; asking two thousand rows how small they could be would be felt at every edit.
        for (Region region : List.of(frame, work, middle)) region.setMinSize(0, 0);
        frame.setLeft(rail);
        frame.setBottom(status);
        getChildren().add(frame);
        getStyleClass().add(Styles.DESK);
        subscription = Subscription.combine(workspace.stageProperty().subscribe(this::showStage),
                reader.largeProperty().subscribe(large -> {
                    Controls.show(middle, !large);
                    HBox.setHgrow(reader, large ? Priority.ALWAYS : Priority.NEVER);
                }));
        addEventFilter(KeyEvent.KEY_PRESSED, this::onKey);
    }

    /** Puts the keyboard where work begins. */
    void begin() {
        switch (workspace.stageProperty().get()) {
            case GATHER -> gather.get().begin();
            case CUT -> cut.get().begin();
            case ARRANGE -> arrange.begin();
            case NUMBER -> number.get().begin();
            case PRODUCE -> produce.get().begin();
        }
    }

    /** Puts in what may come after the first picture: what is looked at is the stage in the middle. */
    void fill() {
        foreEdge.fill();
        reader.fill();
    }

    void dispose() {
        subscription.unsubscribe();
        recognising.dispose();
        gather.ifMade(GatherStage::dispose);
        gathering.dispose();
        cut.ifMade(CutStage::dispose);
        arrange.dispose();
        number.ifMade(NumberStage::dispose);
        produce.ifMade(ProduceStage::dispose);
        notes.dispose();
        clashes.dispose();
        old.dispose();
        reader.dispose();
        pictures.close();
        foreEdge.dispose();
        rail.dispose();
        status.dispose();
    }

    private static boolean isPaged(@Nullable Node focused) {
        for (Node node = focused; node != null; node = node.getParent()) {
            if (!(node instanceof ListView<?> list)) continue;
            VirtualFlow<?> flow = (VirtualFlow<?>) list.lookup(".virtual-flow");
            return flow != null && flow.getCellCount() > 0
                    && (flow.getFirstVisibleCell() == null || flow.getFirstVisibleCell().getIndex() > 0
                            || flow.getLastVisibleCell().getIndex() < flow.getCellCount() - 1);
        }
        return focused instanceof TextArea;
    }

    private void showStage(Stage stage) {
        Node shown = switch (stage) {
            case GATHER -> gather.get();
            case CUT -> cut.get();
            case ARRANGE -> arrange;
            case NUMBER -> number.get();
            case PRODUCE -> produce.get();
        };
        reader.endRedacting();
        middle.getChildren().setAll(shown);
        // What is gathered and cut has pages of its own to look at, and no number yet.
        boolean isPlanned = stage != Stage.GATHER && stage != Stage.CUT;
        Controls.show(foreEdge, isPlanned);
        // Numbers have the page itself in the middle.
        Controls.show(reader, isPlanned && stage != Stage.NUMBER);
        begin();
    }

    private void onKey(KeyEvent event) {
        boolean typing = event.getTarget() instanceof TextInputControl;
        for (Shortcut shortcut : Shortcut.values()) {
            if (shortcut.matches(event) && run(shortcut, typing)) {
                event.consume();
                return;
            }
        }
    }

    /** {@return whether the keys meant something here; while a text is typed, undo is the text's own} */
    private boolean run(Shortcut shortcut, boolean typing) {
        switch (shortcut) {
            case STAGE_GATHER -> workspace.stageProperty().set(Stage.GATHER);
            case STAGE_CUT -> workspace.stageProperty().set(Stage.CUT);
            case STAGE_ARRANGE -> workspace.stageProperty().set(Stage.ARRANGE);
            case STAGE_NUMBER -> workspace.stageProperty().set(Stage.NUMBER);
            case STAGE_PRODUCE -> workspace.stageProperty().set(Stage.PRODUCE);
            case GO_TO -> {
                if (workspace.stageProperty().get() == Stage.NUMBER) return number.get().run(shortcut);
                if (!reader.isVisible()) return false;
                reader.askForNumber();
            }
            case FIND -> {
                if (!reader.isVisible()) return false;
                reader.askForWords();
            }
            case COPY -> {
                return !typing && reader.isVisible() && reader.copy();
            }
            case COPY_REFERENCE -> {
                if (typing || !reader.isVisible()) return false;
                reader.copyReference();
            }
            case REDACT -> {
                if (typing || !reader.isVisible()) return false;
                reader.redact();
            }
            case HELP -> help.get().toggle();
            case NEXT_LEAF, PREVIOUS_LEAF -> {
                // A list that can be paged through keeps these keys for itself.
                if (!foreEdge.isVisible() || isPaged(getScene().getFocusOwner())) return false;
                workspace.goTo(workspace.leaf() + (shortcut == Shortcut.NEXT_LEAF ? 1 : -1));
            }
            case UNDO -> {
                if (typing) return false;
                workspace.undo();
            }
            case REDO, REDO_TOO -> {
                if (typing) return false;
                workspace.redo();
            }
            default -> {
                if (shortcut == Shortcut.SELECT_ALL && reader.hasPage()) return reader.chooseAll();
                // On the page it takes back what was redacted, and never an entry out of the index.
                if (shortcut == Shortcut.TAKE_OUT && reader.hasPage()) return false;
                return switch (workspace.stageProperty().get()) {
                    case GATHER -> gather.get().run(shortcut, typing);
                    case CUT -> cut.get().run(shortcut, typing);
                    case ARRANGE -> arrange.run(shortcut, typing);
                    case NUMBER, PRODUCE -> false;
                };
            }
        }
        return true;
    }
}
