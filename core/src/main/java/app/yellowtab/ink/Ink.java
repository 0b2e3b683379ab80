package app.yellowtab.ink;

import app.yellowtab.facts.Length;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Where there is ink on a page: a raster of about a hundred dots an inch, in which each dot is the darkest pixel of its place.
 */
public final class Ink {
    private static final int DOTS_AN_INCH = 100;
    private static final double PAPER_SHARE = 0.6;

    final int width;
    final int height;
    public final double dotsAMm;
    /** How much darker than the paper each dot is, from 0 to 255. */
    final int[] depth;

    public Ink(GreyPicture picture) {
        int cell = Math.max(1, Math.round((float) picture.dpi() / DOTS_AN_INCH));
        width = Math.max(1, picture.width() / cell);
        height = Math.max(1, picture.height() / cell);
        dotsAMm = picture.dpi() / (double) cell / Length.MM_PER_INCH;
        depth = new int[width * height];
        int[] counts = new int[256];
        byte[] pixels = picture.pixels();
        for (byte pixel : pixels) counts[pixel & 255]++;
        int paper = paper(counts, pixels.length);
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                int darkest = 255;
                for (int dy = 0; dy < cell && y * cell + dy < picture.height(); dy++) {
                    int at = (y * cell + dy) * picture.width() + x * cell;
                    for (int dx = 0; dx < cell && x * cell + dx < picture.width(); dx++)
                        darkest = Math.min(darkest, pixels[at + dx] & 255);
                }
                depth[y * width + x] = Math.max(0, paper - darkest);
            }
        }
    }

    /** {@return how light the paper is: the grey that most of the page is lighter than, or as light as} */
    private static int paper(int[] counts, int all) {
        int seen = 0;
        for (int grey = 255; grey > 0; grey--) {
            seen += counts[grey];
            if (seen >= PAPER_SHARE * all) return grey;
        }
        return 255;
    }

    /** {@return which dots are darker than the paper by so much} */
    public boolean[] darkerBy(int least) {
        boolean[] dark = new boolean[depth.length];
        for (int i = 0; i < dark.length; i++) dark[i] = depth[i] >= least;
        return dark;
    }

    /**
     * {@return the connected spots of some dots, each as left, top, right and bottom, both included, and how many dots it has}
     *
     * @param dark is emptied
     */
    public List<int[]> spots(boolean[] dark) {
        List<int[]> spots = new ArrayList<>();
        int[] open = new int[256];
        for (int start = 0; start < dark.length; start++) {
            if (!dark[start]) continue;
            int[] spot = {width, height, 0, 0, 0};
            int count = 0;
            open[count++] = start;
            dark[start] = false;
            while (count > 0) {
                int at = open[--count];
                int x = at % width;
                int y = at / width;
                spot[0] = Math.min(spot[0], x);
                spot[1] = Math.min(spot[1], y);
                spot[2] = Math.max(spot[2], x);
                spot[3] = Math.max(spot[3], y);
                spot[4]++;
                for (int dy = -1; dy <= 1; dy++) {
                    for (int dx = -1; dx <= 1; dx++) {
                        int nx = x + dx;
                        int ny = y + dy;
                        if (nx < 0 || ny < 0 || nx >= width || ny >= height || !dark[ny * width + nx]) continue;
                        dark[ny * width + nx] = false;
                        if (count == open.length) open = Arrays.copyOf(open, 2 * count);
                        open[count++] = ny * width + nx;
                    }
                }
            }
            spots.add(spot);
        }
        return spots;
    }
}
