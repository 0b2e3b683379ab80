package app.yellowtab.carry.annotation;

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
public record Drawing(COSStream form, AffineTransform at) {
    private static final int INVISIBLE_HIDDEN_NO_VIEW = 1 | 2 | 32;
    private static final int PRINTED = 4;
    private static final int READ_ONLY_LOCKED = 64 | 128;

    /** {@return what it shows; empty if it is hidden or has no appearance} */
    static Optional<Drawing> of(COSDictionary annotation) {
        if (!isSeen(annotation)) return Optional.empty();
        COSDictionary appearances = annotation.getCOSDictionary(COSName.AP);
        COSBase normal = appearances == null ? null : appearances.getDictionaryObject(COSName.N);
        if (normal instanceof COSDictionary states && !(normal instanceof COSStream)) {
            COSName state = annotation.getCOSName(COSName.AS);
            normal = state == null ? null : states.getDictionaryObject(state);
        }
        if (!(normal instanceof COSStream form)) return Optional.empty();
        COSArray box = form.getCOSArray(COSName.BBOX);
        if (box == null || box.size() < 4) return Optional.empty();
        form.setItem(COSName.TYPE, COSName.XOBJECT);
        form.setItem(COSName.SUBTYPE, COSName.FORM);
        PDRectangle rect = new PDRectangle(annotation.getCOSArray(COSName.RECT));
        Rectangle2D drawn = Matrix.createMatrix(form.getDictionaryObject(COSName.MATRIX)).createAffineTransform()
                .createTransformedShape(new PDRectangle(box).toGeneralPath()).getBounds2D();
        if (drawn.getWidth() <= 0 || drawn.getHeight() <= 0) return Optional.empty();
        AffineTransform at = AffineTransform.getTranslateInstance(rect.getLowerLeftX(), rect.getLowerLeftY());
        at.scale(rect.getWidth() / drawn.getWidth(), rect.getHeight() / drawn.getHeight());
        at.translate(-drawn.getX(), -drawn.getY());
        return Optional.of(new Drawing(form, at));
    }

    /** {@return whether an annotation has a place and is not hidden} */
    static boolean isSeen(COSDictionary annotation) {
        COSArray place = annotation.getCOSArray(COSName.RECT);
        return (annotation.getInt(COSName.F, 0) & INVISIBLE_HIDDEN_NO_VIEW) == 0 && place != null && place.size() >= 4;
    }

    /**
     * {@return an annotation that shows the same and does nothing, as a watermark (12.5.6.22)}
     *
     * @param like where it stands, and whether it is printed
     */
    COSDictionary asAnnotation(COSDictionary like) {
        COSDictionary appearances = new COSDictionary();
        appearances.setItem(COSName.N, form);
        COSDictionary annotation = new COSDictionary();
        annotation.setItem(COSName.TYPE, COSName.ANNOT);
        annotation.setItem(COSName.SUBTYPE, COSName.getPDFName("Watermark"));
        annotation.setItem(COSName.RECT, like.getItem(COSName.RECT));
        annotation.setInt(COSName.F, like.getInt(COSName.F, 0) & PRINTED | READ_ONLY_LOCKED);
        annotation.setItem(COSName.AP, appearances);
        return annotation;
    }

    /** {@return the operators that draw it under a name of the page's resources} */
    public String operators(String name) {
        return String.format(Locale.ROOT, "q %.5f %.5f %.5f %.5f %.5f %.5f cm /%s Do Q%n", at.getScaleX(), at.getShearY(),
                at.getShearX(),
                at.getScaleY(), at.getTranslateX(), at.getTranslateY(), name).replace("\r", "");
    }
}
