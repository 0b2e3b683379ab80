package app.yellowtab.clash;

import app.yellowtab.mark.Box;
import java.awt.image.BufferedImage;
import java.util.BitSet;

/** Where something is drawn on a page, to about a millimetre. Immutable. */
final class PageInk {
    /** Pale grounds and shadows of paper are lighter than this, of 255. */
    private static final int DARK_BELOW = 215;
    private static final int RED = 299;
    private static final int GREEN = 587;
    private static final int BLUE = 114;
    private static final int ALL = 1000;

    private final int width;
    private final int height;
    private final float perPtAcross;
    private final float perPtUp;
    private final BitSet dark;

    private PageInk(int width, int height, float perPtAcross, float perPtUp, BitSet dark) {
        this.width = width;
        this.height = height;
        this.perPtAcross = perPtAcross;
        this.perPtUp = perPtUp;
        this.dark = dark;
    }

    /** {@return what is dark in the picture of a page of a size in points} */
    static PageInk of(BufferedImage image, float widthPt, float heightPt) {
        int wide = image.getWidth();
        BitSet dark = new BitSet();
        int[] row = new int[wide];
        for (int y = 0; y < image.getHeight(); y++) {
            image.getRGB(0, y, wide, 1, row, 0, wide);
            for (int x = 0; x < wide; x++) {
                int light = (RED * (row[x] >> 16 & 255) + GREEN * (row[x] >> 8 & 255) + BLUE * (row[x] & 255)) / ALL;
                if (light < DARK_BELOW) dark.set(y * wide + x);
            }
        }
        return new PageInk(wide, image.getHeight(), wide / widthPt, image.getHeight() / heightPt, dark);
    }

    /** {@return whether anything dark is within a box} Dots that the box only touches are not. */
    boolean isIn(Box box) {
        if (dark.isEmpty()) return false;
        int left = Math.max(0, Math.round(box.left() * perPtAcross));
        int right = Math.min(width, Math.max(left + 1, Math.round(box.right() * perPtAcross)));
        int top = Math.max(0, height - Math.round(box.top() * perPtUp));
        int bottom = Math.min(height, Math.max(top + 1, height - Math.round(box.bottom() * perPtUp)));
        for (int y = top; y < bottom; y++) {
            int next = dark.nextSetBit(y * width + left);
            if (next >= 0 && next < y * width + right) return true;
        }
        return false;
    }

    /** {@return about how many bytes it takes} */
    int bytes() {
        return 64 + dark.size() / 8;
    }
}
