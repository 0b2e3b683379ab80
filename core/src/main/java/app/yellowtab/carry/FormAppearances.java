package app.yellowtab.carry;

import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationWidget;
import org.apache.pdfbox.pdmodel.interactive.form.PDAcroForm;
import org.apache.pdfbox.pdmodel.interactive.form.PDField;
import org.apache.pdfbox.pdmodel.interactive.form.PDSignatureField;
import org.apache.pdfbox.pdmodel.interactive.form.PDTerminalField;
import org.slf4j.LoggerFactory;

/** Gives an appearance to form fields that have a value and show none (ISO 32000-1:2008, 12.7.3.3), so that they can be drawn on their pages. */
final class FormAppearances {
    private FormAppearances() {}

    /** Changes the open document; its file is not touched. A field that cannot be drawn is left as its annotations show it. */
    static void complete(PDDocument document) {
        try {
            PDAcroForm form = document.getDocumentCatalog().getAcroForm(null);
            if (form == null) return;
            boolean all = form.getNeedAppearances();
            for (PDField field : form.getFieldTree()) {
                if (field instanceof PDTerminalField terminal && !(field instanceof PDSignatureField)) complete(terminal, all);
            }
        } catch (RuntimeException | StackOverflowError e) {
            LoggerFactory.getLogger(FormAppearances.class).warn("form left as it shows", e);
        }
    }

    /** @param all whether the file asks for new appearances, as a viewer would make them, also where there are some */
    private static void complete(PDTerminalField field, boolean all) {
        try {
            if (field.getValueAsString().isEmpty()) return;
            if (all && COSName.TX.getName().equals(field.getFieldType()) || field.getWidgets().stream().anyMatch(FormAppearances::lacksAppearance)) {
                field.getAcroForm().refreshAppearances(List.of(field));
            }
        } catch (IOException | RuntimeException e) {
            LoggerFactory.getLogger(FormAppearances.class).warn("a field left as it shows", e);
        }
    }

    private static boolean lacksAppearance(PDAnnotationWidget widget) {
        return widget.getAppearance() == null || widget.getAppearance().getNormalAppearance() == null;
    }
}
