package app.yellowtab.desktop.entry;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static app.yellowtab.testing.Bundles.ids;
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
import app.yellowtab.edit.SortOrder;
import app.yellowtab.keep.RememberedPasswords;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.leaf.PlannedEntry.PlannedDocument;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.InTray;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.store.BundleFolder;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Documents sorted, divided, joined, tied and sent about; placeholders filled. */
class EntryDeskTests {
    private final Bundle start = Edits.addSources(
            bundle(section("A", document("c", 12), document("b", 2), document("a", 3)), section("B", section("Inner"))),
            List.of(source("short", 2), source("fits", 4), source("long", 6)));
    @TempDir
    private Path temp;
    private BundleFolder folder;
    private Workspace workspace;
    private Arrangement arrangement;
    private EntryDesk desk;

    @BeforeEach
    void open() throws IOException {
        folder = BundleFolder.create(temp.resolve("bundle"), start);
        workspace = Workspaces.of(folder, start);
        arrangement = new Arrangement(workspace, new Intakes(workspace, new RememberedPasswords(temp.resolve("user"))));
        desk = arrangement.entries();
    }

    @AfterEach
    void close() {
        arrangement.dispose();
        folder.close();
    }

    private PlannedDocument entry(String name) {
        return (PlannedDocument) workspace.plan().entry(new EntryId(name)).orElseThrow();
    }

    private String placeholder(int pages) {
        arrangement.select(ids("c"));
        desk.addPlaceholder();
        PlannedDocument made = (PlannedDocument) arrangement.lastSelected().orElseThrow();
        assertThat(arrangement.editingProperty().get()).map(Editing::field).contains(Field.TITLE);
        assertThat(arrangement.commit(made, Field.PAGES, String.valueOf(pages))).isEmpty();
        return made.id().value();
    }

    private String offered() {
        return arrangement.filling().offerProperty().get().map(Filling.Offer::words).orElse("");
    }

    @Test
    void aSectionIsSortedAndUndoneInOneStep() {
        arrangement.select(ids("b"));
        desk.sort(SortOrder.TITLE);
        assertThat(order(workspace.bundle())).isEqualTo("A(a b c) B(Inner())");
        workspace.undo();
        assertThat(workspace.bundle()).isEqualTo(start);
    }

    @Test
    void onlySomePagesAreTypedOnTheRowAndTheRestBecomesAnotherEntry() {
        assertThat(arrangement.commit(entry("c"), Field.PAGES, "1, 3-5, 8-9")).isEmpty();
        assertThat(arrangement.note(entry("c"))).isEqualTo("6 of 12 pages · 6 pages are in no document");
        assertThat(arrangement.typedText(entry("c"), Field.PAGES)).isEqualTo("1, 3-5, 8-9");
        arrangement.select(ids("c"));
        desk.takeRest();
        assertThat(arrangement.note(entry("c"))).isEqualTo("6 of 12 pages");
        assertThat(desk.rest()).isZero();
        assertThat(workspace.bundle().contents().allDocuments()).hasSize(4);
    }

    @Test
    void pagesTypedWronglyAreToldAndNothingIsChanged() {
        assertThat(arrangement.commit(entry("c"), Field.PAGES, "1, 13")).contains("At “13” there should be a page from 1 to 12.");
        assertThat(arrangement.commit(entry("c"), Field.PAGES, "1, ")).contains("At the end there should be a page, such as 5.");
        assertThat(arrangement.commit(entry("c"), Field.PAGES, "1-12")).isEmpty();
        assertThat(workspace.bundle()).isEqualTo(start);
    }

    @Test
    void aPlaceholderThatFitsIsFilledAndNothingMoves() {
        String free = placeholder(4);
        assertThat(arrangement.note(entry(free))).isEqualTo("to follow · 4 pages reserved");
        int after = entry("b").span().first();
        arrangement.filling().fillWith(new EntryId(free), "fits");
        assertThat(offered()).isEqualTo("“fits.pdf” fills the reserved pages exactly. Nothing else has moved.");
        assertThat(entry("b").span().first()).isEqualTo(after);
        assertThat(entry(free).title()).isEqualTo("Document to follow");
        workspace.undo();
        assertThat(offered()).as("what is undone is said no more").isEmpty();
    }

    @Test
    void whatIsShorterKeepsThePlaceUntilItIsGivenUp() {
        String free = placeholder(4);
        int after = entry("b").span().first();
        arrangement.filling().fillWith(new EntryId(free), "short");
        assertThat(offered()).startsWith("“short.pdf” has 2 of the 4 reserved pages. 2 stay reserved");
        assertThat(entry("b").span().first()).isEqualTo(after);
        assertThat(arrangement.note(entry(free))).isEqualTo("2 more pages reserved, to follow");
        arrangement.filling().accept();
        assertThat(entry("b").span().first()).isEqualTo(after - 2);
    }

    @Test
    void whatIsLongerMovesWhatFollowsOnlyAfterAsking() {
        String free = placeholder(4);
        int after = entry("b").span().first();
        arrangement.filling().fillWith(new EntryId(free), "long");
        assertThat(offered()).startsWith("“long.pdf” has 6 pages, 2 more than the 4 that are reserved");
        assertThat(entry("b").span().first()).isEqualTo(after);
        arrangement.filling().accept();
        assertThat(entry("b").span().first()).isEqualTo(after + 2);
        assertThat(workspace.bundle().tray()).extracting(InTray::id).containsExactly("short", "fits");
    }

    @Test
    void aFileIsBroughtInAndFillsThePlaceholder() throws IOException {
        String free = placeholder(3);
        arrangement.filling().fillWith(new EntryId(free), Pdfs.write(temp, "late", 3));
        assertThat(entry(free).document().isPlaceholder()).isFalse();
        assertThat(entry(free).span().count()).isEqualTo(3);
        arrangement.filling().dismiss();
        assertThat(offered()).isEmpty();
    }

    @Test
    void aDocumentIsDividedBeforeThePageInViewAndJoinedAgain() {
        arrangement.select(ids("c"));
        workspace.goTo(entry("c").span().first());
        assertThat(desk.pagesBeforeView()).isEmpty();
        workspace.goTo(entry("c").span().first() + 5);
        desk.divide();
        assertThat(order(workspace.bundle())).isEqualTo("A(c c (continued) b a) B(Inner())");
        PlannedEntry second = arrangement.lastSelected().orElseThrow();
        assertThat(second.span().count()).isEqualTo(7);
        arrangement.endEditing();
        arrangement.select(Set.of(new EntryId("c"), second.id()));
        assertThat(desk.canJoin()).isTrue();
        desk.join();
        assertThat(workspace.bundle()).isEqualTo(start);
    }

    @Test
    void documentsGoToASectionFoundByItsNameOrItsLetter() {
        assertThat(desk.targets("inn")).extracting(EntryDesk.Target::words).containsExactly("B.1  Inner");
        assertThat(desk.targets("b")).extracting(EntryDesk.Target::words).containsExactly("B  B", "B.1  Inner");
        assertThat(desk.targets("").getFirst().section()).isEmpty();
        arrangement.select(ids("a, b"));
        desk.moveTo(desk.targets("inn").getFirst());
        assertThat(order(workspace.bundle())).isEqualTo("A(c) B(Inner(b a))");
        desk.copyTo(desk.targets("outside").getFirst());
        assertThat(order(workspace.bundle())).isEqualTo("b a A(c) B(Inner(b a))");
        assertThat(arrangement.selectedProperty().get()).as("the copies").hasSize(2).doesNotContain(new EntryId("a"));
    }

    @Test
    void whatIsTiedMovesAlongAndIsParted() {
        arrangement.select(ids("b"));
        assertThat(desk.ownerAbove()).contains("c");
        desk.tie();
        assertThat(arrangement.isTied(entry("b").document())).isTrue();
        assertThat(desk.ownerAbove()).as("nothing more to tie").isEmpty();
        arrangement.select(ids("c"));
        desk.moveTo(desk.targets("inn").getFirst());
        assertThat(order(workspace.bundle())).isEqualTo("A(a) B(Inner(c b))");
        arrangement.select(ids("b"));
        desk.part();
        assertThat(desk.isTied()).isFalse();
    }

    @Test
    void aFileGoesAlongAsItIsWithASheetOrALineAndItsPagesComeBack() {
        arrangement.select(ids("b"));
        desk.enclose(true);
        assertThat(entry("b").span().count()).isEqualTo(1);
        assertThat(arrangement.note(entry("b"))).isEqualTo("goes along as a file: b.pdf");
        assertThat(arrangement.commit(entry("b"), Field.SUPPLIED, "On a memory stick")).isEmpty();
        desk.enclose(false);
        assertThat(entry("b").span().isEmpty()).isTrue();
        assertThat(arrangement.note(entry("b"))).isEqualTo("On a memory stick: b.pdf");
        assertThat(entry("a").span().from()).as("nothing is counted for it").isEqualTo("16");
        assertThat(workspace.plan().enclosures()).extracting(enclosure -> enclosure.name()).containsExactly("b.pdf");
        assertThat(desk.canShowPages()).isTrue();
        desk.showPages();
        assertThat(entry("b").span().count()).isEqualTo(2);
        assertThat(arrangement.note(entry("b"))).isEmpty();
    }

    @Test
    void anExhibitGetsItsFrontSheetByTypingItsMark() {
        arrangement.select(ids("b"));
        desk.tie();
        assertThat(arrangement.typedText(entry("b"), Field.MARK)).isEqualTo("1");
        arrangement.commit(entry("b"), Field.MARK, "OF1");
        assertThat(entry("b").span().count()).isEqualTo(3);
        assertThat(arrangement.note(entry("b"))).isEmpty();
        arrangement.commit(entry("b"), Field.MARK, "");
        assertThat(entry("b").span().count()).isEqualTo(2);
    }
}
