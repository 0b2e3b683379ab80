package app.yellowtab.edit;

import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.entry.EntryId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The moves of the arrow keys: up, down, in and out, for one entry or several at once.
 * Where sections are chosen they move, with all that is in them; otherwise the chosen documents do, as one block.
 */
public final class Moves {
    private Moves() {}

    /** {@return the bundle with the entries one step nearer its beginning} */
    public static Bundle up(Bundle bundle, Set<EntryId> ids) {
        List<Section> sections = Edits.topmost(bundle.contents(), ids);
        if (!sections.isEmpty()) {
            Place first = Outline.placeOfSection(bundle, sections.getFirst().id()).orElseThrow();
            return first.index() == 0 ? bundle : Edits.moveSections(bundle, ids, new Place(first.section(), first.index() - 1));
        }
        List<Place> places = documentPlaces(bundle, ids);
        if (places.isEmpty()) return bundle;
        Place first = places.getFirst();
        if (first.index() > 0) return Edits.moveDocuments(bundle, ids, new Place(first.section(), first.index() - 1));
        return neighbour(bundle, first.section(), -1)
                .map(section -> Edits.moveDocuments(bundle, ids, endOf(bundle, section))).orElse(bundle);
    }

    /** {@return the bundle with the entries one step nearer its end} */
    public static Bundle down(Bundle bundle, Set<EntryId> ids) {
        List<Section> sections = Edits.topmost(bundle.contents(), ids);
        if (!sections.isEmpty()) {
            Place last = Outline.placeOfSection(bundle, sections.getLast().id()).orElseThrow();
            int size = Outline.contentsAt(bundle, last.section()).orElseThrow().sections().size();
            return last.index() == size - 1 ? bundle
                    : Edits.moveSections(bundle, ids, new Place(last.section(), last.index() + 2));
        }
        List<Place> places = documentPlaces(bundle, ids);
        if (places.isEmpty()) return bundle;
        Place last = places.getLast();
        if (last.index() + 1 < endOf(bundle, last.section()).index()) {
            return Edits.moveDocuments(bundle, ids, new Place(last.section(), last.index() + 2));
        }
        return neighbour(bundle, last.section(), 1)
                .map(section -> Edits.moveDocuments(bundle, ids, new Place(section, 0))).orElse(bundle);
    }

    /**
     * {@return the bundle with the entries one level deeper: a section under the one before it, a document into the sub-section
     * that follows}
     */
    public static Bundle in(Bundle bundle, Set<EntryId> ids) {
        List<Section> sections = Edits.topmost(bundle.contents(), ids);
        if (!sections.isEmpty()) {
            Place first = Outline.placeOfSection(bundle, sections.getFirst().id()).orElseThrow();
            if (first.index() == 0) return bundle;
            Section before = Outline.contentsAt(bundle, first.section()).orElseThrow().sections().get(first.index() - 1);
            return Edits.moveSections(bundle, ids, new Place(Optional.of(before.id()), before.contents().sections().size()));
        }
        List<Place> places = documentPlaces(bundle, ids);
        if (places.isEmpty()) return bundle;
        List<Section> below = Outline.contentsAt(bundle, places.getLast().section()).orElseThrow().sections();
        return below.isEmpty() ? bundle
                : Edits.moveDocuments(bundle, ids, new Place(Optional.of(below.getFirst().id()), 0));
    }

    /** {@return the bundle with the entries one level further out: after the section that held them} */
    public static Bundle out(Bundle bundle, Set<EntryId> ids) {
        List<Section> sections = Edits.topmost(bundle.contents(), ids);
        Optional<EntryId> holder = sections.isEmpty()
                ? documentPlaces(bundle, ids).stream().findFirst().flatMap(Place::section)
                : Outline.placeOfSection(bundle, sections.getFirst().id()).flatMap(Place::section);
        if (holder.isEmpty()) return bundle;
        Place outer = Outline.placeOfSection(bundle, holder.get()).orElseThrow();
        return sections.isEmpty()
                ? Edits.moveDocuments(bundle, ids, endOf(bundle, outer.section()))
                : Edits.moveSections(bundle, ids, new Place(outer.section(), outer.index() + 1));
    }

    private static List<Place> documentPlaces(Bundle bundle, Set<EntryId> ids) {
        List<Place> places = new ArrayList<>();
        for (Optional<EntryId> section : Outline.sectionsInOrder(bundle)) {
            List<Document> here = Outline.contentsAt(bundle, section).orElseThrow().documents();
            for (int i = 0; i < here.size(); i++) {
                if (ids.contains(here.get(i).id())) places.add(new Place(section, i));
            }
        }
        return places;
    }

    private static Place endOf(Bundle bundle, Optional<EntryId> section) {
        return new Place(section, Outline.contentsAt(bundle, section).orElseThrow().documents().size());
    }

    private static Optional<Optional<EntryId>> neighbour(Bundle bundle, Optional<EntryId> section, int step) {
        List<Optional<EntryId>> order = Outline.sectionsInOrder(bundle);
        int at = order.indexOf(section) + step;
        return at < 0 || at >= order.size() ? Optional.empty() : Optional.of(order.get(at));
    }
}
