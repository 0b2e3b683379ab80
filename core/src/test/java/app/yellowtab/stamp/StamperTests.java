package app.yellowtab.stamp;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.edit.number.LineEdits;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Progress;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.number.MarkSetting;
import app.yellowtab.model.number.RunningLine;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.pdf.Face;
import app.yellowtab.testing.Pdfs;
import app.yellowtab.testing.RawPdf;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;
import org.apache.pdfbox.pdmodel.encryption.StandardProtectionPolicy;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class StamperTests {
    @TempDir
    private Path temp;
    private Path files;
    private Path out;

    @BeforeEach
    void make() throws IOException {
        files = Files.createDirectories(temp.resolve("files"));
        out = temp.resolve("out");
    }

    private StampOrder order(Optional<BundleNumber> number, String bates, String line, boolean each, Path... named) {
        return new StampOrder(List.of(named), out, "", " stamped", number,
                bates.isEmpty() ? Optional.empty()
                        : Optional.of(new Series(new SeriesId("bates"), bates, new MarkSetting(Spot.OPPOSITE, MarkLook.SERIES))),
                line.isEmpty() ? List.of() : List.of(
                        new RunningLine(new SeriesId("line"), new MarkSetting(Spot.LINE, MarkLook.LINE), LineEdits.read(line))),
                each, LocalDateTime.of(2031, 3, 4, 9, 0), List.of("orchard"));
    }

    private static Stamper.Outcome stamp(StampOrder order) throws FindingException {
        return Stamper.stamp(order, Progress.NONE, () -> false);
    }

    private static List<Code> codes(Stamper.Outcome outcome) {
        return outcome.findings().stream().map(Finding::code).toList();
    }

    private static boolean beginsWith(Path file, Path begin) throws IOException {
        byte[] before = Files.readAllBytes(begin);
        return Arrays.equals(before, Arrays.copyOf(Files.readAllBytes(file), before.length));
    }

    @Test
    void numbersRunOnFromFileToFileAndEachCopyIsTheFileWithAnUpdateBehindIt() throws IOException {
        Path a = Pdfs.write(files, "A", 2);
        Path b = Pdfs.write(files, "B", 3);
        byte[] before = Files.readAllBytes(a);
        Stamper.Outcome outcome = stamp(order(Optional.of(BundleNumber.STANDARD.withTotal(true)), "TH-000101",
                "{file}, {document page} of {document pages}, {date}", false, a, b));
        assertThat(outcome.findings()).isEmpty();
        Path second = out.resolve("B stamped.pdf");
        assertThat(Pdfs.pages(second).get(0)).contains("TH-000103").contains("3 of 5").contains("B.pdf, 1 of 3, 4 March 2031")
                .contains("B-1");
        assertThat(Pdfs.pages(second).get(2)).contains("TH-000105").contains("5 of 5");
        assertThat(beginsWith(second, b)).isTrue();
        assertThat(Files.readAllBytes(a)).isEqualTo(before);
        Path register = temp.resolve("register.csv");
        StampRegister.write(outcome.files(), register);
        assertThat(Files.readAllLines(register)).hasSize(6)
                .anyMatch(line -> line.contains("TH-000104") && line.contains("B.pdf") && line.contains("B stamped.pdf"));
    }

    @Test
    void aTypefaceThatIsNotHereIsSaid() throws IOException {
        BundleNumber number = BundleNumber.STANDARD
                .withSetting(new MarkSetting(Spot.STANDARD, MarkLook.NUMBER.withFace(Face.of("system:Orchard Grotesque"))));
        Stamper.Outcome outcome = stamp(order(Optional.of(number), "", "", false, Pdfs.write(files, "A", 1)));
        assertThat(outcome.findings()).singleElement()
                .satisfies(finding -> assertThat(finding.message()).contains("typeface Orchard Grotesque"));
        assertThat(Pdfs.pages(out.resolve("A stamped.pdf")).getFirst()).contains("1");
    }

    @Test
    void inEachFileTheyCanBeginAnew() throws IOException {
        stamp(order(Optional.of(BundleNumber.STANDARD.withStart(7)), "", "", true, Pdfs.write(files, "A", 2),
                Pdfs.write(files, "B", 1)));
        assertThat(Pdfs.pages(out.resolve("A stamped.pdf")).get(1)).contains("8");
        assertThat(Pdfs.pages(out.resolve("B stamped.pdf")).get(0)).contains("7");
    }

    @Test
    void whatWasPutOnIsTakenOffByteForByteOrChanged() throws IOException {
        Path a = Pdfs.write(files, "A", 2);
        stamp(order(Optional.empty(), "TH-000101", "", false, a));
        Path stamped = out.resolve("A stamped.pdf");
        assertThat(Stamper.takenOff(stamped, temp.resolve("bare.pdf"), List.of())).isTrue();
        assertThat(Files.readAllBytes(temp.resolve("bare.pdf"))).isEqualTo(Files.readAllBytes(a));
        assertThat(Stamper.takenOff(a, temp.resolve("none.pdf"), List.of())).isFalse();
        assertThat(temp.resolve("none.pdf")).doesNotExist();
        Stamper.Outcome again = stamp(order(Optional.empty(), "X-1", "", false, stamped));
        assertThat(codes(again)).containsExactly(Code.STAMP_REPLACED);
        assertThat(Pdfs.pages(out.resolve("A stamped stamped.pdf")).getFirst()).contains("X-1").doesNotContain("TH-");
    }

    @Test
    void whatCameLaterStaysWhenTheMarksAreTakenOff() throws IOException {
        stamp(order(Optional.empty(), "TH-000101", "", false, Pdfs.write(files, "A", 1)));
        Path later = temp.resolve("later.pdf");
        try (PDDocument document = Loader.loadPDF(out.resolve("A stamped.pdf").toFile()); var to = Files.newOutputStream(later)) {
            document.getDocumentInformation().setTitle("Came later");
            document.getDocumentInformation().getCOSObject().setNeedToBeUpdated(true);
            document.getDocument().getTrailer().setItem(COSName.INFO, document.getDocumentInformation().getCOSObject());
            document.saveIncremental(to);
        }
        assertThat(Stamper.takenOff(later, temp.resolve("bare.pdf"), List.of())).isTrue();
        assertThat(Pdfs.pages(temp.resolve("bare.pdf")).getFirst()).contains("A-1").doesNotContain("TH-");
        try (PDDocument document = Loader.loadPDF(temp.resolve("bare.pdf").toFile())) {
            assertThat(document.getDocumentInformation().getTitle()).isEqualTo("Came later");
        }
    }

    @Test
    void lockedFilesKeepTheirLock() throws IOException {
        Path locked = files.resolve("L.pdf");
        try (PDDocument document = Loader.loadPDF(Pdfs.write(files, "A", 1).toFile())) {
            document.protect(new StandardProtectionPolicy("owner", "orchard", new AccessPermission()));
            document.save(locked.toFile());
        }
        assertThat(codes(stamp(order(Optional.of(BundleNumber.STANDARD), "", "", false, locked)))).isEmpty();
        try (PDDocument document = Loader.loadPDF(out.resolve("L stamped.pdf").toFile(), "orchard")) {
            assertThat(document.isEncrypted()).isTrue();
            assertThat(new PDFTextStripper().getText(document)).contains("A-1").contains("1");
        }
    }

    @Test
    void whatCannotBeStampedIsLeftOutTakesNoNumbersAndIsNamed() throws IOException {
        Path word = Files.writeString(files.resolve("W.docx"), "PK no pdf");
        Path broken = Files.write(files.resolve("X.pdf"), Arrays.copyOf(Files.readAllBytes(Pdfs.write(files, "A", 4)), 500));
        Path b = Pdfs.write(files, "B", 1);
        Stamper.Outcome outcome = stamp(order(Optional.of(BundleNumber.STANDARD.withTotal(true)), "", "", false, word, broken,
                files.resolve("gone.pdf"), b));
        assertThat(codes(outcome)).containsExactly(Code.STAMP_NO_PDF, Code.STAMP_DAMAGED, Code.NOT_READABLE);
        assertThat(Pdfs.pages(out.resolve("B stamped.pdf")).getFirst()).contains("1 of 1");
        assertThat(outcome.files()).hasSize(1);
        try (var left = Files.list(out)) {
            assertThat(left).hasSize(1);
        }
    }

    @Test
    void anOriginalIsNeverWrittenOverAndTwoOfOneNameStayTwo() throws IOException {
        Path a = Pdfs.write(files, "A", 1);
        StampOrder over = new StampOrder(List.of(a), files, "", "", Optional.of(BundleNumber.STANDARD), Optional.empty(),
                List.of(), false, LocalDateTime.now(), List.of());
        byte[] before = Files.readAllBytes(a);
        assertThatThrownBy(() -> stamp(over)).hasMessageContaining("A.pdf");
        assertThat(Files.readAllBytes(a)).isEqualTo(before);
        Path other = Pdfs.write(Files.createDirectories(files.resolve("other")), "A", 1);
        stamp(order(Optional.of(BundleNumber.STANDARD), "", "", false, a, other));
        assertThat(Pdfs.pages(out.resolve("A stamped (2).pdf")).getFirst()).contains("2");
        assertThat(Stamper.pdfs(List.of(files))).containsExactly(a, other);
    }

    @Test
    void digitsThatRunOutAreSaid() throws IOException {
        assertThat(stamp(order(Optional.empty(), "X-8", "", false, Pdfs.write(files, "A", 3))).findings().getFirst().message())
                .contains("after X-9").isNotEmpty();
    }

    @Test
    void everyWayToWriteAPdfIsGoneOnWith() throws IOException {
        for (String kind : List.of("plain", "updated", "hybrid", "linearised")) {
            Path file = Files.write(files.resolve(kind + ".pdf"), switch (kind) {
                case "plain" -> RawPdf.plain("1.7", "Words");
                case "updated" -> RawPdf.updated("Words");
                case "hybrid" -> RawPdf.hybrid("Words");
                default -> RawPdf.linearised("Words");
            });
            Stamper.Outcome outcome = stamp(order(Optional.empty(), "TH-000777", "", false, file));
            assertThat(outcome.findings()).as(kind).isEmpty();
            assertThat(Pdfs.pages(outcome.files().getFirst().target()).getFirst()).as(kind).contains("Words")
                    .contains("TH-000777");
            assertThat(new String(Files.readAllBytes(outcome.files().getFirst().target()), StandardCharsets.ISO_8859_1))
                    .contains("PieceInfo");
        }
    }

    @Test
    void whatNothingCanBeTakenOffIsNamed() throws IOException {
        Path word = Files.writeString(files.resolve("W.pdf"), "PK no pdf");
        assertThatThrownBy(() -> Stamper.takenOff(word, out.resolve("W.pdf"), List.of())).hasMessageContaining("W.pdf")
                .hasMessageContaining("no PDF");
        assertThatThrownBy(() -> Stamper.takenOff(files.resolve("gone.pdf"), out.resolve("W.pdf"), List.of()))
                .hasMessageContaining("gone.pdf");
        Path a = Pdfs.write(files, "A", 1);
        assertThatThrownBy(() -> Stamper.takenOff(a, a, List.of())).hasMessageContaining("A.pdf");
        assertThat(out.resolve("W.pdf")).doesNotExist();
    }
}
