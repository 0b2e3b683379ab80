package app.yellowtab.convert.picture;

import app.yellowtab.convert.page.TooLargeException;
import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.MetadataException;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.awt.image.BufferedImage;
import java.io.Closeable;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import javax.imageio.IIOException;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.stream.FileImageInputStream;
import javax.imageio.stream.ImageInputStream;
import org.slf4j.LoggerFactory;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;

/** An open file of pictures. */
final class PictureFile implements Closeable {
    /** Chosen by us: an A0 sheet at 300 dpi has 140 million pixels; more would not fit in memory. */
    private static final long MOST_PIXELS = 200_000_000;
    /** Of the program's memory, what one picture may take while it is read and written. */
    private static final double MOST_OF_MEMORY = 0.3;
    /** Brings with it readers for kinds of files that others read better. */
    private static final String SET_ASIDE = "com.github.jaiimageio.impl.plugins";
    /** A reader of white fax pages, of which many hundred bytes become one, takes them for damaged; bounds of our own hold. */
    private static final int WHITER = 64;

    private final Path file;
    private final ImageInputStream in;
    private final ImageReader reader;
    private final int count;
    private final List<Integer> orientations;

    /** @throws IOException if no picture can be read in it */
    PictureFile(Path file) throws IOException {
        this.file = file;
        Stream stream = new Stream(file);
        in = stream;
        boolean opened = false;
        try {
            reader = reader(in);
            stream.longer = reader.getFormatName().toLowerCase(Locale.ROOT).startsWith("tif") ? WHITER : 1;
            reader.setInput(in);
            count = reader.getNumImages(true);
            boolean tiff = stream.longer > 1;
            orientations = tiff ? TiffOrientations.of(file) : orientations(file);
            opened = true;
        } finally {
            if (!opened) in.close();
        }
    }

    /** The bytes of the file; they may seem to be more. */
    private static final class Stream extends FileImageInputStream {
        private int longer = 1;

        Stream(Path file) throws IOException {
            super(file.toFile());
        }

        @Override
        public long length() {
            return super.length() * longer;
        }
    }

    private static ImageReader reader(ImageInputStream in) throws IOException {
        for (Iterator<ImageReader> readers = ImageIO.getImageReaders(in); readers.hasNext();) {
            ImageReader reader = readers.next();
            if (!reader.getClass().getName().startsWith(SET_ASIDE)) return reader;
        }
        throw new IOException("no picture");
    }

    int count() {
        return count;
    }

    /** {@return a picture, counted from 0} */
    BufferedImage read(int index) throws IOException {
        checkSize(index);
        BufferedImage image = reader.read(index);
        if (image == null) throw new IIOException("nothing was read");
        return image;
    }

    void checkSize(int index) throws IOException {
        checkSize(reader.getWidth(index), reader.getHeight(index), bytesPerPixel(index));
    }

    private double bytesPerPixel(int index) {
        try {
            ImageTypeSpecifier type = reader.getRawImageType(index);
            return type == null ? 4 : type.getColorModel().getPixelSize() / 8.0;
        } catch (IOException | RuntimeException unusual) {
            return 4;
        }
    }

    static void checkSize(int width, int height, double bytesPerPixel) throws TooLargeException {
        double most = Math.min(MOST_PIXELS, Runtime.getRuntime().maxMemory() * MOST_OF_MEMORY / Math.max(bytesPerPixel, 0.25));
        if ((double) width * height > most)
            throw new TooLargeException(String.format(Locale.ROOT, "%d × %d pixels", width, height));
    }

    /** {@return the orientation of a picture (EXIF 2.32, tag 0x0112)} */
    int orientation(int index) {
        if (orientations.size() == count) return orientations.get(index);
        return count == 1 && !orientations.isEmpty() ? orientations.getFirst() : 1;
    }

    private static List<Integer> orientations(Path file) {
        List<Integer> found = new ArrayList<>();
        try {
            for (var directory : ImageMetadataReader.readMetadata(file.toFile()).getDirectoriesOfType(ExifIFD0Directory.class))
                found.add(orientation(directory));
        } catch (ImageProcessingException | IOException | RuntimeException | StackOverflowError e) {
            LoggerFactory.getLogger(PictureFile.class).info("no orientation to be read: {}", file, e);
        }
        return found;
    }

    private static int orientation(ExifIFD0Directory directory) {
        try {
            int value = directory.containsTag(ExifDirectoryBase.TAG_ORIENTATION)
                    ? directory.getInt(ExifDirectoryBase.TAG_ORIENTATION) : 1;
            return value >= 1 && value <= 8 ? value : 1;
        } catch (MetadataException noNumber) {
            return 1;
        }
    }

    /** {@return how much wider than high a dot of a picture is; 1 where the file does not say, or says what cannot be} */
    double dotShape(int index) {
        try {
            IIOMetadata metadata = reader.getImageMetadata(index);
            if (metadata == null || !metadata.isStandardMetadataFormatSupported()) return 1;
            NodeList found = ((Element) metadata.getAsTree("javax_imageio_1.0")).getElementsByTagName("PixelAspectRatio");
            if (found.getLength() == 0) return 1;
            double ratio = Double.parseDouble(((Element) found.item(0)).getAttribute("value"));
            return ratio > 0.2 && ratio < 5 && Math.abs(ratio - 1) > 0.01 ? ratio : 1;
        } catch (IOException | RuntimeException unusual) {
            LoggerFactory.getLogger(PictureFile.class).info("no resolution to be read: {}", file, unusual);
            return 1;
        }
    }

    @Override
    public void close() throws IOException {
        reader.dispose();
        in.close();
    }
}
