package app.yellowtab.carry;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.pdfbox.contentstream.PDContentStream;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.contentstream.operator.OperatorName;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdfparser.PDFStreamParser;
import org.apache.pdfbox.pdfwriter.ContentStreamWriter;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.jspecify.annotations.Nullable;

/**
 * Takes what hidden layers draw out of pages, and the marks of the others too, so that no viewer's switch can bring back
 * what was hidden (ISO 32000-1:2008, 8.11.3). Changes the open document; its file is not touched. For one thread.
 */
final class LayerRemover {
    private static final Set<String> PAINTS_PATH = Set.of("S", "s", "f", "F", "f*", "B", "B*", "b", "b*");
    private static final COSName PROPERTIES = COSName.PROPERTIES;

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
        Content content = new Content(pdPage, resources);
        if (content.concerns(layers)) {
            byte[] cleared = content.without(this);
            COSStream stream = document.getDocument().createCOSStream();
            try (OutputStream out = stream.createOutputStream(COSName.FLATE_DECODE)) {
                out.write(cleared);
            }
            page.setItem(COSName.CONTENTS, stream);
        }
        enterForms(resources, open);
        enterAppearances(page, resources, open);
        while (!open.isEmpty()) {
            Content form = open.pop();
            if (form.concerns(layers)) rewrite(form);
            enterForms(form.resources, open);
        }
        return removed;
    }

    private void rewrite(Content form) throws IOException {
        boolean before = removed;
        removed = false;
        byte[] cleared = form.without(this);
        COSStream stream = ((PDFormXObject) form.stream).getCOSObject();
        done.put(stream, removed);
        removed |= before;
        stream.removeItem(COSName.DECODE_PARMS);
        try (OutputStream out = stream.createOutputStream(COSName.FLATE_DECODE)) {
            out.write(cleared);
        }
    }

    private void enterForms(COSDictionary resources, Deque<Content> open) {
        for (COSName kind : List.of(COSName.XOBJECT, COSName.PATTERN)) {
            COSDictionary named = resources.getCOSDictionary(kind);
            if (named == null) continue;
            for (COSName name : named.keySet()) {
                if (named.getDictionaryObject(name) instanceof COSStream stream) enter(stream, resources, open);
            }
        }
    }

    private void enterAppearances(COSDictionary page, COSDictionary resources, Deque<Content> open) {
        COSArray annotations = page.getCOSArray(COSName.ANNOTS);
        for (int i = 0; annotations != null && i < annotations.size(); i++) {
            if (!(annotations.getObject(i) instanceof COSDictionary annotation)) continue;
            COSDictionary appearances = annotation.getCOSDictionary(COSName.AP);
            if (appearances == null) continue;
            for (COSName state : appearances.keySet()) {
                COSBase appearance = appearances.getDictionaryObject(state);
                if (appearance instanceof COSStream stream) enter(stream, resources, open);
                else if (appearance instanceof COSDictionary states) {
                    for (COSName name : states.keySet()) if (states.getDictionaryObject(name) instanceof COSStream stream) enter(stream, resources, open);
                }
            }
        }
    }

    private void enter(COSStream stream, COSDictionary outer, Deque<Content> open) {
        boolean drawn = COSName.FORM.equals(stream.getDictionaryObject(COSName.SUBTYPE)) || stream.containsKey(COSName.PATTERN_TYPE);
        Boolean known = drawn ? done.putIfAbsent(stream, false) : Boolean.FALSE;
        removed |= Boolean.TRUE.equals(known);
        if (known != null) return;
        COSDictionary own = stream.getCOSDictionary(COSName.RESOURCES);
        open.push(new Content(new PDFormXObject(stream), own == null ? outer : own));
    }

    /** One content stream and the resources its names are looked up in. */
    private record Content(PDContentStream stream, COSDictionary resources) {
        /** {@return whether it can draw anything that belongs to a layer} */
        boolean concerns(Layers layers) {
            COSDictionary properties = resources.getCOSDictionary(PROPERTIES);
            if (properties != null && properties.size() > 0) return true;
            COSDictionary objects = resources.getCOSDictionary(COSName.XOBJECT);
            return objects != null && objects.keySet().stream().anyMatch(name ->
                    objects.getDictionaryObject(name) instanceof COSDictionary object && layers.isHidden(object.getDictionaryObject(COSName.OC)));
        }

        byte[] without(LayerRemover remover) throws IOException {
            Filter filter = remover.new Filter(resources);
            PDFStreamParser parser = new PDFStreamParser(stream);
            for (Object token; (token = parser.parseNextToken()) != null; ) filter.take(token);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            new ContentStreamWriter(out).writeTokens(filter.kept);
            return out.toByteArray();
        }
    }

    /** Drops operators that draw while a hidden layer is open; those that set the state stay, since they act on what follows. */
    private final class Filter {
        private final COSDictionary resources;
        private final List<Object> kept = new ArrayList<>();
        private final List<Object> operands = new ArrayList<>();
        /** The open marks: of a hidden layer, of a shown one, or of something else. */
        private final Deque<Mark> marks = new ArrayDeque<>();
        private int hidden;

        Filter(COSDictionary resources) {
            this.resources = resources;
        }

        void take(Object token) {
            if (!(token instanceof Operator operator)) {
                operands.add(token);
                return;
            }
            switch (operator.getName()) {
                case OperatorName.BEGIN_MARKED_CONTENT_SEQ -> open(layer() == null ? Mark.OTHER : layers.isHidden(layer()) ? Mark.HIDDEN : Mark.SHOWN, operator);
                case OperatorName.BEGIN_MARKED_CONTENT -> open(Mark.OTHER, operator);
                case OperatorName.END_MARKED_CONTENT -> close(operator);
                case OperatorName.DRAW_OBJECT -> keepUnless(hidden > 0 || isHiddenObject(), operator);
                case OperatorName.SHADING_FILL, OperatorName.BEGIN_INLINE_IMAGE, OperatorName.SHOW_TEXT, OperatorName.SHOW_TEXT_ADJUSTED -> keepUnless(hidden > 0, operator);
                case OperatorName.SHOW_TEXT_LINE -> instead(operator, List.of(Operator.getOperator(OperatorName.NEXT_LINE)));
                case OperatorName.SHOW_TEXT_LINE_AND_SPACE -> instead(operator, spacesAndNextLine());
                default -> {
                    if (hidden > 0 && PAINTS_PATH.contains(operator.getName())) instead(operator, List.of(Operator.getOperator(OperatorName.ENDPATH)));
                    else keep(operator);
                }
            }
            operands.clear();
        }

        private @Nullable COSBase layer() {
            if (operands.size() < 2 || !COSName.OC.equals(operands.get(0)) || !(operands.get(1) instanceof COSName name)) return null;
            COSDictionary properties = resources.getCOSDictionary(PROPERTIES);
            return properties == null ? null : properties.getDictionaryObject(name);
        }

        private boolean isHiddenObject() {
            COSDictionary objects = resources.getCOSDictionary(COSName.XOBJECT);
            boolean is = objects != null && !operands.isEmpty() && operands.getLast() instanceof COSName name
                    && objects.getDictionaryObject(name) instanceof COSDictionary object && layers.isHidden(object.getDictionaryObject(COSName.OC));
            removed |= is;
            return is;
        }

        private void open(Mark mark, Operator operator) {
            marks.push(mark);
            if (mark == Mark.HIDDEN) {
                hidden++;
                removed = true;
            } else if (mark == Mark.OTHER) {
                keep(operator);
            }
        }

        private void close(Operator operator) {
            Mark mark = marks.isEmpty() ? Mark.OTHER : marks.pop();
            if (mark == Mark.HIDDEN) hidden--;
            else if (mark == Mark.OTHER) keep(operator);
        }

        private List<Object> spacesAndNextLine() {
            if (operands.size() < 3) return List.of(Operator.getOperator(OperatorName.NEXT_LINE));
            return List.of(operands.get(0), Operator.getOperator(OperatorName.SET_WORD_SPACING), operands.get(1),
                    Operator.getOperator(OperatorName.SET_CHAR_SPACING), Operator.getOperator(OperatorName.NEXT_LINE));
        }

        private void keep(Operator operator) {
            kept.addAll(operands);
            kept.add(operator);
        }

        private void keepUnless(boolean dropped, Operator operator) {
            if (!dropped) keep(operator);
        }

        private void instead(Operator operator, List<Object> substitute) {
            if (hidden > 0) kept.addAll(substitute);
            else keep(operator);
        }

        private enum Mark { HIDDEN, SHOWN, OTHER }
    }
}
