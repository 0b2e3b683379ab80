package app.yellowtab.write;

import app.yellowtab.carry.CarriedPage;
import app.yellowtab.leaf.PlannedBookmark;
import app.yellowtab.ledger.Ledger;
import app.yellowtab.mark.MarkSetter;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.output.DraftFile;
import app.yellowtab.output.ObjectGraph;
import app.yellowtab.output.ObjectNumber;
import app.yellowtab.output.PdfWriter;
import app.yellowtab.pdf.Face;
import app.yellowtab.pdf.FontSet;
import app.yellowtab.pdf.Typeface;
import java.io.Closeable;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.IntUnaryOperator;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNull;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdmodel.PDDocument;

/**
 * A bundle as it is written: leaf after leaf, then the fonts, the page tree, the bookmarks and the catalog. A leaf's object
 * number is its place, so that links to leaves that are not written yet need no table. For one thread.
 */
public final class BundleFile implements Closeable {
    /** How many kids a node of the page tree has: finding a page takes three steps in a bundle of a quarter million. */
    private static final int FAN_OUT = 64;

    private final int leafCount;
    private final List<String> labels;
    private final List<String> names;
    private final List<PlannedBookmark> bookmarks;
    private final IntUnaryOperator positions;
    /** The first number of each level of the page tree above the leaves; the last level is the root alone. */
    private final List<Integer> levels = new ArrayList<>();
    private final List<Integer> levelSizes = new ArrayList<>();
    /** The number of each font that may come to be used. */
    private final Map<Face, Integer> fontNumbers = new LinkedHashMap<>();
    private final int outline;
    private final int catalog;
    private final int information;
    private final PDDocument fontDocument = new PDDocument();
    private final FontSet fonts = FontSet.forSaving(fontDocument);
    private final MarkSetter markSetter;
    private final PdfWriter writer;

    /**
     * @param labels      of its leaves, at least one
     * @param names       by which other files lead to its leaves, one for each; none where none does
     * @param positions   gives the place in the file, counted from 1, of a leaf by its index in the plan
     * @param markLetters what marks are made of, by typeface
     */
    public BundleFile(DraftFile file, List<String> labels, List<String> names, List<PlannedBookmark> bookmarks,
            IntUnaryOperator positions,
            Map<Face, Set<Integer>> markLetters) throws IOException {
        this.leafCount = labels.size();
        this.labels = labels;
        this.names = names;
        this.bookmarks = bookmarks;
        this.positions = positions;
        this.markSetter = new MarkSetter(fonts, markLetters);
        int next = leafCount + 1;
        for (int size = leafCount; size > 1 || levels.isEmpty();) {
            size = (size + FAN_OUT - 1) / FAN_OUT;
            levels.add(next);
            levelSizes.add(size);
            next += size;
        }
        for (Face ours : Typeface.values()) fontNumbers.put(ours, next++);
        for (Face other : markLetters.keySet()) if (!fontNumbers.containsKey(other)) fontNumbers.put(other, next++);
        outline = next;
        catalog = outline + bookmarks.size() + 1;
        information = catalog + 1;
        writer = new PdfWriter(file, information, this::fontNumber);
    }

    private int fontNumber(Face face) {
        return Objects.requireNonNull(fontNumbers.get(face), face.key());
    }

    FontSet fonts() {
        return fonts;
    }

    public MarkSetter markSetter() {
        return markSetter;
    }

    /**
     * Writes a leaf.
     *
     * @param position its place in the file, counted from 1
     */
    public void add(int position, CarriedPage page) throws IOException {
        writer.writeLeaf(position, page.leaf(), levels.getFirst() + (position - 1) / FAN_OUT);
    }

    /** {@return what waits until all is written by now that sources must stay open for} */
    public PdfWriter.Begun begun() {
        return writer.begun();
    }

    /**
     * Writes our fonts, with the letters that were used by now; {@return what they are}
     *
     * @param file which it is of those that are produced together, counted from 0
     */
    public List<Ledger.Font> writeFonts(int file) throws IOException {
        fonts.complete();
        ObjectGraph graph = ObjectGraph.plain();
        List<Ledger.Font> written = new ArrayList<>();
        for (Face face : fontNumbers.keySet()) {
            if (!fonts.faces().contains(face)) continue;
            COSDictionary font = fonts.get(face).getCOSObject();
            ObjectGraph.Reach reach = graph.reach(font);
            int number = fontNumber(face);
            writer.write(number, reach);
            written.add(new Ledger.Font(file, face, font.getNameAsString(COSName.BASE_FONT), number, graph.fingerprintOf(reach)));
        }
        return written;
    }

    /**
     * Writes all the rest.
     *
     * @param version  of the PDF standard, "1.7" or "2.0"
     * @param identity 16 bytes
     * @return the length of the file in bytes
     */
    public long finish(CaseHeading heading, String version, byte[] identity) throws IOException {
        writePageTree();
        if (!bookmarks.isEmpty()) new OutlineWriter(bookmarks, positions, outline).write(writer);
        int destinations = names.isEmpty() ? 0 : new NameTree(names).write(writer);
        writer.write(catalog,
                "<</Type/Catalog/Pages " + levels.getLast() + " 0 R" + (version.equals("1.7") ? "" : "/Version/" + version)
                        + (isLabelled() ? "/PageLabels<</Nums[" + PageLabels.of(labels) + "]>>" : "")
                        + (bookmarks.isEmpty() ? "" : "/Outlines " + outline + " 0 R/PageMode/UseOutlines")
                        + (destinations == 0 ? "" : "/Names<</Dests " + destinations + " 0 R>>")
                        + "/OpenAction[1 0 R/XYZ null null null]/Lang(en-GB)>>");
        writer.write(information, ObjectGraph.plain().reach(properties(heading)));
        return writer.finish(catalog, information, identity);
    }

    /** {@return the destination at the top of a page (ISO 32000-1:2008, 12.3.2.2)} */
    static COSArray top(int position) {
        COSArray destination = new COSArray();
        destination.add(new ObjectNumber(position));
        destination.add(COSName.getPDFName("XYZ"));
        for (int i = 0; i < 3; i++) destination.add(COSNull.NULL);
        return destination;
    }

    /** {@return whether any page is called by something else than its place} */
    private boolean isLabelled() {
        return labels.stream().anyMatch(label -> !label.isEmpty());
    }

    private static COSDictionary properties(CaseHeading heading) {
        COSDictionary properties = new COSDictionary();
        if (!heading.title().isBlank()) properties.setItem(COSName.TITLE, new COSString(heading.title()));
        if (!heading.preparedBy().isBlank()) properties.setItem(COSName.AUTHOR, new COSString(heading.preparedBy()));
        if (!heading.caseNumber().isBlank()) properties.setItem(COSName.SUBJECT, new COSString(heading.caseNumber()));
        properties.setItem(COSName.PRODUCER, new COSString("Yellow Tab"));
        return properties;
    }

    private void writePageTree() throws IOException {
        int kidsStart = 1;
        int kidsCount = leafCount;
        long leavesBelowKid = 1;
        for (int level = 0; level < levels.size(); level++) {
            for (int node = 0; node < levelSizes.get(level); node++) {
                int from = node * FAN_OUT;
                int to = Math.min(from + FAN_OUT, kidsCount);
                StringBuilder kids = new StringBuilder();
                for (int kid = from; kid < to; kid++) kids.append(kid > from ? " " : "").append(kidsStart + kid).append(" 0 R");
                long below = Math.min(leafCount, to * leavesBelowKid) - from * leavesBelowKid;
                String parent = level + 1 == levels.size() ? "" : "/Parent " + (levels.get(level + 1) + node / FAN_OUT) + " 0 R";
                writer.write(levels.get(level) + node, "<</Type/Pages" + parent + "/Count " + below + "/Kids[" + kids + "]>>");
            }
            kidsStart = levels.get(level);
            kidsCount = levelSizes.get(level);
            leavesBelowKid *= FAN_OUT;
        }
    }

    @Override
    public void close() throws IOException {
        writer.close();
        fontDocument.close();
    }
}
