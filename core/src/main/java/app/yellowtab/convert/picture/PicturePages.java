package app.yellowtab.convert.picture;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.pdf.BilevelPicture;
import app.yellowtab.pdf.Units;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collection;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.util.Matrix;
import org.slf4j.LoggerFactory;

/** Places pictures on A4 pages, upright or sideways as the picture is, the way up that their EXIF orientation says. */
public final class PicturePages {
    /** Pictures are made as large as the margin allows, but never so large that fewer pixels than this fill an inch. */
    private static final float FEWEST_DPI = 150;
    /** Leaves the stamped number its room. */
    private static final float MARGIN_PT = Units.mm(16);
    private PicturePages() {}

    /** Adds a JPEG; its data is taken over as it is. */
    public static void addJpeg(PDDocument document, Path file, Path named, Collection<Finding> notes) throws IOException {
        byte[] bytes = Files.readAllBytes(file);
        JpegData jpeg = new JpegData(bytes);
        PictureFile.checkSize(jpeg.width(), jpeg.height(), 0);
        if (isCut(bytes)) notes.add(Finding.of(Code.BREAKS_OFF, named));
        if (!jpeg.mended().isEmpty()) notes.add(Finding.of(Code.PICTURE_MENDED, named, jpeg.mended()));
        try (PictureFile picture = new PictureFile(file)) {
            place(document, jpeg.picture(document), picture.orientation(0), picture.dotShape(0));
        } catch (IOException | RuntimeException unusual) {
            LoggerFactory.getLogger(PicturePages.class).info("only the dots of {} can be read", file, unusual);
            place(document, jpeg.picture(document), 1, 1);
        }
    }

    /** Adds a PNG. */
    public static void addPng(PDDocument document, Path file) throws IOException {
        byte[] bytes = Files.readAllBytes(file);
        PngChunks chunks = new PngChunks(bytes);
        try (PictureFile picture = new PictureFile(file)) {
            picture.checkSize(0);
            PDImageXObject image = chunks.isGrey() ? image(document, picture.read(0), chunks.gamma())
                    : PDImageXObject.createFromByteArray(document, bytes, String.valueOf(file.getFileName()));
            place(document, image, picture.orientation(0), picture.dotShape(0));
        }
    }

    /** Adds the picture of a file that PDF has no like of, dot by dot; of a moving one, the first, which is said. */
    public static void addFirst(PDDocument document, Path file, Path named, Collection<Finding> notes) throws IOException {
        try (PictureFile picture = new PictureFile(file)) {
            add(document, picture, 0);
            if (picture.count() > 1) notes.add(Finding.of(Code.FIRST_PICTURE_ONLY, named, String.valueOf(picture.count())));
        }
    }

    /** Adds every picture of a TIFF; black-and-white ones stay so. */
    public static void addAll(PDDocument document, Path file) throws IOException {
        try (PictureFile picture = new PictureFile(file)) {
            for (int i = 0; i < picture.count(); i++) add(document, picture, i);
        }
    }

    private static void add(PDDocument document, PictureFile picture, int index) throws IOException {
        place(document, image(document, picture.read(index), 0), picture.orientation(index), picture.dotShape(index));
    }

    private static PDImageXObject image(PDDocument document, BufferedImage image, double gamma) throws IOException {
        if (BilevelPicture.is(image)) return BilevelPicture.of(document, image);
        return GreyPicture.is(image) ? GreyPicture.of(document, image, gamma) : LosslessFactory.createFromImage(document, image);
    }

    /** A JPEG ends with an EOI marker behind its last scan (ITU-T T.81, B.1.1.3); viewers fill up what is missing with grey. */
    private static boolean isCut(byte[] bytes) {
        for (int i = bytes.length - 2; i > 0; i--) {
            if ((bytes[i] & 0xFF) != 0xFF) continue;
            if ((bytes[i + 1] & 0xFF) == 0xD9) return false;
            if ((bytes[i + 1] & 0xFF) == 0xDA) return true;
        }
        return true;
    }

    /** @param dotShape how much wider than high a dot is: the side with fewer dots is drawn longer, so that none is lost */
    private static void place(PDDocument document, PDImageXObject picture, int orientation, double dotShape) throws IOException {
        boolean swapped = orientation >= 5;
        float across = (float) (picture.getWidth() * Math.max(1, dotShape)) * 72 / FEWEST_DPI;
        float down = (float) (picture.getHeight() / Math.min(1, dotShape)) * 72 / FEWEST_DPI;
        float width = swapped ? down : across;
        float height = swapped ? across : down;
        boolean sideways = width > height;
        float pageWidth = sideways ? Units.A4_HEIGHT_PT : Units.A4_WIDTH_PT;
        float pageHeight = sideways ? Units.A4_WIDTH_PT : Units.A4_HEIGHT_PT;
        float scale = Math.min(1, Math.min((pageWidth - 2 * MARGIN_PT) / width, (pageHeight - 2 * MARGIN_PT) / height));
        PDPage page = new PDPage(new PDRectangle(pageWidth, pageHeight));
        document.addPage(page);
        float left = (pageWidth - width * scale) / 2;
        float bottom = (pageHeight - height * scale) / 2;
        Matrix frame = new Matrix(width * scale, 0, 0, height * scale, left, bottom);
        try (var content = new PDPageContentStream(document, page)) {
            content.drawImage(picture, Matrix.concatenate(frame, upright(orientation)));
        }
    }

    /** {@return the turn and mirroring, within the unit square, that bring a picture upright} */
    private static Matrix upright(int orientation) {
        return switch (orientation) {
            case 2 -> new Matrix(-1, 0, 0, 1, 1, 0);
            case 3 -> new Matrix(-1, 0, 0, -1, 1, 1);
            case 4 -> new Matrix(1, 0, 0, -1, 0, 1);
            case 5 -> new Matrix(0, -1, -1, 0, 1, 1);
            case 6 -> new Matrix(0, -1, 1, 0, 0, 1);
            case 7 -> new Matrix(0, 1, 1, 0, 0, 0);
            case 8 -> new Matrix(0, 1, -1, 0, 1, 0);
            default -> new Matrix();
        };
    }
}
