package app.yellowtab.carry;

import app.yellowtab.carry.annotation.Annotations;
import app.yellowtab.carry.part.CarryNotes;
import app.yellowtab.carry.part.Layers;
import app.yellowtab.carry.part.PageContents;
import app.yellowtab.input.Allowance;
import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdfparser.PDFStreamParser;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;

/**
 * Takes what hidden layers draw out of pages, and the marks of the others too, so that no viewer's switch can bring back
 * what was hidden (ISO 32000-1:2008, 8.11.3). CarryNotes the open document; its file is not touched. For one thread.
 */
final class LayerRemover {
    private final PDDocument document;
    private final Layers layers;
    /** Forms and patterns that were cleared, and whether anything in them was hidden; pages share them. */
    private final Map<COSBase, Boolean> done = new IdentityHashMap<>();
    private boolean removed;

    LayerRemover(PDDocument document, Layers layers) {
        this.document = document;
        this.layers = layers;
    }

    /**
     * Clears a page, and the forms and patterns that it draws.
     *
     * @return whether anything of it was hidden
     */
    boolean clear(COSDictionary page) throws IOException {
        removed = false;
        PDPage pdPage = new PDPage(page);
        COSDictionary resources = pdPage.getResources() == null ? new COSDictionary() : pdPage.getResources().getCOSObject();
        Deque<Content> open = new ArrayDeque<>();
        Content content = new Content(PageContents.of(page), resources);
        if (content.concerns(layers)) {
            LayerFilter filter = content.filtered(layers);
            removed |= filter.removedAny();
            COSStream stream = document.getDocument().createCOSStream();
            try (OutputStream out = stream.createOutputStream(COSName.FLATE_DECODE)) {
                filter.write(out);
            }
            page.setItem(COSName.CONTENTS, stream);
            resources = filter.resourcesLeft();
            page.setItem(COSName.RESOURCES, resources);
        }
        enterForms(resources, open);
        enterAppearances(page, resources, open);
        while (!open.isEmpty()) {
            Content form = open.pop();
            enterForms(form.concerns(layers) ? rewrite(form) : form.resources, open);
        }
        return removed;
    }

    /** {@return the resources that it still needs} */
    private COSDictionary rewrite(Content form) throws IOException {
        LayerFilter filter = form.filtered(layers);
        removed |= filter.removedAny();
        COSStream stream = form.streams.getFirst();
        done.put(stream, filter.removedAny());
        stream.removeItem(COSName.DECODE_PARMS);
        try (OutputStream out = stream.createOutputStream(COSName.FLATE_DECODE)) {
            filter.write(out);
        }
        COSDictionary left = filter.resourcesLeft();
        if (stream.containsKey(COSName.RESOURCES)) stream.setItem(COSName.RESOURCES, left);
        return left;
    }

    private void enterForms(COSDictionary resources, Deque<Content> open) {
        for (COSName kind : List.of(COSName.XOBJECT, COSName.PATTERN)) {
            COSDictionary named = resources.getCOSDictionary(kind);
            if (named == null) continue;
            for (COSName name : named.keySet()) {
                if (named.getDictionaryObject(name) instanceof COSStream stream && isDrawn(stream))
                    enter(stream, resources, open);
            }
        }
    }

    private void enterAppearances(COSDictionary page, COSDictionary resources, Deque<Content> open) {
        COSArray annotations = page.getCOSArray(COSName.ANNOTS);
        if (annotations != null) Annotations.appearances(annotations).forEach(appearance -> enter(appearance, resources, open));
    }

    private static boolean isDrawn(COSStream stream) {
        return COSName.FORM.equals(stream.getDictionaryObject(COSName.SUBTYPE)) || stream.containsKey(COSName.PATTERN_TYPE);
    }

    private void enter(COSStream stream, COSDictionary outer, Deque<Content> open) {
        Boolean known = done.putIfAbsent(stream, false);
        removed |= Boolean.TRUE.equals(known);
        if (known != null) return;
        COSDictionary own = stream.getCOSDictionary(COSName.RESOURCES);
        open.push(new Content(List.of(stream), own == null ? outer : own));
    }

    /** One content, of a page several streams, and the resources its names are looked up in. */
    private record Content(List<COSStream> streams, COSDictionary resources) {
        /** {@return whether it can draw anything that belongs to a layer} */
        boolean concerns(Layers layers) {
            COSDictionary properties = resources.getCOSDictionary(COSName.PROPERTIES);
            if (properties != null && properties.size() > 0) return true;
            COSDictionary objects = resources.getCOSDictionary(COSName.XOBJECT);
            return objects != null && objects.keySet().stream()
                    .anyMatch(name -> objects.getDictionaryObject(name) instanceof COSDictionary object
                            && layers.isHidden(object.getDictionaryObject(COSName.OC)));
        }

        LayerFilter filtered(Layers layers) throws IOException {
            LayerFilter filter = new LayerFilter(resources, layers);
            PDFStreamParser parser = new PDFStreamParser(PageContents.unpacked(streams));
            for (Object token; (token = parser.parseNextToken()) != null;) {
                Allowance.spendStep();
                filter.take(token);
            }
            return filter;
        }
    }
}
