package app.yellowtab.convert;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.yellowtab.finding.Finding.Code;
import app.yellowtab.model.Reading;
import app.yellowtab.model.source.SourceKind;
import app.yellowtab.testing.Conversions;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.poi.hssf.record.crypto.Biff8EncryptionKey;
import org.apache.poi.hwpf.HWPFDocument;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Documents of the older binary kind. The file is our own agreement, saved so by an office suite. */
class DocTests {
    @TempDir
    private Path folder;

    private Path agreement() throws IOException {
        Path file = folder.resolve("agreement.doc");
        try (InputStream in = DocTests.class.getResourceAsStream("agreement.doc")) {
            Files.copy(in, file);
        }
        return file;
    }

    @Test
    void pagesNumbersTablesHeadersAndFootersAreThoseOfTheWriter() throws IOException {
        Conversions.Result result = Conversions.of(agreement(), SourceKind.DOC);
        assertThat(result.pages()).containsExactly(
                "Cold store agreement Page 1 of 3 Agreement on Chamber 3 1. The keeper keeps the chamber at –14°. (a) by day "
                        + "(b) by night 2. The owner pays. Charges Week £140",
                "Cold store agreement Page 2 of 3 Second page, first schedule Signed in Tarnhollow",
                "Cold store agreement Page 3 of 3 Third page, sideways plan");
        assertThat(result.findings()).as("nothing is missing").isEmpty();
        try (PDDocument pages = Loader.loadPDF(result.pdf().toFile())) {
            assertThat(pages.getPage(0).getMediaBox().getWidth()).isCloseTo(595, within(1f));
            assertThat(pages.getPage(2).getMediaBox().getWidth()).isCloseTo(842, within(1f));
        }
    }

    @Test
    void aLockedDocumentOpensWithItsPasswordOnly() throws IOException {
        Path locked = folder.resolve("locked.doc");
        try (InputStream in = Files.newInputStream(agreement()); HWPFDocument document = new HWPFDocument(in);
                OutputStream out = Files.newOutputStream(locked)) {
            Biff8EncryptionKey.setCurrentUserPassword("tarn");
            document.write(out);
        } finally {
            Biff8EncryptionKey.setCurrentUserPassword(null);
        }
        assertThatThrownBy(() -> Conversions.of(locked, SourceKind.DOC, Reading.STANDARD, "wrong"))
                .isInstanceOf(LockedException.class);
        Conversions.Result opened = Conversions.of(locked, SourceKind.DOC, Reading.STANDARD, "wrong", "tarn");
        assertThat(opened.page(2)).contains("first schedule");
        assertThat(opened.codes()).doesNotContain(Code.PASSWORD_NEEDED);
    }
}
