package app.yellowtab.edit;

import app.yellowtab.edit.repage.Carrying;
import app.yellowtab.edit.repage.Repaging;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.InTray;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/** The edits: each makes a new bundle from an old one, and gives the old one back where there is nothing to do. */
public final class Edits {
    private Edits() {}

    /** {@return the bundle with more sources, which lie in the tray} */
    public static Bundle addSources(Bundle bundle, List<Source> added) {
        List<Source> all = new ArrayList<>(bundle.sources());
        all.addAll(added);
        return bundle.withSources(all);
    }

    /**
     * {@return the bundle with what lay inside a file that could not be opened before} It follows the document of that file, and
     * belongs to it; where this is not in the index, it lies in the tray. What came before does not come
     * again, nor does anything of a file that was taken away.
     *
     * @param documents that the files inside are made
     */
    public static Bundle follow(Bundle bundle, SourceId file, List<Source> inside, List<Document> documents) {
        boolean known = bundle.sources().stream().anyMatch(source -> source.about().attachedTo().equals(file.value()));
        boolean gone = bundle.sources().stream().noneMatch(source -> source.id().equals(file));
        if (known || gone || inside.isEmpty()) return bundle;
        Bundle with = addSources(bundle, inside);
        Optional<Document> owner = bundle.contents().allDocuments().stream()
                .filter(document -> document.sources().contains(file)).findFirst();
        return owner.flatMap(its -> Outline.placeOfDocument(bundle, its.id()).map(place -> insertDocuments(with,
                documents.stream().map(document -> document.belongsTo().isPresent() ? document
                        : document.withBelongsTo(Optional.of(its.id()))).toList(),
                new Place(place.section(), place.index() + 1)))).orElse(with);
    }

    /**
     * {@return the bundle without some of what lies in the tray} With a document that was set aside go the sources that nothing
     * else is made of.
     *
     * @param dropped identities, as {@link InTray#id} gives them; those of what is in use are passed over
     */
    public static Bundle dropFromTray(Bundle bundle, Set<String> dropped) {
        Set<SourceId> sources = new HashSet<>();
        for (InTray item : bundle.tray()) {
            if (!dropped.contains(item.id())) continue;
            switch (item) {
                case InTray.File file -> sources.add(file.source().id());
                case InTray.SetAside aside -> sources.addAll(aside.document().sources());
            }
        }
        Bundle left = bundle
                .withSetAside(bundle.setAside().stream().filter(document -> !dropped.contains(document.id().value())).toList());
        for (Document document : left.contents().allDocuments()) document.sources().forEach(sources::remove);
        for (Document document : left.setAside()) document.sources().forEach(sources::remove);
        return left.withSources(left.sources().stream().filter(source -> !sources.contains(source.id())).toList());
    }

    /**
     * {@return the bundle with some of what lies in the tray put into the index} Documents that were set aside are as they were;
     * of a file a new document is made, which belongs to that of the mail it came with, if this has a place.
     *
     * @param put identities, as {@link InTray#id} gives them, in the order in which they follow each other
     */
    public static Bundle putInIndex(Bundle bundle, List<String> put, Place place) {
        Map<String, InTray> tray = new HashMap<>();
        for (InTray item : bundle.tray()) tray.put(item.id(), item);
        Map<SourceId, EntryId> placed = new HashMap<>();
        for (Document document : bundle.contents().allDocuments())
            if (document.sources().size() == 1) placed.putIfAbsent(document.sources().getFirst(), document.id());
        List<Document> documents = new ArrayList<>();
        for (String id : put) {
            switch (tray.get(id)) {
                case InTray.File file -> {
                    Document made = Document.of(file.source());
                    placed.put(file.source().id(), made.id());
                    documents.add(made);
                }
                case InTray.SetAside aside -> documents.add(aside.document());
                case null -> {}
            }
        }
        Map<SourceId, Source> sources = bundle.sourcesById();
        documents.replaceAll(document -> {
            if (document.belongsTo().isPresent() || document.sources().isEmpty()) return document;
            String mail = sources.get(document.sources().getFirst()).about().attachedTo();
            return mail.isEmpty() ? document : document.withBelongsTo(Optional.ofNullable(placed.get(new SourceId(mail))));
        });
        Set<EntryId> back = ids(documents);
        Bundle left = bundle.withSetAside(bundle.setAside().stream().filter(document -> !back.contains(document.id())).toList());
        return insertDocuments(left, documents, place);
    }

    /**
     * {@return the bundle with sources changed as they are now} Where one has other pages then, what was said of those that it
     * had is carried to those that stand for them, as far as their numbers tell.
     *
     * @param changes by source; those that the bundle does not have are passed over
     */
    public static Bundle changeSources(Bundle bundle, Map<SourceId, UnaryOperator<Source>> changes) {
        return changeSources(bundle, changes, List.of());
    }

    /**
     * {@return the same}
     *
     * @param compared what became of the pages of readings that were compared; one of another reading than the bundle has is
     *         passed over
     */
    public static Bundle changeSources(Bundle bundle, Map<SourceId, UnaryOperator<Source>> changes, List<Repaging> compared) {
        List<Repaging> repagings = new ArrayList<>();
        List<Source> sources = new ArrayList<>();
        for (Source before : bundle.sources()) {
            UnaryOperator<Source> change = changes.get(before.id());
            Source after = change == null ? before : change.apply(before);
            sources.add(after);
            if (before.asRead().equals(after.asRead()) && before.pageCount() == after.pageCount()) continue;
            repagings.add(compared.stream()
                    .filter(known -> known.before().equals(before.asRead()) && known.after().equals(after.asRead())).findFirst()
                    .orElseGet(() -> Repaging.unseen(before, after)));
        }
        Bundle changed = bundle.withSources(sources);
        for (Repaging repaging : repagings) changed = Carrying.everywhere(changed, repaging);
        return changed;
    }

    /** {@return the bundle without these sources, and without the documents that are made of them alone} */
    public static Bundle removeSources(Bundle bundle, Set<SourceId> removed) {
        Set<EntryId> documents = new HashSet<>();
        List<Document> all = new ArrayList<>(bundle.contents().allDocuments());
        all.addAll(bundle.setAside());
        for (Document document : all) {
            if (!document.sources().isEmpty() && removed.containsAll(document.sources())
                    && document.runs().size() == document.sources().size())
                documents.add(document.id());
        }
        Bundle left = without(bundle, documents)
                .withSetAside(bundle.setAside().stream().filter(document -> !documents.contains(document.id())).toList());
        return dropFromTray(left, new HashSet<>(removed.stream().map(SourceId::value).toList()));
    }

    /**
     * {@return the bundle with another title or date proposed for a source} A document that still bears what was proposed
     * before bears the new ones.
     */
    public static Bundle propose(Bundle bundle, SourceId id, UnaryOperator<Source> change) {
        Source before = bundle.sourcesById().get(id);
        if (before == null) return bundle;
        Source source = change.apply(before);
        return changeSources(bundle, Map.of(id, change))
                .withContents(bundle.contents().mapAll(here -> here.withDocuments(here.documents().stream().map(document -> {
                    boolean whole = document.runs().size() == 1 && document.sources().equals(List.of(source.id()));
                    if (!whole) return document;
                    Document renamed = document.title().equals(before.proposedTitle())
                            ? document.withTitle(source.proposedTitle()) : document;
                    return renamed.date().equals(before.proposedDate()) ? renamed.withDate(source.proposedDate()) : renamed;
                }).toList())));
    }

    /** {@return the bundle with documents put in at a place; an index past the end means the end} */
    public static Bundle insertDocuments(Bundle bundle, List<Document> documents, Place place) {
        return atSection(bundle, place.section(),
                here -> here.withDocuments(inserted(here.documents(), documents, place.index())));
    }

    /** {@return the bundle with sections put in at a place; an index past the end means the end} */
    public static Bundle insertSections(Bundle bundle, List<Section> sections, Place place) {
        return atSection(bundle, place.section(), here -> here.withSections(inserted(here.sections(), sections, place.index())));
    }

    /** {@return the bundle with documents and sections added at its end} */
    public static Bundle append(Bundle bundle, Contents added) {
        Bundle documents = insertDocuments(bundle, added.documents(), new Place(Optional.empty(), Integer.MAX_VALUE));
        return insertSections(documents, added.sections(), new Place(Optional.empty(), Integer.MAX_VALUE));
    }

    /** {@return the bundle with every document of its index put through a change} */
    public static Bundle eachDocument(Bundle bundle, UnaryOperator<Document> change) {
        return bundle.withContents(
                bundle.contents().mapAll(here -> here.withDocuments(here.documents().stream().map(change).toList())));
    }

    /** {@return the bundle with one document changed} */
    public static Bundle changeDocument(Bundle bundle, EntryId id, UnaryOperator<Document> change) {
        return bundle.withContents(bundle.contents().mapAll(here -> here.withDocuments(here.documents().stream()
                .map(document -> document.id().equals(id) ? change.apply(document) : document).toList())));
    }

    /** {@return the bundle with one section's title changed} */
    public static Bundle renameSection(Bundle bundle, EntryId id, String title) {
        return bundle.withContents(bundle.contents().mapAll(here -> here.withSections(here.sections().stream()
                .map(section -> section.id().equals(id) ? section.withTitle(title) : section).toList())));
    }

    /**
     * {@return the bundle without these entries in its index; a section goes with all that is in it} The documents lie in the
     * tray then, as they were; what belongs to them goes with them.
     */
    public static Bundle takeOut(Bundle bundle, Set<EntryId> ids) {
        Set<EntryId> all = withBelongings(bundle, ids);
        Bundle left = without(bundle, all);
        Set<EntryId> stay = ids(left.contents().allDocuments());
        List<Document> aside = new ArrayList<>(bundle.setAside());
        for (Document document : bundle.contents().allDocuments()) if (!stay.contains(document.id())) aside.add(document);
        return left.withSetAside(aside);
    }

    /** {@return the bundle without these entries; documents are not kept in the tray} */
    public static Bundle without(Bundle bundle, Set<EntryId> ids) {
        return bundle.withContents(bundle.contents().mapAll(here -> new Contents(
                here.documents().stream().filter(document -> !ids.contains(document.id())).toList(),
                here.sections().stream().filter(section -> !ids.contains(section.id())).toList())));
    }

    /** {@return entries, and the documents that belong to them, or to what belongs to them} */
    static Set<EntryId> withBelongings(Bundle bundle, Set<EntryId> ids) {
        Set<EntryId> all = new HashSet<>(ids);
        List<Document> documents =
                bundle.contents().allDocuments().stream().filter(document -> document.belongsTo().isPresent()).toList();
        for (boolean grown = true; grown;) {
            grown = false;
            for (Document document : documents) grown |= all.contains(document.belongsTo().get()) && all.add(document.id());
        }
        return all;
    }

    /**
     * Moves documents, and what belongs to them, wherever they stand, to a place, where they follow each other in the order they
     * had.
     *
     * @param place counted before the move; a place in a section that does not exist changes nothing
     */
    public static Bundle moveDocuments(Bundle bundle, Set<EntryId> ids, Place place) {
        Set<EntryId> all = withBelongings(bundle, ids);
        List<Document> moved = bundle.contents().allDocuments().stream()
                .filter(document -> all.contains(document.id())).toList();
        Optional<Contents> target = Outline.contentsAt(bundle, place.section());
        if (moved.isEmpty() || target.isEmpty()) return bundle;
        List<Document> there = target.get().documents();
        long before = there.stream().limit(place.index()).filter(moved::contains).count();
        return insertDocuments(without(bundle, ids(moved)), moved,
                new Place(place.section(), (int) (Math.min(place.index(), there.size()) - before)));
    }

    /**
     * Moves sections, with all that is in them, to a place among the sub-sections there.
     *
     * @param place counted before the move; a place inside one of the moved sections changes nothing
     */
    public static Bundle moveSections(Bundle bundle, Set<EntryId> ids, Place place) {
        List<Section> moved = topmost(bundle.contents(), ids);
        Optional<Contents> target = Outline.contentsAt(bundle, place.section());
        if (moved.isEmpty() || target.isEmpty()) return bundle;
        if (place.section().isPresent() && moved.stream().anyMatch(s -> Outline.holds(s, place.section().get()))) return bundle;
        List<Section> there = target.get().sections();
        long before = there.stream().limit(place.index()).filter(moved::contains).count();
        Set<EntryId> movedIds = new HashSet<>(moved.stream().map(Section::id).toList());
        return insertSections(without(bundle, movedIds), moved,
                new Place(place.section(), (int) (Math.min(place.index(), there.size()) - before)));
    }

    /** {@return the sections among these ids that lie in no other of them, in the order of the bundle} */
    public static List<Section> topmost(Contents contents, Set<EntryId> ids) {
        List<Section> found = new ArrayList<>();
        for (Section section : contents.sections()) {
            if (ids.contains(section.id())) found.add(section);
            else found.addAll(topmost(section.contents(), ids));
        }
        return found;
    }

    private static Bundle atSection(Bundle bundle, Optional<EntryId> section, UnaryOperator<Contents> change) {
        if (section.isEmpty()) return bundle.withContents(change.apply(bundle.contents()));
        EntryId id = section.get();
        return bundle.withContents(bundle.contents().mapAll(here -> here.withSections(here.sections().stream()
                .map(s -> s.id().equals(id) ? s.withContents(change.apply(s.contents())) : s).toList())));
    }

    private static <T> List<T> inserted(List<T> list, List<T> added, int index) {
        List<T> all = new ArrayList<>(list);
        all.addAll(Math.min(index, list.size()), added);
        return all;
    }

    private static Set<EntryId> ids(List<Document> documents) {
        return new HashSet<>(documents.stream().map(Document::id).toList());
    }
}
