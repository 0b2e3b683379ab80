package app.yellowtab.desktop;

import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.keep.Recents;
import app.yellowtab.store.BundleFolder;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.function.Consumer;

/** The bundle that the program begins with, read while the window is still being made. */
final class FirstBundle {
    private final FutureTask<Optional<LoadedBundle>> loading;
    private final Consumer<Workspace> then;

    /**
     * Begins to read.
     *
     * @param opening gives nothing where the program begins with the start screen
     * @param then    is given the bundle when it is shown
     */
    private FirstBundle(Path user, Callable<Optional<BundleFolder.Opened>> opening, Consumer<Workspace> then) {
        this.then = then;
        loading = new FutureTask<>(() -> opening.call().map(opened -> LoadedBundle.of(opened, user)));
        Thread.ofPlatform().daemon().name("first-bundle").start(loading);
    }

    /**
     * {@return the bundle that is asked for: the sample matter, that of a folder, or the one that was open when the program
     * ended}
     *
     * @param user      the folder in which the program keeps what it remembers
     * @param arguments of the program
     */
    static FirstBundle of(Path user, String... arguments) {
        if (arguments.length == 0) return new FirstBundle(user, () -> lastOpen(user), workspace -> {});
        if (arguments[0].equals("demo")) {
            SampleMaking sample = SampleMaking.under(user);
            return new FirstBundle(user, () -> Optional.of(sample.open()), sample::goOn);
        }
        Path folder = Path.of(arguments[arguments.length - 1]);
        return new FirstBundle(user, () -> Optional.of(BundleFolder.open(folder)), workspace -> {});
    }

    private static Optional<BundleFolder.Opened> lastOpen(Path user) throws IOException {
        Optional<Recents.Recent> last = new Recents(user).list().stream().filter(Recents.Recent::open).findFirst();
        return last.isPresent() ? Optional.of(BundleFolder.open(last.get().folder())) : Optional.empty();
    }

    /**
     * Waits until it is there.
     *
     * @return nothing where the program begins with the start screen
     * @throws Exception why it cannot be opened
     */
    Optional<LoadedBundle> await() throws Exception {
        try {
            return loading.get();
        } catch (ExecutionException failed) {
            switch (failed.getCause()) {
                case Exception why -> throw why;
                case Error why -> throw why;
                case null, default -> throw failed;
            }
        }
    }

    /** Goes on with what its opening has begun, now that it is shown. */
    void goOn(Workspace workspace) {
        then.accept(workspace);
    }
}
