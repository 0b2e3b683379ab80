package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.Progress;
import app.yellowtab.prove.Prover;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A page whose own content has errors bears its number all the same, in every reader. */
class UnsoundContentTests extends OneSource {
    @ParameterizedTest
    @ValueSource(strings = {"xxx 0 0 yyy 0 0 cm /Im0 Do", "BT /F1 12 Tf 100 100 Td (open", "BT BT", "/P <</A [1 2",
            "BI /W 100 /H 100 /BPC 8 /CS /G ID abc",
            "[ (a) (b)", "1 0 0 1 0 0 cm ( unbalanced", "<< /A << /B", "( ) ) ) Tj", "<4x> Tj", "/Im0 Do Q Q ET ET EMC",
            "1 1 1 1 1 1 1 1 re 0 0 m", "q q q { } { }"})
    void theNumberIsThereAndProved(String content) throws IOException {
        Outcome.Written written = produce(1, document -> content(document, "0.9 g 100 300 200 200 re f " + content));
        assertThat(codes(written)).doesNotContain(Code.PAGE_LOST);
        assertLooksTheSame();
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            assertThat(leaf(document, 3).getResources().getXObjectNames()).hasSize(1);
        }
        assertThat(Pdfs.pages(target).get(2)).endsWith("3");
        assertThat(otherReader()).endsWith(">3</word>");
        assertThat(Prover.standard().prove(target, Progress.NONE, () -> false).orElseThrow().findings()).isEmpty();
        assertThat(Files.readString(folder.resolve("bundle.ledger.json"))).contains("\"resources\":\"all\"");
    }

    /** The library looks for the end of an inline picture in another way than others, and does not find this one. */
    @Test
    void aPictureWhoseEndIsFoundInAnotherWay() throws IOException {
        produce(1, document -> content(document,
                "BT ET BI /W 2 /H 2 /BPC 8 /CS /G ID \u0001\u0002\r\nEI\nBT /F1 24 Tf 72 720 Td (Potato) Tj ET"));
        assertThat(Pdfs.pages(target).get(2)).endsWith("3");
        assertThat(otherReader()).endsWith(">3</word>");
        assertThat(Prover.standard().prove(target, Progress.NONE, () -> false).orElseThrow().findings()).isEmpty();
    }

    @Test
    void contentWhosePackingIsDamagedIsThereAsFarAsItGoes() throws IOException {
        produce(1, document -> {
            COSStream stream = document.getDocument().createCOSStream();
            try (OutputStream out = stream.createOutputStream()) {
                out.write("0 0 50 50 re f ".repeat(2000).getBytes());
            }
            byte[] packed = stream.createRawInputStream().readAllBytes();
            try (OutputStream out = stream.createRawOutputStream()) {
                out.write(packed, 0, packed.length / 2);
                out.write(new byte[] {7, 7, 7, 7, 7, 7, 7, 7});
            }
            stream.setItem(COSName.FILTER, COSName.FLATE_DECODE);
            document.getPage(0).getCOSObject().setItem(COSName.CONTENTS, stream);
        });
        assertThat(Pdfs.pages(target).get(2)).endsWith("3");
        assertThat(otherReader()).endsWith(">3</word>");
        assertThat(Prover.standard().prove(target, Progress.NONE, () -> false).orElseThrow().findings()).isEmpty();
    }

    @Test
    void soundContentIsCarriedAsItIs() throws IOException {
        produce(1, document -> {});
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            assertThat(leaf(document, 3).getResources().getXObjectNames()).isEmpty();
        }
        assertThat(Files.readString(folder.resolve("bundle.ledger.json"))).doesNotContain("\"resources\"");
    }

    /** {@return the last word of leaf 3 as poppler reads it, where that is installed} */
    private String otherReader() throws IOException {
        assumeThat(Files.isExecutable(Path.of("/usr/bin/pdftotext"))).isTrue();
        Path words = folder.resolve("words.html");
        try {
            new ProcessBuilder("/usr/bin/pdftotext", "-bbox", "-f", "3", "-l", "3", target.toString(), words.toString())
                    .redirectError(ProcessBuilder.Redirect.DISCARD).start().waitFor();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
        return Files.readString(words, StandardCharsets.UTF_8).lines().filter(line -> line.contains("<word")).reduce("",
                (first, second) -> second);
    }

    @ParameterizedTest
    @ValueSource(strings = {"0 0 0 0", "0 0 500 0", "50 50 50 700"})
    void aPageWithoutExtentGetsASheetAndItsNumber(String box) throws IOException {
        Outcome.Written written = produce(1, document -> {
            String[] sides = box.split(" ");
            document.getPage(0).setMediaBox(new PDRectangle(Float.parseFloat(sides[0]), Float.parseFloat(sides[1]),
                    Float.parseFloat(sides[2]) - Float.parseFloat(sides[0]),
                    Float.parseFloat(sides[3]) - Float.parseFloat(sides[1])));
        });
        assertThat(codes(written)).containsExactly(Code.PAGE_WITHOUT_SIZE);
        assertThat(Pdfs.pages(target).get(2)).endsWith("3");
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            assertThat(leaf(document, 3).getCropBox().getHeight()).isBetween(841f, 843f);
        }
        assertThat(Prover.standard().prove(target, Progress.NONE, () -> false).orElseThrow().findings()).isEmpty();
    }

    @Test
    void aVisiblePartOutsideOfTheSheetIsTheWholeSheet() throws IOException {
        Outcome.Written written = produce(1, document -> {
            COSDictionary page = document.getPage(0).getCOSObject();
            page.setItem(COSName.CROP_BOX, new PDRectangle(2000, 2000, 100, 100).getCOSArray());
        });
        assertThat(written.findings()).isEmpty();
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            assertThat(leaf(document, 3).getCropBox().getHeight()).isBetween(841f, 843f);
        }
    }
}
