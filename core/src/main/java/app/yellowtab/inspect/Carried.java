package app.yellowtab.inspect;

import app.yellowtab.carry.part.Actions;
import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;

/** Counts what a document carries beside what its pages draw. */
final class Carried {
    private static final Set<String> NO_COMMENTS =
            Set.of("Link", "Widget", "Popup", "TrapNet", "PrinterMark", "Watermark", "Screen", "3D", "RichMedia");
    private static final int MOST = 100_000;
    /** Trees deeper than this are no honest file's. */
    private static final int DEEPEST = 50;

    int signatures;
    int comments;
    int fields;
    int layers;
    int hiddenLayers;
    int scripts;
    final List<String> attachments = new ArrayList<>();

    /** Takes one page's annotations and actions. */
    void page(COSDictionary page) {
        if (Actions.isForbidden(page)) scripts++;
        if (!(page.getDictionaryObject(COSName.ANNOTS) instanceof COSArray annotations)) return;
        for (int i = 0; i < Math.min(annotations.size(), MOST); i++) {
            if (!(annotations.getObject(i) instanceof COSDictionary annotation)) continue;
            String kind = annotation.getNameAsString(COSName.SUBTYPE);
            if ("FileAttachment".equals(kind)) {
                if (annotation.getDictionaryObject(COSName.FS) instanceof COSDictionary file)
                    attachments.add(EmbeddedFiles.name(file));
            } else if (kind != null && !NO_COMMENTS.contains(kind)) {
                comments++;
            }
            if (Actions.isForbidden(annotation)
                    || annotation.getDictionaryObject(COSName.A) instanceof COSDictionary action && Actions.isForbidden(action))
                scripts++;
        }
    }

    /** Takes what belongs to the document as a whole. */
    void document(PDDocument document) {
        COSDictionary catalog = document.getDocumentCatalog().getCOSObject();
        if (Actions.isForbidden(catalog) || catalog.getDictionaryObject(COSName.OPEN_ACTION) instanceof COSDictionary action
                && Actions.isForbidden(action))
            scripts++;
        if (catalog.getDictionaryObject(COSName.ACRO_FORM) instanceof COSDictionary form
                && form.getDictionaryObject(COSName.FIELDS) instanceof COSArray all) {
            countFields(all, Collections.newSetFromMap(new IdentityHashMap<>()), 0);
        }
        if (catalog.getDictionaryObject(COSName.OCPROPERTIES) instanceof COSDictionary properties) {
            if (properties.getDictionaryObject(COSName.OCGS) instanceof COSArray groups) layers = groups.size();
            if (properties.getDictionaryObject(COSName.D) instanceof COSDictionary standard
                    && standard.getDictionaryObject(COSName.OFF) instanceof COSArray off)
                hiddenLayers = off.size();
        }
        COSDictionary names = catalog.getCOSDictionary(COSName.NAMES);
        if (names == null) return;
        if (names.getDictionaryObject(COSName.getPDFName("JavaScript")) instanceof COSDictionary) scripts++;
        if (names.getDictionaryObject(COSName.EMBEDDED_FILES) instanceof COSDictionary tree)
            collect(tree, Collections.newSetFromMap(new IdentityHashMap<>()), 0);
    }

    private void countFields(COSArray all, Set<COSBase> seen, int depth) {
        for (int i = 0; i < all.size() && fields < MOST; i++) {
            if (!(all.getObject(i) instanceof COSDictionary field) || !seen.add(field) || depth > DEEPEST) continue;
            boolean signature = COSName.SIG.equals(field.getDictionaryObject(COSName.FT));
            if (signature && field.containsKey(COSName.V)) signatures++;
            boolean named = field.getDictionaryObject(COSName.KIDS) instanceof COSArray kids && kids.size() > 0
                    && kids.getObject(0) instanceof COSDictionary kid && kid.containsKey(COSName.T);
            if (named) countFields((COSArray) field.getDictionaryObject(COSName.KIDS), seen, depth + 1);
            else if (!signature) fields++;
        }
    }

    private void collect(COSDictionary node, Set<COSBase> seen, int depth) {
        if (depth > DEEPEST || !seen.add(node) || attachments.size() > MOST) return;
        if (node.getDictionaryObject(COSName.NAMES) instanceof COSArray pairs) {
            for (int i = 1; i < pairs.size(); i += 2)
                if (pairs.getObject(i) instanceof COSDictionary file) attachments.add(EmbeddedFiles.name(file));
        }
        if (node.getDictionaryObject(COSName.KIDS) instanceof COSArray kids) {
            for (int i = 0; i < kids.size(); i++)
                if (kids.getObject(i) instanceof COSDictionary kid) collect(kid, seen, depth + 1);
        }
    }
}
