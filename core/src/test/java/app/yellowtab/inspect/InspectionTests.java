package app.yellowtab.inspect;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.facts.PageFacts;
import app.yellowtab.facts.PageSet;
import app.yellowtab.facts.PrintedSeries;
import app.yellowtab.facts.SheetSize;
import app.yellowtab.input.PdfInput;
import app.yellowtab.model.source.SourceKind;
import app.yellowtab.testing.Conversions;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.BitSet;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdfwriter.compress.CompressParameters;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import org.apache.pdfbox.pdmodel.graphics.optionalcontent.PDOptionalContentGroup;
import org.apache.pdfbox.pdmodel.graphics.optionalcontent.PDOptionalContentProperties;
import org.apache.pdfbox.pdmodel.graphics.state.RenderingMode;
import org.apache.pdfbox.pdmodel.interactive.action.PDActionJavaScript;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationLink;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationText;
import org.apache.pdfbox.pdmodel.interactive.form.PDAcroForm;
import org.apache.pdfbox.pdmodel.interactive.form.PDTextField;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is said of a file must be so. */
class InspectionTests {
    @TempDir
    private Path folder;

    private static Inspection inspect(Path file) throws IOException {
        try (PdfInput input = PdfInput.open(file, List.of())) {
            return Inspection.of(input);
        }
    }

    /** Draws on a page. */
    private interface Drawing {
        void on(PDPageContentStream content, PDDocument document, int page) throws IOException;
    }

    private Path pdf(int pages, PDRectangle size, Drawing drawing, Consumer<PDDocument> change) throws IOException {
        Path file = folder.resolve("a.pdf");
        try (PDDocument document = new PDDocument()) {
            for (int i = 1; i <= pages; i++) {
                PDPage page = new PDPage(size);
                document.addPage(page);
                try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                    drawing.on(content, document, i);
                }
            }
            change.accept(document);
            document.save(file.toFile());
        }
        return file;
    }

    private PageFacts facts(int pages, Drawing drawing) throws IOException {
        return inspect(pdf(pages, PDRectangle.A4, drawing, document -> {})).facts();
    }

    private static void say(PDPageContentStream content, String words, float x, float y, float size) throws IOException {
        content.beginText();
        content.setFont(new PDType1Font(Standard14Fonts.FontName.HELVETICA), size);
        content.newLineAtOffset(x, y);
        content.showText(words);
        content.endText();
    }

    private static void scan(PDPageContentStream content, PDDocument document) throws IOException {
        content.drawImage(LosslessFactory.createFromImage(document, new BufferedImage(60, 80, BufferedImage.TYPE_BYTE_GRAY)), 0,
                0, 595, 842);
    }

    @Test
    void aScanIsKnownFromADigitalPageAndSearchableFromNot() throws IOException {
        PageFacts facts = facts(4, (content, document, page) -> {
            if (page != 1) scan(content, document);
            if (page == 1) say(content, "A page that was written by a program", 72, 700, 11);
            if (page == 3) {
                content.setRenderingMode(RenderingMode.NEITHER);
                say(content, "recognised words behind the picture", 72, 700, 11);
            }
        });
        assertThat(facts.scanned()).isEqualTo(new PageSet("2-4"));
        assertThat(facts.searchable()).isEqualTo(new PageSet("1,3"));
    }

    @Test
    void aSmallPictureMakesNoScan() throws IOException {
        PageFacts facts = facts(1,
                (content, document, page) -> content.drawImage(
                        LosslessFactory.createFromImage(document, new BufferedImage(60, 80, BufferedImage.TYPE_BYTE_GRAY)), 100,
                        100, 100, 100));
        assertThat(facts.scanned().count()).isZero();
    }

    @Test
    void aRunningSeriesAtTheFootIsRecognised() throws IOException {
        PageFacts facts = facts(6, (content, document, page) -> {
            say(content, "Paragraph 14 of the text", 72, 500, 11);
            if (page != 3) say(content, String.valueOf(page + 40), 290, 30, 9);
        });
        assertThat(facts.printed()).contains(new PrintedSeries(41, 46, true, ""));
    }

    @Test
    void aSeriesWithLettersAtTheHeadIsRecognised() throws IOException {
        PageFacts facts = facts(4,
                (content, document, page) -> say(content, String.format(Locale.ROOT, "TH-%06d", page + 122), 480, 815, 9));
        assertThat(facts.printed()).contains(new PrintedSeries(123, 126, false, "TH-"));
    }

    @Test
    void pageOfPagesIsASeriesAndAYearIsNone() throws IOException {
        assertThat(facts(3, (content, document, page) -> say(content, "Page " + page + " of 3", 270, 25, 9)).printed())
                .contains(new PrintedSeries(1, 3, true, ""));
        assertThat(facts(3, (content, document, page) -> say(content, "2031", 270, 25, 9)).printed()).isEmpty();
    }

    @Test
    void sizesAreThoseOfTheSheetAsItIsShown() throws IOException {
        Path file = pdf(3, PDRectangle.A4, (content, document, page) -> {}, document -> document.getPage(2).setRotation(90));
        assertThat(inspect(file).facts().sizes()).containsExactly(new SheetSize(210, 297, 2), new SheetSize(297, 210, 1));
        assertThat(inspect(file).facts().sizes()).extracting(SheetSize::shown).containsExactly("A4", "A4 landscape");
        assertThat(new SheetSize(100, 500, 1).shown()).isEqualTo("100 × 500 mm");
    }

    @Test
    void whatItCarriesIsCounted() throws IOException {
        Path file = pdf(1, PDRectangle.A4, (content, document, page) -> {}, document -> {
            PDAnnotationText comment = new PDAnnotationText();
            comment.setRectangle(new PDRectangle(10, 10, 20, 20));
            PDAnnotationLink link = new PDAnnotationLink();
            link.setRectangle(new PDRectangle(10, 10, 20, 20));
            PDAcroForm form = new PDAcroForm(document);
            PDTextField field = new PDTextField(form);
            field.setPartialName("name");
            form.setFields(List.of(field));
            document.getDocumentCatalog().setAcroForm(form);
            PDOptionalContentProperties layers = new PDOptionalContentProperties();
            PDOptionalContentGroup hidden = new PDOptionalContentGroup("draft");
            layers.addGroup(hidden);
            layers.addGroup(new PDOptionalContentGroup("plan"));
            layers.setGroupEnabled(hidden, false);
            document.getDocumentCatalog().setOCProperties(layers);
            document.getDocumentCatalog().setOpenAction(new PDActionJavaScript("app.alert('x')"));
            try {
                document.getPage(0).setAnnotations(List.of(comment, link));
            } catch (RuntimeException e) {
                throw new IllegalStateException(e);
            }
        });
        PageFacts facts = inspect(file).facts();
        assertThat(List.of(facts.comments(), facts.fields(), facts.layers(), facts.hiddenLayers(), facts.scripts(),
                facts.signatures())).containsExactly(1, 1, 2, 1, 1, 0);
    }

    @Test
    void fontsThatAreNotInTheFileAreNamed() throws IOException {
        assertThat(facts(1, (content, document, page) -> say(content, "words", 72, 700, 11)).fontsMissing())
                .containsExactly("Helvetica");
        Path text = Files.writeString(folder.resolve("note.txt"), "words");
        assertThat(inspect(Conversions.of(text, SourceKind.TEXT).pdf()).facts().fontsMissing()).isEmpty();
    }

    @Test
    void theSamePagesHaveTheSamePrintsWhateverHoldsThem() throws IOException {
        Path packed = pdf(3, PDRectangle.A4, (content, document, page) -> {
            say(content, "page " + page, 72, 700, 11);
            scan(content, document);
        }, document -> {});
        Path loose = folder.resolve("loose.pdf");
        try (PDDocument document = Loader.loadPDF(packed.toFile())) {
            document.getDocumentCatalog().getCOSObject().setString(COSName.getPDFName("Lang"), "en");
            document.save(loose.toFile(), CompressParameters.NO_COMPRESSION);
        }
        PageFacts facts = inspect(packed).facts();
        assertThat(Files.readAllBytes(loose)).isNotEqualTo(Files.readAllBytes(packed));
        assertThat(inspect(loose).facts().showTheSame(facts)).isTrue();
        assertThat(facts.print(1).orElseThrow()).hasSize(32).isNotEqualTo(facts.print(2).orElseThrow());
    }

    @Test
    void theFirstPageIsReadInLinesFromAbove() throws IOException {
        Path file = pdf(1, PDRectangle.A4, (content, document, page) -> {
            say(content, "lower", 72, 300, 11);
            say(content, "Witness", 72, 700, 18);
            say(content, "statement", 150, 700, 18);
        }, document -> {});
        assertThat(inspect(file).firstPage()).extracting(Inspection.FirstLine::text).containsExactly("Witness statement",
                "lower");
        assertThat(inspect(file).firstPage().getFirst().sizePt()).isEqualTo(18);
    }

    @Test
    void aSetOfPagesIsWrittenShort() {
        BitSet pages = new BitSet();
        pages.set(1, 4);
        pages.set(7);
        assertThat(PageSet.of(pages).ranges()).isEqualTo("1-3,7");
        assertThat(PageSet.of(pages).pages()).isEqualTo(pages);
        assertThat(PageSet.of(pages).count()).isEqualTo(4);
    }
}
