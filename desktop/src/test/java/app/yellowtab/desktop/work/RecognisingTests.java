package app.yellowtab.desktop.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.Progress;
import app.yellowtab.keep.RememberedPasswords;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.RecognitionChoice;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.source.Source;
import app.yellowtab.recognise.ReadWord;
import app.yellowtab.recognise.TextRecogniser;
import app.yellowtab.sample.paper.RehearsalScan;
import app.yellowtab.sample.paper.RehearsalScan.Ink;
import app.yellowtab.sample.paper.RehearsalScan.Manner;
import app.yellowtab.source.BatchPages;
import app.yellowtab.store.BundleFolder;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Scans are read in the background; the engine itself is a stand-in that reads "Letter 4 October 2030" on every page. */
class RecognisingTests {
    @TempDir
    private Path temp;
    private BundleFolder folder;
    private Workspace workspace;
    private final Deque<Runnable> background = new ArrayDeque<>();
    private final TextRecogniser engine = mock();

    @BeforeEach
    void open() throws IOException {
        when(engine.engine()).thenReturn("stand-in 1");
        when(engine.languages()).thenReturn("eng");
        when(engine.read(any())).thenReturn(
                List.of(new ReadWord(4, "jATUAUNPA", 100, 60, 500, 90, 20), new ReadWord(0, "LETTER", 100, 120, 400, 60, 90),
                        new ReadWord(1, "4", 100, 300, 10, 20, 90), new ReadWord(1, "October", 120, 300, 80, 20, 90),
                        new ReadWord(1, "2030", 210, 300, 40, 20, 90), new ReadWord(2, "and", 100, 340, 40, 20, 90),
                        new ReadWord(3, "so", 100, 380, 40, 20, 90)));
        folder = BundleFolder.create(temp.resolve("bundle"), Bundle.EMPTY);
        workspace = Workspaces.of(folder, Bundle.EMPTY, saved -> {}, background::add);
    }

    @AfterEach
    void close() {
        folder.close();
    }

    private void scan(String name, int pages) throws IOException {
        Path scan = temp.resolve(name);
        RehearsalScan.of(Pdfs.write(temp, "printed-" + name, pages), scan, new Manner(50, Ink.BLACK_AND_WHITE, 0, false),
                name.hashCode());
        new Intakes(workspace, new RememberedPasswords(temp.resolve("user"))).bringIn(List.of(scan));
        work();
    }

    private void work() {
        while (!background.isEmpty()) background.poll().run();
    }

    private Source source(String name) {
        return workspace.bundle().sources().stream().filter(source -> source.fileName().equals(name)).findFirst().orElseThrow();
    }

    @Test
    void whatIsReadIsKnownOfTheFileAndIsNoStepToUndo() throws IOException {
        scan("scan-0001.pdf", 2);
        assertThat(source("scan-0001.pdf").proposedTitle()).isEqualTo("scan-0001");
        Recognising recognising = new Recognising(workspace, languages -> engine);
        assertThat(recognising.stateProperty().get())
                .isEqualTo(new Recognising.RecognitionState.Running(source("scan-0001.pdf").id(), 2));
        assertThat(recognising.left(source("scan-0001.pdf"))).isEqualTo(2);
        work();
        assertThat(recognising.stateProperty().get()).isEqualTo(new Recognising.RecognitionState.Idle());
        Source read = source("scan-0001.pdf");
        assertThat(recognising.left(read)).isZero();
        assertThat(read.proposedTitle()).as("a name that says nothing gives way, and not to what was hardly read")
                .isEqualTo("LETTER");
        assertThat(read.proposedDate()).isInstanceOf(DocumentDate.Day.class).extracting(DocumentDate::shown)
                .isEqualTo("4 Oct 2030");
        assertThat(BatchPages.read(folder, read.id(), false, Progress.NONE, () -> false)).extracting(page -> page.text().text())
                .containsOnly("jATUAUNPA\nLETTER\n4 October 2030\nand\nso\n");
        workspace.undo();
        workspace.redo();
        assertThat(source("scan-0001.pdf").about().recognised()).as("undone and brought in again, it is known still")
                .isNotEmpty();
        recognising.dispose();
    }

    @Test
    void theNewestIsReadFirstAndAPauseHoldsOn() throws IOException {
        scan("first.pdf", 1);
        scan("second.pdf", 3);
        Recognising recognising = new Recognising(workspace, languages -> engine);
        assertThat(recognising.stateProperty().get())
                .isEqualTo(new Recognising.RecognitionState.Running(source("second.pdf").id(), 4));
        recognising.pause();
        assertThat(recognising.stateProperty().get()).isEqualTo(new Recognising.RecognitionState.Paused(4));
        work();
        verify(engine, times(0)).read(any());
        recognising.goOn();
        work();
        assertThat(workspace.bundle().sources()).allMatch(source -> !source.about().recognised().isEmpty());
        recognising.dispose();
    }

    @Test
    void itCanBeSwitchedOffAndOnAgain() throws IOException {
        workspace.edit(bundle -> bundle.withRecognition(new RecognitionChoice(false, List.of("eng"))));
        scan("scan.pdf", 1);
        Recognising recognising = new Recognising(workspace, languages -> engine);
        work();
        assertThat(source("scan.pdf").about().recognised()).isEmpty();
        assertThat(recognising.left(source("scan.pdf"))).isZero();
        workspace.edit(bundle -> bundle.withRecognition(RecognitionChoice.STANDARD));
        work();
        assertThat(source("scan.pdf").about().recognised()).isNotEmpty();
        recognising.dispose();
    }

    @Test
    void aPageThatCannotBeReadIsSaidAndTheOthersAreRead() throws IOException {
        List<ReadWord> words = engine.read(mock());
        when(engine.read(any())).thenThrow(new IOException("it took longer than 120 seconds")).thenReturn(words);
        scan("scan.pdf", 2);
        Recognising recognising = new Recognising(workspace, languages -> engine);
        work();
        assertThat(workspace.findings()).extracting(Finding::code).containsExactly(Code.NOT_RECOGNISED);
        assertThat(workspace.findings().getFirst().message()).contains("scan.pdf", "page 1");
        assertThat(BatchPages.read(folder, source("scan.pdf").id(), false, Progress.NONE, () -> false))
                .extracting(page -> page.text().isEmpty()).containsExactly(true, false);
        recognising.dispose();
    }

    @Test
    void whereTheEngineDoesNotRunThatIsSaidOnceAndAllElseWorks() throws IOException {
        scan("scan.pdf", 1);
        Recognising recognising = new Recognising(workspace, languages -> {
            throw new UnsatisfiedLinkError("no jnitesseract");
        });
        work();
        assertThat(recognising.stateProperty().get()).isEqualTo(new Recognising.RecognitionState.Unavailable("no jnitesseract"));
        scan("another.pdf", 1);
        assertThat(recognising.stateProperty().get()).isInstanceOf(Recognising.RecognitionState.Unavailable.class);
        assertThat(workspace.findings()).isEmpty();
        recognising.dispose();
    }
}
