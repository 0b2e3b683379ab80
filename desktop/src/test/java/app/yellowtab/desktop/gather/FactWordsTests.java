package app.yellowtab.desktop.gather;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.source.Source;
import app.yellowtab.store.BundleFolder;
import app.yellowtab.testing.Pdfs;
import app.yellowtab.testing.WordFile;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import org.apache.pdfbox.pdmodel.interactive.action.PDActionJavaScript;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationText;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What the list says of a file, from the file itself. */
class FactWordsTests {
    @TempDir
    private Path temp;
    private BundleFolder folder;

    @BeforeEach
    void open() throws IOException {
        folder = BundleFolder.create(temp.resolve("bundle"), Bundle.EMPTY);
    }

    @AfterEach
    void close() {
        folder.close();
    }

    private Source read(Path file) {
        return new Intake(folder).bringIn(FoundFolder.of(List.of(file), new ArrayList<>()), Intake.Listener.NONE, () -> false)
                .sources().getFirst();
    }

    private String line(Path file) {
        return FactWords.line(read(file), 0);
    }

    private Path pdf(int pages, Consumer<PDDocument> change) throws IOException {
        return Pdfs.write(temp, "file", pages, change);
    }

    private static void scan(PDDocument document, int index) {
        PDPage page = document.getPage(index);
        try (var content = new PDPageContentStream(document, page, PDPageContentStream.AppendMode.OVERWRITE, true)) {
            content.drawImage(LosslessFactory.createFromImage(document, new BufferedImage(60, 80, BufferedImage.TYPE_BYTE_GRAY)),
                    0, 0, 595, 842);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void foot(PDDocument document, int index, String words) {
        try (var content =
                new PDPageContentStream(document, document.getPage(index), PDPageContentStream.AppendMode.APPEND, true)) {
            content.beginText();
            content.setFont(new PDType1Font(Standard14Fonts.FontName.HELVETICA), 9);
            content.newLineAtOffset(280, 25);
            content.showText(words);
            content.endText();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void whatIsOrdinaryIsNotSpokenOf() throws IOException {
        assertThat(line(pdf(1, document -> {}))).isEqualTo("PDF  ·  1 page");
        assertThat(line(pdf(12, document -> {}))).isEqualTo("PDF  ·  12 pages");
    }

    @Test
    void aScanIsSpokenOfWithWhetherItCanBeSearched() throws IOException {
        assertThat(line(pdf(2, document -> {
            scan(document, 0);
            scan(document, 1);
        }))).isEqualTo("PDF  ·  2 pages  ·  scanned, not searchable");
        assertThat(line(pdf(3, document -> scan(document, 1))))
                .isEqualTo("PDF  ·  3 pages  ·  1 of 3 pages scanned, partly searchable");
    }

    @Test
    void numbersThatItCarriesAreSpokenOf() throws IOException {
        assertThat(line(pdf(14, document -> {
            for (int i = 0; i < 14; i++) foot(document, i, String.valueOf(i + 1));
        }))).isEqualTo("PDF  ·  14 pages  ·  carries 1–14 at the foot");
    }

    @Test
    void theWeightiestComesFirstAndTheRestIsInTheGlance() throws IOException {
        Source source = read(pdf(2, document -> {
            PDAnnotationText comment = new PDAnnotationText();
            comment.setRectangle(new PDRectangle(10, 10, 20, 20));
            document.getPage(0).setAnnotations(List.of(comment));
            document.getPage(0).setMediaBox(PDRectangle.LETTER);
            document.getPage(1).setMediaBox(PDRectangle.LETTER);
            document.getDocumentCatalog().setOpenAction(new PDActionJavaScript("app.alert('x')"));
            foot(document, 0, "7");
            foot(document, 1, "8");
        }));
        assertThat(FactWords.line(source, 0)).isEqualTo("PDF  ·  2 pages  ·  carries 7–8 at the foot  ·  1 comment  ·  1 script");
        assertThat(FactWords.all(source, 0)).contains("Letter size", "1 comment", "1 script", "Font not in the file: Helvetica")
                .doesNotHaveDuplicates();
        assertThat(FactWords.all(source, 0).getFirst()).startsWith("file.pdf, ");
    }

    @Test
    void aConversionSaysHowItWasMadeAndWhatItLacks() throws IOException {
        String changed = "<w:p>" + WordFile.run("kept") + "<w:del><w:r><w:delText>taken out</w:delText></w:r></w:del></w:p>";
        Source source = read(new WordFile(changed).write(temp, "draft.docx"));
        assertThat(FactWords.line(source, 0)).isEqualTo("Word document  ·  1 page");
        assertThat(FactWords.all(source, 0)).contains("Set on pages by Yellow Tab itself.")
                .anyMatch(line -> line.contains("draft.docx has tracked changes (0 put in, 1 taken out)"));
    }

    @Test
    void whatCannotBeReadSaysWhy() throws IOException {
        assertThat(line(Files.writeString(temp.resolve("broken.pdf"), "%PDF-1.7\nnothing more")))
                .isEqualTo("cannot be read: damaged");
        assertThat(line(Files.createFile(temp.resolve("empty.docx")))).isEqualTo("cannot be read: the file is empty");
        assertThat(FactWords.all(read(Files.writeString(temp.resolve("cut.pdf"), "%PDF-1.7\nnothing more")), 0))
                .anyMatch(line -> line.contains("cut.pdf") && line.contains("damaged"));
    }
}
