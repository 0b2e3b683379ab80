package app.yellowtab.inspect;

import app.yellowtab.input.NamedDestinations;
import app.yellowtab.input.PageList;
import app.yellowtab.model.FromSources;
import app.yellowtab.model.source.BookmarkLook;
import app.yellowtab.model.source.SourceBookmark;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNumber;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineNode;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/** Reads the bookmarks of a document (ISO 32000-1:2008, 12.3.3). */
final class SourceBookmarks {
    private static final int MOST_BOOKMARKS = 20_000;

    private final PDDocument document;
    private final PageList pages;
    private final NamedDestinations names;
    private final Map<COSDictionary, Boolean> seen = new IdentityHashMap<>();
    private final List<SourceBookmark> found = new ArrayList<>();

    static List<SourceBookmark> read(PDDocument document, PageList pages) {
        return new SourceBookmarks(document, pages).bookmarks();
    }

    private SourceBookmarks(PDDocument document, PageList pages) {
        this.document = document;
        this.pages = pages;
        this.names = new NamedDestinations(document);
    }

    /** Bookmarks that cannot be read are no reason to refuse the pages. */
    private List<SourceBookmark> bookmarks() {
        try {
            PDOutlineNode outline = document.getDocumentCatalog().getDocumentOutline();
            if (outline != null) collect(outline, 1);
        } catch (RuntimeException | StackOverflowError e) {
            LoggerFactory.getLogger(SourceBookmarks.class).warn("bookmarks cannot be read", e);
        }
        return found;
    }

    private void collect(PDOutlineNode node, int level) {
        for (PDOutlineItem item = node.getFirstChild(); item != null; item = item.getNextSibling()) {
            if (seen.put(item.getCOSObject(), true) != null || found.size() >= MOST_BOOKMARKS) return;
            Optional<COSArray> target = target(item.getCOSObject());
            int number = target.map(to -> page(to.get(0))).orElse(0);
            String title = item.getTitle() == null ? "" : item.getTitle().strip();
            if (number > 0 && !title.isEmpty()) found.add(new SourceBookmark(level, title, number, look(item, target.get())));
            if (level < FromSources.ALL_LEVELS) collect(item, level + 1);
        }
    }

    /** {@return the explicit destination of a bookmark, its own or its action's} */
    private Optional<COSArray> target(COSDictionary item) {
        COSBase wanted = item.getDictionaryObject(COSName.DEST);
        COSDictionary action = item.getCOSDictionary(COSName.A);
        if (wanted == null && action != null && "GoTo".equals(action.getNameAsString(COSName.S)))
            wanted = action.getDictionaryObject(COSName.D);
        return names.explicit(wanted);
    }

    /** {@return which page it is, counted from 1; 0 for none} */
    private int page(@Nullable COSBase item) {
        if (item instanceof COSNumber number)
            return number.intValue() >= 0 && number.intValue() < pages.size() ? number.intValue() + 1 : 0;
        return item == null ? 0 : pages.numberOf(item);
    }

    private static BookmarkLook look(PDOutlineItem item, COSArray target) {
        COSArray colour = item.getCOSObject().getCOSArray(COSName.C);
        StringBuilder hex = new StringBuilder();
        for (int i = 0; colour != null && colour.size() == 3 && i < 3; i++) {
            float part = colour.getObject(i) instanceof COSNumber number ? number.floatValue() : 0;
            hex.append(String.format(Locale.ROOT, "%02x", Math.round(255 * Math.clamp(part, 0f, 1f))));
        }
        String shown = hex.toString().equals("000000") ? "" : hex.toString();
        return new BookmarkLook(item.isBold(), item.isItalic(), shown, view(target));
    }

    private static String view(COSArray operands) {
        StringBuilder view = new StringBuilder(Optional.ofNullable(operands.size() > 1 ? operands.getName(1) : null).orElse(""));
        for (int i = 2; i < Math.min(operands.size(), 6); i++) {
            view.append(' ').append(operands.getObject(i) instanceof COSNumber number && Math.abs(number.floatValue()) < 1e8
                    ? new BigDecimal(number.floatValue()).setScale(4, RoundingMode.HALF_EVEN).stripTrailingZeros().toPlainString()
                    : "null");
        }
        return BookmarkLook.isView(view.toString()) ? view.toString() : "";
    }
}
