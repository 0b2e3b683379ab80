package app.yellowtab.carry;

import app.yellowtab.content.ContentScan;
import app.yellowtab.output.FontReference;
import app.yellowtab.output.ObjectNumber;
import app.yellowtab.output.MadeStream;
import app.yellowtab.output.ObjectGraph;
import app.yellowtab.pdf.PageFrame;
import app.yellowtab.stamp.NumberStamp;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDPage;

/** The last steps that every leaf takes, whether it comes from a source or is ours. */
public final class Leaves {
    private static final String NAME = "YellowTab";

    private Leaves() {}

    /**
     * Closes a leaf: its content is shut in, so that nothing it leaves open touches the number, and the number is put on top.
     *
     * @param leaf     with its boxes, its resources (which no other page shares) and its annotations
     * @param contents its content streams
     * @param scan     of their operators, which must be sound
     * @param drawn    further operators to draw before the number, in the page's own coordinates; may be empty
     */
    public static CarriedPage close(int number, COSDictionary leaf, List<COSStream> contents, ContentScan scan, String drawn,
                                    NumberStamp stamp, ObjectGraph graph) throws IOException {
        COSDictionary resources = leaf.getCOSDictionary(COSName.RESOURCES);
        String font = add(resources, COSName.FONT, new FontReference(NumberStamp.FACE));
        NumberStamp.Stamp set = stamp.set(number, PageFrame.of(new PDPage(leaf)), font);
        COSArray all = new COSArray();
        all.add(new MadeStream("q\n".repeat(scan.missingSaves() + 1)));
        contents.forEach(all::add);
        all.add(new MadeStream("\n" + "Q\n".repeat(scan.openSaves() + 1) + drawn + set.operators()));
        leaf.setItem(COSName.CONTENTS, all);
        ObjectGraph.Reach reach = graph.reach(leaf);
        return new CarriedPage(reach, graph.fingerprintOf(reach), set.place(), links(leaf), false);
    }

    /** Adds something to resources that are a page's own, under a name that is not taken; {@return the name} */
    static String add(COSDictionary resources, COSName kind, COSDictionary added) {
        COSDictionary shared = resources.getCOSDictionary(kind);
        COSDictionary own = shared == null ? new COSDictionary() : new COSDictionary(shared);
        int n = 1;
        while (own.containsKey(COSName.getPDFName(NAME + n))) n++;
        own.setItem(COSName.getPDFName(NAME + n), added);
        resources.setItem(kind, own);
        return NAME + n;
    }

    private static List<Integer> links(COSDictionary leaf) {
        List<Integer> links = new ArrayList<>();
        COSArray annotations = leaf.getCOSArray(COSName.ANNOTS);
        for (int i = 0; annotations != null && i < annotations.size(); i++) {
            if (annotations.getObject(i) instanceof COSDictionary annotation && annotation.getDictionaryObject(COSName.DEST) instanceof COSArray to
                    && to.get(0) instanceof ObjectNumber target) links.add(target.number());
        }
        return links;
    }
}
