package app.yellowtab.model.page;

import app.yellowtab.facts.Length;
import app.yellowtab.facts.PageShape;
import java.awt.geom.AffineTransform;
import java.awt.geom.NoninvertibleTransformException;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.util.Optional;

/**
 * A page with its look: where what was seen of it as it came is seen now. All coordinates are in points from the lower left
 * corner of what is seen, x to the right, y up.
 *
 * @param widthPt  what is seen now
 * @param heightPt what is seen now
 * @param matrix   takes a point as it came to where it is now; not to be changed
 * @param shown    the part of the sheet that the page is seen in; the sheet is empty around it
 */
public record LookedPage(double widthPt, double heightPt, AffineTransform matrix, Rectangle2D shown) {

    /**
     * {@return a page of a size with a look}
     *
     * @param widthPt  what is seen of it as it came
     * @param heightPt what is seen of it as it came
     */
    public static LookedPage of(double widthPt, double heightPt, PageLook look) {
        double width = look.turns() % 2 == 0 ? widthPt : heightPt;
        double height = look.turns() % 2 == 0 ? heightPt : widthPt;
        AffineTransform matrix = turned(widthPt, heightPt, look.turns());
        matrix.preConcatenate(
                AffineTransform.getRotateInstance(Math.toRadians(-look.straightenDegrees()), width / 2, height / 2));
        Rectangle2D whole = new Rectangle2D.Double(0, 0, width, height);
        Rectangle2D visible = look.crop()
                .map(area -> matrix.createTransformedShape(asCame(area, heightPt)).getBounds2D().createIntersection(whole))
                .filter(box -> box.getWidth() > 0 && box.getHeight() > 0).orElse(whole);
        double sheetWidth = look.sheet().map(sheet -> sheet.widthMm() * Length.PT_PER_MM).orElse(visible.getWidth());
        double sheetHeight = look.sheet().map(sheet -> sheet.heightMm() * Length.PT_PER_MM).orElse(visible.getHeight());
        AffineTransform onSheet = AffineTransform.getTranslateInstance(sheetWidth / 2, sheetHeight / 2);
        onSheet.scale(look.scale(), look.scale());
        onSheet.translate(-visible.getCenterX(), -visible.getCenterY());
        matrix.preConcatenate(onSheet);
        Rectangle2D shown = onSheet.createTransformedShape(visible).getBounds2D()
                .createIntersection(new Rectangle2D.Double(0, 0, sheetWidth, sheetHeight));
        return new LookedPage(sheetWidth, sheetHeight, matrix, shown);
    }

    /**
     * {@return what must stay of a page as it came so that, turned and straightened, just an area of it is seen}
     *
     * @param widthPt  what is seen of it as it came
     * @param heightPt what is seen of it as it came
     * @param look     without a crop, on its own sheet
     * @param seen     in points from the lower left of what is seen with that look
     */
    public static Area cropTo(double widthPt, double heightPt, PageLook look, Rectangle2D seen) {
        AffineTransform back;
        try {
            back = of(widthPt, heightPt, look.withCrop(Optional.empty())).matrix().createInverse();
        } catch (NoninvertibleTransformException e) {
            throw new IllegalStateException("turns can be undone", e);
        }
        Point2D middle = back.transform(new Point2D.Double(seen.getCenterX(), seen.getCenterY()), null);
        boolean lies = look.turns() % 2 != 0;
        double wide = lies ? seen.getHeight() : seen.getWidth();
        double high = lies ? seen.getWidth() : seen.getHeight();
        // A crop that lies askew is seen in the box around it, which is larger.
        double cos = Math.cos(Math.toRadians(look.straightenDegrees()));
        double sin = Math.abs(Math.sin(Math.toRadians(look.straightenDegrees())));
        double width = (wide * cos - high * sin) / (cos * cos - sin * sin);
        double height = (high * cos - wide * sin) / (cos * cos - sin * sin);
        if (!(width > 0 && height > 0)) {
            width = wide;
            height = high;
        }
        return new Area((middle.getX() - width / 2) / Length.PT_PER_MM,
                (heightPt - middle.getY() - height / 2) / Length.PT_PER_MM,
                width / Length.PT_PER_MM, height / Length.PT_PER_MM);
    }

    /** {@return whether a page with a look has the coordinates that it came with: its turn and its visible box say it all} */
    public static boolean keepsItsCoordinates(PageLook look) {
        return look.straightenDegrees() == 0 && look.sheet().isEmpty() && look.scale() == 1;
    }

    /** {@return what takes a page's own coordinates as it came to those that it has with a look} */
    public static AffineTransform onto(PageShape shape, PageLook look) {
        if (keepsItsCoordinates(look)) return new AffineTransform();
        AffineTransform onto = new AffineTransform(of(shape.seenWidthPt(), shape.seenHeightPt(), look).matrix());
        onto.concatenate(turned(shape.widthPt() * shape.userUnit(), shape.heightPt() * shape.userUnit(), shape.turn() / 90));
        onto.scale(shape.userUnit(), shape.userUnit());
        onto.translate(-shape.leftPt(), -shape.bottomPt());
        return onto;
    }

    /** {@return where a point is now that lay somewhere as the page came} */
    public Point2D of(double x, double y) {
        return matrix.transform(new Point2D.Double(x, y), null);
    }

    /** {@return an area of the page as it came, from millimetres from above to points from below} */
    public static Rectangle2D asCame(Area area, double heightPt) {
        return new Rectangle2D.Double(area.leftMm() * Length.PT_PER_MM,
                heightPt - (area.topMm() + area.heightMm()) * Length.PT_PER_MM,
                area.widthMm() * Length.PT_PER_MM, area.heightMm() * Length.PT_PER_MM);
    }

    private static AffineTransform turned(double width, double height, int turns) {
        return switch (turns) {
            case 1 -> new AffineTransform(0, -1, 1, 0, 0, width);
            case 2 -> new AffineTransform(-1, 0, 0, -1, width, height);
            case 3 -> new AffineTransform(0, 1, -1, 0, height, 0);
            default -> new AffineTransform();
        };
    }
}
