package app.yellowtab.desktop.work;

import app.yellowtab.desktop.look.Words;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.History;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.Subject;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.store.BundleFolder;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.WeakHashMap;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.util.Subscription;
import org.jspecify.annotations.Nullable;

/** The open bundle as every view sees it: the bundle, its plan, where one is reading, and what wants a look. */
public final class Workspace {
    /** Plans of the states before are kept, so that a step is soon undone. */
    private static final int MOST_PLANNED = 4;
    private final Deque<Prepared> planned = new ArrayDeque<>();
    private final BundleFolder folder;
    private final History history;
    private final Autosave autosave;
    private final Jobs jobs;
    private final ReadOnlyObjectWrapper<BundleState> state;
    private Placement placement;
    private final ReadOnlyBooleanWrapper undoable = new ReadOnlyBooleanWrapper(this, "undoable");
    private final ReadOnlyBooleanWrapper redoable = new ReadOnlyBooleanWrapper(this, "redoable");
    private final ReadOnlyIntegerWrapper unlockings = new ReadOnlyIntegerWrapper(this, "unlockings");
    private final ObjectProperty<Stage> stage = new SimpleObjectProperty<>(this, "stage", Stage.GATHER);
    private final Map<Object, List<Source>> arriving = new LinkedHashMap<>();
    private final Set<Object> finished = Collections.newSetFromMap(new WeakHashMap<>());
    private final ObservableList<Finding> findings = FXCollections.observableArrayList();
    private final List<UnderWay> underWay = new ArrayList<>();

    /** @param planned the plan of the bundle that was opened */
    public Workspace(BundleFolder folder, Bundle opened, Plan planned, Autosave autosave, Jobs jobs) {
        this.folder = folder;
        this.history = new History(opened);
        this.autosave = autosave;
        this.jobs = jobs;
        this.state = new ReadOnlyObjectWrapper<>(this, "state", new BundleState(opened, planned, 0));
        if (!opened.sources().isEmpty()) stage.set(Stage.ARRANGE);
        this.placement = Placement.of(opened);
    }

    /** Takes passwords to try on locked files from now on. */
    public void tryPasswords(List<String> passwords) {
        folder.tryPasswords(passwords);
        unlockings.set(unlockings.get() + 1);
    }

    /** {@return how often passwords have been taken; what could not be shown before may be shown after a change of it} */
    public ReadOnlyIntegerProperty unlockingsProperty() {
        return unlockings.getReadOnlyProperty();
    }

    public BundleFolder folder() {
        return folder;
    }

    public Jobs jobs() {
        return jobs;
    }

    /** {@return all that is shown} */
    public ReadOnlyObjectProperty<BundleState> stateProperty() {
        return state.getReadOnlyProperty();
    }

    /** Shows the bundle, now and whenever it is another one. */
    public Subscription onBundle(Consumer<Bundle> show) {
        return on(BundleState::bundle, show);
    }

    /** Shows the plan, now and whenever it is another one. */
    public Subscription onPlan(Consumer<Plan> show) {
        return on(BundleState::plan, show);
    }

    /** Shows the leaf that is read, by its index in the plan, now and whenever it is another one. */
    public Subscription onLeaf(Consumer<Integer> show) {
        return on(BundleState::leaf, show);
    }

    private <T> Subscription on(Function<BundleState, T> part, Consumer<T> show) {
        show.accept(part.apply(state.get()));
        return state.getReadOnlyProperty().subscribe((before, now) -> {
            T shown = part.apply(now);
            if (shown instanceof Integer ? !shown.equals(part.apply(before)) : shown != part.apply(before)) show.accept(shown);
        });
    }

    public Bundle bundle() {
        return state.get().bundle();
    }

    public Plan plan() {
        return state.get().plan();
    }

    /** {@return the index in the plan of the leaf that is read, counted from 0; set by {@link #goTo}} */
    public int leaf() {
        return state.get().leaf();
    }

    /** {@return which sources have a place in the bundle that {@link #bundle()} gives} */
    public Placement placement() {
        return placement;
    }

    public ReadOnlyBooleanProperty undoableProperty() {
        return undoable.getReadOnlyProperty();
    }

    public ReadOnlyBooleanProperty redoableProperty() {
        return redoable.getReadOnlyProperty();
    }

    public ReadOnlyObjectProperty<Autosave.SaveState> saveStateProperty() {
        return autosave.stateProperty();
    }

    public ObjectProperty<Stage> stageProperty() {
        return stage;
    }

    /** {@return what the user should look at, the newest last} */
    public ObservableList<Finding> findings() {
        return findings;
    }

    /** Goes to a leaf by its index in the plan, counted from 0, or to the nearest there is. */
    public void goTo(int index) {
        state.set(state.get().withLeaf(Math.clamp(index, 0, plan().pageCount() - 1)));
    }

    /** Goes to the leaf that bears a number; where figures are beyond the last, to the last. */
    public void goToNumber(String words) {
        String number = words.strip();
        Optional<Leaf> found = plan().leafNumbered(number);
        if (found.isPresent()) goTo(found.get().index());
        else if (number.matches("0*[1-9]\\d{0,8}")) goTo(plan().pageCount() - 1);
        else if (number.matches("0+")) goTo(0);
    }

    /** Makes an edit; it is saved, and can be undone. */
    public void edit(UnaryOperator<Bundle> change) {
        Bundle edited = change.apply(history.present());
        if (edited.equals(history.present())) return;
        history.step(edited);
        show();
    }

    /**
     * Makes an edit that takes longer to work out: that, and the plan of it, are done in the background; what is done meanwhile
     * stays. Closing waits for it.
     *
     * @param name the key of what it is called where one is asked whether to wait for it
     */
    public void editSoon(String name, UnaryOperator<Bundle> change) {
        editSoon(name, change, worked -> {});
    }

    /**
     * Makes an edit in the same way.
     *
     * @param done is told when that is over, on the JavaFX thread: true where it was worked out, whether anything has changed or
     *             not; false where it failed, of which the user was told
     */
    public void editSoon(String name, UnaryOperator<Bundle> change, Consumer<Boolean> done) {
        workOut(begun(name), change, history::step, done);
    }

    /**
     * Makes a promise in the same way, such as numbers that are issued: it is no step, and nothing that is undone takes it back.
     *
     * @param done is told when that is over, as above
     */
    public void promiseSoon(String name, UnaryOperator<Bundle> promise, Consumer<Boolean> done) {
        workOut(begun(name), promise, promised -> history.promise(present -> promised), done);
    }

    /**
     * Takes in what has been found out in the same way; it is no step that could be undone, and is true of every state.
     *
     * @param lesson makes a state in which it is known of one in which it is not
     * @param done   is told when that is over, as above
     */
    public void learnSoon(String name, UnaryOperator<Bundle> lesson, Consumer<Boolean> done) {
        workOut(begun(name), lesson, learned -> history.learn(lesson, learned), done);
    }

    private UnderWay begun(String name) {
        UnderWay edit = new UnderWay(Words.of(name), new CompletableFuture<>());
        underWay.add(edit);
        return edit;
    }

    /** @param take takes what was worked out of the present bundle in its place */
    private void workOut(UnderWay edit, UnaryOperator<Bundle> change, Consumer<Bundle> take, Consumer<Boolean> done) {
        Bundle base = history.present();
        Plan before = plan();
        jobs.attempt(() -> {
            Bundle edited = change.apply(base);
            return edited.equals(base) ? new Prepared(base, before) : new Prepared(edited, Planner.plan(edited, before));
        }, ready -> {
            // What was done or found out meanwhile stays, and what is worked out of it is, again, not for the JavaFX thread.
            if (history.present() != base) {
                workOut(edit, change, take, done);
                return;
            }
            end(edit, () -> {
                take.accept(ready.bundle());
                if (ready.bundle() == base) return;
                planned.addFirst(ready);
                show();
            }, () -> done.accept(true));
        }, failure -> end(edit, () -> findings.add(new Finding(Code.NOT_WORKED_OUT, new Subject.OfThing(edit.name()),
                failure.getClass().getSimpleName())), () -> done.accept(false)));
    }

    private void end(UnderWay edit, Runnable result, Runnable done) {
        try {
            result.run();
        } finally {
            underWay.remove(edit);
            try {
                done.run();
            } finally {
                edit.ended().complete(null);
            }
        }
    }

    /** An edit that is being worked out. */
    private record UnderWay(String name, CompletableFuture<@Nullable Void> ended) {}

    /** {@return what is still being worked out, in plain words, the oldest first} */
    public List<String> underWay() {
        return underWay.stream().map(UnderWay::name).toList();
    }

    /** {@return completed, on the JavaFX thread, when no edit is being worked out any more} */
    public CompletableFuture<@Nullable Void> settled() {
        if (underWay.isEmpty()) return CompletableFuture.completedFuture(null);
        return underWay.getFirst().ended().thenCompose(ended -> settled());
    }

    /** A bundle and its plan. */
    private record Prepared(Bundle bundle, Plan plan) {}

    /** Takes in what has been found out; it is saved, and is no step that could be undone. */
    public void learn(UnaryOperator<Bundle> lesson) {
        history.learn(lesson);
        show();
    }

    public void undo() {
        if (!history.canUndo()) return;
        history.undo();
        show();
    }

    public void redo() {
        if (!history.canRedo()) return;
        history.redo();
        show();
    }

    /**
     * Saves what an intake has brought so far with the bundle, without making it part of what is seen: should the program be
     * killed, it is there at the next start.
     */
    void keepArriving(Object intake, List<Source> sources) {
        if (!finished.contains(intake)) arriving.put(intake, sources);
        autosave.save(withArriving());
    }

    /** An intake has ended, and its edit was made. */
    void arrived(Object intake) {
        arriving.remove(intake);
        finished.add(intake);
    }

    private Bundle withArriving() {
        Bundle all = history.present();
        for (List<Source> sources : arriving.values()) {
            Set<SourceId> there = all.sourcesById().keySet();
            all = Edits.addSources(all, sources.stream().filter(source -> !there.contains(source.id())).toList());
        }
        return all;
    }

    private void show() {
        Bundle present = history.present();
        Leaf read = plan().leaf(leaf());
        if (present.sources() != bundle().sources()) folder.know(present.sources());
        Plan next = planned.stream().filter(known -> known.bundle() == present).findFirst().map(Prepared::plan)
                .orElseGet(() -> Planner.plan(present, plan()));
        planned.removeIf(known -> known.bundle() == present || known.bundle() == bundle());
        planned.addFirst(new Prepared(bundle(), plan()));
        planned.addFirst(new Prepared(present, next));
        while (planned.size() > MOST_PLANNED) planned.removeLast();
        placement = placement.in(present);
        state.set(new BundleState(present, next, Math.min(followed(read, next), next.pageCount() - 1)));
        undoable.set(history.canUndo());
        redoable.set(history.canRedo());
        autosave.save(withArriving());
    }

    /** {@return where the page that was read stands now; its old place where it is gone} */
    private static int followed(Leaf read, Plan next) {
        PageKey page = read.name();
        if (read.index() < next.pageCount() && next.leaf(read.index()).name().equals(page)) return read.index();
        for (Leaf now : next.leaves()) if (now.name().equals(page)) return now.index();
        return read.index();
    }
}
