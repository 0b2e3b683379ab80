package app.yellowtab.desktop.work;

import java.util.HashSet;
import java.util.Set;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.util.Subscription;

/**
 * Looks for something in the background as long as somebody looks on, and anew when the plan is another one. One search at a
 * time: that of an older plan is asked to stop, and what it finds is nobody's any more. For the JavaFX thread.
 */
public final class Lookout<T> {
    /** One search. */
    @FunctionalInterface
    public interface Search<T> {
        /**
         * Looks through a bundle.
         *
         * @param far  may be given what was found so far
         * @param stop whether nobody waits for it any more
         */
        T in(BundleState now, Consumer<T> far, BooleanSupplier stop);
    }

    private final Workspace workspace;
    private final Search<T> search;
    private final T nothing;
    private final ReadOnlyObjectWrapper<T> found;
    private final Subscription subscription;
    private final Set<Object> viewers = new HashSet<>();
    private AtomicBoolean stop = new AtomicBoolean();
    private boolean searches;
    private boolean again;

    /** @param nothing what is found before anything was looked for, and where a search failed */
    public Lookout(Workspace workspace, T nothing, Search<T> search) {
        this.workspace = workspace;
        this.search = search;
        this.nothing = nothing;
        this.found = new ReadOnlyObjectWrapper<>(this, "found", nothing);
        subscription = workspace.onPlan(plan -> search());
    }

    public ReadOnlyObjectProperty<T> foundProperty() {
        return found.getReadOnlyProperty();
    }

    /** Takes note that somebody looks on, or no more. */
    public void look(Object viewer, boolean on) {
        boolean before = !viewers.isEmpty();
        if (on) viewers.add(viewer);
        else viewers.remove(viewer);
        if (!before && on) search();
        if (viewers.isEmpty()) stop.set(true);
    }

    private void search() {
        if (viewers.isEmpty()) return;
        stop.set(true);
        if (searches) {
            again = true;
            return;
        }
        searches = true;
        again = false;
        AtomicBoolean ended = new AtomicBoolean();
        stop = ended;
        BundleState now = workspace.stateProperty().get();
        workspace.jobs().quietly(
                () -> search.in(now, far -> workspace.jobs().later(() -> show(far, ended)), ended::get),
                all -> end(all, ended), failure -> end(nothing, ended));
    }

    private void end(T all, AtomicBoolean ended) {
        searches = false;
        show(all, ended);
        if (again) search();
    }

    private void show(T now, AtomicBoolean ended) {
        if (!ended.get()) found.set(now);
    }

    public void dispose() {
        viewers.clear();
        stop.set(true);
        subscription.unsubscribe();
    }
}
