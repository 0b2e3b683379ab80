package app.yellowtab.pdf;

import java.io.IOException;
import java.io.InputStream;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/** How wide the letters of a font are. */
public final class Advances {
    private Advances() {}

    /**
     * {@return advance widths in em by code point; 0 where the font has no such letter}
     *
     * @param font a TrueType font; not closed
     * @param end  the first code point that is not measured
     */
    public static float[] read(InputStream font, int end) throws IOException {
        try (TrueTypeFont read = new TTFParser().parse(new RandomAccessReadBuffer(font.readAllBytes()))) {
            read.setEnableGsub(false);
            CmapLookup glyphs = read.getUnicodeCmapLookup();
            float[] measured = new float[end];
            for (int letter = ' '; letter < end; letter++) {
                int glyph = glyphs.getGlyphId(letter);
                if (glyph != 0) measured[letter] = read.getAdvanceWidth(glyph) / (float) read.getUnitsPerEm();
            }
            return measured;
        }
    }
}
