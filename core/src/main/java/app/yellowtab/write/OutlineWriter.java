package app.yellowtab.write;

import app.yellowtab.leaf.PlannedBookmark;
import app.yellowtab.model.source.BookmarkLook;
import app.yellowtab.output.ObjectGraph;
import app.yellowtab.output.ObjectNumber;
import app.yellowtab.output.PdfWriter;
import java.io.IOException;
import java.util.HexFormat;
import java.util.List;
import java.util.function.IntUnaryOperator;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNull;
import org.apache.pdfbox.cos.COSString;

/**
 * Writes the planned bookmarks as the document outline (ISO 32000-1:2008, 12.3.3): the first level is open, so that
 * sections are seen with their documents, and all below is closed.
 */
final class OutlineWriter {
    private static final int ITALIC = 1;
    private static final int BOLD = 2;
    private static final byte[] NO_COLOUR = new byte[0];

    private final List<PlannedBookmark> bookmarks;
    private final IntUnaryOperator positions;
    private final int root;
    private final int[] parents;
    private final int[] firsts;
    private final int[] lasts;
    private final int[] previous;
    private final int[] nexts;
    private final int[] counts;

    /**
     * @param positions gives the place in the file, counted from 1, of a leaf by its index in the plan
     * @param root      the number of the outline; the bookmarks' numbers follow it
     */
    OutlineWriter(List<PlannedBookmark> bookmarks, IntUnaryOperator positions, int root) {
        this.bookmarks = bookmarks;
        this.positions = positions;
        this.root = root;
        int size = bookmarks.size() + 1;
        parents = new int[size];
        firsts = new int[size];
        lasts = new int[size];
        previous = new int[size];
        nexts = new int[size];
        counts = new int[size];
        int[] openAtLevel = new int[size + 1];
        for (int i = 1; i < size; i++) {
            int level = bookmarks.get(i - 1).level();
            openAtLevel[level] = i;
            int parent = level == 1 ? 0 : openAtLevel[level - 1];
            parents[i] = parent;
            previous[i] = lasts[parent];
            if (lasts[parent] == 0) firsts[parent] = i;
            else nexts[lasts[parent]] = i;
            lasts[parent] = i;
            counts[parent]++;
        }
    }

    void write(PdfWriter writer) throws IOException {
        ObjectGraph plain = ObjectGraph.plain();
        for (int i = 0; i <= bookmarks.size(); i++) writer.write(root + i, plain.reach(i == 0 ? outline() : item(i)));
    }

    private COSDictionary outline() {
        COSDictionary outline = new COSDictionary();
        outline.setItem(COSName.TYPE, COSName.OUTLINES);
        ends(outline, 0);
        int open = counts[0];
        for (int i = firsts[0]; i != 0; i = nexts[i]) open += counts[i];
        outline.setInt(COSName.COUNT, open);
        return outline;
    }

    private COSDictionary item(int i) {
        PlannedBookmark bookmark = bookmarks.get(i - 1);
        COSDictionary item = new COSDictionary();
        item.setItem(COSName.TITLE, new COSString(bookmark.title()));
        item.setItem(COSName.PARENT, new ObjectNumber(root + parents[i]));
        if (previous[i] != 0) item.setItem(COSName.PREV, new ObjectNumber(root + previous[i]));
        if (nexts[i] != 0) item.setItem(COSName.NEXT, new ObjectNumber(root + nexts[i]));
        if (firsts[i] != 0) {
            ends(item, i);
            item.setInt(COSName.COUNT, parents[i] == 0 ? counts[i] : -counts[i]);
        }
        item.setItem(COSName.DEST, destination(bookmark));
        BookmarkLook look = bookmark.look();
        int flags = (look.italic() ? ITALIC : 0) | (look.bold() ? BOLD : 0);
        if (flags != 0) item.setInt(COSName.F, flags);
        byte[] colour = look.colour().isEmpty() ? NO_COLOUR : HexFormat.of().parseHex(look.colour());
        if (colour.length > 0) {
            COSArray parts = new COSArray();
            for (byte part : colour) parts.add(new COSFloat((part & 0xFF) / 255f));
            item.setItem(COSName.C, parts);
        }
        return item;
    }

    private void ends(COSDictionary of, int i) {
        if (firsts[i] == 0) return;
        of.setItem(COSName.FIRST, new ObjectNumber(root + firsts[i]));
        of.setItem(COSName.LAST, new ObjectNumber(root + lasts[i]));
    }

    private COSArray destination(PlannedBookmark bookmark) {
        COSArray destination = new COSArray();
        destination.add(new ObjectNumber(positions.applyAsInt(bookmark.target().leaf())));
        String view = bookmark.target().view().isEmpty() ? "XYZ null null null" : bookmark.target().view();
        for (String word : view.split(" ")) destination.add(operand(word));
        return destination;
    }

    private static COSBase operand(String word) {
        if (word.equals("null")) return COSNull.NULL;
        if (Character.isLetter(word.charAt(0))) return COSName.getPDFName(word);
        return word.contains(".") ? new COSFloat(Float.parseFloat(word)) : COSInteger.get(Long.parseLong(word));
    }
}
