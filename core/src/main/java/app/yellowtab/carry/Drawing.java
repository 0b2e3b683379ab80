package app.yellowtab.carry;

import java.awt.geom.AffineTransform;
import java.awt.geom.Rectangle2D;
import java.util.Locale;
import java.util.Optional;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.util.Matrix;

/**
 * What an annotation shows, to be drawn as part of the page.
 *
 * @param form its normal appearance
 * @param at   where it stands, as the operand of {@code cm} (ISO 32000-1:2008, 12.5.5, algorithm 8.1)
 */
record Drawing(COSStream form, AffineTransform at) {
    private static final int INVISIBLE_HIDDEN_NO_VIEW = 1 | 2 | 32;

    /** {@return what it shows; empty if it is hidden or has no appearance} */
    static Optional<Drawing> of(COSDictionary annotation) {
        if ((annotation.getInt(COSName.F, 0) & INVISIBLE_HIDDEN_NO_VIEW) != 0) return Optional.empty();
        COSDictionary appearances = annotation.getCOSDictionary(COSName.AP);
        COSBase normal = appearances == null ? null : appearances.getDictionaryObject(COSName.N);
        if (normal instanceof COSDictionary states && !(normal instanceof COSStream)) {
            COSName state = annotation.getCOSName(COSName.AS);
            normal = state == null ? null : states.getDictionaryObject(state);
        }
        COSArray rectangle = annotation.getCOSArray(COSName.RECT);
        if (!(normal instanceof COSStream form) || rectangle == null || rectangle.size() < 4) return Optional.empty();
        COSArray box = form.getCOSArray(COSName.BBOX);
        if (box == null || box.size() < 4) return Optional.empty();
        form.setItem(COSName.TYPE, COSName.XOBJECT);
        form.setItem(COSName.SUBTYPE, COSName.FORM);
        PDRectangle rect = new PDRectangle(rectangle);
        Rectangle2D drawn = Matrix.createMatrix(form.getDictionaryObject(COSName.MATRIX)).createAffineTransform()
                .createTransformedShape(new PDRectangle(box).toGeneralPath()).getBounds2D();
        if (drawn.getWidth() <= 0 || drawn.getHeight() <= 0) return Optional.empty();
        AffineTransform at = AffineTransform.getTranslateInstance(rect.getLowerLeftX(), rect.getLowerLeftY());
        at.scale(rect.getWidth() / drawn.getWidth(), rect.getHeight() / drawn.getHeight());
        at.translate(-drawn.getX(), -drawn.getY());
        return Optional.of(new Drawing(form, at));
    }

    /** {@return the operators that draw it under a name of the page's resources} */
    String operators(String name) {
        return String.format(Locale.ROOT, "q %.5f %.5f %.5f %.5f %.5f %.5f cm /%s Do Q%n", at.getScaleX(), at.getShearY(), at.getShearX(),
                at.getScaleY(), at.getTranslateX(), at.getTranslateY(), name).replace("\r", "");
    }
}
