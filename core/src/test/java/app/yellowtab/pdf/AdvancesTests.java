package app.yellowtab.pdf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIOException;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.Arrays;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class AdvancesTests {
    private static final int END = 0x2600;

    @ParameterizedTest
    @EnumSource
    void lettersAreAsWideAsTheWholeFontSays(Typeface face) throws IOException {
        try (InputStream quick = face.open(); InputStream whole = face.open();
                TrueTypeFont font = new TTFParser().parse(new RandomAccessReadBuffer(whole.readAllBytes()))) {
            CmapLookup glyphs = font.getUnicodeCmapLookup();
            float[] widths = Advances.read(quick, END);
            for (int letter = ' '; letter < END; letter++) {
                int glyph = glyphs.getGlyphId(letter);
                assertThat(widths[letter]).as("U+%04X", letter)
                        .isEqualTo(glyph == 0 ? 0 : font.getAdvanceWidth(glyph) / (float) font.getUnitsPerEm());
            }
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 5, 11, 40, 200})
    void aFontThatBreaksOffIsRefused(int length) throws IOException {
        try (InputStream font = Typeface.SANS.open()) {
            byte[] broken = Arrays.copyOf(font.readAllBytes(), length);
            assertThatIOException().isThrownBy(() -> Advances.read(new ByteArrayInputStream(broken), END));
        }
    }
}
