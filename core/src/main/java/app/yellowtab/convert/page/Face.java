package app.yellowtab.convert.page;

import app.yellowtab.pdf.Advances;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * The typefaces that stand in for those which office documents name. Their letters are as wide as those of the usual ones,
 * so that lines and pages break where the writer saw them break.
 */
public enum Face {
    /** As wide as the sans serif that most documents name; also for every sans serif that is not known. */
    ARIMO("Arimo", 1.149f, "arimo", "arial", "helvetica", "liberation sans", "verdana", "tahoma", "segoe", "sans", "aptos",
            "trebuchet", "open sans", "roboto", "gill"),
    /** As wide as the serif of older letters; for every typeface that is not known. */
    TINOS("Tinos", 1.149f, "tinos", "times", "liberation serif"),
    COUSINE("Cousine", 1.133f, "cousine", "courier", "liberation mono", "consolas", "mono", "lucida console", "menlo",
            "typewriter"),
    CARLITO("Carlito", 1.221f, "calibri", "carlito"),
    CALADEA("Caladea", 1.171f, "cambria", "caladea");

    private static final int MEASURED = 0x2600;
    private static final String[] STYLES = {"400Regular", "400Regular_Italic", "700Bold", "700Bold_Italic"};

    private final String family;
    private final float lineHeight;
    private final List<String> standsFor;
    private final float @Nullable [][] advances = new float @Nullable [4][];

    Face(String family, float lineHeight, String... standsFor) {
        this.family = family;
        this.lineHeight = lineHeight;
        this.standsFor = List.of(standsFor);
    }

    /** {@return the face for a font by the name that a document gives it} */
    public static Face named(String name) {
        return named(name, TINOS);
    }

    /** {@return the face for a font by its name, or another where none is as wide as it} */
    public static Face named(String name, Face otherwise) {
        String asked = name.toLowerCase(Locale.ROOT);
        return Arrays.stream(values()).filter(face -> face.standsFor.stream().anyMatch(asked::contains)).findFirst()
                .orElse(otherwise);
    }

    /** {@return its family name, as style sheets name it} */
    public String family() {
        return family;
    }

    /** {@return what a style sheet says for it; letters that it lacks are taken from the two with most letters} */
    public String css() {
        return "font-family:" + family + ",Tinos,Arimo";
    }

    /** {@return the height of a line in em, as the font states it} */
    public float lineHeight() {
        return lineHeight;
    }

    /**
     * {@return the font file's bytes, to be closed by the caller} Without what it says of ligatures: a joined "ti" is one
     * sign, which no search finds as two letters.
     */
    public InputStream open(boolean bold, boolean italic) {
        String name = family + "_" + STYLES[style(bold, italic)] + ".ttf";
        try (InputStream in =
                Objects.requireNonNull(Face.class.getResourceAsStream("/app/yellowtab/convert/fonts/" + name), name)) {
            byte[] font = in.readAllBytes();
            // The table directory (OpenType 1.9, "Organization of an OpenType font"): a table under another name is not looked
            // for.
            for (int at = 12, left = font[5]; left > 0; at += 16, left--) {
                if (new String(font, at, 4, StandardCharsets.US_ASCII).equals("GSUB")) font[at + 3] = 'X';
            }
            return new ByteArrayInputStream(font);
        } catch (IOException damagedProgram) {
            throw new UncheckedIOException("a font that ships with the program cannot be read: " + name, damagedProgram);
        }
    }

    /** {@return the width of a line of text in points} */
    public float width(String text, float sizePt, boolean bold, boolean italic) {
        float[] known = advances(bold, italic);
        double sum = text.codePoints().mapToDouble(letter -> letter < MEASURED && known[letter] > 0 ? known[letter] : 0.6).sum();
        return (float) sum * sizePt;
    }

    /** {@return whether the face has a letter} */
    public boolean has(int letter) {
        return letter < MEASURED && advances(false, false)[letter] > 0;
    }

    private float[] advances(boolean bold, boolean italic) {
        int style = style(bold, italic);
        float[] known = advances[style];
        if (known == null) {
            try (InputStream in = open(bold, italic)) {
                advances[style] = known = Advances.read(in, MEASURED);
            } catch (IOException damagedProgram) {
                throw new UncheckedIOException("a font that ships with the program cannot be read: " + family, damagedProgram);
            }
        }
        return known;
    }

    private static int style(boolean bold, boolean italic) {
        return (bold ? 2 : 0) + (italic ? 1 : 0);
    }
}
