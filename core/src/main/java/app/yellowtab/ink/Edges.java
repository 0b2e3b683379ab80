package app.yellowtab.ink;

import app.yellowtab.facts.SheetState.DarkEdges;
import java.util.Arrays;
import java.util.List;

/** Finds the dark edges of a sheet: the shadow of its border, or what lay around it on the glass. */
public final class Edges {
    private static final int DARK = 40;
    /** Edges begin within this of the picture's own, and have no gaps wider than this, in millimetres. */
    private static final double NEAR_MM = 1;
    private static final double GAP_MM = 0.5;
    /** So far in, an edge is seen; and over so large a part of the side. */
    private static final double LEAST_MM = 0.8;
    private static final double LEAST_SHARE = 0.3;
    /** A sheet that lies askew leaves wedges; what is darker still is a picture that fills the page. */
    private static final double MOST_MM = 25;
    private static final double MOST = 0.97;
    private static final double LEAST_BETWEEN = 0.6;
    /** What is larger and does not touch an edge is on the page, and stays, with so much around it. */
    private static final double DUST_MM = 0.9;
    private static final double ROOM_MM = 0.6;
    private static final int LEFT = 0;
    private static final int TOP = 1;
    private static final int RIGHT = 2;
    private static final int BOTTOM = 3;

    private final Ink ink;
    private final boolean[] dark;
    /** How far in each edge reaches, in dots. */
    private final int[] reach = new int[4];

    private Edges(Ink ink) {
        this.ink = ink;
        dark = ink.darkerBy(DARK);
    }

    /**
     * {@return the dark edges of a page as it came}
     *
     * @param words left, top, right and bottom of each, as shares of the page as it came
     */
    public static DarkEdges of(Ink ink, List<double[]> words) {
        Edges edges = new Edges(ink);
        // A dark edge crosses those beside it, so that each is measured between the others.
        for (int round = 0; round < 2; round++)
            for (int side = LEFT; side <= BOTTOM; side++) edges.reach[side] = edges.measured(side);
        if (Arrays.stream(edges.reach).allMatch(reach -> reach == 0)) return DarkEdges.NONE;
        edges.keepOff(words);
        return new DarkEdges(edges.mm(LEFT), edges.mm(TOP), edges.mm(RIGHT), edges.mm(BOTTOM));
    }

    private double mm(int side) {
        double mm = Math.floor(reach[side] / ink.dotsAMm * 10) / 10;
        return mm < LEAST_MM ? 0 : mm;
    }

    /** {@return how far an edge reaches in, in dots} */
    private int measured(int side) {
        boolean upright = side == LEFT || side == RIGHT;
        int from = reach[upright ? TOP : LEFT];
        int to = (upright ? ink.height : ink.width) - reach[upright ? BOTTOM : RIGHT];
        int deep = upright ? ink.width : ink.height;
        int[] runs = new int[Math.max(0, to - from)];
        for (int i = 0; i < runs.length; i++) runs[i] = run(side, from + i, deep);
        Arrays.sort(runs);
        // What is dark along its whole length is an edge beside this one.
        int its = (int) Arrays.stream(runs).filter(run -> run < deep / 2).count();
        if (its == 0 || its < LEAST_BETWEEN * runs.length) return 0;
        boolean seen = runs[(int) ((its - 1) * (1 - LEAST_SHARE))] >= LEAST_MM * ink.dotsAMm;
        int most = runs[(int) ((its - 1) * MOST)];
        return seen && most <= MOST_MM * ink.dotsAMm ? Math.min(deep / 4, most + 1) : 0;
    }

    /** {@return how far it is dark from an edge on, along a row or column} */
    private int run(int side, int at, int deep) {
        int end = 0;
        for (int in = 0; in < deep; in++) {
            int x = side == LEFT ? in : side == RIGHT ? ink.width - 1 - in : at;
            int y = side == TOP ? in : side == BOTTOM ? ink.height - 1 - in : at;
            if (dark[y * ink.width + x]) end = in + 1;
            else if (in + 1 - end > (end == 0 ? NEAR_MM : GAP_MM) * ink.dotsAMm) break;
        }
        return end;
    }

    /** Draws edges back from all that is on the page. */
    private void keepOff(List<double[]> words) {
        double near = NEAR_MM * ink.dotsAMm;
        int room = (int) Math.ceil(ROOM_MM * ink.dotsAMm);
        for (int[] spot : ink.spots(dark.clone())) {
            boolean atEdge = spot[0] < near || spot[1] < near || spot[2] > ink.width - near || spot[3] > ink.height - near;
            if (!atEdge && Math.max(spot[2] - spot[0], spot[3] - spot[1]) > DUST_MM * ink.dotsAMm)
                keepOff(spot[0] - room, spot[1] - room, spot[2] + room, spot[3] + room);
        }
        for (double[] word : words) keepOff((int) (word[LEFT] * ink.width) - room, (int) (word[TOP] * ink.height) - room,
                (int) (word[RIGHT] * ink.width) + room, (int) (word[BOTTOM] * ink.height) + room);
    }

    /** Of the edges that a thing lies in, that is drawn back which loses least by it. */
    private void keepOff(int left, int top, int right, int bottom) {
        int[] now = {reach[LEFT] - left, reach[TOP] - top, right - (ink.width - 1 - reach[RIGHT]),
                bottom - (ink.height - 1 - reach[BOTTOM])};
        for (int side = LEFT; side <= BOTTOM; side++)
            if (reach[side] > 0 && now[side] > 0) reach[side] = Math.max(0, reach[side] - now[side]);
    }
}
