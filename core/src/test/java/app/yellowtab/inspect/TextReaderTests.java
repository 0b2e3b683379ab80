package app.yellowtab.inspect;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.yellowtab.facts.PageText;
import app.yellowtab.input.PdfInput;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts.FontName;
import org.apache.pdfbox.util.Matrix;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TextReaderTests {
    private static final double MM_PER_PT = 25.4 / 72;
    @TempDir
    private Path folder;

    private TextReader.Read read(Consumer<PDDocument> change) throws IOException {
        try (PdfInput input = PdfInput.open(Pdfs.write(folder, "P", 1, change), List.of());
                TextReader reader = new TextReader(input)) {
            return reader.read(1);
        }
    }

    /** Sets words with their lower left corner at a place of the page as it is seen, in points from the upper left. */
    private static void set(PDDocument document, PDPage page, String words, double left, double top) {
        try (var content = new PDPageContentStream(document, page, PDPageContentStream.AppendMode.OVERWRITE, true)) {
            PDRectangle box = page.getCropBox();
            double height = page.getRotation() % 180 == 0 ? box.getHeight() : box.getWidth();
            double x = left;
            double y = height - top;
            Matrix at = switch (page.getRotation()) {
                case 90 -> new Matrix(0, 1, -1, 0, (float) (box.getUpperRightX() - y), (float) (box.getLowerLeftY() + x));
                case 180 -> new Matrix(-1, 0, 0, -1, (float) (box.getUpperRightX() - x), (float) (box.getUpperRightY() - y));
                case 270 -> new Matrix(0, -1, 1, 0, (float) (box.getLowerLeftX() + y), (float) (box.getUpperRightY() - x));
                default -> new Matrix(1, 0, 0, 1, (float) (box.getLowerLeftX() + x), (float) (box.getLowerLeftY() + y));
            };
            content.beginText();
            content.setFont(new PDType1Font(FontName.HELVETICA), 12);
            content.setTextMatrix(at);
            content.showText(words);
            content.endText();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 90, 180, 270})
    void wordsStandWhereTheReaderSeesThemHoweverThePageIsTurnedAndCropped(int turn) throws IOException {
        TextReader.Read read = read(document -> {
            PDPage page = document.getPage(0);
            page.setMediaBox(new PDRectangle(-50, -20, 700, 900));
            page.setCropBox(new PDRectangle(30, 40, 500, 600));
            page.setRotation(turn);
            set(document, page, "Invoice TH-1", 100, 150);
        });
        assertThat(read.text().text()).isEqualTo("Invoice TH-1\n");
        List<PageText.Word> line = read.text().lines().getFirst();
        assertThat((double) line.getFirst().leftMm()).isCloseTo(100 * MM_PER_PT, within(0.5));
        assertThat((double) line.getFirst().topMm() + line.getFirst().heightMm()).isCloseTo(150 * MM_PER_PT, within(0.5));
        assertThat((double) line.getFirst().widthMm()).isCloseTo(38.7 * MM_PER_PT, within(1.0));
        assertThat(line.get(1).leftMm()).isGreaterThan(line.getFirst().rightMm());
        assertThat(read.isBlank()).isFalse();
    }

    @Test
    void aUserUnitMakesAllLarger() throws IOException {
        TextReader.Read read = read(document -> {
            document.getPage(0).setUserUnit(2);
            set(document, document.getPage(0), "word", 72, 144);
        });
        assertThat((double) read.text().lines().getFirst().getFirst().leftMm()).isCloseTo(50.8, within(0.5));
    }

    @Test
    void aPageIsBlankWhereNothingIsDrawn() throws IOException {
        assertThat(read(document -> document.getPage(0).setContents(List.of())).isBlank()).isTrue();
        TextReader.Read line = read(document -> {
            try (var content =
                    new PDPageContentStream(document, document.getPage(0), PDPageContentStream.AppendMode.OVERWRITE, false)) {
                content.moveTo(0, 0);
                content.lineTo(100, 100);
                content.stroke();
            } catch (IOException e) {
                throw new IllegalStateException(e);
            }
        });
        assertThat(line.isBlank()).as("a line is drawn").isFalse();
        assertThat(line.text()).isSameAs(PageText.NONE);
    }
}
