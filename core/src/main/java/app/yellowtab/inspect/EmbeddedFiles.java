package app.yellowtab.inspect;

import app.yellowtab.input.PdfInput;
import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;

/**
 * The files inside a document (ISO 32000-1:2008, 7.11.4): those of the whole document, and those pinned to its pages. They
 * can be read as long as the document is open.
 */
public final class EmbeddedFiles {
    private static final int MOST = 5_000;
    private static final int DEEPEST = 50;

    private EmbeddedFiles() {}

    /** A file inside; its name is as it stands there, and not to be trusted. */
    public record Embedded(String name, COSStream content) {}

    /** {@return the files inside, in order, those that hold nothing left out} */
    public static List<Embedded> of(PdfInput input) {
        List<Embedded> found = new ArrayList<>();
        Set<COSBase> seen = Collections.newSetFromMap(new IdentityHashMap<>());
        COSDictionary names = input.document().getDocumentCatalog().getCOSObject().getCOSDictionary(COSName.NAMES);
        if (names != null && names.getDictionaryObject(COSName.EMBEDDED_FILES) instanceof COSDictionary tree)
            collect(tree, seen, found, 0);
        for (COSDictionary page : input.pages()) {
            if (!(page.getDictionaryObject(COSName.ANNOTS) instanceof COSArray annotations)) continue;
            for (int i = 0; i < annotations.size(); i++) {
                if (annotations.getObject(i) instanceof COSDictionary annotation
                        && "FileAttachment".equals(annotation.getNameAsString(COSName.SUBTYPE))
                        && annotation.getDictionaryObject(COSName.FS) instanceof COSDictionary file)
                    add(file, seen, found);
            }
        }
        return found;
    }

    private static void collect(COSDictionary node, Set<COSBase> seen, List<Embedded> found, int depth) {
        if (depth > DEEPEST || !seen.add(node)) return;
        if (node.getDictionaryObject(COSName.NAMES) instanceof COSArray pairs) {
            for (int i = 1; i < pairs.size(); i += 2)
                if (pairs.getObject(i) instanceof COSDictionary file) add(file, seen, found);
        }
        if (node.getDictionaryObject(COSName.KIDS) instanceof COSArray kids) {
            for (int i = 0; i < kids.size(); i++)
                if (kids.getObject(i) instanceof COSDictionary kid) collect(kid, seen, found, depth + 1);
        }
    }

    private static void add(COSDictionary file, Set<COSBase> seen, List<Embedded> found) {
        if (found.size() >= MOST || !seen.add(file) || !(file.getDictionaryObject(COSName.EF) instanceof COSDictionary versions))
            return;
        COSBase content = versions.getDictionaryObject(COSName.UF);
        if (content == null) content = versions.getDictionaryObject(COSName.F);
        if (content instanceof COSStream stream) found.add(new Embedded(name(file), stream));
    }

    /** {@return the name that a file specification gives} */
    static String name(COSDictionary file) {
        String unicode = file.getString(COSName.UF);
        String plain = file.getString(COSName.F);
        return unicode != null ? unicode : plain != null ? plain : "attachment";
    }
}
