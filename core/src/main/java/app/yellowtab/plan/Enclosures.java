package app.yellowtab.plan;

import app.yellowtab.cover.EnclosureWords;
import app.yellowtab.files.FileNames;
import app.yellowtab.leaf.Enclosure;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.run.EnclosedFile;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The files that go along with a bundle, under names that are safe and told apart, and what is said of them. For one thread. */
final class Enclosures {
    private final Map<SourceId, Source> sources;
    private final Map<SourceId, Enclosure> bySource = new LinkedHashMap<>();

    /** @throws IllegalArgumentException if one of the files is none of the sources */
    Enclosures(List<Document> documents, Map<SourceId, Source> sources) {
        this.sources = sources;
        FileNames names = new FileNames();
        for (Document document : documents) {
            for (Run run : document.runs())
                if (run instanceof EnclosedFile file) bySource.computeIfAbsent(file.source(), id -> named(id, names));
        }
    }

    private Enclosure named(SourceId id, FileNames names) {
        String name = source(id).fileName();
        int dot = name.lastIndexOf('.');
        boolean ends =
                dot > 0 && name.length() - dot <= 10 && FileNames.safe(name.substring(dot + 1)).equals(name.substring(dot + 1));
        return Enclosure.of(source(id), names.next(ends ? name.substring(0, dot) : name, ends ? name.substring(dot) : ""));
    }

    private Source source(SourceId id) {
        Source source = sources.get(id);
        if (source == null) throw new IllegalArgumentException("no such source in the bundle: " + id.value());
        return source;
    }

    /** {@return all of them, in the order of the index} */
    List<Enclosure> list() {
        return List.copyOf(bySource.values());
    }

    /** {@return what the index says of those of a document} */
    List<String> inIndex(Document document) {
        List<String> lines = new ArrayList<>();
        for (Run run : document.runs())
            if (run instanceof EnclosedFile file) lines.add(EnclosureWords.inIndex(file, source(file.source()), name(file)));
        return lines;
    }

    /** {@return what a sheet that stands for one says} */
    List<String> onSheet(EnclosedFile file) {
        return EnclosureWords.onSheet(file, source(file.source()), name(file));
    }

    private String name(EnclosedFile file) {
        Enclosure enclosure = bySource.get(file.source());
        return enclosure == null ? source(file.source()).fileName() : enclosure.name();
    }
}
