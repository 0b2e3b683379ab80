package app.yellowtab.stamp;

import app.yellowtab.pdf.FontSet;
import app.yellowtab.pdf.PageFrame;
import app.yellowtab.pdf.Typeface;
import app.yellowtab.pdf.Units;
import java.io.IOException;
import java.util.HexFormat;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.util.Matrix;

/**
 * Sets bundle numbers at the bottom right of what a reader sees of a page, upright, in an embedded font.
 * Safe to share between threads once it is made.
 */
public final class NumberStamp {
    public static final Typeface FACE = Typeface.SANS_BOLD;
    /** From the number to the right and to the bottom edge; the distance that issue "First light" asks for. */
    static final float MARGIN_PT = Units.mm(10);
    /** Chosen by us: larger than body text, so that it is found first when a number is called out. */
    static final float SIZE_PT = 13;

    private final String[] digits = new String[10];

    /** @param fonts of the bundle, in which all ten digits are used from now on */
    public NumberStamp(FontSet fonts) throws IOException {
        PDFont font = fonts.get(FACE);
        for (int digit = 0; digit < 10; digit++) {
            digits[digit] = HexFormat.of().formatHex(font.encode(String.valueOf(digit)));
            font.addToSubset('0' + digit);
        }
    }

    /**
     * Where a number stands: its left end on the base line, in the reader's coordinates (points from the lower left corner
     * of what is seen), and its size.
     */
    public record Place(float x, float y, float sizePt) {
        /** {@return the place of a number on a page; on very small pages everything shrinks to fit} */
        static Place of(int number, PageFrame frame) {
            float widthPerPoint = FACE.width(String.valueOf(number), 1);
            float margin = Math.min(MARGIN_PT, Math.min(frame.widthPt(), frame.heightPt()) / 8);
            float room = frame.widthPt() - 2 * margin;
            float size = Math.min(SIZE_PT, Math.min(room / widthPerPoint, frame.heightPt() / 3));
            return new Place(rounded(frame.widthPt() - margin - widthPerPoint * size), rounded(margin), rounded(size));
        }
    }

    /**
     * A number set.
     *
     * @param operators what is to stand at the end of the page's content, outside of any saved state
     */
    public record Stamp(Place place, String operators) {}

    /**
     * Sets a number, marked as pagination (ISO 32000-1:2008, 14.8.2.2).
     *
     * @param fontName the name of the font {@link #FACE} in the page's resources
     */
    public Stamp set(int number, PageFrame frame, String fontName) {
        Place place = Place.of(number, frame);
        Matrix at = Matrix.concatenate(frame.fromReader(), Matrix.getTranslateInstance(place.x, place.y));
        StringBuilder glyphs = new StringBuilder();
        for (char digit : String.valueOf(number).toCharArray()) glyphs.append(digits[digit - '0']);
        return new Stamp(place, "/Artifact<</Type/Pagination/Subtype/Footer>>BDC\nBT\n0 g\n0 Tr\n/" + fontName + " " + plain(place.sizePt) + " Tf\n"
                + plain(at.getScaleX()) + " " + plain(at.getShearY()) + " " + plain(at.getShearX()) + " " + plain(at.getScaleY()) + " "
                + plain(at.getTranslateX()) + " " + plain(at.getTranslateY()) + " Tm\n<" + glyphs + "> Tj\nET\nEMC\n");
    }

    /** Four places behind the point are far finer than any printer. */
    private static float rounded(float value) {
        return Math.round(value * 1e4) / 1e4f;
    }

    private static String plain(float value) {
        long tenThousandths = Math.round(value * 1e4);
        String whole = (tenThousandths < 0 ? "-" : "") + Math.abs(tenThousandths) / 10_000;
        long rest = Math.abs(tenThousandths) % 10_000;
        if (rest == 0) return whole;
        String digits = String.valueOf(10_000 + rest);
        int end = digits.length();
        while (digits.charAt(end - 1) == '0') end--;
        return whole + "." + digits.substring(1, end);
    }
}
