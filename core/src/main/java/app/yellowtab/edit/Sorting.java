package app.yellowtab.edit;

import app.yellowtab.files.NaturalOrder;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.run.EnclosedFile;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Sorting documents where they stand. What belongs to a document, and stands right behind it, goes with it; equal ones keep their
 * order.
 */
public final class Sorting {
    /** As long as a stretch of a file can be; a page is a smaller step than a file. */
    private static final long PAGES_A_FILE = 1L << 32;

    private final Map<SourceId, Source> sources;
    private final Map<SourceId, Integer> came = new HashMap<>();
    private final Comparator<Document> order;

    private Sorting(Bundle bundle, SortOrder by) {
        sources = bundle.sourcesById();
        for (Source source : bundle.sources()) came.put(source.id(), came.size());
        Comparator<String> names = new NaturalOrder();
        order = switch (by) {
            case DATE -> Comparator.comparing(document -> document.date().firstDay().orElse(LocalDate.MAX));
            case TITLE -> Comparator.comparing(Document::title, names);
            case FILE_NAME -> Comparator.comparing(this::fileName, (a, b) -> a.isEmpty() || b.isEmpty()
                    ? Boolean.compare(a.isEmpty(), b.isEmpty()) : names.compare(a.get(), b.get()));
            case AS_CAME -> Comparator.comparingLong(this::arrival);
        };
    }

    /**
     * {@return the bundle with what is chosen sorted}
     *
     * @param chosen sections, in which all documents are sorted at every depth; or documents, which are sorted among the places
     *         that they hold; of a single document the section is sorted that it stands in
     */
    public static Bundle sorted(Bundle bundle, Set<EntryId> chosen, SortOrder by) {
        Sorting sorting = new Sorting(bundle, by);
        List<Section> sections = Edits.topmost(bundle.contents(), chosen);
        Set<EntryId> within = new HashSet<>();
        for (Section section : sections) {
            within.add(section.id());
            section.contents().forEachSection(inner -> within.add(inner.id()));
        }
        Bundle now = bundle.withContents(bundle.contents().mapAll(here -> here.withSections(here.sections().stream()
                .map(section -> within.contains(section.id()) ? section.withContents(sorting.all(section.contents())) : section)
                .toList())));
        return now.withContents(now.contents().mapAll(here -> sorting.some(here, chosen)));
    }

    private Contents all(Contents here) {
        List<List<Document>> groups = groups(here.documents());
        groups.sort(Comparator.comparing(List::getFirst, order));
        return here.withDocuments(groups.stream().flatMap(List::stream).toList());
    }

    private Contents some(Contents here, Set<EntryId> chosen) {
        List<Document> those = here.documents().stream().filter(document -> chosen.contains(document.id())).toList();
        if (those.isEmpty()) return here;
        if (those.size() == 1) return all(here);
        List<List<Document>> groups = groups(here.documents());
        List<Integer> places = new ArrayList<>();
        for (int i = 0; i < groups.size(); i++) if (chosen.contains(groups.get(i).getFirst().id())) places.add(i);
        if (places.size() < 2) return amongEachOther(here, those);
        List<List<Document>> moved = new ArrayList<>(places.stream().map(groups::get).toList());
        moved.sort(Comparator.comparing(List::getFirst, order));
        for (int i = 0; i < places.size(); i++) groups.set(places.get(i), moved.get(i));
        return here.withDocuments(groups.stream().flatMap(List::stream).toList());
    }

    /** Sorts documents that belong to one, which stays where it is. */
    private Contents amongEachOther(Contents here, List<Document> those) {
        List<Document> followers = those.stream().filter(document -> document.belongsTo().isPresent()).toList();
        List<Document> sorted = followers.stream().sorted(order).toList();
        List<Document> all = new ArrayList<>(here.documents());
        for (int i = 0; i < sorted.size(); i++) all.set(here.documents().indexOf(followers.get(i)), sorted.get(i));
        return here.withDocuments(all);
    }

    /** {@return the documents, each with those behind it that belong to it or to what belongs to it} */
    static List<List<Document>> groups(List<Document> documents) {
        List<List<Document>> groups = new ArrayList<>();
        Set<EntryId> last = new HashSet<>();
        for (Document document : documents) {
            if (document.belongsTo().filter(last::contains).isEmpty()) {
                groups.add(new ArrayList<>());
                last.clear();
            }
            groups.getLast().add(document);
            last.add(document.id());
        }
        return groups;
    }

    private Optional<String> fileName(Document document) {
        return document.sources().stream().findFirst().map(sources::get).map(Source::fileName);
    }

    private long arrival(Document document) {
        for (Run run : document.runs()) {
            if (run instanceof SourcePages pages) return came.getOrDefault(pages.source(), 0) * PAGES_A_FILE + pages.first();
            if (run instanceof EnclosedFile file) return came.getOrDefault(file.source(), 0) * PAGES_A_FILE;
        }
        return Long.MAX_VALUE;
    }
}
