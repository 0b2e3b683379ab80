package app.yellowtab.desktop;

import app.yellowtab.desktop.look.FileDialogs;
import app.yellowtab.desktop.look.Opener;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.loose.LooseView;
import app.yellowtab.desktop.mark.PresetStore;
import app.yellowtab.desktop.start.StartView;
import app.yellowtab.desktop.start.WaitingView;
import app.yellowtab.desktop.work.Autosave;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.desktop.work.Recognising;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.Template;
import app.yellowtab.finding.FindingException;
import app.yellowtab.keep.KeptReference;
import app.yellowtab.keep.KeptRules;
import app.yellowtab.keep.NumberPresets;
import app.yellowtab.keep.Recents;
import app.yellowtab.keep.RememberedPasswords;
import app.yellowtab.keep.Templates;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.picture.PictureFiles;
import app.yellowtab.store.BundleFolder;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import javafx.animation.AnimationTimer;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.geometry.Rectangle2D;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.Alert;
import javafx.scene.control.ButtonBar;
import javafx.scene.control.ButtonType;
import javafx.scene.layout.StackPane;
import javafx.stage.Screen;
import javafx.stage.Stage;
import javafx.util.Duration;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/** What lies on the desk: the start screen, or one open bundle. */
final class Desk implements StartView.Actions {
    /** So long work may take to come to its next page or file before one is offered not to wait for it. */
    private static final Duration PATIENCE = Duration.seconds(8);

    /** What is there sooner after the start need not be announced. */
    private static final Duration SOON = Duration.millis(400);

    private final Stage window;
    private final Recents recents;
    private final Path userFolder;
    private final Templates templates;
    private final PictureFiles pictures;
    private final Jobs jobs;
    private final FileDialogs dialogs;
    private final Opener opener;
    private final Recognising.Engines engines;
    private final Scene scene;
    private final ExecutorService files = Executors.newSingleThreadExecutor(Thread.ofPlatform().daemon().name("desk").factory());
    private @Nullable OpenBundle open;
    private boolean busy;
    private boolean loading;

    /** A bundle on the desk, with what must be ended when it goes. */
    private record OpenBundle(Workspace workspace, Shell shell, Autosave autosave, ExecutorService saving) {}

    Desk(Stage window, Recents recents, Path userFolder, PictureFiles pictures, Jobs jobs, FileDialogs dialogs, Opener opener,
            Recognising.Engines engines) {
        this.window = window;
        this.recents = recents;
        this.userFolder = userFolder;
        this.templates = new Templates(userFolder);
        this.pictures = pictures;
        this.jobs = jobs;
        this.dialogs = dialogs;
        this.opener = opener;
        this.engines = engines;
        jobs.hold();
        Rectangle2D screen = Screen.getPrimary().getVisualBounds();
        StackPane empty = new StackPane();
        empty.getStyleClass().add(Styles.DESK);
        this.scene = new Scene(empty, Math.min(1280, screen.getWidth()), Math.min(800, screen.getHeight()));
        for (String sheet : new String[] {"tokens.css", "app.css"}) {
            scene.getStylesheets().add(Objects.requireNonNull(Desk.class.getResource(sheet)).toExternalForm());
        }
        window.setScene(scene);
        window.setTitle(Words.of("app.name"));
        window.setMinWidth(Math.min(960, screen.getWidth()));
        window.setMinHeight(Math.min(600, screen.getHeight()));
        window.setOnCloseRequest(event -> {
            // While a folder that does not answer is waited for, nothing is open that could be lost.
            if (loading || open == null && !busy) return;
            event.consume();
            if (!busy) close(true, window::hide);
        });
        window.setOnHidden(event -> closeAtOnce());
        PauseTransition soon = new PauseTransition(SOON);
        soon.setOnFinished(event -> {
            if (scene.getRoot() == empty) setRoot(WaitingView.of("start.looking"), Words.of("app.name"));
        });
        soon.play();
        // Where a bundle is opened at once, nobody waits for the shelf.
        Platform.runLater(() -> {
            if (open == null && !busy) showStart("");
        });
    }

    /** {@return the open bundle, if there is one} */
    Optional<Workspace> workspace() {
        return Optional.ofNullable(open).map(OpenBundle::workspace);
    }

    /**
     * Does something with files on the desk's own thread, one thing after the other, and takes the result on the JavaFX thread.
     */
    private <T> void with(Callable<T> work, Consumer<T> done, Consumer<String> failed) {
        files.execute(() -> {
            try {
                T result = work.call();
                Platform.runLater(() -> done.accept(result));
            } catch (Exception | Error e) {
                LoggerFactory.getLogger(Desk.class).warn("not done", e);
                String words = e instanceof FindingException known ? String.valueOf(known.getMessage())
                        : Words.of("start.unexpected", e.getClass().getSimpleName());
                Platform.runLater(() -> failed.accept(words));
            }
        });
    }

    /** Shows the bundle that the program begins with, or the start screen. */
    void begin(FirstBundle first) {
        busy = loading = true;
        with(first::await, loaded -> {
            busy = loading = false;
            loaded.ifPresentOrElse(its -> first.goOn(show(its)), () -> showStart(""));
        }, this::notLoaded);
    }

    private void notLoaded(String message) {
        busy = loading = false;
        showStart(message);
    }

    /** Makes a new bundle without anything in it, and opens it. */
    void create(Path folder, String title) {
        create(folder, title, Optional.empty());
    }

    /** Makes a new bundle and opens it. */
    @Override
    public void create(Path folder, String title, Optional<Template> template) {
        Bundle bundle = template.map(its -> its.begun(title))
                .orElseGet(() -> Bundle.EMPTY.withHeading(CaseHeading.EMPTY.withTitle(title)));
        load(folder, () -> {
            // A template says itself how pages are numbered.
            Bundle begun = template.isPresent() ? bundle : new NumberPresets(userFolder).ofNewBundles().on(bundle);
            return new BundleFolder.Opened(BundleFolder.create(folder, begun), begun);
        }, workspace -> {});
    }

    /** Shows loose files, to be numbered; the open bundle stays as it is. */
    @Override
    public void openLoose() {
        LooseView[] view = new LooseView[1];
        view[0] = new LooseView(jobs, new PresetStore(new NumberPresets(userFolder)), dialogs, userFolder, () -> {
            view[0].dispose();
            if (open == null) showStart("");
            else setRoot(open.shell, Words.of("app.titled", nameOf(open.workspace)));
        });
        setRoot(view[0], Words.of("loose.title"));
    }

    /** Opens a bundle folder; says on the start screen why, if it cannot be opened. */
    @Override
    public void open(Path folder) {
        close(false, () -> load(folder, () -> BundleFolder.open(folder), workspace -> {}));
    }

    /** Opens the sample matter; where it is not there yet, its files are made and come in while one looks. */
    @Override
    public void openSample() {
        SampleMaking making = SampleMaking.under(userFolder);
        close(false, () -> load(making.folder(), making::open, making::goOn));
    }

    /** Closes the bundle and shows the start screen. */
    void leave() {
        close(false, () -> showStart(""));
    }

    private void load(Path folder, Callable<BundleFolder.Opened> opening, Consumer<Workspace> then) {
        busy = loading = true;
        setRoot(WaitingView.of("start.opening", String.valueOf(folder.getFileName())), Words.of("app.name"));
        with(() -> LoadedBundle.of(opening.call(), userFolder), loaded -> {
            busy = loading = false;
            then.accept(show(loaded));
        }, this::notLoaded);
    }

    private Workspace show(LoadedBundle loaded) {
        BundleFolder folder = loaded.folder();
        ExecutorService saving = Executors.newSingleThreadExecutor(Thread.ofPlatform().daemon().name("save").factory());
        Autosave autosave = new Autosave(folder::save, saving, Platform::runLater);
        folder.tryPasswords(loaded.passwords());
        Workspace workspace = new Workspace(folder, loaded.bundle(), loaded.plan(), autosave, jobs);
        loaded.recent().ifPresent(recent -> {
            workspace.goTo(recent.leaf() - 1);
            for (var stage : app.yellowtab.desktop.work.Stage.values()) {
                if (stage.name().equals(recent.stage())) workspace.stageProperty().set(stage);
            }
        });
        show(workspace, autosave, saving);
        whenSeen(() -> {
            if (open == null || open.workspace != workspace) return;
            Recents.Recent now = recent(workspace, true);
            files.execute(() -> {
                recents.remember(now);
                folder.settle();
            });
        });
        return workspace;
    }

    private void show(Workspace workspace, Autosave autosave, ExecutorService saving) {
        jobs.hold();
        Shell shell = new Shell(this, workspace, new RememberedPasswords(userFolder), pictures, new KeptRules(userFolder),
                new NumberPresets(userFolder), new KeptReference(userFolder), templates, dialogs, opener, engines);
        open = new OpenBundle(workspace, shell, autosave, saving);
        setRoot(shell, Words.of("app.titled", nameOf(workspace)));
        shell.begin();
        whenSeen(() -> {
            shell.fill();
            whenSeen(jobs::begin);
        });
    }

    private void showStart(String message) {
        with(() -> new StartView.Shelf(recents.list(), templates.list()), shelf -> {
            if (open == null && !busy) showStart(shelf, message);
        }, failure -> showStart(new StartView.Shelf(List.of(), List.of()), message.isEmpty() ? failure : message));
    }

    private void showStart(StartView.Shelf shelf, String message) {
        StartView start = new StartView(this, shelf, dialogs, message);
        setRoot(start, Words.of("app.name"));
        start.begin();
        whenSeen(jobs::begin);
    }

    /** Keeps a template that was given away as a file, and shows it among the others. */
    @Override
    public void bringTemplateIn(Path file) {
        with(() -> templates.bringIn(file), kept -> showStart(Words.of("start.templateKept", kept.called())), this::showStart);
    }

    /** Does something once the screen that was put up now is seen. */
    private static void whenSeen(Runnable then) {
        new AnimationTimer() {
            private int frames;

            @Override
            public void handle(long now) {
                // The first is laid out and painted after it was announced here.
                if (++frames <= 1) return;
                stop();
                then.run();
            }
        }.start();
    }

    private void setRoot(Parent root, String title) {
        scene.setRoot(root);
        window.setTitle(title);
    }

    /**
     * Closes the bundle: what is under way is stopped and waited for, then the last changes are saved. Should that fail, the
     * user is asked, and may stay.
     *
     * @param ending whether the program ends, so that the bundle is to be there again at the next start
     * @param then   what comes next, on the JavaFX thread; not if the user stays
     */
    private void close(boolean ending, Runnable then) {
        OpenBundle closing = open;
        if (closing == null || busy) {
            if (!busy) then.run();
            return;
        }
        open = null;
        busy = true;
        List<Jobs.Job> running = List.copyOf(jobs.running());
        running.forEach(Jobs.Job::stop);
        closing.shell.dispose();
        WaitingView waiting = WaitingView.of(running.isEmpty() ? "close.saving" : "close.stopping", nameOf(closing.workspace));
        setRoot(waiting, Words.of("app.name"));
        CompletableFuture<Void> ended =
                CompletableFuture.allOf(running.stream().map(Jobs.Job::ended).toArray(CompletableFuture[]::new));
        PauseTransition patience = new PauseTransition(PATIENCE);
        patience.setOnFinished(event -> waiting.offer("close.now", () -> ended.complete(null)));
        patience.play();
        ended.whenComplete((nothing, failure) -> Platform.runLater(() -> {
            patience.stop();
            closing.autosave.finish(state -> saved(closing, state, ending, then));
        }));
    }

    private void saved(OpenBundle closing, Autosave.State state, boolean ending, Runnable then) {
        if (state instanceof Autosave.State.Failed failed && !isGivenUp(failed)) {
            busy = false;
            show(closing.workspace, closing.autosave, closing.saving);
            return;
        }
        closing.saving.shutdown();
        Recents.Recent last = recent(closing.workspace, ending);
        with(() -> {
            recents.remember(last);
            closing.workspace.folder().close();
            return last;
        }, remembered -> {
            busy = false;
            then.run();
        }, message -> {
            busy = false;
            then.run();
        });
    }

    /** {@return whether the user would rather lose the last changes than stay} */
    private boolean isGivenUp(Autosave.State.Failed failed) {
        ButtonType close = new ButtonType(Words.of("close.anyway"), ButtonBar.ButtonData.OTHER);
        ButtonType stay = new ButtonType(Words.of("close.stay"), ButtonBar.ButtonData.CANCEL_CLOSE);
        Alert question = new Alert(Alert.AlertType.WARNING, failed.message(), stay, close);
        question.initOwner(window);
        question.getDialogPane().getStylesheets().addAll(scene.getStylesheets());
        question.setHeaderText(Words.of("close.unsaved"));
        return question.showAndWait().filter(close::equals).isPresent();
    }

    /** The window is gone without having asked, such as when the session ends: saves what can be saved. */
    private void closeAtOnce() {
        OpenBundle closing = open;
        if (closing == null) return;
        open = null;
        closing.shell.dispose();
        jobs.running().forEach(Jobs.Job::stop);
        recents.remember(recent(closing.workspace, true));
        closing.saving.shutdown();
        try {
            closing.saving.awaitTermination(10, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        closing.workspace.folder().close();
    }

    private static Recents.Recent recent(Workspace workspace, boolean isOpen) {
        return new Recents.Recent(workspace.folder().path(), titleOf(workspace), workspace.bundle().heading().shortName(),
                workspace.plan().pageCount(), Optional.of(LocalDate.now()), workspace.stageProperty().get().name(),
                workspace.leaf() + 1, isOpen);
    }

    private static String titleOf(Workspace workspace) {
        String title = workspace.bundle().heading().title();
        return title.isBlank() ? String.valueOf(workspace.folder().path().getFileName()) : title;
    }

    private static String nameOf(Workspace workspace) {
        CaseHeading heading = workspace.bundle().heading();
        String title = titleOf(workspace);
        return heading.shortName().isEmpty() ? title : heading.shortName() + " · " + title;
    }
}
