package app.yellowtab.edit;

import app.yellowtab.model.Bundle;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * Undo and redo without limit: the bundles before and after the one that is shown. What is found out meanwhile, such as what an
 * unlocked file holds, is learned and no step: it is true of every state, and of those that are not shown when they are come
 * back to. What was promised, such as numbers that were issued, is one value outside of all states: going back does not take it
 * back. Not for several threads.
 */
public final class History {
    private final Deque<Moment> past = new ArrayDeque<>();
    private final Deque<Moment> future = new ArrayDeque<>();
    private final List<UnaryOperator<Bundle>> lessons = new ArrayList<>();
    private Bundle present;

    /** A bundle, and how many lessons it has learned. */
    private record Moment(Bundle bundle, int lessons) {}

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
        past.push(new Moment(present, lessons.size()));
        future.clear();
        present = edited;
    }

    /**
     * Takes something in that has been found out.
     *
     * @param lesson makes a state in which it is known of one in which it is not
     */
    public void learn(UnaryOperator<Bundle> lesson) {
        learn(lesson, lesson.apply(present));
    }

    /**
     * Takes something in that has been found out, and that was brought into the present state already.
     *
     * @param learned the present state in which it is known
     */
    public void learn(UnaryOperator<Bundle> lesson, Bundle learned) {
        lessons.add(lesson);
        present = learned;
    }

    /**
     * Takes in what has been promised, which is no step: numbers that are issued, or taken back, stay so whatever is undone.
     *
     * @param promise makes the present bundle of what it is without it
     */
    public void promise(UnaryOperator<Bundle> promise) {
        present = promise.apply(present);
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

    private void move(Deque<Moment> from, Deque<Moment> to) {
        if (from.isEmpty()) return;
        to.push(new Moment(present, lessons.size()));
        Moment state = from.pop();
        Bundle promised = present;
        present = state.bundle().withPromisesOf(promised);
        for (UnaryOperator<Bundle> lesson : lessons.subList(state.lessons(), lessons.size())) present = lesson.apply(present);
    }
}
