package app.yellowtab.input;

import java.util.AbstractList;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.RandomAccess;
import java.util.Set;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNull;
import org.apache.pdfbox.cos.COSObject;
import org.apache.pdfbox.cos.COSObjectKey;
import org.apache.pdfbox.pdmodel.PDDocument;

/**
 * The pages of a document in order (ISO 32000-1:2008, 7.7.3). It walks the tree without recursion, enters no node
 * inside itself, and takes a leaf for a page even where its type is missing, so that no page is lost without a word. A page is
 * read only when it is asked for: where a node counts as many pages as it has kids, these are taken for pages unread; should one
 * turn out to be a node after all, the whole tree is read. For one thread.
 */
public final class PageList extends AbstractList<COSDictionary> implements RandomAccess {
    /** No bundle reads a file with more; beyond, it is a damaged or a hostile one. Chosen by us. */
    private static final int MOST_PAGES = 500_000;
    private static final int MOST_STEPS = 3_000_000;

    private final PDDocument document;
    /** References to pages, or the pages themselves. */
    private List<COSBase> pages;
    private boolean trusting = true;
    private Map<Object, Integer> numbers = Map.of();

    PageList(PDDocument document) {
        this.document = document;
        this.pages = walk();
    }

    /** Reads the whole tree, so that from now on nothing is taken for granted; {@return this} */
    public PageList verified() {
        if (trusting) {
            trusting = false;
            numbers = Map.of();
            pages = walk();
        }
        return this;
    }

    /** {@return the dictionary of a page, counted from 0; an empty one where there turns out to be none} */
    @Override
    public COSDictionary get(int index) {
        COSBase item = pages.get(index);
        if (trusting && (!isDictionary(item) || isNode(dictionary(item)))) {
            verified();
            item = index < pages.size() ? pages.get(index) : COSNull.NULL;
        }
        if (!isDictionary(item)) return new COSDictionary();
        COSDictionary page = dictionary(item);
        if (!page.containsKey(COSName.TYPE)) page.setItem(COSName.TYPE, COSName.PAGE);
        return page;
    }

    @Override
    public int size() {
        return pages.size();
    }

    /**
     * {@return which page something is, counted from 1, the first where it is listed twice; 0 if it is none}
     *
     * @param item a reference, which is not followed, or a dictionary
     */
    public int numberOf(COSBase item) {
        if (numbers.isEmpty()) {
            numbers = HashMap.newHashMap(pages.size());
            for (int i = 0; i < pages.size(); i++) numbers.putIfAbsent(identity(pages.get(i)), i + 1);
        }
        return numbers.getOrDefault(identity(item), 0);
    }

    /** {@return the object number of a page, counted from 1; 0 if it has none} */
    public long objectNumber(int page) {
        COSObjectKey key = pages.get(page - 1).getKey();
        return key == null ? 0 : key.getNumber();
    }

    private static Object identity(COSBase item) {
        COSObjectKey key = item.getKey();
        return key == null ? new Identity(item) : (Long) key.getNumber();
    }

    /** Something that is no object of its own in the file. */
    private record Identity(COSBase item) {
        @Override
        public boolean equals(Object other) {
            return other instanceof Identity identity && identity.item == item;
        }

        @Override
        public int hashCode() {
            return System.identityHashCode(item);
        }
    }

    private static COSDictionary dictionary(COSBase item) {
        return (item instanceof COSObject reference ? reference.getObject() : item) instanceof COSDictionary dictionary
                ? dictionary : new COSDictionary();
    }

    private List<COSBase> walk() {
        List<COSBase> found = new ArrayList<>();
        COSBase root = document.getDocumentCatalog().getCOSObject().getItem(COSName.PAGES);
        if (root == null || !isDictionary(root)) return found;
        Set<COSDictionary> above = Collections.newSetFromMap(new IdentityHashMap<>());
        Deque<Place> open = new ArrayDeque<>();
        enter(root, found, above, open);
        for (int steps = 0; !open.isEmpty() && found.size() < MOST_PAGES && steps < MOST_STEPS; steps++) {
            Place place = open.element();
            if (place.next >= place.kids.size()) {
                above.remove(place.node);
                open.pop();
                continue;
            }
            COSBase kid = place.kids.get(place.next++);
            if (place.arePages) found.add(kid);
            else if (kid != null && isDictionary(kid)) enter(kid, found, above, open);
        }
        return found;
    }

    private void enter(COSBase item, List<COSBase> found, Set<COSDictionary> above, Deque<Place> open) {
        COSDictionary dictionary = dictionary(item);
        if (!isNode(dictionary)) {
            found.add(item);
        } else {
            COSArray kids = dictionary.getCOSArray(COSName.KIDS);
            if (kids != null && above.add(dictionary))
                open.push(new Place(dictionary, kids, trusting && holdsPages(dictionary, kids)));
        }
    }

    /** {@return whether all kids are pages, by the node's count, by their references and by the first and the last of them} */
    private static boolean holdsPages(COSDictionary node, COSArray kids) {
        if (kids.size() == 0 || node.getInt(COSName.COUNT) != kids.size()) return false;
        for (int i = 0; i < kids.size(); i++)
            if (!(kids.get(i) instanceof COSObject reference) || reference.getKey() == null) return false;
        return isPage(kids.getObject(0)) && isPage(kids.getObject(kids.size() - 1));
    }

    private static boolean isPage(COSBase kid) {
        return kid instanceof COSDictionary dictionary && !isNode(dictionary);
    }

    private static boolean isDictionary(COSBase item) {
        return (item instanceof COSObject reference ? reference.getObject() : item) instanceof COSDictionary;
    }

    private static boolean isNode(COSDictionary dictionary) {
        return dictionary.containsKey(COSName.KIDS) || COSName.PAGES.equals(dictionary.getDictionaryObject(COSName.TYPE));
    }

    /** A node of the tree, and which of its kids comes next. */
    private static final class Place {
        private final COSDictionary node;
        private final COSArray kids;
        private final boolean arePages;
        private int next;

        Place(COSDictionary node, COSArray kids, boolean arePages) {
            this.node = node;
            this.kids = kids;
            this.arePages = arePages;
        }
    }
}
