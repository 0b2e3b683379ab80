package app.yellowtab.stamp;

import app.yellowtab.carry.part.PageContents;
import app.yellowtab.content.ContentScan;
import app.yellowtab.mark.Mark;
import app.yellowtab.mark.MarkSetter;
import app.yellowtab.mark.Placed;
import app.yellowtab.pdf.Face;
import app.yellowtab.pdf.FontSet;
import app.yellowtab.pdf.PageFrame;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;

/** Puts marks on the pages of an open document, in content streams of their own, and takes them off again. For one thread. */
final class PageStamper {
    /** In each content stream that was put on: before the page's own, or behind them. */
    private static final COSName OURS = COSName.getPDFName("YellowTab");
    private static final String NAME = "YellowTabStamp";
    private static final COSName[] KINDS = {COSName.FONT, COSName.EXT_G_STATE};

    private final PDDocument document;
    private final FontSet fonts;
    private final MarkSetter setter;

    PageStamper(PDDocument document, FontSet fonts, MarkSetter setter) {
        this.document = document;
        this.fonts = fonts;
        this.setter = setter;
    }

    /**
     * Puts marks on a page; {@return where they stand} What the page shows is shut in, so that nothing it leaves open touches
     * them.
     */
    List<Placed> stamp(PDPage page, List<Mark> marks) throws IOException {
        COSDictionary dictionary = page.getCOSObject();
        COSDictionary resources = new COSDictionary();
        PDResources inherited = page.getResources();
        if (inherited != null) resources.addAll(inherited.getCOSObject());
        Map<Face, String> faces = new HashMap<>();
        Map<Double, String> opacities = new HashMap<>();
        MarkSetter.Stamp set = setter.set(marks, PageFrame.of(page),
                face -> faces.computeIfAbsent(face, its -> add(resources, COSName.FONT, font(its))),
                opacity -> opacities.computeIfAbsent(opacity, its -> add(resources, COSName.EXT_G_STATE, opacity(its))));
        ContentScan scan = ContentScan.of(PageContents.unpacked(PageContents.of(dictionary)));
        COSArray all = new COSArray();
        all.add(stream("q\n" + "q\n".repeat(scan.missingSaves())));
        COSBase own = dictionary.getItem(COSName.CONTENTS);
        if (dictionary.getDictionaryObject(COSName.CONTENTS) instanceof COSArray several) several.forEach(all::add);
        else if (own != null) all.add(own);
        all.add(stream("\n" + "Q\n".repeat(scan.openSaves() + 1) + set.operators()));
        dictionary.setItem(COSName.CONTENTS, all);
        dictionary.setItem(COSName.RESOURCES, resources);
        dictionary.setNeedToBeUpdated(true);
        return set.placed();
    }

    private COSDictionary font(Face face) {
        try {
            return fonts.get(face).getCOSObject();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private static COSDictionary opacity(double opacity) {
        COSDictionary state = new COSDictionary();
        state.setFloat(COSName.CA_NS, (float) opacity);
        state.setFloat(COSName.CA, (float) opacity);
        return state;
    }

    private static String add(COSDictionary resources, COSName kind, COSDictionary added) {
        COSDictionary shared = resources.getCOSDictionary(kind);
        COSDictionary own = shared == null ? new COSDictionary() : new COSDictionary(shared);
        int n = 1;
        while (own.containsKey(COSName.getPDFName(NAME + n))) n++;
        own.setItem(COSName.getPDFName(NAME + n), added);
        resources.setItem(kind, own);
        return NAME + n;
    }

    private COSStream stream(String operators) throws IOException {
        COSStream stream = document.getDocument().createCOSStream();
        stream.setBoolean(OURS, true);
        try (OutputStream out = stream.createOutputStream(COSName.FLATE_DECODE)) {
            out.write(operators.getBytes(StandardCharsets.ISO_8859_1));
        }
        return stream;
    }

    /** Takes off what was put on a page; {@return whether there was anything} */
    static boolean takeOff(PDPage page) {
        COSDictionary dictionary = page.getCOSObject();
        if (!(dictionary.getDictionaryObject(COSName.CONTENTS) instanceof COSArray all)) return false;
        COSArray left = new COSArray();
        for (int i = 0; i < all.size(); i++)
            if (!(all.getObject(i) instanceof COSStream stream && stream.getBoolean(OURS, false))) left.add(all.get(i));
        if (left.size() == all.size()) return false;
        dictionary.setItem(COSName.CONTENTS, left);
        if (dictionary.getCOSDictionary(COSName.RESOURCES) instanceof COSDictionary before) {
            COSDictionary resources = new COSDictionary(before);
            for (COSName kind : KINDS) takeOut(resources, kind);
            dictionary.setItem(COSName.RESOURCES, resources);
        }
        dictionary.setNeedToBeUpdated(true);
        return true;
    }

    private static void takeOut(COSDictionary resources, COSName kind) {
        COSDictionary shared = resources.getCOSDictionary(kind);
        if (shared == null) return;
        COSDictionary left = new COSDictionary(shared);
        for (COSName name : List.copyOf(left.keySet())) if (name.getName().startsWith(NAME)) left.removeItem(name);
        if (left.size() > 0) resources.setItem(kind, left);
        else resources.removeItem(kind);
    }
}
