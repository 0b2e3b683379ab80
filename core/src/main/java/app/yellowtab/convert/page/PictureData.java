package app.yellowtab.convert.page;

import java.awt.Color;
import java.awt.Dimension;
import java.awt.Graphics2D;
import java.awt.geom.Dimension2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Base64;
import java.util.Iterator;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.apache.poi.hemf.usermodel.HemfPicture;
import org.apache.poi.hwmf.usermodel.HwmfPicture;

/** Makes pictures inside documents fit to be shown: as a {@code data:} address with a JPEG or PNG. */
public final class PictureData {
    /** Chosen by us: a page at 600 dpi has 35 million. */
    private static final long MOST_PIXELS = 60_000_000;
    private static final double METAFILE_DPI = 200;

    private PictureData() {}

    /** {@return the address; empty where the picture cannot be shown, which is noted} */
    public static Optional<String> of(byte[] bytes, Notes notes) {
        try {
            if (Marks.starts(bytes, 0xD7, 0xCD, 0xC6, 0x9A))
                return Optional.of(png(draw(new HwmfPicture(new ByteArrayInputStream(bytes)))));
            if (Marks.starts(bytes, 0x01, 0x00, 0x00, 0x00) && bytes.length > 44 && bytes[40] == ' ' && bytes[41] == 'E') {
                return Optional.of(png(draw(new HemfPicture(new ByteArrayInputStream(bytes)))));
            }
            return raster(bytes, notes);
        } catch (IOException | RuntimeException | Error damaged) {
            notes.lost("pictures that cannot be read");
            return Optional.empty();
        }
    }

    private static Optional<String> raster(byte[] bytes, Notes notes) throws IOException {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                notes.lost("pictures of kinds that cannot be read");
                return Optional.empty();
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(in);
                if ((long) reader.getWidth(0) * reader.getHeight(0) > MOST_PIXELS) {
                    notes.lost("pictures that are too large");
                    return Optional.empty();
                }
                String format = reader.getFormatName();
                if (format.equalsIgnoreCase("jpeg")) return Optional.of(address("image/jpeg", bytes));
                if (format.equalsIgnoreCase("png")) return Optional.of(address("image/png", bytes));
                return Optional.of(png(reader.read(0)));
            } finally {
                reader.dispose();
            }
        }
    }

    private static BufferedImage draw(HwmfPicture picture) {
        return draw(picture.getSize(), picture::draw);
    }

    private static BufferedImage draw(HemfPicture picture) {
        return draw(picture.getSize(), picture::draw);
    }

    /** Draws a metafile into a rectangle. */
    private interface Drawing {
        void on(Graphics2D graphics, Rectangle2D place);
    }

    private static BufferedImage draw(Dimension2D sizePt, Drawing drawing) {
        double scale = Math.min(METAFILE_DPI / 72, Math.sqrt(MOST_PIXELS / Math.max(1, sizePt.getWidth() * sizePt.getHeight())));
        var size = new Dimension((int) Math.max(1, sizePt.getWidth() * scale), (int) Math.max(1, sizePt.getHeight() * scale));
        BufferedImage image = new BufferedImage(size.width, size.height, BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = new DashBound(image.createGraphics());
        try {
            graphics.setColor(Color.WHITE);
            graphics.fillRect(0, 0, size.width, size.height);
            drawing.on(graphics, new Rectangle2D.Double(0, 0, size.width, size.height));
        } finally {
            graphics.dispose();
        }
        return image;
    }

    private static String png(BufferedImage image) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return address("image/png", out.toByteArray());
    }

    private static String address(String type, byte[] bytes) {
        return "data:" + type + ";base64," + Base64.getEncoder().encodeToString(bytes);
    }
}
