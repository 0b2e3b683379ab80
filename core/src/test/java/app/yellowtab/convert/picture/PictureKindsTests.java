package app.yellowtab.convert.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.yellowtab.finding.Finding.Code;
import app.yellowtab.model.source.SourceKind;
import app.yellowtab.pdf.BilevelPicture;
import app.yellowtab.testing.Conversions;
import app.yellowtab.testing.Pdfs;
import app.yellowtab.testing.Tiff;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.WritableRaster;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Locale;
import java.util.zip.CRC32;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceGray;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Pictures of all kinds show on their pages what their files hold: the brightness as a whole, and three spots. */
class PictureKindsTests {
    private static final int WIDTH = 300;
    private static final int HEIGHT = 200;

    @TempDir
    private Path folder;

    /** {@return a picture that grows lighter from left to right, with so many bits a sample, and half transparent where asked} */
    private static BufferedImage grey(int bits, boolean alpha) {
        int type = bits == 16 ? DataBuffer.TYPE_USHORT : DataBuffer.TYPE_BYTE;
        ComponentColorModel model = new ComponentColorModel(ColorSpace.getInstance(ColorSpace.CS_GRAY), alpha, false,
                alpha ? ComponentColorModel.TRANSLUCENT : ComponentColorModel.OPAQUE, type);
        WritableRaster raster = model.createCompatibleWritableRaster(WIDTH, HEIGHT);
        int most = (1 << bits) - 1;
        for (int x = 0; x < WIDTH; x++) {
            for (int y = 0; y < HEIGHT; y++) {
                raster.setSample(x, y, 0, most * x / (WIDTH - 1));
                if (alpha) raster.setSample(x, y, 1, most / 2);
            }
        }
        return new BufferedImage(model, raster, false, null);
    }

    private BufferedImage page(Path file, SourceKind kind) throws IOException {
        try (PDDocument document = Loader.loadPDF(Conversions.of(file, kind).pdf().toFile())) {
            return new PDFRenderer(document).renderImageWithDPI(0, 150, ImageType.RGB);
        }
    }

    /** {@return what is seen of a picture of 300 by 200 dots at three spots, from left to right} */
    private static int[] spots(BufferedImage page) {
        int left = (page.getWidth() - WIDTH) / 2;
        return new int[] {page.getRGB(left + 30, page.getHeight() / 2) & 0xFF,
                page.getRGB(left + 150, page.getHeight() / 2) & 0xFF, page.getRGB(left + 270, page.getHeight() / 2) & 0xFF};
    }

    private static void assertShades(BufferedImage page, double dark, double middle, double light) {
        int[] spots = spots(page);
        assertThat((double) spots[0]).isCloseTo(dark, within(3.0));
        assertThat((double) spots[1]).isCloseTo(middle, within(3.0));
        assertThat((double) spots[2]).isCloseTo(light, within(3.0));
        long sum = 0;
        int left = (page.getWidth() - WIDTH) / 2;
        for (int x = 5; x < WIDTH - 5; x++) sum += page.getRGB(left + x, page.getHeight() / 2) & 0xFF;
        assertThat((double) sum / (WIDTH - 10)).as("the mean lies between").isBetween(dark, light);
    }

    @ParameterizedTest
    @CsvSource({"png, 8, false", "png, 16, false", "png, 8, true", "png, 16, true", "tiff, 8, false", "tiff, 16, false",
            "bmp, 8, false"})
    void greyIsAsBrightAsInItsFile(String format, int bits, boolean alpha) throws IOException {
        Path file = folder.resolve("grey." + format);
        assertThat(ImageIO.write(grey(bits, alpha), format, file.toFile())).isTrue();
        BufferedImage page = page(file, SourceKind.valueOf(format.toUpperCase(Locale.ROOT)));
        if (alpha) assertShades(page, 140, 191.5, 242);
        else assertShades(page, 25.6, 127.9, 230.3);
    }

    @Test
    void greyOfAnotherBrightness() throws IOException {
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(grey(8, false), "png", png);
        byte[] plain = png.toByteArray();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(plain, 0, 33);
        byte[] chunk = ByteBuffer.allocate(8).put("gAMA".getBytes(StandardCharsets.US_ASCII)).putInt(100_000).array();
        CRC32 crc = new CRC32();
        crc.update(chunk);
        out.writeBytes(ByteBuffer.allocate(16).putInt(4).put(chunk).putInt((int) crc.getValue()).array());
        out.write(plain, 33, plain.length - 33);
        assertShades(page(Files.write(folder.resolve("linear.png"), out.toByteArray()), SourceKind.PNG), 89, 188, 244);
    }

    @ParameterizedTest
    @CsvSource({"png, PNG", "bmp, BMP", "gif, GIF", "jpeg, JPEG", "tiff, TIFF"})
    void coloursAndPalettes(String format, SourceKind kind) throws IOException {
        BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        for (int i = 0; i < 3; i++) {
            g.setColor(new Color(i == 0 ? 204 : 51, 102, i == 1 ? 51 : i == 2 ? 153 : 0));
            g.fillRect(i * 100, 0, 100, HEIGHT);
        }
        g.dispose();
        Path file = folder.resolve("colours." + format);
        assertThat(ImageIO.write(image, format, file.toFile())).isTrue();
        int[] spots = spots(page(file, kind));
        assertThat(spots[0]).isCloseTo(0, within(6));
        assertThat(spots[1]).isCloseTo(51, within(6));
        assertThat(spots[2]).isCloseTo(153, within(6));
    }

    @Test
    void aFaxIsAsHighAsItsPaper() throws IOException {
        Path file = new Tiff(170, 80).number(282, 204).number(283, 98).blackAndWhite(new byte[22 * 80]).write(folder, "fax.tif");
        int[] ink = Pdfs.ink(Pdfs.picture(Conversions.of(file, SourceKind.TIFF).pdf(), 1, 150));
        assertThat((double) (ink[3] - ink[1]) / (ink[2] - ink[0])).isCloseTo(80 / 98.0 / (170 / 204.0), within(0.03));
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 3, 4, 9})
    void anOrientationOfAnyType(int type) throws IOException {
        byte[] rows = new byte[22 * 80];
        Arrays.fill(rows, 0, rows.length / 2, (byte) 0xFF);
        Path file = new Tiff(170, 80).typed(274, type, 6).blackAndWhite(rows).write(folder, "turned.tif");
        BufferedImage page = Pdfs.picture(Conversions.of(file, SourceKind.TIFF).pdf(), 1, 150);
        int[] ink = Pdfs.ink(page);
        assertThat(ink[3] - ink[1]).as("it stands upright").isGreaterThan(ink[2] - ink[0]);
    }

    @Test
    void aWhitePageOfATinyFax() throws IOException {
        BufferedImage white = new BufferedImage(4960, 7016, BufferedImage.TYPE_BYTE_BINARY);
        Graphics2D g = white.createGraphics();
        g.setColor(Color.WHITE);
        g.fillRect(0, 0, 4960, 7016);
        g.dispose();
        Path file = folder.resolve("white.tif");
        var writer = ImageIO.getImageWritersByFormatName("tiff").next();
        var how = writer.getDefaultWriteParam();
        how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
        how.setCompressionType("CCITT T.6");
        try (var out = ImageIO.createImageOutputStream(file.toFile())) {
            writer.setOutput(out);
            writer.write(null, new IIOImage(white, null, null), how);
        }
        assertThat(Files.size(file)).isLessThan(4960L * 7016 / 8 / 512);
        assertThat(Conversions.of(file, SourceKind.TIFF).pages()).hasSize(1);
    }

    // ---- JPEG

    private static byte[] jpeg() throws IOException {
        BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        g.setColor(new Color(10, 60, 200));
        g.fillRect(0, 0, WIDTH, HEIGHT);
        g.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "jpeg", out);
        return out.toByteArray();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "no profile at all", "acsp"})
    void aBadProfileIsLeftOutAndSaid(String profile) throws IOException {
        byte[] plain = jpeg();
        byte[] content = ("ICC_PROFILE\0\u0001\u0001" + profile).getBytes(StandardCharsets.ISO_8859_1);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(plain, 0, 20);
        out.writeBytes(new byte[] {(byte) 0xFF, (byte) 0xE2, 0, (byte) (content.length + 2)});
        out.writeBytes(content);
        out.write(plain, 20, plain.length - 20);
        Path file = Files.write(folder.resolve("profile.jpg"), out.toByteArray());
        assertThat(spots(page(file, SourceKind.JPEG))[1]).isCloseTo(200, within(4));
        Conversions.Result result = Conversions.of(file, SourceKind.JPEG);
        assertThat(result.findings()).singleElement().satisfies(
                finding -> assertThat(finding.message()).startsWith("profile.jpg was read without").contains("colour profile"));
    }

    @Test
    void coloursWithTheSameName() throws IOException {
        byte[] bytes = jpeg();
        for (int i = 2; i + 4 < bytes.length; i += 2 + ((bytes[i + 2] & 0xFF) << 8 | bytes[i + 3] & 0xFF)) {
            int marker = bytes[i + 1] & 0xFF;
            if (marker == 0xC0) for (int c = 0; c < 3; c++) bytes[i + 10 + 3 * c] = 1;
            if (marker == 0xDA) {
                for (int c = 0; c < 3; c++) bytes[i + 5 + 2 * c] = 1;
                break;
            }
        }
        Path file = Files.write(folder.resolve("same.jpg"), bytes);
        assertThat(spots(page(file, SourceKind.JPEG))[1]).isCloseTo(200, within(4));
        assertThat(Conversions.of(file, SourceKind.JPEG).codes()).containsExactly(Code.PICTURE_MENDED);
    }

    @Test
    void aKindOfJpegThatNoViewerShowsIsRefused() throws IOException {
        byte[] bytes = jpeg();
        for (int i = 2;; i += 2 + ((bytes[i + 2] & 0xFF) << 8 | bytes[i + 3] & 0xFF)) {
            if ((bytes[i + 1] & 0xFF) != 0xC0) continue;
            bytes[i + 1] = (byte) 0xC9;
            break;
        }
        Path file = Files.write(folder.resolve("arithmetic.jpg"), bytes);
        assertThatThrownBy(() -> Conversions.of(file, SourceKind.JPEG)).hasMessageContaining("viewers do not show");
    }

    // ---- what scanners pack into PDFs

    private static BufferedImage halfBlack() {
        BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_BYTE_BINARY);
        Graphics2D g = image.createGraphics();
        g.setColor(Color.WHITE);
        g.fillRect(0, 0, WIDTH, HEIGHT);
        g.setColor(Color.BLACK);
        g.fillRect(0, 0, WIDTH / 2, HEIGHT);
        g.dispose();
        return image;
    }

    private static void assertHalfBlack(byte[] data, COSName filter, int bits) throws IOException {
        try (PDDocument document = new PDDocument()) {
            PDPage page = new PDPage(new PDRectangle(WIDTH, HEIGHT));
            document.addPage(page);
            PDImageXObject picture = new PDImageXObject(document, new ByteArrayInputStream(data), filter, WIDTH, HEIGHT, bits,
                    PDDeviceGray.INSTANCE);
            try (var content = new PDPageContentStream(document, page)) {
                content.drawImage(picture, 0, 0, WIDTH, HEIGHT);
            }
            BufferedImage seen = new PDFRenderer(document).renderImage(0, 1, ImageType.RGB);
            assertThat(seen.getRGB(WIDTH / 4, HEIGHT / 2) & 0xFF).isLessThan(8);
            assertThat(seen.getRGB(WIDTH * 3 / 4, HEIGHT / 2) & 0xFF).isGreaterThan(247);
        }
    }

    /**
     * An embedded JBIG2 stream (ITU-T T.88, 7.2 and 7.4) of a page and one generic region in MMR coding, which is that of a fax.
     */
    @Test
    void jbig2InAPdfIsSeen() throws IOException {
        byte[] fax;
        try (PDDocument document = new PDDocument()) {
            COSStream stream = BilevelPicture.of(document, halfBlack()).getCOSObject();
            fax = stream.createRawInputStream().readAllBytes();
        }
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        DataOutputStream out = new DataOutputStream(bytes);
        segment(out, 0, 48, 19);
        out.writeInt(WIDTH);
        out.writeInt(HEIGHT);
        out.writeLong(0);
        out.writeByte(0);
        out.writeShort(0);
        segment(out, 1, 38, 18 + fax.length);
        out.writeInt(WIDTH);
        out.writeInt(HEIGHT);
        out.writeLong(0);
        out.writeByte(0);
        out.writeByte(1);
        out.write(fax);
        assertHalfBlack(bytes.toByteArray(), COSName.JBIG2_DECODE, 1);
    }

    private static void segment(DataOutputStream out, int number, int type, int length) throws IOException {
        out.writeInt(number);
        out.writeByte(type);
        out.writeByte(0);
        out.writeByte(1);
        out.writeInt(length);
    }

    private static byte[] jpeg2000() throws IOException {
        BufferedImage grey = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_BYTE_GRAY);
        grey.createGraphics().drawImage(halfBlack(), 0, 0, null);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        assertThat(ImageIO.write(grey, "jpeg2000", out)).isTrue();
        return out.toByteArray();
    }

    @Test
    void jpeg2000InAPdfIsSeen() throws IOException {
        assertHalfBlack(jpeg2000(), COSName.JPX_DECODE, 8);
    }

    @Test
    void jpeg2000OnItsOwnIsRead() throws IOException {
        BufferedImage page = page(Files.write(folder.resolve("scan.jp2"), jpeg2000()), SourceKind.JP2);
        assertThat(spots(page)[0]).isLessThan(8);
        assertThat(spots(page)[2]).isGreaterThan(247);
    }
}
