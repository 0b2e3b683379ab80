package app.yellowtab.keep;

import app.yellowtab.files.Drafts;
import app.yellowtab.files.UserFolder;
import app.yellowtab.json.BundleJson;
import java.io.IOException;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.List;
import org.slf4j.LoggerFactory;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;

/**
 * Passwords of files that the user has asked to be remembered on this computer. They stand in a file as they are, which where
 * the system knows such rights only its user may read; a bundle folder never holds them.
 */
public final class RememberedPasswords {
    private final Path file;

    /** @param userFolder see {@link UserFolder}; made when something is first remembered */
    public RememberedPasswords(Path userFolder) {
        file = userFolder.resolve("passwords.json");
    }

    /** {@return where they stand; there is no such file where none is remembered} */
    public Path file() {
        return file;
    }

    /** {@return the passwords, the oldest first; none where they cannot be read} */
    public List<String> list() {
        List<String> passwords = new ArrayList<>();
        if (!Files.exists(file)) return passwords;
        try {
            for (JsonNode node : BundleJson.MAPPER.readTree(file)) passwords.add(node.asString(""));
        } catch (JacksonException unreadable) {
            LoggerFactory.getLogger(RememberedPasswords.class).warn("passwords cannot be read", unreadable);
        }
        return passwords;
    }

    /**
     * Remembers a password.
     *
     * @throws IOException if it cannot be written; then it is as before
     */
    public void remember(String password) throws IOException {
        List<String> all = list();
        if (all.contains(password)) return;
        all.add(password);
        ArrayNode list = BundleJson.MAPPER.createArrayNode();
        all.forEach(list::add);
        Files.createDirectories(file.getParent());
        Path draft = file.resolveSibling("passwords.json.part");
        Files.deleteIfExists(draft);
        if (FileSystems.getDefault().supportedFileAttributeViews().contains("posix")) {
            Files.createFile(draft, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
        }
        Files.write(draft, BundleJson.MAPPER.writeValueAsBytes(list));
        Drafts.move(draft, file);
    }

    /**
     * Forgets all of them.
     *
     * @throws IOException if the file cannot be deleted
     */
    public void forget() throws IOException {
        Files.deleteIfExists(file);
    }
}
