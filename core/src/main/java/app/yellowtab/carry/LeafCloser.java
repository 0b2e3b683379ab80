package app.yellowtab.carry;

import app.yellowtab.content.ContentScan;
import app.yellowtab.mark.Mark;
import app.yellowtab.mark.MarkSetter;
import app.yellowtab.output.Crossing;
import app.yellowtab.output.FontReference;
import app.yellowtab.output.MadeStream;
import app.yellowtab.output.ObjectGraph;
import app.yellowtab.output.ObjectNumber;
import app.yellowtab.output.Place;
import app.yellowtab.pdf.Face;
import app.yellowtab.pdf.PageFrame;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDPage;
import org.jspecify.annotations.Nullable;

/** The last steps that every leaf takes, whether it comes from a source or is ours. */
public final class LeafCloser {
    private static final String NAME = "YellowTab";
    /** The opacities of marks, which are no part of what a page shows beneath them. */
    private static final String OPACITY = "YellowTabOpacity";
    /** How many streams stand before a page's own contents, and how many after them. */
    private static final int PUT_BEFORE = 1;
    private static final int PUT_AFTER = 2;

    private LeafCloser() {}

    /**
     * What a leaf shows beneath its marks.
     *
     * @param setUp    operators that the content is to begin with; may be empty
     * @param contents its content streams
     * @param scan     of their operators, which must be sound
     * @param drawn    further operators to draw before the marks, in the page's own coordinates; may be empty
     */
    public record Shown(String setUp, List<COSStream> contents, ContentScan scan, String drawn) {
        /** {@return all of it, shut in, in a new array} */
        COSArray streams() {
            COSArray all = new COSArray();
            all.add(new MadeStream("q\n" + setUp + "q\n".repeat(scan.missingSaves())));
            contents.forEach(all::add);
            all.add(new MadeStream("\n" + "Q\n".repeat(scan.openSaves() + 1) + drawn));
            return all;
        }
    }

    /**
     * Closes a leaf: its content is shut in, so that nothing it leaves open touches the marks, and they are put on top, in a
     * content stream of their own, the last.
     *
     * @param marks    what is set on it
     * @param leaf     with its boxes, its resources (which no other page shares) and its annotations
     */
    public static CarriedPage close(List<Mark> marks, COSDictionary leaf, Shown shown, MarkSetter setter, ObjectGraph graph)
            throws IOException {
        COSDictionary resources = leaf.getCOSDictionary(COSName.RESOURCES);
        Map<Face, String> fonts = new HashMap<>();
        Map<Double, String> opacities = new HashMap<>();
        MarkSetter.Stamp set = setter.set(marks, PageFrame.of(new PDPage(leaf)),
                face -> fonts.computeIfAbsent(face, its -> add(resources, COSName.FONT, new FontReference(its))),
                opacity -> opacities.computeIfAbsent(opacity, its -> add(resources, COSName.EXT_G_STATE, OPACITY, opacity(its))));
        COSArray all = shown.streams();
        all.add(new MadeStream("\n" + set.operators()));
        leaf.setItem(COSName.CONTENTS, all);
        ObjectGraph.Reach reach = graph.reach(leaf);
        String contentPrint = graph.fingerprintOf(graph.reach(content(leaf, FontReference.class::isInstance)));
        return new CarriedPage(reach, contentPrint, graph.fingerprintOf(reach), set.placed(), links(leaf), false);
    }

    /**
     * {@return what makes a closed leaf the same page in two files: its contents and what they are drawn with, without what
     * was put before and after them}
     *
     * @param isOurs whether an item is one of the fonts that marks are set in; that of words behind a picture is known by its
     *         name
     */
    public static COSDictionary content(COSDictionary leaf, Predicate<COSBase> isOurs) {
        COSDictionary content = new COSDictionary();
        COSDictionary resources = copy(leaf.getCOSDictionary(COSName.RESOURCES));
        COSDictionary fonts = copy(resources.getCOSDictionary(COSName.FONT));
        for (COSName name : List.copyOf(fonts.keySet()))
            if (name.getName().startsWith(NAME) && (isOurs.test(fonts.getItem(name)) || HiddenWords.isFont(fonts.getItem(name))))
                fonts.removeItem(name);
        if (fonts.size() > 0) resources.setItem(COSName.FONT, fonts);
        else resources.removeItem(COSName.FONT);
        withoutOpacities(resources);
        content.setItem(COSName.RESOURCES, resources);
        COSArray streams = new COSArray();
        COSArray all = leaf.getCOSArray(COSName.CONTENTS);
        for (int i = PUT_BEFORE; all != null && i < all.size() - PUT_AFTER; i++) streams.add(all.get(i));
        content.setItem(COSName.CONTENTS, streams);
        return content;
    }

    private static COSDictionary copy(@Nullable COSDictionary of) {
        return of == null ? new COSDictionary() : new COSDictionary(of);
    }

    private static void withoutOpacities(COSDictionary resources) {
        COSDictionary shared = resources.getCOSDictionary(COSName.EXT_G_STATE);
        if (shared == null || shared.keySet().stream().noneMatch(name -> name.getName().startsWith(OPACITY))) return;
        COSDictionary left = new COSDictionary(shared);
        for (COSName name : List.copyOf(left.keySet())) if (name.getName().startsWith(OPACITY)) left.removeItem(name);
        if (left.size() > 0) resources.setItem(COSName.EXT_G_STATE, left);
        else resources.removeItem(COSName.EXT_G_STATE);
    }

    /** {@return a graphics state that lets what is below shine through (ISO 32000-1:2008, 8.4.5)} */
    private static COSDictionary opacity(double opacity) {
        COSDictionary state = new COSDictionary();
        state.setFloat(COSName.CA_NS, (float) opacity);
        state.setFloat(COSName.CA, (float) opacity);
        return state;
    }

    /** Adds something to resources that are a page's own, under a name that is not taken; {@return the name} */
    static String add(COSDictionary resources, COSName kind, COSDictionary added) {
        return add(resources, kind, NAME, added);
    }

    private static String add(COSDictionary resources, COSName kind, String name, COSDictionary added) {
        COSDictionary shared = resources.getCOSDictionary(kind);
        COSDictionary own = shared == null ? new COSDictionary() : new COSDictionary(shared);
        int n = 1;
        while (own.containsKey(COSName.getPDFName(name + n))) n++;
        own.setItem(COSName.getPDFName(name + n), added);
        resources.setItem(kind, own);
        return name + n;
    }

    private static List<Place> links(COSDictionary leaf) {
        List<Place> links = new ArrayList<>();
        COSArray annotations = leaf.getCOSArray(COSName.ANNOTS);
        for (int i = 0; annotations != null && i < annotations.size(); i++) {
            if (!(annotations.getObject(i) instanceof COSDictionary annotation)) continue;
            if (annotation.getDictionaryObject(COSName.DEST) instanceof COSArray to && to.get(0) instanceof ObjectNumber target)
                links.add(Place.here(target.number()));
            else if (annotation.getDictionaryObject(COSName.A) instanceof Crossing across) links.add(across.place());
        }
        return links;
    }
}
