package app.yellowtab.cli;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;

class PagesCommandTests {
    @TempDir
    private Path temp;
    private Path report;
    private Path to;
    private final StringWriter err = new StringWriter();

    @BeforeEach
    void files() throws IOException {
        to = temp.resolve("to");
        report = Pdfs.write(temp, "report", 5);
    }

    private int run(String... arguments) {
        CommandLine command = Main.commandLine();
        command.setOut(new PrintWriter(new StringWriter()));
        command.setErr(new PrintWriter(err));
        return command.execute(Stream.concat(Stream.of("pages"), Stream.of(arguments)).toArray(String[]::new));
    }

    private List<String> pages(String file) throws IOException {
        return Pdfs.pages(to.resolve(file)).stream().map(page -> page.replace(" -", "-").strip()).toList();
    }

    @Test
    void pagesAreKeptInTheOrderThatIsTyped() throws IOException {
        assertThat(run(report.toString(), "-o", to.toString(), "--keep", "4-5, 1, 1")).isZero();
        assertThat(pages("report.pdf")).containsExactly("report-4", "report-5", "report-1", "report-1");
        assertThat(run(report.toString(), "-o", to.toString())).as("nothing is written over").isEqualTo(1);
        assertThat(err.toString()).contains("report.pdf").contains("there is such a file already");
    }

    @Test
    void pagesAreLeftOutAndTurned() throws IOException {
        assertThat(run(report.toString(), "-o", to.toString(), "--drop", "2-3", "--turn", "4- right", "--turn", "about"))
                .isZero();
        assertThat(Pdfs.pageCount(to.resolve("report.pdf"))).isEqualTo(3);
        try (PDDocument written = Loader.loadPDF(to.resolve("report.pdf").toFile())) {
            assertThat(written.getPage(0).getRotation()).isEqualTo(180);
            assertThat(written.getPage(1).getRotation()).isEqualTo(270);
        }
    }

    @Test
    void eachPageBecomesAFileAndOneBadFileDoesNotStopTheRest() throws IOException {
        Path bad = Files.writeString(temp.resolve("bad.pdf"), "%PDF-1.7 nothing");
        assertThat(run(bad.toString(), report.toString(), "-o", to.toString(), "--each", "--keep", "2-3")).isEqualTo(3);
        assertThat(pages("report, page 2.pdf")).containsExactly("report-2");
        assertThat(pages("report, page 3.pdf")).containsExactly("report-3");
        try (Stream<Path> there = Files.list(to)) {
            assertThat(there).hasSize(2);
        }
    }

    @Test
    void whatCannotBeMeantIsSaid() {
        assertThat(run(report.toString(), "-o", to.toString(), "--keep", "7")).isEqualTo(1);
        assertThat(err.toString()).contains("report.pdf").contains("a page from 1 to 5");
        assertThat(run(report.toString(), "-o", to.toString(), "--turn", "upside down")).isEqualTo(2);
        assertThat(run(report.toString(), "-o", to.toString(), "--keep", "1", "--drop", "2")).isEqualTo(2);
        assertThat(run(report.toString(), "-o", to.toString(), "--drop", "1-")).isEqualTo(1);
        assertThat(err.toString()).contains("would have no page left");
    }
}
