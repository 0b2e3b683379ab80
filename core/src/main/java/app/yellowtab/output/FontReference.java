package app.yellowtab.output;

import app.yellowtab.pdf.Typeface;
import org.apache.pdfbox.cos.COSDictionary;

/** Stands for one of our fonts, which is written when all of its letters are known, at the end. */
public final class FontReference extends COSDictionary {
    private final Typeface face;

    public FontReference(Typeface face) {
        this.face = face;
    }

    public Typeface face() {
        return face;
    }
}
