package app.yellowtab.store;

import app.yellowtab.json.BundleJson;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.UUID;
import org.slf4j.LoggerFactory;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What tells a bundle from all others, and the folder in which it was saved. A copied folder gets an identity of its own when it
 * is opened while the one that it was copied from is still there; one that was moved keeps it.
 *
 * @param id fit to stand in a file that others read
 */
record BundleIdentity(String id, Path folder) {
    private static final String FIELD = "identity";

    static BundleIdentity fresh(Path folder) {
        return new BundleIdentity(UUID.randomUUID().toString(), folder);
    }

    /** {@return that of a bundle that was read from a folder} */
    static BundleIdentity read(JsonNode root, Path folder) {
        String id = root.path(FIELD).path("id").asString("");
        if (id.isEmpty()) return fresh(folder);
        return isCopy(id, root.path(FIELD).path("folder").asString(""), folder) ? fresh(folder) : new BundleIdentity(id, folder);
    }

    private static boolean isCopy(String id, String saved, Path folder) {
        try {
            Path before = Path.of(saved);
            Path file = before.resolve(BundleFolder.FILE);
            if (saved.isEmpty() || before.equals(folder) || !Files.isRegularFile(file) || Files.isSameFile(before, folder))
                return false;
            return BundleJson.MAPPER.readTree(file).path(FIELD).path("id").asString("").equals(id);
        } catch (IOException | InvalidPathException | JacksonException none) {
            LoggerFactory.getLogger(BundleIdentity.class).info("nothing to compare with in {}", saved, none);
            return false;
        }
    }

    /** {@return whether a bundle that was read names it} */
    boolean isIn(JsonNode root) {
        return root.path(FIELD).path("id").asString("").equals(id);
    }

    /** Writes it into a bundle that is about to be saved. */
    void putIn(ObjectNode root) {
        root.putObject(FIELD).put("id", id).put("folder", folder.toString());
    }
}
