package app.yellowtab.desktop.work;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static app.yellowtab.testing.Bundles.order;
import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.edit.Moves;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.FindingException;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.store.BundleFolder;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The background here works when it is told to. */
class BackgroundEditTests {
    private final Bundle start = bundle(document("a", 1), document("b", 3), document("c", 1));
    private final Deque<Runnable> background = new ArrayDeque<>();
    private final List<Bundle> saved = new ArrayList<>();
    private final List<String> done = new ArrayList<>();
    @TempDir
    private Path temp;
    private BundleFolder folder;
    private Workspace workspace;
    private boolean worksOut;

    @BeforeEach
    void open() throws FindingException {
        folder = BundleFolder.create(temp.resolve("bundle"), start);
        workspace = Workspaces.of(folder, start, saved::add, background::add);
    }

    @AfterEach
    void close() {
        folder.close();
    }

    private static UnaryOperator<Bundle> up(String id) {
        return bundle -> Moves.up(bundle, Set.of(new EntryId(id)));
    }

    private void work() {
        worksOut = true;
        background.remove().run();
        worksOut = false;
    }

    @Test
    void closingWaitsForItAndItIsSaved() {
        workspace.editSoon("edit.sort", up("c"));
        CompletableFuture<?> settled = workspace.settled();
        assertThat(settled).isNotDone();
        assertThat(workspace.underWay()).containsExactly("sorting");
        work();
        assertThat(settled).isDone();
        assertThat(workspace.underWay()).isEmpty();
        assertThat(order(saved.getLast())).isEqualTo("a c b");
    }

    @Test
    void whatComesOfItIsWaitedForToo() {
        workspace.editSoon("edit.sort", up("c"), worked -> workspace.editSoon("edit.pages", up("c")));
        CompletableFuture<?> settled = workspace.settled();
        work();
        assertThat(settled).isNotDone();
        work();
        assertThat(settled).isDone();
        assertThat(order(saved.getLast())).isEqualTo("c a b");
    }

    @Test
    void afterALessonItIsWorkedOutAnewAndInTheBackground() {
        List<Boolean> inBackground = new ArrayList<>();
        workspace.editSoon("edit.sort", bundle -> {
            inBackground.add(worksOut);
            return up("c").apply(bundle);
        }, worked -> done.add(worked ? "done" : "failed"));
        workspace.learn(up("b"));
        work();
        assertThat(order(workspace.bundle())).as("not yet").isEqualTo("b a c");
        assertThat(done).isEmpty();
        work();
        assertThat(order(workspace.bundle())).isEqualTo("b c a");
        assertThat(inBackground).containsExactly(true, true);
        assertThat(done).containsExactly("done");
    }

    @Test
    void aLessonIsWorkedOutThereTooAndIsNoStepAndTrueOfEveryState() {
        workspace.edit(up("c"));
        workspace.learnSoon("edit.readAgain", up("b"), worked -> done.add("learned"));
        assertThat(order(workspace.bundle())).isEqualTo("a c b");
        work();
        assertThat(done).containsExactly("learned");
        assertThat(order(workspace.bundle())).isEqualTo("a b c");
        workspace.undo();
        assertThat(order(workspace.bundle())).as("also of what was there before").isEqualTo("b a c");
        assertThat(workspace.undoableProperty().get()).isFalse();
    }

    @Test
    void aFailureIsSaidByNameAndEndsIt() {
        workspace.editSoon("edit.sort", bundle -> {
            throw new NoClassDefFoundError("gone");
        }, worked -> done.add(worked ? "done" : "failed"));
        work();
        assertThat(done).containsExactly("failed");
        assertThat(workspace.bundle()).isEqualTo(start);
        assertThat(workspace.settled()).isDone();
        assertThat(workspace.findings()).extracting(Finding::message).containsExactly("This failed and changed nothing: sorting"
                + " (NoClassDefFoundError). Try it again; should it fail again, close the bundle and open it anew.");
    }

    @Test
    void whatFailsBesideReachesUserAndCaller() {
        Jobs jobs = new Jobs(Runnable::run, Runnable::run);
        List<String> told = new ArrayList<>();
        jobs.onFailure(failure -> told.add("user: " + failure.getMessage()));
        jobs.quietly(() -> {
            throw new IllegalStateException("no room");
        }, result -> told.add("done"), failure -> told.add("caller: " + failure.getMessage()));
        assertThat(told).containsExactly("user: no room", "caller: no room");
    }
}
