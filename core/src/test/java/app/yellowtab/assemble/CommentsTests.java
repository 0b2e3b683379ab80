package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.finding.Finding.Code;
import app.yellowtab.model.Comments;
import app.yellowtab.model.FromSources;
import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.color.PDColor;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceRGB;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotation;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationPopup;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationSquare;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What becomes of comments, as the bundle says. */
class CommentsTests extends OneSource {
    /** A red frame with a pop-up, on the second page. */
    private static void comment(PDDocument document) throws IOException {
        PDPage page = document.getPage(1);
        PDAnnotationSquare frame = new PDAnnotationSquare();
        frame.setRectangle(new PDRectangle(100, 550, 200, 60));
        frame.setColor(new PDColor(new float[] {1, 0, 0}, PDDeviceRGB.INSTANCE));
        frame.setContents("WEAK POINT");
        frame.setPrinted(true);
        frame.constructAppearances(document);
        PDAnnotationPopup popup = new PDAnnotationPopup();
        popup.setRectangle(new PDRectangle(320, 550, 100, 60));
        popup.setParent(frame);
        frame.setPopup(popup);
        page.setAnnotations(List.of(frame, popup));
    }

    @ParameterizedTest
    @EnumSource
    void keptFlattenedOrDropped(Comments comments) throws IOException {
        choices = bundle -> bundle.withFromSources(new FromSources(comments, 3));
        Outcome.Written written = produce(2, CommentsTests::comment);
        assertThat(codes(written)).containsExactly(switch (comments) {
            case KEPT -> Code.COMMENTS_KEPT;
            case FLATTENED -> Code.COMMENTS_FLATTENED;
            case DROPPED -> Code.COMMENTS_DROPPED;
        });
        assertThat(written.findings().getFirst().message()).contains("S.pdf").contains("1, on page 2");
        if (comments != Comments.DROPPED) assertLooksTheSame();
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            assertThat(leaf(document, 4).getAnnotations()).hasSize(comments == Comments.KEPT ? 2 : 0);
        }
        if (comments != Comments.KEPT) assertThat(allObjects()).doesNotContain("WEAK POINT");
    }

    @Test
    void droppedOnesLeaveNoTrace() throws IOException {
        choices = bundle -> bundle.withFromSources(new FromSources(Comments.DROPPED, 3));
        produce(2, CommentsTests::comment);
        produce(2, document -> {});
        byte[] without = Files.readAllBytes(target);
        produce(2, CommentsTests::comment);
        assertThat(Files.readAllBytes(target)).isEqualTo(without);
    }

    @ParameterizedTest
    @EnumSource
    void aPinnedFileIsLeftOutWhateverBecomesOfComments(Comments comments) throws IOException {
        choices = bundle -> bundle.withFromSources(new FromSources(comments, 3));
        Outcome.Written written = produce(1, document -> {
            COSDictionary pin = new COSDictionary();
            pin.setItem(COSName.TYPE, COSName.ANNOT);
            pin.setItem(COSName.SUBTYPE, COSName.getPDFName("FileAttachment"));
            pin.setItem(COSName.RECT, new PDRectangle(100, 100, 20, 20).getCOSArray());
            COSDictionary file = new COSDictionary();
            file.setItem(COSName.F, new COSString("attendance note.docx"));
            pin.setItem(COSName.FS, file);
            document.getPage(0).setAnnotations(List.of(PDAnnotation.createAnnotation(pin)));
        });
        assertThat(codes(written)).contains(Code.FILES_LEFT_OUT);
        assertThat(allObjects()).doesNotContain("attendance note");
    }

    @Test
    void aCommentThatOnlyViewersDrawIsDrawnWhenItBecomesPartOfThePage() throws IOException {
        choices = bundle -> bundle.withFromSources(new FromSources(Comments.FLATTENED, 3));
        produce(2, document -> {
            comment(document);
            document.getPage(1).getAnnotations().getFirst().setAppearance(null);
        });
        assertLooksTheSame();
    }

    @Test
    void aHiddenCommentIsNotBroughtToLight() throws IOException {
        choices = bundle -> bundle.withFromSources(new FromSources(Comments.FLATTENED, 3));
        produce(2, document -> {
            comment(document);
            document.getPage(1).getAnnotations().getFirst().setHidden(true);
        });
        assertLooksTheSame();
    }
}
