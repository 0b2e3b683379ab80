package app.yellowtab.input;

import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.Collections;
import java.util.Deque;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.jspecify.annotations.Nullable;

/**
 * What the names of a document's destinations stand for (ISO 32000-1:2008, 12.3.2.3): a name tree, or in older files a
 * dictionary. An entry that makes no sense harms no other. Read when the first name is asked for. For one thread.
 */
public final class NamedDestinations {
    private static final int MOST = 500_000;

    private final COSDictionary catalog;
    private @Nullable Map<String, COSArray> known;

    public NamedDestinations(PDDocument document) {
        this.catalog = document.getDocumentCatalog().getCOSObject();
    }

    /**
     * {@return the explicit destination (12.3.2.2), a page and how it is shown; empty where there is none}
     *
     * @param wanted an explicit destination, or the name of one, or what a name stands for
     */
    public Optional<COSArray> explicit(@Nullable COSBase wanted) {
        if (wanted instanceof COSString name) return Optional.ofNullable(all().get(key(name.getBytes())));
        if (wanted instanceof COSName name)
            return Optional.ofNullable(all().get(key(name.getName().getBytes(StandardCharsets.UTF_8))));
        return direct(wanted);
    }

    private static Optional<COSArray> direct(@Nullable COSBase value) {
        if (value instanceof COSDictionary dictionary)
            return direct(dictionary.getDictionaryObject(COSName.D) instanceof COSArray array ? array : null);
        return value instanceof COSArray array && array.size() > 0 ? Optional.of(array) : Optional.empty();
    }

    private static String key(byte[] name) {
        return new String(name, StandardCharsets.ISO_8859_1);
    }

    private Map<String, COSArray> all() {
        Map<String, COSArray> all = known;
        if (all == null) known = all = read();
        return all;
    }

    private Map<String, COSArray> read() {
        Map<String, COSArray> all = new HashMap<>();
        COSDictionary older = catalog.getCOSDictionary(COSName.DESTS);
        if (older != null) {
            for (COSName name : older.keySet()) direct(older.getDictionaryObject(name))
                    .ifPresent(to -> all.put(key(name.getName().getBytes(StandardCharsets.UTF_8)), to));
        }
        COSDictionary names = catalog.getCOSDictionary(COSName.NAMES);
        Set<COSDictionary> seen = Collections.newSetFromMap(new IdentityHashMap<>());
        Deque<COSDictionary> open = new ArrayDeque<>();
        if (names != null && names.getCOSDictionary(COSName.DESTS) != null) open.push(names.getCOSDictionary(COSName.DESTS));
        while (!open.isEmpty() && all.size() < MOST) {
            COSDictionary node = open.pop();
            if (!seen.add(node)) continue;
            COSArray kids = node.getCOSArray(COSName.KIDS);
            for (int i = 0; kids != null && i < kids.size(); i++)
                if (kids.getObject(i) instanceof COSDictionary kid) open.push(kid);
            COSArray pairs = node.getCOSArray(COSName.NAMES);
            for (int i = 0; pairs != null && i + 1 < pairs.size(); i += 2) {
                if (pairs.getObject(i) instanceof COSString name)
                    direct(pairs.getObject(i + 1)).ifPresent(to -> all.put(key(name.getBytes()), to));
            }
        }
        return all;
    }
}
