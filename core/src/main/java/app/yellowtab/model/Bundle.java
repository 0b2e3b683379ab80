package app.yellowtab.model;

import app.yellowtab.facts.PageSet;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.InTray;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.number.Numbering;
import app.yellowtab.model.run.LookAgain;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;

/**
 * The whole work at one moment: heading, layout, sources, and the documents in their order.
 * Immutable; an edit gives another bundle.
 *
 * @param heading  the case heading
 * @param layout   which pages there are beside those of the documents
 * @param fromSources what comes over from the sources beside their pages
 * @param reading  how files are read that leave a choice
 * @param sources  everything that was brought in, in the order it came
 * @param contents the documents outside of any section, then the sections
 * @param setAside documents that were taken out of the index and lie in the tray as they were
 * @param numbering the numbers that pages bear beside the bundle's own
 * @param batches  sources that hold several documents, and how they are cut
 * @param recognition whether the words of scans are read, and in which languages
 * @param toLookAt pages that somebody must look at before anything goes out with them, wherever their documents are
 */
public record Bundle(CaseHeading heading, Layout layout, FromSources fromSources, Reading reading, List<Source> sources,
        Contents contents, List<Document> setAside, Numbering numbering, List<Batch> batches, RecognitionChoice recognition,
        List<LookAgain> toLookAt) {
    /** A bundle with nothing in it. */
    public static final Bundle EMPTY = new Bundle(CaseHeading.EMPTY, Layout.STANDARD, FromSources.STANDARD, Reading.STANDARD,
            List.of(), Contents.EMPTY, List.of(), Numbering.NONE, List.of(), RecognitionChoice.STANDARD, List.of());

    public Bundle {
        Objects.requireNonNull(heading, "heading");
        Objects.requireNonNull(layout, "layout");
        Objects.requireNonNull(fromSources, "fromSources");
        Objects.requireNonNull(reading, "reading");
        Objects.requireNonNull(contents, "contents");
        Objects.requireNonNull(numbering, "numbering");
        Objects.requireNonNull(recognition, "recognition");
        sources = List.copyOf(sources);
        setAside = List.copyOf(setAside);
        batches = List.copyOf(batches);
        toLookAt = List.copyOf(toLookAt);
    }

    public Bundle withHeading(CaseHeading newHeading) {
        return newHeading.equals(heading) ? this : new Bundle(newHeading, layout, fromSources, reading, sources, contents,
                setAside, numbering, batches, recognition, toLookAt);
    }

    public Bundle withLayout(Layout newLayout) {
        return newLayout.equals(layout) ? this : new Bundle(heading, newLayout, fromSources, reading, sources, contents, setAside,
                numbering, batches, recognition, toLookAt);
    }

    public Bundle withFromSources(FromSources newFromSources) {
        return newFromSources.equals(fromSources) ? this : new Bundle(heading, layout, newFromSources, reading, sources, contents,
                setAside, numbering, batches, recognition, toLookAt);
    }

    public Bundle withReading(Reading newReading) {
        return newReading.equals(reading) ? this : new Bundle(heading, layout, fromSources, newReading, sources, contents,
                setAside, numbering, batches, recognition, toLookAt);
    }

    public Bundle withNumbering(Numbering newNumbering) {
        return newNumbering.equals(numbering) ? this : new Bundle(heading, layout, fromSources, reading, sources, contents,
                setAside, newNumbering, batches, recognition, toLookAt);
    }

    public Bundle withRecognition(RecognitionChoice newRecognition) {
        return newRecognition.equals(recognition) ? this : new Bundle(heading, layout, fromSources, reading, sources, contents,
                setAside, numbering, batches, newRecognition, toLookAt);
    }

    /** {@return the same with other sources; how one was cut that is not among them is forgotten} */
    public Bundle withSources(List<Source> newSources) {
        if (newSources.equals(sources)) return this;
        Set<SourceId> there = new HashSet<>();
        for (Source source : newSources) there.add(source.id());
        List<Batch> left = batches.stream()
                .map(batch -> Map.entry(batch, batch.runs().stream().filter(run -> there.contains(run.source())).toList()))
                .filter(its -> !its.getValue().isEmpty())
                .map(its -> its.getValue().equals(its.getKey().runs()) ? its.getKey() : its.getKey().withRuns(its.getValue()))
                .toList();
        return new Bundle(heading, layout, fromSources, reading, newSources, contents, setAside, numbering, left, recognition,
                toLookAt);
    }

    public Bundle withBatches(List<Batch> newBatches) {
        return newBatches.equals(batches) ? this : new Bundle(heading, layout, fromSources, reading, sources, contents, setAside,
                numbering, newBatches, recognition, toLookAt);
    }

    /**
     * {@return the same with what another state of it has promised: the numbers that were issued, or taken back, and those that
     * were served}
     */
    public Bundle withPromisesOf(Bundle other) {
        Numbering promised = numbering.withGiven(other.numbering.given()).withTakenBack(other.numbering.takenBack())
                .withServed(other.numbering.served());
        return withNumbering(promised).withToLookAt(promised.stillAsked(toLookAt));
    }

    public Bundle withToLookAt(List<LookAgain> newToLookAt) {
        return newToLookAt.equals(toLookAt) ? this
                : new Bundle(heading, layout, fromSources, reading, sources, contents, setAside,
                        numbering, batches, recognition, newToLookAt);
    }

    public Bundle withContents(Contents newContents) {
        return newContents.equals(contents) ? this : new Bundle(heading, layout, fromSources, reading, sources, newContents,
                setAside, numbering, batches, recognition, toLookAt);
    }

    public Bundle withSetAside(List<Document> newSetAside) {
        return newSetAside.equals(setAside) ? this : new Bundle(heading, layout, fromSources, reading, sources, contents,
                newSetAside, numbering, batches, recognition, toLookAt);
    }

    /** {@return the sources by their id} */
    public Map<SourceId, Source> sourcesById() {
        Map<SourceId, Source> byId = new HashMap<>();
        for (Source source : sources) byId.put(source.id(), source);
        return byId;
    }

    /** {@return the sources that no document of the index takes a page from, in the order they came} */
    public List<Source> unplaced() {
        Set<SourceId> used = usedIn(contents.allDocuments());
        return sources.stream().filter(source -> !used.contains(source.id())).toList();
    }

    /**
     * {@return what has no place in the index: documents that were taken out, then the files that no document is made of, in the
     * order they came}
     */
    public List<InTray> tray() {
        return tray(unplaced());
    }

    /**
     * {@return the same}
     *
     * @param unplaced what {@link #unplaced} gives, where it is known already
     */
    public List<InTray> tray(List<Source> unplaced) {
        Set<SourceId> used = usedIn(setAside);
        List<InTray> tray = new ArrayList<>();
        for (Document document : setAside) tray.add(new InTray.SetAside(document));
        for (Source source : unplaced) if (!used.contains(source.id())) tray.add(new InTray.File(source));
        return tray;
    }

    /**
     * {@return the pages of a source that stand nowhere in the index}
     *
     * @throws IllegalArgumentException if there is no such source
     */
    public PageSet unplacedPages(SourceId id) {
        Source source = sources.stream().filter(known -> known.id().equals(id)).findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no such source: " + id.value()));
        BitSet pages = new BitSet();
        pages.set(1, source.pageCount() + 1);
        for (Document document : contents.allDocuments()) {
            for (Run run : document.runs())
                if (run instanceof SourcePages from && from.source().equals(id)) pages.clear(from.first(), from.last() + 1);
        }
        return PageSet.of(pages);
    }

    private static Set<SourceId> usedIn(List<Document> documents) {
        Set<SourceId> used = new HashSet<>();
        for (Document document : documents) used.addAll(document.sources());
        return used;
    }
}
