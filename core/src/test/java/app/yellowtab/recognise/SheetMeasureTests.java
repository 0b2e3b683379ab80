package app.yellowtab.recognise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.yellowtab.draw.BoundedRenderer;
import app.yellowtab.facts.SheetState;
import app.yellowtab.facts.SheetState.DarkEdges;
import app.yellowtab.ink.Blankness;
import app.yellowtab.ink.Edges;
import app.yellowtab.ink.Fold;
import app.yellowtab.ink.GreyPicture;
import app.yellowtab.ink.Ink;
import app.yellowtab.sample.paper.RehearsalBacks;
import app.yellowtab.sample.paper.RehearsalFile;
import app.yellowtab.sample.paper.RehearsalFile.Packing;
import app.yellowtab.sample.paper.RehearsalPages;
import app.yellowtab.sample.paper.RehearsalSheets;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.GZIPOutputStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What is measured on sheets beside their words: dark edges, folds, marks. */
class SheetMeasureTests {
    private static final int DPI = 150;
    private static final List<BufferedImage> SHEETS = new ArrayList<>();
    @TempDir
    private static Path printed;
    @TempDir
    private Path temp;

    @BeforeAll
    static void print() throws IOException {
        SHEETS.clear();
        Path file = printed.resolve("printed.pdf");
        RehearsalPages.write(file, 6, 99);
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            BoundedRenderer renderer = new BoundedRenderer(document);
            for (int page = 0; page < 6; page++) {
                BufferedImage drawn = renderer.draw(page, 1240).image();
                BufferedImage grey = new BufferedImage(drawn.getWidth(), drawn.getHeight(), BufferedImage.TYPE_BYTE_GRAY);
                grey.createGraphics().drawImage(drawn, 0, 0, null);
                SHEETS.add(grey);
            }
        }
    }

    private static Ink ink(BufferedImage image) {
        return new Ink(GreyPicture.of(image, DPI));
    }

    @ParameterizedTest
    @CsvSource({"4, 0", "8, 0", "12, 0", "6, 1", "3, -1.5"})
    void darkEdgesAreFoundAndKeepOffAllThatIsOnThePage(double edgeMm, double degrees) {
        for (BufferedImage sheet : SHEETS) {
            BufferedImage onDark = RehearsalSheets.onDark(sheet, DPI, edgeMm, degrees);
            DarkEdges edges = Edges.of(ink(onDark), List.of());
            double wedge = Math.abs(Math.tan(Math.toRadians(degrees)));
            assertThat(edges.leftMm()).as("left").isBetween(edgeMm - 0.5 - wedge * 60, edgeMm + 0.8 + wedge * 297);
            assertThat(edges.topMm()).as("top").isBetween(edgeMm - 0.5 - wedge * 60, edgeMm + 0.8 + wedge * 210);
            // Print begins 25 mm from the left and some 24 from above.
            assertThat(edges.leftMm()).isLessThan(edgeMm + 24 - wedge * 149);
            if (degrees == 0) assertThat(edges.rightMm()).isCloseTo(edgeMm, within(0.8));
            if (degrees == 0) assertThat(edges.bottomMm()).isCloseTo(edgeMm, within(0.8));
        }
    }

    @Test
    void aSheetWithoutDarkEdgesHasNone() {
        for (BufferedImage sheet : SHEETS) assertThat(Edges.of(ink(sheet), List.of())).isEqualTo(DarkEdges.NONE);
    }

    @Test
    void wordsThatReachIntoADarkEdgeDrawItBack() {
        BufferedImage onDark = RehearsalSheets.onDark(SHEETS.getFirst(), DPI, 10, 0);
        DarkEdges edges = Edges.of(ink(onDark), List.of(new double[] {5 / 230.0, 0.5, 0.3, 0.52}));
        assertThat(edges.leftMm()).isBetween(3.0, 5.0);
        assertThat(edges.rightMm()).isCloseTo(10, within(0.8));
    }

    @Test
    void aPictureThatFillsThePageIsNoDarkEdge() {
        BufferedImage dark = new BufferedImage(1240, 1754, BufferedImage.TYPE_BYTE_GRAY);
        for (int y = 0; y < 1754; y++)
            for (int x = 0; x < 1240; x++) dark.getRaster().setSample(x, y, 0, (x * 7 + y * 3) % 90 + (x > 900 ? 165 : 0));
        assertThat(Edges.of(ink(dark), List.of()).leftMm()).isZero();
    }

    @Test
    void spreadsAreFoldedInTheirMiddle() {
        int withoutShadow = 0;
        for (int i = 0; i + 1 < SHEETS.size(); i++) {
            assertThat(Fold.of(ink(RehearsalSheets.spread(SHEETS.get(i), SHEETS.get(i + 1), DPI, true)))).as("sheet %d", i)
                    .isCloseTo(0.5, within(0.01));
            double fold = Fold.of(ink(RehearsalSheets.spread(SHEETS.get(i), SHEETS.get(i + 1), DPI, false)));
            if (fold > 0) withoutShadow++;
            if (fold > 0) assertThat(fold).isCloseTo(0.5, within(0.05));
        }
        // Tables are not told from the columns of one.
        assertThat(withoutShadow).isPositive();
    }

    @Test
    void aShadowTellsOfASpreadAlsoWhereOnePageIsEmptyAndARuledLineDoesNot() {
        BufferedImage empty = new BufferedImage(1240, 1754, BufferedImage.TYPE_BYTE_GRAY);
        for (int y = 0; y < 1754; y++) for (int x = 0; x < 1240; x++) empty.getRaster().setSample(x, y, 0, 255);
        assertThat(Fold.of(ink(RehearsalSheets.spread(SHEETS.getFirst(), empty, DPI, true)))).isCloseTo(0.5, within(0.01));
        BufferedImage ruled = RehearsalSheets.spread(SHEETS.getFirst(), empty, DPI, false);
        for (int y = 100; y < 1650; y++) for (int x = 1238; x < 1241; x++) ruled.getRaster().setSample(x, y, 0, 0);
        assertThat(Fold.of(ink(ruled))).isZero();
    }

    @Test
    void onePageIsNoSpread() {
        for (BufferedImage sheet : SHEETS) {
            assertThat(Fold.of(ink(sheet))).isZero();
            BufferedImage wide = new BufferedImage(1754, 1240, BufferedImage.TYPE_BYTE_GRAY);
            wide.createGraphics().drawImage(sheet, 0, 0, 1754, 1240, null);
            if (sheet == SHEETS.get(0)) assertThat(Fold.of(ink(wide))).as("text over the whole width").isZero();
        }
    }

    @Test
    void marksAreMeasuredSoThatTheDoubtfulCanBeToldApart() {
        assertThat(Blankness.markMm(ink(RehearsalBacks.sheet(RehearsalBacks.Kind.ALL_DIRT, DPI, 3)))).isZero();
        assertThat(Blankness.markMm(ink(RehearsalBacks.sheet(RehearsalBacks.Kind.PAGE_NUMBER, DPI, 3)))).isBetween(1.0, 25.0);
        assertThat(Blankness.markMm(ink(SHEETS.getFirst()))).isEqualTo(999);
    }

    @ParameterizedTest
    @EnumSource(Packing.class)
    void everyPackingCanBeReadBack(Packing packing) throws IOException {
        Path file = temp.resolve("packed.pdf");
        BufferedImage side = packing == Packing.CCITT || packing == Packing.JBIG2
                ? RehearsalSheets.blackAndWhite(SHEETS.getFirst()) : SHEETS.getFirst();
        RehearsalFile.write(List.of(side), packing, DPI, file);
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            BufferedImage read = new BoundedRenderer(document).draw(0, 1240).image();
            int same = 0;
            for (int y = 0; y < read.getHeight(); y += 3) for (int x = 0; x < read.getWidth(); x += 3)
                if (Math.abs((read.getRGB(x, y) & 255) - (side.getRGB(x, y) & 255)) < 40) same++;
            assertThat((double) same * 9 / read.getWidth() / read.getHeight()).isGreaterThan(0.98);
        }
    }

    @Test
    void whatWasKeptBeforeTheseMeasuresIsReadStill() throws IOException {
        Path file = temp.resolve("old.json.gz");
        try (Writer old = new OutputStreamWriter(new GZIPOutputStream(Files.newOutputStream(file)), StandardCharsets.UTF_8)) {
            old.write(
                    "{\"recognised\":1,\"engine\":\"e\",\"languages\":\"eng\",\"turns\":2,\"slant\":0.4,\"blank\":false,"
                            + "\"text\":\"word\\n\",\"sides\":[100,200,300,400],\"certainties\":[90]}");
        }
        assertThat(RecognisedFile.read(file)).hasValueSatisfying(page -> {
            assertThat(page.text().text()).isEqualTo("word\n");
            assertThat(page.state()).isEqualTo(SheetState.SOUND.withTurns(2).withSlant(0.4));
        });
    }
}
