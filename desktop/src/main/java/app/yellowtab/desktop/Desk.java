package app.yellowtab.desktop;

import app.yellowtab.desktop.start.StartView;
import app.yellowtab.desktop.work.Autosave;
import app.yellowtab.desktop.work.FileDialogs;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.desktop.work.Opener;
import app.yellowtab.desktop.work.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.files.WorkFolder;
import app.yellowtab.finding.FindingException;
import app.yellowtab.model.Bundle;
import app.yellowtab.files.Folders;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.sample.SampleMatter;
import app.yellowtab.store.BundleFolder;
import app.yellowtab.store.Recents;
import app.yellowtab.store.RememberedPasswords;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javafx.geometry.Rectangle2D;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.Alert;
import javafx.scene.control.ButtonBar;
import javafx.scene.control.ButtonType;
import javafx.stage.Screen;
import javafx.stage.Stage;
import org.jspecify.annotations.Nullable;

/** What lies on the desk: the start screen, or one open bundle. */
final class Desk implements StartView.Actions {
    private final Stage window;
    private final Recents recents;
    private final Path userFolder;
    private final Jobs jobs;
    private final FileDialogs dialogs;
    private final Opener opener;
    private final Scene scene;
    private @Nullable OpenBundle open;

    /** A bundle on the desk, with what must be ended when it goes. */
    private record OpenBundle(Workspace workspace, Shell shell, ExecutorService saving) {}

    Desk(Stage window, Recents recents, Path userFolder, Jobs jobs, FileDialogs dialogs, Opener opener) {
        this.window = window;
        this.recents = recents;
        this.userFolder = userFolder;
        this.jobs = jobs;
        this.dialogs = dialogs;
        this.opener = opener;
        Rectangle2D screen = Screen.getPrimary().getVisualBounds();
        this.scene = new Scene(new StartView(this, recents.list(), dialogs, ""), Math.min(1280, screen.getWidth()), Math.min(800, screen.getHeight()));
        for (String sheet : new String[] {"tokens.css", "app.css"}) {
            scene.getStylesheets().add(Objects.requireNonNull(Desk.class.getResource(sheet)).toExternalForm());
        }
        window.setScene(scene);
        window.setTitle(Words.of("app.name"));
        window.setMinWidth(Math.min(960, screen.getWidth()));
        window.setMinHeight(Math.min(600, screen.getHeight()));
        window.setOnCloseRequest(event -> {
            if (!mayClose()) event.consume();
        });
        window.setOnHidden(event -> close(true));
    }

    /** {@return the open bundle, if there is one} */
    Optional<Workspace> workspace() {
        return Optional.ofNullable(open).map(OpenBundle::workspace);
    }

    /** Goes on where one was when the program was closed, or shows the start screen. */
    void resume() {
        Optional<Recents.Recent> last = recents.list().stream().filter(Recents.Recent::open).findFirst();
        last.ifPresentOrElse(recent -> open(recent.folder()), () -> showStart(""));
    }

    /** Makes a new bundle and opens it. */
    @Override
    public void create(Path folder, String title) {
        try {
            Bundle bundle = Bundle.EMPTY.withHeading(CaseHeading.EMPTY.withTitle(title));
            show(BundleFolder.create(folder, bundle), bundle);
        } catch (FindingException e) {
            showStart(e.getMessage());
        }
    }

    /** Opens a bundle folder; says on the start screen why, if it cannot be opened. */
    @Override
    public void open(Path folder) {
        close(false);
        try {
            BundleFolder.Opened opened = BundleFolder.open(folder);
            show(opened.folder(), opened.bundle());
        } catch (FindingException e) {
            showStart(e.getMessage());
        }
    }

    /** Opens the sample matter, which is made when it is not there yet. */
    @Override
    public void openSample() {
        Path folder = userFolder.resolve("sample-matter");
        if (Files.exists(folder.resolve(BundleFolder.FILE))) {
            open(folder);
            return;
        }
        StartView waiting = new StartView(this, recents.list(), dialogs, Words.of("start.makingSample"));
        waiting.await();
        scene.setRoot(waiting);
        jobs.start((progress, stop) -> makeSample(folder), nothing -> open(folder), e -> showStart(e.getMessage()));
    }

    /** Closes the bundle and shows the start screen. */
    void leave() {
        if (!mayClose()) return;
        close(false);
        showStart("");
    }

    private static Path makeSample(Path folder) throws IOException {
        Path files = WorkFolder.newFolder("sample");
        SampleMatter.writeFiles(files);
        try (BundleFolder made = BundleFolder.create(folder, Bundle.EMPTY)) {
            made.save(SampleMatter.bundle(files, made));
        }
        Folders.delete(files);
        return folder;
    }

    private void show(BundleFolder folder, Bundle bundle) {
        ExecutorService saving = Executors.newSingleThreadExecutor(Thread.ofPlatform().daemon().name("save").factory());
        Autosave autosave = new Autosave(folder::save, saving, Platform::runLater);
        RememberedPasswords passwords = new RememberedPasswords(userFolder);
        folder.tryPasswords(passwords.list());
        Workspace workspace = new Workspace(folder, bundle, autosave, jobs);
        recents.list().stream().filter(recent -> recent.folder().equals(folder.path())).findFirst().ifPresent(recent -> {
            workspace.goTo(recent.leaf());
            for (var stage : app.yellowtab.desktop.work.Stage.values()) {
                if (stage.name().equals(recent.stage())) workspace.stageProperty().set(stage);
            }
        });
        Shell shell = new Shell(this, workspace, passwords, dialogs, opener);
        open = new OpenBundle(workspace, shell, saving);
        remember(workspace, true);
        setRoot(shell, Words.of("app.titled", nameOf(workspace)));
        shell.begin();
    }

    /** {@return whether all is saved, or the user would rather lose the last changes than stay} */
    private boolean mayClose() {
        if (open == null || !(open.workspace.saveStateProperty().get() instanceof Autosave.State.Failed failed)) return true;
        ButtonType close = new ButtonType(Words.of("close.anyway"), ButtonBar.ButtonData.OTHER);
        ButtonType stay = new ButtonType(Words.of("close.stay"), ButtonBar.ButtonData.CANCEL_CLOSE);
        Alert question = new Alert(Alert.AlertType.WARNING, failed.message(), stay, close);
        question.initOwner(window);
        question.getDialogPane().getStylesheets().addAll(scene.getStylesheets());
        question.setHeaderText(Words.of("close.unsaved"));
        return question.showAndWait().filter(close::equals).isPresent();
    }

    private void showStart(String message) {
        setRoot(new StartView(this, recents.list(), dialogs, message), Words.of("app.name"));
    }

    private void setRoot(Parent root, String title) {
        scene.setRoot(root);
        window.setTitle(title);
    }

    /** @param ending whether the program ends, so that the bundle is to be there again at the next start */
    private void close(boolean ending) {
        OpenBundle closing = open;
        if (closing == null) return;
        open = null;
        closing.shell.dispose();
        jobs.running().forEach(Jobs.Job::stop);
        remember(closing.workspace, ending);
        closing.saving.shutdown();
        try {
            closing.saving.awaitTermination(10, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        closing.workspace.folder().close();
    }

    private void remember(Workspace workspace, boolean isOpen) {
        recents.remember(new Recents.Recent(workspace.folder().path(), nameOf(workspace), workspace.stageProperty().get().name(),
                workspace.leafProperty().get(), isOpen));
    }

    private static String nameOf(Workspace workspace) {
        CaseHeading heading = workspace.bundle().heading();
        String title = heading.title().isBlank() ? String.valueOf(workspace.folder().path().getFileName()) : heading.title();
        return heading.shortName().isEmpty() ? title : heading.shortName() + " · " + title;
    }
}
