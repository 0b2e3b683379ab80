package app.yellowtab.model.number;

import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.source.SourceId;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/**
 * Which pages bear marks. With numbers, entries and sources all empty, all pages do, but for the kinds that are left out.
 *
 * @param numbers stretches of pages by the bundle's numbers, as they are typed, such as "4-25, B3-B10"
 * @param entries documents and sections
 * @param sources files, wherever their pages stand
 * @param not     kinds of page that bear none
 */
public record MarkedPages(String numbers, List<EntryId> entries, List<SourceId> sources, List<PageKind> not) {
    /** All. */
    public static final MarkedPages ALL = new MarkedPages("", List.of(), List.of(), List.of());

    public MarkedPages {
        Objects.requireNonNull(numbers, "numbers");
        entries = List.copyOf(entries);
        sources = List.copyOf(sources);
        not = List.copyOf(not);
    }

    /** {@return the pages of documents and sections} */
    public static MarkedPages of(List<EntryId> entries) {
        return new MarkedPages("", entries, List.of(), List.of());
    }

    /** {@return whether they are named rather than all} */
    public boolean isPart() {
        return !(numbers.isBlank() && entries.isEmpty() && sources.isEmpty());
    }

    /** {@return the same kinds left out, and all other pages} */
    public MarkedPages all() {
        return new MarkedPages("", List.of(), List.of(), not);
    }

    /** {@return the same with a kind of page left out, or not} */
    public MarkedPages without(PageKind kind, boolean left) {
        List<PageKind> kinds = new ArrayList<>(not);
        kinds.remove(kind);
        if (left) kinds.add(kind);
        kinds.sort(null);
        return new MarkedPages(numbers, entries, sources, kinds);
    }
}
