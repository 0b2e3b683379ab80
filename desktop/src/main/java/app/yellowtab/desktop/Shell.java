package app.yellowtab.desktop;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Late;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.pages.FrameWish;
import app.yellowtab.desktop.pages.PagePictures;
import app.yellowtab.desktop.reader.ForeEdge;
import app.yellowtab.desktop.reader.Reader;
import app.yellowtab.desktop.work.Session;
import app.yellowtab.desktop.work.Shortcut;
import app.yellowtab.desktop.work.Stage;
import app.yellowtab.desktop.work.Stage.Beside;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.picture.PageRenderer;
import app.yellowtab.picture.PictureFiles;
import java.util.List;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ListView;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.skin.VirtualFlow;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.Window;
import javafx.util.Subscription;
import org.jspecify.annotations.Nullable;

/** The frame of an open bundle: rail, the stage in the middle, fore-edge, reader, status bar. */
final class Shell extends StackPane {
    private final Workspace workspace;
    private final Session session;
    private final Stages stages;
    private final PagePictures pictures;
    private final Reader reader;
    private final ForeEdge foreEdge;
    private final Late<HelpOverlay> help = Late.in(this, HelpOverlay::new);
    private final StackPane middle = new StackPane();
    private final Rail rail;
    private final StatusBar status;
    private final Subscription subscription;
    /** The key that did something last, until it is let go. */
    private @Nullable KeyCode held;

    /**
     * @param leave goes back to the start screen
     * @param loose shows loose files, to be numbered
     */
    Shell(Session session, PictureFiles pictureFiles, Runnable leave, Runnable loose) {
        this.session = session;
        this.workspace = session.workspace();
        this.pictures =
                new PagePictures(new PageRenderer(workspace.folder(), pictureFiles), Platform::runLater, session.jobs()::beside);
        FrameWish framing = new FrameWish();
        this.stages = new Stages(session, pictures, framing, loose);
        this.reader = new Reader(workspace, pictures, session.kept().reference(), session.dialogs(), framing);
        this.foreEdge = new ForeEdge(workspace);
        this.rail = new Rail(stages.all(), workspace, leave, () -> help.get().toggle());
        this.status = new StatusBar(workspace, session.recognising());
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
                }),
                // A key that is let go over another window is never heard of here.
                sceneProperty().flatMap(Scene::windowProperty).flatMap(Window::focusedProperty).orElse(false)
                        .subscribe(focused -> held = null));
        addEventFilter(KeyEvent.ANY, this::onHeld);
        addEventFilter(KeyEvent.KEY_PRESSED, this::onKey);
    }

    /** Puts the keyboard where work begins. */
    void begin() {
        stages.shown().view().begin();
    }

    /** Puts in what may come after the first picture: what is looked at is the stage in the middle. */
    void fill() {
        foreEdge.fill();
        reader.fill();
    }

    void dispose() {
        subscription.unsubscribe();
        session.dispose();
        stages.dispose();
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
        Node shown = stages.shown().node();
        reader.endRedacting();
        middle.getChildren().setAll(shown);
        Controls.show(foreEdge, stage.beside() != Beside.NOTHING);
        Controls.show(reader, stage.beside() == Beside.READER);
        begin();
    }

    /** A key that opened a field and is still held repeats itself; that is no text, and would take the place of what is there. */
    private void onHeld(KeyEvent event) {
        if (held == null) return;
        boolean typing = event.getTarget() instanceof TextInputControl;
        if (event.getEventType() == KeyEvent.KEY_RELEASED) {
            if (event.getCode() == held) held = null;
        } else if (event.getEventType() == KeyEvent.KEY_PRESSED && event.getCode() != held) {
            held = null;
        } else if (typing) {
            event.consume();
        }
    }

    private void onKey(KeyEvent event) {
        boolean typing = event.getTarget() instanceof TextInputControl;
        for (Stage stage : Stage.values()) {
            if (stage.keys().match(event)) {
                workspace.stageProperty().set(stage);
                event.consume();
                return;
            }
        }
        for (Shortcut shortcut : Shortcut.values()) {
            if (shortcut.matches(event) && run(shortcut, typing)) {
                held = event.getCode();
                event.consume();
                return;
            }
        }
    }

    /** {@return whether the keys meant something here; while a text is typed, undo is the text's own} */
    private boolean run(Shortcut shortcut, boolean typing) {
        switch (shortcut) {
            case GO_TO -> {
                if (!reader.isVisible()) return stages.shown().view().run(shortcut, typing);
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
                return stages.shown().view().run(shortcut, typing);
            }
        }
        return true;
    }
}
