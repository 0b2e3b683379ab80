package app.yellowtab.desktop.work;

import app.yellowtab.desktop.look.Words;
import app.yellowtab.finding.FindingException;
import app.yellowtab.model.Bundle;
import java.util.concurrent.Executor;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/** Saves every change in the background; of changes that come faster than the disk, only the newest is written. */
public final class Autosave {
    /** How the newest change stands. */
    public sealed interface SaveState {
        record Saved() implements SaveState {}

        record Saving() implements SaveState {}

        /** It could not be saved; the message says why and what to do. */
        record Failed(String message) implements SaveState {}
    }

    /** Writes a bundle to its place. */
    @FunctionalInterface
    public interface Saver {
        void save(Bundle bundle) throws FindingException;
    }

    private final Saver saver;
    private final Executor background;
    private final Executor fxThread;
    private final AtomicReference<@Nullable Bundle> pending = new AtomicReference<>();
    /** What could not be saved; only the background thread knows it. */
    private @Nullable Bundle failed;
    private final ReadOnlyObjectWrapper<SaveState> state = new ReadOnlyObjectWrapper<>(this, "state", new SaveState.Saved());

    /** @param background runs one task at a time, in order */
    public Autosave(Saver saver, Executor background, Executor fxThread) {
        this.saver = saver;
        this.background = background;
        this.fxThread = fxThread;
    }

    public ReadOnlyObjectProperty<SaveState> stateProperty() {
        return state.getReadOnlyProperty();
    }

    /** Takes a change to be saved. */
    public void save(Bundle bundle) {
        state.set(new SaveState.Saving());
        if (pending.getAndSet(bundle) != null) return;
        try {
            background.execute(this::write);
        } catch (RejectedExecutionException closed) {
            // What comes after the window is gone has no place any more.
            LoggerFactory.getLogger(Autosave.class).warn("not saved: the bundle is closed", closed);
            state.set(new SaveState.Failed(Words.of("save.closed")));
        }
    }

    /**
     * Saves what is not saved yet, and tells on the JavaFX thread how it stands then: of a failure before, another try is made.
     */
    public void finish(Consumer<SaveState> done) {
        background.execute(() -> {
            Bundle unsaved = pending.getAndSet(null);
            Bundle last = unsaved == null ? failed : unsaved;
            SaveState result = last == null ? new SaveState.Saved() : write(last);
            fxThread.execute(() -> {
                state.set(result);
                done.accept(result);
            });
        });
    }

    private void write() {
        Bundle newest = pending.getAndSet(null);
        if (newest == null) return;
        SaveState shown = write(newest);
        fxThread.execute(() -> {
            if (pending.get() == null) state.set(shown);
        });
    }

    private SaveState write(Bundle newest) {
        failed = newest;
        SaveState result;
        try {
            saver.save(newest);
            failed = null;
            result = new SaveState.Saved();
        } catch (FindingException e) {
            LoggerFactory.getLogger(Autosave.class).warn("not saved", e);
            result = new SaveState.Failed(e.getMessage());
        } catch (RuntimeException | Error e) {
            LoggerFactory.getLogger(Autosave.class).error("not saved", e);
            result = new SaveState.Failed(Words.of("save.failed", e.getClass().getSimpleName()));
        }
        return result;
    }
}
