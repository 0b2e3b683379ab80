package app.yellowtab.agree;

import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Outline;
import app.yellowtab.edit.Place;
import app.yellowtab.edit.Placeholders;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.entry.Agreement;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.run.ReservedPages;
import app.yellowtab.model.run.RunId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/** What differs between an index that came back and ours, and how it is taken over, one change at a time. */
public final class IndexChanges {
    private final Bundle ours;
    private final List<IndexLine> theirs;
    private final Map<EntryId, Document> documents = new LinkedHashMap<>();
    private final Map<EntryId, Section> sections = new LinkedHashMap<>();
    /** In which section each entry of ours stands. */
    private final Map<EntryId, Optional<EntryId>> holder = new HashMap<>();

    private IndexChanges(Bundle ours, List<IndexLine> lines) {
        this.ours = ours;
        collect(ours.contents(), Optional.empty());
        this.theirs = identified(lines);
    }

    private void collect(Contents contents, Optional<EntryId> section) {
        for (Document document : contents.documents()) {
            if (!document.inIndex()) continue;
            documents.put(document.id(), document);
            holder.put(document.id(), section);
        }
        for (Section inner : contents.sections()) {
            sections.put(inner.id(), inner);
            holder.put(inner.id(), section);
            collect(inner.contents(), Optional.of(inner.id()));
        }
    }

    /** {@return whether any line is of an entry of the bundle, by its reference} */
    public static boolean isOurs(Bundle bundle, List<IndexLine> lines) {
        IndexChanges changes = new IndexChanges(bundle, List.of());
        return lines.stream().anyMatch(
                line -> line.isKnown() && (changes.documents.containsKey(line.id()) || changes.sections.containsKey(line.id())));
    }

    /** {@return what differs, in the order of their index, what is taken out last} */
    public static List<Change> of(Bundle bundle, List<IndexLine> lines) {
        return new IndexChanges(bundle, lines).all();
    }

    /**
     * Lines without a reference are of the section, or of the document, of ours that has the very same title, if nothing else is.
     */
    private List<IndexLine> identified(List<IndexLine> lines) {
        Set<EntryId> taken = new HashSet<>();
        lines.forEach(line -> taken.add(line.id()));
        Map<EntryId, EntryId> names = new HashMap<>();
        for (IndexLine line : lines) {
            if (documents.containsKey(line.id()) || sections.containsKey(line.id())) continue;
            Optional<EntryId> same = line.isSection()
                    ? sections.values().stream()
                            .filter(section -> section.title().equalsIgnoreCase(line.title()) && !taken.contains(section.id()))
                            .map(Section::id).findFirst()
                    : documents.values().stream().filter(document -> isSame(document, line) && !taken.contains(document.id()))
                            .map(Document::id).findFirst();
            same.ifPresent(id -> {
                names.put(line.id(), id);
                taken.add(id);
            });
        }
        return lines.stream()
                .map(line -> new IndexLine(line.row(), names.getOrDefault(line.id(), line.id()), line.isKnown(), line.isSection(),
                        line.depth(),
                        line.section().map(id -> names.getOrDefault(id, id)), line.title(), line.date(), line.pages(),
                        line.agreement()))
                .toList();
    }

    private static boolean isSame(Document document, IndexLine line) {
        return document.title().equalsIgnoreCase(line.title())
                && line.date().filter(date -> !date.equals(document.date())).isEmpty();
    }

    private boolean isOurs(IndexLine line) {
        return line.isSection() ? sections.containsKey(line.id()) : documents.containsKey(line.id());
    }

    private List<Change> all() {
        List<Change> changes = new ArrayList<>();
        Set<EntryId> moved = moved(false);
        moved.addAll(moved(true));
        Map<String, EntryId> last = new HashMap<>();
        for (IndexLine line : theirs) {
            String place = line.isSection() + line.section().map(EntryId::value).orElse("");
            Optional<EntryId> after = Optional.ofNullable(last.put(place, line.id()));
            if (!isOurs(line)) {
                changes.add(new Change.Added(line, after));
                continue;
            }
            if (moved.contains(line.id()))
                changes.add(new Change.Moved(line.id(), title(line.id()), line.isSection(), line.section(), after));
            if (line.isSection()) retitled(line.id(), title(line.id()), line.title(), changes);
            else differences(documents.get(line.id()), line, changes);
        }
        Set<EntryId> there = new HashSet<>(theirs.stream().map(IndexLine::id).toList());
        for (Document document : documents.values())
            if (!there.contains(document.id())) changes.add(new Change.TakenOut(document.id(), document.title(), false));
        for (Section section : sections.values()) {
            boolean allGone = !there.contains(section.id())
                    && section.contents().allDocuments().stream().noneMatch(document -> there.contains(document.id()));
            if (allGone && theirs.stream().anyMatch(IndexLine::isSection))
                changes.add(new Change.TakenOut(section.id(), section.title(), true));
        }
        return changes;
    }

    private String title(EntryId id) {
        Document document = documents.get(id);
        return document != null ? document.title() : Objects.requireNonNull(sections.get(id)).title();
    }

    private static void retitled(EntryId id, String was, String now, List<Change> changes) {
        if (!now.equals(was.replaceAll("\\s+", " ").strip())) changes.add(new Change.Retitled(id, was, now));
    }

    private static void differences(Document document, IndexLine line, List<Change> changes) {
        retitled(document.id(), document.title(), line.title(), changes);
        line.date().filter(date -> !date.equals(document.date()))
                .ifPresent(date -> changes.add(new Change.Redated(document.id(), document.title(), document.date(), date)));
        int free = Placeholders.reserved(document);
        if (free > 0 && free == document.pageCount() && line.pages() > 0 && line.pages() != free)
            changes.add(new Change.Resized(document.id(), document.title(), free, line.pages()));
        line.agreement().filter(agreement -> !agreement.equals(document.agreement())).ifPresent(
                agreement -> changes.add(new Change.Stands(document.id(), document.title(), document.agreement(), agreement)));
    }

    /** {@return the entries of ours that stand in another section, or in another order than most of their neighbours} */
    private Set<EntryId> moved(boolean ofSections) {
        Map<EntryId, Integer> place = new HashMap<>();
        for (EntryId id : ofSections ? sections.keySet() : documents.keySet()) place.put(id, place.size());
        Set<EntryId> moved = new HashSet<>();
        Map<Optional<EntryId>, List<EntryId>> stayed = new HashMap<>();
        for (IndexLine line : theirs) {
            if (line.isSection() != ofSections || !isOurs(line)) continue;
            if (!line.section().equals(holder.get(line.id()))) moved.add(line.id());
            else stayed.computeIfAbsent(line.section(), section -> new ArrayList<>()).add(line.id());
        }
        for (List<EntryId> neighbours : stayed.values()) moved.addAll(outOfRow(neighbours, place));
        return moved;
    }

    /** {@return those that are not in the longest row that keeps our order} */
    private static Set<EntryId> outOfRow(List<EntryId> neighbours, Map<EntryId, Integer> place) {
        int[] length = new int[neighbours.size()];
        int[] before = new int[neighbours.size()];
        List<Integer> ends = new ArrayList<>();
        for (int i = 0; i < length.length; i++) {
            int low = 0;
            for (int high = ends.size(); low < high;) {
                int middle = (low + high) >>> 1;
                if (place.get(neighbours.get(ends.get(middle))) < place.get(neighbours.get(i))) low = middle + 1;
                else high = middle;
            }
            before[i] = low == 0 ? -1 : ends.get(low - 1);
            if (low == ends.size()) ends.add(i);
            else ends.set(low, i);
        }
        Set<EntryId> out = new HashSet<>(neighbours);
        for (int i = ends.isEmpty() ? -1 : ends.getLast(); i >= 0; i = before[i]) out.remove(neighbours.get(i));
        return out;
    }

    /**
     * {@return the bundle with a change taken over; one that is not possible any more changes nothing} With a document the
     * section is added that it stands in.
     *
     * @param lines the index that came back
     */
    public static Bundle accept(Bundle bundle, Change change, List<IndexLine> lines) {
        return switch (change) {
            case Change.Added added -> new IndexChanges(bundle, lines).added(added);
            case Change.TakenOut gone -> Edits.takeOut(bundle, Set.of(gone.id()));
            case Change.Retitled now -> Edits.renameSection(
                    Edits.changeDocument(bundle, now.id(), document -> document.withTitle(now.now())), now.id(), now.now());
            case Change.Redated now -> Edits.changeDocument(bundle, now.id(), document -> document.withDate(now.now()));
            case Change.Resized now -> Placeholders.reserve(bundle, now.id(), now.now());
            case Change.Stands now -> Edits.changeDocument(bundle, now.id(), document -> document.withAgreement(now.now()));
            case Change.Moved moved -> new IndexChanges(bundle, lines).moved(moved);
        };
    }

    private Bundle added(Change.Added added) {
        IndexLine line = added.line();
        Bundle now = withSection(ours, line.section());
        if (Outline.placeOfDocument(now, line.id()).isPresent() || Outline.placeOfSection(now, line.id()).isPresent()) return now;
        if (line.isSection()) return Edits.insertSections(now, List.of(new Section(line.id(), line.title(), Contents.EMPTY)),
                placeOfSection(now, line.section(), added.after()));
        Optional<Document> aside = now.setAside().stream().filter(document -> document.id().equals(line.id())).findFirst();
        Bundle left = now.withSetAside(now.setAside().stream().filter(document -> !document.id().equals(line.id())).toList());
        return Edits.insertDocuments(left, List.of(aside.orElseGet(() -> placeholder(line))),
                placeOfDocument(left, line.section(), added.after()));
    }

    /** Adds the section that a line stands in, if it is one of theirs that was not taken over yet. */
    private Bundle withSection(Bundle bundle, Optional<EntryId> id) {
        if (id.isEmpty() || Outline.placeOfSection(bundle, id.get()).isPresent()) return bundle;
        return theirs.stream().filter(line -> line.isSection() && line.id().equals(id.get())).findFirst().map(line -> {
            Bundle outer = withSection(bundle, line.section());
            return Edits.insertSections(outer, List.of(new Section(line.id(), line.title(), Contents.EMPTY)),
                    new Place(line.section(), Integer.MAX_VALUE));
        }).orElse(bundle);
    }

    private Bundle moved(Change.Moved moved) {
        Bundle now = withSection(ours, moved.section());
        return moved.isSection()
                ? Edits.moveSections(now, Set.of(moved.id()), placeOfSection(now, moved.section(), moved.after()))
                : Edits.moveDocuments(now, Set.of(moved.id()), placeOfDocument(now, moved.section(), moved.after()));
    }

    private static Place placeOfDocument(Bundle bundle, Optional<EntryId> section, Optional<EntryId> after) {
        Optional<EntryId> holder = section.filter(id -> Outline.placeOfSection(bundle, id).isPresent());
        if (after.isEmpty()) return new Place(holder, 0);
        return Outline.placeOfDocument(bundle, after.get()).filter(place -> place.section().equals(holder))
                .map(place -> new Place(holder, place.index() + 1))
                .orElseGet(() -> new Place(holder, Integer.MAX_VALUE));
    }

    private static Place placeOfSection(Bundle bundle, Optional<EntryId> section, Optional<EntryId> after) {
        Optional<EntryId> holder = section.filter(id -> Outline.placeOfSection(bundle, id).isPresent());
        if (after.isEmpty()) return new Place(holder, 0);
        return Outline.placeOfSection(bundle, after.get()).filter(place -> place.section().equals(holder))
                .map(place -> new Place(holder, place.index() + 1))
                .orElseGet(() -> new Place(holder, Integer.MAX_VALUE));
    }

    /** {@return the entry that a line asks for, with as many pages kept free as it says, or one} */
    static Document placeholder(IndexLine line) {
        return new Document(line.id(), line.title(), "", line.date().orElse(DocumentDate.NOT_GIVEN), true, Optional.empty(),
                line.agreement().orElse(Agreement.OPEN),
                List.of(new ReservedPages(RunId.fresh(), Math.max(1, line.pages()))));
    }
}
