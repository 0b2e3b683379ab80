package app.yellowtab.assemble;

import app.yellowtab.pdf.PageCopier;
import app.yellowtab.plan.Leaf;
import app.yellowtab.sheet.SheetSetter;
import java.io.IOException;
import java.nio.file.Path;
import org.apache.pdfbox.pdmodel.PDPage;
import org.slf4j.LoggerFactory;

/** A source's page, or where it cannot be had a slip that says so, so that every number behind it stays right. */
final class PageOrSlip {
    private PageOrSlip() {}

    /**
     * Fills a prepared page.
     *
     * @return whether it is the source's page; false for a slip
     * @throws IOException if not even the slip could be drawn
     */
    static boolean fill(PageCopier copier, SheetSetter sheets, Leaf.SourcePage leaf, PDPage page, Path original) throws IOException {
        try {
            copier.fill(leaf.page(), page);
            return true;
        } catch (IOException | RuntimeException | StackOverflowError e) {
            LoggerFactory.getLogger(PageOrSlip.class).warn("page lost: {} {}", original, leaf.page(), e);
            SheetSetter.clear(page);
            sheets.slip(page, String.valueOf(original.getFileName()), leaf.page());
            return false;
        }
    }
}
