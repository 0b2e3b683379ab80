package app.yellowtab.pdf;

import java.awt.geom.AffineTransform;
import java.awt.geom.PathIterator;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import org.apache.fontbox.ttf.GlyphData;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/** The letters of a typeface as paths, for a word on a page that needs no font in the file. Safe to share between threads. */
public final class GlyphOutlines {
    private static final Map<Typeface, GlyphOutlines> KNOWN = new EnumMap<>(Typeface.class);
    private static final double THIRD = 1 / 3.0;

    private final Typeface face;
    private final TrueTypeFont font;

    private GlyphOutlines(Typeface face) {
        this.face = face;
        try (InputStream in = face.open()) {
            font = new TTFParser().parse(new RandomAccessReadBuffer(in.readAllBytes()));
        } catch (IOException damagedProgram) {
            throw new UncheckedIOException("a font that ships with the program cannot be read: " + face, damagedProgram);
        }
    }

    /** {@return those of a typeface, read once} */
    public static synchronized GlyphOutlines of(Typeface face) {
        return KNOWN.computeIfAbsent(face, GlyphOutlines::new);
    }

    /**
     * {@return the path of a line of words from (0, 0) to the right, one unit to the em, to be filled by the rule of winding
     * numbers (ISO 32000-1:2008, 8.5.3.3)}
     *
     * @param words that the typeface has all letters of
     */
    public synchronized String operators(String words) {
        StringBuilder path = new StringBuilder();
        double scale;
        double x = 0;
        try {
            scale = 1.0 / font.getUnitsPerEm();
            for (int letter : words.codePoints().toArray()) {
                GlyphData glyph = font.getGlyph().getGlyph(font.getUnicodeCmapLookup().getGlyphId(letter));
                AffineTransform at = AffineTransform.getTranslateInstance(x, 0);
                at.scale(scale, scale);
                if (glyph != null) append(path, glyph.getPath().getPathIterator(at));
                x += face.width(Character.toString(letter), 1);
            }
        } catch (IOException damagedProgram) {
            throw new UncheckedIOException("a letter cannot be read", damagedProgram);
        }
        return path.toString();
    }

    private static void append(StringBuilder path, PathIterator from) {
        double[] p = new double[6];
        double x = 0;
        double y = 0;
        for (; !from.isDone(); from.next()) {
            switch (from.currentSegment(p)) {
                case PathIterator.SEG_MOVETO -> add(path, "m", p[0], p[1]);
                case PathIterator.SEG_LINETO -> add(path, "l", p[0], p[1]);
                // A curve with one point between, as one with two (its cubic form).
                case PathIterator.SEG_QUADTO -> add(path, "c", x + 2 * THIRD * (p[0] - x), y + 2 * THIRD * (p[1] - y),
                        p[2] + 2 * THIRD * (p[0] - p[2]), p[3] + 2 * THIRD * (p[1] - p[3]), p[2], p[3]);
                case PathIterator.SEG_CUBICTO -> add(path, "c", p);
                default -> path.append("h\n");
            }
            int last = switch (from.currentSegment(p)) {
                case PathIterator.SEG_QUADTO -> 2;
                case PathIterator.SEG_CUBICTO -> 4;
                default -> 0;
            };
            x = p[last];
            y = p[last + 1];
        }
    }

    private static void add(StringBuilder path, String operator, double... numbers) {
        for (double number : numbers) path.append(String.format(Locale.ROOT, "%.4f ", number));
        path.append(operator).append('\n');
    }
}
