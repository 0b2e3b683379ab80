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
     * {@return the connected spots of some dots, each as left, top, right and bottom, both included, and how many dots it has; in
     * the order of their first dots, row by row}
     */
    public List<int[]> spots(boolean[] dark) {
        Runs runs = new Runs();
        int above = 0;
        for (int y = 0; y < height; y++) {
            int here = runs.count;
            for (int x = 0; x < width; x++) {
                if (!dark[y * width + x]) continue;
                int left = x;
                while (x + 1 < width && dark[y * width + x + 1]) x++;
                runs.add(left, x, y);
            }
            runs.joinTouching(above, here);
            above = here;
        }
        return runs.spots();
    }

    /** Dots beside one another in a row, and which of them belong to the same spot. */
    private static final class Runs {
        private int[] lefts = new int[256];
        private int[] rights = new int[256];
        private int[] rows = new int[256];
        /** An earlier run of the same spot, or itself. */
        private int[] earlier = new int[256];
        private int count;

        void add(int left, int right, int row) {
            if (count == lefts.length) {
                lefts = Arrays.copyOf(lefts, 2 * count);
                rights = Arrays.copyOf(rights, 2 * count);
                rows = Arrays.copyOf(rows, 2 * count);
                earlier = Arrays.copyOf(earlier, 2 * count);
            }
            lefts[count] = left;
            rights[count] = right;
            rows[count] = row;
            earlier[count] = count;
            count++;
        }

        /** Joins the runs of the last row to those of the row above that they touch, at corners too. */
        void joinTouching(int above, int here) {
            int from = above;
            for (int run = here; run < count; run++) {
                while (from < here && rights[from] < lefts[run] - 1) from++;
                for (int upper = from; upper < here && lefts[upper] <= rights[run] + 1; upper++) {
                    int one = first(upper);
                    int other = first(run);
                    earlier[Math.max(one, other)] = Math.min(one, other);
                }
            }
        }

        private int first(int run) {
            int first = run;
            while (earlier[first] != first) {
                earlier[first] = earlier[earlier[first]];
                first = earlier[first];
            }
            return first;
        }

        List<int[]> spots() {
            List<int[]> spots = new ArrayList<>();
            int[][] spotOf = new int[count][];
            for (int run = 0; run < count; run++) {
                int first = first(run);
                if (first == run) spots.add(spotOf[run] = new int[] {lefts[run], rows[run], rights[run], rows[run], 0});
                int[] spot = spotOf[first];
                spot[0] = Math.min(spot[0], lefts[run]);
                spot[2] = Math.max(spot[2], rights[run]);
                spot[3] = Math.max(spot[3], rows[run]);
                spot[4] += rights[run] - lefts[run] + 1;
            }
            return spots;
        }
    }
}
