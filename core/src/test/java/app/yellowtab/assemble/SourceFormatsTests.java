package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.testing.Pdfs;
import app.yellowtab.testing.RawPdf;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdfwriter.compress.CompressParameters;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;
import org.apache.pdfbox.pdmodel.encryption.StandardProtectionPolicy;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Every structure that a PDF can have is read, and what is made of it is read by two readers that have nothing in common. */
class SourceFormatsTests extends OneSource {
    static Stream<Arguments> structures() {
        return Stream.of(Arguments.of("1.0", RawPdf.plain("1.0", "S-1")), Arguments.of("1.3", RawPdf.plain("1.3", "S-1")),
                Arguments.of("1.7", RawPdf.plain("1.7", "S-1")), Arguments.of("updated", RawPdf.updated("S-1")),
                Arguments.of("hybrid", RawPdf.hybrid("S-1")), Arguments.of("linearised", RawPdf.linearised("S-1")));
    }

    @ParameterizedTest
    @MethodSource("structures")
    void structuresMadeByHand(String name, byte[] file) throws IOException {
        Files.write(matter.resolve("S.pdf"), file);
        produce();
        assertThat(Pdfs.pages(target).get(2)).as(name).isEqualTo("S-1 3");
        assertLooksTheSame();
        assertReadTwice();
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void objectStreamsOrNone(boolean packed) throws IOException {
        Pdfs.write(folder, "other", 2);
        try (PDDocument document = Loader.loadPDF(folder.resolve("other.pdf").toFile())) {
            document.save(matter.resolve("S.pdf").toFile(),
                    packed ? new CompressParameters(20) : CompressParameters.NO_COMPRESSION);
        }
        produce();
        assertLooksTheSame();
        assertReadTwice();
    }

    @ParameterizedTest
    @CsvSource({"40, false, ''", "128, false, ''", "128, true, ''", "256, true, ''", "128, true, orchard", "256, true, orchard"})
    void lockedOnes(int bits, boolean aes, String password) throws IOException {
        Outcome.Written written = produce(2, document -> {
            Pdfs.picture(document, document.getPage(1), 90);
            StandardProtectionPolicy policy = new StandardProtectionPolicy("owner", password, new AccessPermission());
            policy.setEncryptionKeyLength(bits);
            policy.setPreferAES(aes);
            document.protect(policy);
        });
        assertThat(written.findings()).isEmpty();
        assertThat(Pdfs.pages(target).get(3)).isEqualTo("S-2 4");
        assertLooksTheSame(matter.resolve("S.pdf"), password);
        assertReadTwice();
    }

    @Test
    void aSourceOfPdf2MakesABundleOfPdf2() throws IOException {
        produce(1, document -> document.setVersion(2.0f));
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            assertThat(document.getVersion()).isEqualTo(2.0f);
        }
        assertReadTwice();
    }

    private void assertReadTwice() throws IOException {
        try (PDDocument first = Loader.loadPDF(target.toFile())) {
            Path file = target;
            var second = new org.verapdf.pd.PDDocument(file.toString());
            try {
                assertThat(second.getNumberOfPages()).isEqualTo(first.getNumberOfPages());
                assertThat(second.getDocument().isContainsXRefStream()).isTrue();
                assertThat(second.getDocument().getObjects()).isNotEmpty();
                for (int i = 0; i < first.getNumberOfPages(); i++) {
                    double[] box = second.getPage(i).getMediaBox();
                    assertThat((float) box[2]).isEqualTo(first.getPage(i).getMediaBox().getUpperRightX());
                    assertThat(second.getPage(i).getContent()).isNotNull();
                }
            } finally {
                second.close();
            }
        }
    }
}
