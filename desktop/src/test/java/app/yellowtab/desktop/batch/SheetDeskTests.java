package app.yellowtab.desktop.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import app.yellowtab.deliver.Wanted;
import app.yellowtab.desktop.batch.CutDesk.Shown;
import app.yellowtab.desktop.work.Intakes;
import app.yellowtab.desktop.work.Stage;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.desktop.work.Workspaces;
import app.yellowtab.edit.cut.PiecePlace;
import app.yellowtab.keep.RememberedPasswords;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.store.BundleFolder;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The order of a batch's pages, and sheets that are divided: "fronts" has 4 pages, "backs" has 3. */
class SheetDeskTests {
    @TempDir
    private Path temp;
    private BundleFolder folder;
    private Workspace workspace;
    private CutDesk desk;
    private SheetDesk sheets;

    @BeforeEach
    void open() throws IOException {
        folder = BundleFolder.create(temp.resolve("bundle"), Bundle.EMPTY);
        workspace = Workspaces.of(folder, Bundle.EMPTY);
        new Intakes(workspace, new RememberedPasswords(temp.resolve("user")))
                .bringIn(List.of(Pdfs.write(temp, "fronts", 4), Pdfs.write(temp, "backs", 3), Pdfs.write(temp, "other", 9)));
        workspace.stageProperty().set(Stage.CUT);
        desk = new CutDesk(workspace);
        sheets = new SheetDesk(workspace, desk);
        desk.choose(source("fronts.pdf").id());
    }

    @AfterEach
    void close() {
        desk.dispose();
        folder.close();
    }

    private Source source(String name) {
        return workspace.bundle().sources().stream().filter(source -> source.fileName().equals(name)).findFirst().orElseThrow();
    }

    private Shown shown() {
        return desk.shownProperty().get().orElseThrow();
    }

    private List<String> words() {
        return shown().pages().stream().map(page -> page.text().text().strip()).toList();
    }

    @Test
    void theLastPageComesFirstAndRulesGoByTheNewOrder() {
        sheets.reverse();
        assertThat(words()).containsExactly("fronts-4", "fronts-3", "fronts-2", "fronts-1");
        desk.rules().set(new CutRule.EveryPages(3, 1), true);
        assertThat(shown().cutting().pieces()).extracting(piece -> piece.pages()).containsExactly(List.of(1, 2, 3), List.of(4));
        assertThat(sheets.isAsCame()).isFalse();
        sheets.putBack();
        assertThat(words()).startsWith("fronts-1");
        workspace.undo();
        assertThat(words()).startsWith("fronts-4");
    }

    @Test
    void backsOfAnotherFileAreSetBehindTheirFrontsAndBothAreOneBatch() throws IOException {
        assertThat(sheets.backs()).extracting(Source::fileName).as("only what can be the backs").containsExactly("backs.pdf");
        sheets.join(source("backs.pdf"), true);
        assertThat(words()).containsExactly("fronts-1", "backs-3", "fronts-2", "backs-2", "fronts-3", "backs-1", "fronts-4");
        assertThat(desk.rowsProperty().get()).extracting(CutDesk.Row::name, CutDesk.Row::pages)
                .contains(tuple("fronts.pdf + backs.pdf", 7)).hasSize(2);
        desk.rules().set(new CutRule.EveryPages(4, 1), true);
        Path pieces = temp.resolve("pieces");
        new Making(workspace).start(List.of(shown()), new Making.Choice(Optional.of(batch -> new PiecePlace.Tray()),
                batch -> List.of("the tray", "the tray"), true, Optional.empty(), Optional.of(pieces), Wanted.FILES));
        Path own = pieces.resolve("fronts");
        assertThat(Pdfs.pages(own.resolve("fronts 001.pdf"))).extracting(String::strip).containsExactly("fronts-1", "backs-3",
                "fronts-2", "backs-2");
        assertThat(Files.readString(own.resolve("cuts.csv"))).contains("fronts.pdf + backs.pdf")
                .contains("fronts.pdf 1; backs.pdf 3; fronts.pdf 2; backs.pdf 2");
        assertThat(workspace.bundle().setAside()).hasSize(2).first().satisfies(
                document -> assertThat(document.sources()).containsOnly(source("fronts.pdf").id(), source("backs.pdf").id()));
        workspace.undo();
        sheets.putBack();
        assertThat(desk.rowsProperty().get()).extracting(CutDesk.Row::name).contains("fronts.pdf", "backs.pdf");
        assertThat(words()).containsExactly("fronts-1", "fronts-2", "fronts-3", "fronts-4");
    }

    @Test
    void aJoinedBatchCanBecomeABundleOfItsOwn() throws IOException {
        sheets.join(source("backs.pdf"), false);
        Path fresh = temp.resolve("fresh");
        new Making(workspace).start(List.of(shown()), new Making.Choice(Optional.of(batch -> new PiecePlace.Tray()),
                batch -> List.of("there"), true, Optional.of(fresh), Optional.empty(), Wanted.FILES));
        BundleFolder.Opened opened = BundleFolder.open(fresh);
        try (BundleFolder there = opened.folder()) {
            Bundle bundle = opened.bundle();
            assertThat(there.original(bundle.sources().getFirst().id())).exists();
            List<SourceId> order =
                    bundle.contents().allDocuments().getFirst().runs().stream().map(run -> ((SourcePages) run).source()).toList();
            List<String> names = order.stream().map(
                    id -> bundle.sources().stream().filter(source -> source.id().equals(id)).findFirst().orElseThrow().fileName())
                    .toList();
            assertThat(names).containsExactly("fronts.pdf", "backs.pdf", "fronts.pdf", "backs.pdf", "fronts.pdf", "backs.pdf",
                    "fronts.pdf");
        }
    }

    @Test
    void aSheetIsDividedByHandAndPutTogetherAgain() {
        double width = shown().pages().get(1).widthMm();
        sheets.divideAt(2, 60, false);
        assertThat(shown().pages()).hasSize(5).extracting(page -> page.widthMm()).satisfies(widths -> {
            assertThat(widths.get(1)).isCloseTo(60, within(0.1));
            assertThat(widths.get(2)).isCloseTo(width - 60, within(0.1));
        });
        assertThat(sheets.isHalf(2)).isTrue();
        assertThat(sheets.isHalf(1)).isFalse();
        sheets.undivide(3);
        assertThat(words()).hasSize(4);
        sheets.divideAt(1, 60, true);
        assertThat(shown().pages()).as("all of its size").hasSize(8);
        workspace.undo();
        assertThat(shown().pages()).hasSize(4);
    }
}
