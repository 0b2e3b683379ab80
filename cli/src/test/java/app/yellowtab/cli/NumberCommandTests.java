package app.yellowtab.cli;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.edit.number.NumberPreset;
import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.keep.NumberPresets;
import app.yellowtab.mark.NumberStyle;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.PaperSet.Beginning;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.store.BundleFolder;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Numbers and lines from the command line, on bundles and on loose files. */
class NumberCommandTests extends AtTheCommandLine {
    @TempDir
    private Path temp;
    private Path matter;
    private Path target;

    @BeforeEach
    void write() throws IOException {
        matter = Files.createDirectories(temp.resolve("matter"));
        target = temp.resolve("out.pdf");
        Pdfs.write(matter, "A", 2);
        Pdfs.write(matter, "B", 3);
    }

    @Test
    void aBundleHasLinesAndNumbersFromAnywhereAsAPresetHasThem() throws IOException {
        Path preset = temp.resolve("preset.json");
        NumberPresets.write(preset, new NumberPresets.Named("Ours",
                new NumberPreset(BundleNumber.STANDARD.withStyle(NumberStyle.LARGE_ROMAN), List.of(), List.of())));
        assertThat(run("assemble", matter, "-o", target, "--number", "8", "--line", "top left={file}, page {page} of {pages}",
                "--check-numbers")).isZero();
        assertThat(Pdfs.pages(target).get(2)).contains("A.pdf, page 10 of 14").contains("10");
        assertThat(run("prove", target)).isZero();
        assertThat(run("assemble", matter, "-o", target, "--preset", preset)).isZero();
        assertThat(Pdfs.pages(target).get(3)).contains("IV");
        assertThat(run("assemble", matter, "-o", target, "--line", "{file}")).isEqualTo(2);
        assertThat(run("assemble", matter, "-o", target, "--line", "top left={moon}")).isEqualTo(2);
        assertThat(run("assemble", matter, "-o", target, "--number", "-3")).isEqualTo(2);
        assertThat(run("assemble", matter, "-o", target, "--preset", matter.resolve("A.pdf"))).isEqualTo(1);
        assertThat(err.toString()).contains("does not say where").contains("{moon}").contains("-3 is no number to begin with")
                .contains("A.pdf");
    }

    @Test
    void looseFilesAreStampedAndBareAgain() throws IOException {
        Path folder = temp.resolve("stamped");
        Path register = temp.resolve("register.csv");
        assertThat(run("stamp", matter, "-o", folder, "--bates", "TH-000101", "--place", "top right", "--line",
                "bottom middle={file}", "--name-before", "No ", "--register", register)).isZero();
        assertThat(Pdfs.pages(folder.resolve("No B.pdf")).get(2)).contains("TH-000105").contains("B.pdf");
        assertThat(Files.readAllLines(register)).hasSize(6);
        assertThat(out.toString()).contains("2 files, 5 pages, TH-000101 to TH-000105");
        Path bare = temp.resolve("bare");
        assertThat(run("stamp", folder, "-o", bare, "--take-off")).isZero();
        assertThat(Files.readAllBytes(bare.resolve("No B.pdf"))).isEqualTo(Files.readAllBytes(matter.resolve("B.pdf")));
        assertThat(run("stamp", matter, "-o", folder)).isEqualTo(2);
        assertThat(run("stamp", matter, "-o", folder, "--bates", "TH-1", "--take-off")).isEqualTo(2);
        assertThat(run("stamp", matter, "-o", folder, "--number", "--name-after", "/x")).isEqualTo(2);
        assertThat(run("stamp", matter, "-o", matter, "--number")).isEqualTo(1);
        assertThat(err.toString()).contains("Say what to put on").contains("cannot stand in the name");
    }

    @Test
    void aSavedBundleIsBuiltForTheScreenAndForPaper() throws IOException {
        Path folder = temp.resolve("saved");
        try (BundleFolder place = BundleFolder.create(folder, Bundle.EMPTY)) {
            Intake.Taken taken = new Intake(place).bringIn(FoundFolder.of(List.of(matter), new ArrayList<>()),
                    Intake.Listener.NONE, () -> false);
            Bundle bundle = Bundle.EMPTY.withHeading(CaseHeading.EMPTY.withTitle("Saved")).withSources(taken.sources())
                    .withContents(taken.contents());
            place.save(bundle.withLayout(bundle.layout().withPaper(bundle.layout().paper().withBegins(Beginning.DOCUMENTS))));
        }
        assertThat(run("build", folder, "-o", target, "--set", "both")).isZero();
        assertThat(Pdfs.pageCount(target)).isEqualTo(8);
        Path paper = temp.resolve("out (paper).pdf");
        assertThat(Pdfs.pageCount(paper)).isEqualTo(9);
        assertThat(temp.resolve("out (printing order).docx")).exists();
        assertThat(temp.resolve("out (spine labels).pdf")).exists();
        assertThat(run("prove", target, "--bundle", folder, "--paper", paper)).isZero();
        assertThat(out.toString()).contains("out.pdf: 8 pages proved").contains("out (paper).pdf: 9 pages proved")
                .contains("Both sets have the same numbers on the same pages.");
        Pdfs.write(Files.createDirectories(temp.resolve("less")), "A", 2);
        assertThat(run("assemble", temp.resolve("less"), "-o", temp.resolve("other.pdf"))).isZero();
        assertThat(run("prove", temp.resolve("other.pdf"), "--bundle", folder, "--paper", paper)).isEqualTo(1);
        assertThat(err.toString()).contains("the set to be printed and the set for the screen differ at number 1");
        Files.delete(target);
        assertThat(run("build", folder, "-o", target, "--set", "paper")).isZero();
        assertThat(target).doesNotExist();
    }
}
