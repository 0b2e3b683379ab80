package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.yellowtab.edit.Edits;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.Progress;
import app.yellowtab.ink.GreyPicture;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.prove.Prover;
import app.yellowtab.recognise.ReadWord;
import app.yellowtab.recognise.TextRecogniser;
import app.yellowtab.testing.Pdfs;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import org.apache.pdfbox.pdmodel.graphics.state.RenderingMode;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * A page of paper with four lines, the first 30 mm from above and each 12 mm below the one before, and words by somebody else
 * that stand a line lower than they are seen. The second line is redacted where it is seen. Read by the engine itself.
 */
class RedactedPaperTests extends OneSource {
    private static final double MM = 72 / 25.4;
    private static final String SECRET = "Vexillology";
    private static final List<String> LINES =
            List.of("The weighbridge was opened early", "Advice about " + SECRET + " privileged",
                    "Harvest ledgers were delivered", "Nothing further happened afterwards");

    @BeforeEach
    void redact() {
        PageLook look = PageLook.PLAIN.withRedactions(List.of(new Redaction(new Area(18, 34, 170, 11), "", false)));
        choices = bundle -> Edits.changeDocument(bundle, bundle.contents().documents().getFirst().id(), document -> {
            SourcePages pages = (SourcePages) document.runs().getFirst();
            return document.withRuns(List.of(pages.withLook(look)));
        });
    }

    private static void lines(PDPageContentStream content, double lowerMm) throws IOException {
        for (int i = 0; i < LINES.size(); i++) {
            content.beginText();
            content.setFont(new PDType1Font(Standard14Fonts.FontName.HELVETICA), 18);
            content.newLineAtOffset((float) (20 * MM), (float) ((297 - 30 - 12 * i - lowerMm) * MM));
            content.showText(LINES.get(i));
            content.endText();
        }
    }

    /** @param isBeneath whether the words are drawn beneath the picture; otherwise they are not drawn at all */
    private static void paper(PDDocument document, boolean isBeneath) throws IOException {
        BufferedImage picture;
        try (PDDocument printed = new PDDocument()) {
            try (PDPageContentStream content = new PDPageContentStream(printed, Pdfs.addPage(printed, PDRectangle.A4))) {
                lines(content, 0);
            }
            picture = new PDFRenderer(printed).renderImageWithDPI(0, 200);
        }
        try (PDPageContentStream content = new PDPageContentStream(document, document.getPage(0))) {
            if (isBeneath) lines(content, 12);
            content.drawImage(LosslessFactory.createFromImage(document, picture), 0, 0, PDRectangle.A4.getWidth(),
                    PDRectangle.A4.getHeight());
            if (!isBeneath) {
                content.setRenderingMode(RenderingMode.NEITHER);
                lines(content, 12);
            }
        }
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void wordsBehindAPageOfPaperAreThoseThatAreStillSeenInIt(boolean isBeneath) throws IOException {
        Outcome.Written written = produce(1, document -> paper(document, isBeneath));
        assertThat(allObjects()).doesNotContain(SECRET);
        assertThat(Pdfs.pages(target).get(2)).contains("weighbridge").contains("Harvest").contains("Nothing")
                .doesNotContain(SECRET).doesNotContain("Advice").doesNotContain("privileged");
        assertThat(codes(written)).containsExactly(Code.REDACTED);
        assertThat(Prover.standard().prove(target, Progress.NONE, () -> false).orElseThrow().findings()).isEmpty();
        assertThat(rightWords()).as("words stand where they are seen").isTrue();
    }

    /** {@return whether "Harvest" is said to stand on the third line} */
    private boolean rightWords() throws IOException {
        try (PDDocument produced = Loader.loadPDF(target.toFile())) {
            var stripper = new org.apache.pdfbox.text.PDFTextStripperByArea();
            stripper.addRegion("third", new java.awt.geom.Rectangle2D.Double(15 * MM, 46 * MM, 100 * MM, 10 * MM));
            stripper.extractRegions(produced.getPage(2));
            return stripper.getTextForRegion("third").contains("Harvest");
        }
    }

    @Test
    void aProofReadsThePictureAndFindsWordsThatAreNotSeenInIt() throws IOException {
        produce(1, document -> paper(document, false));
        TextRecogniser other = mock(TextRecogniser.class);
        when(other.languages()).thenReturn("eng");
        when(other.engine()).thenReturn("other");
        when(other.read(any())).thenAnswer(call -> everywhere(call.getArgument(0)));
        assertThat(Prover.by(() -> other).prove(target, Progress.NONE, () -> false).orElseThrow().findings())
                .extracting(Finding::code).containsExactly(Code.PROOF_REDACTION);
    }

    /** {@return a word that is on no line, a hundred times} */
    private static List<ReadWord> everywhere(GreyPicture picture) {
        List<ReadWord> words = new ArrayList<>();
        for (int line = 0; line < 20; line++) for (int i = 0; i < 10; i++)
            words.add(new ReadWord(line, "zzzzzz", picture.width() * i / 10, picture.height() * line / 40, picture.width() / 10,
                    picture.height() / 40, 95));
        return words;
    }
}
