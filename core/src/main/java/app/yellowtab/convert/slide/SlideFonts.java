package app.yellowtab.convert.slide;

import app.yellowtab.convert.page.Face;
import de.rototor.pdfbox.graphics2d.PdfBoxGraphics2DFontTextDrawer;
import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.GraphicsEnvironment;
import java.io.IOException;
import java.io.InputStream;
import java.util.AbstractMap;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** Gives slides our typefaces: to measure with, through the Java platform, and to write text with that can be searched. */
final class SlideFonts {
    private static final Map<String, Style> STYLES = new HashMap<>();

    /** A face in one of its styles. */
    private record Style(Face face, boolean bold, boolean italic) {}

    static {
        for (Face face : Face.values()) {
            for (int i = 0; i < 4; i++) register(new Style(face, i >= 2, i % 2 == 1));
        }
    }

    private final PDDocument document;
    private final Map<Style, PDFont> loaded = new HashMap<>();

    SlideFonts(PDDocument document) {
        this.document = document;
    }

    private static void register(Style style) {
        try (InputStream in = style.face().open(style.bold(), style.italic())) {
            Font font = Font.createFont(Font.TRUETYPE_FONT, in);
            GraphicsEnvironment.getLocalGraphicsEnvironment().registerFont(font);
            STYLES.put(style.face().family() + style.bold() + style.italic(), style);
        } catch (IOException | FontFormatException damagedProgram) {
            throw new IllegalStateException("a font that ships with the program cannot be read: " + style.face().family(), damagedProgram);
        }
    }

    /** {@return for any name of a font, the name of the face that stands in for it} */
    static Map<String, String> replacements() {
        return new AbstractMap<>() {
            @Override
            public Set<Entry<String, String>> entrySet() {
                return Set.of();
            }

            @Override
            public boolean containsKey(Object name) {
                return true;
            }

            @Override
            public String get(Object name) {
                return Face.named(String.valueOf(name)).family();
            }
        };
    }

    /** {@return what writes text as text, in fonts of the document} */
    PdfBoxGraphics2DFontTextDrawer drawer() {
        return new PdfBoxGraphics2DFontTextDrawer() {
            @Override
            protected PDFont mapFont(Font font, IFontTextDrawerEnv env) throws IOException {
                return load(font);
            }
        };
    }

    private PDFont load(Font font) throws IOException {
        Style style = STYLES.get(Face.named(font.getFamily()).family() + font.isBold() + font.isItalic());
        PDFont known = loaded.get(style);
        if (known != null) return known;
        try (InputStream in = style.face().open(style.bold(), style.italic())) {
            PDFont read = PDType0Font.load(document, in, true);
            loaded.put(style, read);
            return read;
        }
    }
}
