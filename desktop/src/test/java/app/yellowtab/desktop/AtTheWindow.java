package app.yellowtab.desktop;

import static org.mockito.Mockito.mock;

import app.yellowtab.desktop.look.FileDialogs;
import app.yellowtab.desktop.look.Opener;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.desktop.work.Recognising;
import app.yellowtab.desktop.work.Session;
import app.yellowtab.desktop.work.Stage;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.finding.FindingException;
import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.keep.Recents;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.source.Source;
import app.yellowtab.picture.PictureFiles;
import app.yellowtab.store.BundleFolder;
import app.yellowtab.testing.Bundles;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.text.Text;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.condition.DisabledIf;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.util.WaitForAsyncUtils;

/** A user at the real window: mouse and keyboard. */
@DisabledIf(value = "noDisplay", disabledReason = "there is no display; ./yellowtab test starts one")
@ExtendWith(ApplicationExtension.class)
abstract class AtTheWindow {
    /** A machine that does much else besides is slow, and not wrong. */
    private static final long PATIENCE_SECONDS = 240;

    @TempDir
    Path temp;
    final FileDialogs dialogs = mock(FileDialogs.class);
    final Opener opener = mock(Opener.class);
    final Recognising.Engines engines = mock(Recognising.Engines.class);
    final Jobs jobs = new Jobs(Executors.newCachedThreadPool(Thread.ofPlatform().daemon().factory()), Platform::runLater);
    javafx.stage.Stage window;
    Desk desk;

    /** To be called by what each test begins with: the extension looks for that in the class itself. */
    void start(javafx.stage.Stage stage) throws IOException {
        YellowTab.dress();
        window = stage;
        desk = newDesk();
        stage.show();
    }

    Desk newDesk() {
        return new Desk(window, new Recents(temp.resolve("user")), temp.resolve("user"),
                new PictureFiles(temp.resolve("pictures"), PictureFiles.MOST_BYTES), jobs,
                new Session.Around(dialogs, opener, engines));
    }

    /**
     * Opens a bundle of files at a stage.
     *
     * @param arranged puts them in the index; in what it is given they lie in the tray
     */
    void open(FxRobot robot, Stage at, UnaryOperator<Bundle> arranged, Path... files) throws IOException {
        Path folder = temp.resolve("bundle");
        Bundle empty = Bundle.EMPTY.withHeading(CaseHeading.EMPTY.withTitle("Trial bundle"));
        try (BundleFolder made = BundleFolder.create(folder, empty)) {
            List<Source> sources = new Intake(made)
                    .bringIn(FoundFolder.of(List.of(files), new ArrayList<>()), Intake.Listener.NONE, () -> false).sources();
            made.know(sources);
            made.save(arranged.apply(empty.withSources(sources)));
        } catch (FindingException e) {
            throw new IOException(e);
        }
        robot.interact(() -> desk.open(folder));
        until(() -> desk.workspace().isPresent());
        robot.interact(() -> workspace().stageProperty().set(at));
    }

    @AfterEach
    void close(FxRobot robot) {
        robot.interact(() -> window.hide());
    }

    static boolean noDisplay() {
        return System.getProperty("os.name").equals("Linux") && System.getenv("DISPLAY") == null;
    }

    Workspace workspace() {
        return desk.workspace().orElseThrow();
    }

    void until(Callable<Boolean> condition) {
        try {
            WaitForAsyncUtils.waitFor(PATIENCE_SECONDS, TimeUnit.SECONDS, condition);
            WaitForAsyncUtils.waitForFxEvents();
        } catch (TimeoutException e) {
            throw new AssertionError("never came true; the index is " + desk.workspace().map(w -> Bundles.order(w.bundle())), e);
        }
    }

    /** {@return the index in few words} */
    String order() {
        return Bundles.order(workspace().bundle());
    }

    /** {@return the words that are seen in a row} */
    static List<String> texts(Node row) {
        return Stream.of("Text", ".label").flatMap(kind -> row.lookupAll(kind).stream()).filter(Node::isVisible)
                .map(node -> node instanceof Text text ? text.getText() : ((Labeled) node).getText()).toList();
    }
}
