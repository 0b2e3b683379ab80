package app.yellowtab.assemble;

import app.yellowtab.pdf.FontSet;
import app.yellowtab.pdf.PageCopier;
import app.yellowtab.plan.Leaf;
import app.yellowtab.plan.Plan;
import app.yellowtab.sheet.SheetSetter;
import app.yellowtab.source.SourceFiles;
import app.yellowtab.stamp.NumberStamp;
import java.awt.image.BufferedImage;
import java.io.IOException;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;

/** Draws single leaves as they will be produced, by the same steps as the {@link Assembler}. Stateless. */
public final class LeafPreview {
    private LeafPreview() {}

    /**
     * Draws a leaf.
     *
     * @param number  its bundle number
     * @param widthPx the width of the picture in pixels; its height follows from the page
     * @throws IOException if the source is gone or cannot be read
     */
    public static BufferedImage draw(Plan plan, SourceFiles sources, int number, int widthPx) throws IOException {
        try (PDDocument document = new PDDocument()) {
            FontSet fonts = FontSet.forDrawing(document);
            SheetSetter sheets = new SheetSetter(document, fonts, plan);
            PDPage page;
            if (plan.leaf(number) instanceof Leaf.SourcePage leaf) {
                try (PDDocument source = sources.open(leaf.source())) {
                    PageCopier copier = new PageCopier(source, document);
                    if (leaf.page() > copier.pageCount()) throw new IOException("page " + leaf.page() + " is missing");
                    page = copier.prepare(leaf.page());
                    PageOrSlip.fill(copier, sheets, leaf, page, sources.original(leaf.source()));
                    copier.copyLayers();
                }
            } else {
                page = SheetSetter.newPage();
                sheets.draw(plan.leaf(number), page);
            }
            document.addPage(page);
            new NumberStamp(document, fonts).put(number, page);
            PDFRenderer renderer = new PDFRenderer(document);
            renderer.setSubsamplingAllowed(true);
            float widthPt = page.getRotation() % 180 == 0 ? page.getCropBox().getWidth() : page.getCropBox().getHeight();
            return renderer.renderImage(0, widthPx / widthPt, ImageType.RGB);
        }
    }
}
