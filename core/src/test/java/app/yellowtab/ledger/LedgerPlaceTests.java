package app.yellowtab.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.assemble.Assembler;
import app.yellowtab.assemble.Outcome;
import app.yellowtab.finding.Progress;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.prove.Prover;
import app.yellowtab.sets.Output;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A ledger names files of the house: where it goes, and how it is found again. */
class LedgerPlaceTests {
    private static final LocalDateTime TIME = LocalDateTime.of(2031, 9, 1, 14, 5, 12);
    @TempDir
    private Path folder;
    private InPlace place;
    private Path matter;
    private Path house;
    private Path target;

    @BeforeEach
    void gather() throws IOException {
        place = new InPlace();
        matter = Files.createDirectories(folder.resolve("matter"));
        house = folder.resolve("bundle/produced");
        target = Files.createDirectories(folder.resolve("out")).resolve("Trial bundle.pdf");
        Pdfs.write(matter, "S", 2);
    }

    @AfterEach
    void close() throws IOException {
        place.close();
    }

    private Outcome.Written produce(LedgerPlace ledgers) throws IOException {
        Plan plan = Planner.plan(Folder.bundle(place, matter));
        return (Outcome.Written) Assembler.standard().assemble(plan, Output.screen(plan), place, target, ledgers, Progress.NONE,
                () -> false);
    }

    private static List<String> names(Path of) throws IOException {
        try (Stream<Path> files = Files.list(of)) {
            return files.map(file -> file.getFileName().toString()).sorted().toList();
        }
    }

    private boolean holds(Path pdf) throws IOException {
        return Prover.standard().prove(pdf, LedgerFinder.find(pdf, List.of(house)), Progress.NONE, () -> false).orElseThrow()
                .holds();
    }

    @Test
    void itStaysInTheHouseAndIsFoundByThePdfWhateverThatIsCalled() throws IOException {
        Path ledger = produce(new LedgerPlace.House(house, TIME)).ledger().orElseThrow();
        assertThat(names(target.getParent())).as("nothing that names our files").containsExactly("Trial bundle.pdf");
        assertThat(ledger.getParent()).isEqualTo(house);
        assertThat(ledger.getFileName().toString()).startsWith("Trial bundle 2031-09-01 14.05.12 ");
        Path sent = Files.copy(target, folder.resolve("A, as sent.pdf"));
        Pdfs.write(matter, "T", 1);
        produce(new LedgerPlace.House(house, TIME.plusHours(1)));
        assertThat(names(house)).as("what was sent can still be proved").hasSize(2);
        assertThat(holds(sent)).isTrue();
        assertThat(holds(target)).isTrue();
        assertThat(LedgerFinder.find(sent, List.of(house))).isEqualTo(ledger);
    }

    @Test
    void anOlderLedgerBesideIsTakenInSoThatNoPdfLiesBesideAnothersLedger() throws IOException {
        produce(LedgerPlace.BESIDE);
        Path first = Files.copy(target, folder.resolve("first.pdf"));
        Pdfs.write(matter, "T", 1);
        produce(new LedgerPlace.House(house, TIME));
        assertThat(names(target.getParent())).containsExactly("Trial bundle.pdf");
        assertThat(names(house)).hasSize(2);
        assertThat(holds(first)).isTrue();
        assertThat(holds(target)).isTrue();
    }

    @Test
    void itGoesWhereOneSaysOrNowhere() throws IOException {
        Path chosen = folder.resolve("chosen.json");
        assertThat(produce(new LedgerPlace.At(chosen)).ledger()).contains(chosen);
        assertThat(Prover.standard().prove(target, chosen, Progress.NONE, () -> false).orElseThrow().holds()).isTrue();
        assertThatThrownBy(() -> produce(new LedgerPlace.At(folder.resolve("no such folder/l.json"))))
                .hasMessageContainingAll("l.json", "there is no such folder");
        assertThatThrownBy(() -> produce(new LedgerPlace.At(matter.resolve("S.pdf")))).hasMessageContaining("S.pdf");
        assertThat(produce(LedgerPlace.NONE).ledger()).isEmpty();
        assertThat(names(target.getParent())).containsExactly("Trial bundle.pdf");
        assertThat(LedgerFinder.find(target, List.of(house))).as("what should be there is named")
                .isEqualTo(Ledger.beside(target));
    }
}
