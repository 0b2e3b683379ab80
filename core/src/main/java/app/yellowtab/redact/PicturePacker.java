package app.yellowtab.redact;

import app.yellowtab.output.MadeStream;
import app.yellowtab.pdf.BilevelPicture;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.awt.image.DataBufferInt;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.graphics.image.JPEGFactory;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/** Packs the picture of a page the way that suits it, as an image of a PDF (ISO 32000-1:2008, 8.9.5). */
final class PicturePacker {
    /** Up to this apart, red, green and blue are a grey. */
    private static final int GREY_APART = 24;
    private static final int MOST_STRAY = 16;
    /** Between these is neither ink nor paper: the soft edge of a letter, or a grey. */
    private static final int INK = 48;
    private static final int PAPER = 215;
    private static final int EDGE_REACH = 2;
    /** Of the dots of ink so many may be greys without ink beside them, as where a hairline runs. */
    private static final double STRAY_SHARE = 2e-4;
    /** Thin lines are kept rather than lost. */
    private static final int THRESHOLD = 170;
    /** Where more of the dots differ from the one beside them it is a photograph, or a scan. */
    private static final double LIVELY_SHARE = 0.2;
    private static final float PHOTOGRAPH_QUALITY = 0.9f;
    private static final int BYTES_A_COLOUR = 3;

    private PicturePacker() {}

    /**
     * {@return a picture packed: with two tones where it has no others, in greys where it has no colour, as a photograph where it
     * is one}
     */
    static COSStream pack(BufferedImage rgb) throws IOException {
        int[] dots = ((DataBufferInt) rgb.getRaster().getDataBuffer()).getData();
        boolean colour = isColoured(dots);
        if (!colour && isTwoTone(dots, rgb.getWidth())) return twoTone(dots, rgb.getWidth(), rgb.getHeight());
        if (isLively(dots)) return photograph(rgb, dots, colour);
        return packed(dots, rgb.getWidth(), rgb.getHeight(), colour);
    }

    private static boolean isColoured(int[] dots) {
        int stray = 0;
        for (int dot : dots) {
            int red = dot >> 16 & 255;
            int green = dot >> 8 & 255;
            int blue = dot & 255;
            if (Math.max(red, Math.max(green, blue)) - Math.min(red, Math.min(green, blue)) > GREY_APART && ++stray > MOST_STRAY)
                return true;
        }
        return false;
    }

    private static boolean isTwoTone(int[] dots, int width) {
        long ink = 0;
        long stray = 0;
        for (int i = 0; i < dots.length; i++) {
            int tone = dots[i] >> 8 & 255;
            if (tone <= INK) ink++;
            else if (tone < PAPER && !isBesideInk(dots, width, i)) stray++;
        }
        return stray <= MOST_STRAY + ink * STRAY_SHARE;
    }

    private static boolean isBesideInk(int[] dots, int width, int at) {
        int x = at % width;
        for (int dy = -EDGE_REACH; dy <= EDGE_REACH; dy++) {
            int row = at + dy * width;
            if (row < 0 || row >= dots.length) continue;
            for (int dx = Math.max(-EDGE_REACH, -x); dx <= EDGE_REACH && x + dx < width; dx++) {
                if (row + dx >= 0 && row + dx < dots.length && (dots[row + dx] >> 8 & 255) <= INK) return true;
            }
        }
        return false;
    }

    private static boolean isLively(int[] dots) {
        long different = 0;
        for (int i = 1; i < dots.length; i++) if ((dots[i] & 0xFFFFFF) != (dots[i - 1] & 0xFFFFFF)) different++;
        return different > LIVELY_SHARE * dots.length;
    }

    private static COSStream twoTone(int[] dots, int width, int height) throws IOException {
        BufferedImage bits = BilevelPicture.cut(width, height, at -> dots[at] >> 8 & 255, THRESHOLD);
        try (PDDocument stage = new PDDocument()) {
            return alone(BilevelPicture.of(stage, bits));
        }
    }

    private static COSStream photograph(BufferedImage rgb, int[] dots, boolean colour) throws IOException {
        BufferedImage picture = rgb;
        if (!colour) {
            picture = new BufferedImage(rgb.getWidth(), rgb.getHeight(), BufferedImage.TYPE_BYTE_GRAY);
            byte[] tones = ((DataBufferByte) picture.getRaster().getDataBuffer()).getData();
            for (int i = 0; i < dots.length; i++) tones[i] = (byte) (dots[i] >> 8);
        }
        try (PDDocument stage = new PDDocument()) {
            return alone(JPEGFactory.createFromImage(stage, picture, PHOTOGRAPH_QUALITY));
        }
    }

    private static COSStream packed(int[] dots, int width, int height, boolean colour) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        Deflater deflater = new Deflater();
        try (OutputStream out = new DeflaterOutputStream(bytes, deflater, 1 << 16)) {
            byte[] row = new byte[colour ? BYTES_A_COLOUR * width : width];
            for (int y = 0; y < height; y++) {
                int at = 0;
                for (int x = 0; x < width; x++) {
                    int dot = dots[y * width + x];
                    if (colour) row[at++] = (byte) (dot >> 16);
                    row[at++] = (byte) (dot >> 8);
                    if (colour) row[at++] = (byte) dot;
                }
                out.write(row);
            }
        } finally {
            deflater.end();
        }
        COSStream stream = new MadeStream(bytes.toByteArray());
        stream.setItem(COSName.TYPE, COSName.XOBJECT);
        stream.setItem(COSName.SUBTYPE, COSName.IMAGE);
        stream.setInt(COSName.WIDTH, width);
        stream.setInt(COSName.HEIGHT, height);
        stream.setItem(COSName.COLORSPACE, colour ? COSName.DEVICERGB : COSName.DEVICEGRAY);
        stream.setInt(COSName.BITS_PER_COMPONENT, 8);
        stream.setItem(COSName.FILTER, COSName.FLATE_DECODE);
        return stream;
    }

    /** {@return an image that needs the document no more in which it was made} */
    private static COSStream alone(PDImageXObject image) throws IOException {
        COSDictionary from = image.getCOSObject();
        COSStream stream;
        try (InputStream raw = image.getCOSObject().createRawInputStream()) {
            stream = new MadeStream(raw.readAllBytes());
        }
        for (COSName name : from.keySet()) if (!name.equals(COSName.LENGTH)) stream.setItem(name, from.getDictionaryObject(name));
        return stream;
    }
}
