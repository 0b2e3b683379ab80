package app.yellowtab.desktop.work;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static app.yellowtab.testing.Bundles.order;
import static app.yellowtab.testing.Bundles.section;
import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Moves;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.FindingException;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.source.Source;
import app.yellowtab.store.BundleFolder;
import app.yellowtab.testing.Bundles;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Set;
import javafx.util.Subscription;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class WorkspaceTests {
    private final Bundle start = bundle(document("x", 2), section("A", document("a", 1), document("b", 3)));
    private final List<Bundle> saved = new ArrayList<>();
    @TempDir
    private Path temp;
    private BundleFolder folder;
    private Workspace workspace;

    @BeforeEach
    void open() throws FindingException {
        folder = BundleFolder.create(temp.resolve("bundle"), start);
        workspace = Workspaces.of(folder, start, saved::add, Runnable::run);
    }

    @AfterEach
    void close() {
        folder.close();
    }

    private void moveUp(String id) {
        workspace.edit(bundle -> Moves.up(bundle, Set.of(new EntryId(id))));
    }

    @Test
    void everyEditIsPlannedAndSaved() {
        moveUp("b");
        assertThat(order(workspace.bundle())).isEqualTo("x A(b a)");
        assertThat(workspace.plan().entry(new EntryId("a")).orElseThrow().span().first()).isEqualTo(8);
        assertThat(saved).containsExactly(workspace.bundle());
    }

    @Test
    void anEditThatChangesNothingIsNoStep() {
        workspace.edit(bundle -> Edits.takeOut(bundle, Set.of()));
        assertThat(workspace.undoableProperty().get()).isFalse();
        assertThat(saved).isEmpty();
    }

    @Test
    void undoAndRedoAreSavedToo() {
        moveUp("b");
        workspace.undo();
        workspace.undo();
        assertThat(workspace.bundle()).isEqualTo(start);
        assertThat(workspace.redoableProperty().get()).isTrue();
        workspace.redo();
        assertThat(order(workspace.bundle())).isEqualTo("x A(b a)");
        assertThat(saved).hasSize(3);
    }

    @Test
    void thePageThatIsReadIsFollowedWhereItGoes() {
        workspace.goTo(7);    // the second page of b
        moveUp("b");
        assertThat(workspace.leaf()).isEqualTo(6);
        workspace.undo();
        assertThat(workspace.leaf()).isEqualTo(7);
        workspace.edit(bundle -> Edits.takeOut(bundle, Set.of(new EntryId("A"), new EntryId("x"))));
        assertThat(workspace.leaf()).as("gone, so the nearest there is").isEqualTo(1);
    }

    @Test
    void numbersOutsideTheBundleLeadToItsEnds() {
        workspace.goTo(5000);
        assertThat(workspace.leaf()).isEqualTo(8);
        workspace.goTo(-3);
        assertThat(workspace.leaf()).isEqualTo(0);
        workspace.goToNumber("5000");
        assertThat(workspace.plan().leaf(workspace.leaf()).label()).isEqualTo("9");
        workspace.goToNumber(" 4 ");
        assertThat(workspace.plan().leaf(workspace.leaf()).label()).isEqualTo("4");
    }

    @Test
    void nobodyEverSeesABundleWithThePlanOfAnother() {
        List<String> seen = new ArrayList<>();
        Runnable look = () -> seen.add(workspace.plan().documentCount() + " of "
                + workspace.bundle().contents().allDocuments().size() + ", " + (workspace.leaf() < workspace.plan().pageCount()));
        workspace.goTo(8);
        Subscription shown = Subscription.combine(workspace.onBundle(bundle -> look.run()), workspace.onPlan(plan -> look.run()),
                workspace.onLeaf(leaf -> look.run()));
        workspace.edit(bundle -> Edits.takeOut(bundle, Set.of(new EntryId("A"))));
        workspace.undo();
        shown.unsubscribe();
        workspace.redo();
        assertThat(seen).hasSizeGreaterThanOrEqualTo(7).containsOnly("3 of 3, true", "1 of 1, true");
    }

    @Test
    void ofManyChangesTheNewestIsSaved() {
        Deque<Runnable> disk = new ArrayDeque<>();
        Autosave slow = new Autosave(saved::add, disk::add, Runnable::run);
        slow.save(start);
        slow.save(Bundle.EMPTY);
        assertThat(slow.stateProperty().get()).isEqualTo(new Autosave.SaveState.Saving());
        while (!disk.isEmpty()) disk.poll().run();
        assertThat(saved).containsExactly(Bundle.EMPTY);
        assertThat(slow.stateProperty().get()).isEqualTo(new Autosave.SaveState.Saved());
    }

    @Test
    void aSaveThatFailsSaysSoUntilOneSucceeds() {
        boolean[] full = {true};
        Autosave autosave = new Autosave(bundle -> {
            if (full[0])
                throw new FindingException(Finding.of(Finding.Code.BUNDLE_NOT_SAVED, Path.of("bundle.json"), "disk full"), null);
        }, Runnable::run, Runnable::run);
        autosave.save(start);
        assertThat(autosave.stateProperty().get()).isInstanceOfSatisfying(Autosave.SaveState.Failed.class,
                failed -> assertThat(failed.message()).contains("bundle.json could not be saved: disk full"));
        full[0] = false;
        autosave.save(start);
        assertThat(autosave.stateProperty().get()).isEqualTo(new Autosave.SaveState.Saved());
    }

    @Test
    void jobsReportStopAndEnd() {
        Deque<Runnable> window = new ArrayDeque<>();
        Jobs jobs = new Jobs(Runnable::run, window::add);
        List<Object> ends = new ArrayList<>();
        Jobs.Job job = jobs.start((progress, stop) -> {
            progress.accept(new Jobs.JobProgress("one", 0.1));
            progress.accept(new Jobs.JobProgress("two", 0.2));
            return "done";
        }, ends::add, ends::add);
        assertThat(jobs.running()).containsExactly(job);
        assertThat(window).as("two reports became one change of the window").hasSize(2);
        while (!window.isEmpty()) window.poll().run();
        assertThat(job.stateProperty().get().words()).isEqualTo("two");
        assertThat(ends).containsExactly("done");
        assertThat(jobs.running()).isEmpty();
    }

    @Test
    void whatIsKeptBackIsBegunInOrder() {
        List<String> done = new ArrayList<>();
        Jobs jobs = new Jobs(Runnable::run, Runnable::run);
        jobs.hold();
        jobs.beside(() -> {
            throw new IllegalStateException("what cannot be begun keeps nothing else back");
        });
        jobs.beside(() -> done.add("picture"));
        Jobs.Job job = jobs.start((progress, stop) -> "job", done::add, failure -> {});
        jobs.quietly(() -> "words", done::add);
        assertThat(done).isEmpty();
        assertThat(jobs.running()).as("can be seen and stopped").containsExactly(job);
        jobs.begin();
        jobs.beside(() -> done.add("at once"));
        assertThat(done).containsExactly("picture", "job", "words", "at once");
    }

    @Test
    void errorsOfAnyKindEndAJobAndASave() {
        List<Throwable> failures = new ArrayList<>();
        Jobs jobs = new Jobs(Runnable::run, Runnable::run);
        jobs.start((progress, stop) -> {
            throw new NoClassDefFoundError("gone");
        }, result -> {}, failures::add);
        assertThat(failures).singleElement().isInstanceOf(NoClassDefFoundError.class);
        assertThat(jobs.running()).isEmpty();
        Autosave autosave = new Autosave(bundle -> {
            throw new StackOverflowError();
        }, Runnable::run, Runnable::run);
        autosave.save(start);
        assertThat(autosave.stateProperty().get()).isInstanceOf(Autosave.SaveState.Failed.class);
        List<Autosave.SaveState> last = new ArrayList<>();
        autosave.finish(last::add);
        assertThat(last).as("tried once more when all ends").singleElement().isInstanceOf(Autosave.SaveState.Failed.class);
    }

    @Test
    void whatAnIntakeHasBroughtSoFarIsSavedWithTheBundle() {
        Source come = Bundles.source("come", 1);
        workspace.keepArriving("intake", List.of(come));
        assertThat(workspace.bundle().sources()).as("not seen yet").doesNotContain(come);
        assertThat(saved.getLast().sources()).contains(come);
        workspace.edit(bundle -> Edits.renameSection(bundle, new EntryId("A"), "B"));
        assertThat(saved.getLast().sources()).as("an edit meanwhile does not lose it").contains(come);
        workspace.arrived("intake");
        workspace.keepArriving("intake", List.of(come));
        assertThat(saved.getLast().sources()).as("what is late is not kept twice").doesNotContain(come);
    }

    @Test
    void aJobThatFailsSaysWhy() {
        List<Throwable> failures = new ArrayList<>();
        new Jobs(Runnable::run, Runnable::run).start((progress, stop) -> {
            throw new IllegalStateException("why");
        }, result -> {}, failures::add);
        assertThat(failures).singleElement().extracting(Throwable::getMessage).isEqualTo("why");
    }
}
