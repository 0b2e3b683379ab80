package app.yellowtab.inspect;

import app.yellowtab.input.Allowance;
import app.yellowtab.input.PdfInput;
import app.yellowtab.input.QuickHash;
import app.yellowtab.input.RawBytes;
import java.awt.geom.AffineTransform;
import java.awt.geom.Point2D;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HexFormat;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNumber;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdfparser.PDFStreamParser;
import org.jspecify.annotations.Nullable;

/**
 * Goes through what one page draws (ISO 32000-1:2008, 8 and 9) and notes where text and pictures are. It draws nothing and
 * loads no font, so it is some ten times as fast as a text extraction; positions are good to a few points.
 */
final class PageScan {
    private static final int DEEPEST = 6;
    /** A page with more than this is a drawing; what else it is takes too long to find out. */
    private static final int MOST_BYTES = 6 << 20;

    private final Letters letters;
    private final Map<COSStream, String> pictureHashes;
    private final AffineTransform shown;
    private final double heightPt;
    private final double edgePt;
    private final boolean everything;
    private final QuickHash hash = new QuickHash();

    private final double areaPt;

    final List<TextLines.Piece> pieces = new ArrayList<>();
    int visibleCodes;
    int readableCodes;
    double pictureShare;

    /**
     * @param shown      from the page's own space to the sheet as it is shown, its lower left corner at nought
     * @param edgePt     how far the edges reach in, in points
     * @param everything whether all text is wanted, not only that at head and foot
     */
    PageScan(Letters letters, Map<COSStream, String> pictureHashes, AffineTransform shown, double widthPt, double heightPt,
            double edgePt, boolean everything) {
        this.letters = letters;
        this.pictureHashes = pictureHashes;
        this.shown = shown;
        this.heightPt = heightPt;
        this.areaPt = widthPt * heightPt;
        this.edgePt = edgePt;
        this.everything = everything;
    }

    /** What holds while content is drawn. */
    private static final class Look {
        private AffineTransform matrix = new AffineTransform();
        private Letters.@Nullable Font font;
        private double size;
        private int mode;
        private double leading;
        private double scale = 1;

        private Look copy() {
            Look copy = new Look();
            copy.matrix = new AffineTransform(matrix);
            copy.font = font;
            copy.size = size;
            copy.mode = mode;
            copy.leading = leading;
            copy.scale = scale;
            return copy;
        }
    }

    /** {@return the page's fingerprint as sixteen bytes, after the scan} */
    byte[] print() {
        return HexFormat.of().parseHex(hash.hex());
    }

    void run(byte[] content, @Nullable COSDictionary resources) throws IOException {
        Look state = new Look();
        state.matrix.setTransform(shown);
        run(content, resources, state, 0, new IdentityHashMap<>());
    }

    private void run(byte[] content, @Nullable COSDictionary resources, Look start, int depth, Map<COSBase, Boolean> above)
            throws IOException {
        hash.update(content, 0, content.length);
        if (depth > DEEPEST) return;
        // What is too long to look through is taken as drawn, not scanned.
        if (content.length > MOST_BYTES) {
            visibleCodes += 1000;
            return;
        }
        Look state = start;
        Deque<Look> saved = new ArrayDeque<>();
        List<COSBase> operands = new ArrayList<>();
        AffineTransform text = new AffineTransform();
        AffineTransform line = new AffineTransform();
        PDFStreamParser parser = new PDFStreamParser(content);
        for (Object token = parser.parseNextToken(); token != null; token = parser.parseNextToken()) {
            if (!(token instanceof Operator operator)) {
                if (token instanceof COSBase operand) operands.add(operand);
                continue;
            }
            Allowance.spend(operator);
            switch (operator.getName()) {
                case "q" -> saved.push(state.copy());
                case "Q" -> state = saved.isEmpty() ? state : saved.pop();
                case "cm" -> state.matrix.concatenate(matrix(operands));
                case "BT" -> {
                    text = new AffineTransform();
                    line = new AffineTransform();
                }
                case "Tf" -> {
                    state.font = operands.isEmpty() ? null : font(resources, operands.getFirst());
                    state.size = number(operands, 1);
                }
                case "Tr" -> state.mode = (int) number(operands, 0);
                case "TL" -> state.leading = number(operands, 0);
                case "Tz" -> state.scale = number(operands, 0) / 100;
                case "Td" -> {
                    line.translate(number(operands, 0), number(operands, 1));
                    text = new AffineTransform(line);
                }
                case "TD" -> {
                    state.leading = -number(operands, 1);
                    line.translate(number(operands, 0), number(operands, 1));
                    text = new AffineTransform(line);
                }
                case "Tm" -> {
                    line = matrix(operands);
                    text = new AffineTransform(line);
                }
                case "T*" -> {
                    line.translate(0, -state.leading);
                    text = new AffineTransform(line);
                }
                case "Tj", "TJ" -> show(operands.isEmpty() ? null : operands.getFirst(), state, text);
                case "'", "\"" -> {
                    line.translate(0, -state.leading);
                    text = new AffineTransform(line);
                    show(operands.isEmpty() ? null : operands.getLast(), state, text);
                }
                case "Do" -> {
                    if (!operands.isEmpty()) draw(resources, operands.getFirst(), state, depth, above);
                }
                case "BI" -> picture(state.matrix);
                default -> {}
            }
            operands.clear();
        }
    }

    private Letters.@Nullable Font font(@Nullable COSDictionary resources, COSBase name) {
        COSDictionary fonts = resources == null ? null : resources.getCOSDictionary(COSName.FONT);
        COSDictionary font = fonts != null && name instanceof COSName key ? fonts.getCOSDictionary(key) : null;
        return font == null ? null : letters.font(font);
    }

    private void show(@Nullable COSBase shownText, Look state, AffineTransform text) {
        if (shownText instanceof COSString string) show(string.getBytes(), state, text);
        if (!(shownText instanceof COSArray several)) return;
        for (COSBase item : several) {
            if (item instanceof COSString string) show(string.getBytes(), state, text);
            else if (item instanceof COSNumber kern) text.translate(-kern.floatValue() / 1000 * state.size * state.scale, 0);
        }
    }

    private void show(byte[] codes, Look state, AffineTransform text) {
        Letters.Font font = state.font;
        if (font == null || codes.length == 0) return;
        if (state.mode != 3) visibleCodes += codes.length;
        if (font.isReadable()) readableCodes += codes.length;
        Point2D start = state.matrix.transform(text.transform(new Point2D.Double(), null), null);
        double width = font.width(codes) * state.size * state.scale;
        Point2D end = state.matrix.transform(text.transform(new Point2D.Double(width, 0), null), null);
        Point2D top = state.matrix.transform(text.transform(new Point2D.Double(0, state.size), null), null);
        text.translate(width, 0);
        boolean upright = Math.abs(end.getY() - start.getY()) <= Math.abs(end.getX() - start.getX());
        boolean atEdge = start.getY() < edgePt || start.getY() > heightPt - edgePt;
        if (upright && (everything || atEdge)) {
            String words = font.read(codes);
            if (!words.isEmpty()) pieces
                    .add(new TextLines.Piece(start.getX(), start.getY(), end.getX(), Math.abs(top.getY() - start.getY()), words));
        }
    }

    private void draw(@Nullable COSDictionary resources, COSBase name, Look state, int depth, Map<COSBase, Boolean> above)
            throws IOException {
        COSDictionary objects = resources == null ? null : resources.getCOSDictionary(COSName.XOBJECT);
        if (objects == null || !(name instanceof COSName key) || !(objects.getDictionaryObject(key) instanceof COSStream object))
            return;
        if (COSName.IMAGE.equals(object.getCOSName(COSName.SUBTYPE))) {
            picture(state.matrix);
            byte[] own = hashOf(object).getBytes(StandardCharsets.US_ASCII);
            hash.update(own, 0, own.length);
        } else if (COSName.FORM.equals(object.getCOSName(COSName.SUBTYPE)) && above.put(object, true) == null) {
            Look inner = state.copy();
            if (object.getDictionaryObject(COSName.MATRIX) instanceof COSArray given)
                inner.matrix.concatenate(matrix(given.toList().stream().map(item -> (COSBase) item).toList()));
            COSDictionary own = object.getCOSDictionary(COSName.RESOURCES);
            run(PdfInput.unpacked(object), own == null ? resources : own, inner, depth + 1, above);
            above.remove(object);
        }
    }

    private String hashOf(COSStream picture) throws IOException {
        String known = pictureHashes.get(picture);
        if (known == null) {
            QuickHash own = new QuickHash();
            RawBytes.of(picture, own::update);
            pictureHashes.put(picture, known = own.hex());
        }
        return known;
    }

    /** A picture fills the unit square of the space it is drawn in. */
    private void picture(AffineTransform matrix) {
        pictureShare += Math.abs(matrix.getDeterminant()) / areaPt;
    }

    private static AffineTransform matrix(List<COSBase> operands) {
        double[] values = new double[6];
        for (int i = 0; i < 6; i++) values[i] = number(operands, i);
        return operands.size() < 6 ? new AffineTransform() : new AffineTransform(values);
    }

    private static double number(List<COSBase> operands, int index) {
        return index < operands.size() && operands.get(index) instanceof COSNumber number ? number.floatValue() : 0;
    }
}
