package app.yellowtab.intake;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.model.source.Source;
import app.yellowtab.source.Depot;
import app.yellowtab.testing.Pdfs;
import app.yellowtab.testing.WordFile;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;
import org.apache.pdfbox.pdmodel.encryption.StandardProtectionPolicy;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.mockito.Mockito;

/** One file never takes the rest down, and is said to be what it is. */
class OneFileTests extends TakingIn {
    @ParameterizedTest
    @CsvSource({"Adobe.PubSec, LOCKED_TO_CERTIFICATE, certificate",
            "Aldermere.Own, LOCKED_OTHERWISE, only the program it was made with"})
    void lockedWithSomethingElseThanAPassword(String handler, Code code, String words) throws IOException {
        Path plain = Pdfs.write(folder, "plain", 1);
        String pdf = Files.readString(plain, StandardCharsets.ISO_8859_1);
        Path locked = folder.resolve("locked.pdf");
        Files.writeString(locked, pdf.replace("/Root", "/Encrypt<</Filter/" + handler + "/SubFilter/adbe.pkcs7.s4/V 4>>/Root"),
                StandardCharsets.ISO_8859_1);
        Intake.Taken taken = take(locked, plain);
        assertThat(taken.findings()).singleElement().satisfies(finding -> {
            assertThat(finding.code()).isEqualTo(code);
            assertThat(finding.message()).startsWith("locked.pdf was left out").contains(words);
        });
        assertThat(taken.sources()).extracting(Source::isRead).containsExactly(false, true);
    }

    @ParameterizedTest
    @CsvSource({"128, 40", "128, 16", "40, 128"})
    void aWrongKeyLengthDoesNotLock(int real, int stated) throws IOException {
        Path file = Pdfs.write(folder, "S", 1, document -> {
            try {
                StandardProtectionPolicy policy = new StandardProtectionPolicy("owner", "", new AccessPermission());
                policy.setEncryptionKeyLength(real);
                document.protect(policy);
            } catch (IOException e) {
                throw new IllegalStateException(e);
            }
        });
        String pdf = Files.readString(file, StandardCharsets.ISO_8859_1);
        String wrong = real == 40 ? pdf.replaceFirst("(?s)/Filter /Standard", "/Filter /Standard\n/Length " + stated)
                : pdf.replace("/Length " + real + "\n", "/Length " + stated + "\n");
        assertThat(wrong).isNotEqualTo(pdf);
        Files.writeString(file, wrong, StandardCharsets.ISO_8859_1);
        Source source = taken(file);
        assertThat(source.isRead()).isTrue();
        assertThat(source.about().pages().locked()).isFalse();
    }

    @Test
    void aClassThatIsMissingIsOneFilesMatter() throws IOException {
        Path first = Pdfs.write(folder, "1 first", 1);
        Path odd = Pdfs.write(folder, "2 odd", 1);
        Path last = Pdfs.write(folder, "3 last", 1);
        Depot depot = Mockito.spy(place);
        Mockito.doThrow(new NoClassDefFoundError("a/class/of/nobody")).when(depot).keep(odd);
        List<Finding> findings = new ArrayList<>();
        Intake.Taken taken =
                new Intake(depot).bringIn(FoundFolder.of(List.of(first, odd, last), findings), Intake.Listener.NONE, () -> false);
        assertThat(taken.sources()).extracting(Source::fileName).containsExactly("1 first.pdf", "3 last.pdf");
        assertThat(taken.findings()).singleElement().satisfies(
                finding -> assertThat(finding.message()).startsWith("2 odd.pdf was left out").contains("NoClassDefFoundError"));
    }

    @Test
    void whatWasTakenOutOfAnArchiveNamesIt() throws IOException {
        Map<String, byte[]> inner = new LinkedHashMap<>();
        inner.put("letter.pdf", bytes("%PDF-1.4 no more than this"));
        Path innerZip = WordFile.zip(folder.resolve("inner.zip"), inner);
        Map<String, byte[]> outer = new LinkedHashMap<>();
        outer.put("inner.zip", Files.readAllBytes(innerZip));
        Intake.Taken taken = take(WordFile.zip(folder.resolve("post of Monday.zip"), outer));
        assertThat(taken.findings()).singleElement().satisfies(
                finding -> assertThat(finding.message()).startsWith("letter.pdf (in inner.zip, in post of Monday.zip) "));
    }

    @Test
    void limitsCountForAllThatIsTakenOut() throws IOException {
        Map<String, byte[]> parts = new LinkedHashMap<>();
        parts.put("a.txt", new byte[700]);
        Path zip = WordFile.zip(folder.resolve("a.zip"), parts);
        Insides insides = new Insides(1000);
        List<Finding> findings = new ArrayList<>();
        for (int i = 0; i < 3; i++) insides.unpack(zip, zip, Files.createDirectories(folder.resolve("out" + i)), findings);
        assertThat(findings).extracting(Finding::code).containsExactly(Code.TOO_LARGE, Code.TOO_LARGE);
    }
}
