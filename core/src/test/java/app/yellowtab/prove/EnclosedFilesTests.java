package app.yellowtab.prove;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.assemble.Assembler;
import app.yellowtab.assemble.Outcome;
import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Enclosing;
import app.yellowtab.edit.Place;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Progress;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Layout;
import app.yellowtab.model.Separators;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.InTray;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import javax.sound.sampled.AudioFileFormat;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Files that go along with a bundle as they are. */
class EnclosedFilesTests {
    private static final int RATE = 8000;

    @TempDir
    private Path folder;
    private Path target;
    private Path beside;
    private InPlace place;
    private Bundle bundle;

    @BeforeEach
    void aLetterARecordingAndAWorkbook() throws IOException {
        Path matter = Files.createDirectories(folder.resolve("matter"));
        Pdfs.write(matter, "Letter", 2);
        Pdfs.write(matter, "Sums", 3);
        Pdfs.write(matter, "Reply", 1);
        sound(matter.resolve("Call.wav"), 134);
        target = folder.resolve("Trial bundle.pdf");
        beside = folder.resolve("Trial bundle files");
        place = new InPlace(List.of());
        Bundle all = Folder.bundle(place, matter);
        List<String> tray = all.tray().stream().map(InTray::id).toList();
        bundle = Enclosing.enclose(Edits.putInIndex(all, tray, new Place(Optional.empty(), 1)), id(all, "Sums"), false)
                .withLayout(new Layout(false, Separators.NONE));
    }

    @AfterEach
    void forget() throws IOException {
        place.close();
    }

    private static void sound(Path file, int seconds) throws IOException {
        int frames = RATE * seconds;
        AudioFormat format = new AudioFormat(RATE, 8, 1, true, false);
        AudioSystem.write(new AudioInputStream(new ByteArrayInputStream(new byte[frames]), format, frames),
                AudioFileFormat.Type.WAVE, file.toFile());
    }

    private static EntryId id(Bundle bundle, String title) {
        return bundle.contents().allDocuments().stream().filter(document -> document.title().equals(title)).map(Document::id)
                .findFirst().orElseThrow();
    }

    private Outcome produce(Bundle now) throws IOException {
        return Assembler.standard().assemble(Planner.plan(now), place, target, Progress.NONE, () -> false);
    }

    private Proof proof() throws IOException {
        return Prover.standard().prove(target, Progress.NONE, () -> false).orElseThrow();
    }

    @Test
    void aSheetBearsANumberAndALineNoneAndBothFilesLieBesideTheBundle() throws IOException {
        assertThat(produce(bundle)).isInstanceOfSatisfying(Outcome.Written.class,
                written -> assertThat(written.enclosed()).isEqualTo(2));
        List<String> pages = Pdfs.pages(target);
        assertThat(pages).hasSize(5);
        assertThat(pages.get(0)).contains("2 Call Supplied as a file: Call.wav, 2 min 14 s 4").contains("3 Reply 5")
                .containsPattern("4 Sums Supplied as a file: Sums.pdf, [0-9]+ (bytes|kB) file 1$");
        assertThat(pages.get(3))
                .startsWith("Call This document is a file that is supplied with the bundle. Call.wav 2 min 14 s long, 1,072,0")
                .contains("Fingerprint (SHA-256)").endsWith(" 4");
        assertThat(beside.resolve("Call.wav")).hasSameBinaryContentAs(folder.resolve("matter/Call.wav"));
        assertThat(beside.resolve("Sums.pdf")).hasSameBinaryContentAs(folder.resolve("matter/Sums.pdf"));
        assertThat(proof().summary()).startsWith("5 pages proved").endsWith(", 2 files beside it.");
    }

    @Test
    void theProofMissesAFileAndSeesThatOneWasChanged() throws IOException {
        produce(bundle);
        Files.delete(beside.resolve("Sums.pdf"));
        byte[] sound = Files.readAllBytes(beside.resolve("Call.wav"));
        sound[sound.length - 1]++;
        Files.write(beside.resolve("Call.wav"), sound);
        assertThat(proof().findings()).extracting(finding -> finding.code() + " " + finding.detail())
                .containsExactlyInAnyOrder("PROOF_FILE_MISSING Sums.pdf", "PROOF_FILE_CHANGED Call.wav");
    }

    @Test
    void whatDoesNotGoAlongAnyMoreIsTakenAwayAndWhatIsNotOursStays() throws IOException {
        produce(bundle);
        Path own = Files.writeString(beside.resolve("my notes.txt"), "mine");
        Bundle printed = Enclosing.withPages(bundle, id(bundle, "Sums"));
        produce(printed);
        assertThat(names()).containsExactly("Call.wav", "my notes.txt");
        assertThat(Pdfs.pages(target)).hasSize(8).last().isEqualTo("Sums-3 8");
        produce(Edits.takeOut(printed, Set.of(id(bundle, "Call"))));
        assertThat(names()).containsExactly("my notes.txt");
        Files.delete(own);
        produce(bundle);
        produce(Edits.takeOut(bundle, Set.of(id(bundle, "Call"), id(bundle, "Sums"))));
        assertThat(beside).doesNotExist();
    }

    private List<String> names() throws IOException {
        try (Stream<Path> inside = Files.list(beside)) {
            return inside.map(file -> file.getFileName().toString()).sorted().toList();
        }
    }

    @Test
    void aLedgerThatNamesAFileElsewhereHasNothingTakenAwayThere() throws IOException {
        produce(bundle);
        Path elsewhere = Files.copy(beside.resolve("Call.wav"), folder.resolve("Call.wav"));
        Path ledger = folder.resolve("Trial bundle.ledger.json");
        Files.writeString(ledger, Files.readString(ledger).replace("\"name\":\"Call.wav\"", "\"name\":\"../Call.wav\""));
        produce(Edits.takeOut(bundle, Set.of(id(bundle, "Call"))));
        assertThat(elsewhere).exists();
    }

    @Test
    void aFileThatSomebodyElsePutThereIsNeverWrittenOver() throws IOException {
        Files.createDirectories(beside);
        Path other = Files.writeString(beside.resolve("Call.wav"), "of another call");
        assertThatThrownBy(() -> produce(bundle))
                .isInstanceOfSatisfying(FindingException.class,
                        refused -> assertThat(refused.finding().code()).isEqualTo(Code.ENCLOSED_IN_WAY))
                .hasMessageContaining("Trial bundle files / Call.wav").hasMessageContaining("Move that file elsewhere");
        assertThat(other).hasContent("of another call");
        assertThat(target).doesNotExist();
        Files.delete(other);
        produce(bundle);
        assertThat(proof().holds()).isTrue();
    }

    @Test
    void aRecordingThatWasChangedSinceItCameStopsTheProduction() throws IOException {
        sound(folder.resolve("matter/Call.wav"), 2);
        assertThatThrownBy(() -> produce(bundle)).isInstanceOfSatisfying(FindingException.class,
                refused -> assertThat(refused.finding().code()).isEqualTo(Code.SOURCE_CHANGED));
        assertThat(target).doesNotExist();
        assertThat(beside).doesNotExist();
    }

    @Test
    void whatTheUserSaysOfHowItIsSuppliedStandsInTheIndexAndOnTheSheet() throws IOException {
        produce(Enclosing.supply(bundle, id(bundle, "Call"), "On a memory stick"));
        assertThat(Pdfs.pages(target).get(0)).contains("2 Call On a memory stick: Call.wav, 2 min 14 s 4");
        assertThat(Pdfs.pages(target).get(3)).startsWith("Call On a memory stick Call.wav");
    }

    @Test
    void filesOfOneNameAreToldApart() throws IOException {
        Path matter = Files.createDirectories(folder.resolve("two/a"));
        Pdfs.write(folder.resolve("two"), "Letter", 1);
        sound(matter.resolve("CALL.wav"), 1);
        sound(Files.createDirectories(folder.resolve("two/b")).resolve("Call.wav"), 3);
        Bundle two = Folder.bundle(place, folder.resolve("two"));
        Plan plan =
                Planner.plan(Edits.putInIndex(two, two.tray().stream().map(InTray::id).toList(), new Place(Optional.empty(), 1)));
        assertThat(plan.enclosures()).extracting(enclosure -> enclosure.name()).containsExactly("CALL.wav", "Call (2).wav");
    }

    @Test
    void aBundleOfNothingButALineHasItsIndexAlone() throws IOException {
        Bundle only =
                Enclosing.enclose(Edits.takeOut(bundle, Set.of(id(bundle, "Letter"), id(bundle, "Reply"), id(bundle, "Sums"))),
                        id(bundle, "Call"), false);
        produce(only);
        assertThat(Pdfs.pages(target)).hasSize(1).first().asString()
                .contains("1 Call Supplied as a file: Call.wav, 2 min 14 s file").endsWith(" 1");
        assertThat(proof().holds()).isTrue();
    }
}
