package app.yellowtab.convert;

import app.yellowtab.convert.page.TooLargeException;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.pdf.Units;
import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.MetadataException;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Iterator;
import java.util.List;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.util.Matrix;
import org.slf4j.LoggerFactory;

/** Places pictures on A4 pages, upright or sideways as the picture is, the way up that their EXIF orientation says. */
final class PicturePages {
    /** Pictures are made as large as the margin allows, but never so large that fewer pixels than this fill an inch. */
    private static final float FEWEST_DPI = 150;
    /** Leaves the stamped number its room. */
    private static final float MARGIN_PT = Units.mm(16);
    /** Chosen by us: an A0 sheet at 300 dpi has 140 million pixels; more would not fit in memory. */
    private static final long MOST_PIXELS = 200_000_000;

    private PicturePages() {}

    /** Adds a JPEG or PNG; a JPEG's data is taken over as it is. */
    static void addPicture(PDDocument document, Path file, Path named, Collection<Finding> notes) throws IOException {
        read(file, reader -> checkSize(reader, 0));
        byte[] bytes = Files.readAllBytes(file);
        if (isCutJpeg(bytes)) notes.add(Finding.of(Code.BREAKS_OFF, named));
        place(document, PDImageXObject.createFromByteArray(document, bytes, String.valueOf(file.getFileName())), firstOrientation(file));
    }

    /** Adds the picture of a file that PDF has no like of, dot by dot; of a moving one, the first, which is said. */
    static void addFirstPicture(PDDocument document, Path file, Path named, Collection<Finding> notes) throws IOException {
        read(file, reader -> {
            checkSize(reader, 0);
            place(document, LosslessFactory.createFromImage(document, reader.read(0)), firstOrientation(file));
            int count = reader.getNumImages(true);
            if (count > 1) notes.add(Finding.of(Code.FIRST_PICTURE_ONLY, named, String.valueOf(count)));
        });
    }

    /** Adds every picture of a TIFF; black-and-white ones stay so. */
    static void addTiff(PDDocument document, Path file) throws IOException {
        List<Integer> orientations = orientations(file);
        read(file, reader -> {
            int count = reader.getNumImages(true);
            for (int i = 0; i < count; i++) {
                checkSize(reader, i);
                BufferedImage image = reader.read(i);
                place(document, BilevelPicture.is(image) ? BilevelPicture.of(document, image) : LosslessFactory.createFromImage(document, image),
                        orientations.size() == count ? orientations.get(i) : 1);
            }
        });
    }

    /** Reads a picture. */
    @FunctionalInterface
    private interface Reading {
        void by(ImageReader reader) throws IOException;
    }

    private static void read(Path file, Reading reading) throws IOException {
        try (ImageInputStream in = ImageIO.createImageInputStream(file.toFile())) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) throw new IOException("no picture");
            ImageReader reader = readers.next();
            try {
                reader.setInput(in);
                reading.by(reader);
            } finally {
                reader.dispose();
            }
        }
    }

    private static int firstOrientation(Path file) {
        List<Integer> orientations = orientations(file);
        return orientations.isEmpty() ? 1 : orientations.getFirst();
    }

    /** A JPEG ends with an EOI marker behind its last scan (ITU-T T.81, B.1.1.3); viewers fill up what is missing with grey. */
    private static boolean isCutJpeg(byte[] bytes) {
        if (bytes.length < 2 || (bytes[0] & 0xFF) != 0xFF || (bytes[1] & 0xFF) != 0xD8) return false;
        for (int i = bytes.length - 2; i > 0; i--) {
            if ((bytes[i] & 0xFF) != 0xFF) continue;
            if ((bytes[i + 1] & 0xFF) == 0xD9) return false;
            if ((bytes[i + 1] & 0xFF) == 0xDA) return true;
        }
        return true;
    }

    private static void checkSize(ImageReader reader, int index) throws IOException {
        int width = reader.getWidth(index);
        int height = reader.getHeight(index);
        if ((long) width * height > MOST_PIXELS) throw new TooLargeException(width + " × " + height + " pixels");
    }

    /** {@return the orientation of each picture in the file that states one (EXIF 2.32, tag 0x0112)} */
    private static List<Integer> orientations(Path file) {
        List<Integer> found = new ArrayList<>();
        try {
            for (var directory : ImageMetadataReader.readMetadata(file.toFile()).getDirectoriesOfType(ExifIFD0Directory.class)) {
                int value = directory.containsTag(ExifDirectoryBase.TAG_ORIENTATION)
                        ? directory.getInt(ExifDirectoryBase.TAG_ORIENTATION) : 1;
                found.add(value >= 1 && value <= 8 ? value : 1);
            }
        } catch (ImageProcessingException | MetadataException | IOException | RuntimeException e) {
            LoggerFactory.getLogger(PicturePages.class).info("no orientation to be read: {}", file, e);
        }
        return found;
    }

    private static void place(PDDocument document, PDImageXObject picture, int orientation) throws IOException {
        boolean swapped = orientation >= 5;
        float width = (swapped ? picture.getHeight() : picture.getWidth()) * 72 / FEWEST_DPI;
        float height = (swapped ? picture.getWidth() : picture.getHeight()) * 72 / FEWEST_DPI;
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
