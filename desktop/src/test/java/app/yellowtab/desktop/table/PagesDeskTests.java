package app.yellowtab.desktop.table;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static app.yellowtab.testing.Bundles.ids;
import static app.yellowtab.testing.Bundles.section;
import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.desktop.table.PagesDesk.Kind;
import app.yellowtab.desktop.table.PagesDesk.Shown;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.desktop.work.Workspaces;
import app.yellowtab.edit.page.Margins;
import app.yellowtab.edit.page.PageEdits;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.store.BundleFolder;
import app.yellowtab.testing.Bundles;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Pages of "a" (3, in section A), "b" (2) and "c" (4, in section B, in its inner section). */
class PagesDeskTests {
    private final Bundle start =
            bundle(section("A", document("a", 3), document("b", 2)), section("B", section("Inner", document("c", 4))));
    @TempDir
    private Path temp;
    private BundleFolder folder;
    private Workspace workspace;
    private PagesDesk desk;

    @BeforeEach
    void open() throws IOException {
        folder = BundleFolder.create(temp.resolve("bundle"), start);
        workspace = Workspaces.of(folder, start);
        desk = new PagesDesk(workspace);
        desk.open(Set.of());
    }

    @AfterEach
    void close() {
        desk.dispose();
        folder.close();
    }

    private Shown shown() {
        return desk.shownProperty().get();
    }

    /** {@return the places of what is chosen} */
    private List<Integer> chosen() {
        return IntStream.rangeClosed(1, shown().leaves().size()).filter(shown()::isChosen).boxed().toList();
    }

    private String pages() {
        return String.join(", ", workspace.bundle().contents().allDocuments().stream().map(Bundles::pages).toList());
    }

    @Test
    void thePagesOfWhatIsChosenLieOnTheTable() {
        assertThat(shown().leaves()).hasSize(9);
        assertThat(shown().starts()).containsExactly(1, 4, 6);
        desk.open(ids("B"));
        assertThat(shown().documents()).extracting(planned -> planned.title()).containsExactly("c");
        desk.open(ids("b, Inner"));
        assertThat(shown().documents()).extracting(planned -> planned.title()).containsExactly("b", "c");
        desk.close();
        assertThat(shown().open()).isFalse();
    }

    @Test
    void pagesAreChosenOneByOneInRangesAndByKind() {
        desk.choose(2);
        assertThat(workspace.leaf()).as("it is read").isEqualTo(shown().leaves().get(1).index());
        desk.extendTo(5);
        assertThat(chosen()).containsExactly(2, 3, 4, 5);
        desk.toggle(3);
        desk.toggle(8);
        assertThat(chosen()).containsExactly(2, 4, 5, 8);
        desk.choose(Kind.SAME_FILE);
        assertThat(chosen()).as("of every file of which a page was chosen").hasSize(9);
        desk.choose(Kind.ODD);
        assertThat(chosen()).allMatch(place -> shown().leaves().get(place - 1).number().orElseThrow().value() % 2 == 1)
                .hasSizeBetween(4, 5);
        desk.choose(Kind.NONE);
        assertThat(chosen()).isEmpty();
        desk.turn(1);
        assertThat(workspace.undoableProperty().get()).as("nothing is chosen").isFalse();
    }

    @Test
    void whatIsChosenStaysSoWhileItMovesAndStepsFromOneDocumentIntoTheNext() {
        desk.choose(2);
        desk.extendTo(3);
        desk.step(true);
        assertThat(pages()).isEqualTo("a1, a2 a3 b1 b2, c1 c2 c3 c4");
        desk.step(true);
        assertThat(pages()).isEqualTo("a1, b1 a2 a3 b2, c1 c2 c3 c4");
        desk.step(false);
        desk.step(false);
        assertThat(pages()).isEqualTo("a1 a2 a3, b1 b2, c1 c2 c3 c4");
        assertThat(chosen()).containsExactly(2, 3);
        desk.moveTo(9, false);
        assertThat(pages()).isEqualTo("a1, b1 b2, c1 c2 c3 c4 a2 a3");
        workspace.undo();
        assertThat(pages()).isEqualTo("a1 a2 a3, b1 b2, c1 c2 c3 c4");
    }

    @Test
    void whatCannotBeCroppedIsCounted() {
        List<Integer> left = new ArrayList<>();
        desk.crop(new Margins(1, 1, 1, 1), false, left::add);
        assertThat(left).as("nothing is chosen").isEmpty();
        desk.choose(1);
        desk.crop(new Margins(1, 1, 1, 1), false, left::add);
        assertThat(left).as("the size of the page is not known").containsExactly(1);
        assertThat(workspace.bundle()).isEqualTo(start);
    }

    @Test
    void pagesAreTurnedCopiedBlankedInReversedAndPutBack() {
        desk.choose(6);
        desk.extendTo(7);
        desk.turn(-1);
        assertThat(workspace.bundle()).isEqualTo(PageEdits.turned(start, shown().chosen(), 3));
        desk.asTheyCame();
        assertThat(workspace.bundle()).isEqualTo(start);
        desk.copy();
        assertThat(pages()).isEqualTo("a1 a2 a3, b1 b2, c1 c2 c1 c2 c3 c4");
        workspace.undo();
        desk.choose(Kind.SAME_SIZE);
        desk.choose(6);
        desk.extendTo(7);
        desk.reverse();
        assertThat(pages()).isEqualTo("a1 a2 a3, b1 b2, c2 c1 c3 c4");
        desk.keepOnly();
        assertThat(pages()).isEqualTo("a1 a2 a3, b1 b2, c2 c1");
        desk.takeOut();
        assertThat(pages()).isEqualTo("a1 a2 a3, b1 b2");
        assertThat(workspace.bundle().setAside()).extracting(document -> document.id()).containsExactly(new EntryId("c"));
    }
}
