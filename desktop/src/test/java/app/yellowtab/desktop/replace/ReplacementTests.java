package app.yellowtab.desktop.replace;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.assemble.Assembler;
import app.yellowtab.assemble.Outcome;
import app.yellowtab.compare.DifferenceList;
import app.yellowtab.desktop.replace.Replacement.ReplaceState;
import app.yellowtab.desktop.work.Intakes;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.desktop.work.Workspaces;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Place;
import app.yellowtab.edit.page.PageEdits;
import app.yellowtab.edit.repage.Looking;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Progress;
import app.yellowtab.keep.RememberedPasswords;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.InTray;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.picture.PageRenderer;
import app.yellowtab.picture.PictureFiles;
import app.yellowtab.store.BundleFolder;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.collections.ListChangeListener;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ReplacementTests {
    @TempDir
    private Path temp;
    private BundleFolder folder;
    private Workspace workspace;
    private PageRenderer renderer;
    private Replacement replacement;

    @BeforeEach
    void open() throws IOException {
        folder = BundleFolder.create(temp.resolve("bundle"), Bundle.EMPTY);
        workspace = Workspaces.of(folder, Bundle.EMPTY);
        Intakes intakes = new Intakes(workspace, new RememberedPasswords(temp.resolve("user")));
        intakes.bringIn(List.of(Pdfs.write(temp, "report", 4)));
        workspace.edit(bundle -> Edits.putInIndex(bundle, List.of(bundle.sources().getFirst().id().value()),
                new Place(Optional.empty(), 0)));
        workspace.edit(
                bundle -> Edits.changeDocument(bundle, document().id(), document -> document.withTitle("Report of Dr Carrow")));
        renderer = new PageRenderer(folder, new PictureFiles(temp.resolve("pictures"), 1 << 20));
        replacement = new Replacement(workspace, intakes, renderer);
    }

    @AfterEach
    void close() {
        renderer.close();
        folder.close();
    }

    private Document document() {
        return workspace.bundle().contents().allDocuments().getFirst();
    }

    private Path newer() throws IOException {
        Path place = Files.createDirectories(temp.resolve("new"));
        return Pdfs.write(place, "report", 4, document -> {
            Pdfs.picture(document, document.getPage(1), 40);
            Pdfs.addPage(document, PDRectangle.A4);
            document.removePage(0);
        });
    }

    @Test
    void whatDiffersIsShownAndTheFileIsReplacedInOneStep() throws IOException {
        replacement.begin(document().id(), newer());
        ReplaceState.Ready ready = (ReplaceState.Ready) replacement.stateProperty().get();
        assertThat(Replacement.summary(ready.pairs()))
                .isEqualTo("2 pages are the same, 1 has changed, 1 is new, 1 is gone. Title, date and place stay as they are.");
        Bundle before = workspace.bundle();
        replacement.accept();
        assertThat(document().title()).isEqualTo("Report of Dr Carrow");
        assertThat(document().sources()).containsOnly(ready.newer().id());
        assertThat(document().pageCount()).isEqualTo(4);
        assertThat(workspace.bundle().tray()).extracting(InTray::id).as("the older file lies in the tray")
                .containsExactly(ready.older().id().value());
        assertThat(replacement.stateProperty().get()).isEqualTo(new ReplaceState.None());
        workspace.undo();
        assertThat(workspace.bundle()).isEqualTo(before);
    }

    @Test
    void aPageThatHasMovedIsCalledSoAndStaysRedacted() throws IOException {
        List<PageKey> first = List.of(document().runs().getFirst().key(1));
        workspace.edit(bundle -> PageEdits.looked(bundle, Set.copyOf(first),
                look -> look.withRedactions(List.of(new Redaction(new Area(10, 10, 20, 5), "private", false)))));
        replacement.begin(document().id(), Pdfs.write(Files.createDirectories(temp.resolve("new")), "report", 4, document -> {
            PDPage moved = document.getPage(0);
            document.removePage(0);
            document.addPage(moved);
        }));
        ReplaceState.Ready ready = (ReplaceState.Ready) replacement.stateProperty().get();
        assertThat(Replacement.summary(ready.pairs()))
                .startsWith("4 pages are the same (1 of them has moved), none has changed,");
        assertThat(DifferenceList.of("old", "new", ready.pairs())).contains("1,4,moved");
        replacement.accept();
        assertThat(document().runs()).last().extracting(run -> ((SourcePages) run).look().redactions().size()).isEqualTo(1);
        assertThat(workspace.bundle().toLookAt()).isEmpty();
    }

    @Test
    void whatIsRedactedStaysSoOnPagesThatHaveChangedAndIsToBeLookedAt() throws IOException {
        List<PageKey> second = List.of(document().runs().getFirst().key(2));
        workspace.edit(bundle -> PageEdits.looked(bundle, Set.copyOf(second),
                look -> look.withRedactions(List.of(new Redaction(new Area(10, 10, 20, 5), "private", false)))));
        replacement.begin(document().id(), newer());
        ReplaceState.Ready ready = (ReplaceState.Ready) replacement.stateProperty().get();
        replacement.accept();
        assertThat(document().runs()).first().isInstanceOfSatisfying(SourcePages.class, pages -> {
            assertThat(pages.source()).isEqualTo(ready.newer().id());
            assertThat(pages.look().redactions()).hasSize(1);
        });
        assertThat(workspace.findings()).extracting(Finding::message).singleElement().asString()
                .startsWith("report.pdf: its pages have changed since areas of them were redacted").contains("Look at each");
        assertThatThrownBy(() -> Assembler.standard().assemble(workspace.plan(), folder, temp.resolve("out.pdf"), Progress.NONE,
                () -> false)).hasMessageContaining("nobody has looked at them yet (1 in all, first page 2 as it was)");
        workspace.edit(bundle -> Looking.seen(bundle, bundle.toLookAt().getFirst()));
        assertThat(Assembler.standard().assemble(workspace.plan(), folder, temp.resolve("out.pdf"), Progress.NONE, () -> false))
                .isInstanceOf(Outcome.Written.class);
    }

    @Test
    void theListCanBeKept() throws IOException {
        replacement.begin(document().id(), newer());
        replacement.keepList(temp.resolve("changes.csv"));
        assertThat(Files.readString(temp.resolve("changes.csv")))
                .isEqualTo("Page of report.pdf,Page of report.pdf,What has changed\r\n1,,gone\r\n2,1,changed\r\n,4,new\r\n");
        assertThat(replacement.saidProperty().get()).endsWith("changes.csv");
        replacement.keepList(temp.resolve("no such folder/changes.csv"));
        assertThat(replacement.saidProperty().get()).contains("could not be written");
    }

    @Test
    void aDamagedFileReplacesNothing() throws IOException {
        Path bad = Files.writeString(temp.resolve("bad.pdf"), "%PDF-1.7 bad");
        replacement.begin(document().id(), bad);
        assertThat(replacement.stateProperty().get()).isInstanceOf(ReplaceState.Failed.class);
        replacement.accept();
        assertThat(document().pageCount()).isEqualTo(4);
        assertThat(workspace.bundle().tray()).hasSize(1);
    }

    @Test
    void aComparisonThatIsStoppedShowsNothing() throws IOException {
        replacement.begin(document().id(), newer());
        ReplaceState.Ready ready = (ReplaceState.Ready) replacement.stateProperty().get();
        workspace.jobs().running()
                .addListener((ListChangeListener<Jobs.Job>) change -> List.copyOf(change.getList()).forEach(Jobs.Job::stop));
        replacement.begin(document().id(), ready.newer().id());
        assertThat(replacement.stateProperty().get()).isEqualTo(new ReplaceState.None());
    }

    @Test
    void leavingItAsItIsKeepsTheNewerFileInTheTray() throws IOException {
        replacement.begin(document().id(), newer());
        replacement.cancel();
        assertThat(document().pageCount()).isEqualTo(4);
        assertThat(workspace.bundle().tray()).hasSize(1);
    }
}
