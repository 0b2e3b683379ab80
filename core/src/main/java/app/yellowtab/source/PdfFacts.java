package app.yellowtab.source;

import app.yellowtab.model.SourceBookmark;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineNode;
import org.slf4j.LoggerFactory;

/** What the plan must know of a PDF: how many pages it has, and its bookmarks. */
record PdfFacts(int pageCount, List<SourceBookmark> bookmarks) {
    /** Deeper bookmarks than this are passed over; no reader opens that many levels. */
    private static final int DEEPEST = 12;
    private static final int MOST_BOOKMARKS = 20_000;

    static PdfFacts read(Path file) throws IOException {
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            Map<COSBase, Integer> numbers = new IdentityHashMap<>();
            int count = 0;
            for (PDPage page : document.getPages()) numbers.put(page.getCOSObject(), ++count);
            return new PdfFacts(count, bookmarks(document, numbers));
        }
    }

    /** Bookmarks that cannot be read are no reason to refuse the pages. */
    private static List<SourceBookmark> bookmarks(PDDocument document, Map<COSBase, Integer> numbers) {
        List<SourceBookmark> found = new ArrayList<>();
        try {
            PDOutlineNode outline = document.getDocumentCatalog().getDocumentOutline();
            if (outline != null) collect(document, outline, 1, numbers, new IdentityHashMap<>(), found);
        } catch (IOException | RuntimeException e) {
            LoggerFactory.getLogger(PdfFacts.class).warn("bookmarks cannot be read", e);
        }
        return found;
    }

    private static void collect(PDDocument document, PDOutlineNode node, int level, Map<COSBase, Integer> numbers,
                                Map<COSDictionary, Boolean> seen, List<SourceBookmark> found) throws IOException {
        for (PDOutlineItem item = node.getFirstChild(); item != null; item = item.getNextSibling()) {
            if (seen.put(item.getCOSObject(), true) != null || found.size() >= MOST_BOOKMARKS) return;
            PDPage page = item.findDestinationPage(document);
            Integer number = page == null ? null : numbers.get(page.getCOSObject());
            String title = item.getTitle() == null ? "" : item.getTitle().strip();
            if (number != null && !title.isEmpty()) found.add(new SourceBookmark(level, title, number));
            if (level < DEEPEST) collect(document, item, level + 1, numbers, seen, found);
        }
    }
}
