package app.yellowtab.mark;

import java.util.Objects;
import org.apache.pdfbox.util.Matrix;

/**
 * A mark where it stands. Its box is that of its words before they are turned about their middle: from their left end on the base
 * line to their right end at the height of figures.
 *
 * @param mark with its words as they are set: those of a line may have been cut
 * @param cut  whether they were
 */
public record Placed(Mark mark, Box box, float sizePt, boolean cut) {
    /** How far a ground reaches beyond the figures, in em. */
    private static final float GROUND = 0.25f;

    public Placed {
        Objects.requireNonNull(mark, "mark");
        Objects.requireNonNull(box, "box");
    }

    /** {@return the left end of its words on the base line, before they are turned} */
    public float x() {
        return box.left();
    }

    /** {@return the base line, before it is turned} */
    public float y() {
        return box.bottom();
    }

    /** {@return how far the ground that it may stand on reaches beyond its words, in points} */
    public float reachPt() {
        return mark.covers().isPresent() ? 0 : Math.round(GROUND * sizePt * 1e4f) / 1e4f;
    }

    /** {@return what is printed of it, within upright sides} */
    public Box inkPt() {
        return turned(box, mark.look().turn());
    }

    /** {@return what is printed of it and its ground, within upright sides} */
    public Box wholePt() {
        return mark.look().hasGround() ? turned(box.grown(reachPt()), mark.look().turn()) : inkPt();
    }

    private static Box turned(Box box, int degrees) {
        if (degrees == 0) return box;
        double sin = Math.abs(Math.sin(Math.toRadians(degrees)));
        double cos = Math.abs(Math.cos(Math.toRadians(degrees)));
        float width = (float) (box.width() * cos + box.height() * sin);
        float height = (float) (box.width() * sin + box.height() * cos);
        return new Box(box.left() + (box.width() - width) / 2, box.bottom() + (box.height() - height) / 2, width, height);
    }

    /**
     * {@return the matrix that takes what is measured from the left end of its words on the base line to the reader's
     * coordinates}
     */
    Matrix matrix() {
        int turn = mark.look().turn();
        if (turn == 0) return Matrix.getTranslateInstance(x(), y());
        Matrix to = Matrix.getTranslateInstance(x() + box.width() / 2, y() + box.height() / 2);
        to.rotate(Math.toRadians(-turn));
        to.translate(-box.width() / 2, -box.height() / 2);
        return to;
    }
}
