package app.yellowtab.convert.slide;

import app.yellowtab.convert.page.Face;
import de.rototor.pdfbox.graphics2d.PdfBoxGraphics2DFontTextDrawer;
import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.GraphicsEnvironment;
import java.awt.font.TextAttribute;
import java.io.IOException;
import java.io.InputStream;
import java.text.AttributedCharacterIterator;
import java.text.CharacterIterator;
import java.util.HashMap;
import java.util.Map;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.poi.sl.usermodel.GroupShape;
import org.apache.poi.sl.usermodel.Shape;
import org.apache.poi.sl.usermodel.ShapeContainer;
import org.apache.poi.sl.usermodel.TableShape;
import org.apache.poi.sl.usermodel.TextParagraph;
import org.apache.poi.sl.usermodel.TextRun;
import org.apache.poi.sl.usermodel.TextShape;
import org.jspecify.annotations.Nullable;

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

    /** Breaks a line inside a paragraph. */
    private static final char VERTICAL_TAB = '\u000B';
    private static final char BOX = '\u25A1';

    private final PDDocument document;
    private int missing;
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
            throw new IllegalStateException("a font that ships with the program cannot be read: " + style.face().family(),
                    damagedProgram);
        }
    }

    /**
     * Gives all text of some shapes, in memory, a typeface of ours: the Java platform measures lines with the one that a text
     * names, and has only these.
     */
    void substitute(ShapeContainer<?, ?> shapes) {
        for (Shape<?, ?> shape : shapes.getShapes()) {
            if (shape instanceof GroupShape<?, ?> group) substitute(group);
            else if (shape instanceof TextShape<?, ?> text) substituteText(text);
            else if (shape instanceof TableShape<?, ?> table) {
                for (int row = 0; row < table.getNumberOfRows(); row++) {
                    for (int column = 0; column < table.getNumberOfColumns(); column++) {
                        TextShape<?, ?> cell = table.getCell(row, column);
                        if (cell != null) substituteText(cell);
                    }
                }
            }
        }
    }

    private void substituteText(TextShape<?, ?> text) {
        for (TextParagraph<?, ?, ?> paragraph : text.getTextParagraphs()) {
            for (TextRun run : paragraph.getTextRuns()) {
                Face face = face(run.getFontFamily());
                run.setFontFamily(face.family());
                String words = run.getRawText();
                String shown = words == null ? "" : shown(words, face);
                if (words != null && !shown.equals(words)) run.setText(shown);
            }
        }
    }

    /** {@return a text with the letters that a face has; what nobody sees is left out, of the rest a box stands for each} */
    private String shown(String text, Face face) {
        StringBuilder shown = new StringBuilder();
        text.codePoints().forEach(letter -> {
            int type = Character.getType(letter);
            if (letter == '\n' || letter == '\r' || letter == '\t' || letter == VERTICAL_TAB || face.has(letter))
                shown.appendCodePoint(letter);
            else if (Character.isWhitespace(letter) || type == Character.SPACE_SEPARATOR) shown.append(' ');
            else if (type != Character.FORMAT && type != Character.CONTROL) {
                shown.append(face.has(BOX) ? BOX : '?');
                missing++;
            }
        });
        return shown.toString();
    }

    /** {@return how many letters were not in any face, so far} */
    int missing() {
        return missing;
    }

    /** Most typefaces of slides have no serifs. */
    private static Face face(@Nullable String name) {
        return Face.named(name == null ? "" : name, Face.ARIMO);
    }

    /** {@return what writes text as text, in fonts of the document} */
    PdfBoxGraphics2DFontTextDrawer drawer() {
        return new PdfBoxGraphics2DFontTextDrawer() {
            /**
             * Signs of special fonts become letters of ours only when they are drawn; those that we lack are drawn, not written.
             */
            @Override
            public boolean canDrawText(AttributedCharacterIterator text, IFontTextDrawerEnv env)
                    throws IOException, FontFormatException {
                for (char letter = text.first(); letter != CharacterIterator.DONE; letter = text.next()) {
                    String family = text.getAttribute(TextAttribute.FONT) instanceof Font font ? font.getFamily()
                            : String.valueOf(text.getAttribute(TextAttribute.FAMILY));
                    if (letter > ' ' && !Character.isSpaceChar(letter) && !face(family).has(letter)) {
                        missing++;
                        return false;
                    }
                }
                text.first();
                return super.canDrawText(text, env);
            }

            @Override
            protected PDFont mapFont(Font font, IFontTextDrawerEnv env) throws IOException {
                return load(font);
            }
        };
    }

    private PDFont load(Font font) throws IOException {
        Style style = STYLES.get(face(font.getFamily()).family() + font.isBold() + font.isItalic());
        PDFont known = loaded.get(style);
        if (known != null) return known;
        try (InputStream in = style.face().open(style.bold(), style.italic())) {
            PDFont read = PDType0Font.load(document, in, true);
            loaded.put(style, read);
            return read;
        }
    }
}
