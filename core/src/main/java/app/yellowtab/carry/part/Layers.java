package app.yellowtab.carry.part;

import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.jspecify.annotations.Nullable;

/**
 * Which layers of a document are hidden when it is opened (optional content, ISO 32000-1:2008, 8.11): on the screen, or on
 * paper. What either would not show is hidden here.
 */
public final class Layers {
    private static final COSName USAGE = COSName.getPDFName("Usage");
    private static final COSName EVENT = COSName.getPDFName("Event");
    private static final COSName CATEGORY = COSName.getPDFName("Category");
    private static final COSName VISIBILITY_EXPRESSION = COSName.getPDFName("VE");
    private static final COSName POLICY = COSName.P;
    private static final COSName MEMBERSHIP = COSName.getPDFName("OCMD");
    private static final COSName INTENT = COSName.getPDFName("Intent");
    private static final int DEEPEST_EXPRESSION = 50;

    private final Set<COSBase> hidden = Collections.newSetFromMap(new IdentityHashMap<>());
    private final boolean any;

    private Layers(boolean any) {
        this.any = any;
    }

    /** Reads the default configuration (8.11.4.3) of a document's catalog. */
    public static Layers of(COSDictionary catalog) {
        COSDictionary properties = catalog.getCOSDictionary(COSName.OCPROPERTIES);
        COSArray all = properties == null ? null : properties.getCOSArray(COSName.OCGS);
        if (properties == null || all == null || all.size() == 0) return new Layers(false);
        Layers layers = new Layers(true);
        COSDictionary standard = properties.getCOSDictionary(COSName.D);
        if (standard == null) return layers;
        boolean offUnlessOn = COSName.OFF.equals(standard.getDictionaryObject(COSName.BASE_STATE));
        Set<COSBase> off = members(standard.getCOSArray(COSName.OFF));
        Set<COSBase> on = members(standard.getCOSArray(COSName.ON));
        for (COSBase layer : members(all)) {
            if (!(layer instanceof COSDictionary group) || !isForViewing(group)) continue;
            boolean configured = offUnlessOn ? !on.contains(layer) : off.contains(layer);
            if (usage(standard, group, "View", configured) || usage(standard, group, "Print", configured))
                layers.hidden.add(layer);
        }
        return layers;
    }

    /** A group that is only about the design of the document does not hide anything (8.11.2.3). */
    private static boolean isForViewing(COSDictionary group) {
        COSBase intent = group.getDictionaryObject(INTENT);
        Set<COSBase> intents = intent instanceof COSArray several ? members(several) : intent == null ? Set.of() : Set.of(intent);
        return intents.isEmpty() || intents.contains(COSName.getPDFName("View")) || intents.contains(COSName.getPDFName("All"));
    }

    /** {@return whether a group is hidden at an event: usage application dictionaries (8.11.4.4) go before the configuration} */
    private static boolean usage(COSDictionary standard, COSDictionary group, String event, boolean configured) {
        COSArray applications = standard.getCOSArray(COSName.AS);
        boolean hidden = configured;
        for (int i = 0; applications != null && i < applications.size(); i++) {
            if (!(applications.getObject(i) instanceof COSDictionary application)) continue;
            if (!event.equals(application.getNameAsString(EVENT))
                    || !members(application.getCOSArray(COSName.OCGS)).contains(group)
                    || !members(application.getCOSArray(CATEGORY)).contains(COSName.getPDFName(event)))
                continue;
            COSDictionary usage = group.getCOSDictionary(USAGE);
            COSDictionary forEvent = usage == null ? null : usage.getCOSDictionary(COSName.getPDFName(event));
            String state = forEvent == null ? null : forEvent.getNameAsString(event + "State");
            if (state != null) hidden = state.equals("OFF");
        }
        return hidden;
    }

    private static Set<COSBase> members(@Nullable COSArray array) {
        Set<COSBase> members = Collections.newSetFromMap(new IdentityHashMap<>());
        for (int i = 0; array != null && i < array.size(); i++) {
            COSBase member = array.getObject(i);
            if (member != null) members.add(member);
        }
        return members;
    }

    /** {@return whether the document has any layers} */
    public boolean any() {
        return any;
    }

    /** {@return whether what belongs to a group or to a membership dictionary (8.11.2.2) is hidden} */
    public boolean isHidden(@Nullable COSBase layer) {
        if (!(layer instanceof COSDictionary dictionary)) return false;
        if (!MEMBERSHIP.equals(dictionary.getDictionaryObject(COSName.TYPE))) return hidden.contains(dictionary);
        COSArray expression = dictionary.getCOSArray(VISIBILITY_EXPRESSION);
        if (expression != null && expression.size() > 0) return !isTrue(expression, 0);
        COSBase groups = dictionary.getDictionaryObject(COSName.OCGS);
        List<COSBase> members =
                groups instanceof COSArray several ? List.copyOf(members(several)) : groups == null ? List.of() : List.of(groups);
        if (members.isEmpty()) return false;
        String policy = dictionary.getNameAsString(POLICY);
        return !switch (policy == null ? "AnyOn" : policy) {
            case "AllOn" -> members.stream().noneMatch(hidden::contains);
            case "AnyOff" -> members.stream().anyMatch(hidden::contains);
            case "AllOff" -> members.stream().allMatch(hidden::contains);
            default -> members.stream().anyMatch(member -> !hidden.contains(member));
        };
    }

    private boolean isTrue(COSBase expression, int depth) {
        if (!(expression instanceof COSArray terms) || terms.size() == 0 || depth > DEEPEST_EXPRESSION)
            return !hidden.contains(expression);
        String operator = terms.getName(0);
        boolean all = "And".equals(operator);
        boolean not = "Not".equals(operator);
        for (int i = 1; i < terms.size(); i++) {
            boolean term = isTrue(terms.getObject(i), depth + 1);
            if (not) return !term;
            if (term != all) return term;
        }
        return all;
    }
}
