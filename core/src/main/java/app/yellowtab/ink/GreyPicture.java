package app.yellowtab.ink;

import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;

/**
 * A page as it is read: one byte a pixel, 0 for black and 255 for white, line by line from the top.
 *
 * @param dpi pixels an inch
 */
public record GreyPicture(int width, int height, int dpi, byte[] pixels) {
    /** Chosen by us: a sheet of A0 at 300 dpi has 140 million. */
    static final int MOST_PIXELS = 150_000_000;

    public GreyPicture {
        if (width < 1 || height < 1 || (long) width * height > MOST_PIXELS || pixels.length != width * height)
            throw new IllegalArgumentException("no picture: " + width + " x " + height + " with " + pixels.length + " bytes");
        if (dpi < 1) throw new IllegalArgumentException("dpi must be at least 1, got " + dpi);
    }

    /** {@return the same, turned by quarter turns clockwise} */
    public GreyPicture turned(int turns) {
        if (turns == 0) return this;
        boolean sideways = turns % 2 == 1;
        int newWidth = sideways ? height : width;
        byte[] turned = new byte[pixels.length];
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                int newX = turns == 1 ? height - 1 - y : turns == 2 ? width - 1 - x : y;
                int newY = turns == 1 ? x : turns == 2 ? height - 1 - y : width - 1 - x;
                turned[newY * newWidth + newX] = pixels[y * width + x];
            }
        }
        return new GreyPicture(newWidth, sideways ? width : height, dpi, turned);
    }

    /** {@return an image of another size, in pixels, without its colours} */
    public static BufferedImage scaled(BufferedImage image, int width, int height) {
        BufferedImage scaled = new BufferedImage(width, height, BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D g = scaled.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        g.drawImage(image, 0, 0, width, height, null);
        g.dispose();
        return scaled;
    }

    /** {@return an image without its colours} */
    public static GreyPicture of(BufferedImage image, int dpi) {
        BufferedImage grey = image;
        if (image.getType() != BufferedImage.TYPE_BYTE_GRAY) {
            grey = new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_BYTE_GRAY);
            Graphics2D g = grey.createGraphics();
            g.drawImage(image, 0, 0, null);
            g.dispose();
        }
        return new GreyPicture(image.getWidth(), image.getHeight(), dpi,
                ((DataBufferByte) grey.getRaster().getDataBuffer()).getData());
    }
}
