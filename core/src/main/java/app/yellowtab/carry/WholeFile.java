package app.yellowtab.carry;

import app.yellowtab.carry.part.Actions;
import app.yellowtab.carry.part.CarryNotes;
import app.yellowtab.finding.Finding.Code;
import java.util.ArrayDeque;
import java.util.Collections;
import java.util.Deque;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.jspecify.annotations.Nullable;

/** What a file carries beside its pages that no bundle takes over: scripts, and other files. */
final class WholeFile {
    /** Where names, fields and bookmarks lead on to more of their kind. */
    private static final List<COSName> BELOW = List.of(COSName.KIDS, COSName.FIELDS, COSName.FIRST, COSName.NEXT);
    /** A file with more than this many is told by a number that is too small, and nothing is lost by it. */
    private static final int MOST = 200_000;

    private WholeFile() {}

    /** Takes note of what is left behind. */
    static void look(COSDictionary catalog, CarryNotes notes) {
        COSDictionary names = catalog.getCOSDictionary(COSName.NAMES);
        COSDictionary form = catalog.getCOSDictionary(COSName.ACRO_FORM);
        int acting = Actions.countIn(catalog);
        if (catalog.getDictionaryObject(COSName.OPEN_ACTION) instanceof COSDictionary opening && Actions.isForbidden(opening))
            acting++;
        if (names != null) acting += named(names.getDictionaryObject(COSName.JAVA_SCRIPT));
        if (form != null) acting += actionsBelow(form);
        acting += actionsBelow(catalog.getDictionaryObject(COSName.OUTLINES));
        notes.add(Code.ACTIONS_REMOVED, acting);
        if (names != null) notes.add(Code.FILES_LEFT_OUT, named(names.getDictionaryObject(COSName.EMBEDDED_FILES)));
    }

    /** {@return how many entries a name tree (ISO 32000-1:2008, 7.9.6) has} */
    private static int named(@Nullable COSBase tree) {
        int count = 0;
        for (COSDictionary node : below(tree))
            if (node.getCOSArray(COSName.NAMES) != null) count += node.getCOSArray(COSName.NAMES).size() / 2;
        return count;
    }

    /** {@return how many actions fields or bookmarks carry; those of widgets are their pages'} */
    private static int actionsBelow(@Nullable COSBase root) {
        int count = 0;
        for (COSDictionary node : below(root))
            if (!COSName.WIDGET.equals(node.getCOSName(COSName.SUBTYPE))) count += Actions.countIn(node);
        return count;
    }

    private static Set<COSDictionary> below(@Nullable COSBase root) {
        Set<COSDictionary> found = Collections.newSetFromMap(new IdentityHashMap<>());
        Deque<COSBase> open = new ArrayDeque<>();
        if (root != null) open.push(root);
        while (!open.isEmpty() && found.size() < MOST) {
            COSBase next = open.pop();
            if (next instanceof COSArray several) {
                for (int i = 0; i < several.size(); i++) if (several.getObject(i) instanceof COSDictionary one) open.push(one);
            } else if (next instanceof COSDictionary node && found.add(node)) {
                for (COSName name : BELOW) if (node.getDictionaryObject(name) instanceof COSBase more) open.push(more);
            }
        }
        return found;
    }
}
