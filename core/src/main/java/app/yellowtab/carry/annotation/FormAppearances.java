package app.yellowtab.carry.annotation;

import app.yellowtab.carry.part.CarryNotes;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.pdf.FontSet;
import app.yellowtab.pdf.Typeface;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationWidget;
import org.apache.pdfbox.pdmodel.interactive.form.PDAcroForm;
import org.apache.pdfbox.pdmodel.interactive.form.PDButton;
import org.apache.pdfbox.pdmodel.interactive.form.PDChoice;
import org.apache.pdfbox.pdmodel.interactive.form.PDField;
import org.apache.pdfbox.pdmodel.interactive.form.PDListBox;
import org.apache.pdfbox.pdmodel.interactive.form.PDTextField;
import org.apache.pdfbox.pdmodel.interactive.form.PDVariableText;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/**
 * Gives an appearance to form fields that have a value and do not show it (ISO 32000-1:2008, 12.7.3.3), so that they can be
 * drawn on their pages: in the field's own font, or in one of ours where that cannot show the value. CarryNotes the open
 * document; its file is not touched. For one document.
 */
public final class FormAppearances {
    /** In the order of preference where they have the same letters. */
    private static final List<Typeface> FACES = List.of(Typeface.SANS, Typeface.SERIF, Typeface.MONO);
    /** What sets the colour in a default appearance (12.7.3.3). */
    private static final Pattern COLOUR = Pattern.compile("(?:[-+.\\d]+\\s+){3,4}(?:rg|k)\\b|[-+.\\d]+\\s+g\\b");
    private static final Pattern SIZE = Pattern.compile("([-+.\\d]+)\\s+Tf\\b");
    private static final COSName TOP_INDEX = COSName.getPDFName("TI");
    /** A row of a list that sets no size is about so high, in points. */
    private static final float USUAL_ROW_PT = 14;

    private static final int DEEPEST = 50;

    private final PDDocument document;
    private final PDAcroForm form;
    private final boolean all;
    private final CarryNotes notes;
    private final Map<Typeface, COSName> ownFonts = new EnumMap<>(Typeface.class);

    private FormAppearances(PDDocument document, PDAcroForm form, CarryNotes notes) {
        this.document = document;
        this.form = form;
        this.all = form.getNeedAppearances();
        this.notes = notes;
    }

    /**
     * Completes all fields.
     *
     * @param notes takes the names of those whose values cannot be shown
     */
    public static void complete(PDDocument document, CarryNotes notes) {
        try {
            PDAcroForm form = document.getDocumentCatalog().getAcroForm(null);
            if (form == null) return;
            FormAppearances appearances = new FormAppearances(document, form, notes);
            for (PDField field : form.getFieldTree()) appearances.complete(field);
        } catch (RuntimeException | StackOverflowError e) {
            LoggerFactory.getLogger(FormAppearances.class).warn("form left as it shows", e);
        }
    }

    private void complete(PDField field) {
        try {
            if (field instanceof PDButton button) button(button);
            else if (field instanceof PDVariableText text) text(text);
        } catch (IOException | RuntimeException | StackOverflowError e) {
            LoggerFactory.getLogger(FormAppearances.class).warn("a field left as it shows", e);
            notShown(field);
        }
    }

    private void notShown(PDField field) {
        notes.add(Code.FIELD_NOT_SHOWN, String.valueOf(field.getFullyQualifiedName()));
    }

    private static List<PDAnnotationWidget> seen(PDField field) {
        return field.getWidgets().stream().filter(widget -> Drawing.isSeen(widget.getCOSObject())).toList();
    }

    // ---- text and choices

    private void text(PDVariableText field) throws IOException {
        List<PDAnnotationWidget> widgets = seen(field);
        boolean lacking = widgets.stream().anyMatch(widget -> Drawing.of(widget.getCOSObject()).isEmpty());
        if (widgets.isEmpty() || !all && !lacking) return;
        String shown = shown(field);
        if (shown.isEmpty() && !(lacking && widgets.stream().anyMatch(FormAppearances::isColoured))) return;
        if (field instanceof PDListBox list) {
            if (!list.getValue().isEmpty() && !list.getOptionsExportValues().containsAll(list.getValue())) notShown(field);
            scroll(list, widgets.getFirst());
        } else {
            field.getCOSObject().setItem(COSName.V, new COSString(shown));
        }
        try {
            form.refreshAppearances(List.of(field));
        } catch (IOException | RuntimeException fontLacksIt) {
            LoggerFactory.getLogger(FormAppearances.class).info("a field is set in a font of ours", fontLacksIt);
            inOwnFont(field, shown);
        }
    }

    /** {@return what a viewer shows of a field's value; empty if it has none} */
    private static String shown(PDVariableText field) {
        if (field instanceof PDTextField text) {
            String value = Objects.requireNonNullElse(text.getValue(), "");
            return text.isPassword() ? "*".repeat(value.length()) : value;
        }
        if (!(field instanceof PDChoice choice)) return "";
        List<String> exports = choice.getOptionsExportValues();
        List<String> displays = choice.getOptionsDisplayValues();
        return choice.getValue().stream().map(value -> {
            int at = exports.indexOf(value);
            return at >= 0 && at < displays.size() ? displays.get(at) : value;
        }).collect(Collectors.joining(", "));
    }

    private static boolean isColoured(PDAnnotationWidget widget) {
        COSDictionary look = widget.getCOSObject().getCOSDictionary(COSName.MK);
        return look != null && (look.containsKey(COSName.BG) || look.containsKey(COSName.BC));
    }

    /** Brings what is chosen of a long list into view, where the file does not say which row is at the top. */
    private static void scroll(PDListBox list, PDAnnotationWidget widget) {
        int chosen = list.getValue().isEmpty() ? -1 : list.getOptionsExportValues().indexOf(list.getValue().getFirst());
        boolean below = chosen * USUAL_ROW_PT > widget.getRectangle().getHeight() - USUAL_ROW_PT;
        if (below && !list.getCOSObject().containsKey(TOP_INDEX)) list.getCOSObject().setInt(TOP_INDEX, chosen);
    }

    /** Sets a value in a font of ours, in the size and colour that the field asks for. */
    private void inOwnFont(PDVariableText field, String shown) throws IOException {
        Typeface face = FACES.stream().min(Comparator.comparingInt(candidate -> candidate.missingIn(shown))).orElseThrow();
        COSName ownFont = ownFonts.get(face);
        if (ownFont == null) {
            if (form.getDefaultResources() == null) form.setDefaultResources(new PDResources());
            ownFont = form.getDefaultResources().add(FontSet.whole(document, face));
            ownFonts.put(face, ownFont);
        }
        String before = Objects.requireNonNullElse(field.getDefaultAppearance(), "");
        Matcher size = SIZE.matcher(before);
        Matcher colour = COLOUR.matcher(before);
        COSString appearance = new COSString("/" + ownFont.getName() + " " + (size.find() ? size.group(1) : "0") + " Tf "
                + (colour.find() ? colour.group() : "0 g"));
        field.getCOSObject().setItem(COSName.DA, appearance);
        for (PDAnnotationWidget widget : field.getWidgets()) widget.getCOSObject().setItem(COSName.DA, appearance);
        if (field instanceof PDListBox list) list.getCOSObject().setItem(COSName.OPT, showable(list, face));
        else field.getCOSObject().setItem(COSName.V, new COSString(showable(shown, face)));
        if (face.missingIn(shown) > 0) notShown(field);
        form.refreshAppearances(List.of(field));
    }

    private static String showable(String text, Typeface face) {
        return text.lines().map(face::showable).collect(Collectors.joining("\n"));
    }

    private static COSArray showable(PDListBox list, Typeface face) {
        COSArray options = new COSArray();
        List<String> exports = list.getOptionsExportValues();
        List<String> displays = list.getOptionsDisplayValues();
        for (int i = 0; i < exports.size(); i++) {
            COSArray pair = new COSArray();
            pair.add(new COSString(exports.get(i)));
            pair.add(new COSString(showable(displays.get(i), face)));
            options.add(pair);
        }
        return options;
    }

    // ---- buttons

    /** A button that is on is seen to be (12.7.4.2). */
    private void button(PDButton button) throws IOException {
        if (button.isPushButton()) return;
        List<String> undecided = new ArrayList<>();
        for (PDAnnotationWidget widget : seen(button)) {
            COSDictionary dictionary = widget.getCOSObject();
            COSDictionary states = states(dictionary);
            COSName value = value(button);
            if (!dictionary.containsKey(COSName.AS) && states != null && value != null)
                dictionary.setItem(COSName.AS, states.containsKey(value) ? value : COSName.Off);
            COSName state = dictionary.getCOSName(COSName.AS);
            if (state == null && value != null && !value.equals(COSName.Off) && states == null) {
                // Of several, which one is on stands in their appearances only.
                if (button.getWidgets().size() == 1) state = value;
                else undecided.add("");
            }
            if (state != null && !state.equals(COSName.Off) && Drawing.of(dictionary).isEmpty())
                ButtonMark.draw(document, widget, button.isRadioButton());
        }
        if (!undecided.isEmpty()) notShown(button);
    }

    private static @Nullable COSDictionary states(COSDictionary widget) {
        COSDictionary appearances = widget.getCOSDictionary(COSName.AP);
        COSBase normal = appearances == null ? null : appearances.getDictionaryObject(COSName.N);
        return normal instanceof COSDictionary states ? states : null;
    }

    private static @Nullable COSName value(PDButton button) {
        COSDictionary holder = button.getCOSObject();
        for (int i = 0; holder != null && i < DEEPEST; i++, holder = holder.getCOSDictionary(COSName.PARENT)) {
            if (holder.getDictionaryObject(COSName.V) instanceof COSName name) return name;
        }
        return null;
    }
}
