package app.yellowtab.prove;

import app.yellowtab.ledger.Ledger;
import app.yellowtab.output.FontReference;
import app.yellowtab.output.ObjectGraph;
import app.yellowtab.pdf.Face;
import java.io.IOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSObject;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDFontFactory;

/** Our own fonts in a produced file, known by their objects' numbers and proved by their fingerprints. For one thread. */
final class OwnFonts {
    private final Map<Long, Ledger.Font> byObject = new HashMap<>();
    private final Map<Face, PDFont> loaded = new HashMap<>();

    OwnFonts(List<Ledger.Font> fonts) {
        for (Ledger.Font font : fonts) byObject.put((long) font.object(), font);
    }

    /** {@return the face that a reference leads to, if it leads to one of our fonts} */
    Optional<Face> faceOf(COSBase item) {
        return item instanceof COSObject reference && reference.getKey() != null
                ? Optional.ofNullable(byObject.get(reference.getKey().getNumber())).map(Ledger.Font::face) : Optional.empty();
    }

    /** {@return what stands for one of our fonts in a fingerprint} */
    Optional<FontReference> standIn(COSBase item) {
        return faceOf(item).map(FontReference::new);
    }

    /** {@return the font that a page's resources have under a name, if it is one of ours} */
    Optional<PDFont> load(COSDictionary resources, COSName name) throws IOException {
        COSDictionary fonts = resources.getCOSDictionary(COSName.FONT);
        Optional<Face> face = fonts == null ? Optional.empty() : faceOf(fonts.getItem(name));
        if (face.isEmpty() || !(fonts.getDictionaryObject(name) instanceof COSDictionary dictionary)) return Optional.empty();
        PDFont known = loaded.get(face.get());
        if (known == null) loaded.put(face.get(), known = PDFontFactory.createFont(dictionary));
        return Optional.of(known);
    }

    Optional<Face> faceOf(PDFont font) {
        return loaded.entrySet().stream().filter(entry -> entry.getValue() == font).map(Map.Entry::getKey).findFirst();
    }

    /** {@return what is wrong with a font, in a few words; empty if nothing is} */
    static Optional<String> fault(Ledger.Font font, COSBase object) throws IOException {
        if (!(object instanceof COSDictionary dictionary)) return Optional.of("it is not there");
        if (!font.name().equals(dictionary.getNameAsString(COSName.BASE_FONT)))
            return Optional.of("another font stands in its place");
        if (!isEmbedded(dictionary)) return Optional.of("it is not embedded");
        ObjectGraph graph = ObjectGraph.plain();
        return graph.fingerprintOf(graph.reach(dictionary)).equals(font.fingerprint()) ? Optional.empty()
                : Optional.of("it has been changed");
    }

    private static boolean isEmbedded(COSDictionary font) {
        COSDictionary descendant = font.getCOSArray(COSName.DESCENDANT_FONTS) instanceof COSArray several && several.size() > 0
                && several.getObject(0) instanceof COSDictionary first ? first : font;
        COSDictionary descriptor = descendant.getCOSDictionary(COSName.FONT_DESC);
        return descriptor != null
                && (descriptor.getCOSStream(COSName.FONT_FILE2) != null || descriptor.getCOSStream(COSName.FONT_FILE3) != null);
    }
}
