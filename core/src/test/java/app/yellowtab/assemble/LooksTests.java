package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.yellowtab.edit.Edits;
import app.yellowtab.finding.Progress;
import app.yellowtab.ledger.Ledger;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Comments;
import app.yellowtab.model.FromSources;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.Sheet;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.pdf.PageFrame;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.prove.Prover;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.LeafPictures;
import app.yellowtab.testing.Pdfs;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.color.PDColor;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceRGB;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationLink;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationSquare;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageXYZDestination;
import org.apache.pdfbox.util.Matrix;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.json.JsonMapper;

/**
 * Looks are looked for where a reader would: on the drawn page. Each page has one black bar, 100 mm long and 10 mm high, 30 mm
 * from the left and 40 mm from above as it is seen.
 */
class LooksTests extends OneSource {
    private static final int DPI = 254;    // ten pixels to a millimetre
    private static final double MM = 72 / 25.4;
    private static final Schema SCHEMA = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
            .getSchema(read(Path.of("../docs/ledger.schema.json")));

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Draws the bar as it is seen, whatever the page's boxes, turn and unit are. */
    private static void bar(PDDocument document, int page, double degrees) {
        PDPage on = document.getPage(page);
        PageFrame frame = PageFrame.of(on);
        try (PDPageContentStream content = new PDPageContentStream(document, on)) {
            content.transform(frame.fromReader());
            content.transform(Matrix.getRotateInstance(Math.toRadians(degrees), frame.widthPt() / 2, frame.heightPt() / 2));
            content.transform(Matrix.getTranslateInstance(-frame.widthPt() / 2, -frame.heightPt() / 2));
            content.addRect((float) (30 * MM), (float) (frame.heightPt() - 50 * MM), (float) (100 * MM), (float) (10 * MM));
            content.fill();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private void produce(PageLook look, Change change) throws IOException {
        produce(look, Comments.KEPT, change);
    }

    private void produce(PageLook look, Comments comments, Change change) throws IOException {
        Pdfs.write(matter, "S", 2, document -> {
            try {
                change.to(document);
            } catch (IOException e) {
                throw new IllegalStateException(e);
            }
        });
        Bundle bundle = Folder.bundle(place, matter);
        Document s = bundle.contents().documents().getFirst();
        Plan plan = Planner.plan(Edits
                .changeDocument(bundle, s.id(),
                        document -> document.withRuns(List.of(((SourcePages) document.runs().getFirst()).withLook(look))))
                .withFromSources(new FromSources(comments, 3)));
        Assembler.standard().assemble(plan, place, target, Progress.NONE, () -> false);
        assertThat(Prover.standard().prove(target, Progress.NONE, () -> false).orElseThrow().findings()).isEmpty();
        BufferedImage preview = LeafPictures.draw(plan, place, 2, 595).image();
        BufferedImage produced = Pdfs.picture(target, 3, 72);
        assertThat((double) preview.getHeight() / preview.getWidth()).as("the reader shows the same")
                .isCloseTo((double) produced.getHeight() / produced.getWidth(), within(0.01));
    }

    /**
     * {@return left, top, right and bottom of the bar, in millimetres, on a produced page; the number at the foot is not looked
     * at}
     */
    private double[] bar() throws IOException {
        BufferedImage picture = Pdfs.picture(target, 3, DPI);
        int[] sides = {Integer.MAX_VALUE, Integer.MAX_VALUE, -1, -1};
        for (int y = 0; y < picture.getHeight() - 170; y++) {
            for (int x = 0; x < picture.getWidth(); x++) {
                if ((picture.getRGB(x, y) & 0xFF) > 100) continue;
                sides = new int[] {Math.min(sides[0], x), Math.min(sides[1], y), Math.max(sides[2], x + 1),
                        Math.max(sides[3], y + 1)};
            }
        }
        return new double[] {sides[0] / 10.0, sides[1] / 10.0, sides[2] / 10.0, sides[3] / 10.0};
    }

    private void assertBar(double left, double top, double right, double bottom) throws IOException {
        double[] is = bar();
        double[] wanted = {left, top, right, bottom};
        for (int i = 0; i < 4; i++)
            assertThat(is[i]).as("side %d of %s", i, Arrays.toString(is)).isCloseTo(wanted[i], within(0.35));
    }

    private double[] sheetMm() throws IOException {
        BufferedImage picture = Pdfs.picture(target, 3, DPI);
        return new double[] {picture.getWidth() / 10.0, picture.getHeight() / 10.0};
    }

    @ParameterizedTest
    @CsvSource({"1, 247, 30, 257, 130", "2, 80, 247, 180, 257", "3, 40, 80, 50, 180"})
    void turnedClockwise(int turns, double left, double top, double right, double bottom) throws IOException {
        produce(PageLook.PLAIN.withTurns(turns), document -> bar(document, 0, 0));
        assertThat(sheetMm()[0]).isCloseTo(turns == 2 ? 210 : 297, within(0.3));
        if (turns != 2) assertBar(left, top, right, bottom);
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 90, 180, 270})
    void croppedToWhatWasDrawnOnThePageAsItIsSeenHoweverItIsTurned(int rotation) throws IOException {
        produce(PageLook.PLAIN.withCrop(Optional.of(new Area(20, 30, 150, 120))), document -> {
            document.getPage(0).setRotation(rotation);
            document.getPage(0).setCropBox(new PDRectangle(10, 20, 575, 800));
            bar(document, 0, 0);
        });
        assertThat(sheetMm()).containsExactly(new double[] {150, 120}, within(0.3));
        assertBar(10, 10, 110, 20);
    }

    @Test
    void theUserUnitIsAllowedFor() throws IOException {
        produce(new PageLook(0, 0, Optional.of(new Area(20, 30, 150, 120)), Optional.of(Sheet.A4), 1, List.of()), document -> {
            document.getPage(0).getCOSObject().setFloat("UserUnit", 2);
            document.getPage(0).setMediaBox(new PDRectangle(298, 421));
            bar(document, 0, 0);
        });
        assertThat(sheetMm()).containsExactly(new double[] {210, 297}, within(0.3));
        assertBar(40, 98.5, 140, 108.5);
    }

    @ParameterizedTest
    @ValueSource(doubles = {-4, 2.5})
    void straightenedItIsLevel(double degrees) throws IOException {
        produce(new PageLook(0, degrees, Optional.empty(), Optional.empty(), 1, List.of()),
                document -> bar(document, 0, degrees));
        assertBar(30, 40, 130, 50);
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 90, 180, 270})
    void onASheetOfAnotherSizeItStandsInTheMiddle(int rotation) throws IOException {
        produce(new PageLook(0, 0, Optional.empty(), Optional.of(new Sheet(420, 594)), 0.5, List.of()), document -> {
            document.getPage(0).setMediaBox(PDRectangle.A4);
            document.getPage(0).setRotation(rotation);
            bar(document, 0, 0);
        });
        assertThat(sheetMm()).containsExactly(new double[] {420, 594}, within(0.3));
        double width = rotation % 180 == 0 ? 210 : 297;
        double height = rotation % 180 == 0 ? 297 : 210;
        double left = 210 - width / 4;
        double top = 297 - height / 4;
        assertBar(left + 15, top + 20, left + 65, top + 25);
    }

    @ParameterizedTest
    @EnumSource
    void commentsAndLinksGoWithThePage(Comments comments) throws IOException {
        PageLook look =
                new PageLook(1, 3, Optional.of(new Area(10, 10, 190, 270)), Optional.of(new Sheet(420, 420)), 0.8, List.of());
        produce(look, comments, document -> {
            PDAnnotationSquare frame = new PDAnnotationSquare();
            frame.setRectangle(new PDRectangle((float) (30 * MM), (float) (247 * MM), (float) (100 * MM), (float) (10 * MM)));
            frame.setColor(new PDColor(new float[] {0, 0, 0}, PDDeviceRGB.INSTANCE));
            frame.setInteriorColor(new PDColor(new float[] {0, 0, 0}, PDDeviceRGB.INSTANCE));
            frame.setPrinted(true);
            frame.constructAppearances(document);
            PDAnnotationLink link = new PDAnnotationLink();
            link.setRectangle(new PDRectangle((float) (30 * MM), (float) (247 * MM), (float) (100 * MM), (float) (10 * MM)));
            PDPageXYZDestination destination = new PDPageXYZDestination();
            destination.setPage(document.getPage(1));
            destination.setLeft((int) (30 * MM));
            destination.setTop((int) (257 * MM));
            link.setDestination(destination);
            document.getPage(0).setAnnotations(List.of(link, frame));
            try (PDPageContentStream content = new PDPageContentStream(document, document.getPage(0))) {
                content.setLineWidth(0);    // in place of the words that the page had
            }
        });
        assertThat(Files.readString(Ledger.beside(target))).contains(
                "\"look\":{\"turns\":1,\"straightenDegrees\":3.0,\"crop\":[10.0,10.0,190.0,270.0],\"sheet\":[420.0,420.0],"
                        + "\"scale\":0.8,\"redactions\":[]}");
        assertThat(SCHEMA.validate(JsonMapper.shared().readTree(Files.readString(Ledger.beside(target))))).isEmpty();
        PDRectangle place = Pdfs.linkAreas(target, 3).getFirst();
        if (comments != Comments.DROPPED) {
            double[] seen = bar();
            assertThat(place.getLowerLeftX() / MM).isCloseTo(seen[0], within(0.7));
            assertThat(420 - place.getUpperRightY() / MM).isCloseTo(seen[1], within(0.7));
            assertThat(place.getUpperRightX() / MM).isCloseTo(seen[2], within(0.7));
        }
        try (PDDocument produced = Loader.loadPDF(target.toFile())) {
            PDAnnotationLink link = (PDAnnotationLink) produced.getPage(2).getAnnotations().getFirst();
            PDPageXYZDestination to = (PDPageXYZDestination) link.getDestination();
            assertThat(to.getTop()).as("the upper corner of the bar, turned as its page is")
                    .isCloseTo(Math.round(place.getUpperRightY()), within(25));
            assertThat(to.getLeft()).isCloseTo(Math.round(place.getUpperRightX()), within(25));
        }
    }
}
