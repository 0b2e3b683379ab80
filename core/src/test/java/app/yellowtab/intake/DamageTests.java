package app.yellowtab.intake;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.model.source.Source;
import app.yellowtab.testing.Pdfs;
import app.yellowtab.testing.RawPdf;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What is damaged is read as far as it goes, and said; what is sound is not suspected. */
class DamageTests extends TakingIn {
    private Path file(byte[] bytes) throws IOException {
        return Files.write(folder.resolve("letter.pdf"), bytes);
    }

    private static byte[] changed(byte[] pdf, String from, String to) {
        return new String(pdf, StandardCharsets.ISO_8859_1).replaceAll(from, to).getBytes(StandardCharsets.ISO_8859_1);
    }

    static Stream<byte[]> soundFiles() {
        byte[] plain = RawPdf.plain("1.4", "sound");
        byte[] prefixed = changed(plain, "^", "HTTP/1.1 200 OK\n\n");
        byte[] followed = changed(plain, "%%EOF\n$", "%%EOF\n" + "\n".repeat(500));
        return Stream.of(plain, RawPdf.plain("2.0", "sound"), RawPdf.updated("sound"), RawPdf.hybrid("sound"),
                RawPdf.linearised("sound"), prefixed, followed);
    }

    @ParameterizedTest(name = "{index}")
    @MethodSource("soundFiles")
    void aSoundFileIsNotSuspected(byte[] pdf) throws IOException {
        Intake.Taken taken = take(file(pdf));
        assertThat(taken.findings()).isEmpty();
        assertThat(taken.sources().getFirst().about().pages().repaired()).isFalse();
    }

    @Test
    void aTableThatIsNotWhereTheFileSaysIsMadeAnewAndSaid() throws IOException {
        Intake.Taken taken = take(file(changed(RawPdf.plain("1.4", "still here"), "startxref\n\\d+", "startxref\n77")));
        assertThat(taken.findings()).extracting(Finding::code).containsExactly(Code.REBUILT);
        Source source = taken.sources().getFirst();
        assertThat(source.about().pages().repaired()).isTrue();
        assertThat(Pdfs.pages(place.readable(source.id()))).containsExactly("still here");
    }

    @Test
    void aFileThatStopsInTheMiddleShowsWhatThereIs() throws IOException {
        byte[] whole = Files.readAllBytes(Pdfs.write(folder, "whole", 3));
        int end = new String(whole, StandardCharsets.ISO_8859_1).lastIndexOf("startxref");
        Intake.Taken taken = take(file(Arrays.copyOf(whole, end)));
        assertThat(taken.findings()).extracting(Finding::code).containsExactly(Code.BREAKS_OFF);
        assertThat(taken.findings().getFirst().message()).contains("letter.pdf", "compare it with the file where it came from");
        assertThat(taken.sources().getFirst().pageCount()).isEqualTo(3);
    }

    @Test
    void pagesWhoseContentIsBrokenAreNamed() throws IOException {
        Path broken = Pdfs.write(folder, "log", 5, document -> {
            breakContent(document, 1);
            breakContent(document, 2);
            breakContent(document, 4);
        });
        Intake.Taken taken = take(broken);
        assertThat(taken.findings()).extracting(f -> f.code() + " " + f.detail()).containsExactly("PART_LOST pages 2-3, 5");
        assertThat(taken.sources().getFirst().pageCount()).as("they keep their places").isEqualTo(5);
    }

    private static void breakContent(PDDocument document, int index) {
        COSStream stream = new PDStream(document).getCOSObject();
        stream.setItem(COSName.FILTER, COSName.FLATE_DECODE);
        try (OutputStream out = stream.createRawOutputStream()) {
            out.write(bytes("x\u0001 this was never packed"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        document.getPage(index).getCOSObject().setItem(COSName.CONTENTS, stream);
    }

    @Test
    void aFileThatVanishesBeforeItIsReadIsNamedAndTheRestComesIn() throws IOException {
        Path first = Pdfs.write(folder, "1 first", 1);
        Path gone = Pdfs.write(folder, "2 gone", 1);
        Path last = Pdfs.write(folder, "3 last", 1);
        FoundFolder found = FoundFolder.of(List.of(first, gone, last), new ArrayList<>());
        Files.delete(gone);
        Intake.Taken taken = new Intake(place).bringIn(found, Intake.Listener.NONE, () -> false);
        assertThat(taken.sources()).extracting(Source::fileName).containsExactly("1 first.pdf", "3 last.pdf");
        assertThat(taken.findings()).extracting(f -> f.code() + " " + f.subject().name())
                .containsExactly("NOT_READABLE 2 gone.pdf");
    }

    @Test
    void aTextWithoutEndIsRefusedWithItsSize() throws IOException {
        Path text = folder.resolve("machine log.txt");
        byte[] lines = bytes("2031-06-09 chamber 3 pressure 1.02 bar\n".repeat(27_000));
        try (OutputStream out = Files.newOutputStream(text)) {
            for (int i = 0; i < 65; i++) out.write(lines);
        }
        Intake.Taken taken = take(text, Pdfs.write(folder, "after", 1));
        assertThat(taken.findings()).extracting(f -> f.code() + " " + f.detail()).containsExactly("TOO_LARGE 65 MB of text");
        assertThat(taken.sources()).extracting(Source::isRead).containsExactly(false, true);
    }

    @Test
    void mailsInMailsEndSomewhere() throws IOException {
        String mail = "Subject: the first\r\n\r\nat the bottom";
        for (int i = 0; i < 20; i++) {
            mail = "Subject: level " + i + "\r\nContent-Type: multipart/mixed; boundary=b" + i + "\r\n\r\n--b" + i
                    + "\r\nContent-Type: message/rfc822\r\n\r\n" + mail + "\r\n--b" + i + "--\r\n";
        }
        Intake.Taken taken = take(Files.writeString(folder.resolve("chain.eml"), mail));
        assertThat(taken.findings()).extracting(Finding::code).containsExactly(Code.NESTED_TOO_DEEP);
        assertThat(taken.sources()).hasSizeBetween(5, 12).allMatch(Source::isRead);
    }
}
