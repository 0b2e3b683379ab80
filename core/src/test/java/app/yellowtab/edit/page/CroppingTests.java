package app.yellowtab.edit.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.yellowtab.assemble.Assembler;
import app.yellowtab.finding.Progress;
import app.yellowtab.leaf.LeafSheet;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A letter of three pages of A4, cropped. */
class CroppingTests {
    private static final double MM_PER_PT = 25.4 / 72;

    @TempDir
    private Path folder;

    private static PageKey key(Bundle bundle, int page) {
        SourcePages run = (SourcePages) bundle.contents().allDocuments().getFirst().runs().getFirst();
        return new PageKey(run.id(), page);
    }

    @ParameterizedTest
    @CsvSource({"12, 12", "'1,5 cm', 15", "0.5 in, 12.7", "36pt, 12.7", "'', 0", "2\", 50.8"})
    void lengthsAreReadAsTheyAreTyped(String typed, double millimetres) {
        assertThat(Margins.read(typed).orElseThrow()).isCloseTo(millimetres, within(0.001));
    }

    @ParameterizedTest
    @CsvSource({"ten", "-3", "4 km", "1.2.3"})
    void whatIsNoLengthIsRefused(String typed) {
        assertThat(Margins.read(typed)).isEmpty();
    }

    @Test
    void marginsAreMeasuredOnThePageAsItIsTurnedAndNothingIsTakenAway() throws IOException {
        Path matter = Files.createDirectories(folder.resolve("matter"));
        Pdfs.write(matter, "Letter", 3);
        Path target = folder.resolve("bundle.pdf");
        try (InPlace place = new InPlace(List.of())) {
            Bundle all = Folder.bundle(place, matter);
            Set<PageKey> both = Set.of(key(all, 1), key(all, 2));
            Bundle turned = PageEdits.turned(all, Set.of(key(all, 2)), 1);
            Cropping.Cropped cropped = Cropping.byMargins(turned, both, new Margins(10, 20, 30, 40));
            assertThat(cropped.left()).isZero();
            Plan plan = Planner.plan(cropped.bundle());
            int first = plan.pageCount() - 3;
            assertThat(LeafSheet.of(plan.leaf(first), cropped.bundle().sourcesById())).hasValueSatisfying(sheet -> {
                assertThat(sheet.widthMm()).isCloseTo(210 - 40, within(0.1));
                assertThat(sheet.heightMm()).isCloseTo(297 - 60, within(0.1));
            });
            Assembler.standard().assemble(plan, place, target, Progress.NONE, () -> false);
            try (PDDocument produced = Loader.loadPDF(target.toFile())) {
                assertThat(produced.getPage(first).getCropBox().getWidth() * MM_PER_PT).isCloseTo(170, within(0.2));
                assertThat(produced.getPage(first + 1).getRotation()).isEqualTo(90);
                // It stands on its side: what is its left for a reader is the foot of the page as it came.
                assertThat(produced.getPage(first + 1).getCropBox().getHeight() * MM_PER_PT).isCloseTo(297 - 40, within(0.2));
                assertThat(produced.getPage(first + 1).getCropBox().getWidth() * MM_PER_PT).isCloseTo(210 - 60, within(0.2));
                assertThat(produced.getPage(first + 2).getCropBox().getWidth() * MM_PER_PT).isCloseTo(210, within(0.2));
            }
            assertThat(Cropping.takenOff(cropped.bundle(), both)).isEqualTo(turned);
        }
    }

    @Test
    void marginsThatLeaveNothingAndHalvesOfASheetAreLeftAlone() throws IOException {
        Path matter = Files.createDirectories(folder.resolve("matter"));
        Pdfs.write(matter, "Letter", 1);
        try (InPlace place = new InPlace(List.of())) {
            Bundle all = Folder.bundle(place, matter);
            assertThat(Cropping.byMargins(all, Set.of(key(all, 1)), new Margins(100, 0, 108, 0)))
                    .isEqualTo(new Cropping.Cropped(all, 1));
            SourcePages whole = (SourcePages) all.contents().allDocuments().getFirst().runs().getFirst();
            SourcePages left = whole.withLook(whole.look().withCrop(Optional.of(new Area(0, 0, 105, 297))));
            SourcePages right = left.copy().withLook(whole.look().withCrop(Optional.of(new Area(105, 0, 105, 297))));
            Document divided = all.contents().allDocuments().getFirst().withRuns(List.of(left, right));
            Bundle halves = all.withContents(all.contents().withDocuments(List.of(divided)));
            Set<PageKey> both = Set.of(left.key(1), right.key(1));
            assertThat(Cropping.byMargins(halves, both, new Margins(5, 5, 5, 5))).isEqualTo(new Cropping.Cropped(halves, 2));
            assertThat(Cropping.takenOff(halves, both)).isEqualTo(halves);
        }
    }
}
