package app.yellowtab.convert;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.yellowtab.convert.page.Notes;
import app.yellowtab.finding.Finding;
import app.yellowtab.model.Reading;
import app.yellowtab.model.source.SourceKind;
import app.yellowtab.testing.WordFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.jodconverter.core.office.OfficeException;
import org.jodconverter.core.office.OfficeManager;
import org.jodconverter.core.task.OfficeTask;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What we do when the office suite does not do what it should; the suite itself is not there. */
class OfficeSuiteTests {
    @TempDir
    private Path folder;
    private Path file;
    private Path target;
    private Notes notes;

    @BeforeEach
    void write() throws IOException {
        file = new WordFile(WordFile.p("The keeper keeps it cold.")).write(folder, "agreement.docx");
        target = folder.resolve("agreement.pdf");
        notes = new Notes(file);
    }

    private boolean converts(OfficeSuite suite) throws IOException {
        return suite.convert(file, SourceKind.DOCX, target, Reading.STANDARD, notes);
    }

    private List<String> names() throws IOException {
        try (Stream<Path> all = Files.list(folder)) {
            return all.map(path -> path.getFileName().toString()).sorted().toList();
        }
    }

    @Test
    void aFileOnWhichItFailsIsLeftToUsAndThatIsSaid() throws Exception {
        OfficeManager manager = mock(OfficeManager.class);
        doThrow(new OfficeException("took longer than 120000 ms")).when(manager).execute(any());
        byte[] before = Files.readAllBytes(file);
        assertThat(converts(new OfficeSuite("1", () -> manager))).isFalse();
        assertThat(notes.findings()).extracting(f -> f.code() + " " + f.detail())
                .containsExactly("CONVERSION_LOST the office suite failed on it");
        assertThat(names()).as("no draft and no copy is left").containsExactly("agreement.docx");
        assertThat(file).hasBinaryContent(before);
    }

    @Test
    void aSuiteThatDoesNotStartIsAskedOnce() throws Exception {
        OfficeSuite.Starting starting = mock(OfficeSuite.Starting.class);
        when(starting.start()).thenThrow(new OfficeException("no free port"));
        OfficeSuite suite = new OfficeSuite("1", starting);
        assertThat(converts(suite)).isFalse();
        assertThat(converts(suite)).isFalse();
        verify(starting, times(1)).start();
        assertThat(notes.findings()).extracting(Finding::code).as("our own way loses nothing by it").isEmpty();
    }

    @Test
    void theProcessIsKeptForTheNextFile() throws Exception {
        OfficeManager manager = mock(OfficeManager.class);
        OfficeSuite.Starting starting = mock(OfficeSuite.Starting.class);
        when(starting.start()).thenReturn(manager);
        OfficeSuite suite = new OfficeSuite("1", starting);
        converts(suite);
        assertThat(converts(suite)).as("it wrote nothing").isFalse();
        assertThat(target).doesNotExist();
        verify(starting, times(1)).start();
        verify(manager, times(2)).execute(any(OfficeTask.class));
    }

    @Test
    void aTargetThatWasThereIsReplacedOnlyByAWholeOne() throws Exception {
        Files.writeString(target, "the pages of before");
        OfficeManager manager = mock(OfficeManager.class);
        doAnswer(run -> {
            assertThat(target).as("while it works").hasContent("the pages of before");
            throw new OfficeException("the process ended");
        }).when(manager).execute(any());
        assertThat(converts(new OfficeSuite("1", () -> manager))).isFalse();
        assertThat(target).hasContent("the pages of before");
    }

    @Test
    void whatItHasNoFormatForIsOurs() throws Exception {
        OfficeManager manager = mock(OfficeManager.class);
        assertThat(new OfficeSuite("1", () -> manager).convert(file, SourceKind.MSG, target, Reading.STANDARD, notes)).isFalse();
        verify(manager, times(0)).execute(any());
    }

    @Test
    void itEndsWithTheProgramEvenWhereThatIsKilled() throws Exception {
        assumeTrue(OfficeGuard.isPossible());
        Process suite = new ProcessBuilder("/bin/sh", "-c", "while true; do sleep 1; done", "soffice", "-env:at=file://" + folder)
                .start();
        Process other = new ProcessBuilder("/bin/sh", "-c", "sleep 60").start();
        OfficeGuard guard = OfficeGuard.over(folder);
        assertThat(suite.isAlive()).isTrue();
        // The system does so when the program has ended in whatever way.
        guard.close();
        assertThat(suite.waitFor(20, TimeUnit.SECONDS)).isTrue();
        assertThat(other.isAlive()).isTrue();
        other.destroyForcibly();
    }
}
