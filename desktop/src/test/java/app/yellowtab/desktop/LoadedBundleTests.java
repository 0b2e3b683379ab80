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

    @TempDir
    private Path temp;

    @Test
    void whatStandsInTheRegisterIsTakenOver() throws IOException {
        Path register = temp.resolve("register.csv");
        MatterRegister.begin(register);
        Bundle bundle = NumberEdits.with(Bundles.bundle(Bundles.document("lease", 3)),
                new Series(BATES, "TH-1", new MarkSetting(Spot.OPPOSITE, MarkLook.SERIES)));
        bundle = bundle.withNumbering(bundle.numbering().withRegister("../register.csv"));
        List<GivenNumber> numbers = Planner.plan(bundle).numbersOf(bundle, BATES);
        try (BundleFolder folder = BundleFolder.create(temp.resolve("bundle"), bundle)) {
            MatterRegister.enter(register, MatterRegister.spans(numbers, folder.id(), "Trial", LocalDate.of(2031, 3, 4)));
        }
        assertThat(opened().numbering().given()).hasSize(3).isEqualTo(numbers);
        Files.delete(register);
        assertThat(opened().numbering().given()).as("it is opened all the same").isEmpty();
    }

    private Bundle opened() throws IOException {
        BundleFolder.Opened opened = BundleFolder.open(temp.resolve("bundle"));
        try (BundleFolder _ = opened.folder()) {
            return LoadedBundle.of(opened, temp.resolve("user")).bundle();
        }
    }
}
