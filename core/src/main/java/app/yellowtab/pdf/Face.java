package app.yellowtab.pdf;

import java.io.IOException;
import java.io.InputStream;
import java.util.Locale;

/** A typeface that can be measured without a document, and embedded. */
public sealed interface Face permits Typeface, SystemFace {
    /** {@return its name in files, by which {@link #of} finds it again} */
    String key();

    /** {@return the width of a line of text, in points} */
    float width(String text, float sizePt);

    /** {@return the text with every letter that it lacks shown by another sign} */
    String showable(String text);

    /** {@return how many letters of the text it lacks} */
    int missingIn(String text);

    /** {@return the font file's bytes, a TrueType font, to be closed by the caller} */
    InputStream open() throws IOException;

    /** {@return whether it can be had on this machine; otherwise ours stands in for it} */
    boolean isPresent();

    /**
     * {@return the typeface of a name}
     *
     * @throws IllegalArgumentException if it is none
     */
    static Face of(String key) {
        if (key.startsWith(SystemFace.BEGIN)) return new SystemFace(key.substring(SystemFace.BEGIN.length()));
        try {
            return Typeface.valueOf(key.toUpperCase(Locale.ROOT));
        } catch (IllegalArgumentException unknown) {
            throw new IllegalArgumentException("no such typeface: " + key, unknown);
        }
    }
}
