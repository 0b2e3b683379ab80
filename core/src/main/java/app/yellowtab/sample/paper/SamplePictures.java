package app.yellowtab.sample.paper;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Random;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;

/** Draws the pictures of the sample matter: photographs, a chart, and scanned slips. */
public final class SamplePictures {
    private SamplePictures() {}

    /** Writes a photograph of apple bins; with an orientation, its pixels lie turned and its EXIF data says so. */
    public static void photo(SampleFile file, Path target) throws IOException {
        BufferedImage upright = bins(file.number("photo", 1));
        int orientation = file.number("orientation", 1);
        BufferedImage stored = orientation == 6 ? turned(upright, -1) : orientation == 8 ? turned(upright, 1) : upright;
        ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
        ImageIO.write(stored, "jpeg", jpeg);
        byte[] bytes = jpeg.toByteArray();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(bytes, 0, 2);
        out.writeBytes(exif(orientation));
        out.write(bytes, 2, bytes.length - 2);
        Files.write(target, out.toByteArray());
    }

    /** Writes the curve of the chamber's temperature. */
    public static void chart(Path target) throws IOException {
        BufferedImage image = new BufferedImage(1400, 800, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = graphics(image, Color.WHITE);
        g.setColor(new Color(0xDDDDDD));
        for (int degree = 0; degree <= 16; degree += 2) g.drawLine(90, 720 - degree * 40, 1340, 720 - degree * 40);
        g.setColor(Color.BLACK);
        g.setStroke(new BasicStroke(3));
        g.drawLine(90, 60, 90, 720);
        g.drawLine(90, 720, 1340, 720);
        Path2D curve = new Path2D.Double();
        for (int hour = 0; hour < 24 * 9; hour++) {
            double x = 90 + hour * 1250.0 / (24 * 9);
            double y = 720 - temperature(hour) * 40;
            if (hour == 0) curve.moveTo(x, y);
            else curve.lineTo(x, y);
        }
        g.setColor(new Color(0xA63D2F));
        g.setStroke(new BasicStroke(5));
        g.draw(curve);
        g.dispose();
        ImageIO.write(image, "png", target.toFile());
    }

    /** Writes a sketch of a part of the plant, as GIF or BMP after the file's name. */
    public static void drawing(SampleFile file, Path target) throws IOException {
        BufferedImage image = new BufferedImage(640, 480, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = graphics(image, Color.WHITE);
        g.setColor(new Color(0x2F5D7C));
        g.setStroke(new BasicStroke(6));
        g.draw(new Ellipse2D.Double(170, 90, 300, 300));
        for (int blade = 0; blade < 5; blade++) {
            g.rotate(Math.PI * 2 / 5, 320, 240);
            g.draw(new Ellipse2D.Double(300, 110, 40, 120));
        }
        g.dispose();
        String name = file.path();
        ImageIO.write(image, name.substring(name.lastIndexOf('.') + 1), target.toFile());
    }

    /** {@return the made-up temperature of chamber 3, in degrees, so many hours after the start of 5 October 2030} */
    public static double temperature(int hour) {
        double swing = 0.3 * Math.sin(hour / 3.0);
        if (hour < 26) return 1.5 + swing;
        if (hour < 181) return 1.5 + (hour - 26) * 12.7 / 155 + swing;
        return Math.max(1.5, 14.2 - (hour - 181) * 0.4) + swing;
    }

    /** Writes black-and-white scans, several in one TIFF. */
    public static void scans(SampleFile file, Path target) throws IOException {
        List<BufferedImage> scans = new ArrayList<>();
        for (int i = 0; i < file.number("scans", 1); i++)
            scans.add(SampleSlips.scan(i, file.has("invoice"), file.path().hashCode()));
        writeTiff(scans, target);
    }

    /** Writes black-and-white pictures as one TIFF. */
    static void writeTiff(List<BufferedImage> pictures, Path target) throws IOException {
        ImageWriter writer = tiffWriter();
        ImageWriteParam how = writer.getDefaultWriteParam();
        how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
        how.setCompressionType("CCITT T.6");
        Files.deleteIfExists(target);
        try (ImageOutputStream out = ImageIO.createImageOutputStream(target.toFile())) {
            writer.setOutput(out);
            writer.prepareWriteSequence(null);
            for (BufferedImage picture : pictures) writer.writeToSequence(new IIOImage(picture, null, null), how);
            writer.endWriteSequence();
        }
        writer.dispose();
    }

    /** {@return Java's own: which of several is named first is not the same every time, and so the files would not be} */
    private static ImageWriter tiffWriter() {
        for (Iterator<ImageWriter> writers = ImageIO.getImageWritersByFormatName("tiff"); writers.hasNext();) {
            ImageWriter writer = writers.next();
            if (writer.getClass().getModule() == ImageIO.class.getModule()) return writer;
        }
        throw new IllegalStateException("Java writes TIFF");
    }

    private static BufferedImage bins(int seed) {
        BufferedImage image = new BufferedImage(1200, 900, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = graphics(image, new Color(0x5E6A66));
        Random random = new Random(seed);
        g.setColor(new Color(0x8B8F88));
        g.fillRect(0, 640, 1200, 260);
        for (int column = 0; column < 3; column++) {
            for (int row = 0; row < 2; row++) bin(g, random, 60 + column * 380, 120 + row * 330);
        }
        g.dispose();
        return image;
    }

    private static void bin(Graphics2D g, Random random, int x, int y) {
        for (int apple = 0; apple < 70; apple++) {
            int shade = random.nextInt(70);
            g.setColor(random.nextInt(5) == 0 ? new Color(0x6B4A2B) : new Color(150 + shade, 60 + shade, 45));
            g.fill(new Ellipse2D.Double(x + 10 + random.nextInt(270), y + random.nextInt(90), 44, 42));
        }
        g.setColor(new Color(0xA98B5D));
        for (int slat = 0; slat < 4; slat++) g.fillRect(x, y + 90 + slat * 46, 330, 38);
        g.setColor(new Color(0x6E5836));
        g.fillRect(x, y + 84, 16, 190);
        g.fillRect(x + 314, y + 84, 16, 190);
    }

    /** {@return the picture a quarter turn further: 1 to the right, -1 to the left} */
    private static BufferedImage turned(BufferedImage image, int quarter) {
        BufferedImage turned = new BufferedImage(image.getHeight(), image.getWidth(), BufferedImage.TYPE_INT_RGB);
        Graphics2D g = turned.createGraphics();
        g.translate(turned.getWidth() / 2.0, turned.getHeight() / 2.0);
        g.rotate(quarter * Math.PI / 2);
        g.drawImage(image, -image.getWidth() / 2, -image.getHeight() / 2, null);
        g.dispose();
        return turned;
    }

    private static Graphics2D graphics(BufferedImage image, Color ground) {
        Graphics2D g = image.createGraphics();
        // In black and white, softened slanting strokes vanish.
        boolean colour = image.getType() != BufferedImage.TYPE_BYTE_BINARY;
        if (colour) g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setColor(ground);
        g.fillRect(0, 0, image.getWidth(), image.getHeight());
        return g;
    }

    /** {@return an APP1 segment with one tag, Orientation (EXIF 2.32, 4.5 and 4.6.4)} */
    private static byte[] exif(int orientation) {
        return new byte[] {(byte) 0xFF, (byte) 0xE1, 0, 34, 'E', 'x', 'i', 'f', 0, 0, 'M', 'M', 0, 42, 0, 0, 0, 8,
                0, 1, 0x01, 0x12, 0, 3, 0, 0, 0, 1, 0, (byte) orientation, 0, 0, 0, 0, 0, 0};
    }
}
