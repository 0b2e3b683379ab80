package app.yellowtab.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.finding.FindingException;
import java.io.IOException;
import java.io.Writer;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.TreeMap;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Several files are put into place all or none, wherever it is broken off. */
class HandoverTests {
    @TempDir
    private Path folder;

    /** A program that is killed at one of its moves. */
    private static final class Killed extends Error {}

    /** {@return moves of which the n-th, counted from 0, never happens, nor what would come after it} */
    private static Handover.Mover killedAt(int n) {
        int[] made = {0};
        return (from, to) -> {
            if (made[0]++ == n) throw new Killed();
            Drafts.move(from, to);
        };
    }

    private static TreeMap<String, String> filesIn(Path folder) throws IOException {
        TreeMap<String, String> all = new TreeMap<>();
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.toList()) all.put(String.valueOf(file.getFileName()), Files.readString(file));
        }
        return all;
    }

    private static List<Handover.Change> changes(Path folder) throws IOException {
        Files.writeString(folder.resolve("one.pdf"), "old one");
        Files.writeString(folder.resolve("three.pdf"), "old three");
        return List.of(Handover.Change.put(draft(folder, "new one"), folder.resolve("one.pdf")),
                Handover.Change.put(draft(folder, "new two"), folder.resolve("two.pdf")),
                Handover.Change.empty(folder.resolve("three.pdf")));
    }

    private static Path draft(Path folder, String words) throws IOException {
        return Files.writeString(Drafts.beside(folder.resolve("any")), words);
    }

    @Property(tries = 20)
    void whereverItIsKilledTheNextProgramFinishesIt(@ForAll @IntRange(max = 5) int at, @ForAll @IntRange(max = 5) int again)
            throws IOException {
        Path place = Files.createTempDirectory("handover");
        try {
            List<Handover.Change> changes = changes(place);
            boolean killed = isKilled(() -> Handover.make(place, changes, Optional.of(place), killedAt(at)));
            assertThat(Handover.pending(place.resolve("two.pdf"))).hasSize(killed ? 1 : 0);
            for (Path journal : Handover.pendingIn(place)) {
                if (isKilled(() -> Handover.settle(journal, killedAt(again)))) Handover.settle(journal, Drafts::move);
            }
            Handover.pendingIn(place);
            assertThat(filesIn(place)).containsExactly(Map.entry("one.pdf", "new one"),
                    Map.entry("two.pdf", "new two"));
        } finally {
            Folders.delete(place);
        }
    }

    @FunctionalInterface
    private interface Work {
        void run() throws IOException;
    }

    private static boolean isKilled(Work work) throws IOException {
        try {
            work.run();
            return false;
        } catch (Killed killed) {
            return true;
        }
    }

    @Test
    void whereOnePlaceIsHeldAllIsAsItWas() throws IOException {
        List<Handover.Change> changes = changes(folder);
        assertThatThrownBy(() -> Handover.make(folder, changes, Optional.empty(), (from, to) -> {
            if (to.endsWith("two.pdf")) throw new AccessDeniedException(to.toString());
            Drafts.move(from, to);
        })).isInstanceOf(AccessDeniedException.class);
        assertThat(filesIn(folder)).containsEntry("one.pdf", "old one").containsEntry("three.pdf", "old three")
                .doesNotContainKey("two.pdf").containsValues("new one", "new two").hasSize(4);
        assertThat(Handover.pending(folder.resolve("one.pdf"))).isEmpty();
    }

    @Test
    void whereADraftIsLostAllIsTakenBack() throws IOException {
        List<Handover.Change> changes = changes(folder);
        assertThatThrownBy(() -> Handover.make(folder, changes, Optional.empty(), killedAt(2))).isInstanceOf(Killed.class);
        Files.delete(changes.get(1).draft().orElseThrow());
        for (Path journal : Handover.pendingIn(folder)) Handover.settle(journal, Drafts::move);
        assertThat(filesIn(folder)).containsExactly(Map.entry("one.pdf", "old one"),
                Map.entry("three.pdf", "old three"));
    }

    @Test
    void whereAnotherProgramIsStillAtItThatIsSaid() throws IOException {
        List<Handover.Change> changes = changes(folder);
        Path one = folder.resolve("one.pdf");
        assertThatThrownBy(() -> Handover.make(folder, changes, Optional.empty(), killedAt(1))).isInstanceOf(Killed.class);
        TargetLock.holding(List.of(one), () -> {
            assertThatThrownBy(() -> Interrupted.finish(one, false)).isInstanceOf(FindingException.class)
                    .hasMessageContaining("one.pdf and files that belong to it were being put into their places");
            return one;
        });
        Interrupted.finish(one, false);
        assertThat(filesIn(folder)).containsExactly(Map.entry("one.pdf", "new one"), Map.entry("two.pdf", "new two"));
    }

    @Test
    void whatWasThereBeforeIsClearedAwayLaterWhereItCouldNotBeAtOnce() throws IOException {
        Path aside = Files.writeString(folder.resolve(".yellowtab-1.aside"), "old one");
        Path one = Files.writeString(folder.resolve("one.pdf"), "new one");
        Properties done = new Properties();
        done.setProperty("0.draft", "");
        done.setProperty("0.place", one.toString());
        done.setProperty("0.aside", aside.toString());
        done.setProperty("0.wasThere", "true");
        try (Writer out = Files.newBufferedWriter(folder.resolve(".yellowtab-1.done"))) {
            done.store(out, "");
        }
        Interrupted.finish(one, false);
        assertThat(filesIn(folder)).containsExactly(Map.entry("one.pdf", "new one"));
    }
}
