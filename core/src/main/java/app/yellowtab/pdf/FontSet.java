package app.yellowtab.pdf;

import java.io.IOException;
import java.io.InputStream;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** Typefaces as embedded fonts of one document, each put in once and only when used. For one thread. */
public final class FontSet {
    private final PDDocument document;
    private final Map<Face, PDFont> fonts = new LinkedHashMap<>();

    private FontSet(PDDocument document) {
        this.document = document;
    }

    /** {@return fonts for a document that will be saved; only the letters used are embedded, at the saving} */
    public static FontSet forSaving(PDDocument document) {
        return new FontSet(document);
    }

    /** {@return the typeface that a font dictionary of this set embeds} */
    public Optional<Face> faceOf(COSBase dictionary) {
        return fonts.entrySet().stream().filter(known -> known.getValue().getCOSObject() == dictionary).map(Map.Entry::getKey)
                .findFirst();
    }

    /** {@return the typefaces in use, in the order in which they came into use} */
    public Set<Face> faces() {
        return fonts.keySet();
    }

    /** Embeds the letters that were used; the fonts are complete then, and no letters can be added. */
    public void complete() throws IOException {
        for (PDFont font : fonts.values()) font.subset();
    }

    /** {@return the embedded font} */
    public PDFont get(Face face) throws IOException {
        PDFont known = fonts.get(face);
        if (known != null) return known;
        PDFont embedded = load(document, face, true);
        fonts.put(face, embedded);
        return embedded;
    }

    /** {@return a typeface as an embedded font with all its letters, which the library can set text in on its own} */
    public static PDFont whole(PDDocument document, Face face) throws IOException {
        return load(document, face, false);
    }

    private static PDFont load(PDDocument document, Face face, boolean onlyUsed) throws IOException {
        try (InputStream in = face.open()) {
            TrueTypeFont font = new TTFParser().parse(new RandomAccessReadBuffer(in.readAllBytes()));
            font.setEnableGsub(false);    // no ligatures: what is measured letter by letter must be what is set
            return PDType0Font.load(document, font, onlyUsed);
        }
    }
}
