package app.yellowtab.desktop.gather;

import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.intake.WatchedFolder;
import app.yellowtab.source.Fingerprint;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/** Watches a folder that a scanner writes into, as long as the bundle is open or until it is told to stop. */
final class Watching {
    /** A file is taken when two looks in a row find it the same. */
    private static final long EVERY_MILLIS = 1500;

    private final Workspace workspace;
    private final Consumer<List<Path>> take;
    private final Supplier<ScheduledExecutorService> clock;
    private final ReadOnlyObjectWrapper<Optional<Path>> folder = new ReadOnlyObjectWrapper<>(this, "folder", Optional.empty());
    private @Nullable ScheduledExecutorService looking;

    /** @param take is given files that are complete, on the JavaFX thread */
    Watching(Workspace workspace, Consumer<List<Path>> take) {
        this(workspace, take,
                () -> Executors.newSingleThreadScheduledExecutor(Thread.ofPlatform().daemon().name("watch").factory()));
    }

    /**
     * @param clock makes, for each time a folder is watched, what looks into it again and again; it is ended with the watching
     */
    Watching(Workspace workspace, Consumer<List<Path>> take, Supplier<ScheduledExecutorService> clock) {
        this.workspace = workspace;
        this.take = take;
        this.clock = clock;
    }

    /** {@return the folder that is watched; empty for none} */
    ReadOnlyObjectProperty<Optional<Path>> folderProperty() {
        return folder.getReadOnlyProperty();
    }

    void start(Path watched) {
        stop();
        WatchedFolder watch = new WatchedFolder(watched, this::isKnown);
        ScheduledExecutorService looks = clock.get();
        looks.scheduleWithFixedDelay(() -> look(watch), 0, EVERY_MILLIS, TimeUnit.MILLISECONDS);
        looking = looks;
        folder.set(Optional.of(watched));
    }

    void stop() {
        ScheduledExecutorService ending = looking;
        if (ending != null) ending.shutdownNow();
        looking = null;
        folder.set(Optional.empty());
    }

    private void look(WatchedFolder watch) {
        try {
            List<Path> ready = watch.look();
            if (!ready.isEmpty()) workspace.jobs().later(() -> take.accept(ready));
        } catch (IOException | RuntimeException gone) {
            LoggerFactory.getLogger(Watching.class).warn("cannot look into {}", watch.folder(), gone);
        }
    }

    /** A file that is in the bundle already, by its name, size and bytes, was taken when the folder was watched before. */
    private boolean isKnown(Path file) {
        try {
            String name = String.valueOf(file.getFileName());
            long bytes = Files.size(file);
            var alike = workspace.bundle().sources().stream()
                    .filter(source -> source.fileName().equals(name) && source.bytes() == bytes).toList();
            if (alike.isEmpty()) return false;
            String sha256 = Fingerprint.of(file);
            return alike.stream().anyMatch(source -> source.sha256().equals(sha256));
        } catch (IOException unreadable) {
            return false;
        }
    }
}
