package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.edit.number.LineEdits;
import app.yellowtab.edit.number.NumberEdits;
import app.yellowtab.edit.page.PageEdits;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Progress;
import app.yellowtab.mark.Ground;
import app.yellowtab.mark.Ink;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.NumberStyle;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.number.MarkSetting;
import app.yellowtab.model.number.OldNumbers;
import app.yellowtab.model.number.RunningLine;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.Sheet;
import app.yellowtab.pdf.Face;
import app.yellowtab.pdf.SystemFaces;
import app.yellowtab.plan.Marking;
import app.yellowtab.prove.Prover;
import app.yellowtab.testing.Pdfs;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Marks as they are seen on the produced page, and as the proof finds them. */
class MarkPicturesTests extends OneSource {
    private static final int DPI = 127;    // five pixels to a millimetre
    private static final int WIDE = 200;
    private static final int HIGH = 90;

    private void looked(UnaryOperator<PageLook> look, UnaryOperator<Bundle> more) throws IOException {
        choices = bundle -> more
                .apply(PageEdits.looked(bundle, Set.of(bundle.contents().documents().getFirst().runs().getFirst().key(1)), look));
        produce(1, document -> content(document, "0.7 g -1000 -1000 3000 3000 re f"));
        assertThat(Prover.standard().prove(target, Progress.NONE, () -> false).orElseThrow().findings()).isEmpty();
    }

    private BufferedImage page() throws IOException {
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            return new PDFRenderer(document).renderImageWithDPI(2, DPI, ImageType.RGB);
        }
    }

    private BufferedImage corner() throws IOException {
        BufferedImage page = page();
        return page.getSubimage(page.getWidth() - WIDE, page.getHeight() - HIGH, WIDE, HIGH);
    }

    /** The corner of the page at the lower right, 40 by 18 mm, is the same however the page lies. */
    @ParameterizedTest
    @CsvSource({"0,false,1", "1,false,1", "2,false,1", "3,false,1", "0,true,1", "1,true,1", "2,true,1", "3,true,1", "0,false,0.8",
            "1,true,0.8", "2,false,1.3", "3,true,1.3"})
    void aNumberLooksTheSameOnEveryPage(int turns, boolean cropped, double scale) throws IOException {
        looked(look -> {
            PageLook turned =
                    look.withTurns(turns).withCrop(cropped ? Optional.of(new Area(20, 30, 120, 160)) : Optional.empty());
            return scale == 1 ? turned : turned.onSheet(Optional.of(Sheet.A4), scale);
        }, bundle -> bundle);
        BufferedImage golden = ImageIO.read(Objects.requireNonNull(MarkPicturesTests.class.getResource("number.png")));
        BufferedImage seen = corner();
        int white = 0;
        int others = 0;
        for (int y = 0; y < HIGH; y++) {
            for (int x = 0; x < WIDE; x++) {
                int before = golden.getRGB(x, y) & 255;
                int now = seen.getRGB(x, y) & 255;
                // Beside the page, where it is smaller than its sheet, there is white in place of grey.
                boolean beside = before > 150 && before < 200;
                if (now > 230 && !beside) white++;
                if (!beside && Math.abs(before - now) > 60) others++;
            }
        }
        assertThat(white).as("the number's ground").isGreaterThan(500);
        assertThat(others).as("dots that differ").isLessThan(130);
    }

    @ParameterizedTest
    @CsvSource({"90", "-90", "180", "30"})
    void turnedColouredAndPaleMarksAreProved(int turn) throws IOException {
        MarkLook look = MarkLook.NUMBER.withTurn(turn).withInk(Ink.read("#c8102e")).withOpacity(0.5).withGround(Ground.FRAME)
                .withSize(30);
        looked(its -> its.withTurns(1), bundle -> NumberEdits.withNumber(bundle,
                new BundleNumber(new MarkSetting(new Spot(Spot.Row.MIDDLE, Spot.Column.MIDDLE, 0, 0), look))));
        BufferedImage page = page();
        int reds = 0;
        for (int y = 0; y < page.getHeight(); y++) for (int x = 0; x < page.getWidth(); x++)
            if ((page.getRGB(x, y) >> 16 & 255) - (page.getRGB(x, y) & 255) > 40) reds++;
        assertThat(reds).isPositive();
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            assertThat(document.getPage(2).getResources().getExtGStateNames()).hasSize(1);
        }
    }

    @Test
    void aTypefaceOfTheMachineIsEmbeddedAndProved() throws IOException {
        String name = SystemFaces.names().stream().filter(each -> each.startsWith("DejaVu Sans")).findFirst().orElseThrow();
        looked(its -> its, bundle -> NumberEdits.set(bundle, Marking.BUNDLE,
                setting -> setting.withLook(setting.look().withFace(Face.of("system:" + name)))));
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            var resources = document.getPage(2).getResources();
            for (var font : resources.getFontNames()) assertThat(resources.getFont(font).getName()).contains("DejaVu");
            for (var font : resources.getFontNames()) assertThat(resources.getFont(font).isEmbedded()).isTrue();
        }
        assertThat(Pdfs.pages(target).get(2)).contains("3");
        choices = bundle -> NumberEdits.set(bundle, Marking.BUNDLE,
                setting -> setting.withLook(setting.look().withFace(Face.of("system:Orchard Grotesque"))));
        assertThat(codes(produce())).containsExactly(Finding.Code.FACE_MISSING);
    }

    @Test
    void linesAndStylesAreReadAndLabelled() throws IOException {
        RunningLine line = new RunningLine(new SeriesId("line"), new MarkSetting(Spot.LINE, MarkLook.LINE),
                LineEdits.read("{file}, page {page} of {pages}"));
        looked(its -> its, bundle -> NumberEdits.with(NumberEdits.withNumber(bundle,
                BundleNumber.STANDARD.withFront(Optional.of(NumberStyle.SMALL_ROMAN)).withTotal(true)), line));
        assertThat(Pdfs.pages(target).get(2)).contains("S.pdf, page 1 of 1").contains("1 of 1");
        assertThat(Pdfs.pages(target).get(1)).contains("ii");
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            assertThat(document.getDocumentCatalog().getPageLabels().getLabelsByPageIndices()).containsExactly("i", "ii", "1");
        }
    }

    @Test
    void aLineThatIsTooLongIsCutAndSaidWithItsPages() throws IOException {
        String longest = "The night desk, the cellars and all other rooms of Mill House, with what was said of them afterwards. "
                .repeat(3);
        RunningLine line = new RunningLine(new SeriesId("line"), new MarkSetting(Spot.LINE, MarkLook.LINE.withSize(20)),
                LineEdits.read(longest));
        choices = bundle -> NumberEdits.with(bundle, line);
        Outcome.Written written = produce(3, document -> {});
        assertThat(written.findings()).filteredOn(finding -> finding.code() == Finding.Code.LINES_CUT).singleElement()
                .satisfies(finding -> assertThat(finding.message()).contains("on page 1, 2, 3, 4 and 5: “The night desk")
                        .contains("…”"));
    }

    @Test
    void whatCoversAnOldNumberIsWhiteWhereThePageIsTurned() throws IOException {
        looked(its -> its.withTurns(2),
                bundle -> bundle.withNumbering(bundle.numbering()
                        .withOld(List.of(new OldNumbers(bundle.sources().getFirst().id(), "7", OldNumbers.Handling.COVERED,
                                List.of(new OldNumbers.Place(1, "7", new Area(20, 30, 40, 20))))))));
        BufferedImage page = page();
        int x = page.getWidth() - 40 * 5;
        int y = page.getHeight() - 40 * 5;
        assertThat(page.getRGB(x, y) & 255).isGreaterThan(250);
        assertThat(page.getRGB(x - 30 * 5, y) & 255).isLessThan(200);
    }
}
