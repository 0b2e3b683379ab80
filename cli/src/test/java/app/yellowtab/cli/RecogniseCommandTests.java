package app.yellowtab.cli;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.sample.paper.RehearsalScanner;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Loose scans are made searchable at the command line. */
class RecogniseCommandTests extends AtTheCommandLine {
    @TempDir
    private Path temp;
    private Path scan;

    @BeforeEach
    void deliver() throws IOException {
        scan = RehearsalScanner.deliver(temp, 1, 2, RehearsalScanner.Form.TIFF);
    }

    @Test
    void aScanIsWrittenAnewWithItsWordsAndAFileWithWordsIsLeftAlone() throws IOException {
        Path digital = Pdfs.write(temp, "letter", 1);
        Path folder = temp.resolve("out");
        assertThat(run("recognise", scan.toString(), digital.toString(), "-o", folder.toString())).as(err.toString()).isZero();
        assertThat(out.toString()).contains("4 of 4 pages recognised");
        assertThat(err.toString()).contains("letter.pdf: there is nothing to be recognised");
        assertThat(Pdfs.pages(folder.resolve("scan-0001.pdf"))).hasSize(4).first().asString().contains("Weighbridge slip 425",
                "Load 1");
        assertThat(folder.resolve("letter.pdf")).doesNotExist();
        assertThat(run("recognise", scan.toString(), "-o", folder.toString(), "--text")).isZero();
        assertThat(Files.readString(folder.resolve("scan-0001.txt")).split("\f", -1)).hasSize(4);
        assertThat(run("recognise", scan.toString(), "-o", folder.toString(), "--text")).as("nothing is written over")
                .isEqualTo(1);
        assertThat(err.toString()).contains("there is such a file already");
    }

    @Test
    void aLanguageThatIsNotThereIsSaid() {
        assertThat(run("recognise", scan.toString(), "-o", temp.toString(), "--language", "xyz")).isEqualTo(2);
        assertThat(err.toString()).contains("There is no language xyz; there are eng", "Put xyz.traineddata into ");
    }
}
