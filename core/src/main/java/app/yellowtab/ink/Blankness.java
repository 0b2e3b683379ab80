package app.yellowtab.ink;

import app.yellowtab.facts.SheetState;

/**
 * Finds sheets that are surely blank, whatever dirt is on them: dust, the holes of a punch, the shadows of a staple and of the
 * edges, what shines through from the other side, a line that the scanner draws. Anything else, however faint and small, makes a
 * page.
 */
public final class Blankness {
    /** What is paler is the other side shining through, or the paper's own grain. */
    private static final int FAINT = 28;
    /** Dust is no larger than this, in millimetres. */
    private static final double DUST_MM = 0.9;
    private static final double SHADOW_MM = 4;
    /** What is left of shadows of the edges and of staples lies within this of the edge. */
    private static final double EDGE_MM = 7;
    /** Holes of a punch lie within this of the edge; they are round and as large as this at most. */
    private static final double HOLES_MM = 20;
    private static final double LEAST_HOLE_MM = 3;
    private static final double MOST_HOLE_MM = 8;
    private static final double ROUND = 0.75;
    private static final double FILLED = 0.6;
    /** A line of the scanner runs over so much of the page and is thinner than dust. */
    private static final double LINE_SHARE = 0.6;
    /** More dust than this may be print that is falling to pieces. */
    private static final int MOST_DUST = 900;

    private static final double TENTHS = 10;

    private Blankness() {}

    /**
     * {@return how long all marks on a sheet are together that may be more than dirt, in millimetres; 0 where it is surely blank}
     */
    public static double markMm(Ink ink) {
        int dust = 0;
        double mark = 0;
        for (int[] spot : ink.spots(within(ink, ink.darkerBy(FAINT)))) {
            // From the middle of its outermost dots: a speck touches one more dot than it covers.
            double wide = (spot[2] - spot[0]) / ink.dotsAMm;
            double high = (spot[3] - spot[1]) / ink.dotsAMm;
            if (isAtEdge(ink, spot) || isHole(ink, spot, wide, high) || isLine(ink, wide, high)) continue;
            if (wide > DUST_MM || high > DUST_MM || ++dust > MOST_DUST) mark += Math.max(wide, high);
        }
        return Math.min(SheetState.MOST_MARK_MM, Math.round(mark * TENTHS) / TENTHS);
    }

    /** {@return the dots that lie in from the edges: along them a shadow may run around the whole page} */
    private static boolean[] within(Ink ink, boolean[] dark) {
        int edge = (int) Math.round(SHADOW_MM * ink.dotsAMm);
        for (int y = 0; y < ink.height; y++) {
            for (int x = 0; x < ink.width; x++)
                if (x < edge || y < edge || x >= ink.width - edge || y >= ink.height - edge) dark[y * ink.width + x] = false;
        }
        return dark;
    }

    private static boolean isAtEdge(Ink ink, int[] spot) {
        double edge = EDGE_MM * ink.dotsAMm;
        return spot[2] < edge || spot[3] < edge || spot[0] > ink.width - edge || spot[1] > ink.height - edge;
    }

    private static boolean isHole(Ink ink, int[] spot, double wide, double high) {
        double near = HOLES_MM * ink.dotsAMm;
        boolean isNear = spot[2] < near || spot[0] > ink.width - near || spot[3] < near || spot[1] > ink.height - near;
        boolean isRound = Math.min(wide, high) >= ROUND * Math.max(wide, high)
                && spot[4] >= FILLED * (spot[2] - spot[0] + 1) * (spot[3] - spot[1] + 1);
        return isNear && isRound && Math.max(wide, high) <= MOST_HOLE_MM && Math.min(wide, high) >= LEAST_HOLE_MM;
    }

    private static boolean isLine(Ink ink, double wide, double high) {
        return wide <= DUST_MM && high >= LINE_SHARE * ink.height / ink.dotsAMm
                || high <= DUST_MM && wide >= LINE_SHARE * ink.width / ink.dotsAMm;
    }
}
