package app.yellowtab.convert.page;

import java.awt.BasicStroke;
import java.awt.Graphics2D;
import java.awt.Shape;
import java.awt.geom.Rectangle2D;
import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import org.apache.poi.xslf.util.DummyGraphics2d;

/**
 * Draws like another, but draws a line through where its dashes are so many that drawing them would not end: a metafile of a
 * few bytes can ask for dashes of a millionth of a dot along a line of a mile.
 */
final class DashBound extends DummyGraphics2d {
    /** More cannot be told apart in any picture. */
    private static final double MOST_DASHES = 100_000;

    private final Graphics2D real;

    DashBound(Graphics2D real) {
        super(new PrintStream(OutputStream.nullOutputStream(), false, StandardCharsets.US_ASCII), real);
        this.real = real;
    }

    @Override
    public void draw(Shape shape) {
        if (real.getStroke() instanceof BasicStroke stroke && stroke.getDashArray() != null
                && dashes(shape, stroke) > MOST_DASHES) {
            real.setStroke(
                    new BasicStroke(stroke.getLineWidth(), stroke.getEndCap(), stroke.getLineJoin(), stroke.getMiterLimit()));
            real.draw(shape);
            real.setStroke(stroke);
        } else {
            real.draw(shape);
        }
    }

    @Override
    public void fill(Shape shape) {
        real.fill(shape);
    }

    /** {@return about how many dashes a shape takes, going round what it lies in once for each of a few turns} */
    private static double dashes(Shape shape, BasicStroke stroke) {
        double period = 0;
        for (float part : stroke.getDashArray()) period += part;
        Rectangle2D around = shape.getBounds2D();
        int parts = 0;
        for (var path = shape.getPathIterator(null); !path.isDone() && parts < MOST_DASHES; path.next()) parts++;
        return (around.getWidth() + around.getHeight()) * Math.max(2, parts) / Math.max(period, 1e-9);
    }
}
