package app.yellowtab.desktop.agree;

import app.yellowtab.agree.AgreedIndex;
import app.yellowtab.agree.Change;
import app.yellowtab.agree.Columns;
import app.yellowtab.agree.FileMatches;
import app.yellowtab.agree.FileMatches.Match;
import app.yellowtab.agree.IndexChanges;
import app.yellowtab.agree.IndexFile;
import app.yellowtab.agree.IndexLine;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Placeholders;
import app.yellowtab.edit.Placeholders.Rest;
import app.yellowtab.edit.Template;
import app.yellowtab.finding.FindingException;
import app.yellowtab.keep.KeptChronology;
import app.yellowtab.keep.Templates;
import app.yellowtab.leaf.ReferenceForm;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.entry.Agreement;
import app.yellowtab.plan.Plan;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.util.Subscription;

/**
 * Reads an agreed index in, takes its changes over, matches files with it, and writes it out. Knows no node. For the JavaFX
 * thread.
 */
public final class Agreeing {
    /** How it stands. */
    public sealed interface AgreeState {
        /** Nothing is under way. */
        record None() implements AgreeState {}

        /** A table was read, and its columns can be corrected. */
        record Reading(AgreedIndex index, List<IndexLine> lines) implements AgreeState {}

        /** An index came back, and differs from ours in this. */
        record Back(AgreedIndex index, List<IndexLine> lines, List<Change> changes) implements AgreeState {}

        /** Files of the tray are matched with placeholders. */
        record Matching(FileMatches matches) implements AgreeState {}

        /** It did not come about. */
        record Failed(String words) implements AgreeState {}
    }

    private final Workspace workspace;
    private final ReadOnlyObjectWrapper<AgreeState> state = new ReadOnlyObjectWrapper<>(this, "state", new AgreeState.None());
    private final ReadOnlyObjectWrapper<String> said = new ReadOnlyObjectWrapper<>(this, "said", "");
    private final Set<Change> left = new HashSet<>();
    private final Set<String> refused = new HashSet<>();
    private final Supplier<ReferenceForm> form;
    private final Runnable pause;
    private final KeptChronology chronology;
    private final AtomicReference<Plan> newest = new AtomicReference<>();
    private boolean keeps;
    private final Subscription subscription;

    /**
     * @param form  how the user writes references to pages
     * @param pause waits, in the background, until nobody types any more
     */
    public Agreeing(Workspace workspace, Supplier<ReferenceForm> form, Runnable pause) {
        this.workspace = workspace;
        this.form = form;
        this.pause = pause;
        this.chronology = new KeptChronology(workspace.folder().path());
        // What is undone or done elsewhere differs again, or no more.
        subscription = Subscription.combine(workspace.onBundle(bundle -> {
            if (state.get() instanceof AgreeState.Back back) showBack(back.index(), back.lines());
            if (state.get() instanceof AgreeState.Matching) match();
        }), workspace.onPlan(plan -> keepChronology()));
    }

    public void dispose() {
        subscription.unsubscribe();
    }

    public ReadOnlyObjectProperty<AgreeState> stateProperty() {
        return state.getReadOnlyProperty();
    }

    /** {@return what came of writing; empty for nothing} */
    public ReadOnlyObjectProperty<String> saidProperty() {
        return said.getReadOnlyProperty();
    }

    /** Reads a file in the background. */
    public void begin(Path file) {
        said.set("");
        boolean monthFirst = workspace.bundle().reading().monthFirst();
        workspace.jobs().start((progress, stop) -> {
            AgreedIndex index = AgreedIndex.read(file);
            return new AgreeState.Reading(index, index.lines(monthFirst));
        }, state::set, failure -> state.set(new AgreeState.Failed(failure instanceof FindingException known
                ? String.valueOf(known.getMessage()) : Words.of("agree.failed", file.getFileName()))));
    }

    /** Says that another column holds something, or none does. */
    void correct(Columns.Role role, Optional<Integer> column) {
        if (!(state.get() instanceof AgreeState.Reading reading)) return;
        AgreedIndex index = reading.index().with(role, column);
        state.set(new AgreeState.Reading(index, index.lines(workspace.bundle().reading().monthFirst())));
    }

    /** {@return whether the index that was read is ours, come back; otherwise it is a new one} */
    boolean isBack() {
        return state.get() instanceof AgreeState.Reading reading && IndexChanges.isOurs(workspace.bundle(), reading.lines());
    }

    /**
     * Shows what differs, where the index is ours; puts a new one in behind what is there, as placeholders, and matches files
     * with it.
     */
    void goOn() {
        if (!(state.get() instanceof AgreeState.Reading reading)) return;
        left.clear();
        if (IndexChanges.isOurs(workspace.bundle(), reading.lines())) {
            showBack(reading.index(), reading.lines());
            return;
        }
        state.set(new AgreeState.None());
        workspace.edit(bundle -> Edits.append(bundle, AgreedIndex.contents(reading.lines())));
        match();
    }

    private void showBack(AgreedIndex index, List<IndexLine> lines) {
        List<Change> changes = new ArrayList<>(IndexChanges.of(workspace.bundle(), lines));
        changes.removeIf(left::contains);
        // What changes the index is looked at first, then what is disputed; that most of it is agreed needs the least of a look.
        changes.sort(Comparator.comparingInt(change -> change instanceof Change.Stands ? isAgreed(change) ? 2 : 1 : 0));
        state.set(new AgreeState.Back(index, lines, List.copyOf(changes)));
    }

    /** Takes one change over. */
    void accept(Change change) {
        if (state.get() instanceof AgreeState.Back back)
            workspace.edit(bundle -> IndexChanges.accept(bundle, change, back.lines()));
    }

    /** {@return whether a change says no more than that an entry is agreed} */
    static boolean isAgreed(Change change) {
        return change instanceof Change.Stands stands && stands.now().equals(new Agreement(Agreement.Standing.AGREED, ""));
    }

    /** Takes all changes over that say no more than that an entry is agreed, in one step. */
    void acceptAgreed() {
        if (!(state.get() instanceof AgreeState.Back back)) return;
        workspace.edit(bundle -> {
            Bundle now = bundle;
            for (Change change : back.changes()) if (isAgreed(change)) now = IndexChanges.accept(now, change, back.lines());
            return now;
        });
    }

    /** Takes all changes over that are shown, in one step. */
    void acceptAll() {
        if (!(state.get() instanceof AgreeState.Back back)) return;
        workspace.edit(bundle -> {
            Bundle now = bundle;
            // What one change brings about may make another one needless, or needed.
            for (int round = 0; round <= back.changes().size(); round++) {
                Optional<Change> next =
                        IndexChanges.of(now, back.lines()).stream().filter(change -> !left.contains(change)).findFirst();
                if (next.isEmpty()) break;
                Bundle after = IndexChanges.accept(now, next.get(), back.lines());
                if (after.equals(now)) left.add(next.get());
                now = after;
            }
            return now;
        });
    }

    /** Leaves a change as it is with us; it is shown no more. */
    void leave(Change change) {
        left.add(change);
        if (state.get() instanceof AgreeState.Back back) showBack(back.index(), back.lines());
    }

    /** Shows which files of the tray may fill which placeholders. */
    public void match() {
        FileMatches all = FileMatches.of(workspace.bundle());
        List<Match> shown = all.matches().stream().filter(match -> !refused.contains(key(match))).toList();
        state.set(new AgreeState.Matching(new FileMatches(shown, all.waiting(), all.unmatched())));
    }

    private static String key(Match match) {
        return match.placeholder().id().value() + " " + match.item().id();
    }

    /** Fills a placeholder with what was found for it; where that is shorter, the rest stays free. */
    void take(Match match) {
        workspace.edit(bundle -> Placeholders.fill(bundle, match.placeholder().id(), match.item().id(), Rest.STAYS));
    }

    /** Fills all placeholders for which it is sure what fills them, in one step. */
    void takeSure() {
        if (!(state.get() instanceof AgreeState.Matching matching)) return;
        workspace.edit(bundle -> {
            Bundle now = bundle;
            for (Match match : matching.matches().matches())
                if (match.isSure()) now = Placeholders.fill(now, match.placeholder().id(), match.item().id(), Rest.STAYS);
            return now;
        });
    }

    /** Takes a match for none. */
    void refuse(Match match) {
        refused.add(key(match));
        match();
    }

    /** Ends it; what was done stays. */
    public void close() {
        said.set("");
        state.set(new AgreeState.None());
    }

    /** Writes the index to a file, as its ending says. */
    public void writeIndex(Path target) {
        Plan plan = workspace.plan();
        write(target, () -> IndexFile.write(plan, target));
    }

    /** Writes the chronology to a file, as its ending says; it is made anew from then on when what it says has changed. */
    public void writeChronology(Path target) {
        Plan plan = workspace.plan();
        write(target, () -> {
            synchronized (chronology) {
                chronology.write(plan, form.get(), target);
            }
        });
    }

    /** Makes the chronology anew that was written before, in the background and not more often than needed. */
    private void keepChronology() {
        newest.set(workspace.plan());
        if (keeps) return;
        keeps = true;
        workspace.jobs().quietly(() -> {
            pause.run();
            Plan plan = newest.get();
            return new Kept(plan, updated(plan));
        }, kept -> {
            keeps = false;
            kept.words().ifPresent(said::set);
            if (kept.plan() != newest.get()) keepChronology();
        }, failure -> keeps = false);
    }

    /** For which plan the chronology was looked at, and what there is to say of it. */
    private record Kept(Plan plan, Optional<String> words) {}

    private Optional<String> updated(Plan plan) {
        try {
            synchronized (chronology) {
                return switch (chronology.update(plan, form.get())) {
                    case KeptChronology.Came.Nothing nothing -> Optional.empty();
                    case KeptChronology.Came.MadeAnew made ->
                            Optional.of(Words.of("agree.chronologyAnew", made.file().getFileName()));
                    case KeptChronology.Came.Left left ->
                            Optional.of(Words.of("agree.chronologyLeft", left.file().getFileName()));
                };
            }
        } catch (FindingException refused) {
            return Optional.of(String.valueOf(refused.getMessage()));
        }
    }

    /** Keeps the structure of the bundle among the templates, called as the bundle is. */
    public void keepStructure(Templates templates) {
        Bundle bundle = workspace.bundle();
        String called = bundle.heading().title().isBlank() ? Words.of("agree.structureFile") : bundle.heading().title();
        said.set("");
        workspace.jobs().start((progress, stop) -> {
            templates.keep(Template.of(bundle, called, false));
            return called;
        }, name -> said.set(Words.of("agree.structureKept", name)), failure -> said.set(failure instanceof FindingException known
                ? String.valueOf(known.getMessage()) : Words.of("agree.notWritten", called)));
    }

    /** Writes the structure of the bundle to a file that can be given away; it is called as the file is. */
    public void giveStructure(Path target) {
        Bundle bundle = workspace.bundle();
        String called = String.valueOf(target.getFileName()).replaceFirst("\\.[^.]*$", "");
        write(target, () -> Templates.write(target,
                Template.of(bundle, called.isBlank() ? Words.of("agree.structureFile") : called, false)));
    }

    /** Something that is written. */
    @FunctionalInterface
    private interface Writing {
        void write() throws FindingException;
    }

    private void write(Path target, Writing writing) {
        said.set("");
        workspace.jobs().start((progress, stop) -> {
            writing.write();
            return target;
        }, written -> said.set(Words.of("agree.written", written)), failure -> said.set(failure instanceof FindingException known
                ? String.valueOf(known.getMessage()) : Words.of("agree.notWritten", target)));
    }
}
