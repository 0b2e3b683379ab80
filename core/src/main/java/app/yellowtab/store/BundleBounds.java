package app.yellowtab.store;

import app.yellowtab.facts.ShapedPages;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.run.EnclosedFile;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.RunId;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Set;
import java.util.TreeMap;

/**
 * What a bundle that somebody else made must keep to: its names lead nowhere outside of its folder, its identities are each
 * its own, and its numbers are such as a bundle has.
 */
public final class BundleBounds {
    /** Chosen by us, far beyond any bundle: more is a mistake, or meant to do harm. */
    private static final int MOST_PAGES_OF_ONE = 500_000;
    private static final long MOST_PAGES = 2_000_000;
    private static final int DEEPEST = 40;
    private static final int LONGEST_NAME = 255;

    private final Set<String> entries = new HashSet<>();
    private final Map<String, Source> sources = new HashMap<>();
    /** The pages of each run, as stretches from their first to their last. */
    private final Map<RunId, NavigableMap<Integer, Integer>> keys = new HashMap<>();
    private final Map<EntryId, EntryId> owners = new HashMap<>();
    private long pages;

    private BundleBounds() {}

    /** @throws IllegalArgumentException if a bundle does not keep to them; its message names the field */
    public static void check(Bundle bundle) {
        BundleBounds bounds = new BundleBounds();
        for (Source source : bundle.sources()) bounds.source(source);
        for (Source source : bundle.sources()) bounds.attached(source);
        bounds.contents(bundle.contents(), 1);
        bounds.belonging();
        for (Document document : bundle.setAside()) bounds.document(document);
        for (Batch batch : bundle.batches()) bounds.batch(batch);
    }

    private void batch(Batch batch) {
        for (SourcePages run : batch.runs()) {
            refuse(!sources.containsKey(run.source().value()),
                    "\"source\" of the batch \"" + shown(batch.id().value()) + "\" is none of the sources");
            refuse(run.last() > MOST_PAGES_OF_ONE,
                    "\"last\" of the batch \"" + shown(batch.id().value()) + "\" is " + run.last());
        }
    }

    private static void refuse(boolean wrong, String what) {
        if (wrong) throw new IllegalArgumentException(what);
    }

    private void source(Source source) {
        plain("storedName", source.storedName());
        source.conversion().ifPresent(key -> plain("conversion", key.value()));
        int shaped = source.about().pages().shapes().stream().mapToInt(ShapedPages::pages).sum();
        refuse(shaped != 0 && shaped != source.pageCount(),
                "\"shapes\" of \"" + shown(source.fileName()) + "\" are of " + shaped + " pages");
        refuse(source.pageCount() > MOST_PAGES_OF_ONE,
                "\"pageCount\" of \"" + shown(source.fileName()) + "\" is " + source.pageCount());
        refuse(sources.put(source.id().value(), source) != null,
                "\"id\" of a source stands twice: \"" + shown(source.id().value()) + "\"");
    }

    private static void plain(String field, String name) {
        refuse(!isPlain(name), "\"" + field + "\" of a source is no plain file name: \"" + shown(name) + "\"");
    }

    /** {@return whether a text is the name of a file, and leads nowhere} */
    static boolean isPlain(String name) {
        return !name.isBlank() && name.length() <= LONGEST_NAME && !name.equals(".") && !name.equals("..")
                && name.chars().noneMatch(letter -> letter == '/' || letter == '\\' || letter == ':' || letter < ' ');
    }

    private static String shown(String hostile) {
        String plain = hostile.replaceAll("\\p{Cntrl}", "?");
        return plain.length() > 60 ? plain.substring(0, 60) + "…" : plain;
    }

    private void attached(Source source) {
        Set<String> above = new HashSet<>();
        for (Source at = source; at != null; at = sources.get(at.about().attachedTo())) {
            refuse(!above.add(at.id().value()), "\"attachedTo\" of \"" + shown(source.fileName()) + "\" leads back to itself");
        }
    }

    private void contents(Contents contents, int depth) {
        refuse(depth > DEEPEST, "\"sections\" lie more than " + DEEPEST + " deep in each other");
        for (Document document : contents.documents()) document(document);
        for (Section section : contents.sections()) {
            entry(section.id().value());
            contents(section.contents(), depth + 1);
        }
    }

    private void document(Document document) {
        entry(document.id().value());
        document.belongsTo().ifPresent(owner -> owners.put(document.id(), owner));
        for (Run run : document.runs()) {
            pages += run.pageCount();
            refuse(pages > MOST_PAGES, "the documents have more than " + MOST_PAGES + " \"pages\"");
            if (run instanceof SourcePages from) {
                refuse(!sources.containsKey(from.source().value()),
                        "\"source\" of the document \"" + shown(document.title()) + "\" is none of the sources");
                refuse(from.last() > MOST_PAGES_OF_ONE,
                        "\"last\" of the document \"" + shown(document.title()) + "\" is " + from.last());
            }
            boolean unknown = run instanceof EnclosedFile file && !sources.containsKey(file.source().value());
            refuse(unknown,
                    "\"source\" of a file along with the document \"" + shown(document.title()) + "\" is none of the sources");
            keys(document, run);
        }
    }

    private void belonging() {
        for (EntryId document : owners.keySet()) {
            Set<EntryId> above = new HashSet<>();
            for (EntryId at = document; at != null; at = owners.get(at)) {
                refuse(!above.add(at), "\"belongsTo\" of \"" + shown(document.value()) + "\" leads back to itself");
            }
        }
    }

    /** A page's name stands for one page. */
    private void keys(Document document, Run run) {
        NavigableMap<Integer, Integer> known = keys.computeIfAbsent(run.id(), id -> new TreeMap<>());
        int first = run.key(1).page();
        int last = run.key(Math.max(1, run.pageCount())).page();
        Map.Entry<Integer, Integer> before = known.floorEntry(last);
        refuse(before != null && before.getValue() >= first,
                "\"id\" of a run of the document \"" + shown(document.title()) + "\" stands for its pages twice");
        known.put(first, last);
    }

    private void entry(String id) {
        refuse(!entries.add(id), "\"id\" of an entry stands twice: \"" + shown(id) + "\"");
    }
}
