package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.edit.Edits;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Progress;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.PlannedBookmark;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.page.Sheet;
import app.yellowtab.model.run.BlankLook;
import app.yellowtab.model.run.BlankPages;
import app.yellowtab.model.run.ReservedPages;
import app.yellowtab.model.run.RunId;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.prove.Prover;
import app.yellowtab.sets.Output;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationLink;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageXYZDestination;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What a file holds, and where: pages of sources, blank ones, some that only paper has, and some kept free. */
class OutputTests extends OneSource {
    private Plan plan;

    @BeforeEach
    void make() throws IOException {
        Pdfs.write(matter, "S", 3, OutputTests::linkBack);
        Pdfs.write(matter, "T", 1);
        Bundle bundle = Folder.bundle(place, matter);
        Document s = bundle.contents().documents().getFirst();
        SourcePages whole = (SourcePages) s.runs().getFirst();
        BlankPages tinted = new BlankPages(RunId.fresh(), 1, new BlankLook(new Sheet(297, 420), "ffe9a8", "Plans follow"), false,
                BlankPages.Sets.BOTH);
        BlankPages back = new BlankPages(RunId.fresh(), 1, BlankLook.PLAIN, false, BlankPages.Sets.PAPER);
        plan = Planner.plan(Edits.changeDocument(bundle, s.id(), document -> document.withRuns(
                List.of(whole.part(1, 2), tinted, back, whole.part(3, 3), new ReservedPages(RunId.fresh(), 2)))));
    }

    /** Sets a link from the last page to the first. */
    private static void linkBack(PDDocument document) {
        PDPageXYZDestination first = new PDPageXYZDestination();
        first.setPage(document.getPage(0));
        PDAnnotationLink link = new PDAnnotationLink();
        link.setRectangle(new PDRectangle(100, 100, 50, 20));
        link.setDestination(first);
        document.getPage(2).getCOSObject().setItem(COSName.ANNOTS, new COSArray(List.of(link.getCOSObject())));
    }

    private List<String> labels() throws IOException {
        try (PDDocument produced = Loader.loadPDF(target.toFile())) {
            return List.of(produced.getDocumentCatalog().getPageLabels().getLabelsByPageIndices());
        }
    }

    private void assertProved() throws IOException {
        assertThat(Prover.standard().prove(target, Progress.NONE, () -> false).orElseThrow().findings()).isEmpty();
    }

    @Test
    void aScreenSetHasWhatIsCountedAndNothingThatOnlyPaperHas() throws IOException {
        Assembler.standard().assemble(plan, place, target, Progress.NONE, () -> false);
        List<String> pages = Pdfs.pages(target);
        assertThat(pages).hasSize(9);
        assertThat(pages.subList(2, 4)).containsExactly("S-1 3", "S-2 4");
        assertThat(pages.get(4)).as("not counted").isEqualTo("Plans follow");
        assertThat(pages.get(5)).isEqualTo("S-3 5");
        assertThat(pages.get(6)).contains("kept free for a document").endsWith(" 6");
        assertThat(pages.get(8)).isEqualTo("T-1 8");
        assertThat(labels()).containsExactly("1", "2", "3", "4", "", "5", "6", "7", "8");
        assertThat(Pdfs.linkTargets(target, 2)).as("places in the file, where the index says 3 and 8").containsExactly(3, 9);
        assertProved();
    }

    @Test
    void aPaperSetHasTheSameNumbersOnTheSamePages() throws IOException {
        Assembler.standard().assemble(plan, Output.paper(plan), place, target, Progress.NONE, () -> false);
        assertThat(labels()).containsExactly("1", "2", "3", "4", "", "", "5", "6", "7", "8");
        assertThat(Pdfs.pages(target).get(6)).isEqualTo("S-3 5");
        assertThat(Pdfs.linkTargets(target, 2)).containsExactly(3, 10);
        assertProved();
    }

    @Test
    void aVolumeHasTheIndexAndItsPartOfThePages() throws IOException {
        int first = plan.leafNumbered("5").orElseThrow().index();
        Outcome.Written written = (Outcome.Written) Assembler.standard().assemble(plan,
                Output.volume(plan, first, plan.pageCount() - 1), place, target, Progress.NONE, () -> false);
        assertThat(labels()).containsExactly("1", "2", "5", "6", "7", "8");
        assertThat(Pdfs.pages(target).get(2)).isEqualTo("S-3 5");
        assertThat(Pdfs.linkTargets(target, 2)).as("S begins in another volume, T is the sixth page").containsExactly(6);
        assertThat(Pdfs.bookmarks(target)).as("S begins elsewhere").containsExactly("Index > 2", "2. T > 6");
        assertThat(written.pages()).isEqualTo(6);
        assertThat(written.findings()).as("S-3 leads back to S-1").extracting(Finding::code)
                .containsExactly(Finding.Code.LINK_DROPPED);
        assertThat(Pdfs.linkTargets(target, 3)).isEmpty();
        assertProved();
    }

    @Test
    void aBookmarkRisesWhereItsParentIsInAnotherVolume() {
        PlannedBookmark bookmark = Output.volume(plan, plan.pageCount() - 1, plan.pageCount() - 1).bookmarks().getLast();
        assertThat(bookmark.level()).isEqualTo(1);
    }

    @Test
    void aBlankPageHasItsOwnSheetAndTint() throws IOException {
        Assembler.standard().assemble(plan, place, target, Progress.NONE, () -> false);
        BufferedImage picture = Pdfs.picture(target, 5, 72);
        assertThat(picture.getWidth()).isBetween(841, 843);
        assertThat(picture.getRGB(10, 10)).as("grey on a grey picture").isNotEqualTo(Color.WHITE.getRGB());
    }

    @Test
    void everyPageOfADocumentKeepsItsNameAndFindsItsNumber() {
        assertThat(plan.leaves()).filteredOn(leaf -> leaf.key().isPresent()).extracting(leaf -> leaf.key().orElseThrow())
                .doesNotHaveDuplicates().hasSize(8);
        assertThat(plan.leafNumbered("5").map(Leaf::index)).contains(6);
        assertThat(plan.leafNumbered("9")).isEmpty();
        assertThat(plan.lastNumber()).isEqualTo("8");
    }
}
