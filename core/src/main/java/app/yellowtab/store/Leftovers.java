package app.yellowtab.store;

import app.yellowtab.files.Drafts;
import app.yellowtab.files.Handover;
import app.yellowtab.json.BundleJson;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.redact.RedactedPages;
import app.yellowtab.source.RecognisedPages;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.slf4j.LoggerFactory;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;

/** What programs that were killed left in a bundle folder: drafts, and copies that no state of the bundle names. */
final class Leftovers {
    private Leftovers() {}

    /**
     * Sweeps a folder that is just being opened. Files that somebody else put beside the originals are left alone.
     *
     * @param facts    the keys of what is known of its pages
     * @param previous the state before this one, whose copies stay as well; it need not exist
     */
    static void sweep(Path folder, Originals originals, Bundle bundle, Collection<String> facts, Path previous) {
        Set<String> named = namedIn(previous);
        named.addAll(facts);
        for (Source source : bundle.sources()) {
            named.add(source.storedName());
            source.conversion().ifPresent(key -> named.add(key.value()));
            named.add(source.pagesKey());
            named.add(BundleFolder.linesName(source));
            named.add(source.about().recognised());
        }
        for (Path place : List.of(folder, BundleFolder.produced(folder))) {
            // What a journal names is still to be put into place.
            if (Handover.pendingIn(place).isEmpty())
                for (Path file : files(place)) if (Drafts.is(file)) Originals.delete(file);
        }
        originals.sweep(named, bundle.sources());
        for (String inner : List.of("converted", "facts", "words")) {
            for (Path file : files(folder.resolve(inner))) {
                if (Drafts.is(file)
                        || !named.contains(String.valueOf(file.getFileName()).replaceFirst("\\.(pdf|json|json\\.gz)$", "")))
                    Originals.delete(file);
            }
        }
        recognised(folder, bundle, named);
        redacted(folder, bundle);
    }

    /** Pages from which areas were taken out stay as long as the bundle has just these. */
    private static void redacted(Path folder, Bundle bundle) {
        List<Path> all = files(folder.resolve(BundleFolder.REDACTED));
        if (all.isEmpty()) return;
        Set<String> wanted = new HashSet<>();
        Map<SourceId, Source> sources = bundle.sourcesById();
        List<Document> documents = new ArrayList<>(bundle.contents().allDocuments());
        documents.addAll(bundle.setAside());
        for (Document document : documents) {
            for (Run run : document.runs()) {
                if (!(run instanceof SourcePages pages) || pages.look().redactions().isEmpty()
                        || !sources.containsKey(pages.source()))
                    continue;
                for (int page = pages.first(); page <= pages.last(); page++) {
                    wanted.add(RedactedPages.key(sources.get(pages.source()), page, pages.look().redactions(),
                            bundle.fromSources().comments()));
                }
            }
        }
        for (Path file : all)
            if (!wanted.contains(String.valueOf(file.getFileName()).replaceFirst("\\.zip$", ""))) Originals.delete(file);
    }

    /** Words of pages stay as long as there is such a page, whether a source names them yet or not. */
    private static void recognised(Path folder, Bundle bundle, Set<String> named) {
        List<Path> all = files(folder.resolve(BundleFolder.RECOGNISED));
        if (all.isEmpty()) return;
        Set<String> prints = new HashSet<>();
        for (Source source : bundle.sources()) prints.addAll(RecognisedPages.prints(source));
        for (Path file : all) {
            String name = String.valueOf(file.getFileName());
            boolean isWanted = RecognisedPages.printIn(name).map(prints::contains)
                    .orElseGet(() -> named.contains(name.replaceFirst("\\.list$", "")));
            if (Drafts.is(file) || !isWanted) Originals.delete(file);
        }
    }

    private static Set<String> namedIn(Path bundle) {
        Set<String> named = new HashSet<>();
        try {
            if (!Files.exists(bundle)) return named;
            for (JsonNode source : BundleJson.MAPPER.readTree(bundle).path("sources")) {
                named.add(source.path("storedName").asString(""));
                named.add(source.path("conversion").asString(""));
                named.add(source.path("sha256").asString(""));
                named.add(source.path("facts").asString(""));
                named.add(source.path("about").path("recognised").asString(""));
            }
        } catch (JacksonException unreadable) {
            LoggerFactory.getLogger(Leftovers.class).info("nothing is named in {}", bundle, unreadable);
        }
        return named;
    }

    static List<Path> files(Path folder) {
        try (Stream<Path> found = Files.list(folder)) {
            return found.filter(Files::isRegularFile).toList();
        } catch (IOException none) {
            return List.of();
        }
    }
}
