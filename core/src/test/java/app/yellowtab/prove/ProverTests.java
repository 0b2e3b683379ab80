package app.yellowtab.prove;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.assemble.Assembler;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Progress;
import app.yellowtab.ledger.Ledger;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.Layout;
import app.yellowtab.model.Separators;
import app.yellowtab.plan.Planner;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Objects;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationLink;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageFitDestination;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * The bundle: 1 cover, 2 index, 3 and 4 pages of X with a link from 3 to 4, 5 section title, 6 and 7 with a picture, 8 turned.
 */
class ProverTests {
    @TempDir
    private Path folder;
    private Path target;
    private InPlace place;
    private Bundle bundle;

    @BeforeEach
    void produce() throws IOException {
        Path matter = Files.createDirectories(folder.resolve("matter"));
        Pdfs.write(matter, "X", 2, document -> {
            try {
                PDAnnotationLink link = new PDAnnotationLink();
                link.setRectangle(new PDRectangle(100, 700, 50, 20));
                PDPageFitDestination destination = new PDPageFitDestination();
                destination.setPage(document.getPage(1));
                link.setDestination(destination);
                document.getPage(0).getAnnotations().add(link);
            } catch (IOException e) {
                throw new IllegalStateException(e);
            }
        });
        Path photographs = Files.createDirectories(matter.resolve("A - Photographs"));
        Pdfs.write(photographs, "P", 2, document -> {
            Pdfs.picture(document, document.getPage(0), 40);
            Pdfs.picture(document, document.getPage(1), 200);
        });
        Pdfs.write(photographs, "Q", 1, document -> document.getPage(0).setRotation(90));
        target = folder.resolve("bundle.pdf");
        place = new InPlace();
        bundle = Folder.bundle(place, matter).withHeading(CaseHeading.EMPTY.withTitle("Trial bundle"));
        Assembler.standard().assemble(Planner.plan(bundle), place, target, Progress.NONE, () -> false);
    }

    @AfterEach
    void close() throws IOException {
        place.close();
    }

    private Proof prove() throws FindingException {
        return Prover.standard().prove(target, Progress.NONE, () -> false).orElseThrow();
    }

    /** A change to a produced file. */
    interface Change {
        void to(PDDocument document) throws IOException;
    }

    /** Changes the file as another program would: opened, changed, saved. */
    private void change(Change change) throws IOException {
        Path changed = folder.resolve("changed.pdf");
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            change.to(document);
            document.save(changed.toFile());
        }
        Files.delete(target);
        Files.move(changed, target);
    }

    @Test
    void aSoundBundleIsProved() throws IOException {
        assertThat(prove().findings()).isEmpty();
        assertThat(prove().summary()).startsWith("8 pages proved").contains("4 rows of the index", "5 bookmarks", "5 links");
    }

    @Test
    void everyKindOfLeafIsProved() throws IOException {
        for (Separators separators : Separators.values()) {
            Assembler.standard().assemble(Planner.plan(bundle.withLayout(new Layout(false, separators))), place, target,
                    Progress.NONE, () -> false);
            assertThat(prove().findings()).isEmpty();
        }
    }

    @Test
    void aBundleMadeOfABundleIsProved() throws IOException {
        Path nested = Files.createDirectories(folder.resolve("nested"));
        Files.move(target, nested.resolve("earlier bundle.pdf"));
        Assembler.standard().assemble(Planner.plan(Folder.bundle(place, nested)), place, target, Progress.NONE, () -> false);
        assertThat(prove().findings()).isEmpty();
        assertThat(prove().pages()).isEqualTo(10);
    }

    @Test
    void savingByAnotherProgramWithoutAChangeIsNoDamage() throws IOException {
        change(document -> {});
        assertThat(prove().findings()).isEmpty();
    }

    @ParameterizedTest
    @EnumSource
    void everyDamageIsCaught(Damage damage) throws IOException {
        change(damage);
        Proof proof = prove();
        assertThat(proof.holds()).isFalse();
        assertThat(proof.findings()).anySatisfy(finding -> {
            assertThat(finding.code()).isEqualTo(damage.code);
            assertThat(finding.subject().page()).isEqualTo(damage.page);
            assertThat(finding.message()).doesNotContain("{").isNotBlank();
        });
        assertThat(proof.summary()).startsWith("Not proved");
    }

    @Test
    void aByteChangedOnTheDiskIsCaught() throws IOException {
        byte[] bytes = Files.readAllBytes(target);
        int at = new String(bytes, StandardCharsets.ISO_8859_1).indexOf("stream\n") + 30;
        bytes[at] ^= 4;
        Files.write(target, bytes);
        assertThat(prove().holds()).isFalse();
    }

    private Path former(String name) throws IOException {
        for (String ending : List.of(".pdf", ".ledger.json")) {
            try (InputStream file = Objects.requireNonNull(ProverTests.class.getResourceAsStream(name + ending))) {
                Files.write(target.resolveSibling(name + ending), file.readAllBytes());
            }
        }
        target = target.resolveSibling(name + ".pdf");
        return Ledger.beside(target);
    }

    @Test
    void aBundleWithALedgerOfTheFirstFormatIsProvedStill() throws IOException {
        Path ledger = former("former");
        assertThat(prove().summary()).isEqualTo(
                "6 pages proved: every number, label and page as it was produced, 3 rows of the index, 4 bookmarks, 3 links.");
        Files.writeString(ledger, Files.readString(ledger).replaceFirst("\"number\":4,", "\"number\":5,"));
        assertThat(prove().holds()).isFalse();
    }

    @Test
    void aBundleWithALedgerOfTheSecondFormatIsProvedStill() throws IOException {
        Path ledger = former("second");
        assertThat(prove().summary()).isEqualTo(
                "5 pages proved: every number, label and page as it was produced, 2 rows of the index, 3 bookmarks, 5 links.");
        Files.writeString(ledger, Files.readString(ledger).replaceFirst("\"links\":\\[4", "\"links\":[5"));
        assertThat(prove().findings()).extracting(Finding::code).containsExactly(Code.PROOF_LINKS);
    }

    @Test
    void whatCannotBeProvedIsSaid() throws IOException {
        Path ledger = Ledger.beside(target);
        String whole = Files.readString(ledger);
        Files.writeString(ledger, whole.substring(0, whole.length() / 2));
        assertThatThrownBy(this::prove).hasMessageStartingWith("bundle.ledger.json is damaged");
        Files.writeString(ledger, whole.replaceFirst("\\n?,?\\{\"place\":\\[0,8.*", ""));
        assertThatThrownBy(this::prove).hasMessageStartingWith("bundle.ledger.json is damaged");
        Files.delete(ledger);
        assertThatThrownBy(this::prove).hasMessageContaining("its ledger is neither beside it, as bundle.ledger.json, nor");
        Files.writeString(ledger, whole);
        Files.writeString(target, "not a PDF");
        assertThatThrownBy(this::prove).hasMessageContaining("damaged, or no PDF");
        Files.delete(target);
        assertThatThrownBy(this::prove).hasMessageContaining("there is no such file");
    }

    @Test
    void itCanBeStopped() throws IOException {
        assertThat(Prover.standard().prove(target, Progress.NONE, () -> true)).isEmpty();
    }
}
