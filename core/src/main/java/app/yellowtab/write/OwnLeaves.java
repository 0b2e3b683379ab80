package app.yellowtab.write;

import app.yellowtab.carry.CarriedPage;
import app.yellowtab.carry.LeafCloser;
import app.yellowtab.content.ContentScan;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.mark.Mark;
import app.yellowtab.mark.MarkSetter;
import app.yellowtab.output.Crossing;
import app.yellowtab.output.FontReference;
import app.yellowtab.output.ObjectGraph;
import app.yellowtab.pdf.FontSet;
import app.yellowtab.plan.Plan;
import app.yellowtab.sets.Way;
import app.yellowtab.sheet.IndexSheetSetter;
import app.yellowtab.sheet.SheetSetter;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.IntFunction;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDStream;

/** Draws the leaves that are ours. For one thread. */
public final class OwnLeaves {
    /** Bit 3 of an annotation's flags: it is printed too (ISO 32000-1:2008, table 165). */
    private static final int PRINTED = 4;

    private final Plan plan;
    private final FontSet fonts;
    private final Function<Leaf, List<Mark>> marks;
    private final IntFunction<Optional<Way>> ways;
    private final MarkSetter setter;
    private final SheetSetter sheets;

    /**
     * @param marks     gives what is set on a leaf
     * @param ways  gives where what leads to a leaf leads, by its index in the plan
     */
    public OwnLeaves(Plan plan, Function<Leaf, List<Mark>> marks, IntFunction<Optional<Way>> ways, BundleFile bundle) {
        this.plan = plan;
        this.marks = marks;
        this.ways = ways;
        this.fonts = bundle.fonts();
        this.setter = bundle.markSetter();
        this.sheets = new SheetSetter(fonts, plan);
    }

    /** Takes a page that was drawn; the document it was drawn in is open meanwhile. */
    @FunctionalInterface
    public interface Taker {
        void take(CarriedPage page) throws IOException;
    }

    /** Draws what is ours. */
    public void draw(Leaf leaf, Taker taker) throws IOException {
        draw(leaf, (document, page) -> sheets.draw(leaf, document, page),
                leaf.content() instanceof Content.IndexSheet index ? links(index.sheet()) : new COSArray(), taker);
    }

    /**
     * Draws a slip in place of a source's page that cannot be had.
     *
     * @param wanted the page in its file, counted from 1
     */
    public void slip(Leaf leaf, String fileName, int wanted, Taker taker) throws IOException {
        draw(leaf, (document, page) -> sheets.slip(document, page, fileName, wanted), new COSArray(), taker);
    }

    /** Draws on a page. */
    @FunctionalInterface
    private interface Drawer {
        void draw(PDDocument document, PDPage page) throws IOException;
    }

    private void draw(Leaf leaf, Drawer drawer, COSArray links, Taker taker) throws IOException {
        try (PDDocument document = new PDDocument()) {
            PDPage page = SheetSetter.newPage(leaf);
            drawer.draw(document, page);
            ObjectGraph graph = new ObjectGraph(item -> fonts.faceOf(item).map(FontReference::new).orElse(null), Set.of());
            COSDictionary drawn = page.getCOSObject();
            if (page.getResources() == null) drawn.setItem(COSName.RESOURCES, new COSDictionary());
            if (links.size() > 0) drawn.setItem(COSName.ANNOTS, links);
            List<COSStream> contents = new ArrayList<>();
            for (Iterator<PDStream> streams = page.getContentStreams(); streams.hasNext();)
                contents.add(streams.next().getCOSObject());
            taker.take(LeafCloser.close(marks.apply(leaf), drawn, new LeafCloser.Shown("", contents, ContentScan.EMPTY, ""),
                    setter, graph));
        }
    }

    /**
     * {@return the links of an index page, each over the whole width of its row; none for a row that leads to no page, or to one
     * that no file has}
     */
    private COSArray links(int sheet) {
        COSArray links = new COSArray();
        for (IndexSheetSetter.PlacedRow row : IndexSheetSetter.rows(plan, sheet)) {
            PlannedEntry.Span span = row.row().entry().span();
            Optional<Way> way = span.isEmpty() ? Optional.empty() : ways.apply(span.first());
            if (way.isEmpty()) continue;
            COSDictionary link = new COSDictionary();
            link.setItem(COSName.TYPE, COSName.ANNOT);
            link.setItem(COSName.SUBTYPE, COSName.LINK);
            link.setItem(COSName.RECT, row.area().getCOSArray());
            link.setInt(COSName.F, PRINTED);
            link.setItem(COSName.BORDER, numbers(0, 0, 0));
            link.setItem(COSName.CONTENTS, new COSString(row.row().entry().title()));
            switch (way.get()) {
                case Way.Within within -> link.setItem(COSName.DEST, BundleFile.top(within.position()));
                case Way.Across across ->
                        link.setItem(COSName.A, new Crossing(across.place(), across.fileName(), across.name()));
            }
            links.add(link);
        }
        return links;
    }

    private static COSArray numbers(int... values) {
        COSArray array = new COSArray();
        for (int value : values) array.add(COSInteger.get(value));
        return array;
    }
}
