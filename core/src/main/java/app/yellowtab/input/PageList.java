package app.yellowtab.input;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;

/**
 * The pages of a document in order (ISO 32000-1:2008, 7.7.3). It walks the tree without recursion, visits no node twice,
 * and takes a leaf for a page even where its type is missing, so that no page is lost without a word.
 */
final class PageList {
    /** No bundle reads a file with more; beyond, it is a damaged or a hostile one. Chosen by us. */
    private static final int MOST_PAGES = 500_000;

    private PageList() {}

    /** {@return the page dictionaries; a page listed twice is there twice} */
    static List<COSDictionary> of(PDDocument document) {
        List<COSDictionary> pages = new ArrayList<>();
        COSBase root = document.getDocumentCatalog().getCOSObject().getDictionaryObject(COSName.PAGES);
        if (!(root instanceof COSDictionary tree)) return pages;
        Set<COSDictionary> visited = Collections.newSetFromMap(new IdentityHashMap<>());
        Deque<Place> open = new ArrayDeque<>();
        if (isNode(tree)) open.push(new Place(kids(tree)));
        else pages.add(tree);
        visited.add(tree);
        while (!open.isEmpty() && pages.size() < MOST_PAGES) {
            Place place = open.element();
            if (place.next >= place.kids.size()) {
                open.pop();
            } else if (place.kids.getObject(place.next++) instanceof COSDictionary kid) {
                if (!isNode(kid)) {
                    if (!kid.containsKey(COSName.TYPE)) kid.setItem(COSName.TYPE, COSName.PAGE);
                    pages.add(kid);
                } else if (visited.add(kid)) {
                    open.push(new Place(kids(kid)));
                }
            }
        }
        return pages;
    }

    private static boolean isNode(COSDictionary dictionary) {
        return dictionary.containsKey(COSName.KIDS) || COSName.PAGES.equals(dictionary.getDictionaryObject(COSName.TYPE));
    }

    private static COSArray kids(COSDictionary node) {
        COSArray kids = node.getCOSArray(COSName.KIDS);
        return kids == null ? new COSArray() : kids;
    }

    /** A node of the tree, and which of its kids comes next. */
    private static final class Place {
        private final COSArray kids;
        private int next;

        Place(COSArray kids) {
            this.kids = kids;
        }
    }
}
