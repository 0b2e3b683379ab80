package app.yellowtab.store;

import app.yellowtab.facts.PageFacts;
import app.yellowtab.files.Drafts;
import app.yellowtab.json.BundleJson;
import app.yellowtab.model.source.Source;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Collection;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.IdentityHashMap;
import java.util.Map;
import java.util.Set;
import org.slf4j.LoggerFactory;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What pages are like, in files of their own beside {@code bundle.json}, so that this stays small: each named by a key made of
 * what it says, and so never overwritten. For one thread at a time.
 */
final class FactsFiles {
    private static final int KEY_BYTES = 16;

    private final Path folder;
    private Map<PageFacts, String> keys = new IdentityHashMap<>();
    /** The keys of the files that were read. */
    private final Set<String> read = new HashSet<>();

    FactsFiles(Path folder) {
        this.folder = folder;
    }

    /** Takes what was read under a key for what is known of a source, so that it is not written again. */
    void know(Source source, String key) {
        if (read.contains(key)) keys.put(source.about().pages(), key);
    }

    /** Writes what is not there yet of what is known of sources; {@return the key of each} */
    Map<PageFacts, String> write(Collection<Source> sources) throws IOException {
        Map<PageFacts, String> now = new IdentityHashMap<>();
        for (Source source : sources) {
            PageFacts facts = source.about().pages();
            String key = keys.get(facts);
            now.put(facts, key == null ? write(facts) : key);
        }
        keys = now;
        return now;
    }

    private String write(PageFacts facts) throws IOException {
        byte[] bytes = BundleJson.MAPPER.writeValueAsBytes(facts);
        String key = key(bytes);
        Path place = place(key);
        if (Files.exists(place)) return key;
        Files.createDirectories(folder);
        Path draft = Drafts.beside(place);
        try {
            Files.write(draft, bytes);
            Drafts.move(draft, place);
        } finally {
            Files.deleteIfExists(draft);
        }
        return key;
    }

    /** {@return the facts under a key, or those that say that nothing is known where they are gone or damaged} */
    JsonNode read(String key) {
        try {
            if (!key.isEmpty() && BundleBounds.isPlain(key)
                    && BundleJson.MAPPER.readTree(place(key)) instanceof ObjectNode facts) {
                read.add(key);
                return facts;
            }
        } catch (JacksonException gone) {
            LoggerFactory.getLogger(FactsFiles.class).warn("what is known of pages cannot be read: {}", key, gone);
        }
        return BundleJson.MAPPER.valueToTree(PageFacts.UNKNOWN);
    }

    private Path place(String key) {
        return folder.resolve(key + ".json");
    }

    private static String key(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes), 0, KEY_BYTES);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java platform has SHA-256", e);
        }
    }
}
