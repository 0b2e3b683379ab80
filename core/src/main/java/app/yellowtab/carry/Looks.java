package app.yellowtab.carry;

import app.yellowtab.model.page.LookedPage;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.output.MadeStream;
import app.yellowtab.pdf.PageFrame;
import java.awt.geom.AffineTransform;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.util.List;
import java.util.Locale;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNumber;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.util.Matrix;

/**
 * Carries looks out. A page that is only turned and cropped keeps its coordinates: its turn and its visible box say it all. Any
 * other is put on a sheet of its own, and its content, its annotations and what leads to it take the same matrix.
 */
final class Looks {
    private static final List<COSName> OTHER_BOXES = List.of(COSName.BLEED_BOX, COSName.TRIM_BOX, COSName.ART_BOX);
    /** Arrays of points of annotations (ISO 32000-1:2008, 12.5.6). */
    private static final List<COSName> POINTS = List.of(COSName.QUADPOINTS, COSName.VERTICES, COSName.L, COSName.getPDFName("CL"),
            COSName.getPDFName("InkList"), COSName.PATH);

    private Looks() {}

    /**
     * A look carried out.
     *
     * @param setUp what is to stand before the content, within a saved state; empty for nothing
     * @param onto  takes the page's coordinates as it came to those it has now
     */
    record Done(String setUp, AffineTransform onto) {}

    /** @param page a copy of a page's dictionary, with its own boxes and its turn, which are changed */
    static Done carryOut(PageLook look, COSDictionary page) {
        if (look.isPlain()) return new Done("", new AffineTransform());
        PageFrame frame = PageFrame.of(new PDPage(page));
        if (LookedPage.keepsItsCoordinates(look)) {
            look.crop()
                    .map(area -> LookedPage.asCame(area, frame.heightPt())
                            .createIntersection(new Rectangle2D.Double(0, 0, frame.widthPt(), frame.heightPt())))
                    .filter(seen -> seen.getWidth() > 0 && seen.getHeight() > 0)
                    .ifPresent(seen -> page.setItem(COSName.CROP_BOX,
                            box(frame.fromReader().createAffineTransform().createTransformedShape(seen).getBounds2D())));
            if (look.turns() != 0) page.setInt(COSName.ROTATE, (frame.rotation() + 90 * look.turns()) % 360);
            return new Done("", new AffineTransform());
        }
        LookedPage looked = LookedPage.of(frame.widthPt(), frame.heightPt(), look);
        AffineTransform onto = LookedPage.onto(frame.shape(), look);
        PDRectangle visible = frame.visible();
        String setUp = clip(looked.shown()) + operands(onto) + " cm\n"
                + clip(new Rectangle2D.Double(visible.getLowerLeftX(), visible.getLowerLeftY(), visible.getWidth(),
                        visible.getHeight()));
        OTHER_BOXES.forEach(page::removeItem);
        page.removeItem(COSName.ROTATE);
        page.removeItem(COSName.getPDFName("UserUnit"));
        for (COSName name : List.of(COSName.MEDIA_BOX, COSName.CROP_BOX))
            page.setItem(name, box(new Rectangle2D.Double(0, 0, looked.widthPt(), looked.heightPt())));
        return new Done(setUp, onto);
    }

    private static String clip(Rectangle2D part) {
        return number(part.getX()) + " " + number(part.getY()) + " " + number(part.getWidth()) + " " + number(part.getHeight())
                + " re W n\n";
    }

    private static String operands(AffineTransform at) {
        return number(at.getScaleX()) + " " + number(at.getShearY()) + " " + number(at.getShearX()) + " " + number(at.getScaleY())
                + " " + number(at.getTranslateX()) + " " + number(at.getTranslateY());
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%.6f", value);
    }

    private static COSArray box(Rectangle2D area) {
        return numbers(area.getMinX(), area.getMinY(), area.getMaxX(), area.getMaxY());
    }

    private static COSArray numbers(double... values) {
        COSArray array = new COSArray();
        for (double value : values) array.add(new COSFloat((float) value));
        return array;
    }

    /** Moves annotations, which are copies of their own, to where their page's content is now. */
    static void move(COSArray annotations, AffineTransform onto) {
        for (int i = 0; !onto.isIdentity() && i < annotations.size(); i++) {
            if (annotations.getObject(i) instanceof COSDictionary annotation) move(annotation, onto);
        }
    }

    private static void move(COSDictionary annotation, AffineTransform onto) {
        if (annotation.getCOSArray(COSName.RECT) instanceof COSArray sides && sides.size() >= 4) {
            PDRectangle place = new PDRectangle(sides);
            Rectangle2D now = onto.createTransformedShape(
                    new Rectangle2D.Double(place.getLowerLeftX(), place.getLowerLeftY(), place.getWidth(), place.getHeight()))
                    .getBounds2D();
            annotation.setItem(COSName.RECT, box(now));
        }
        for (COSName name : POINTS) {
            if (annotation.getCOSArray(name) instanceof COSArray points) annotation.setItem(name, moved(points, onto));
        }
        if (!(annotation.getCOSDictionary(COSName.AP) instanceof COSDictionary appearances)) return;
        COSDictionary turned = new COSDictionary();
        for (COSName kind : appearances.keySet()) {
            COSBase appearance = appearances.getDictionaryObject(kind);
            if (appearance instanceof COSStream form) {
                turned.setItem(kind, turned(form, onto));
            } else if (appearance instanceof COSDictionary states) {
                COSDictionary each = new COSDictionary();
                for (COSName state : states.keySet())
                    if (states.getDictionaryObject(state) instanceof COSStream form) each.setItem(state, turned(form, onto));
                turned.setItem(kind, each);
            }
        }
        annotation.setItem(COSName.AP, turned);
    }

    private static COSArray moved(COSArray points, AffineTransform onto) {
        COSArray moved = new COSArray();
        for (int i = 0; i < points.size(); i++) {
            if (points.getObject(i) instanceof COSArray inner) {
                moved.add(moved(inner, onto));
            } else if (i + 1 < points.size() && points.getObject(i) instanceof COSNumber x
                    && points.getObject(i + 1) instanceof COSNumber y) {
                        Point2D now = onto.transform(new Point2D.Double(x.floatValue(), y.floatValue()), null);
                        moved.add(new COSFloat((float) now.getX()));
                        moved.add(new COSFloat((float) now.getY()));
                        i++;
                    }
        }
        return moved;
    }

    /**
     * {@return an appearance that draws another one, turned as its page is; a viewer fits it into the annotation's place (12.5.5,
     * algorithm 8.1)}
     */
    private static COSStream turned(COSStream form, AffineTransform onto) {
        COSArray box = form.getCOSArray(COSName.BBOX);
        if (box == null || box.size() < 4) return form;
        Rectangle2D drawn = Matrix.createMatrix(form.getDictionaryObject(COSName.MATRIX)).createAffineTransform()
                .createTransformedShape(new PDRectangle(box).toGeneralPath()).getBounds2D();
        form.setItem(COSName.TYPE, COSName.XOBJECT);
        form.setItem(COSName.SUBTYPE, COSName.FORM);
        COSDictionary drawing = new COSDictionary();
        drawing.setItem(COSName.getPDFName("A"), form);
        COSDictionary resources = new COSDictionary();
        resources.setItem(COSName.XOBJECT, drawing);
        COSStream outer = new MadeStream("/A Do");
        outer.setItem(COSName.TYPE, COSName.XOBJECT);
        outer.setItem(COSName.SUBTYPE, COSName.FORM);
        outer.setItem(COSName.BBOX, box(drawn));
        outer.setItem(COSName.MATRIX, numbers(onto.getScaleX(), onto.getShearY(), onto.getShearX(), onto.getScaleY(), 0, 0));
        outer.setItem(COSName.RESOURCES, resources);
        return outer;
    }
}
