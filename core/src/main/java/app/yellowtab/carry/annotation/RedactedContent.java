package app.yellowtab.carry.annotation;

import app.yellowtab.model.page.LookedPage;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.pdf.GlyphOutlines;
import app.yellowtab.pdf.PageFrame;
import app.yellowtab.pdf.Typeface;
import java.awt.geom.AffineTransform;
import java.awt.geom.Rectangle2D;
import java.util.List;
import java.util.Locale;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/**
 * What stands on a page from which areas were taken out: its picture, and the reasons that are printed in the areas, drawn as
 * outlines.
 */
public final class RedactedContent {
    /** Large enough to be read on paper; chosen by us. */
    private static final float LARGEST_PT = 9;
    /** What does not fit at this size is left out: the schedule has it. */
    private static final float SMALLEST_PT = 4;
    private static final float PADDING_PT = 2;
    /** Of our typefaces, in em: how high capitals are, and how much of an area's height letters may take. */
    private static final float CAPITALS = 0.67f;
    private static final float SHARE = 0.8f;

    private RedactedContent() {}

    /** {@return areas in a page's own coordinates} */
    public static List<Rectangle2D> areas(List<Redaction> redactions, PageFrame frame) {
        AffineTransform own = frame.fromReader().createAffineTransform();
        return redactions.stream()
                .map(one -> own.createTransformedShape(LookedPage.asCame(one.area(), frame.heightPt())).getBounds2D()).toList();
    }

    /** {@return whether an annotation touches an area; one that says nowhere where it stands may} */
    public static boolean touches(COSDictionary annotation, List<Rectangle2D> areas) {
        if (areas.isEmpty()) return false;
        COSArray sides = annotation.getCOSArray(COSName.RECT);
        if (sides == null || sides.size() < 4) return true;
        PDRectangle place = new PDRectangle(sides);
        return areas.stream().anyMatch(area -> place.getLowerLeftX() <= area.getMaxX() && area.getMinX() <= place.getUpperRightX()
                && place.getLowerLeftY() <= area.getMaxY() && area.getMinY() <= place.getUpperRightY());
    }

    /**
     * {@return the operators that draw a page's picture, and the reasons over it}
     *
     * @param frame   what is seen of the page as it came
     * @param picture its name among the page's resources
     */
    public static String operators(PageLook look, PageFrame frame, String picture) {
        StringBuilder all = new StringBuilder("q\n");
        append(all, frame.fromReader().createAffineTransform()).append(" cm\n");
        all.append(String.format(Locale.ROOT, "q %.4f 0 0 %.4f 0 0 cm /%s Do Q\n", frame.widthPt(), frame.heightPt(), picture));
        for (Redaction redaction : look.redactions())
            if (!redaction.printedWords().isEmpty()) reason(all, redaction, frame, look.turns());
        return all.append("Q").toString();
    }

    /** Draws a reason in white in the middle of its area, upright to who reads the page as it is turned. */
    private static void reason(StringBuilder all, Redaction redaction, PageFrame frame, int turns) {
        Rectangle2D area = LookedPage.asCame(redaction.area(), frame.heightPt())
                .createIntersection(new Rectangle2D.Double(0, 0, frame.widthPt(), frame.heightPt()));
        double wide = turns % 2 == 0 ? area.getWidth() : area.getHeight();
        double high = turns % 2 == 0 ? area.getHeight() : area.getWidth();
        String words = Typeface.SANS.showable(redaction.printedWords());
        double size = Math.min(LARGEST_PT, Math.min(high * SHARE, (wide - 2 * PADDING_PT) / Typeface.SANS.width(words, 1)));
        if (!(size >= SMALLEST_PT)) return;
        AffineTransform at = AffineTransform.getTranslateInstance(area.getCenterX(), area.getCenterY());
        at.quadrantRotate(turns);
        at.translate(-Typeface.SANS.width(words, (float) size) / 2, -CAPITALS * size / 2);
        at.scale(size, size);
        all.append("q\n1 g\n");
        append(all, at).append(" cm\n").append(GlyphOutlines.of(Typeface.SANS).operators(words)).append("f\nQ\n");
    }

    private static StringBuilder append(StringBuilder all, AffineTransform at) {
        return all.append(String.format(Locale.ROOT, "%.6f %.6f %.6f %.6f %.6f %.6f", at.getScaleX(), at.getShearY(),
                at.getShearX(), at.getScaleY(), at.getTranslateX(), at.getTranslateY()));
    }
}
