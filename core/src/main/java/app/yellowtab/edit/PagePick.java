package app.yellowtab.edit;

import app.yellowtab.facts.PageSet;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.PageRanges;
import app.yellowtab.model.run.BlankPages;
import app.yellowtab.model.run.EnclosedFile;
import app.yellowtab.model.run.FrontSheet;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.ReservedPages;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.RunId;
import app.yellowtab.model.run.Runs;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * Which pages of its file a document has. Pages of a document of one file are counted as the file counts them, those of any other
 * through the document.
 */
public final class PagePick {
    private PagePick() {}

    /** {@return the only file that a document is made of; empty where there are several, or pages that are of none} */
    public static Optional<SourceId> onlySource(Document document) {
        boolean one = document.enclosed().isEmpty()
                && document.runs().stream().allMatch(run -> run instanceof SourcePages || run instanceof FrontSheet)
                && new HashSet<>(document.sources()).size() == 1;
        return one ? Optional.of(document.sources().getFirst()) : Optional.empty();
    }

    /**
     * {@return how many pages can be chosen from}
     *
     * @throws IllegalArgumentException if the bundle does not hold the document's file
     */
    public static int pagesToChooseFrom(Bundle bundle, Document document) {
        return pagesToChooseFrom(document, id -> source(bundle, id));
    }

    /**
     * {@return the same}
     *
     * @param sources gives the bundle's file of an id, where that is known without looking through all
     */
    public static int pagesToChooseFrom(Document document, Function<SourceId, Source> sources) {
        return onlySource(document).map(id -> sources.apply(id).pageCount()).orElseGet(document::pageCount);
    }

    /** {@return the pages of a document as they are typed, such as "1, 3-5"; a sheet that was divided counts once} */
    public static String typed(Document document) {
        if (onlySource(document).isEmpty()) return document.pageCount() == 1 ? "1" : "1-" + document.pageCount();
        List<PageRanges.Range> ranges = new ArrayList<>();
        Optional<SourcePages> before = Optional.empty();
        for (Run run : document.runs()) {
            if (!(run instanceof SourcePages pages)) continue;
            boolean half = before.filter(pages::isOtherHalfOf).isPresent();
            boolean goesOn = before.filter(last -> last.last() + 1 == pages.first()).isPresent();
            if (!half) ranges.add(new PageRanges.Range(goesOn ? ranges.removeLast().first() : pages.first(), pages.last()));
            before = Optional.of(pages);
        }
        return String.join(", ", ranges.stream()
                .map(range -> range.first() == range.last() ? "" + range.first() : range.first() + "-" + range.last()).toList());
    }

    /**
     * {@return the bundle with other pages in a document, in the order given} Pages that it had keep their looks and their names.
     *
     * @param ranges of the pages that there are to choose from; at least one
     */
    public static Bundle pick(Bundle bundle, EntryId id, List<PageRanges.Range> ranges) {
        Optional<Document> found =
                bundle.contents().allDocuments().stream().filter(document -> document.id().equals(id)).findFirst();
        if (found.isEmpty() || ranges.isEmpty()) return bundle;
        Document document = found.get();
        List<Run> pages = new ArrayList<>();
        document.frontSheet().filter(sheet -> onlySource(document).isPresent()).ifPresent(pages::add);
        Set<PageKey> used = keysElsewhere(bundle, document);
        Optional<SourceId> only = onlySource(document);
        for (PageRanges.Range range : ranges) {
            List<Run> taken =
                    only.isPresent() ? pages(document, only.get(), range) : slice(document.runs(), range.first(), range.last());
            for (Run run : taken) {
                if (run.pageCount() == 0) continue;
                pages.add(Collections.disjoint(used, run.keys()) ? run : run.copy());
                used.addAll(run.keys());
            }
        }
        // A file that goes along without a page is not chosen by its page, and stays.
        document.runs().stream().filter(run -> run.pageCount() == 0).forEach(pages::add);
        return Edits.changeDocument(bundle, id, before -> before.withRuns(Runs.merged(pages)));
    }

    /**
     * {@return pages of a document's file, with their looks where the document has them; of a sheet that was divided both halves}
     */
    private static List<Run> pages(Document document, SourceId source, PageRanges.Range range) {
        List<Run> all = new ArrayList<>();
        RunId name = document.runs().getLast().id();
        for (int page = range.first(); page <= range.last(); page++) {
            List<Run> had = new ArrayList<>();
            for (Run run : document.runs()) if (run instanceof SourcePages pages && pages.first() <= page && pages.last() >= page)
                had.add(pages.part(page, page));
            boolean halves = had.size() > 1 && had.get(1) instanceof SourcePages second && second.isOtherHalfOf(had.getFirst());
            if (had.isEmpty()) had.add(new SourcePages(name, source, page, page, PageLook.PLAIN));
            all.addAll(had.subList(0, halves ? 2 : 1));
        }
        return Runs.merged(all);
    }

    /**
     * {@return some pages of neighbouring runs, counted from 1 through all of them; a file that goes along without a sheet goes
     * with the page behind it, or the last}
     */
    static List<Run> slice(List<Run> runs, int first, int last) {
        List<Run> some = new ArrayList<>();
        int all = runs.stream().mapToInt(Run::pageCount).sum();
        int before = 0;
        for (Run run : runs) {
            int from = Math.max(first - before, 1);
            int to = Math.min(last - before, run.pageCount());
            boolean unpaged = run.pageCount() == 0 && first <= before + 1 && (before < last || last == all);
            if (unpaged || from <= to) some.add(unpaged ? run : Runs.part(run, from, to));
            before += run.pageCount();
        }
        return some;
    }

    private static Set<PageKey> keysElsewhere(Bundle bundle, Document document) {
        Set<RunId> own = new HashSet<>(document.runs().stream().map(Run::id).toList());
        Set<PageKey> used = new HashSet<>();
        Stream.concat(bundle.contents().allDocuments().stream(), bundle.setAside().stream()).filter(other -> other != document)
                .flatMap(other -> other.runs().stream())
                .filter(run -> own.contains(run.id())).forEach(run -> used.addAll(run.keys()));
        return used;
    }

    /** {@return the pages of a document's file that stand nowhere in the index; none where it is not made of one file} */
    public static PageSet rest(Bundle bundle, Document document) {
        return onlySource(document).map(bundle::unplacedPages).orElse(PageSet.NONE);
    }

    /**
     * {@return the bundle with one more document, behind another, of those pages of its file that stand nowhere in the index; the
     * bundle itself where there are none}
     *
     * @param made the identity of the new document
     */
    public static Bundle takeRest(Bundle bundle, EntryId id, EntryId made) {
        Optional<Document> found =
                bundle.contents().allDocuments().stream().filter(document -> document.id().equals(id)).findFirst();
        PageSet rest = found.map(document -> rest(bundle, document)).orElse(PageSet.NONE);
        if (rest.equals(PageSet.NONE)) return bundle;
        Source source = source(bundle, onlySource(found.orElseThrow()).orElseThrow());
        List<Run> runs = new ArrayList<>();
        rest.pages().stream().forEach(page -> runs.add(
                new SourcePages(runs.isEmpty() ? RunId.fresh() : runs.getFirst().id(), source.id(), page, page, PageLook.PLAIN)));
        Document document =
                new Document(made, source.proposedTitle(), "", source.proposedDate(), true, Optional.empty(), Runs.merged(runs));
        return Edits.insertDocuments(bundle, List.of(document), Outline.documentPlaceBelow(bundle, Optional.of(id)));
    }

    private static Source source(Bundle bundle, SourceId id) {
        return bundle.sources().stream().filter(source -> source.id().equals(id)).findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no such source: " + id.value()));
    }
}
