package app.yellowtab.desktop.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import app.yellowtab.deliver.Wanted;
import app.yellowtab.desktop.batch.CutDesk.Shown;
import app.yellowtab.desktop.work.Intakes;
import app.yellowtab.desktop.work.Stage;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.desktop.work.Workspaces;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Place;
import app.yellowtab.edit.cut.PiecePlace;
import app.yellowtab.keep.RememberedPasswords;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.cut.CutRule;
import app.yellowtab.store.BundleFolder;
import app.yellowtab.testing.Bundles;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What becomes of the pieces of a batch of six pages and one of two. */
class MakingTests {
    @TempDir
    private Path temp;
    private BundleFolder folder;
    private Workspace workspace;
    private CutDesk desk;
    private Making making;

    @BeforeEach
    void open() throws IOException {
        folder = BundleFolder.create(temp.resolve("bundle"), Bundle.EMPTY);
        workspace = Workspaces.of(folder, Bundle.EMPTY);
        new Intakes(workspace, new RememberedPasswords(temp.resolve("user")))
                .bringIn(List.of(Pdfs.write(temp, "two", 2), Pdfs.write(temp, "post", 6)));
        workspace.stageProperty().set(Stage.CUT);
        desk = new CutDesk(workspace);
        desk.choose(
                workspace.bundle().sources().stream().filter(source -> source.pageCount() == 6).findFirst().orElseThrow().id());
        desk.rules().set(new CutRule.EveryPages(3, 1), true);
        making = new Making(workspace);
    }

    @AfterEach
    void close() {
        desk.dispose();
        folder.close();
    }

    private void make(Optional<PiecePlace> place, boolean replaced, Optional<Path> files) {
        List<Shown> batches = desk.openProperty().get();
        making.start(batches, new Making.Choice(place.map(its -> shown -> its),
                shown -> Collections.nCopies(shown.names().size(), "there"), replaced, Optional.empty(), files, Wanted.FILES));
    }

    @Test
    void piecesBecomeDocumentsAndAreReplacedWhenTheBatchIsCutAgain() {
        Section section = Section.titled("Letters");
        workspace.edit(bundle -> Edits.insertSections(bundle, List.of(section), new Place(Optional.empty(), 0)));
        make(Optional.of(new PiecePlace.InSection(section.id())), true, Optional.empty());
        assertThat(Bundles.order(workspace.bundle())).isEqualTo("Letters(post 001 post 002)");
        assertThat(desk.rowsProperty().get()).extracting(CutDesk.Row::made).contains(2);
        desk.rules().set(new CutRule.EveryPages(2, 1), true);
        make(Optional.of(new PiecePlace.Tray()), true, Optional.empty());
        assertThat(Bundles.order(workspace.bundle())).isEqualTo("Letters()");
        assertThat(workspace.bundle().setAside()).extracting(Document::title).containsExactly("post 001", "post 002", "post 003");
        make(Optional.of(new PiecePlace.Tray()), false, Optional.empty());
        assertThat(workspace.bundle().setAside()).hasSize(6);
        workspace.undo();
        assertThat(workspace.bundle().setAside()).hasSize(3);
    }

    @Test
    void filesOfSeveralBatchesAreWrittenAndTheDocumentsAreOneStep() throws IOException {
        desk.choose(desk.rowsProperty().get().stream().map(row -> row.source().id()).toList());
        desk.rules().set(new CutRule.EveryPages(2, 1), true);
        make(Optional.of(new PiecePlace.Tray()), true, Optional.of(temp.resolve("out")));
        Making.MakingState.Done done = (Making.MakingState.Done) making.stateProperty().get();
        assertThat(done.isWhole()).isTrue();
        assertThat(done.folders()).extracting(path -> String.valueOf(path.getFileName())).containsExactlyInAnyOrder("two",
                "post");
        assertThat(temp.resolve("out/post/post 003.pdf")).exists();
        assertThat(Files.readString(temp.resolve("out/post/cuts.csv"))).contains(",there,post 003.pdf,");
        assertThat(workspace.bundle().setAside()).hasSize(4);
        workspace.undo();
        assertThat(workspace.bundle().setAside()).isEmpty();
    }

    @Test
    void piecesAreTheBeginningOfABundleOfTheirOwn() throws IOException {
        desk.hand().name(0, "Letter of claim");
        desk.hand().toggleDrop(6);
        List<Shown> batches = desk.openProperty().get();
        Path begun = temp.resolve("Holm v Farrow");
        making.start(batches, new Making.Choice(Optional.of(shown -> new PiecePlace.BySheets(List.of("Letters", ""))),
                shown -> List.of("new", "new"), true, Optional.of(begun), Optional.empty(), Wanted.FILES));
        assertThat(making.stateProperty().get()).isInstanceOf(Making.MakingState.Done.class);
        assertThat(workspace.bundle().setAside()).as("nothing happens to this one").isEmpty();
        BundleFolder.Opened opened = BundleFolder.open(begun);
        try (BundleFolder place = opened.folder()) {
            assertThat(opened.bundle().heading().title()).isEqualTo("Holm v Farrow");
            assertThat(Bundles.order(opened.bundle())).isEqualTo("post 002 Letters(Letter of claim)");
            assertThat(opened.bundle().contents().documents()).extracting(Document::title, Document::pageCount)
                    .containsExactly(tuple("post 002", 2));
            assertThat(opened.bundle().batches().getFirst().names()).hasSize(1);
            assertThat(place.original(opened.bundle().sources().getFirst().id())).exists();
        }
        Files.delete(folder.original(batches.getFirst().source().id()));
        making.reset();
        making.start(batches, new Making.Choice(Optional.of(shown -> new PiecePlace.Tray()), shown -> List.of("new", "new"), true,
                Optional.of(temp.resolve("Another")), Optional.empty(), Wanted.FILES));
        assertThat(making.stateProperty().get()).isInstanceOf(Making.MakingState.Failed.class);
        assertThat(temp.resolve("Another")).as("nothing half is left").doesNotExist();
        making.reset();
        making.start(batches, new Making.Choice(Optional.of(shown -> new PiecePlace.Tray()), shown -> List.of("new", "new"), true,
                Optional.of(begun), Optional.empty(), Wanted.FILES));
        assertThat(((Making.MakingState.Failed) making.stateProperty().get()).message())
                .contains("there is a bundle in it already");
    }

    @Test
    void whereFilesCannotBeWrittenNoDocumentsAreMade() throws IOException {
        Files.createDirectories(temp.resolve("out/post"));
        Files.writeString(temp.resolve("out/post/mine.txt"), "mine");
        make(Optional.of(new PiecePlace.Tray()), true, Optional.of(temp.resolve("out")));
        assertThat(((Making.MakingState.Failed) making.stateProperty().get()).message())
                .contains("there are files in it already");
        assertThat(workspace.bundle().setAside()).isEmpty();
        assertThat(Files.readString(temp.resolve("out/post/mine.txt"))).isEqualTo("mine");
        making.reset();
        assertThat(making.stateProperty().get()).isInstanceOf(Making.MakingState.Ready.class);
    }
}
