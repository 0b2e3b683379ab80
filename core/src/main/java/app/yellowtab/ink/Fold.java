package app.yellowtab.ink;

/** Finds where two pages that lie on one sheet meet: at the shadow of the fold, or between their margins. */
public final class Fold {
    /** A spread is wider than high by so much; each of its pages is then at least half as wide as high. */
    private static final double LEAST_WIDE = 1.2;
    private static final double MOST_WIDE = 1.8;
    /** The fold lies about the middle. */
    private static final double FROM = 0.42;
    private static final double TO = 0.58;
    private static final int FAINT = 28;
    private static final int DARK = 80;
    /** The shadow of a fold runs over so much of the height and is so wide, in millimetres: a ruled line is thinner. */
    private static final double SHADOW_SHARE = 0.75;
    private static final double LEAST_SHADOW_MM = 1.2;
    private static final double MOST_SHADOW_MM = 12;
    /** Between the words of two pages there are two margins. */
    private static final double LEAST_GAP_MM = 14;
    /**
     * Where there is no shadow, lines of running text must fill both pages so far, words that far apart: the columns of a table
     * do not.
     */
    private static final double LEAST_FILLED = 0.25;
    private static final double CLOSES_MM = 4;
    /** Specks in so large a part of a column are no words. */
    private static final double SPECKS = 0.004;
    private static final int LEAST_LETTERS = 30;
    private static final double LETTER_MM = 0.8;
    private static final double MOST_LETTER_MM = 8;

    private Fold() {}

    /** {@return where the pages of an upright sheet meet, as a share of its width; 0 where it is one page} */
    public static double of(Ink ink) {
        double wide = (double) ink.width / ink.height;
        if (wide < LEAST_WIDE || wide > MOST_WIDE) return 0;
        int[] letters = letters(ink);
        int from = (int) (ink.width * FROM);
        int to = (int) (ink.width * TO);
        double shadow = middle(ink, from, to, FAINT, SHADOW_SHARE * ink.height, true, LEAST_SHADOW_MM, MOST_SHADOW_MM);
        // One of the two pages may have hardly a word.
        if (shadow > 0 && letters[0] + letters[1] >= LEAST_LETTERS) return shadow;
        if (letters[0] < LEAST_LETTERS || letters[1] < LEAST_LETTERS) return 0;
        double gap = middle(ink, from, to, DARK, SPECKS * ink.height, false, LEAST_GAP_MM, Double.MAX_VALUE);
        int at = (int) (gap * ink.width);
        return gap > 0 && filled(ink, 0, at) >= LEAST_FILLED && filled(ink, at, ink.width) >= LEAST_FILLED ? gap : 0;
    }

    /** {@return how far lines of words fill the width between two columns, where there are any} */
    private static double filled(Ink ink, int from, int to) {
        double closes = CLOSES_MM * ink.dotsAMm;
        long filled = 0;
        int rows = 0;
        for (int y = 0; y < ink.height; y++) {
            int last = -1;
            for (int x = from; x < to; x++) {
                if (ink.depth[y * ink.width + x] < DARK) continue;
                filled += last >= 0 && x - last <= closes ? x - last : 1;
                last = x;
            }
            if (last >= 0) rows++;
        }
        return rows == 0 ? 0 : (double) filled / rows / (to - from);
    }

    /** {@return how many spots of the size of letters are on the left half, and on the right one} */
    private static int[] letters(Ink ink) {
        int left = 0;
        int right = 0;
        for (int[] spot : ink.spots(ink.darkerBy(DARK))) {
            double high = (spot[3] - spot[1] + 1) / ink.dotsAMm;
            if (high < LETTER_MM || high > MOST_LETTER_MM) continue;
            if (spot[2] < ink.width / 2) left++;
            else if (spot[0] > ink.width / 2) right++;
        }
        return new int[] {left, right};
    }

    /**
     * {@return the middle of the widest run of columns that are dark, or empty, as a share of the width; 0 where none is as wide
     * as it should be}
     */
    private static double middle(Ink ink, int from, int to, int darkerBy, double bound, boolean isDark, double leastMm,
            double mostMm) {
        int widest = 0;
        int at = 0;
        int begin = from;
        for (int x = from; x <= to; x++) {
            int dark = 0;
            for (int y = 0; y < ink.height && x < to; y++) if (ink.depth[y * ink.width + x] >= darkerBy) dark++;
            boolean its = x < to && (isDark ? dark >= bound : dark <= bound);
            if (its) continue;
            if (x - begin > widest) {
                widest = x - begin;
                at = begin;
            }
            begin = x + 1;
        }
        double mm = widest / ink.dotsAMm;
        return widest > 0 && mm >= leastMm && mm <= mostMm ? (at + widest / 2.0) / ink.width : 0;
    }
}
