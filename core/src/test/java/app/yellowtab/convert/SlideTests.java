package app.yellowtab.convert;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.finding.Finding.Code;
import app.yellowtab.model.Reading;
import app.yellowtab.model.source.SourceKind;
import app.yellowtab.testing.Conversions;
import app.yellowtab.testing.Pdfs;
import app.yellowtab.testing.WordFile;
import java.awt.Color;
import java.awt.Dimension;
import java.awt.Rectangle;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.apache.poi.hslf.usermodel.HSLFSlideShow;
import org.apache.poi.hssf.record.crypto.Biff8EncryptionKey;
import org.apache.poi.sl.usermodel.AutoShape;
import org.apache.poi.sl.usermodel.PictureData;
import org.apache.poi.sl.usermodel.ShapeType;
import org.apache.poi.sl.usermodel.Slide;
import org.apache.poi.sl.usermodel.SlideShow;
import org.apache.poi.sl.usermodel.TextBox;
import org.apache.poi.xslf.usermodel.XMLSlideShow;
import org.apache.poi.xslf.usermodel.XSLFTextBox;
import org.apache.poi.xslf.usermodel.XSLFTextRun;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Slides: one a page, as drawn, whatever program they are of. */
class SlideTests {
    @TempDir
    private Path folder;

    /** Writes three slides of 720 x 540 points: words over a red bar and a blue picture, a hidden one, and words again. */
    private Path slides(SourceKind kind) throws IOException {
        Path file = folder.resolve("findings." + kind.name().toLowerCase(Locale.ROOT));
        try (SlideShow<?, ?> show = kind == SourceKind.PPT ? new HSLFSlideShow() : new XMLSlideShow();
                OutputStream out = Files.newOutputStream(file)) {
            show.setPageSize(new Dimension(720, 540));
            Slide<?, ?> first = show.createSlide();
            AutoShape<?, ?> bar = first.createAutoShape();
            bar.setShapeType(ShapeType.RECT);
            bar.setAnchor(new Rectangle(0, 0, 720, 60));
            bar.setFillColor(Color.RED);
            first.createPicture(show.addPicture(bluePicture(), PictureData.PictureType.PNG))
                    .setAnchor(new Rectangle(360, 270, 360, 270));
            say(first, "Findings on Chamber 3", 80);
            Slide<?, ?> hidden = show.createSlide();
            say(hidden, "for us only", 80);
            hidden.setHidden(true);
            say(show.createSlide(), "What it cost: £140", 80);
            show.write(out);
        }
        return file;
    }

    private static void say(Slide<?, ?> slide, String words, int top) {
        TextBox<?, ?> box = slide.createTextBox();
        box.setAnchor(new Rectangle(40, top, 640, 60));
        box.setText(words);
    }

    private static byte[] bluePicture() throws IOException {
        BufferedImage blue = new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB);
        for (int x = 0; x < 40; x++) for (int y = 0; y < 30; y++) blue.setRGB(x, y, 0x0000FF);
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(blue, "png", png);
        return png.toByteArray();
    }

    @ParameterizedTest
    @EnumSource(value = SourceKind.class, names = {"PPTX", "PPT"})
    void eachSlideIsAPageWithWordsShapesAndPicturesWhereTheyStand(SourceKind kind) throws IOException {
        Conversions.Result result = Conversions.of(slides(kind), kind);
        assertThat(result.pages()).containsExactly("Findings on Chamber 3", "What it cost: £140");
        assertThat(result.findings()).extracting(f -> f.code() + " " + f.detail()).containsExactly("HIDDEN_LEFT_OUT slides 2");
        BufferedImage page = Pdfs.picture(result.pdf(), 1, 72);
        assertThat(page.getWidth()).as("an A4 sheet sideways").isBetween(841, 842);
        // The slide of 4 to 3 is as high as the margins allow: from 14 % to 86 % of the width, 6 % to 94 % of the height.
        assertThat(page.getRGB(421, 50) & 0xFF).as("the bar").isLessThan(150);
        assertThat(page.getRGB(600, 450) & 0xFF).as("the picture").isLessThan(150);
        assertThat(page.getRGB(250, 450) & 0xFF).as("nothing").isEqualTo(255);
    }

    @Test
    void lettersAreOfATypefaceAsWideAsTheirs() throws IOException {
        Path file = folder.resolve("fonts.pptx");
        try (XMLSlideShow show = new XMLSlideShow(); OutputStream out = Files.newOutputStream(file)) {
            int top = 40;
            for (String font : new String[] {"Calibri", "Times New Roman", "Tarn Grotesk"}) {
                XSLFTextBox box = show.getSlides().isEmpty() ? show.createSlide().createTextBox()
                        : show.getSlides().getFirst().createTextBox();
                box.setAnchor(new Rectangle(40, top, 600, 40));
                XSLFTextRun run = box.setText("in " + font);
                run.setFontFamily(font);
                run.setBold(font.equals("Calibri"));
                top += 60;
            }
            show.write(out);
        }
        Conversions.Result result = Conversions.of(file, SourceKind.PPTX);
        assertThat(result.page(1)).isEqualTo("in Calibri in Times New Roman in Tarn Grotesk");
        Set<String> fonts = new TreeSet<>();
        try (PDDocument document = Loader.loadPDF(result.pdf().toFile())) {
            new PDFTextStripper() {
                @Override
                protected void processTextPosition(TextPosition letter) {
                    fonts.add(letter.getFont().getName().replaceFirst(".*\\+", ""));
                }
            }.getText(document);
        }
        assertThat(fonts).containsExactly("Arimo-Regular", "Carlito-Bold", "Tinos-Regular");
    }

    @Test
    void lockedSlidesOfTheOlderKindOpenWithTheirPasswordOnly() throws IOException {
        Path locked = folder.resolve("locked.ppt");
        try (HSLFSlideShow show = new HSLFSlideShow(Files.newInputStream(slides(SourceKind.PPT)));
                OutputStream out = Files.newOutputStream(locked)) {
            Biff8EncryptionKey.setCurrentUserPassword("tarn");
            show.write(out);
        } finally {
            Biff8EncryptionKey.setCurrentUserPassword(null);
        }
        assertThatThrownBy(() -> Conversions.of(locked, SourceKind.PPT)).isInstanceOf(LockedException.class);
        assertThat(Conversions.of(locked, SourceKind.PPT, Reading.STANDARD, "no", "tarn").page(2))
                .isEqualTo("What it cost: £140");
    }

    /** Writes an OpenDocument presentation, with what stands on its slides. */
    private Path odp(String automaticStyles, String slides) throws IOException {
        String spaces =
                "xmlns:office=\"urn:oasis:names:tc:opendocument:xmlns:office:1.0\" "
                        + "xmlns:style=\"urn:oasis:names:tc:opendocument:xmlns:style:1.0\" "
                        + "xmlns:text=\"urn:oasis:names:tc:opendocument:xmlns:text:1.0\" "
                        + "xmlns:draw=\"urn:oasis:names:tc:opendocument:xmlns:drawing:1.0\" "
                        + "xmlns:presentation=\"urn:oasis:names:tc:opendocument:xmlns:presentation:1.0\" "
                        + "xmlns:svg=\"urn:oasis:names:tc:opendocument:xmlns:svg-compatible:1.0\" "
                        + "xmlns:fo=\"urn:oasis:names:tc:opendocument:xmlns:xsl-fo-compatible:1.0\" "
                        + "xmlns:xlink=\"http://www.w3.org/1999/xlink\"";
        Map<String, byte[]> parts = new LinkedHashMap<>();
        parts.put("mimetype", "application/vnd.oasis.opendocument.presentation".getBytes(StandardCharsets.US_ASCII));
        parts.put("styles.xml", ("<office:document-styles " + spaces
                + "><office:automatic-styles><style:page-layout style:name=\"P\"><style:page-layout-properties "
                + "fo:page-width=\"25.4cm\" "
                + "fo:page-height=\"19.05cm\"/></style:page-layout></office:automatic-styles><office:master-styles>"
                + "<style:master-page style:name=\"M\" style:page-layout-name=\"P\"/>"
                + "</office:master-styles></office:document-styles>").getBytes(StandardCharsets.UTF_8));
        parts.put("content.xml",
                ("<office:document-content " + spaces + "><office:automatic-styles>" + automaticStyles
                        + "</office:automatic-styles><office:body><office:presentation>" + slides
                        + "</office:presentation></office:body></office:document-content>").getBytes(StandardCharsets.UTF_8));
        parts.put("Pictures/blue.png", bluePicture());
        return WordFile.zip(folder.resolve("f.odp"), parts);
    }

    private static String frame(String x, String y, String content) {
        return "<draw:frame svg:x=\"" + x + "\" svg:y=\"" + y + "\" svg:width=\"10cm\" svg:height=\"5cm\">" + content
                + "</draw:frame>";
    }

    @Test
    void openDocumentSlidesShowTextsTablesAndPicturesWhereTheyStand() throws IOException {
        String words = "<draw:text-box><text:p>The fan stopped</text:p></draw:text-box>";
        String notes = "<presentation:notes>"
                + frame("1cm", "1cm", "<draw:text-box><text:p>speak slowly</text:p></draw:text-box>") + "</presentation:notes>";
        Path file = odp(
                "<style:style style:name=\"hid\" style:family=\"drawing-page\"><style:drawing-page-properties "
                        + "presentation:visibility=\"hidden\"/></style:style>",
                "<draw:page draw:master-page-name=\"M\">" + frame("2cm", "1cm", words)
                        + frame("12.7cm", "9.5cm", "<draw:image xlink:href=\"Pictures/blue.png\"/>") + notes + "</draw:page>"
                        + "<draw:page draw:master-page-name=\"M\" draw:style-name=\"hid\">"
                        + frame("2cm", "1cm", "<draw:text-box><text:p>for us only</text:p></draw:text-box>") + "</draw:page>"
                        + "<draw:page draw:master-page-name=\"M\"><draw:custom-shape svg:x=\"2cm\" svg:y=\"2cm\" "
                        + "svg:width=\"9cm\" svg:height=\"2cm\"><text:p>in a shape</text:p></draw:custom-shape></draw:page>");
        Conversions.Result result = Conversions.of(file, SourceKind.ODP);
        assertThat(result.pages()).as("what the speaker reads is no part of the slide").containsExactly("The fan stopped",
                "in a shape");
        assertThat(result.findings()).extracting(f -> f.code() + " " + f.detail()).containsExactly("HIDDEN_LEFT_OUT slides 2",
                "CONVERSION_LOST drawn shapes");
        try (PDDocument pages = Loader.loadPDF(result.pdf().toFile())) {
            assertThat(pages.getPage(0).getMediaBox().getWidth()).isBetween(719f, 721f);
        }
        BufferedImage page = Pdfs.picture(result.pdf(), 1, 72);
        assertThat(page.getRGB(500, 340) & 0xFF).as("the picture").isLessThan(150);
        assertThat(page.getRGB(200, 340) & 0xFF).as("nothing").isEqualTo(255);
    }

    @ParameterizedTest
    @EnumSource(value = SourceKind.class, names = {"PPTX", "PPT"})
    void aLetterThatNoFontHasHarmsNoSlide(SourceKind kind) throws IOException {
        Path file = folder.resolve("odd." + kind.name().toLowerCase(Locale.ROOT));
        try (SlideShow<?, ?> show = kind == SourceKind.PPT ? new HSLFSlideShow() : new XMLSlideShow();
                OutputStream out = Files.newOutputStream(file)) {
            for (String words : new String[] {"cold\u00ADstore \u4ED3 option after fitting", "The second slide"}) {
                TextBox<?, ?> box = show.createSlide().createTextBox();
                box.setAnchor(new Rectangle(50, 50, 600, 100));
                box.setText(words).setFontFamily("Calibri");
            }
            show.write(out);
        }
        Conversions.Result result = Conversions.of(file, kind);
        assertThat(result.page(1)).contains("coldstore", "option after fitting");
        assertThat(result.page(2)).contains("The second slide");
        assertThat(result.detail(Code.CHARACTERS_NOT_SHOWN)).isEqualTo("1");
    }
}
