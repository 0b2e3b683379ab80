package app.yellowtab.mark;

import java.util.Objects;

/**
 * Where a mark stands on what a reader sees of a page.
 *
 * @param across how far from the nearer side, in millimetres; without meaning in the middle
 * @param down   how far from the nearer edge, at the head or the foot, in millimetres; without meaning half-way
 */
public record Spot(Row row, Column column, double across, double down) {
    /** At the foot on the right, where a thumb turns the page: where bundle numbers stand unless the user decides otherwise. */
    public static final Spot STANDARD = new Spot(Row.FOOT, Column.RIGHT, 10, 10);

    /** At the head in the middle, where lines stand unless the user decides otherwise. */
    public static final Spot LINE = new Spot(Row.HEAD, Column.MIDDLE, 10, 10);

    /** At the foot on the left, where other numbers stand unless the user decides otherwise. */
    public static final Spot OPPOSITE = new Spot(Row.FOOT, Column.LEFT, 10, 10);

    /** Head, half-way down, foot. */
    public enum Row { HEAD, MIDDLE, FOOT }

    /** Left, middle, right. */
    public enum Column { LEFT, MIDDLE, RIGHT }

    /** {@return the same place on the other side of the page} */
    public Spot mirrored() {
        return switch (column) {
            case LEFT -> new Spot(row, Column.RIGHT, across, down);
            case MIDDLE -> this;
            case RIGHT -> new Spot(row, Column.LEFT, across, down);
        };
    }

    public Spot {
        Objects.requireNonNull(row, "row");
        Objects.requireNonNull(column, "column");
        if (!(across >= 0 && down >= 0)) throw new IllegalArgumentException(
                "a mark must stand on the page, got " + across + " mm and " + down + " mm from its edges");
    }
}
