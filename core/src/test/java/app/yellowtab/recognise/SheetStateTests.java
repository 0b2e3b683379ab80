package app.yellowtab.recognise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.mockito.Mockito.mock;

import app.yellowtab.draw.BoundedRenderer;
import app.yellowtab.facts.RecognisedPage;
import app.yellowtab.ink.GreyPicture;
import app.yellowtab.sample.paper.RehearsalBacks;
import app.yellowtab.sample.paper.RehearsalBacks.Kind;
import app.yellowtab.sample.paper.RehearsalPages;
import app.yellowtab.sample.paper.RehearsalScan;
import app.yellowtab.sample.paper.RehearsalScan.Ink;
import app.yellowtab.sample.paper.RehearsalScan.Manner;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** How scanned sheets lie: blank, the wrong way, askew. */
class SheetStateTests {
    @TempDir
    private Path temp;

    @ParameterizedTest
    @EnumSource
    void dirtIsNoPageAndTheFaintestMarkIsOne(Kind kind) {
        for (int seed = 1; seed <= 3; seed++)
            assertThat(PageReading.isBlank(GreyPicture.of(RehearsalBacks.sheet(kind, 150, seed), 150))).as(kind + " " + seed)
                    .isEqualTo(kind.isBlank());
    }

    private GreyPicture page(double degrees, int seed) throws IOException {
        Path printed = temp.resolve("printed.pdf");
        RehearsalPages.write(printed, 1, seed);
        try (PDDocument document = Loader.loadPDF(printed.toFile())) {
            return GreyPicture.of(RehearsalScan.scanned(new BoundedRenderer(document).draw(0, 1240).image(), degrees,
                    new Manner(150, Ink.GREY, 0, true), new Random(seed)), 150);
        }
    }

    @ParameterizedTest
    @ValueSource(doubles = {-9.7, -3.3, -0.4, 0, 0.25, 1.1, 6})
    void theSlantIsFound(double degrees) throws IOException {
        for (int seed = 3; seed <= 4; seed++) assertThat(PageReading.slant(page(degrees, seed)))
                .as("clockwise, so the other way round").isCloseTo(-degrees, within(0.15));
    }

    @Test
    void aPageThatStandsTheWrongWayIsReadAsItShouldStand() throws IOException {
        // The upper third is text enough, and is read in a third of the time.
        GreyPicture whole = page(0.8, 8);
        GreyPicture upright = new GreyPicture(whole.width(), 640, 150, Arrays.copyOf(whole.pixels(), whole.width() * 640));
        try (ProcessRecogniser engine = new ProcessRecogniser(Languages.ofUser(), List.of(Languages.ENGLISH))) {
            RecognisedPage read = PageReading.read(upright.turned(3), 25.4 / 150, engine);
            assertThat(read.state().turns()).isEqualTo(1);
            assertThat(read.state().slantDegrees()).isCloseTo(-0.8, within(0.15));
            assertThat(read.text().text()).contains("Brightwick Cold Stores");
        }
        GreyPicture blank = GreyPicture.of(RehearsalBacks.sheet(Kind.ALL_DIRT, 150, 9), 150);
        assertThat(
                PageReading
                        .read(blank, 25.4 / 150,
                                mock(TextRecogniser.class,
                                        call -> call.getMethod().getReturnType() == String.class ? "eng" : null))
                        .state().isBlank())
                .as("and nothing is looked for on it").isTrue();
    }
}
