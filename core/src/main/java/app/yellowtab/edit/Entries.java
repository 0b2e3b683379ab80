package app.yellowtab.edit;

import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.run.FrontSheet;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.RunId;
import app.yellowtab.model.run.Runs;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** What is done with whole documents: divided, joined, copied, moved to a section, tied to one another. */
public final class Entries {
    private static final Pattern MARKED = Pattern.compile("^Exhibit\\s+(?<mark>\\p{Lu}{1,5}[ -]?\\d+\\p{L}?)\\b");
    /** A name as titles of statements and reports give it. */
    private static final Pattern NAMED = Pattern
            .compile("(?:^|\\b(?:of|by) )(?:(?:Mr|Mrs|Ms|Miss|Dr|Prof)\\.? )?(?<name>\\p{Lu}\\p{Ll}+(?: \\p{Lu}\\p{Ll}+)+)");

    private Entries() {}

    /**
     * {@return the bundle with a document divided in two; the bundle itself where there is nothing on one side}
     *
     * @param pages how many stay in the first part
     * @param made  the identity of the second part, which stands right behind
     * @param title of the second part
     */
    public static Bundle divide(Bundle bundle, EntryId id, int pages, EntryId made, String title) {
        Optional<Document> found = find(bundle, id);
        if (found.isEmpty() || pages < 1 || pages >= found.get().pageCount()) return bundle;
        Document document = found.get();
        Document second = new Document(made, title, "", document.date(), document.inIndex(), document.belongsTo(),
                document.agreement(), PagePick.slice(document.runs(), pages + 1, document.pageCount()));
        Bundle shorter = Edits.changeDocument(bundle, id, before -> before.withRuns(PagePick.slice(before.runs(), 1, pages)));
        return Edits.insertDocuments(shorter, List.of(second), Outline.documentPlaceBelow(shorter, Optional.of(id)));
    }

    /** {@return whether documents stand one right behind the other in one section, so that they can be joined} */
    public static boolean areNeighbours(Bundle bundle, Set<EntryId> ids) {
        return neighbours(bundle, ids).size() > 1;
    }

    /**
     * {@return the bundle with neighbours as one document, which is the first of them with the pages of all; the bundle itself
     * where they are no neighbours}
     */
    public static Bundle join(Bundle bundle, Set<EntryId> ids) {
        List<Document> those = neighbours(bundle, ids);
        if (those.size() < 2) return bundle;
        EntryId first = those.getFirst().id();
        List<Run> runs = Runs.merged(those.stream().flatMap(document -> document.runs().stream()).toList());
        Set<EntryId> gone = new HashSet<>(those.stream().map(Document::id).toList());
        gone.remove(first);
        // Where it belongs to one of the others, it would belong to itself.
        boolean toItself = leadsTo(bundle, first, gone);
        Bundle joined = Edits.changeDocument(Edits.without(bundle, gone), first,
                document -> (toItself ? document.withBelongsTo(Optional.empty()) : document).withRuns(runs));
        return Edits.eachDocument(joined, document -> document.belongsTo().filter(gone::contains).isPresent()
                ? document.withBelongsTo(Optional.of(first)) : document);
    }

    private static List<Document> neighbours(Bundle bundle, Set<EntryId> ids) {
        for (Optional<EntryId> section : Outline.sectionsInOrder(bundle)) {
            List<Document> here = Outline.contentsAt(bundle, section).orElseThrow().documents();
            List<Document> chosen = here.stream().filter(document -> ids.contains(document.id())).toList();
            if (chosen.isEmpty()) continue;
            int from = here.indexOf(chosen.getFirst());
            boolean allOfThem =
                    chosen.size() == ids.size() && here.subList(from, Math.min(here.size(), from + chosen.size())).equals(chosen);
            return allOfThem ? chosen : List.of();
        }
        return List.of();
    }

    /** A changed bundle, and the documents that are new in it. */
    public record Copied(Bundle bundle, Set<EntryId> made) {
        public Copied {
            made = Set.copyOf(made);
        }
    }

    /**
     * {@return the bundle with copies of documents, and of what belongs to them, at a place; their pages are the same, under
     * names of their own}
     */
    public static Copied copy(Bundle bundle, Set<EntryId> ids, Place place) {
        Set<EntryId> all = Edits.withBelongings(bundle, withContents(bundle, ids));
        Map<EntryId, EntryId> names = new HashMap<>();
        List<Document> those = bundle.contents().allDocuments().stream().filter(document -> all.contains(document.id())).toList();
        those.forEach(document -> names.put(document.id(), EntryId.fresh()));
        List<Document> copies = new ArrayList<>();
        for (Document document : those) {
            Optional<EntryId> owner = document.belongsTo().map(id -> names.getOrDefault(id, id));
            EntryId name = names.get(document.id());
            if (name == null) continue;
            copies.add(new Document(name, document.title(), document.description(), document.date(), document.inIndex(), owner,
                    document.runs().stream().map(Run::copy).toList()));
        }
        return new Copied(Edits.insertDocuments(bundle, copies, place), new HashSet<>(names.values()));
    }

    private static Set<EntryId> withContents(Bundle bundle, Set<EntryId> ids) {
        Set<EntryId> all = new HashSet<>(ids);
        for (Section section : Edits.topmost(bundle.contents(), ids))
            section.contents().allDocuments().forEach(document -> all.add(document.id()));
        return all;
    }

    /**
     * {@return the bundle with documents, or sections where some are chosen, at the end of a section; outside of any for none}
     */
    public static Bundle moveTo(Bundle bundle, Set<EntryId> ids, Optional<EntryId> section) {
        Place end = new Place(section, Integer.MAX_VALUE);
        boolean sections = !Edits.topmost(bundle.contents(), ids).isEmpty();
        return sections ? Edits.moveSections(bundle, ids, end) : Edits.moveDocuments(bundle, ids, end);
    }

    /**
     * {@return the document that others can be tied to: that which stands before the first of them in its section, or that which
     * this belongs to}
     */
    public static Optional<EntryId> ownerAbove(Bundle bundle, Set<EntryId> ids) {
        for (Optional<EntryId> section : Outline.sectionsInOrder(bundle)) {
            List<Document> here = Outline.contentsAt(bundle, section).orElseThrow().documents();
            for (int i = 0; i < here.size(); i++) {
                if (!ids.contains(here.get(i).id())) continue;
                if (i == 0) return Optional.empty();
                Document above = here.get(i - 1);
                EntryId owner = above.belongsTo().filter(id -> find(bundle, id).isPresent()).orElse(above.id());
                return Edits.withBelongings(bundle, ids).contains(owner) ? Optional.empty() : Optional.of(owner);
            }
        }
        return Optional.empty();
    }

    /** {@return the bundle with documents tied to another, so that they go wherever it goes} */
    public static Bundle tie(Bundle bundle, Set<EntryId> ids, EntryId owner) {
        if (ids.contains(owner) || leadsTo(bundle, owner, ids)) return bundle;
        return Edits.eachDocument(bundle,
                document -> ids.contains(document.id()) ? document.withBelongsTo(Optional.of(owner)) : document);
    }

    /** {@return whether a document belongs to one of others, or to what belongs to it, in the index or in the tray} */
    private static boolean leadsTo(Bundle bundle, EntryId id, Set<EntryId> others) {
        Map<EntryId, EntryId> owners = new HashMap<>();
        Stream.concat(bundle.contents().allDocuments().stream(), bundle.setAside().stream())
                .forEach(document -> document.belongsTo().ifPresent(owner -> owners.put(document.id(), owner)));
        Set<EntryId> seen = new HashSet<>();
        for (EntryId at = owners.get(id); at != null && seen.add(at); at = owners.get(at)) if (others.contains(at)) return true;
        return false;
    }

    /** {@return the bundle with documents on their own again} */
    public static Bundle part(Bundle bundle, Set<EntryId> ids) {
        return Edits.eachDocument(bundle,
                document -> ids.contains(document.id()) ? document.withBelongsTo(Optional.empty()) : document);
    }

    /**
     * {@return the bundle with a sheet of ours before a document that says whose exhibit it is; without it for an empty mark}
     *
     * @param mark such as "OF1"
     */
    public static Bundle withFrontSheet(Bundle bundle, EntryId id, String mark) {
        return Edits.changeDocument(bundle, id, document -> {
            List<Run> runs = new ArrayList<>(document.runs());
            Optional<RunId> name = document.frontSheet().map(Run::id);
            if (name.isPresent()) runs.removeFirst();
            if (!mark.isBlank()) runs.addFirst(new FrontSheet(name.orElseGet(RunId::fresh), mark.strip()));
            return runs.isEmpty() ? document : document.withRuns(runs);
        });
    }

    /**
     * {@return what an exhibit may be marked: what its title says, or the initials of who gives the statement that it belongs to,
     * and its number among the exhibits}
     */
    public static String proposedMark(Bundle bundle, Document exhibit) {
        Matcher titled = MARKED.matcher(exhibit.title());
        if (titled.find()) return titled.group("mark");
        Optional<Document> owner = exhibit.belongsTo().flatMap(id -> find(bundle, id));
        StringBuilder mark = new StringBuilder();
        Matcher name = NAMED.matcher(owner.map(Document::title).orElse(""));
        if (name.find()) for (String part : name.group("name").split(" ")) mark.append(part.charAt(0));
        List<EntryId> exhibits = bundle.contents().allDocuments().stream()
                .filter(document -> document.belongsTo().isPresent() && document.belongsTo().equals(exhibit.belongsTo()))
                .map(Document::id).toList();
        return mark.append(Math.max(0, exhibits.indexOf(exhibit.id())) + 1).toString();
    }

    private static Optional<Document> find(Bundle bundle, EntryId id) {
        return bundle.contents().allDocuments().stream().filter(document -> document.id().equals(id)).findFirst();
    }
}
