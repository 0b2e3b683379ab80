package app.yellowtab.desktop.entry;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static app.yellowtab.testing.Bundles.order;
import static app.yellowtab.testing.Bundles.section;
import static app.yellowtab.testing.Bundles.source;
import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.desktop.entry.Arrangement.Editing;
import app.yellowtab.desktop.entry.Arrangement.Field;
import app.yellowtab.desktop.work.Intakes;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.desktop.work.Workspaces;
import app.yellowtab.edit.Edits;
import app.yellowtab.finding.Finding;
import app.yellowtab.keep.RememberedPasswords;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Reading;
import app.yellowtab.model.contents.InTray;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.source.Source;
import app.yellowtab.store.BundleFolder;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ArrangementTests {
    private final Bundle start = Edits.addSources(bundle(document("x", 2), section("A", document("a", 1), document("b", 3)),
            section("B", document("c", 1), section("C"))), List.of(source("t", 1), source("u", 4)));
    @TempDir
    private Path temp;
    private BundleFolder folder;
    private Workspace workspace;
    private Arrangement arrangement;

    @BeforeEach
    void open() throws IOException {
        folder = BundleFolder.create(temp.resolve("bundle"), start);
        workspace = Workspaces.of(folder, start);
        arrangement = new Arrangement(workspace, new Intakes(workspace, new RememberedPasswords(temp.resolve("user"))));
    }

    @AfterEach
    void close() {
        folder.close();
    }

    private static Set<EntryId> ids(String names) {
        return Arrays.stream(names.split(" ")).map(EntryId::new).collect(Collectors.toSet());
    }

    private PlannedEntry entry(String name) {
        return workspace.plan().entry(new EntryId(name)).orElseThrow();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            a   | x | x a A(b) B(c C())
            c   | A | x A(c a b) B(C())
            x a | b | A(b x a) B(c C())
            a   |   | a x A(b) B(c C())
            B   |   | x B(c C()) A(a b)
            B   | x | x B(c C()) A(a b)
            A   | C | x B(c C()) A(a b)
            C   | a | x A(a b C()) B(c)
            B c | x | x B(c C()) A(a b)
            B   | C | x A(a b) B(c C())
            C c | b | x A(a b c C()) B()
            """)
    void whatIsDroppedLiesBelowTheRow(String dragged, String below, String expected) {
        arrangement.drop(ids(dragged), Optional.ofNullable(below).map(EntryId::new));
        assertThat(order(workspace.bundle())).isEqualTo(expected);
    }

    @Test
    void typedTextIsTakenOver() {
        assertThat(arrangement.commit(entry("a"), Field.TITLE, " Lease ")).isEmpty();
        assertThat(arrangement.commit(entry("a"), Field.DATE, "4/3/2031")).isEmpty();
        workspace.edit(bundle -> bundle.withReading(new Reading(true, false, false)));
        assertThat(arrangement.commit(entry("b"), Field.DATE, "4/3/2031")).isEmpty();
        assertThat(((PlannedEntry.PlannedDocument) entry("b")).document().date().shown()).isEqualTo("3 Apr 2031");
        assertThat(arrangement.commit(entry("a"), Field.DESCRIPTION, "copy")).isEmpty();
        assertThat(arrangement.commit(entry("A"), Field.TITLE, "Agreements")).isEmpty();
        PlannedEntry.PlannedDocument lease = (PlannedEntry.PlannedDocument) entry("a");
        assertThat(lease.title()).isEqualTo("Lease");
        assertThat(lease.document().date().shown()).isEqualTo("4 Mar 2031");
        assertThat(lease.document().description()).isEqualTo("copy");
        assertThat(entry("A").title()).isEqualTo("Agreements");
        assertThat(arrangement.typedText(lease, Field.DATE)).isEqualTo("4 Mar 2031");
    }

    @Test
    void whatIsNoDateIsRefusedAndAnEmptyTitleKeepsTheOld() {
        assertThat(arrangement.commit(entry("a"), Field.DATE, "soon").orElse("")).startsWith("Write it like");
        assertThat(arrangement.commit(entry("a"), Field.TITLE, " ")).isEmpty();
        assertThat(workspace.bundle()).isEqualTo(start);
    }

    @Test
    void onlyDocumentsHaveDates() {
        arrangement.select(ids("A"));
        arrangement.beginEditing(Field.DATE);
        assertThat(arrangement.editingProperty().get()).isEmpty();
        arrangement.beginEditing(Field.TITLE);
        assertThat(arrangement.editingProperty().get()).contains(new Editing(new EntryId("A"), Field.TITLE));
    }

    @Test
    void aNewSectionStandsBehindTheChosenOneAndIsNamedAtOnce() {
        arrangement.select(ids("a"));
        arrangement.addSection();
        assertThat(order(workspace.bundle())).isEqualTo("x A(a b) New section() B(c C())");
        assertThat(arrangement.editingProperty().get()).map(Editing::field).contains(Field.TITLE);
    }

    @Test
    void sourcesGoFromTheTrayToBelowTheChosenRowOrTheEnd() {
        arrangement.select(ids("a"));
        arrangement.putInIndex(List.of("u"));
        assertThat(order(workspace.bundle())).isEqualTo("x A(a u b) B(c C())");
        arrangement.select(Set.of());
        arrangement.putInIndex(List.of("t"));
        assertThat(order(workspace.bundle())).isEqualTo("x A(a u b) B(c C(t))");
        assertThat(workspace.bundle().tray()).isEmpty();
        assertThat(arrangement.lastSelected()).map(PlannedEntry::title).contains("t");
    }

    @Test
    void takenOutEntriesReturnToTheTrayAndTheTrayCanBeCleared() {
        arrangement.select(ids("A"));
        arrangement.takeOut();
        assertThat(workspace.bundle().tray()).extracting(InTray::id).containsExactly("a", "b", "t", "u");
        arrangement.dropFromTray(Set.of("t", "x"));
        assertThat(workspace.bundle().tray()).extracting(Arrangement::describe).containsExactly("taken out · 1 page",
                "taken out · 3 pages", "4 pages · PDF");
        workspace.undo();
        workspace.undo();
        assertThat(workspace.bundle()).isEqualTo(start);
    }

    @Test
    void anEntryIsLeftOutOfTheListAndPutBack() {
        arrangement.select(ids("a"));
        arrangement.toggleInIndex();
        assertThat(((PlannedEntry.PlannedDocument) entry("a")).tab()).isZero();
        arrangement.toggleInIndex();
        assertThat(workspace.bundle()).isEqualTo(start);
    }

    @Test
    void filesBroughtInLieInTheTrayAndTroubleIsListed() throws IOException {
        Path good = Pdfs.write(temp, "lease", 2);
        Path bad = Files.writeString(temp.resolve("bad.pdf"), "%PDF-1.7 bad");
        arrangement.bringIn(List.of(good, bad));
        assertThat(workspace.bundle().unplaced()).extracting(Source::fileName).containsExactly("t.pdf", "u.pdf", "lease.pdf",
                "bad.pdf");
        assertThat(workspace.findings()).extracting(Finding::code).containsExactly(Finding.Code.DAMAGED);
        workspace.undo();
        assertThat(workspace.bundle()).isEqualTo(start);
    }

    @Test
    void aFolderDroppedOnTheSheetBecomesASection() throws IOException {
        Path letters = Files.createDirectories(temp.resolve("D - Letters"));
        Pdfs.write(letters, "1 first", 1);
        Path loose = Pdfs.write(temp, "loose", 1);
        arrangement.bringInBelow(List.of(letters, loose), Optional.of(new EntryId("a")));
        assertThat(order(workspace.bundle())).isEqualTo("x A(a loose b) Letters(first) B(c C())");
    }
}
