package app.yellowtab.pdf;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.text.Normalizer;

/**
 * A typeface of the machine, by its full name, such as "DejaVu Sans Bold". Where the machine does not have it, or it may not be
 * embedded, one of ours stands in for it.
 */
public record SystemFace(String name) implements Face {
    /** Before the names of such typefaces in files. */
    static final String BEGIN = "system:";
    /** Stands in for one that is not there. */
    private static final Typeface INSTEAD = Typeface.SANS;
    /** Stands for a letter that the typeface lacks. */
    private static final int MISSING_SIGN = '?';

    public SystemFace {
        if (name.isBlank()) throw new IllegalArgumentException("a typeface's name must not be blank");
    }

    @Override
    public String key() {
        return BEGIN + name;
    }

    @Override
    public boolean isPresent() {
        return SystemFaces.find(name).isPresent();
    }

    @Override
    public float width(String text, float sizePt) {
        return SystemFaces.find(name).map(found -> sum(text, advances(found)) * sizePt)
                .orElseGet(() -> INSTEAD.width(text, sizePt));
    }

    private static float[] advances(SystemFaces.Found found) {
        try {
            return found.advances();
        } catch (IOException gone) {
            throw new UncheckedIOException("the typeface cannot be read any more: " + found.name(), gone);
        }
    }

    private static float sum(String text, float[] advances) {
        float sum = 0;
        for (int i = 0; i < text.length();) {
            int letter = text.codePointAt(i);
            sum += letter < advances.length && advances[letter] > 0 ? advances[letter] : advances[MISSING_SIGN];
            i += Character.charCount(letter);
        }
        return sum;
    }

    @Override
    public int missingIn(String text) {
        return SystemFaces.find(name).map(found -> missing(text, advances(found))).orElseGet(() -> INSTEAD.missingIn(text));
    }

    @Override
    public String showable(String text) {
        return SystemFaces.find(name).map(found -> showable(text, advances(found))).orElseGet(() -> INSTEAD.showable(text));
    }

    private static String showable(String text, float[] advances) {
        StringBuilder shown = new StringBuilder(text.length());
        Normalizer.normalize(text, Normalizer.Form.NFC).codePoints().forEach(letter -> shown.appendCodePoint(
                letter < advances.length && advances[letter] > 0 ? letter : Character.isWhitespace(letter) ? ' ' : MISSING_SIGN));
        return shown.toString();
    }

    private static int missing(String text, float[] advances) {
        return (int) Normalizer.normalize(text, Normalizer.Form.NFC).codePoints()
                .filter(letter -> letter != ' ' && !(letter < advances.length && advances[letter] > 0)).count();
    }

    @Override
    public InputStream open() throws IOException {
        SystemFaces.Found found = SystemFaces.find(name).orElse(null);
        return found == null ? INSTEAD.open() : new ByteArrayInputStream(found.bytes());
    }
}
