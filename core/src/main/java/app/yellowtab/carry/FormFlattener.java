package app.yellowtab.carry;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationWidget;
import org.apache.pdfbox.pdmodel.interactive.form.PDAcroForm;
import org.apache.pdfbox.pdmodel.interactive.form.PDField;
import org.apache.pdfbox.pdmodel.interactive.form.PDTerminalField;
import org.slf4j.LoggerFactory;

/**
 * Makes form fields part of their pages, with the value they show (ISO 32000-1:2008, 12.7). A bundle has no form of its
 * own, and two sources may have fields of one name.
 */
final class FormFlattener {
    private FormFlattener() {}

    /** Changes the open document; its file is not touched. A form that cannot be drawn is left as its annotations show it. */
    static void flatten(PDDocument document) {
        try {
            PDAcroForm form = document.getDocumentCatalog().getAcroForm(null);
            if (form == null || form.getFields().isEmpty()) return;
            List<PDField> undrawn = new ArrayList<>();
            for (PDField field : form.getFieldTree()) {
                if (field instanceof PDTerminalField terminal && !terminal.getValueAsString().isEmpty() && lacksAppearance(terminal)) undrawn.add(field);
            }
            if (!undrawn.isEmpty()) form.refreshAppearances(undrawn);
            form.flatten();
        } catch (IOException | RuntimeException | StackOverflowError e) {
            LoggerFactory.getLogger(FormFlattener.class).warn("form not flattened", e);
        }
    }

    private static boolean lacksAppearance(PDTerminalField field) {
        return field.getWidgets().stream().anyMatch(FormFlattener::lacksAppearance);
    }

    private static boolean lacksAppearance(PDAnnotationWidget widget) {
        return widget.getAppearance() == null || widget.getAppearance().getNormalAppearance() == null;
    }
}
