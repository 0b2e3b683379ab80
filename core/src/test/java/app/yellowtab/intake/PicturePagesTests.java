package app.yellowtab.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.yellowtab.convert.Converter;
import app.yellowtab.convert.page.TooLargeException;
import app.yellowtab.finding.Finding;
import app.yellowtab.model.Reading;
import app.yellowtab.model.source.SourceKind;
import app.yellowtab.source.Fingerprint;
import app.yellowtab.testing.Pdfs;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.zip.CRC32;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PicturePagesTests {
    @TempDir
    private Path folder;

    private Path convert(Path file, SourceKind kind) throws IOException {
        Path target = folder.resolve("converted.pdf");
        Converter.convert(file, file, kind, target, List.of(), Reading.STANDARD, new ArrayList<>());
        return target;
    }

    /** A picture whose upper left quarter alone is black. */
    private static BufferedImage cornered(int width, int height, int type) {
        BufferedImage image = new BufferedImage(width, height, type);
        Graphics2D g = image.createGraphics();
        g.setColor(Color.WHITE);
        g.fillRect(0, 0, width, height);
        g.setColor(Color.BLACK);
        g.fillRect(0, 0, width / 2, height / 2);
        g.dispose();
        return image;
    }

    @ParameterizedTest
    @ValueSource(strings = {"gif", "bmp"})
    void picturesOfOtherKindsDotByDot(String kind) throws IOException {
        Path file = folder.resolve("corner." + kind);
        assertThat(ImageIO.write(cornered(300, 400, BufferedImage.TYPE_INT_RGB), kind, file.toFile())).isTrue();
        assertThat(new KindReader().read(file).kind()).contains(SourceKind.valueOf(kind.toUpperCase(Locale.ROOT)));
        BufferedImage page = Pdfs.picture(convert(file, SourceKind.valueOf(kind.toUpperCase(Locale.ROOT))), 1, 72);
        int[] ink = Pdfs.ink(page);
        assertThat(ink[0]).isLessThan(page.getWidth() / 2);
        assertThat(ink[2]).isBetween(page.getWidth() / 2 - 2, page.getWidth() / 2 + 2);
        assertThat(ink[3]).isBetween(page.getHeight() / 2 - 2, page.getHeight() / 2 + 2);
    }

    @Test
    void aWebPictureIsRead() throws IOException {
        // One dot, without loss (RFC 9649).
        Path file = Files.write(folder.resolve("dot.webp"),
                Base64.getDecoder().decode("UklGRhoAAABXRUJQVlA4TA0AAAAvAAAAEAcQERGIiP4HAA=="));
        assertThat(new KindReader().read(file).kind()).contains(SourceKind.WEBP);
        assertThat(Pdfs.pageCount(convert(file, SourceKind.WEBP))).isEqualTo(1);
    }

    @Test
    void ofAMovingPictureTheFirstIsTakenAndThatIsSaid() throws IOException {
        Path file = folder.resolve("moving.gif");
        var writer = ImageIO.getImageWritersByFormatName("gif").next();
        try (var out = ImageIO.createImageOutputStream(file.toFile())) {
            writer.setOutput(out);
            writer.prepareWriteSequence(null);
            for (int i = 0; i < 3; i++)
                writer.writeToSequence(new IIOImage(cornered(30, 40, BufferedImage.TYPE_BYTE_INDEXED), null, null), null);
            writer.endWriteSequence();
        }
        List<Finding> notes = new ArrayList<>();
        Path target = folder.resolve("converted.pdf");
        Converter.convert(file, file, SourceKind.GIF, target, List.of(), Reading.STANDARD, notes);
        assertThat(Pdfs.pageCount(target)).isEqualTo(1);
        assertThat(notes).extracting(Finding::message)
                .containsExactly("moving.gif is a moving picture of 3 frames, and only the first is in the bundle. "
                        + "If others matter, save them as pictures of their own and add those.");
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void uprightAsTheOrientationSays(int orientation) throws IOException {
        // The pixels are stored so that the orientation brings the black quarter to the upper left of an upright picture.
        BufferedImage upright = cornered(300, 400, BufferedImage.TYPE_INT_RGB);
        boolean swapped = orientation >= 5;
        BufferedImage stored = new BufferedImage(swapped ? 400 : 300, swapped ? 300 : 400, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < 400; y++) {
            for (int x = 0; x < 300; x++) {
                int[] at = switch (orientation) {
                    case 2 -> new int[] {299 - x, y};
                    case 3 -> new int[] {299 - x, 399 - y};
                    case 4 -> new int[] {x, 399 - y};
                    case 5 -> new int[] {y, x};
                    case 6 -> new int[] {y, 299 - x};
                    case 7 -> new int[] {399 - y, 299 - x};
                    case 8 -> new int[] {399 - y, x};
                    default -> new int[] {x, y};
                };
                stored.setRGB(at[0], at[1], upright.getRGB(x, y));
            }
        }
        Path file = Files.write(folder.resolve("turned.jpg"), withOrientation(stored, orientation));
        BufferedImage page = Pdfs.picture(convert(file, SourceKind.JPEG), 1, 72);
        assertThat(page.getHeight()).isGreaterThan(page.getWidth());
        int[] ink = Pdfs.ink(page);
        // 300 x 400 pixels at 150 dpi are 144 x 192 points, in the middle of the page.
        assertThat(ink[0]).isCloseTo((595 - 144) / 2, within(2));
        assertThat(ink[1]).isCloseTo((842 - 192) / 2, within(2));
        assertThat(ink[2]).isCloseTo(595 / 2, within(2));
        assertThat(ink[3]).isCloseTo(842 / 2, within(2));
    }

    @Test
    void largePicturesFitInsideTheMargin() throws IOException {
        Path file = folder.resolve("large.png");
        BufferedImage black = new BufferedImage(3000, 2000, BufferedImage.TYPE_INT_RGB);
        ImageIO.write(black, "png", file.toFile());
        BufferedImage page = Pdfs.picture(convert(file, SourceKind.PNG), 1, 254);
        assertThat(page.getWidth()).as("a wide picture lies on a sideways page").isCloseTo(2970, within(2));
        int[] ink = Pdfs.ink(page);
        assertThat(ink[0]).as("16 mm").isCloseTo(160, within(2));
        assertThat(page.getWidth() - ink[2]).isCloseTo(160, within(2));
    }

    @Test
    void aJpegIsTakenOverByteForByte() throws IOException {
        Path file = folder.resolve("photo.jpg");
        ImageIO.write(cornered(60, 40, BufferedImage.TYPE_INT_RGB), "jpeg", file.toFile());
        try (PDDocument document = Loader.loadPDF(convert(file, SourceKind.JPEG).toFile())) {
            var resources = document.getPage(0).getResources();
            PDImageXObject image = (PDImageXObject) resources.getXObject(resources.getXObjectNames().iterator().next());
            assertThat(image.getCOSObject().createRawInputStream().readAllBytes()).isEqualTo(Files.readAllBytes(file));
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"CCITT T.6", "CCITT T.4", "LZW", "PackBits", "Deflate"})
    void everyPageOfABlackAndWhiteTiff(String compression) throws IOException {
        Path file = tiff(compression, BufferedImage.TYPE_BYTE_BINARY, 3);
        Path converted = convert(file, SourceKind.TIFF);
        assertThat(Pdfs.pages(converted)).hasSize(3);
        int[] ink = Pdfs.ink(Pdfs.picture(converted, 3, 72));
        assertThat(ink[2] - ink[0]).as("still black where it was black").isCloseTo(150 * 72 / 150, within(2));
        assertThat(ink[0]).isCloseTo((595 - 144) / 2, within(2));
    }

    @ParameterizedTest
    @ValueSource(strings = {"LZW", "Deflate", "JPEG"})
    void colourTiffs(String compression) throws IOException {
        assertThat(Pdfs.pages(convert(tiff(compression, BufferedImage.TYPE_INT_RGB, 2), SourceKind.TIFF))).hasSize(2);
    }

    @Test
    void aJpegThatBreaksOffIsTakenInAndReported() throws IOException {
        Path file = folder.resolve("photo.jpg");
        ImageIO.write(cornered(600, 400, BufferedImage.TYPE_INT_RGB), "jpeg", file.toFile());
        byte[] whole = Files.readAllBytes(file);
        Files.write(file, Arrays.copyOf(whole, whole.length * 3 / 4));
        List<Finding> notes = new ArrayList<>();
        Converter.convert(file, file, SourceKind.JPEG, folder.resolve("converted.pdf"), List.of(), Reading.STANDARD, notes);
        assertThat(notes).extracting(Finding::code).containsExactly(Finding.Code.BREAKS_OFF);
        assertThat(Pdfs.pages(folder.resolve("converted.pdf"))).hasSize(1);
    }

    @Test
    void aPictureLargerThanMemoryIsRefusedBeforeItIsRead() throws IOException {
        Path bomb = Files.write(folder.resolve("bomb.png"), pngHeader(30_000, 30_000));
        assertThatThrownBy(() -> convert(bomb, SourceKind.PNG)).isInstanceOf(TooLargeException.class)
                .hasMessageContaining("30000");
        assertThat(folder.resolve("converted.pdf")).doesNotExist();
        try (var left = Files.list(folder)) {
            assertThat(left.map(p -> p.getFileName().toString())).containsExactly("bomb.png");
        }
    }

    @Test
    void theSameFileGivesTheSameBytes() throws IOException {
        Path file = tiff("LZW", BufferedImage.TYPE_BYTE_BINARY, 2);
        String first = Fingerprint.of(convert(file, SourceKind.TIFF));
        assertThat(Fingerprint.of(convert(file, SourceKind.TIFF))).isEqualTo(first);
    }

    private Path tiff(String compression, int type, int pages) throws IOException {
        Path file = folder.resolve("scan.tif");
        Files.deleteIfExists(file);
        var writer = ImageIO.getImageWritersByFormatName("tiff").next();
        var how = writer.getDefaultWriteParam();
        how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
        how.setCompressionType(compression);
        try (var out = ImageIO.createImageOutputStream(file.toFile())) {
            writer.setOutput(out);
            writer.prepareWriteSequence(null);
            for (int i = 0; i < pages; i++) writer.writeToSequence(new IIOImage(cornered(300, 400, type), null, null), how);
            writer.endWriteSequence();
        }
        return file;
    }

    private static byte[] withOrientation(BufferedImage image, int orientation) throws IOException {
        ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
        ImageIO.write(image, "jpeg", jpeg);
        byte[] plain = jpeg.toByteArray();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(plain, 0, 2);
        out.writeBytes(new byte[] {(byte) 0xFF, (byte) 0xE1, 0, 34, 'E', 'x', 'i', 'f', 0, 0, 'I', 'I', 42, 0, 8, 0, 0, 0,
                1, 0, 0x12, 0x01, 3, 0, 1, 0, 0, 0, (byte) orientation, 0, 0, 0, 0, 0, 0, 0});
        out.write(plain, 2, plain.length - 2);
        return out.toByteArray();
    }

    private static byte[] pngHeader(int width, int height) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        DataOutputStream data = new DataOutputStream(bytes);
        data.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10, 0, 0, 0, 13});
        ByteArrayOutputStream chunk = new ByteArrayOutputStream();
        DataOutputStream header = new DataOutputStream(chunk);
        header.writeBytes("IHDR");
        header.writeInt(width);
        header.writeInt(height);
        header.write(new byte[] {8, 2, 0, 0, 0});
        data.write(chunk.toByteArray());
        CRC32 crc = new CRC32();
        crc.update(chunk.toByteArray());
        data.writeInt((int) crc.getValue());
        data.write(new byte[] {0, 0, 0, 0, 'I', 'D', 'A', 'T', 0, 0, 0, 0});
        return bytes.toByteArray();
    }
}
