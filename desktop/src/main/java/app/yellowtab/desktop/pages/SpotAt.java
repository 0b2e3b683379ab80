package app.yellowtab.desktop.pages;

import app.yellowtab.facts.Length;
import app.yellowtab.mark.Placed;
import app.yellowtab.mark.Spot;

/** Which place a mark has that was dragged somewhere: the edges that it is nearest to, and how far it is from them. */
final class SpotAt {
    private static final double HALVES = 2;

    private SpotAt() {}

    /**
     * {@return the place of a mark that was moved}
     *
     * @param across how far to the right, in points
     * @param up     how far up, in points
     */
    static Spot of(Placed mark, double across, double up, double pageWidthPt, double pageHeightPt) {
        double left = mark.inkPt().left() + across;
        double bottom = mark.inkPt().bottom() + up;
        double right = left + mark.inkPt().width();
        double top = bottom + mark.inkPt().height();
        double middle = (left + right) / 2 / pageWidthPt;
        double height = (bottom + top) / 2 / pageHeightPt;
        Spot.Column column = middle < 1 / 3.0 ? Spot.Column.LEFT : middle > 2 / 3.0 ? Spot.Column.RIGHT : Spot.Column.MIDDLE;
        Spot.Row row = height < 1 / 3.0 ? Spot.Row.FOOT : height > 2 / 3.0 ? Spot.Row.HEAD : Spot.Row.MIDDLE;
        double inward = switch (column) {
            case LEFT -> left;
            case RIGHT -> pageWidthPt - right;
            case MIDDLE -> 0;
        };
        double fromEdge = switch (row) {
            case FOOT -> bottom;
            case HEAD -> pageHeightPt - top;
            case MIDDLE -> 0;
        };
        return new Spot(row, column, millimetres(inward), millimetres(fromEdge));
    }

    /** Half a millimetre is as near as a hand comes. */
    private static double millimetres(double points) {
        return Math.max(0, Math.round(points * Length.MM_PER_PT * HALVES) / HALVES);
    }
}
