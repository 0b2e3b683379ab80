package app.yellowtab.source;

import app.yellowtab.input.PdfInput;
import app.yellowtab.model.SourceId;
import java.awt.image.BufferedImage;
import java.io.IOException;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;

/** Draws pages of sources as they came, before anything is stamped on them. */
public final class SourcePicture {
    private SourcePicture() {}

    /**
     * Draws a page.
     *
     * @param page    counted from 1
     * @param mostPx  the larger of width and height, in pixels
     */
    public static BufferedImage draw(SourceFiles files, SourceId source, int page, int mostPx) throws IOException {
        try (PdfInput input = files.open(source)) {
            int index = Math.clamp(page, 1, input.pages().size()) - 1;
            PDPage drawn = input.document().getPage(index);
            float largest = Math.max(drawn.getCropBox().getWidth(), drawn.getCropBox().getHeight());
            return new PDFRenderer(input.document()).renderImage(index, mostPx / Math.max(1, largest), ImageType.RGB);
        }
    }
}
