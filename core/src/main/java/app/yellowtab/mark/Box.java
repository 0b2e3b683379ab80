package app.yellowtab.mark;

/** A part of a leaf, in the reader's coordinates: points from the lower left corner of what is seen of it. */
public record Box(float left, float bottom, float width, float height) {
    public float right() {
        return left + width;
    }

    public float top() {
        return bottom + height;
    }

    /** {@return whether the two have any point in common, not only an edge} */
    public boolean meets(Box other) {
        return left < other.right() && other.left < right() && bottom < other.top() && other.bottom < top();
    }

    /** {@return the box that reaches further on all sides, by so many points} */
    public Box grown(float by) {
        return new Box(left - by, bottom - by, width + 2 * by, height + 2 * by);
    }
}
