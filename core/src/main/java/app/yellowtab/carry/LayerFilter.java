package app.yellowtab.carry;

import app.yellowtab.carry.part.Layers;
import app.yellowtab.carry.part.PageContents;
import app.yellowtab.carry.part.TextAdvance;
import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.contentstream.operator.OperatorName;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdfparser.PDFStreamParser;
import org.apache.pdfbox.pdfwriter.ContentStreamWriter;
import org.jspecify.annotations.Nullable;

/**
 * Drops operators of one content stream that draw while a hidden layer is open; those that set the state stay, since they
 * act on what follows (ISO 32000-1:2008, 8.11.3). For one thread.
 */
final class LayerFilter {
    private static final Set<String> PAINTS_PATH = Set.of("S", "s", "f", "F", "f*", "B", "B*", "b", "b*");

    private final COSDictionary resources;
    private final Layers layers;
    private final List<Object> kept = new ArrayList<>();
    private final List<Object> operands = new ArrayList<>();
    /** The open marks: of a hidden layer, of a shown one, or of something else. */
    private final Deque<Mark> marks = new ArrayDeque<>();
    private final Set<COSName> drawn = new HashSet<>();
    private final TextAdvance advance;
    private int hidden;
    private boolean removed;

    LayerFilter(COSDictionary resources, Layers layers) {
        this.resources = resources;
        this.layers = layers;
        this.advance = new TextAdvance(resources);
    }

    /** {@return whether anything was hidden} */
    boolean removedAny() {
        return removed;
    }

    /** Writes what is shown. */
    void write(OutputStream out) throws IOException {
        new ContentStreamWriter(out).writeTokens(kept);
    }

    /** {@return the resources without what only hidden layers drew} */
    COSDictionary resourcesLeft() throws IOException {
        COSDictionary left = new COSDictionary(resources);
        COSDictionary objects = resources.getCOSDictionary(COSName.XOBJECT);
        if (objects == null) return left;
        COSDictionary needed = new COSDictionary();
        Deque<COSName> open = new ArrayDeque<>(drawn);
        while (!open.isEmpty()) {
            COSName name = open.pop();
            if (needed.containsKey(name) || objects.getItem(name) == null) continue;
            needed.setItem(name, objects.getItem(name));
            // A form without resources of its own borrows these.
            if (objects.getDictionaryObject(name) instanceof COSStream form
                    && COSName.FORM.equals(form.getDictionaryObject(COSName.SUBTYPE))
                    && !form.containsKey(COSName.RESOURCES))
                open.addAll(drawnBy(form));
        }
        left.setItem(COSName.XOBJECT, needed);
        return left;
    }

    private static List<COSName> drawnBy(COSStream form) throws IOException {
        List<COSName> names = new ArrayList<>();
        PDFStreamParser parser = new PDFStreamParser(PageContents.unpacked(List.of(form)));
        Object before = null;
        for (Object token; (token = parser.parseNextToken()) != null; before = token) {
            if (token instanceof Operator operator && operator.getName().equals(OperatorName.DRAW_OBJECT)
                    && before instanceof COSName name)
                names.add(name);
        }
        return names;
    }

    /** Takes the next operand or operator. */
    void take(Object token) {
        if (!(token instanceof Operator operator)) {
            operands.add(token);
            return;
        }
        advance.follow(operator.getName(), operands);
        switch (operator.getName()) {
            case OperatorName.BEGIN_MARKED_CONTENT_SEQ ->
                    open(layer() == null ? Mark.OTHER : layers.isHidden(layer()) ? Mark.HIDDEN : Mark.SHOWN, operator);
            case OperatorName.BEGIN_MARKED_CONTENT -> open(Mark.OTHER, operator);
            case OperatorName.END_MARKED_CONTENT -> close(operator);
            case OperatorName.DRAW_OBJECT -> draw(operator);
            case OperatorName.SHADING_FILL, OperatorName.BEGIN_INLINE_IMAGE -> keepUnless(hidden > 0, operator);
            case OperatorName.SHOW_TEXT, OperatorName.SHOW_TEXT_ADJUSTED -> instead(operator, List.of(), true);
            case OperatorName.SHOW_TEXT_LINE -> instead(operator, List.of(Operator.getOperator(OperatorName.NEXT_LINE)), true);
            case OperatorName.SHOW_TEXT_LINE_AND_SPACE -> instead(operator, spacesAndNextLine(), true);
            default -> {
                if (hidden > 0 && PAINTS_PATH.contains(operator.getName()))
                    instead(operator, List.of(Operator.getOperator(OperatorName.ENDPATH)), false);
                else keep(operator);
            }
        }
        operands.clear();
    }

    private @Nullable COSBase layer() {
        if (operands.size() < 2 || !COSName.OC.equals(operands.get(0)) || !(operands.get(1) instanceof COSName name)) return null;
        COSDictionary properties = resources.getCOSDictionary(COSName.PROPERTIES);
        return properties == null ? null : properties.getDictionaryObject(name);
    }

    private boolean isHiddenObject() {
        COSDictionary objects = resources.getCOSDictionary(COSName.XOBJECT);
        boolean is = objects != null && !operands.isEmpty() && operands.getLast() instanceof COSName name
                && objects.getDictionaryObject(name) instanceof COSDictionary object
                && layers.isHidden(object.getDictionaryObject(COSName.OC));
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

    /** @param moves whether what is left out would have moved on what follows it on its line */
    private void instead(Operator operator, List<Object> substitute, boolean moves) {
        if (hidden == 0) {
            keep(operator);
            return;
        }
        kept.addAll(substitute);
        Optional<COSArray> width = moves && !operands.isEmpty() ? advance.insteadOf(operands.getLast()) : Optional.empty();
        if (width.isPresent()) kept.addAll(List.of(width.get(), Operator.getOperator(OperatorName.SHOW_TEXT_ADJUSTED)));
    }

    private void draw(Operator operator) {
        boolean hides = hidden > 0 || isHiddenObject();
        if (!hides && !operands.isEmpty() && operands.getLast() instanceof COSName name) drawn.add(name);
        keepUnless(hides, operator);
    }

    private enum Mark { HIDDEN, SHOWN, OTHER }
}
