package app.yellowtab.desktop.work;

import app.yellowtab.finding.FindingException;
import app.yellowtab.model.Bundle;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicReference;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/** Saves every change in the background; of changes that come faster than the disk, only the newest is written. */
public final class Autosave {
    /** How the newest change stands. */
    public sealed interface State {
        record Saved() implements State {}

        record Saving() implements State {}

        /** It could not be saved; the message says why and what to do. */
        record Failed(String message) implements State {}
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
    private final ReadOnlyObjectWrapper<State> state = new ReadOnlyObjectWrapper<>(this, "state", new State.Saved());

    /** @param background runs one task at a time, in order */
    public Autosave(Saver saver, Executor background, Executor fxThread) {
        this.saver = saver;
        this.background = background;
        this.fxThread = fxThread;
    }

    public ReadOnlyObjectProperty<State> stateProperty() {
        return state.getReadOnlyProperty();
    }

    /** Takes a change to be saved. */
    public void save(Bundle bundle) {
        state.set(new State.Saving());
        if (pending.getAndSet(bundle) == null) background.execute(this::write);
    }

    private void write() {
        Bundle newest = pending.getAndSet(null);
        if (newest == null) return;
        State result;
        try {
            saver.save(newest);
            result = new State.Saved();
        } catch (FindingException e) {
            LoggerFactory.getLogger(Autosave.class).warn("not saved", e);
            result = new State.Failed(e.getMessage());
        } catch (RuntimeException | Error e) {
            LoggerFactory.getLogger(Autosave.class).error("not saved", e);
            result = new State.Failed(Words.of("save.failed", e.getClass().getSimpleName()));
        }
        State shown = result;
        fxThread.execute(() -> {
            if (pending.get() == null) state.set(shown);
        });
    }
}
