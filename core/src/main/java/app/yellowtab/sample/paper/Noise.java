package app.yellowtab.sample.paper;

import java.util.Random;
import java.util.SplittableRandom;
import java.util.stream.DoubleStream;

/** What a scanner's sensor adds to each dot, or takes from it: spread as a bell around 0, most of it less than 1. */
final class Noise {
    private static final int BITS = 12;
    /** Drawn once: a bell for each of a page's million dots takes longer than the rest of the page. */
    private static final double[] BELL = DoubleStream.generate(new Random(1)::nextGaussian).limit(1 << BITS).toArray();

    private final SplittableRandom random;
    private long bits;
    private int left;

    /** @param seed what comes next of it decides all that comes of this one */
    Noise(Random seed) {
        random = new SplittableRandom(seed.nextLong());
    }

    double next() {
        if (left < BITS) {
            bits = random.nextLong();
            left = Long.SIZE;
        }
        double next = BELL[(int) bits & BELL.length - 1];
        bits >>>= BITS;
        left -= BITS;
        return next;
    }
}
