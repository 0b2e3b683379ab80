package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Progress;
import app.yellowtab.index.IndexLook;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.Layout;
import app.yellowtab.model.Party;
import app.yellowtab.model.Separators;
import app.yellowtab.output.DraftFile;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.prove.Prover;
import app.yellowtab.source.Fingerprint;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PageMode;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageDestination;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class AssemblerTests {
    private static final CaseHeading HEADING = new CaseHeading("In the County Court at Aldermere", "AL-2031-00417",
            Party.parseAll("Tarn Hollow Orchards Ltd (Claimant); Brightwick Cold Stores Ltd (Defendant)"), "Trial bundle",
            Optional.empty(), "Reedmoor & Vale");
    @TempDir
    private Path folder;
    private Path target;
    private InPlace place;
    private Bundle bundle;

    @BeforeEach
    void gather() throws IOException {
        Path matter = Files.createDirectories(folder.resolve("matter"));
        Pdfs.write(matter, "X", 2);
        Path letters = Files.createDirectories(matter.resolve("A - Letters"));
        Pdfs.write(letters, "P", 1);
        Pdfs.write(letters, "Q", 3);
        Path plans = Files.createDirectories(letters.resolve("Plans"));
        Pdfs.write(plans, "R", 1);
        target = folder.resolve("bundle.pdf");
        place = new InPlace();
        bundle = Folder.bundle(place, matter).withHeading(HEADING);
    }

    @AfterEach
    void close() throws IOException {
        place.close();
    }

    private Outcome.Written produce(Bundle produced) throws FindingException {
        return (Outcome.Written) Assembler.standard().assemble(Planner.plan(produced), place, target, Progress.NONE, () -> false);
    }

    private List<String> filesLeft() throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.map(file -> file.getFileName().toString()).sorted().toList();
        }
    }

    @Test
    void everyPageCarriesItsNumber() throws IOException {
        Outcome.Written written = produce(bundle);
        List<String> pages = Pdfs.pages(target);
        assertThat(pages).hasSize(11).hasSize(written.pages());
        assertThat(pages.subList(2, 11)).containsExactly("X-1 3", "X-2 4", "A Letters 5", "P-1 6", "Q-1 7", "Q-2 8", "Q-3 9",
                "A.1 Plans 10", "R-1 11");
        assertThat(pages.getFirst()).startsWith("In the County Court at Aldermere Case no. AL-2031-00417 Tarn Hollow")
                .endsWith("1");
        assertThat(written.documents()).isEqualTo(4);
        assertThat(written.bytes()).isEqualTo(Files.size(target));
    }

    @Test
    void theIndexSaysTheNumbersAndLinksToThem() throws IOException {
        produce(bundle);
        assertThat(Pdfs.pages(target).get(1))
                .isEqualTo("Tarn Hollow Orchards Ltd v Brightwick Cold Stores Ltd Trial bundle · Index "
                        + "Tab Document Date Page 1 X 3 A Letters 5–11 2 P 6 3 Q 7 A.1 Plans 10–11 4 R 11 2");
        assertThat(Pdfs.linkTargets(target, 2)).containsExactly(3, 5, 6, 7, 10, 11);
        assertThat(Pdfs.linkAreas(target, 2)).allSatisfy(area -> {
            assertThat(area.getLowerLeftX()).isEqualTo(IndexLook.LEFT);
            assertThat(area.getUpperRightX()).isEqualTo(IndexLook.RIGHT);
        });
    }

    @Test
    void bookmarksAndTheSourcesOwnBelowThem() throws IOException {
        produce(bundle);
        assertThat(Pdfs.bookmarks(target)).containsExactly("Index > 2", "1. X > 3", "A. Letters > 5", "  2. P > 6", "  3. Q > 7",
                "  A.1. Plans > 10", "    4. R > 11");
    }

    @Test
    void labelsPropertiesAndOpening() throws IOException {
        produce(bundle);
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            assertThat(document.getDocumentCatalog().getPageLabels().getLabelsByPageIndices())
                    .containsExactly("1", "2", "3", "4", "5", "6", "7", "8", "9", "10", "11");
            assertThat(document.getDocumentInformation().getTitle()).isEqualTo("Trial bundle");
            assertThat(document.getDocumentInformation().getAuthor()).isEqualTo("Reedmoor & Vale");
            assertThat(document.getDocumentInformation().getSubject()).isEqualTo("AL-2031-00417");
            assertThat(document.getDocumentCatalog().getPageMode()).isEqualTo(PageMode.USE_OUTLINES);
            assertThat(((PDPageDestination) document.getDocumentCatalog().getOpenAction()).retrievePageNumber()).isZero();
        }
    }

    @Test
    void separatorsWithoutACover() throws IOException {
        produce(bundle.withLayout(new Layout(false, Separators.TITLED)));
        assertThat(Pdfs.pages(target)).startsWith(Pdfs.pages(target).getFirst(), "1 X 2", "X-1 3").contains("3 Q 8", "Q-1 9");
        produce(bundle.withLayout(new Layout(false, Separators.BLANK)));
        assertThat(Pdfs.pages(target)).contains("P-1 5", "6", "Q-1 7");
    }

    @Test
    void theIndexRunsOverSeveralPagesWithItsHeadRepeated() throws IOException {
        Path many = Files.createDirectories(folder.resolve("many"));
        for (int i = 1; i <= 70; i++) Pdfs.write(many, "D" + i, 1);
        produce(Folder.bundle(place, many).withHeading(HEADING));
        List<String> pages = Pdfs.pages(target);
        assertThat(pages.get(1)).contains("Tab Document Date Page 1 D1");
        assertThat(pages.get(2)).contains("Trial bundle · Index Tab Document Date Page 33 D33 37");
        assertThat(pages.get(3)).contains("Trial bundle · Index Tab Document Date Page").contains("70 D70 74");
        assertThat(Pdfs.linkTargets(target, 4)).endsWith(73, 74);
        assertThat(pages.get(73)).isEqualTo("D70-1 74");
    }

    @Test
    void theSameBundleGivesTheSameBytes() throws IOException {
        produce(bundle);
        String first = Fingerprint.of(target);
        produce(bundle);
        assertThat(Fingerprint.of(target)).isEqualTo(first);
    }

    @Test
    void stoppingLeavesTheOldFileAndNoDraft() throws IOException {
        Files.writeString(target, "old");
        int[] done = {0};
        Outcome outcome =
                Assembler.standard().assemble(Planner.plan(bundle), place, target, (n, of) -> done[0] = n, () -> done[0] >= 7);
        assertThat(outcome).isEqualTo(new Outcome.Stopped(7));
        assertThat(target).hasContent("old");
        assertThat(filesLeft()).containsExactly("bundle.pdf", "matter");
    }

    @Test
    void itCanBeStoppedWhileTheFileIsWritten() throws IOException {
        Files.writeString(target, "old");
        boolean[] stop = {false};
        Assembler assembler = new StreamingAssembler(draft -> {
            stop[0] = true;
            return DraftFile.open(draft);
        }, (draft, to) -> {}, Duration.ofSeconds(60));
        assertThat(assembler.assemble(Planner.plan(bundle), place, target, Progress.NONE, () -> stop[0]))
                .isEqualTo(new Outcome.Stopped(0));
        assertThat(target).hasContent("old");
        assertThat(filesLeft()).containsExactly("bundle.pdf", "matter");
    }

    @Test
    void progressCountsEveryLeaf() throws IOException {
        StringBuilder heard = new StringBuilder();
        Assembler.standard().assemble(Planner.plan(bundle), place, target,
                (n, of) -> heard.append(n).append('/').append(of).append(' '), () -> false);
        assertThat(heard.toString()).startsWith("1/11 2/11 ").endsWith(" 11/11 ");
    }

    @Test
    void aFullDiskLeavesTheOldFileAndNoDraft() throws IOException {
        Files.writeString(target, "old");
        Assembler assembler = new StreamingAssembler(draft -> new FullDisk(DraftFile.open(draft), 3000), (draft, to) -> {},
                Duration.ofSeconds(60));
        assertThatThrownBy(() -> assembler.assemble(Planner.plan(bundle), place, target, Progress.NONE, () -> false))
                .isInstanceOf(FindingException.class).hasMessageContaining("bundle.pdf").hasMessageContaining("the disk is full");
        assertThat(target).hasContent("old");
        assertThat(filesLeft()).containsExactly("bundle.pdf", "matter");
    }

    @Test
    void aTargetThatCannotBeWrittenIsNamed() {
        Path nowhere = folder.resolve("no such folder/bundle.pdf");
        assertThatThrownBy(() -> Assembler.standard().assemble(Planner.plan(bundle), place, nowhere, Progress.NONE, () -> false))
                .hasMessageContaining("bundle.pdf could not be written").hasMessageContaining("there is no such folder");
        assertThatThrownBy(() -> Assembler.standard().assemble(Planner.plan(bundle), place, folder, Progress.NONE, () -> false))
                .hasMessageContaining("it is a folder");
    }

    @Test
    void aSourceIsNeverWrittenOver() throws IOException {
        Path source = folder.resolve("matter/X.pdf");
        String before = Fingerprint.of(source);
        assertThatThrownBy(
                () -> Assembler.standard().assemble(Planner.plan(bundle), place, folder.resolve("matter/../matter/X.pdf"),
                        Progress.NONE, () -> false))
                .hasMessageContaining("never written over");
        assertThat(Fingerprint.of(source)).isEqualTo(before);
    }

    @Test
    void aSourceThatIsGoneIsNamedAndNothingIsWritten() throws IOException {
        Files.delete(folder.resolve("matter/A - Letters/Q.pdf"));
        assertThatThrownBy(() -> produce(bundle)).isInstanceOfSatisfying(FindingException.class,
                e -> assertThat(e.finding().code()).isEqualTo(Code.SOURCE_MISSING)).hasMessageContaining("Q.pdf");
        assertThat(filesLeft()).containsExactly("matter");
    }

    @Test
    void aSourceThatHasChangedIsNamed() throws IOException {
        Pdfs.write(folder.resolve("matter/A - Letters"), "Q", 2);
        assertThatThrownBy(() -> produce(bundle)).hasMessageContaining("Q.pdf is not the file any more that was brought in");
    }

    @Test
    void aPageThatCannotBeCopiedIsReplacedByASlip() throws IOException {
        Outcome outcome = Assembler.standard().assemble(Planner.plan(bundle), Meddling.brokenPages(place), target, Progress.NONE,
                () -> false);
        assertThat(((Outcome.Written) outcome).findings()).extracting(Finding::message)
                .filteredOn(message -> message.startsWith("Q.pdf"))
                .containsExactly("Q.pdf, page 1, is damaged and could not be copied. A page that says so stands in its place; "
                        + "if another program shows it, print it to PDF there and add that, otherwise ask for the file again.");
        assertThat(Pdfs.pages(target).subList(6, 9)).containsExactly("This page could not be read Page 1 of Q.pdf is damaged. 7",
                "Q-2 8", "Q-3 9");
        assertThat(Pdfs.linkTargets(target, 2)).containsExactly(3, 5, 6, 7, 10, 11);
    }

    @Test
    void nothingToProduce() {
        assertThatThrownBy(() -> produce(Bundle.EMPTY)).hasMessageContaining("there is no document to produce");
    }

    @Test
    void titlesWithLettersThatNoFontHasAreReportedAndDoNotStop() throws IOException {
        Path odd = Files.createDirectories(folder.resolve("odd"));
        Files.move(Pdfs.write(odd, "contract", 1), odd.resolve("合同 contract.pdf"));
        Outcome.Written written = produce(Folder.bundle(place, odd));
        assertThat(written.findings()).extracting(Finding::code).containsExactly(Code.CHARACTERS_NOT_SHOWN);
        assertThat(Pdfs.pages(target).get(1)).contains("contract 3");
    }

    /** Takes so many bytes, then says what Linux says when a disk is full. */
    private static final class FullDisk implements DraftFile {
        private final DraftFile disk;
        private int left;

        FullDisk(DraftFile disk, int left) {
            this.disk = disk;
            this.left = left;
        }

        @Override
        public void write(ByteBuffer bytes) throws IOException {
            left -= bytes.remaining();
            if (left < 0) throw new IOException("No space left on device");
            disk.write(bytes);
        }

        @Override
        public void append(FileChannel from, long start, long count) throws IOException {
            left -= (int) count;
            if (left < 0) throw new IOException("No space left on device");
            disk.append(from, start, count);
        }

        @Override
        public void read(ByteBuffer into, long offset) throws IOException {
            disk.read(into, offset);
        }

        @Override
        public void close() throws IOException {
            disk.close();
        }
    }

    @Test
    void aCoverWithVeryManyPartiesAndAVeryLongTitleFlowsOn(@TempDir Path temp) throws IOException {
        List<Party> parties = new ArrayList<>();
        for (int i = 1; i <= 25; i++) parties.add(
                new Party("Party number " + i + " of the Aldermere Growers' Association", i < 20 ? "Claimants" : "Defendants"));
        String title = "A title that goes on and on, to be heard together ".repeat(12).strip();
        Path matter = Files.createDirectories(temp.resolve("matter"));
        Pdfs.write(matter, "X", 1);
        Path out = temp.resolve("bundle.pdf");
        try (InPlace place = new InPlace()) {
            Bundle bundle = Folder.bundle(place, matter).withHeading(new CaseHeading("County Court at Aldermere", "AL-1", parties,
                    title, Optional.of(LocalDate.of(2031, 10, 6)), "Reedmoor & Vale"));
            bundle = bundle
                    .withContents(bundle.contents()
                            .mapAll(here -> here.withDocuments(here.documents().stream()
                                    .map(document -> document.withTitle("Letter " + "of the accountants ".repeat(400) + "END"))
                                    .toList())))
                    .withLayout(new Layout(true, Separators.TITLED));
            Plan plan = Planner.plan(bundle);
            int covers = plan.coverSheets().size();
            assertThat(covers).isGreaterThan(1);
            Assembler.standard().assemble(plan, place, out, Progress.NONE, () -> false);
            List<String> pages = Pdfs.pages(out);
            String cover = String.join(" ", pages.subList(0, covers));
            for (int i = 1; i <= 25; i++) assertThat(cover).contains("Party number " + i + " of");
            assertThat(cover).contains("Hearing: 6 October 2031", "Prepared by Reedmoor & Vale", "to be heard together");
            assertThat(pages.get(covers)).contains("…");
            assertThat(pages.get(covers + 1)).as("all of the title is on the divider").contains("END");
            try (PDDocument document = Loader.loadPDF(out.toFile())) {
                for (int page = 0; page <= covers + 1; page++)
                    assertThat(lowest(document, page)).as("page %d", page + 1).isGreaterThan(20);
            }
            assertThat(Prover.standard().prove(out, Progress.NONE, () -> false).orElseThrow().findings()).isEmpty();
        }
    }

    /** {@return how far above the foot of a page its lowest letter stands, in points} */
    private static float lowest(PDDocument document, int page) throws IOException {
        float[] lowest = {1000};
        PDFTextStripper stripper = new PDFTextStripper() {
            @Override
            protected void processTextPosition(TextPosition text) {
                lowest[0] = Math.min(lowest[0], text.getTextMatrix().getTranslateY());
            }
        };
        stripper.setStartPage(page + 1);
        stripper.setEndPage(page + 1);
        stripper.getText(document);
        return lowest[0];
    }

    @Test
    void lettersThatNoFontHasAreSaidOfTheHeadingToo(@TempDir Path temp) throws IOException {
        Path matter = Files.createDirectories(temp.resolve("matter"));
        Pdfs.write(matter, "X", 1);
        try (InPlace place = new InPlace()) {
            Bundle bundle =
                    Folder.bundle(place, matter).withHeading(CaseHeading.EMPTY.withTitle("Ange\u0301lique \u2764\uFE0F \u4ED3"));
            Outcome.Written written = (Outcome.Written) Assembler.standard().assemble(Planner.plan(bundle), place,
                    temp.resolve("b.pdf"), Progress.NONE, () -> false);
            assertThat(written.findings()).singleElement()
                    .satisfies(finding -> assertThat(finding.message()).startsWith("The heading of the bundle: 2 letters"));
            assertThat(Pdfs.pages(temp.resolve("b.pdf")).getFirst()).contains("Angélique");
        }
    }
}
