package app.yellowtab.plan;

import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.NumberRanges;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.number.MarkedPages;
import app.yellowtab.model.number.PageKind;
import app.yellowtab.model.source.SourceId;
import java.util.BitSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Which leaves of a plan marks are set on.
 *
 * @param leaves their indexes; empty for all
 */
record Reach(Optional<BitSet> leaves) {
    static final Reach ALL = new Reach(Optional.empty());

    /** {@return the leaves that are meant} What only paper has bears no marks. */
    static Reach of(MarkedPages pages, List<Leaf> leaves, List<PlannedEntry> entries) {
        if (pages.equals(MarkedPages.ALL)) return ALL;
        Set<PageKind> not = Set.copyOf(pages.not());
        Set<SourceId> sources = Set.copyOf(pages.sources());
        Set<EntryId> named = documents(pages.entries(), entries);
        BitSet numbered = pages.numbers().isBlank() ? new BitSet() : NumberRanges.read(pages.numbers(), leaves).leaves();
        BitSet reached = new BitSet(leaves.size());
        for (Leaf leaf : leaves) {
            if (kind(leaf.content()).filter(not::contains).isPresent()) continue;
            boolean isNamed =
                    !pages.isPart() || numbered.get(leaf.index()) || entry(leaf.content()).filter(named::contains).isPresent()
                            || leaf.content() instanceof Content.SourcePage page && sources.contains(page.source());
            if (isNamed) reached.set(leaf.index());
        }
        return new Reach(Optional.of(reached));
    }

    boolean has(int leaf) {
        return leaves.isEmpty() || leaves.get().get(leaf);
    }

    /** {@return the kind of page that a leaf is, if it is one that marks can be kept off} */
    private static Optional<PageKind> kind(Content content) {
        return switch (content) {
            case Content.Cover c -> Optional.of(PageKind.COVER);
            case Content.IndexSheet i -> Optional.of(PageKind.INDEX);
            case Content.SectionTitle s -> Optional.of(PageKind.TITLES);
            case Content.Divider d -> Optional.of(PageKind.TITLES);
            case Content.TabSheet t -> Optional.of(PageKind.TITLES);
            case Content.FrontSheet f -> Optional.of(PageKind.TITLES);
            case Content.Blank b -> Optional.of(PageKind.BLANKS);
            case Content.Slip s -> Optional.of(PageKind.PLACEHOLDERS);
            case Content.Withheld w -> Optional.empty();
            case Content.FileSheet f -> Optional.of(PageKind.PLACEHOLDERS);
            case Content.SourcePage p -> Optional.empty();
        };
    }

    /** {@return the section or document that a leaf belongs to} */
    static Optional<EntryId> entry(Content content) {
        return switch (content) {
            case Content.Cover c -> Optional.empty();
            case Content.IndexSheet i -> Optional.empty();
            case Content.SectionTitle s -> Optional.of(s.section());
            case Content.Divider d -> Optional.of(d.next());
            case Content.TabSheet t -> Optional.of(t.entry());
            case Content.Blank b -> Optional.of(b.document());
            case Content.Slip s -> Optional.of(s.document());
            case Content.Withheld w -> Optional.of(w.document());
            case Content.FrontSheet f -> Optional.of(f.document());
            case Content.FileSheet f -> Optional.of(f.document());
            case Content.SourcePage s -> Optional.of(s.document());
        };
    }

    /** {@return the entries that are named, of sections with all that is in them} */
    private static Set<EntryId> documents(List<EntryId> named, List<PlannedEntry> entries) {
        if (named.isEmpty()) return Set.of();
        Set<EntryId> wanted = Set.copyOf(named);
        Set<EntryId> all = new HashSet<>();
        int within = -1;
        for (PlannedEntry entry : entries) {
            if (within >= 0 && entry.depth() <= within) within = -1;
            if (within < 0 && entry instanceof PlannedEntry.PlannedSection && wanted.contains(entry.id())) within = entry.depth();
            if (within >= 0 || wanted.contains(entry.id())) all.add(entry.id());
        }
        return all;
    }
}
