package app.yellowtab.mark;

import app.yellowtab.pdf.FontSet;
import app.yellowtab.pdf.PageFrame;
import app.yellowtab.pdf.Typeface;
import app.yellowtab.pdf.Units;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.util.Matrix;

/**
 * Sets marks upright to the reader, inside what is seen of a page, in embedded fonts. All letters that may come are taken up
 * when it is made, so that it is safe to share between threads afterwards.
 */
public final class MarkSetter {
    /** Opens each mark in the content (ISO 32000-1:2008, 14.8.2.2); a proof finds marks by it. */
    public static final String TAG = "/Artifact<</Type/Pagination/Subtype/Footer>>BDC";

    /** For pages that have no marks. */
    public static final MarkSetter NONE = new MarkSetter();

    private final Map<Typeface, Map<Integer, String>> codes = new HashMap<>();

    private MarkSetter() {}

    /**
     * @param fonts   of the bundle, in which all these letters are used from now on
     * @param letters that marks may be made of, by typeface
     */
    public MarkSetter(FontSet fonts, Map<Typeface, Set<Integer>> letters) throws IOException {
        for (var face : letters.entrySet()) {
            PDFont font = fonts.get(face.getKey());
            Map<Integer, String> encoded = new HashMap<>();
            for (int letter : face.getValue()) {
                encoded.put(letter, HexFormat.of().formatHex(font.encode(Character.toString(letter))));
                font.addToSubset(letter);
            }
            codes.put(face.getKey(), encoded);
        }
    }

    /**
     * A mark set: its left end on the base line, in the reader's coordinates (points from the lower left corner of what is
     * seen), its size and its width.
     */
    public record Placed(Mark mark, float x, float y, float sizePt, float widthPt) {
        /**
         * {@return the place of a mark on a page; on very small pages everything shrinks to fit}
         *
         * @param pageWidthPt  what is seen of the page, in points
         * @param pageHeightPt what is seen of the page, in points
         */
        public static Placed of(Mark mark, float pageWidthPt, float pageHeightPt) {
            float widthPerPoint = mark.look().face().width(mark.words(), 1);
            float most = Math.min(pageWidthPt, pageHeightPt) / 8;
            float across = Math.min(Units.mm((float) mark.spot().across()), most);
            float down = Math.min(Units.mm((float) mark.spot().down()), most);
            float size = Math.min(mark.look().sizePt(), Math.min((pageWidthPt - 2 * across) / widthPerPoint, pageHeightPt / 3));
            float width = widthPerPoint * size;
            float x = switch (mark.spot().column()) {
                case LEFT -> across;
                case MIDDLE -> (pageWidthPt - width) / 2;
                case RIGHT -> pageWidthPt - across - width;
            };
            float y = switch (mark.spot().row()) {
                case HEAD -> pageHeightPt - down - size * HEIGHT_OF_FIGURES;
                case MIDDLE -> (pageHeightPt - size * HEIGHT_OF_FIGURES) / 2;
                case FOOT -> down;
            };
            return new Placed(mark, rounded(x), rounded(y), rounded(size), rounded(width));
        }

        /** Of our typefaces, in em. */
        private static final float HEIGHT_OF_FIGURES = 0.67f;

        /** How far a white ground reaches beyond the figures, in em. */
        private static final float GROUND = 0.25f;

        /** {@return the white ground that it may stand on: left, bottom, width and height, in the reader's coordinates} */
        public float[] groundPt() {
            float reach = rounded(GROUND * sizePt);
            return new float[] {x - reach, y - reach, widthPt + 2 * reach, heightPt() + 2 * reach};
        }

        /** {@return where it is printed: left, bottom, width and height, in the reader's coordinates} */
        public float[] inkPt() {
            return new float[] {x, y, widthPt, heightPt()};
        }

        /** {@return how high its figures stand above the base line, in points} */
        public float heightPt() {
            return sizePt * HEIGHT_OF_FIGURES;
        }
    }

    /**
     * Marks set.
     *
     * @param operators what is to stand at the end of the page's content, outside of any saved state; empty without marks
     */
    public record Stamp(List<Placed> placed, String operators) {}

    /**
     * Sets marks, each tagged as pagination.
     *
     * @param fontName gives the name of a typeface's font in the page's resources
     */
    public Stamp set(List<Mark> marks, PageFrame frame, Function<Typeface, String> fontName) {
        List<Placed> placed = new ArrayList<>(marks.size());
        StringBuilder operators = new StringBuilder();
        for (Mark mark : marks) {
            Placed place = Placed.of(mark, frame.widthPt(), frame.heightPt());
            placed.add(place);
            Matrix at = Matrix.concatenate(frame.fromReader(), Matrix.getTranslateInstance(place.x, place.y));
            operators.append(TAG).append('\n');
            if (mark.look().ground()) ground(operators, place, frame);
            operators.append("BT\n0 g\n0 Tr\n/").append(fontName.apply(mark.look().face())).append(' ').append(plain(place.sizePt)).append(" Tf\n")
                    .append(plain(at.getScaleX())).append(' ').append(plain(at.getShearY())).append(' ').append(plain(at.getShearX())).append(' ').append(plain(at.getScaleY())).append(' ')
                    .append(plain(at.getTranslateX())).append(' ').append(plain(at.getTranslateY())).append(" Tm\n<");
            Map<Integer, String> known = Objects.requireNonNull(codes.get(mark.look().face()), "no letters were given of this typeface");
            mark.words().codePoints().forEach(letter -> operators.append(Objects.requireNonNull(known.get(letter), "a letter that was not given")));
            operators.append("> Tj\nET\nEMC\n");
        }
        return new Stamp(placed, operators.toString());
    }

    private static void ground(StringBuilder operators, Placed place, PageFrame frame) {
        Matrix to = frame.fromReader();
        float[] box = place.groundPt();
        operators.append("q\n1 g\n").append(plain(to.getScaleX())).append(' ').append(plain(to.getShearY())).append(' ').append(plain(to.getShearX())).append(' ').append(plain(to.getScaleY())).append(' ')
                .append(plain(to.getTranslateX())).append(' ').append(plain(to.getTranslateY())).append(" cm\n");
        for (float side : box) operators.append(plain(side)).append(' ');
        operators.append("re f\nQ\n");
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
