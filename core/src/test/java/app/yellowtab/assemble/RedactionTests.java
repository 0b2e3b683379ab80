package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.yellowtab.draw.DrawnPage;
import app.yellowtab.edit.Edits;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.Progress;
import app.yellowtab.ledger.Ledger;
import app.yellowtab.model.Comments;
import app.yellowtab.model.FromSources;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.model.page.Sheet;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.plan.Planner;
import app.yellowtab.prove.Prover;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.LeafPictures;
import app.yellowtab.testing.NoEngine;
import app.yellowtab.testing.Pdfs;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.PDPageContentStream.AppendMode;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.pdmodel.interactive.action.PDActionURI;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationLink;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationText;
import org.apache.pdfbox.util.Matrix;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.json.JsonMapper;

/**
 * What is redacted is looked for wherever a reader of the produced file could find it. Words stand 40 mm from the left, 50 mm
 * from above.
 */
class RedactionTests extends OneSource {
    private static final double MM = 72 / 25.4;
    /** Whose engine reads nothing, which is enough where the words are the page's own. */
    private static final Prover PROVER = Prover.by(NoEngine::new);
    private static final String SECRET = "Vexillology";
    /** Over the second of three words. */
    private static final Area OVER = new Area(62, 44, 25, 8);
    private Comments kept = Comments.KEPT;
    private PageLook look = PageLook.PLAIN.withRedactions(List.of(new Redaction(OVER, "Privileged", true)));

    @BeforeEach
    void redact() {
        choices = bundle -> Edits.changeDocument(bundle, bundle.contents().documents().getFirst().id(), document -> {
            SourcePages pages = (SourcePages) document.runs().getFirst();
            return document.withRuns(List.of(pages.part(1, 1).withLook(look), pages.part(2, pages.last())));
        }).withFromSources(new FromSources(kept, 3));
    }

    private static void words(PDDocument document) throws IOException {
        PDPage page = document.getPage(0);
        try (PDPageContentStream content = new PDPageContentStream(document, page)) {
            content.beginText();
            content.setFont(new PDType1Font(Standard14Fonts.FontName.COURIER), 12);
            content.newLineAtOffset((float) (40 * MM), (float) (247 * MM));
            content.showText("Before12 " + SECRET + " Behind34");
            content.endText();
        }
    }

    private void assertGone() throws IOException {
        assertThat(PROVER.prove(target, Progress.NONE, () -> false).orElseThrow().findings()).isEmpty();
        String all = allObjects().toLowerCase(Locale.ROOT);
        assertThat(all).doesNotContain(SECRET.toLowerCase(Locale.ROOT));
        for (var coding : List.of(StandardCharsets.ISO_8859_1, StandardCharsets.UTF_16BE))
            assertThat(all).doesNotContain(HexFormat.of().formatHex(SECRET.getBytes(coding)));
        assertThat(new String(Files.readAllBytes(target), StandardCharsets.ISO_8859_1)).doesNotContain(SECRET);
        assertThat(Files.readString(Ledger.beside(target))).doesNotContain(SECRET);
    }

    @ParameterizedTest
    @EnumSource
    void nothingOfAWordIsLeftInTheFileWhateverCarriedIt(Comments comments) throws IOException {
        kept = comments;
        Outcome.Written written = produce(2, document -> {
            words(document);
            PDPage page = document.getPage(0);
            PDRectangle over = new PDRectangle((float) (70 * MM), (float) (246 * MM), (float) (10 * MM), (float) (4 * MM));
            PDAnnotationText note = new PDAnnotationText();
            note.setRectangle(over);
            note.setContents("see " + SECRET);
            note.constructAppearances(document);
            PDAnnotationText answer = new PDAnnotationText();
            answer.setRectangle(new PDRectangle(10, 10, 20, 20));
            answer.setContents("you mean " + SECRET);
            answer.setInReplyTo(note);
            PDAnnotationLink web = new PDAnnotationLink();
            web.setRectangle(over);
            PDActionURI action = new PDActionURI();
            action.setURI("https://aldermere.example/" + SECRET);
            web.setAction(action);
            page.setAnnotations(List.of(note, answer, web));
            COSDictionary piece = new COSDictionary();
            piece.setItem(COSName.getPDFName("Kept"), new COSString(SECRET));
            page.getCOSObject().setItem(COSName.getPDFName("PieceInfo"), piece);
            document.getDocumentInformation().setSubject(SECRET);
        });
        assertGone();
        assertThat(codes(written)).contains(Code.REDACTED);
        assertThat(Pdfs.pages(target).get(2)).contains("Before12").contains("Behind34").doesNotContain(SECRET);
        assertThat(Pdfs.pages(target).get(3)).as("the next page is as it came").contains("S-2");
    }

    @Test
    void thePageIsOnePictureOfTwoTonesBlackInTheAreaWithItsReasonInWhite() throws IOException {
        produce(2, RedactionTests::words);
        BufferedImage picture = Pdfs.picture(target, 3, 254);
        assertThat(picture.getRGB(630, 450) & 0xFF).as("the corner of the area").isLessThan(40);
        DrawnPage shown = LeafPictures.draw(Planner.plan(choices.apply(Folder.bundle(place, matter))), place, 2, 2100);
        assertThat(shown.picturesMissing()).isZero();
        assertThat(shown.image().getRGB(630, 450) & 0xFF).as("the window shows the same").isLessThan(40);
        long white = 0;
        for (int x = 625; x < 865; x++) for (int y = 445; y < 515; y++) if ((picture.getRGB(x, y) & 0xFF) > 200) white++;
        assertThat(white).as("the dots of the reason").isBetween(300L, 6000L);
        assertThat(picture.getRGB(600, 480) & 0xFF).as("beside it").isGreaterThan(200);
        try (PDDocument document = Loader.loadPDF(target.toFile())) {
            var names = document.getPage(2).getResources().getXObjectNames().iterator();
            PDImageXObject image = (PDImageXObject) document.getPage(2).getResources().getXObject(names.next());
            assertThat(names.hasNext()).isFalse();
            assertThat(image.getBitsPerComponent()).isEqualTo(1);
            assertThat((double) image.getWidth()).isCloseTo(210 / 25.4 * 300, within(2.0));
        }
    }

    @Test
    void aPhotographUnderAnAreaIsGoneAndTheRestIsStillColoured() throws IOException {
        produce(2, document -> {
            Random noise = new Random(7);
            BufferedImage photograph = new BufferedImage(1200, 1700, BufferedImage.TYPE_INT_RGB);
            for (int x = 0; x < 1200; x++) for (int y = 0; y < 1700; y++)
                photograph.setRGB(x, y, new Color(x * 255 / 1200, noise.nextInt(256), y * 255 / 1700).getRGB());
            try (PDPageContentStream content = new PDPageContentStream(document, document.getPage(0))) {
                content.drawImage(LosslessFactory.createFromImage(document, photograph), 0, 0, 595, 842);
            }
        });
        assertGone();
        BufferedImage picture = Pdfs.picture(target, 3, 72);
        assertThat(new Color(picture.getRGB(560, 700))).matches(dot -> dot.getRed() > 200 && dot.getBlue() > 150,
                "still coloured");
        assertThat(Files.readString(target, StandardCharsets.ISO_8859_1)).as("packed as a photograph").contains("/DCTDecode");
        assertThat(picture.getRGB(180, 129) & 0xFFFFFF).isLessThan(0x202020);
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 90, 180, 270})
    void itHoldsThroughTurnsCropsAndSheets(int rotation) throws IOException {
        look = new PageLook(1, 3, Optional.of(new Area(10, 10, 190, 270)), Optional.of(new Sheet(420, 420)), 0.8,
                List.of(new Redaction(new Area(0, 0, 210, 297), "all of it", false)));
        produce(2, document -> {
            words(document);
            document.getPage(0).setRotation(rotation);
        });
        assertGone();
        BufferedImage picture = Pdfs.picture(target, 3, 72);
        assertThat(picture.getRGB(595, 595) & 0xFF).as("the middle of the sheet").isLessThan(40);
    }

    @ParameterizedTest
    @ValueSource(ints = {90, 180, 270})
    void aWordThatIsWrittenTheOtherWayIsGoneToo(int degrees) throws IOException {
        // In the middle of the page, written up, upside down and down: its letters lie to the left, below, and to the right of
        // where they begin.
        Area over = switch (degrees) {
            case 90 -> new Area(105 - 4.2, 100, 3.8, 60);
            case 180 -> new Area(40, 148.7, 66, 3.8);
            default -> new Area(105.4, 140, 3.8, 70);
        };
        look = PageLook.PLAIN.withRedactions(List.of(new Redaction(over, "", false)));
        produce(2, document -> {
            try (PDPageContentStream content = new PDPageContentStream(document, document.getPage(0))) {
                content.beginText();
                content.setFont(new PDType1Font(Standard14Fonts.FontName.COURIER), 12);
                content.setTextMatrix(
                        Matrix.getRotateInstance(Math.toRadians(degrees), (float) (105 * MM), (float) (148.5 * MM)));
                content.showText(SECRET);
                content.endText();
            }
        });
        assertGone();
    }

    @Test
    void areasOutsideOfThePageAndAThousandOfThemDoNoHarm() throws IOException {
        List<Redaction> many = IntStream.range(0, 1000)
                .mapToObj(i -> new Redaction(new Area(62 + i % 40 * 0.5, 44 + i / 40 * 0.3, 4, 4), "", false))
                .collect(Collectors.toList());
        many.add(new Redaction(new Area(-50, -50, 20, 20), "beyond", true));
        many.add(new Redaction(new Area(4000, 4000, 1, 1), "beyond", true));
        look = PageLook.PLAIN.withRedactions(many);
        produce(2, RedactionTests::words);
        assertGone();
    }

    @Test
    void wordsThatNobodySeesGoWithWhatIsRedacted() throws IOException {
        produce(2, document -> {
            words(document);
            try (PDPageContentStream content = new PDPageContentStream(document, document.getPage(0), AppendMode.APPEND, false)) {
                content.beginText();
                content.setNonStrokingColor(Color.WHITE);
                content.setFont(new PDType1Font(Standard14Fonts.FontName.COURIER), 12);
                content.newLineAtOffset((float) (40 * MM), (float) (100 * MM));
                content.showText(SECRET);
                content.endText();
            }
        });
        assertGone();
        assertThat(Pdfs.pages(target).get(2)).contains("Before12").contains("Behind34");
    }

    @Test
    void aLongWordBesideAnAreaOfAStraightenedPageTouchesNothing() throws IOException {
        look = PageLook.PLAIN.withStraightening(4).withRedactions(List.of(new Redaction(new Area(40, 51, 120, 6), "", false)));
        produce(2, document -> {
            try (PDPageContentStream content = new PDPageContentStream(document, document.getPage(0))) {
                content.beginText();
                content.setFont(new PDType1Font(Standard14Fonts.FontName.COURIER), 12);
                content.newLineAtOffset((float) (40 * MM), (float) (247 * MM));
                content.showText("unwiederbrachtesNebeneinanderWort");
                content.endText();
            }
        });
        assertGone();
        assertThat(Pdfs.pages(target).get(2)).contains("Nebeneinander");
    }

    @Test
    void aWordIsGoneWhereOnlyAHangingLetterOfItIsTouched() throws IOException {
        // The line is 50 mm from above, and the letters of 12 points hang some 0.8 mm below it.
        look = PageLook.PLAIN.withRedactions(List.of(new Redaction(new Area(60, 50.3, 30, 2), "", false)));
        produce(2, RedactionTests::words);
        assertGone();
        assertThat(Pdfs.pages(target).get(2)).contains("Before12").contains("Behind34");
    }

    @Test
    void theLedgerListsTheAreas() throws IOException {
        produce(2, RedactionTests::words);
        String ledger = Files.readString(Ledger.beside(target));
        assertThat(ledger).contains("\"redactions\":[{\"area\":[62.0,44.0,25.0,8.0],\"printed\":\"Privileged\"}]");
        Schema schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(Files.readString(Path.of("../docs/ledger.schema.json")));
        assertThat(schema.validate(JsonMapper.shared().readTree(ledger))).isEmpty();
    }

    @Test
    void aPageThatCannotBeDrawnBecomesASlipAndTheRestIsProduced() throws IOException {
        Outcome.Written written = produce(2, document -> content(document, "q ".repeat(10) + "(".repeat(3) + SECRET));
        assertThat(Pdfs.pageCount(target)).isEqualTo(4);
        assertGone();
        assertThat(written.findings()).extracting(Finding::code).containsExactly(Code.REDACTED);
    }

    @Test
    void aProofFindsWordsThatWereLeft() throws IOException {
        produce(2, RedactionTests::words);
        String ledger = Files.readString(Ledger.beside(target));
        Files.writeString(Ledger.beside(target), ledger.replace("\"area\":[62.0,44.0", "\"area\":[42.0,44.0"));
        assertThat(PROVER.prove(target, Progress.NONE, () -> false).orElseThrow().findings()).extracting(Finding::code)
                .contains(Code.PROOF_REDACTION);
    }
}
