package app.yellowtab.model;

import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
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
 */
public record Bundle(CaseHeading heading, Layout layout, FromSources fromSources, Reading reading, List<Source> sources, Contents contents, List<Document> setAside) {
    /** A bundle with nothing in it. */
    public static final Bundle EMPTY = new Bundle(CaseHeading.EMPTY, Layout.STANDARD, FromSources.STANDARD, Reading.STANDARD, List.of(), Contents.EMPTY, List.of());

    public Bundle {
        Objects.requireNonNull(heading, "heading");
        Objects.requireNonNull(layout, "layout");
        Objects.requireNonNull(fromSources, "fromSources");
        Objects.requireNonNull(reading, "reading");
        Objects.requireNonNull(contents, "contents");
        sources = List.copyOf(sources);
        setAside = List.copyOf(setAside);
    }

    public Bundle withHeading(CaseHeading newHeading) {
        return newHeading.equals(heading) ? this : new Bundle(newHeading, layout, fromSources, reading, sources, contents, setAside);
    }

    public Bundle withLayout(Layout newLayout) {
        return newLayout.equals(layout) ? this : new Bundle(heading, newLayout, fromSources, reading, sources, contents, setAside);
    }

    public Bundle withFromSources(FromSources newFromSources) {
        return newFromSources.equals(fromSources) ? this : new Bundle(heading, layout, newFromSources, reading, sources, contents, setAside);
    }

    public Bundle withReading(Reading newReading) {
        return newReading.equals(reading) ? this : new Bundle(heading, layout, fromSources, newReading, sources, contents, setAside);
    }

    public Bundle withSources(List<Source> newSources) {
        return newSources.equals(sources) ? this : new Bundle(heading, layout, fromSources, reading, newSources, contents, setAside);
    }

    public Bundle withContents(Contents newContents) {
        return newContents.equals(contents) ? this : new Bundle(heading, layout, fromSources, reading, sources, newContents, setAside);
    }

    public Bundle withSetAside(List<Document> newSetAside) {
        return newSetAside.equals(setAside) ? this : new Bundle(heading, layout, fromSources, reading, sources, contents, newSetAside);
    }

    /** {@return the sources by their id} */
    public Map<SourceId, Source> sourcesById() {
        Map<SourceId, Source> byId = new HashMap<>();
        for (Source source : sources) byId.put(source.id(), source);
        return byId;
    }

    /** {@return the sources that no document takes a page from, in the order they came} */
    public List<Source> tray() {
        Set<SourceId> used = new HashSet<>();
        for (Document document : contents.allDocuments()) {
            used.addAll(document.sources());
        }
        return sources.stream().filter(source -> !used.contains(source.id())).toList();
    }
}
