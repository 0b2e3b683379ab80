package app.yellowtab.desktop.clash;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.clash.Clash;
import app.yellowtab.clash.ClashFinder;
import app.yellowtab.desktop.clash.ClashDesk.Help;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.desktop.work.Workspaces;
import app.yellowtab.edit.page.PageEdits;
import app.yellowtab.find.BundleWords;
import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.leaf.Content;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.number.OldNumbers.Handling;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.picture.PageRenderer;
import app.yellowtab.picture.PictureFiles;
import app.yellowtab.store.BundleFolder;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A file of four pages that carry 11 to 14 where the bundle's numbers stand. */
class ClashDeskTests {
    @TempDir
    private Path temp;
    private BundleFolder folder;
    private PageRenderer renderer;
    private Workspace workspace;
    private ClashDesk clashes;
    private OldDesk old;

    @BeforeEach
    void open() throws IOException {
        Path files = Files.createDirectories(temp.resolve("files"));
        Pdfs.write(files, "S", 4, document -> {
            for (int page = 0; page < 4; page++) number(document, page);
        });
        folder = BundleFolder.create(temp.resolve("bundle"), Bundle.EMPTY);
        Intake.Taken taken =
                new Intake(folder).bringIn(FoundFolder.of(List.of(files), new ArrayList<>()), Intake.Listener.NONE, () -> false);
        Bundle bundle = Bundle.EMPTY.withSources(taken.sources()).withContents(taken.contents());
        folder.save(bundle);
        renderer = new PageRenderer(folder, PictureFiles.NONE);
        workspace = Workspaces.of(folder, bundle);
        BundleWords words = new BundleWords(folder);
        ClashFinder finder = new ClashFinder(words, renderer);
        clashes = new ClashDesk(workspace, finder);
        old = new OldDesk(workspace, words, finder);
        clashes.look(this, true);
        old.look(this, true);
    }

    private static void number(PDDocument document, int page) {
        try (PDPageContentStream content =
                new PDPageContentStream(document, document.getPage(page), PDPageContentStream.AppendMode.APPEND, false)) {
            content.beginText();
            content.setFont(new PDType1Font(Standard14Fonts.FontName.HELVETICA), 10);
            content.newLineAtOffset(552, 30);
            content.showText(String.valueOf(11 + page));
            content.endText();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    @AfterEach
    void close() throws IOException {
        clashes.dispose();
        old.dispose();
        renderer.close();
        folder.close();
    }

    private List<Clash> found() {
        return clashes.stateProperty().get().clashes();
    }

    @Test
    void clashesAreFoundGoneToAndMended() {
        assertThat(found()).hasSize(4).extracting(clash -> clash.mark().words() + " on " + clash.words()).startsWith("4 on 11");
        assertThat(clashes.next()).isTrue();
        assertThat(workspace.leaf()).isEqualTo(3);
        List<Help> helps = new ArrayList<>();
        clashes.helps(found().getFirst(), helps::addAll);
        assertThat(helps).extracting(Help::words).anyMatch(words -> words.startsWith("Move it on this page"))
                .anyMatch(words -> words.startsWith("Show this page at"));
        clashes.mend(helps.stream().filter(help -> help.words().startsWith("Move all")).findFirst().orElseThrow());
        assertThat(found()).isEmpty();
        workspace.undo();
        assertThat(found()).hasSize(4);
    }

    @Test
    void aRemedyThatIsPressedLaterChangesNothingElseOfThePage() {
        clashes.next();
        List<Help> helps = new ArrayList<>();
        clashes.helps(found().getFirst(), helps::addAll);
        PageKey key = workspace.plan().leaf(workspace.leaf()).key().orElseThrow();
        List<Redaction> redactions = List.of(new Redaction(new Area(20, 30, 60, 10), "private", false));
        Area crop = new Area(0, 0, 200, 290);
        workspace.edit(bundle -> PageEdits.looked(bundle, Set.of(key),
                look -> look.withCrop(Optional.of(crop)).withRedactions(redactions)));
        clashes.mend(helps.stream().filter(help -> help.words().startsWith("Show this page at")).findFirst().orElseThrow());
        PageLook look = ((Content.SourcePage) workspace.plan().leaf(workspace.leaf()).content()).look();
        assertThat(look.redactions()).isEqualTo(redactions);
        assertThat(look.crop()).contains(crop);
        assertThat(look.scale()).isLessThan(1);
    }

    @Test
    void oldNumbersAreShownAvoidedCoveredOrKept() {
        assertThat(old.foundProperty().get()).hasSize(1);
        assertThat(old.foundProperty().get().getFirst().differing()).isEqualTo(4);
        workspace.goTo(3);
        assertThat(old.onPage()).singleElement().satisfies(area -> assertThat(area.topMm()).isGreaterThan(270));
        workspace.edit(bundle -> PageEdits.turned(bundle, Set.of(workspace.plan().leaf(3).key().orElseThrow()), 2));
        assertThat(old.onPage()).singleElement().satisfies(area -> {
            assertThat(area.topMm()).isLessThan(20);
            assertThat(area.leftMm()).isLessThan(20);
        });
        workspace.undo();
        old.decide(old.foundProperty().get().getFirst(), Handling.AVOIDED);
        assertThat(found()).as("ours stand at the head now").isEmpty();
        assertThat(old.saidProperty().get()).contains("4 pages");
        workspace.undo();
        old.decide(old.foundProperty().get().getFirst(), Handling.COVERED);
        assertThat(workspace.plan().marksOn(workspace.plan().leaf(3)).getFirst().covers()).isPresent();
        assertThat(found()).as("what is covered is not printed over").isEmpty();
        old.decide(old.foundProperty().get().getFirst(), Handling.IDENTITY);
        workspace.goToNumber("13");
        assertThat(workspace.leaf()).isEqualTo(5);
    }
}
