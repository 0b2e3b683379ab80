package app.yellowtab.source;

import app.yellowtab.input.BoundedRenderer;
import app.yellowtab.input.DrawnPage;
import app.yellowtab.input.PdfInput;
import app.yellowtab.model.source.SourceId;
import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;

/** Draws pages of sources as they came, before anything is stamped on them. */
public final class SourcePicture {
    private SourcePicture() {}

    /**
     * Draws a page.
     *
     * @param page    counted from 1
     * @param mostPx  the larger of width and height, in pixels
     */
    public static DrawnPage draw(SourceFiles files, SourceId source, int page, int mostPx) throws IOException {
        try (PdfInput input = files.open(source); PDDocument alone = new PDDocument()) {
            PDPage original = new PDPage(input.pages().get(Math.clamp(page, 1, input.pages().size()) - 1));
            alone.addPage(copyOf(original));
            COSDictionary catalog = input.document().getDocumentCatalog().getCOSObject();
            for (COSName shown : List.of(COSName.OCPROPERTIES, COSName.ACRO_FORM)) {
                if (catalog.containsKey(shown)) alone.getDocumentCatalog().getCOSObject().setItem(shown, catalog.getItem(shown));
            }
            float largest = Math.max(1, Math.max(original.getCropBox().getWidth(), original.getCropBox().getHeight()));
            return BoundedRenderer.within(files.source(source).bytes(), () -> new BoundedRenderer(alone).draw(0, mostPx / largest));
        } catch (Error e) {
            // A picture that does not fit into the memory, or a part of the library that is missing.
            throw new IOException("the page cannot be drawn", e);
        }
    }

    /** {@return the same page with what it inherits, so that it is found as our own list of pages has it} */
    private static PDPage copyOf(PDPage original) {
        PDPage copy = new PDPage(new COSDictionary(original.getCOSObject()));
        copy.getCOSObject().removeItem(COSName.PARENT);
        if (original.getResources() != null) copy.setResources(original.getResources());
        copy.setMediaBox(original.getMediaBox());
        copy.setCropBox(original.getCropBox());
        copy.setRotation(original.getRotation());
        return copy;
    }
}
