package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.deliver.BundleSets;
import app.yellowtab.deliver.Producing;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.VolumeEdits;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.Progress;
import app.yellowtab.ledger.Ledger;
import app.yellowtab.ledger.LedgerPlace;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Volumes;
import app.yellowtab.model.Volumes.Division;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.output.DraftFile;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.prove.Proof;
import app.yellowtab.prove.Prover;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.filespecification.PDComplexFileSpecification;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.pdmodel.interactive.action.PDActionRemoteGoTo;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotation;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationLink;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageDestination;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageXYZDestination;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/**
 * The set for the screen in volumes: every link is followed, into the same file or by the names of another and of a place in it.
 * "S" has four pages, each of which leads to all four; "T" has three pages, "U" one.
 */
class VolumesTests extends OneSource {
    private static final Random NOISE = new Random(7);
    private Bundle bundle;

    @BeforeEach
    void make() throws IOException {
        Files.createDirectories(matter.resolve("A - One"));
        Files.createDirectories(matter.resolve("B - Two"));
        Pdfs.write(matter.resolve("A - One"), "S", 4, VolumesTests::linkAll);
        Pdfs.write(matter.resolve("A - One"), "T", 3);
        Pdfs.write(matter.resolve("B - Two"), "U", 1);
        bundle = Folder.bundle(place, matter);
    }

    private static void linkAll(PDDocument document) {
        for (PDPage page : document.getPages()) {
            List<PDAnnotation> links = new ArrayList<>();
            for (int to = 0; to < document.getNumberOfPages(); to++) {
                PDPageXYZDestination there = new PDPageXYZDestination();
                there.setPage(document.getPage(to));
                PDAnnotationLink link = new PDAnnotationLink();
                link.setDestination(there);
                links.add(link);
            }
            page.setAnnotations(links);
        }
    }

    private Plan plan(Volumes volumes) {
        return Planner.plan(bundle.withLayout(bundle.layout().withVolumes(volumes)));
    }

    private Outcome.Written deliver(Plan plan) throws IOException {
        return (Outcome.Written) Assembler.standard().deliver(Delivery.screen(plan, target, LedgerPlace.BESIDE), place,
                Progress.NONE, () -> false);
    }

    private List<String> names() throws IOException {
        try (Stream<Path> files = Files.list(target.getParent())) {
            return files.map(file -> String.valueOf(file.getFileName())).filter(name -> name.endsWith(".pdf")).sorted().toList();
        }
    }

    /** {@return the words of the pages that the links of a page lead to, wherever they stand} */
    private List<String> ledTo(Path file, int page) throws IOException {
        List<String> words = new ArrayList<>();
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            for (PDAnnotation annotation : document.getPage(page - 1).getAnnotations()) {
                PDAnnotationLink link = (PDAnnotationLink) annotation;
                if (link.getAction() instanceof PDActionRemoteGoTo across) {
                    Path other = file.resolveSibling(((PDComplexFileSpecification) across.getFile()).getFileUnicode());
                    String name = across.getD() instanceof COSString said ? said.getString() : "";
                    try (PDDocument there = Loader.loadPDF(other.toFile())) {
                        PDPageDestination to = there.getDocumentCatalog().getNames().getDests().getValue(name);
                        words.add(first(other, to.retrievePageNumber() + 1));
                    }
                } else {
                    words.add(first(file, ((PDPageDestination) link.getDestination()).retrievePageNumber() + 1));
                }
            }
        }
        return words;
    }

    private static String first(Path file, int page) throws IOException {
        return Pdfs.pages(file).get(page - 1).split(" ")[0];
    }

    private void assertProved(Outcome.Written written) throws IOException {
        for (Outcome.WrittenFile file : written.files()) {
            assertThat(Prover.standard().prove(file.file(), written.ledger().orElseThrow(), Progress.NONE, () -> false)
                    .orElseThrow().findings()).as("%s", file.file().getFileName()).isEmpty();
        }
    }

    @Test
    void everyLinkLeadsToItsPageInWhicheverVolumeThatIs() throws IOException {
        Plan plan = plan(Volumes.by(Division.SECTIONS));
        Outcome.Written written = deliver(plan);
        assertThat(names()).containsExactly("bundle (volume 1).pdf", "bundle (volume 2).pdf");
        Path one = written.files().getFirst().file();
        Path two = written.files().getLast().file();
        assertThat(Pdfs.pages(one)).hasSize(10).element(0).asString().contains("Volume 1 of 2, pages 3–10");
        assertThat(Pdfs.pages(two)).hasSize(4).element(0).asString().contains("Volume 2 of 2, pages 11–12");
        assertThat(ledTo(one, 2)).containsExactly("A", "S-1", "T-1", "B", "U-1").isEqualTo(ledTo(two, 2));
        assertThat(ledTo(one, 5)).containsExactly("S-1", "S-2", "S-3", "S-4");
        assertThat(Pdfs.pages(two).get(1)).as("says in words where each row is").contains("Volume", "U", "2 12", "T", "1 8");
        assertThat(Pdfs.bookmarks(two)).containsExactly("Index > 2", "B. Two > 3", "  3. U > 4");
        assertProved(written);
    }

    @Test
    void aDocumentThatIsTooLongIsCutAtAPageAndItsLinksGoAcross() throws IOException {
        Outcome.Written written = deliver(plan(Volumes.atMost(Division.PAGES, 5).withCutLong(true)));
        assertThat(written.files()).extracting(Outcome.WrittenFile::pages).allMatch(pages -> pages <= 5);
        List<String> led = new ArrayList<>();
        for (Outcome.WrittenFile file : written.files())
            for (int page = 3; page <= file.pages(); page++) led.addAll(ledTo(file.file(), page));
        assertThat(led).hasSize(16).startsWith("S-1", "S-2", "S-3", "S-4").endsWith("S-1", "S-2", "S-3", "S-4");
        assertThat(written.findings()).extracting(Finding::code).doesNotContain(Code.LINK_DROPPED);
        assertProved(written);
    }

    @Test
    void eachLetterIsAFileOfItsOwnFromPageOne() throws IOException {
        bundle = bundle.withNumbering(bundle.numbering().withBundle(bundle.numbering().bundle().withBySection(true)));
        Outcome.Written written = deliver(plan(Volumes.by(Division.LETTERS)));
        assertThat(names()).containsExactly("bundle (volume A).pdf", "bundle (volume B).pdf");
        assertThat(Pdfs.pages(written.files().getLast().file())).element(3).isEqualTo("U-1 B2");
        assertProved(written);
    }

    @Test
    void aVolumeThatThereIsNoMoreIsTakenAwayUnlessSomebodyHasChangedIt() throws IOException {
        deliver(plan(Volumes.atMost(Division.PAGES, 5)));
        assertThat(names()).hasSizeGreaterThan(2);
        Path foreign = Files.writeString(target.resolveSibling("bundle (volume 9).pdf"), "not ours");
        deliver(plan(Volumes.NONE));
        assertThat(names()).containsExactly("bundle (volume 9).pdf", "bundle.pdf");
        assertThat(foreign).hasContent("not ours");
    }

    @Test
    void aVolumeThatWasProducedBeginsWhereItBeganWhateverComesBeforeIt() {
        Volumes pages = Volumes.atMost(Division.PAGES, 11);
        Plan before = plan(pages);
        assertThat(before.parting().volumes()).extracting("first").containsExactly(2, 10);
        bundle = bundle.withLayout(bundle.layout().withVolumes(pages.withKept(before.starts())));
        bundle = Edits.changeDocument(bundle, before.entries().get(1).id(),
                document -> document.withRuns(List.of(((SourcePages) document.runs().getFirst()).part(1, 1))));
        Plan after = plan(bundle.layout().volumes());
        assertThat(after.parting().volumes()).hasSize(2);
        assertThat(after.leaf(after.parting().volumes().getLast().first()).content())
                .isEqualTo(before.leaf(10).content());
    }

    @Test
    void aLinkAcrossThatLeadsElsewhereIsFound() throws IOException {
        Outcome.Written written = deliver(plan(Volumes.by(Division.SECTIONS)));
        Path ledger = Ledger.beside(target);
        Files.writeString(ledger, Files.readString(ledger).replace("\"name\":\"page 12\"", "\"name\":\"page 99\""));
        assertThat(Prover.standard().prove(written.files().getFirst().file(), ledger, Progress.NONE, () -> false).orElseThrow()
                .findings()).extracting(Finding::code).contains(Code.PROOF_ROW_LINK, Code.PROOF_LINKS);
        assertThat(Prover.standard().prove(written.files().getLast().file(), ledger, Progress.NONE, () -> false).orElseThrow()
                .findings()).extracting(Finding::code).containsExactly(Code.PROOF_NAME);
    }

    /** Puts an incompressible picture's worth of bytes onto each page. */
    private static void heavy(PDDocument document) {
        for (PDPage page : document.getPages()) {
            byte[] noise = new byte[60_000];
            NOISE.nextBytes(noise);
            try {
                PDImageXObject picture = LosslessFactory.createFromImage(document, noise(noise));
                try (PDPageContentStream content =
                        new PDPageContentStream(document, page, PDPageContentStream.AppendMode.APPEND, true)) {
                    content.drawImage(picture, 0, 0, 10, 10);
                }
            } catch (IOException e) {
                throw new IllegalStateException(e);
            }
        }
    }

    private static BufferedImage noise(byte[] bytes) {
        BufferedImage picture = new BufferedImage(100, 200, BufferedImage.TYPE_3BYTE_BGR);
        picture.getRaster().setDataElements(0, 0, 100, 200, bytes);
        return picture;
    }

    private Producing.Produced produce(Volumes volumes, boolean goOn) throws IOException {
        return new Producing(Assembler.standard(), place, Progress.NONE, Progress.NONE, () -> false).produce(
                bundle.withLayout(bundle.layout().withVolumes(volumes)), BundleSets.SCREEN, LocalDateTime.now(), target,
                LedgerPlace.BESIDE, goOn);
    }

    @Test
    void noVolumeIsLargerThanAskedForAndOneThatMustBeIsSaidBefore() throws IOException {
        Pdfs.write(matter.resolve("B - Two"), "V", 4, VolumesTests::heavy);
        Pdfs.write(matter.resolve("B - Two"), "W", 2, VolumesTests::heavy);
        bundle = Folder.bundle(place, matter);
        Producing.Produced produced = produce(Volumes.atMost(Division.SIZE, 400_000), false);
        Outcome.Written written = (Outcome.Written) produced.outcome();
        assertThat(written.files()).hasSizeGreaterThan(1).allMatch(file -> file.bytes() <= 400_000);
        assertThat(produced.starts()).hasSameSizeAs(written.files());
        Volumes kept = Volumes.atMost(Division.SIZE, 400_000).withKept(produced.starts());
        assertThat(((Outcome.Written) produce(kept, false).outcome()).files()).isEqualTo(written.files());
        assertThat(((Outcome.Written) produce(kept.withKept(produced.starts().subList(0, 1)), false).outcome()).files())
                .as("measured, and divided where it came out too large").allMatch(file -> file.bytes() <= 400_000);
        Volumes small = Volumes.atMost(Division.SIZE, 250_000);
        Map<String, FileTime> before = times();
        assertThatThrownBy(() -> produce(small, false))
                .hasMessageContaining("with cover and index “V” alone is more than 0.25 MB")
                .hasMessageContaining("larger than asked for");
        assertThat(times()).as("nothing was written").isEqualTo(before);
        assertThat(produce(small, true).outcome()).isInstanceOf(Outcome.Written.class);
        Producing.Produced cut = produce(small.withCutLong(true), false);
        assertThat(((Outcome.Written) cut.outcome()).files()).allMatch(file -> file.bytes() <= 250_000);
        assertProved((Outcome.Written) cut.outcome());
        assertThatThrownBy(() -> produce(Volumes.atMost(Division.SIZE, 1000), false))
                .hasMessageContaining("cover and index alone take");
        assertThatThrownBy(() -> produce(Volumes.atMost(Division.PAGES, 2), false))
                .hasMessageContaining("cover and index alone take 2 pages");
    }

    private Map<String, FileTime> times() throws IOException {
        Map<String, FileTime> all = new TreeMap<>();
        for (String name : names()) all.put(name, Files.getLastModifiedTime(target.resolveSibling(name)));
        return all;
    }

    @Test
    void whereverItIsKilledTheNextProgramPutsAllOfItIntoPlace() throws IOException {
        Plan three = plan(Volumes.atMost(Division.PAGES, 5));
        Plan two = plan(Volumes.by(Division.SECTIONS));
        deliver(three);
        List<String> before = names();
        for (int at = 0;; at++) {
            int[] moves = {at};
            StreamingAssembler killed = new StreamingAssembler(DraftFile::open, (from, to) -> {
                if (moves[0]-- == 0) throw new Error("killed");
                Files.move(from, to);
            }, Duration.ofSeconds(60));
            try {
                killed.deliver(Delivery.screen(two, target, LedgerPlace.BESIDE), place, Progress.NONE, () -> false);
                assertThat(at).as("moves").isGreaterThan(before.size());
                break;
            } catch (Error e) {
                assertThat(e).hasMessage("killed");
            }
            Path one = target.resolveSibling("bundle (volume 1).pdf");
            assertThat(Prover.standard().prove(one, Ledger.beside(target), Progress.NONE, () -> false).orElseThrow().findings())
                    .as("killed at move %s", at).isEmpty();
            assertThat(names()).containsExactly("bundle (volume 1).pdf", "bundle (volume 2).pdf");
            try (Stream<Path> files = Files.list(target.getParent())) {
                assertThat(files.map(file -> String.valueOf(file.getFileName())))
                        .noneMatch(name -> name.startsWith(".yellowtab"));
            }
            deliver(three);
            assertThat(names()).isEqualTo(before);
        }
    }

    @Test
    void whereAVolumeIsMissingTheOthersAreProvedAndItIsNamed() throws IOException {
        Outcome.Written written = deliver(plan(Volumes.by(Division.SECTIONS)));
        List<Path> files = written.files().stream().map(Outcome.WrittenFile::file).toList();
        Files.delete(files.getFirst());
        Proof proof = Prover.standard().proveAll(files, Ledger.beside(target), Progress.NONE, () -> false).orElseThrow();
        assertThat(proof.pages()).isEqualTo(4);
        assertThat(proof.findings()).singleElement()
                .satisfies(missing -> assertThat(missing.message()).startsWith("bundle (volume 1).pdf cannot be proved"));
    }

    @Test
    void whatIsProducedOnPaperAloneLeavesVolumesWhereTheyBegan() throws IOException {
        Volumes pages = Volumes.atMost(Division.PAGES, 11);
        Volumes kept = pages.withKept(plan(pages).starts());
        Bundle before = bundle.withLayout(bundle.layout().withVolumes(kept));
        Producing.Produced paper = new Producing(Assembler.standard(), place, Progress.NONE, Progress.NONE, () -> false)
                .produce(before, BundleSets.PAPER, LocalDateTime.now(), target, LedgerPlace.BESIDE, false);
        assertThat(VolumeEdits.kept(before, kept, paper.starts()).layout().volumes()).isEqualTo(kept);
    }
}
