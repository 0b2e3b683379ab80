package app.yellowtab.pdf;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNull;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDDestination;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDNamedDestination;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageDestination;
import org.slf4j.LoggerFactory;

/**
 * Copies pages of one source into a bundle. All pages that are wanted together are prepared first, so that links among
 * them find their leaves. The source must stay open while it copies, and may be closed after. For one thread.
 */
public final class PageCopier {
    private static final List<COSName> AS_THEY_ARE = List.of(COSName.BLEED_BOX, COSName.TRIM_BOX, COSName.ART_BOX,
            COSName.getPDFName("UserUnit"), COSName.GROUP);

    /** The markup annotations, and files pinned to a page (ISO 32000-1:2008, 12.5.6.2). */
    private static final Set<String> COMMENTS = Set.of("Text", "FreeText", "Line", "Square", "Circle", "Polygon", "PolyLine",
            "Highlight", "Underline", "Squiggly", "StrikeOut", "Stamp", "Caret", "Ink", "FileAttachment", "Redact");

    private final PDDocument source;
    private final PDDocument target;
    private final ObjectCopier copier;
    private final List<PDPage> pages = new ArrayList<>();
    private int droppedLinks;
    private int comments;

    /** @param source an open document; at once its form fields are made part of its pages, and these are listed */
    public PageCopier(PDDocument source, PDDocument target) {
        this.source = source;
        this.target = target;
        this.copier = new ObjectCopier(target);
        FormFlattener.flatten(source);
        source.getPages().forEach(pages::add);
    }

    public int pageCount() {
        return pages.size();
    }

    /** {@return how many links led to pages that were not prepared, and were left out} */
    public int droppedLinks() {
        return droppedLinks;
    }

    /** {@return how many comments and other marks of reviewers were copied; their pop-ups and replies count for themselves} */
    public int comments() {
        return comments;
    }

    /**
     * Makes an empty leaf for a page, so that links can lead to it.
     *
     * @param number the page in the source, counted from 1
     */
    public PDPage prepare(int number) {
        PDPage leaf = new PDPage(new COSDictionary());
        leaf.getCOSObject().setItem(COSName.TYPE, COSName.PAGE);
        copier.putPage(pages.get(number - 1).getCOSObject(), leaf.getCOSObject());
        return leaf;
    }

    /**
     * Fills a prepared leaf with what the page shows. Its content is closed in, so that nothing it leaves open touches
     * what is drawn on top.
     *
     * @param number the page in the source, counted from 1
     */
    public void fill(int number, PDPage leaf) throws IOException {
        PDPage page = pages.get(number - 1);
        COSDictionary from = page.getCOSObject();
        COSDictionary to = leaf.getCOSObject();
        leaf.setMediaBox(copyOf(page.getMediaBox()));
        leaf.setCropBox(copyOf(page.getCropBox()));
        if (page.getRotation() != 0) leaf.setRotation(page.getRotation());
        for (COSName key : AS_THEY_ARE) {
            COSBase value = from.getItem(key);
            if (value != null) to.setItem(key, copier.copy(value));
        }
        COSBase resources = page.getResources() == null ? null : page.getResources().getCOSObject();
        to.setItem(COSName.RESOURCES, resources == null ? new COSDictionary() : privateCopy(copier.copy(resources)));
        copyContents(page, to);
        copyAnnotations(from, to);
    }

    /** Adds the source's layers and which of them are hidden to the bundle, so that what is hidden stays so. */
    public void copyLayers() throws IOException {
        COSDictionary from = source.getDocumentCatalog().getCOSObject().getCOSDictionary(COSName.OCPROPERTIES);
        if (from == null) return;
        COSDictionary standard = Optional.ofNullable(from.getCOSDictionary(COSName.D)).orElseGet(COSDictionary::new);
        COSArray all = Optional.ofNullable(from.getCOSArray(COSName.OCGS)).orElseGet(COSArray::new);
        COSArray off = Optional.ofNullable(standard.getCOSArray(COSName.OFF)).orElseGet(COSArray::new);
        COSArray on = Optional.ofNullable(standard.getCOSArray(COSName.ON)).orElseGet(COSArray::new);
        boolean offUnlessOn = COSName.OFF.equals(standard.getDictionaryObject(COSName.BASE_STATE));
        COSDictionary to = layersOf(target);
        for (int i = 0; i < all.size(); i++) {
            COSBase layer = all.getObject(i);
            boolean hidden = offUnlessOn ? !holds(on, layer) : holds(off, layer);
            COSBase copy = copier.copy(all.get(i));
            to.getCOSArray(COSName.OCGS).add(copy);
            if (hidden) to.getCOSDictionary(COSName.D).getCOSArray(COSName.OFF).add(copy);
        }
    }

    private static boolean holds(COSArray list, COSBase object) {
        for (int i = 0; i < list.size(); i++) if (list.getObject(i) == object) return true;
        return false;
    }

    private static COSDictionary layersOf(PDDocument document) {
        COSDictionary catalog = document.getDocumentCatalog().getCOSObject();
        COSDictionary layers = catalog.getCOSDictionary(COSName.OCPROPERTIES);
        if (layers != null) return layers;
        layers = new COSDictionary();
        COSDictionary standard = new COSDictionary();
        standard.setItem(COSName.OFF, new COSArray());
        layers.setItem(COSName.OCGS, new COSArray());
        layers.setItem(COSName.D, standard);
        catalog.setItem(COSName.OCPROPERTIES, layers);
        return layers;
    }

    private void copyContents(PDPage page, COSDictionary to) throws IOException {
        ContentBalance balance = balance(page);
        COSArray contents = new COSArray();
        contents.add(stream("q\n".repeat(balance.missingSaves() + 1)));
        COSBase original = page.getCOSObject().getDictionaryObject(COSName.CONTENTS);
        if (original instanceof COSStream) {
            contents.add(copier.copy(original));
        } else if (original instanceof COSArray parts) {
            for (int i = 0; i < parts.size(); i++) {
                if (parts.getObject(i) instanceof COSStream part) contents.add(copier.copy(part));
            }
        }
        contents.add(stream("\n" + "Q\n".repeat(balance.openSaves() + 1)));
        to.setItem(COSName.CONTENTS, contents);
    }

    /** A stream that cannot be decoded to its end is weighed as far as it goes, which is as far as a viewer draws it. */
    private static ContentBalance balance(PDPage page) {
        ByteArrayOutputStream all = new ByteArrayOutputStream();
        Iterator<PDStream> streams = page.getContentStreams();
        while (streams.hasNext()) {
            try (InputStream in = streams.next().createInputStream()) {
                in.transferTo(all);
            } catch (IOException damaged) {
                LoggerFactory.getLogger(PageCopier.class).warn("content stream cut off", damaged);
            }
            all.write('\n');
        }
        return ContentBalance.of(all.toByteArray());
    }

    private COSStream stream(String content) throws IOException {
        COSStream stream = target.getDocument().createCOSStream();
        try (OutputStream out = stream.createOutputStream()) {
            out.write(content.getBytes(StandardCharsets.US_ASCII));
        }
        return stream;
    }

    private void copyAnnotations(COSDictionary from, COSDictionary to) throws IOException {
        COSArray annotations = from.getCOSArray(COSName.ANNOTS);
        if (annotations == null) return;
        COSArray kept = new COSArray();
        for (int i = 0; i < annotations.size(); i++) {
            if (!(annotations.getObject(i) instanceof COSDictionary annotation)) continue;
            COSBase copy = annotation(annotation);
            if (copy instanceof COSDictionary dictionary) {
                dictionary.setItem(COSName.P, to);
                if (COMMENTS.contains(dictionary.getNameAsString(COSName.SUBTYPE))) comments++;
                kept.add(dictionary);
            }
        }
        if (kept.size() > 0) to.setItem(COSName.ANNOTS, kept);
    }

    /** Leaves out what runs or fetches something; a web link stays, and a link to a page leads to its leaf. */
    private COSBase annotation(COSDictionary annotation) throws IOException {
        COSDictionary action = annotation.getCOSDictionary(COSName.A);
        String kind = action == null ? "" : Optional.ofNullable(action.getNameAsString(COSName.S)).orElse("");
        boolean link = COSName.LINK.equals(annotation.getDictionaryObject(COSName.SUBTYPE));
        COSBase wanted = annotation.containsKey(COSName.DEST) ? annotation.getDictionaryObject(COSName.DEST)
                : kind.equals("GoTo") ? action.getDictionaryObject(COSName.D) : null;
        COSDictionary copy = (COSDictionary) copier.copy(annotation);
        copy.setDirect(false);
        for (COSName key : List.of(COSName.A, COSName.DEST)) copy.removeItem(key);
        if (COSName.WIDGET.equals(annotation.getDictionaryObject(COSName.SUBTYPE))) copy.removeItem(COSName.PARENT);
        if (kind.equals("URI")) copy.setItem(COSName.A, webLink(action));
        if (!link || wanted == null) return copy;
        COSBase destination = destination(wanted);
        if (destination == COSNull.NULL) {
            droppedLinks++;
            return COSNull.NULL;
        }
        copy.setItem(COSName.DEST, destination);
        return copy;
    }

    private static COSDictionary webLink(COSDictionary action) {
        COSDictionary copy = new COSDictionary();
        copy.setItem(COSName.S, COSName.URI);
        copy.setItem(COSName.URI, action.getDictionaryObject(COSName.URI));
        return copy;
    }

    /** Named destinations lose their name: two sources may use the same one (ISO 32000-1:2008, 12.3.2.3). */
    private COSBase destination(COSBase wanted) throws IOException {
        PDDestination destination;
        try {
            destination = PDDestination.create(wanted);
            if (destination instanceof PDNamedDestination named) {
                destination = source.getDocumentCatalog().findNamedDestinationPage(named);
            }
        } catch (IOException | RuntimeException senseless) {
            LoggerFactory.getLogger(PageCopier.class).info("a link without a sensible target", senseless);
            return COSNull.NULL;
        }
        if (!(destination instanceof PDPageDestination to)) return COSNull.NULL;
        COSArray original = to.getCOSObject();
        COSBase leaf = original.getObject(0) instanceof COSDictionary ? copier.copy(original.get(0))
                : to.getPageNumber() >= 0 && to.getPageNumber() < pages.size()
                ? copier.copy(pages.get(to.getPageNumber()).getCOSObject()) : COSNull.NULL;
        if (leaf == COSNull.NULL) return COSNull.NULL;
        COSArray explicit = new COSArray();
        explicit.add(leaf);
        for (int i = 1; i < original.size(); i++) explicit.add(copier.copy(original.get(i)));
        return explicit;
    }

    /** The stamp's font is added to a page's resources, which may be shared with pages that are stamped elsewhere. */
    private static COSDictionary privateCopy(COSBase resources) {
        COSDictionary own = new COSDictionary((COSDictionary) resources);
        for (COSName kind : List.of(COSName.FONT, COSName.PROPERTIES)) {
            COSDictionary shared = own.getCOSDictionary(kind);
            if (shared != null) own.setItem(kind, new COSDictionary(shared));
        }
        return own;
    }

    private static PDRectangle copyOf(PDRectangle box) {
        return new PDRectangle(box.getLowerLeftX(), box.getLowerLeftY(), box.getWidth(), box.getHeight());
    }
}
