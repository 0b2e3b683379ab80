package app.yellowtab.inspect;

import app.yellowtab.input.PdfInput;
import java.io.IOException;
import java.util.Arrays;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.Map;
import org.apache.fontbox.cmap.CMap;
import org.apache.fontbox.cmap.CMapParser;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNumber;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.pdmodel.font.encoding.Encoding;
import org.apache.pdfbox.pdmodel.font.encoding.GlyphList;
import org.apache.pdfbox.pdmodel.font.encoding.StandardEncoding;
import org.jspecify.annotations.Nullable;

/**
 * Makes letters of the codes in a page's content, without loading a font's program: by its ToUnicode map, or by its encoding
 * (ISO 32000-1:2008, 9.10.2). One for each document.
 */
final class Letters {
    /** About the width of a letter in em, where a font does not say. */
    private static final double USUAL_WIDTH = 0.5;

    private final Map<COSDictionary, Font> fonts = new IdentityHashMap<>();

    /** {@return a font, read once} */
    Font font(COSDictionary dictionary) {
        return fonts.computeIfAbsent(dictionary, Font::new);
    }

    /** What is needed of a font to read with it. */
    static final class Font {
        private final boolean composite;
        private final @Nullable CMap toUnicode;
        private final Map<Integer, String> byCode = new HashMap<>();
        private final double[] widths = new double[256];
        private final boolean readable;

        private Font(COSDictionary font) {
            composite = COSName.TYPE0.equals(font.getCOSName(COSName.SUBTYPE));
            toUnicode = map(font);
            readable = toUnicode != null || !composite && encode(font);
            Arrays.fill(widths, USUAL_WIDTH);
            if (!composite && font.getDictionaryObject(COSName.WIDTHS) instanceof COSArray given) {
                int first = font.getInt(COSName.FIRST_CHAR, 0);
                for (int i = 0; i < given.size(); i++) {
                    if (first + i >= 0 && first + i < 256 && given.getObject(i) instanceof COSNumber width
                            && width.floatValue() > 0)
                        widths[first + i] = width.floatValue() / 1000;
                }
            }
        }

        private static @Nullable CMap map(COSDictionary font) {
            try {
                return font.getDictionaryObject(COSName.TO_UNICODE) instanceof COSStream stream
                        ? new CMapParser().parse(new RandomAccessReadBuffer(PdfInput.unpacked(stream))) : null;
            } catch (IOException | RuntimeException damaged) {
                return null;
            }
        }

        private boolean encode(COSDictionary font) {
            COSBase stated = font.getDictionaryObject(COSName.ENCODING);
            COSName base = stated instanceof COSName name ? name
                    : stated instanceof COSDictionary own ? own.getCOSName(COSName.BASE_ENCODING) : null;
            boolean type3 = COSName.TYPE3.equals(font.getCOSName(COSName.SUBTYPE));
            Encoding encoding = base == null ? StandardEncoding.INSTANCE : Encoding.getInstance(base);
            if (encoding == null) encoding = StandardEncoding.INSTANCE;
            if (!type3) encoding.getCodeToNameMap().forEach((code, name) -> put(code, name));
            if (stated instanceof COSDictionary own
                    && own.getDictionaryObject(COSName.DIFFERENCES) instanceof COSArray differences) {
                int code = 0;
                for (int i = 0; i < differences.size(); i++) {
                    COSBase item = differences.getObject(i);
                    if (item instanceof COSNumber number) code = number.intValue();
                    else if (item instanceof COSName name) put(code++, name.getName());
                }
            }
            return !byCode.isEmpty();
        }

        private void put(int code, String name) {
            String letters = GlyphList.getAdobeGlyphList().toUnicode(name);
            if (letters != null) byCode.put(code, letters);
        }

        /** {@return whether its codes can be made letters, so that words in it are found by a search} */
        boolean isReadable() {
            return readable;
        }

        /** {@return the letters of a shown string} */
        String read(byte[] codes) {
            StringBuilder text = new StringBuilder();
            int step = composite ? 2 : 1;
            for (int i = 0; i + step <= codes.length; i += step) {
                int code = composite ? (codes[i] & 0xFF) << 8 | codes[i + 1] & 0xFF : codes[i] & 0xFF;
                String letters = toUnicode == null ? null : toUnicode.toUnicode(code, step);
                if (letters == null && toUnicode != null) letters = toUnicode.toUnicode(code);
                text.append(letters != null ? letters : byCode.getOrDefault(code, ""));
            }
            return text.toString();
        }

        /** {@return about how wide a shown string is, in em} */
        double width(byte[] codes) {
            if (composite) return codes.length / 2.0 * USUAL_WIDTH;
            double sum = 0;
            for (byte code : codes) sum += widths[code & 0xFF];
            return sum;
        }
    }
}
