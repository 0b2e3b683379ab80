package app.yellowtab.pdf;

import app.yellowtab.facts.PageShape;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.util.Matrix;

/**
 * A page as its reader sees it: its visible part (the crop box, ISO 32000-1:2008, 14.11.2), after the page's turn and at
 * its real size. In the reader's coordinates (0, 0) is the lower left corner of what is seen, x runs to the right, y up.
 */
public record PageFrame(PDRectangle visible, int rotation, float userUnit) {

    /** {@return the frame of a page; the crop box is cut to the media box, an absurd turn counts as none} */
    public static PageFrame of(PDPage page) {
        float unit = page.getCOSObject().getFloat("UserUnit", 1);
        return new PageFrame(page.getCropBox(), Math.floorMod(page.getRotation(), 360), unit > 0 ? unit : 1);
    }

    /** {@return the width that the reader sees, in points} */
    public float widthPt() {
        return (isSideways() ? visible.getHeight() : visible.getWidth()) * userUnit;
    }

    /** {@return the height that the reader sees, in points} */
    public float heightPt() {
        return (isSideways() ? visible.getWidth() : visible.getHeight()) * userUnit;
    }

    /** {@return the matrix that takes the reader's coordinates, in points, to the page's own} */
    public Matrix fromReader() {
        float s = 1 / userUnit;
        float left = visible.getLowerLeftX();
        float bottom = visible.getLowerLeftY();
        float right = visible.getUpperRightX();
        float top = visible.getUpperRightY();
        return switch (rotation) {
            case 90 -> new Matrix(0, s, -s, 0, right, bottom);
            case 180 -> new Matrix(-s, 0, 0, -s, right, top);
            case 270 -> new Matrix(0, -s, s, 0, left, top);
            default -> new Matrix(s, 0, 0, s, left, bottom);
        };
    }

    /** {@return the shape of the page; without any extent, that of the sheet that is produced in its place, A4} */
    public PageShape shape() {
        boolean flat = !(visible.getWidth() > 0 && visible.getHeight() > 0);
        int turn = rotation % 90 == 0 ? rotation : 0;
        return flat ? PageShape.A4 : new PageShape(visible.getLowerLeftX(), visible.getLowerLeftY(), visible.getWidth(),
                visible.getHeight(), turn, userUnit);
    }

    private boolean isSideways() {
        return rotation == 90 || rotation == 270;
    }
}
