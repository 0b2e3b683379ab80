package app.yellowtab.carry;

import app.yellowtab.carry.part.CarryNotes;
import app.yellowtab.carry.part.PageContents;
import app.yellowtab.content.ContentScan;
import app.yellowtab.content.ResourceName;
import java.io.IOException;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.jspecify.annotations.Nullable;

/**
 * Leaves of resources (ISO 32000-1:2008, 7.8.3) what is drawn with, so that a page does not carry along what other pages
 * show: of a page's own, and of the forms, patterns, glyphs and soft masks that it reaches. Where content cannot be
 * followed, all that it could use stays. CarryNotes the open document; its file is not touched. For one thread.
 */
final class UsedResources {
    private static final List<COSName> KINDS =
            List.of(COSName.FONT, COSName.XOBJECT, COSName.EXT_G_STATE, COSName.COLORSPACE, COSName.PATTERN,
                    COSName.SHADING, COSName.PROPERTIES);
    /** They stand for the device's colours without being named (8.6.5.6). */
    private static final Set<String> DEFAULT_COLOURS = Set.of("DefaultGray", "DefaultRGB", "DefaultCMYK");
    private static final COSName SOFT_MASK_GROUP = COSName.G;
    private static final COSName CHAR_PROCS = COSName.getPDFName("CharProcs");
    /** Forms in forms deeper than this are no honest file's; there all stays. */
    private static final int DEEPEST = 40;

    private final Map<COSBase, Borrowed> known = new IdentityHashMap<>();

    /**
     * What something with content of its own needs of the resources that it is drawn with.
     *
     * @param all        whether that cannot be told, so that all of them must stay
     * @param isFollowed whether all content in it was sound
     */
    private record Borrowed(Set<ResourceName> names, boolean all, boolean isFollowed) {
        private static final Borrowed NOTHING = new Borrowed(Set.of(), false, true);
    }

    /**
     * What is left of resources.
     *
     * @param isFollowed whether all content that can draw with them is sound; where it is not, more may have stayed than is used
     */
    record Left(COSDictionary resources, boolean isFollowed) {}

    /**
     * {@return what a page needs of its resources, in a dictionary of its own}
     *
     * @param appearances what its annotations draw
     */
    Left of(COSDictionary resources, ContentScan content, List<COSStream> appearances) {
        Set<ResourceName> names = new HashSet<>(content.names());
        boolean all = !content.isSound();
        boolean followed = content.isSound();
        for (COSStream appearance : appearances) {
            Borrowed borrowed = form(appearance, 0);
            names.addAll(borrowed.names);
            all |= borrowed.all;
            followed &= borrowed.isFollowed;
        }
        Table table = new Table(resources, 0);
        table.take(names, all);
        return new Left(table.left, followed && table.followed);
    }

    /** Resources that are being gone through. */
    private final class Table {
        private final COSDictionary from;
        private final COSDictionary left = new COSDictionary();
        private final int depth;
        private final Set<ResourceName> elsewhere = new HashSet<>();
        private boolean followed = true;

        Table(COSDictionary from, int depth) {
            this.from = from;
            this.depth = depth;
        }

        void take(Set<ResourceName> names, boolean all) {
            Deque<ResourceName> open = new ArrayDeque<>(names);
            boolean everything = all;
            if (all) everyName(open);
            COSDictionary colours = from.getCOSDictionary(COSName.COLORSPACE);
            if (colours != null) for (COSName name : colours.keySet())
                if (DEFAULT_COLOURS.contains(name.getName())) open.add(new ResourceName(COSName.COLORSPACE, name));
            Set<ResourceName> seen = new HashSet<>();
            for (ResourceName next; (next = open.poll()) != null;) {
                if (!seen.add(next)) continue;
                COSDictionary named = from.getCOSDictionary(next.kind());
                COSBase item = named == null ? null : named.getItem(next.name());
                if (item == null) {
                    elsewhere.add(next);
                    continue;
                }
                own(next.kind()).setItem(next.name(), item);
                Borrowed borrowed = drawnBy(next.kind(), named.getDictionaryObject(next.name()), depth + 1);
                open.addAll(borrowed.names);
                followed &= borrowed.isFollowed;
                if (borrowed.all && !everything) {
                    everything = true;
                    everyName(open);
                }
            }
        }

        private void everyName(Deque<ResourceName> open) {
            for (COSName kind : KINDS) {
                COSDictionary named = from.getCOSDictionary(kind);
                if (named != null) for (COSName name : named.keySet()) open.add(new ResourceName(kind, name));
            }
        }

        private COSDictionary own(COSName kind) {
            COSDictionary own = left.getCOSDictionary(kind);
            if (own == null) left.setItem(kind, own = new COSDictionary());
            return own;
        }
    }

    private Borrowed drawnBy(COSName kind, @Nullable COSBase item, int depth) {
        if (item instanceof COSStream stream) {
            boolean draws = kind.equals(COSName.PATTERN)
                    || kind.equals(COSName.XOBJECT) && !COSName.IMAGE.equals(stream.getCOSName(COSName.SUBTYPE));
            return draws ? form(stream, depth) : Borrowed.NOTHING;
        }
        if (!(item instanceof COSDictionary dictionary)) return Borrowed.NOTHING;
        if (kind.equals(COSName.EXT_G_STATE)) return graphicsState(dictionary, depth);
        if (kind.equals(COSName.PATTERN) && dictionary.getCOSDictionary(COSName.EXT_G_STATE) != null)
            return graphicsState(dictionary.getCOSDictionary(COSName.EXT_G_STATE), depth);
        return kind.equals(COSName.FONT) ? font(dictionary, depth) : Borrowed.NOTHING;
    }

    private Borrowed graphicsState(COSDictionary state, int depth) {
        COSDictionary mask = state.getCOSDictionary(COSName.SMASK);
        Borrowed drawn = mask != null && mask.getDictionaryObject(SOFT_MASK_GROUP) instanceof COSStream group ? form(group, depth)
                : Borrowed.NOTHING;
        if (!(state.getDictionaryObject(COSName.FONT) instanceof COSArray font)
                || !(font.getObject(0) instanceof COSDictionary face))
            return drawn;
        return both(drawn, font(face, depth));
    }

    private static Borrowed both(Borrowed one, Borrowed other) {
        Set<ResourceName> names = new HashSet<>(one.names);
        names.addAll(other.names);
        return new Borrowed(names, one.all || other.all, one.isFollowed && other.isFollowed);
    }

    /** The glyphs of a Type 3 font are content (9.6.5). */
    private Borrowed font(COSDictionary font, int depth) {
        COSDictionary glyphs = font.getCOSDictionary(CHAR_PROCS);
        if (glyphs == null || !COSName.TYPE3.equals(font.getCOSName(COSName.SUBTYPE))) return Borrowed.NOTHING;
        Borrowed before = known.putIfAbsent(font, Borrowed.NOTHING);
        if (before != null) return before;
        Set<ResourceName> names = new HashSet<>();
        boolean sound = true;
        for (COSName name : glyphs.keySet()) {
            if (!(glyphs.getDictionaryObject(name) instanceof COSStream glyph)) continue;
            ContentScan scan = scan(glyph);
            names.addAll(scan.names());
            sound &= scan.isSound();
        }
        return settle(font, names, sound, depth);
    }

    private Borrowed form(COSStream form, int depth) {
        Borrowed before = known.putIfAbsent(form, Borrowed.NOTHING);
        if (before != null) return before;
        ContentScan scan = scan(form);
        return settle(form, scan.names(), scan.isSound(), depth);
    }

    /**
     * Where something has resources of its own, they are cut down; what they lack is looked for by some viewers in those outside.
     */
    private Borrowed settle(COSDictionary holder, Set<ResourceName> names, boolean sound, int depth) {
        COSDictionary own = holder.getCOSDictionary(COSName.RESOURCES);
        Borrowed borrowed;
        if (own == null) {
            borrowed = new Borrowed(names, !sound, sound);
        } else if (depth > DEEPEST) {
            borrowed = new Borrowed(Set.of(), false, false);
        } else {
            Table table = new Table(own, depth);
            table.take(names, !sound);
            holder.setItem(COSName.RESOURCES, table.left);
            borrowed = new Borrowed(table.elsewhere, false, sound && table.followed);
        }
        known.put(holder, borrowed);
        return borrowed;
    }

    private static ContentScan scan(COSStream content) {
        try {
            return ContentScan.of(PageContents.unpacked(List.of(content)));
        } catch (IOException tooMuch) {
            return NOT_FOLLOWED;
        }
    }

    private static final ContentScan NOT_FOLLOWED = new ContentScan(0, 0, false, false, Set.of());
}
