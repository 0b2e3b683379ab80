package app.yellowtab.assemble;

import app.yellowtab.plan.PlannedBookmark;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.function.IntFunction;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageXYZDestination;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDDocumentOutline;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineNode;

/** The planned bookmarks as a document outline. */
final class Bookmarks {
    private Bookmarks() {}

    /** {@return the outline; sections are open, so that their documents are seen, and all below is closed} */
    static PDDocumentOutline of(List<PlannedBookmark> bookmarks, IntFunction<PDPage> pages) {
        PDDocumentOutline outline = new PDDocumentOutline();
        Deque<PDOutlineNode> open = new ArrayDeque<>(List.of(outline));
        for (PlannedBookmark bookmark : bookmarks) {
            while (open.size() > bookmark.level()) open.pop();
            PDOutlineItem item = new PDOutlineItem();
            item.setTitle(bookmark.title());
            PDPageXYZDestination destination = new PDPageXYZDestination();
            destination.setPage(pages.apply(bookmark.page()));
            item.setDestination(destination);
            open.element().addLast(item);
            open.push(item);
        }
        outline.children().forEach(PDOutlineItem::openNode);
        outline.openNode();
        return outline;
    }
}
