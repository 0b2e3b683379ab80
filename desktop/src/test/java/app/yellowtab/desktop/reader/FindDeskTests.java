package app.yellowtab.desktop.reader;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.desktop.reader.FindDesk.FindState;
import app.yellowtab.desktop.work.Intakes;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.desktop.work.Workspaces;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Place;
import app.yellowtab.find.BundleWords;
import app.yellowtab.keep.RememberedPasswords;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.source.Source;
import app.yellowtab.store.BundleFolder;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The index names "lease" (3 pages) and "letter" (2 pages), whose pages say "lease-1" and so on. */
class FindDeskTests {
    @TempDir
    private Path temp;
    private BundleFolder folder;
    private Workspace workspace;
    private FindDesk finding;

    @BeforeEach
    void open() throws IOException {
        folder = BundleFolder.create(temp.resolve("bundle"), Bundle.EMPTY);
        workspace = Workspaces.of(folder, Bundle.EMPTY);
        new Intakes(workspace, new RememberedPasswords(temp.resolve("user")))
                .bringIn(List.of(Pdfs.write(temp, "lease", 3), Pdfs.write(temp, "letter", 2)));
        workspace.edit(bundle -> Edits.putInIndex(bundle, bundle.sources().stream().map(source -> source.id().value()).toList(),
                new Place(Optional.empty(), 0)));
        finding = new FindDesk(workspace, new BundleWords(folder));
    }

    @AfterEach
    void close() {
        finding.dispose();
        folder.close();
    }

    private FindState state() {
        return finding.stateProperty().get();
    }

    /** {@return which page of the documents is in view, the last being 5} */
    private int page() {
        return workspace.leaf() - workspace.plan().pageCount() + 6;
    }

    @Test
    void itGoesToTheFirstHitFromThePageInViewOnAndStepsRoundAndRound() {
        workspace.goTo(workspace.plan().pageCount() - 4);
        finding.search("lease");
        assertThat(state().count()).isEqualTo(3);
        assertThat(page()).isEqualTo(2);
        assertThat(state().current()).isEqualTo(1);
        finding.step(true);
        assertThat(page()).isEqualTo(3);
        finding.step(true);
        assertThat(page()).as("round").isEqualTo(1);
        finding.step(false);
        assertThat(page()).isEqualTo(3);
        assertThat(state().on(workspace.leaf())).singleElement().satisfies(around -> assertThat(around).contains("lease-3"));
    }

    @Test
    void whereNothingIsBehindThePageInViewItBeginsAgain() {
        workspace.goTo(workspace.plan().pageCount() - 1);
        finding.search("lease-2");
        assertThat(page()).isEqualTo(2);
        assertThat(state().current()).isZero();
    }

    @Test
    void whatWasFoundIsListedByDocumentBehindTheEntriesThatSayIt() {
        finding.search("le");
        assertThat(finding.rows().stream().map(row -> switch (row) {
            case FindDesk.Row.ToPage page -> "page " + page.number();
            case FindDesk.Row.Entry entry -> "entry " + entry.entry().title();
            case FindDesk.Row.Within document -> document.title() + " " + document.count();
            case FindDesk.Row.Place place -> place.hit() + " on " + place.number() + " " + place.around();
        })).containsExactly("entry lease", "entry letter", "lease 3", "0 on 3 lease-1", "1 on 4 lease-2", "2 on 5 lease-3",
                "letter 2", "3 on 6 letter-1", "4 on 7 letter-2");
        finding.goTo(finding.rows().getLast());
        assertThat(page()).isEqualTo(5);
        assertThat(state().current()).isEqualTo(4);
        finding.goTo(finding.rows().getFirst());
        assertThat(page()).isEqualTo(1);
    }

    @Test
    void aNumberThatIsTypedGoesToItsPage() {
        finding.search(" 4 ");
        assertThat(workspace.plan().leaf(workspace.leaf()).label()).isEqualTo("4");
        assertThat(finding.rows().getFirst()).isEqualTo(new FindDesk.Row.ToPage(3, "4"));
        assertThat(state().current()).isEqualTo(-1);
    }

    @Test
    void whenPagesMoveWhatWasFoundMovesWithThemAndTheViewStays() {
        finding.search("letter-1");
        assertThat(page()).isEqualTo(4);
        int leaf = workspace.leaf();
        workspace.edit(bundle -> Edits.moveDocuments(bundle, Set.of(bundle.contents().documents().get(1).id()),
                new Place(Optional.empty(), 0)));
        assertThat(state().found()).singleElement().satisfies(found -> assertThat(found.leaf()).isNotEqualTo(leaf));
        assertThat(state().searches()).isFalse();
    }

    @Test
    void whatWasReadOnceIsFoundWithoutItsFilesEvenAfterTheProgramWasClosed() throws IOException {
        for (Source source : workspace.bundle().sources()) {
            assertThat(folder.linesFile(source.id()).orElseThrow()).exists();
            Files.delete(folder.wordsFile(source.id()).orElseThrow());
            Files.delete(folder.original(source.id()));
        }
        finding.dispose();
        finding = new FindDesk(workspace, new BundleWords(folder));
        finding.search("letter-2");
        assertThat(state().found()).singleElement().satisfies(found -> assertThat(found.hits()).containsExactly("letter-2"));
        assertThat(state().unread()).isZero();
    }

    @Test
    void whatIsOnNoPageAndWhatCannotBeSearchedIsSaid() throws IOException {
        finding.search("elephant");
        assertThat(state()).isEqualTo(new FindState("elephant", List.of(), -1, false, 0));
        finding.step(true);
        Files.delete(folder.original(workspace.bundle().sources().getFirst().id()));
        finding.dispose();
        finding = new FindDesk(workspace, new BundleWords(folder));
        finding.search("letter");
        assertThat(state().count()).isEqualTo(2);
        finding.search(" ");
        assertThat(state()).isEqualTo(FindState.NOTHING);
    }
}
