package app.yellowtab.output;

import app.yellowtab.input.QuickHash;
import app.yellowtab.input.RawBytes;
import java.io.IOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.HexFormat;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNull;
import org.apache.pdfbox.cos.COSObject;
import org.apache.pdfbox.cos.COSStream;
import org.jspecify.annotations.Nullable;

/**
 * The objects of one document that pages reach, each once, those it is made of before it, with fingerprints. Pages
 * themselves are never reached, only what stands for them. Works through a stack of its own, so that a chain of any length
 * is survived. For one thread at a time.
 */
public final class ObjectGraph {
    /** Says what stands for a page or for one of our fonts. */
    @FunctionalInterface
    public interface StandIns {
        /**
         * {@return an {@link ObjectNumber}, a {@link FontReference}, {@code COSNull} for a page that is not in the bundle,
         * or null for any other object}
         *
         * @param item a reference or the object itself
         */
        @Nullable
        COSBase of(COSBase item);
    }

    private static final Set<COSName> TABLES =
            Set.of(COSName.FONT, COSName.XOBJECT, COSName.EXT_G_STATE, COSName.COLORSPACE, COSName.PATTERN,
                    COSName.SHADING, COSName.PROPERTIES);

    private final StandIns standIns;
    private final Set<COSName> leftBehind;
    /** Dictionaries whose names are chosen freely (ISO 32000-1:2008, 7.8.3); nothing is left behind of them. */
    private final Set<COSBase> nameTables = Collections.newSetFromMap(new IdentityHashMap<>());
    private final Map<COSBase, Reached> reached = new IdentityHashMap<>();
    private final Set<COSObject> broken = Collections.newSetFromMap(new IdentityHashMap<>());
    private final ByteSink text = new ByteSink();
    private final Sha256 sha256 = new Sha256();
    private final Reached.Filler byFingerprint = new Reached.Fingerprints() {
        @Override
        public void reached(Reached object, ByteSink out) {
            out.write(Objects.requireNonNull(object.fingerprint));
        }
    };

    /** @param leftBehind names of entries that are passed over in every dictionary */
    public ObjectGraph(StandIns standIns, Set<COSName> leftBehind) {
        this.standIns = standIns;
        this.leftBehind = leftBehind;
    }

    /** {@return a graph of objects that refer to no pages and no fonts of ours but by what stands for them} */
    public static ObjectGraph plain() {
        return new ObjectGraph(item -> null, Set.of());
    }

    /** {@return how many objects were referred to and could not be read} */
    public int unreadable() {
        return broken.size();
    }

    /**
     * What was reached from an object.
     *
     * @param root  the object itself
     * @param fresh what was not reached before, each after what it is made of; the root is not among them
     */
    public record Reach(Reached root, List<Reached> fresh) {
        /**
         * {@return all that the object needs, whether it was reached before or not, and how many bytes each takes at most}
         *
         * @param ofRoot what the object itself takes beside its written form
         */
        public Sizes sizes(long ofRoot) {
            Set<Reached> all = Collections.newSetFromMap(new IdentityHashMap<>());
            Deque<Reached> open = new ArrayDeque<>(List.of(root));
            while (!open.isEmpty()) {
                Reached next = open.pop();
                if (all.add(next)) next.needed().forEach(open::push);
            }
            long[] things = new long[all.size()];
            long[] bytes = new long[all.size()];
            boolean[] packed = new boolean[all.size()];
            int at = 0;
            for (Reached one : all) {
                packed[at] = one.stream() == null;
                things[at] = one.identity();
                bytes[at++] = one.mostBytes() + (one == root ? ofRoot : 0);
            }
            return new Sizes(things, bytes, packed);
        }
    }

    /**
     * Objects, and how many bytes each takes in a file at most.
     *
     * @param things what tells each from the others; the same for what is written once because it is alike
     * @param packed whether it is packed with others, and takes less then
     */
    public record Sizes(long[] things, long[] bytes, boolean[] packed) {}

    /**
     * Reaches all that an object needs.
     *
     * @throws IOException if something cannot be read; it is then as if nothing had been reached
     */
    public Reach reach(COSDictionary root) throws IOException {
        List<Reached> fresh = new ArrayList<>();
        Deque<Visit> open = new ArrayDeque<>();
        boolean whole = false;
        try {
            Reached top = read(root);
            open.push(new Visit(top));
            while (true) {
                Visit place = open.element();
                if (place.next < place.object.gapCount()) {
                    enter(place.object, place.next++, open);
                } else {
                    open.pop();
                    if (open.isEmpty()) break;
                    close(place.object, fresh);
                    open.element().object.isCyclic |= place.object.isCyclic;
                }
            }
            whole = true;
            return new Reach(top, fresh);
        } finally {
            if (!whole) {
                fresh.forEach(object -> reached.remove(object.base()));
                open.forEach(place -> reached.remove(place.object.base()));
            }
        }
    }

    private Reached read(COSBase object) throws IOException {
        text.clear();
        List<ObjectText.Gap> gaps = new ArrayList<>(4);
        new ObjectText(this, text, gaps).write(object, 0);
        return new Reached(object, text.copy(), gaps);
    }

    private void enter(Reached parent, int gap, Deque<Visit> open) throws IOException {
        COSBase child = parent.target(gap);
        if (child instanceof ObjectNumber || child instanceof FontReference) return;
        Reached known = reached.get(child);
        if (known == null) {
            known = read(child);
            reached.put(child, known);
            open.push(new Visit(known));
        } else {
            parent.isCyclic |= known.isOpen || known.isCyclic;
        }
        parent.lead(gap, known);
    }

    private void close(Reached object, List<Reached> fresh) throws IOException {
        object.isOpen = false;
        COSStream stream = object.stream();
        if (stream != null) readRaw(object, stream);
        if (!object.isCyclic) {
            text.clear();
            object.write(text, byFingerprint);
            text.text(object.rawHash);
            object.fingerprint = sha256.of(text.content());
        }
        fresh.add(object);
    }

    private static void readRaw(Reached object, COSStream stream) throws IOException {
        QuickHash hash = new QuickHash();
        RawBytes.of(stream, (bytes, offset, length) -> {
            hash.update(bytes, offset, length);
            object.rawLength += length;
        });
        object.rawHash = hash.hex();
    }

    /**
     * {@return the fingerprint of a leaf: of all that it holds and reaches, whatever the objects' numbers are} Streams stand
     * in it with their dictionary and the quick hash of their stored bytes, leaves with their bundle number, our fonts with
     * their name.
     */
    public String fingerprintOf(Reach leaf) {
        Map<Reached, Integer> visited = new IdentityHashMap<>();
        Deque<Reached> cyclic = new ArrayDeque<>();
        Reached.Filler filler = new Reached.Fingerprints() {
            @Override
            public void reached(Reached object, ByteSink out) {
                if (object.fingerprint != null) {
                    out.write(object.fingerprint);
                    return;
                }
                Integer place = visited.get(object);
                if (place == null) {
                    place = visited.size();
                    visited.put(object, place);
                    cyclic.add(object);
                }
                out.text("object ");
                out.number(place);
            }
        };
        text.clear();
        leaf.root().write(text, filler);
        for (Reached object; (object = cyclic.poll()) != null;) {
            object.write(text, filler);
            text.text(object.rawHash);
        }
        return HexFormat.of().formatHex(sha256.of(text.content()));
    }

    /** {@return what an item stands for: its object, or what stands for a page or font} */
    COSBase resolve(COSBase item) {
        COSBase real = item;
        if (item instanceof COSObject reference) {
            COSBase standIn = standIns.of(item);
            if (standIn != null) return standIn;
            real = reference.getObject();
            if (real == null) broken.add(reference);
            if (real == null || real instanceof COSObject) return COSNull.NULL;
        } else if (item instanceof COSDictionary && !(item instanceof ObjectNumber)) {
            COSBase standIn = standIns.of(item);
            if (standIn != null) return standIn;
        }
        return real;
    }

    /** Takes note of what a dictionary holds under a name, before that is read itself. */
    void enters(COSName name, COSBase value) {
        if (TABLES.contains(name) && value instanceof COSDictionary && !(value instanceof COSStream)) nameTables.add(value);
    }

    boolean leavesBehind(COSDictionary dictionary, COSName name) {
        return leftBehind.contains(name) && !nameTables.contains(dictionary)
                || name.equals(COSName.LENGTH) && dictionary instanceof COSStream;
    }

    /** An object under way, and which of its gaps comes next. */
    private static final class Visit {
        private final Reached object;
        private int next;

        Visit(Reached object) {
            this.object = object;
        }
    }
}
