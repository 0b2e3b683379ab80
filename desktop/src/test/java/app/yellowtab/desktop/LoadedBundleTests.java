package app.yellowtab.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.edit.number.NumberEdits;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.number.GivenNumber;
import app.yellowtab.model.number.MarkSetting;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.plan.Planner;
import app.yellowtab.register.MatterRegister;
import app.yellowtab.store.BundleFolder;
import app.yellowtab.testing.Bundles;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A bundle is opened whose program ended between entering its numbers in the register and saving it. */
class LoadedBundleTests {
    private static final SeriesId BATES = new SeriesId("bates");
    private static final int KILLED = 42;

    @TempDir
    private Path temp;

    /** Another program, which enters numbers, or takes one back, and is killed before it saves its bundle. */
    public static void main(String[] args) throws IOException {
        BundleFolder.Opened opened = BundleFolder.open(Path.of(args[0]));
        Bundle bundle = opened.bundle();
        Path register = MatterRegister.of(bundle, opened.folder().path()).orElseThrow();
        opened.folder().keepId();
        List<GivenNumber> numbers = Planner.plan(bundle).numbersOf(bundle, BATES);
        if (args[1].equals("issue"))
            MatterRegister.enter(register, MatterRegister.spans(numbers, opened.folder().id(), "Trial", LocalDate.now()));
        else MatterRegister.takeBack(register,
                MatterRegister.spans(numbers.subList(0, 1), opened.folder().id(), "Trial", LocalDate.now()), LocalDate.now());
        Runtime.getRuntime().halt(KILLED);
    }

    private void killed(String act) throws Exception {
        Process other = new ProcessBuilder(Path.of(System.getProperty("java.home"), "bin", "java").toString(), "-cp",
                System.getProperty("java.class.path"), LoadedBundleTests.class.getName(), temp.resolve("bundle").toString(), act)
                .redirectErrorStream(true).redirectOutput(ProcessBuilder.Redirect.DISCARD).start();
        assertThat(other.waitFor()).isEqualTo(KILLED);
    }

    @Test
    void whatStandsInTheRegisterIsTakenOverFromAProgramThatWasKilledBeforeItSaved() throws Exception {
        Path register = temp.resolve("register.csv");
        MatterRegister.begin(register);
        Bundle bundle = NumberEdits.with(Bundles.bundle(Bundles.document("lease", 3)),
                new Series(BATES, "TH-1", new MarkSetting(Spot.OPPOSITE, MarkLook.SERIES)));
        bundle = bundle.withNumbering(bundle.numbering().withRegister("../register.csv"));
        List<GivenNumber> numbers = Planner.plan(bundle).numbersOf(bundle, BATES);
        BundleFolder.create(temp.resolve("bundle"), bundle).close();
        killed("issue");
        Bundle issued = opened();
        assertThat(issued.numbering().given()).hasSize(3).isEqualTo(numbers);
        BundleFolder.Opened again = BundleFolder.open(temp.resolve("bundle"));
        try (BundleFolder folder = again.folder()) {
            folder.save(issued);
        }
        killed("take back");
        Bundle now = opened();
        assertThat(now.numbering().given()).isEqualTo(numbers.subList(1, 3));
        assertThat(now.numbering().takenBack()).isEqualTo(numbers.subList(0, 1));
        Files.delete(register);
        assertThat(opened().numbering().given()).as("it is opened all the same, as it was saved").hasSize(3);
    }

    private Bundle opened() throws IOException {
        BundleFolder.Opened opened = BundleFolder.open(temp.resolve("bundle"));
        try (BundleFolder _ = opened.folder()) {
            return LoadedBundle.of(opened, temp.resolve("user")).bundle();
        }
    }
}
