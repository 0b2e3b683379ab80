package app.yellowtab.mark;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.yellowtab.pdf.FontSet;
import app.yellowtab.pdf.PageFrame;
import app.yellowtab.testing.Pdfs;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The number is looked for where a reader would: on the drawn page. */
class MarkSetterTests {
    private static final int DPI = 254;    // ten pixels to a millimetre
    @TempDir
    private Path folder;

    private BufferedImage stamped(PDRectangle media, PDRectangle crop, int rotation, int number) throws IOException {
        Path file = folder.resolve("stamped.pdf");
        try (PDDocument document = new PDDocument()) {
            PDPage page = Pdfs.addPage(document, media);
            page.setCropBox(crop);
            page.setRotation(rotation);
            stamp(document, page, number);
            document.save(file.toFile());
        }
        assertThat(Pdfs.pages(file)).containsExactly(String.valueOf(number));
        return Pdfs.picture(file, 1, DPI);
    }

    private static void stamp(PDDocument document, PDPage page, int number) throws IOException {
        FontSet fonts = FontSet.forSaving(document);
        MarkSetter setter =
                new MarkSetter(fonts, Map.of(MarkLook.NUMBER.face(), "0123456789".chars().boxed().collect(Collectors.toSet())));
        Mark mark = new Mark(Mark.BUNDLE_NUMBER, String.valueOf(number), Spot.STANDARD, MarkLook.NUMBER);
        page.setResources(new PDResources());
        COSName font = page.getResources().add(fonts.get(MarkLook.NUMBER.face()));
        PDStream content = new PDStream(document);
        try (OutputStream out = content.createOutputStream()) {
            out.write(setter.set(List.of(mark), PageFrame.of(page), face -> font.getName(), opacity -> "").operators()
                    .getBytes(StandardCharsets.US_ASCII));
        }
        page.setContents(content);
        fonts.complete();
    }

    private static void assertAtTheBottomRight(BufferedImage picture) {
        int[] ink = Pdfs.ink(picture);
        assertThat(picture.getWidth() - ink[2]).as("from the right, in tenths of a millimetre").isCloseTo(100, within(6));
        assertThat(picture.getHeight() - ink[3]).as("from the bottom, in tenths of a millimetre").isCloseTo(100, within(6));
        assertThat(ink[2] - ink[0]).as("upright: four figures are wider than high").isGreaterThan(ink[3] - ink[1]);
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 90, 180, 270, -90, 450})
    void tenMillimetresFromTheEdgesHoweverThePageIsTurned(int rotation) throws IOException {
        assertAtTheBottomRight(stamped(PDRectangle.A4, PDRectangle.A4, rotation, 1204));
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 90, 180, 270})
    void insideTheVisiblePartOfACroppedPage(int rotation) throws IOException {
        assertAtTheBottomRight(stamped(PDRectangle.A4, new PDRectangle(60, 90, 400, 500), rotation, 1204));
    }

    @Test
    void onPagesThatDoNotBeginAtZero() throws IOException {
        PDRectangle shifted = new PDRectangle(-300, 700, 595, 842);
        assertAtTheBottomRight(stamped(shifted, shifted, 90, 1204));
    }

    @Test
    void onOddSizes() throws IOException {
        assertAtTheBottomRight(stamped(PDRectangle.A3, PDRectangle.A3, 0, 1204));
        assertAtTheBottomRight(stamped(new PDRectangle(842, 300), new PDRectangle(842, 300), 0, 1204));
    }

    @Test
    void aTinyPageStillShowsTheWholeNumber() throws IOException {
        int[] ink = Pdfs.ink(stamped(new PDRectangle(50, 30), new PDRectangle(50, 30), 0, 123456));
        assertThat(ink[0]).isPositive();
        assertThat(ink[2]).isGreaterThan(ink[0]).isLessThan(50 * DPI / 72);
    }

    @Test
    void userUnitsAreAllowedFor() throws IOException {
        try (PDDocument document = new PDDocument()) {
            PDPage page = Pdfs.addPage(document, new PDRectangle(300, 400));
            page.getCOSObject().setFloat(COSName.getPDFName("UserUnit"), 2);
            stamp(document, page, 7);
            String content = new String(page.getContents().readAllBytes(), StandardCharsets.ISO_8859_1);
            assertThat(content).contains("0.5 0 0 0.5").contains("14.1");    // 10 mm are 28.35 pt, or 14.17 units of 2 pt
        }
    }

    @Test
    void theFontIsEmbeddedAndTheNumberMarkedAsPagination() throws IOException {
        stamped(PDRectangle.A4, PDRectangle.A4, 0, 9);
        try (PDDocument document = Loader.loadPDF(folder.resolve("stamped.pdf").toFile())) {
            PDPage page = document.getPage(0);
            for (var name : page.getResources().getFontNames()) {
                PDFont font = page.getResources().getFont(name);
                assertThat(font.isEmbedded()).isTrue();
                assertThat(font.getName()).contains("Atkinson");
            }
            assertThat(page.getResources().getFontNames()).hasSize(1);
            assertThat(new String(page.getContents().readAllBytes(), StandardCharsets.ISO_8859_1))
                    .contains("/Artifact").contains("BDC").contains("EMC");
        }
    }
}
