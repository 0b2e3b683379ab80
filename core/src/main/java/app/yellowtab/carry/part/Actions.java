package app.yellowtab.carry.part;

import java.util.Set;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.jspecify.annotations.Nullable;

/** Actions (ISO 32000-1:2008, 12.6): what a bundle may keep of them. */
public final class Actions {
    /** They run or fetch something, or change what is seen; no bundle has any. */
    private static final Set<String> FORBIDDEN =
            Set.of("JavaScript", "Launch", "SubmitForm", "ImportData", "ResetForm", "Rendition", "Movie",
                    "Sound", "GoTo3DView", "RichMediaExecute", "Hide", "SetOCGState", "Named", "Thread", "GoToDp");

    private Actions() {}

    /** {@return the kind of an action, such as "URI"; empty where there is none} */
    public static String kind(@Nullable COSDictionary action) {
        String kind = action == null ? null : action.getNameAsString(COSName.S);
        return kind == null ? "" : kind;
    }

    /** {@return whether a dictionary is an action that no bundle may have, or carries actions of its own accord} */
    public static boolean isForbidden(COSDictionary dictionary) {
        if (FORBIDDEN.contains(kind(dictionary))) return true;
        return dictionary.getDictionaryObject(COSName.AA) instanceof COSDictionary several && several.keySet().stream()
                .anyMatch(event -> several.getDictionaryObject(event) instanceof COSDictionary action && !kind(action).isEmpty());
    }

    /** {@return how many actions a dictionary carries that run by themselves or are its own and not allowed} */
    public static int countIn(COSDictionary dictionary) {
        COSDictionary own = dictionary.getDictionaryObject(COSName.A) instanceof COSDictionary action ? action : null;
        COSDictionary additional = dictionary.getDictionaryObject(COSName.AA) instanceof COSDictionary several ? several : null;
        return (own != null && isForbidden(own) ? 1 : 0) + (additional == null ? 0 : additional.size());
    }
}
