package app.yellowtab.output;

import app.yellowtab.pdf.Face;
import org.apache.pdfbox.cos.COSDictionary;

/** Stands for one of the fonts that we embed, which is written when all of its letters are known, at the end. */
public final class FontReference extends COSDictionary {
    private final Face face;

    public FontReference(Face face) {
        this.face = face;
    }

    public Face face() {
        return face;
    }
}
