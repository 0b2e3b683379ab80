package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.deliver.PaperFiles;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.Progress;
import app.yellowtab.ledger.Ledger;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.PaperSet.Beginning;
import app.yellowtab.picture.PageRenderer;
import app.yellowtab.picture.PictureFiles;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.prove.Prover;
import app.yellowtab.prove.SetsProof;
import app.yellowtab.sets.Output;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Files;
import java.time.LocalDateTime;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.poi.xwpf.extractor.XWPFWordExtractor;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.junit.jupiter.api.Test;

/** One bundle, two sets. */
class PaperSetTests extends OneSource {
    @Test
    void bothSetsHaveTheSameNumbersOnTheSamePagesAndTheProofHoldsThemAgainstEachOther() throws IOException {
        Pdfs.write(matter, "S", 3, document -> {
            document.getPage(1).setMediaBox(PDRectangle.A3);
            try {
                content(document, "1 0 0 rg 100 100 200 200 re f");
            } catch (IOException e) {
                throw new IllegalStateException(e);
            }
        });
        Pdfs.write(matter, "T", 2);
        Bundle made = Folder.bundle(place, matter);
        Bundle bundle = made.withLayout(made.layout().withPaper(made.layout().paper().withBegins(Beginning.DOCUMENTS)
                .withTabs(Beginning.DOCUMENTS).withNote("Blue card").withBinderSheets(4).withCopies(3)));
        Assembler.standard().assemble(Planner.plan(bundle), place, target, Progress.NONE, () -> false);
        PaperFiles files = PaperFiles.beside(target);
        Plan plan = Planner.paper(bundle, LocalDateTime.now());
        Assembler.standard().assemble(plan, Output.paper(plan), place, files.file(), Progress.NONE, () -> false);
        assertThat(SetsProof.prove(Ledger.beside(target), files.file(), Ledger.beside(files.file()))).isEmpty();
        assertThat(Prover.standard().prove(files.file(), Progress.NONE, () -> false).orElseThrow().findings()).isEmpty();
        assertThat(Pdfs.pages(files.file()).get(2)).contains("1").contains("S").contains("Blue card");
        assertThat(Pdfs.pageCount(files.file())).isEqualTo(12);
        try (PageRenderer renderer = new PageRenderer(place, PictureFiles.NONE)) {
            files.writeOthers(bundle, plan, renderer, Progress.NONE, () -> false);
        }
        try (XWPFDocument order = new XWPFDocument(Files.newInputStream(files.order()));
                XWPFWordExtractor text = new XWPFWordExtractor(order)) {
            assertThat(text.getText()).contains("3 sets").contains("both sides").contains("6 (numbered 4)").contains("On A3")
                    .contains("5 (numbered 3)").contains("Binder 1 of 2");
        }
        assertThat(String.join(" ", Pdfs.pages(files.labels()))).contains("of 2");
        String ledger = Files.readString(Ledger.beside(files.file()));
        Files.writeString(Ledger.beside(files.file()), ledger.replaceFirst("\"number\"\\s*:\\s*\"4\"", "\"number\": \"44\""));
        assertThat(SetsProof.prove(Ledger.beside(target), files.file(), Ledger.beside(files.file()))).extracting(Finding::code)
                .containsExactly(Code.PROOF_SETS);
    }
}
