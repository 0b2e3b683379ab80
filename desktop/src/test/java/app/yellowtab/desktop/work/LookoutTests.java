package app.yellowtab.desktop.work;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.edit.Moves;
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
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The background here works when it is told to. What is found is the title of the first document. */
class LookoutTests {
    private final Bundle start = bundle(document("a", 1), document("b", 3));
    private final Deque<Runnable> background = new ArrayDeque<>();
    private final List<String> looked = new ArrayList<>();
    @TempDir
    private Path temp;
    private BundleFolder folder;
    private Workspace workspace;
    private Lookout<String> lookout;
    private boolean fails;

    @BeforeEach
    void open() throws FindingException {
        folder = BundleFolder.create(temp.resolve("bundle"), start);
        workspace = Workspaces.of(folder, start, saved -> {}, background::add);
        lookout = new Lookout<>(workspace, "", (now, far, stop) -> {
            String first = now.bundle().contents().allDocuments().getFirst().title();
            looked.add(first + (stop.getAsBoolean() ? ", stopped" : ""));
            far.accept(first + " so far");
            if (fails) throw new IllegalStateException("no words");
            return first;
        });
    }

    @AfterEach
    void close() {
        lookout.dispose();
        folder.close();
    }

    private void swap() {
        EntryId second = workspace.bundle().contents().allDocuments().get(1).id();
        workspace.edit(bundle -> Moves.up(bundle, Set.of(second)));
    }

    private String found() {
        return lookout.foundProperty().get();
    }

    @Test
    void nobodyLooksWhereNobodyLooksOn() {
        swap();
        assertThat(background).isEmpty();
        lookout.look(this, true);
        background.remove().run();
        assertThat(found()).isEqualTo("b");
        lookout.look(this, false);
        swap();
        assertThat(background).isEmpty();
    }

    @Test
    void oneSearchAtATimeAndWhatAnOlderOneFindsIsNobodys() {
        List<String> shown = new ArrayList<>();
        lookout.foundProperty().subscribe(now -> shown.add(now));
        lookout.look(this, true);
        swap();
        swap();
        swap();
        assertThat(background).hasSize(1);
        background.remove().run();
        assertThat(shown).as("of the older plan").containsExactly("");
        background.remove().run();
        assertThat(shown).containsExactly("", "b so far", "b");
        assertThat(looked).containsExactly("a, stopped", "b");
        assertThat(background).isEmpty();
    }

    @Test
    void afterAFailureItLooksAgainWhenTheBundleChanges() {
        fails = true;
        lookout.look(this, true);
        background.remove().run();
        assertThat(found()).isEmpty();
        fails = false;
        swap();
        background.remove().run();
        assertThat(found()).isEqualTo("b");
    }
}
