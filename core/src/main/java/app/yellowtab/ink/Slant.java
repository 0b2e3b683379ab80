package app.yellowtab.ink;

import java.util.ArrayList;
import java.util.List;

/**
 * Finds by how much a page lies askew: the feet of its letters are summed up along lines of every slant, and where the lines of
 * text lie along them, the sums differ most.
 */
public final class Slant {
    private static final double MOST_DEGREES = 10;
    private static final double COARSE = 0.1;
    private static final double FINE = 0.02;
    private static final int DARK = 80;
    /** Feet are spread over the height of a dot; otherwise the raster itself would lie most level. */
    private static final double GOLDEN = 0.618_034;
    /** Fewer letters tell nothing. */
    private static final int LEAST_LETTERS = 40;
    /** How high letters are, in millimetres. */
    private static final double LEAST_MM = 0.8;
    private static final double MOST_MM = 8;
    /** The best slant must stand out so far from what is usual. */
    private static final double LEAST_RATIO = 1.5;

    private Slant() {}

    /**
     * {@return by how many degrees the page must be turned clockwise so that its lines lie level; 0 where nothing can be told}
     */
    public static double of(Ink ink) {
        List<double[]> feet = feet(ink);
        if (feet.size() < LEAST_LETTERS) return 0;
        double best = 0;
        double most = 0;
        double sum = 0;
        int tried = 0;
        for (double degrees = -MOST_DEGREES; degrees <= MOST_DEGREES; degrees += COARSE, tried++) {
            double sharp = sharpness(feet, degrees, ink.height);
            sum += sharp;
            if (sharp > most) {
                most = sharp;
                best = degrees;
            }
        }
        if (most < LEAST_RATIO * sum / tried) return 0;
        double centre = best;
        for (double degrees = centre - COARSE; degrees <= centre + COARSE; degrees += FINE) {
            double sharp = sharpness(feet, degrees, ink.height);
            if (sharp > most) {
                most = sharp;
                best = degrees;
            }
        }
        return Math.round(-best / FINE) * FINE;
    }

    /** {@return whether the letters of a page stand above one another much rather than beside one another} */
    public static boolean isSideways(Ink ink, Ink turned) {
        List<double[]> beside = feet(ink);
        List<double[]> above = feet(turned);
        if (beside.size() < LEAST_LETTERS || above.size() < LEAST_LETTERS) return false;
        return levelness(above, turned.height) > LEAST_RATIO * levelness(beside, ink.height);
    }

    private static double levelness(List<double[]> feet, int height) {
        double most = 0;
        for (double degrees = -MOST_DEGREES; degrees <= MOST_DEGREES; degrees += COARSE)
            most = Math.max(most, sharpness(feet, degrees, height));
        return most;
    }

    private static List<double[]> feet(Ink ink) {
        List<double[]> feet = new ArrayList<>();
        for (int[] spot : ink.spots(ink.darkerBy(DARK))) {
            double high = (spot[3] - spot[1] + 1) / ink.dotsAMm;
            double wide = (spot[2] - spot[0] + 1) / ink.dotsAMm;
            if (high >= LEAST_MM && high <= MOST_MM && wide <= 4 * MOST_MM)
                feet.add(new double[] {(spot[0] + spot[2]) / 2.0, spot[3] + (feet.size() * GOLDEN) % 1});
        }
        return feet;
    }

    /** {@return how unevenly the feet lie on lines that fall by so many degrees to the right} */
    private static double sharpness(List<double[]> feet, double degrees, int height) {
        double slope = Math.tan(Math.toRadians(degrees));
        // Lines of half a dot: a foot counts on the two that it is nearest to.
        double[] lines = new double[6 * height + 4];
        for (double[] foot : feet) {
            double at = 2 * (foot[1] - slope * foot[0]) + 2 * height;
            int line = (int) Math.floor(at);
            if (line < 0 || line + 1 >= lines.length) continue;
            lines[line] += 1 - (at - line);
            lines[line + 1] += at - line;
        }
        double sum = 0;
        for (double line : lines) sum += line * line;
        return sum;
    }
}
