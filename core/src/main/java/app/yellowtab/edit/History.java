package app.yellowtab.edit;

import app.yellowtab.model.Bundle;
import java.util.ArrayDeque;
import java.util.Deque;

/** Undo and redo without limit: the bundles before and after the one that is shown. Not for several threads. */
public final class History {
    private final Deque<Bundle> past = new ArrayDeque<>();
    private final Deque<Bundle> future = new ArrayDeque<>();
    private Bundle present;

    /** @param opened the bundle as it was opened; undo goes back to it and no further */
    public History(Bundle opened) {
        present = opened;
    }

    public Bundle present() {
        return present;
    }

    /** Makes an edited bundle the present one. A bundle equal to the present one is no step. */
    public void step(Bundle edited) {
        if (edited.equals(present)) return;
        past.push(present);
        future.clear();
        present = edited;
    }

    public boolean canUndo() {
        return !past.isEmpty();
    }

    public boolean canRedo() {
        return !future.isEmpty();
    }

    /** Goes one step back, if there is one. */
    public void undo() {
        move(past, future);
    }

    /** Goes one step forward again, if there is one. */
    public void redo() {
        move(future, past);
    }

    private void move(Deque<Bundle> from, Deque<Bundle> to) {
        if (from.isEmpty()) return;
        to.push(present);
        present = from.pop();
    }
}
