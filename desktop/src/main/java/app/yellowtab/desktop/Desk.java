package app.yellowtab.desktop;

import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.loose.LooseView;
import app.yellowtab.desktop.mark.PresetStore;
import app.yellowtab.desktop.start.StartView;
import app.yellowtab.desktop.start.WaitingView;
import app.yellowtab.desktop.work.Autosave;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.desktop.work.Session;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.Template;
import app.yellowtab.finding.FindingException;
import app.yellowtab.keep.NumberPresets;
import app.yellowtab.keep.Recents;
import app.yellowtab.keep.Templates;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.picture.PictureFiles;
import app.yellowtab.store.BundleFolder;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Consumer;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.stage.Stage;
import javafx.util.Duration;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/** What lies on the desk: the start screen, or one open bundle. */
final class Desk implements StartView.Actions {
    /** What is there sooner after the start need not be announced. */
    private static final Duration SOON = Duration.millis(400);

    private final DeskWindow window;
    private final Recents recents;
    private final Path userFolder;
    private final Templates templates;
    private final PictureFiles pictures;
    private final Jobs jobs;
    private final Session.Around around;
    private final ExecutorService files = Executors.newSingleThreadExecutor(Thread.ofPlatform().daemon().name("desk").factory());
    private @Nullable OpenBundle open;
    private boolean busy;
    private boolean loading;

    Desk(Stage stage, Recents recents, Path userFolder, PictureFiles pictures, Jobs jobs, Session.Around around) {
        this.window = new DeskWindow(stage);
        this.recents = recents;
        this.userFolder = userFolder;
        this.templates = new Templates(userFolder);
        this.pictures = pictures;
        this.jobs = jobs;
        this.around = around;
        jobs.hold();
        stage.setOnCloseRequest(event -> {
            // While a folder that does not answer is waited for, nothing is open that could be lost.
            if (loading || open == null && !busy) return;
            event.consume();
            if (!busy) close(true, window::hide);
        });
        stage.setOnHidden(event -> closeAtOnce());
        PauseTransition soon = new PauseTransition(SOON);
        soon.setOnFinished(event -> {
            if (window.isEmpty()) window.show(WaitingView.of("start.looking"), Words.of("app.name"));
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
        view[0] = new LooseView(jobs, new PresetStore(new NumberPresets(userFolder)), around.dialogs(), userFolder, () -> {
            view[0].dispose();
            if (open == null) showStart("");
            else window.show(open.shell(), Words.of("app.titled", open.name()));
        });
        window.show(view[0], Words.of("loose.title"));
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
        window.show(WaitingView.of("start.opening", String.valueOf(folder.getFileName())), Words.of("app.name"));
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
            Stages.named(recent.stage()).ifPresent(workspace.stageProperty()::set);
        });
        OpenBundle shown = show(workspace, autosave, saving);
        window.whenSeen(() -> {
            if (open != shown) return;
            Recents.Recent now = shown.recent(true);
            files.execute(() -> {
                recents.remember(now);
                folder.settle();
            });
        });
        return workspace;
    }

    private OpenBundle show(Workspace workspace, Autosave autosave, ExecutorService saving) {
        jobs.hold();
        Session session = new Session(workspace, Session.Kept.in(userFolder), around);
        Shell shell = new Shell(session, pictures, this::leave, this::openLoose);
        OpenBundle shown = new OpenBundle(session, shell, autosave, saving);
        open = shown;
        window.show(shell, Words.of("app.titled", shown.name()));
        shell.begin();
        window.whenSeen(() -> {
            shell.fill();
            window.whenSeen(jobs::begin);
        });
        return shown;
    }

    private void showStart(String message) {
        with(() -> new StartView.Shelf(recents.list(), templates.list()), shelf -> {
            if (open == null && !busy) showStart(shelf, message);
        }, failure -> showStart(new StartView.Shelf(List.of(), List.of()), message.isEmpty() ? failure : message));
    }

    private void showStart(StartView.Shelf shelf, String message) {
        StartView start = new StartView(this, shelf, around.dialogs(), message);
        window.show(start, Words.of("app.name"));
        start.begin();
        window.whenSeen(jobs::begin);
    }

    /** Keeps a template that was given away as a file, and shows it among the others. */
    @Override
    public void bringTemplateIn(Path file) {
        with(() -> templates.bringIn(file), kept -> showStart(Words.of("start.templateKept", kept.called())), this::showStart);
    }

    /**
     * Closes the bundle, if one is open.
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
        new Closing(window, closing).begin(() -> closed(closing, ending, then), () -> {
            busy = false;
            show(closing.workspace(), closing.autosave(), closing.saving());
        });
    }

    private void closed(OpenBundle closing, boolean ending, Runnable then) {
        closing.saving().shutdown();
        Recents.Recent last = closing.recent(ending);
        with(() -> {
            recents.remember(last);
            closing.workspace().folder().close();
            return last;
        }, remembered -> {
            busy = false;
            then.run();
        }, message -> {
            busy = false;
            then.run();
        });
    }

    private void closeAtOnce() {
        OpenBundle closing = open;
        if (closing == null) return;
        open = null;
        recents.remember(closing.recent(true));
        new Closing(window, closing).atOnce();
    }
}
