package app.yellowtab.pdf;

import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/** How wide the letters of a font are. */
public final class Advances {
    /** The tables that tell widths, and two that no TrueType font is without (OpenType 1.9, "Required Tables"). */
    private static final Set<String> TABLES = Set.of("cmap", "head", "hhea", "hmtx", "maxp", "glyf", "loca");
    private static final int HEADER_BYTES = 12;
    private static final int ENTRY_BYTES = 16;

    private Advances() {}

    /**
     * {@return advance widths in em by code point; 0 where the font has no such letter}
     *
     * @param font a TrueType font; not closed
     * @param end  the first code point that is not measured
     */
    public static float[] read(InputStream font, int end) throws IOException {
        try (TrueTypeFont read = new TTFParser(true).parse(new RandomAccessReadBuffer(withoutOtherTables(font.readAllBytes())))) {
            CmapLookup glyphs = read.getUnicodeCmapLookup();
            float[] measured = new float[end];
            for (int letter = ' '; letter < end; letter++) {
                int glyph = glyphs.getGlyphId(letter);
                if (glyph != 0) measured[letter] = read.getAdvanceWidth(glyph) / (float) read.getUnitsPerEm();
            }
            return measured;
        }
    }

    /**
     * {@return the same bytes, with no other tables in their directory, where there is one} The parser reads all that it finds
     * there, and ligatures take it longer than all the rest.
     */
    private static byte[] withoutOtherTables(byte[] font) {
        ByteBuffer directory = ByteBuffer.wrap(font);
        int tables = font.length < HEADER_BYTES ? 0 : Short.toUnsignedInt(directory.getShort(4));
        if (tables == 0 || font.length < HEADER_BYTES + tables * ENTRY_BYTES) return font;
        int kept = 0;
        for (int i = 0; i < tables; i++) {
            int entry = HEADER_BYTES + i * ENTRY_BYTES;
            if (!TABLES.contains(new String(font, entry, 4, StandardCharsets.US_ASCII))) continue;
            System.arraycopy(font, entry, font, HEADER_BYTES + kept * ENTRY_BYTES, ENTRY_BYTES);
            kept++;
        }
        directory.putShort(4, (short) kept);
        return font;
    }
}
