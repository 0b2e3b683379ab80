package app.yellowtab.mark;

import app.yellowtab.pdf.Face;
import app.yellowtab.pdf.FontSet;
import app.yellowtab.pdf.PageFrame;
import java.io.IOException;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.DoubleFunction;
import java.util.function.Function;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.util.Matrix;

/**
 * Sets marks upright to the reader, unless they are turned, inside what is seen of a page, in embedded fonts. All letters that
 * may come are taken up when it is made, so that it is safe to share between threads afterwards.
 */
public final class MarkSetter {
    /** Opens each mark in the content (ISO 32000-1:2008, 14.8.2.2); a proof finds marks by it. */
    public static final String TAG = "/Artifact<</Type/Pagination/Subtype/Footer>>BDC";

    /** For pages that have no marks. */
    public static final MarkSetter NONE = new MarkSetter();

    private final Map<Face, Map<Integer, String>> codes = new HashMap<>();

    private MarkSetter() {}

    /**
     * @param fonts   of the bundle, in which all these letters are used from now on
     * @param letters that marks may be made of, by typeface
     */
    public MarkSetter(FontSet fonts, Map<Face, Set<Integer>> letters) throws IOException {
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
     * Marks set.
     *
     * @param operators what is to stand at the end of the page's content, outside of any saved state; empty without marks
     */
    public record Stamp(List<Placed> placed, String operators) {}

    /**
     * Sets marks, each tagged as pagination.
     *
     * @param fontName    gives the name of a typeface's font in the page's resources
     * @param opacityName gives the name of a graphics state with an opacity there
     */
    public Stamp set(List<Mark> marks, PageFrame frame, Function<Face, String> fontName, DoubleFunction<String> opacityName) {
        List<Placed> placed = Placing.of(marks, frame.widthPt(), frame.heightPt());
        StringBuilder operators = new StringBuilder();
        for (Placed place : placed) {
            MarkLook look = place.mark().look();
            Matrix at = Matrix.concatenate(frame.fromReader(), place.matrix());
            operators.append(TAG).append('\n');
            boolean plain = look.opacity() == 1;
            if (!plain) operators.append("q\n/").append(opacityName.apply(look.opacity())).append(" gs\n");
            if (look.hasGround() || place.mark().covers().isPresent()) ground(operators, place, at);
            if (place.mark().covers().isEmpty()) words(operators, place, at, fontName.apply(look.face()));
            if (!plain) operators.append("Q\n");
            operators.append("EMC\n");
        }
        return new Stamp(placed, operators.toString());
    }

    private void words(StringBuilder operators, Placed place, Matrix at, String font) {
        MarkLook look = place.mark().look();
        operators.append("BT\n").append(colour(look.ink())).append("\n0 Tr\n/").append(font).append(' ')
                .append(plain(place.sizePt())).append(" Tf\n");
        matrix(operators, at).append(" Tm\n<");
        Map<Integer, String> known = Objects.requireNonNull(codes.get(look.face()), "no letters were given of this typeface");
        place.mark().words().codePoints()
                .forEach(letter -> operators.append(Objects.requireNonNull(known.get(letter), "a letter that was not given")));
        operators.append("> Tj\nET\n");
    }

    private static String colour(Ink ink) {
        if (ink.equals(Ink.BLACK)) return "0 g";
        float[] parts = ink.parts();
        return plain(parts[0]) + " " + plain(parts[1]) + " " + plain(parts[2]) + " rg";
    }

    private static void ground(StringBuilder operators, Placed place, Matrix at) {
        float reach = place.reachPt();
        operators.append("q\n1 g\n");
        matrix(operators, at).append(" cm\n").append(plain(-reach)).append(' ').append(plain(-reach)).append(' ')
                .append(plain(place.box().width() + 2 * reach)).append(' ')
                .append(plain(place.box().height() + 2 * reach))
                .append(place.mark().look().ground() == Ground.FRAME ? " re\n0 G\n0.5 w\nB\nQ\n" : " re f\nQ\n");
    }

    private static StringBuilder matrix(StringBuilder operators, Matrix at) {
        return operators.append(plain(at.getScaleX())).append(' ').append(plain(at.getShearY())).append(' ')
                .append(plain(at.getShearX())).append(' ').append(plain(at.getScaleY())).append(' ')
                .append(plain(at.getTranslateX())).append(' ').append(plain(at.getTranslateY()));
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
