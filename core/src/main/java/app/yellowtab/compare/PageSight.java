package app.yellowtab.compare;

import java.awt.image.BufferedImage;

/**
 * What a page looks like, coarsely: how dark each small square of its picture is. Two pictures of the same page, drawn by the
 * same program, are alike to the last dot, so that hardly any difference is allowed.
 *
 * @param darkness of each square, row by row, from 0 to 255
 */
record PageSight(int widthPx, int heightPx, byte[] darkness) {
    /** Pictures are drawn so wide: letters of 10 points are four dots high then. */
    static final int WIDTH_PX = 480;
    private static final int SQUARE = 8;
    /** A figure that is another one changes a square by ten and more; measured on text of 10 points. */
    private static final int MOST_DIFFERENCE = 4;

    static PageSight of(BufferedImage picture) {
        int columns = (picture.getWidth() + SQUARE - 1) / SQUARE;
        int rows = (picture.getHeight() + SQUARE - 1) / SQUARE;
        int[] sums = new int[columns * rows];
        int[] line = new int[picture.getWidth()];
        for (int y = 0; y < picture.getHeight(); y++) {
            picture.getRGB(0, y, picture.getWidth(), 1, line, 0, picture.getWidth());
            for (int x = 0; x < line.length; x++) {
                int light = (line[x] >> 16 & 0xFF) + (line[x] >> 8 & 0xFF) + (line[x] & 0xFF);
                sums[y / SQUARE * columns + x / SQUARE] += 255 - light / 3;
            }
        }
        byte[] darkness = new byte[sums.length];
        for (int i = 0; i < sums.length; i++) darkness[i] = (byte) (sums[i] / (SQUARE * SQUARE));
        return new PageSight(picture.getWidth(), picture.getHeight(), darkness);
    }

    boolean isLike(PageSight other) {
        if (widthPx != other.widthPx || heightPx != other.heightPx) return false;
        for (int i = 0; i < darkness.length; i++)
            if (Math.abs((darkness[i] & 0xFF) - (other.darkness[i] & 0xFF)) > MOST_DIFFERENCE) return false;
        return true;
    }
}
