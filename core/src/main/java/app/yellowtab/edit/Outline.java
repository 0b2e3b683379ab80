package app.yellowtab.edit;

import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.entry.EntryId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Finding one's way in the tree of sections. */
public final class Outline {
    private Outline() {}

    /** {@return where a document stands, or empty if the bundle does not hold it} */
    public static Optional<Place> placeOfDocument(Bundle bundle, EntryId id) {
        for (Optional<EntryId> section : sectionsInOrder(bundle)) {
            List<Document> here = contentsAt(bundle, section).orElseThrow().documents();
            for (int i = 0; i < here.size(); i++) {
                if (here.get(i).id().equals(id)) return Optional.of(new Place(section, i));
            }
        }
        return Optional.empty();
    }

    /** {@return where a section stands, or empty if the bundle does not hold it} */
    public static Optional<Place> placeOfSection(Bundle bundle, EntryId id) {
        for (Optional<EntryId> section : sectionsInOrder(bundle)) {
            List<Section> here = contentsAt(bundle, section).orElseThrow().sections();
            for (int i = 0; i < here.size(); i++) {
                if (here.get(i).id().equals(id)) return Optional.of(new Place(section, i));
            }
        }
        return Optional.empty();
    }

    /** {@return the place outside of any section, then every section, each before its sub-sections} */
    public static List<Optional<EntryId>> sectionsInOrder(Bundle bundle) {
        List<Optional<EntryId>> order = new ArrayList<>();
        order.add(Optional.empty());
        bundle.contents().forEachSection(section -> order.add(Optional.of(section.id())));
        return order;
    }

    /** {@return what stands in a section, or outside of any; empty if the bundle has no such section} */
    public static Optional<Contents> contentsAt(Bundle bundle, Optional<EntryId> section) {
        if (section.isEmpty()) return Optional.of(bundle.contents());
        return find(bundle.contents(), section.get()).map(Section::contents);
    }

    /** {@return the place of a document that is put below a row of the index; without a row, at the very beginning} */
    public static Place documentPlaceBelow(Bundle bundle, Optional<EntryId> row) {
        if (row.isEmpty()) return new Place(Optional.empty(), 0);
        return placeOfDocument(bundle, row.get()).map(at -> new Place(at.section(), at.index() + 1))
                .orElseGet(() -> new Place(row, 0));
    }

    /**
     * {@return the place of a section that is put below a row of the index: behind the section that the row lies in, at
     * the wanted depth, or as near to that as there is a section to hold it}
     *
     * @param depth how many sections it is to lie in
     */
    public static Place sectionPlaceBelow(Bundle bundle, Optional<EntryId> row, int depth) {
        List<EntryId> chain = row.map(id -> chainOf(bundle, id)).orElse(List.of());
        int level = Math.min(depth, chain.size());
        Optional<EntryId> holder = level == 0 ? Optional.empty() : Optional.of(chain.get(level - 1));
        int index = chain.size() > level ? placeOfSection(bundle, chain.get(level)).orElseThrow().index() + 1 : 0;
        return new Place(holder, index);
    }

    /** {@return the sections that an entry lies in, the outermost first; a section lies in itself too} */
    public static List<EntryId> chainOf(Bundle bundle, EntryId id) {
        List<EntryId> chain = new ArrayList<>();
        Optional<EntryId> at = placeOfDocument(bundle, id).map(Place::section).orElse(Optional.of(id));
        while (at.isPresent()) {
            chain.addFirst(at.get());
            at = placeOfSection(bundle, at.get()).flatMap(Place::section);
        }
        return chain;
    }

    /** {@return whether a section is, or lies in, another} */
    static boolean holds(Section outer, EntryId id) {
        return outer.id().equals(id) || find(outer.contents(), id).isPresent();
    }

    private static Optional<Section> find(Contents contents, EntryId id) {
        for (Section section : contents.sections()) {
            if (section.id().equals(id)) return Optional.of(section);
            Optional<Section> inner = find(section.contents(), id);
            if (inner.isPresent()) return inner;
        }
        return Optional.empty();
    }
}
