package app.yellowtab.desktop.loose;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.desktop.loose.LooseDesk.LooseState;
import app.yellowtab.desktop.work.Jobs;
import app.yellowtab.edit.number.NumberPreset;
import app.yellowtab.mark.Mark;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class LooseDeskTests {
    @TempDir
    private Path temp;
    private final LooseDesk desk = new LooseDesk(new Jobs(Runnable::run, Runnable::run));

    private LooseState state() {
        return desk.stateProperty().get();
    }

    @Test
    void filesAreListedWithTheNumbersThatTheyWillBearAndCopiesGetThem() throws IOException {
        Path a = Pdfs.write(temp, "A", 2);
        Path b = Pdfs.write(temp, "B", 3);
        Path text = Files.writeString(temp.resolve("notes.txt"), "no pdf");
        desk.add(List.of(a, b, text, a));
        assertThat(state().files()).hasSize(3);
        assertThat(state().files().get(2).trouble()).contains("notes.txt").contains("no PDF");
        desk.first("TH-000101");
        assertThat(desk.numbers(state().files().get(1))).isEqualTo("TH-000103 to TH-000105");
        desk.move(state().files().get(1), -1);
        assertThat(desk.numbers(state().files().getFirst())).isEqualTo("TH-000101 to TH-000103");
        assertThat(desk.firstMarks(state().files().get(1))).extracting(Mark::words).containsExactly("TH-000104");
        desk.first("none");
        assertThat(desk.saidProperty().get()).contains("“none” is no number");
        desk.copies(true, "", " numbered", Optional.of(temp.resolve("out")));
        desk.number(true, state().number().withTotal(true));
        desk.stamp();
        assertThat(desk.saidProperty().get()).startsWith("2 files are numbered");
        assertThat(Pdfs.pages(temp.resolve("out/A numbered.pdf")).get(1)).contains("TH-000102").contains("2 of 2");
        desk.writeRegister(temp.resolve("register.csv"));
        assertThat(Files.readAllLines(temp.resolve("register.csv"))).hasSize(6);
    }

    @Test
    void numbersAreTakenOffAgainAndPresetsAreUsed() throws IOException {
        desk.add(List.of(Pdfs.write(temp, "A", 1)));
        desk.copies(false, "", "", Optional.of(temp.resolve("out")));
        desk.stamp();
        NumberPreset preset = desk.preset();
        LooseDesk other = new LooseDesk(new Jobs(Runnable::run, Runnable::run));
        other.use(preset);
        assertThat(other.stateProperty().get().series()).isEqualTo(state().series());
        other.add(List.of(temp.resolve("out")));
        other.copies(false, "", "", Optional.of(temp.resolve("bare")));
        other.takeOff();
        assertThat(other.saidProperty().get()).startsWith("1 file without its numbers");
        assertThat(Files.readAllBytes(temp.resolve("bare/A.pdf"))).isEqualTo(Files.readAllBytes(temp.resolve("A.pdf")));
    }
}
