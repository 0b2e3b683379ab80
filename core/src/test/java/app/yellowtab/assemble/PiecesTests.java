package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.atMost;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.spy;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.Progress;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Comments;
import app.yellowtab.model.FromSources;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.prove.Prover;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.color.PDColor;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceRGB;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotation;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationLink;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationSquare;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageFitDestination;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Documents that draw from one source: cut from it, overlapping, or the same pages once more. */
class PiecesTests extends OneSource {
    /** Every page links to the first and the third, and has a comment. */
    private static void links(PDDocument document) {
        for (var page : document.getPages()) {
            List<PDAnnotation> annotations = new ArrayList<>();
            for (int to : new int[] {0, 2}) {
                PDAnnotationLink link = new PDAnnotationLink();
                PDPageFitDestination destination = new PDPageFitDestination();
                destination.setPage(document.getPage(to));
                link.setDestination(destination);
                link.setRectangle(new PDRectangle(100, 100 + 50 * to, 80, 20));
                annotations.add(link);
            }
            PDAnnotationSquare frame = new PDAnnotationSquare();
            frame.setRectangle(new PDRectangle(100, 550, 200, 60));
            frame.setColor(new PDColor(new float[] {1, 0, 0}, PDDeviceRGB.INSTANCE));
            frame.setPrinted(true);
            frame.constructAppearances(document);
            annotations.add(frame);
            page.setAnnotations(annotations);
        }
    }

    private Plan plan(Comments comments, int[]... pieces) throws IOException {
        Pdfs.write(matter, "S", 3, PiecesTests::links);
        Bundle bundle = Folder.bundle(place, matter);
        Source batch = bundle.sources().getFirst();
        List<Document> documents = new ArrayList<>();
        for (int[] piece : pieces) {
            List<Run> runs = new ArrayList<>();
            for (int i = 0; i < piece.length; i += 2) runs.add(SourcePages.of(batch.id(), piece[i], piece[i + 1]));
            documents.add(Document.of(batch).withTitle("Piece " + (documents.size() + 1)).withRuns(runs));
        }
        return Planner
                .plan(bundle.withContents(new Contents(documents, List.of())).withFromSources(new FromSources(comments, 3)));
    }

    @ParameterizedTest
    @EnumSource
    void pagesThatStandTwiceKeepTheirLinksBothTimesAndThoseLeadInsideTheirDocument(Comments comments) throws IOException {
        Plan plan = plan(comments, new int[] {1, 3}, new int[] {1, 3}, new int[] {2, 2});
        Assembler.standard().assemble(plan, place, target, Progress.NONE, () -> false);
        for (int page = 3; page <= 5; page++)
            assertThat(Pdfs.linkTargets(target, page)).as("page %d", page).containsExactlyInAnyOrder(3, 5);
        for (int page = 6; page <= 8; page++)
            assertThat(Pdfs.linkTargets(target, page)).as("page %d", page).containsExactlyInAnyOrder(6, 8);
        assertThat(Pdfs.linkTargets(target, 9)).as("out of its document into the first that has the page")
                .containsExactlyInAnyOrder(3, 5);
        try (PDDocument produced = Loader.loadPDF(target.toFile());
                PDDocument source = Loader.loadPDF(matter.resolve("S.pdf").toFile())) {
            int[][] same = {{3, 1}, {4, 2}, {5, 3}, {6, 1}, {7, 2}, {8, 3}, {9, 2}};
            if (comments != Comments.DROPPED) for (int[] pair : same) Pdfs.assertSamePage(source, pair[1], produced, pair[0]);
            assertThat(produced.getPage(6).getAnnotations()).hasSize(comments == Comments.KEPT ? 3 : 2);
        }
        assertThat(Prover.standard().prove(target, Progress.NONE, () -> false).orElseThrow().findings()).isEmpty();
    }

    @Test
    void aDocumentMayHaveTheSamePageTwice() throws IOException {
        Plan plan = plan(Comments.KEPT, new int[] {1, 3, 1, 1});
        Assembler.standard().assemble(plan, place, target, Progress.NONE, () -> false);
        assertThat(Pdfs.pages(target).subList(2, 6)).containsExactly("S-1 3", "S-2 4", "S-3 5", "S-1 6");
        assertThat(Pdfs.linkTargets(target, 6)).containsExactlyInAnyOrder(3, 5);
        assertThat(Prover.standard().prove(target, Progress.NONE, () -> false).orElseThrow().findings()).isEmpty();
    }

    @Test
    void aSourceIsCheckedOnceHoweverManyDrawFromIt() throws IOException {
        int[][] pieces = new int[60][];
        for (int i = 0; i < pieces.length; i++) pieces[i] = new int[] {i % 3 + 1, i % 3 + 1};
        Plan plan = plan(Comments.KEPT, pieces);
        InPlace watched = spy(place);
        Outcome.Written written =
                (Outcome.Written) Assembler.standard().assemble(plan, watched, target, Progress.NONE, () -> false);
        assertThat(written.findings()).extracting(Finding::code).doesNotContain(Code.PAGE_LOST);
        verify(watched, times(1)).isUnchanged(any(), any(), any());
        verify(watched, atMost(9)).open(any());
        assertThat(Pdfs.pages(target).subList(plan.pageCount() - 60, plan.pageCount()))
                .allMatch(page -> page.matches("S-[123] \\d+"));
    }

    @Test
    void aSourceWhoseCheckFailedIsCheckedByTheNextThatDrawsFromIt() throws IOException {
        Plan plan = plan(Comments.KEPT, new int[] {1, 1}, new int[] {2, 2}, new int[] {3, 3});
        InPlace watched = spy(place);
        doThrow(new IOException("gone for a moment")).doReturn(false).when(watched).isUnchanged(any(), any(), any());
        assertThatThrownBy(() -> Assembler.standard().assemble(plan, watched, target, Progress.NONE, () -> false))
                .hasMessageContaining("is not the file any more that was brought in");
        assertThat(target).doesNotExist();
    }
}
