package app.yellowtab.files;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.UUID;

/** Drafts of files that are being written. */
public final class Drafts {
    private Drafts() {}

    /** {@return a new empty file in the target's folder, with the rights that the folder's new files have; it can be moved into place in one step} */
    public static Path beside(Path target) throws IOException {
        return Files.createFile(target.toAbsolutePath().resolveSibling(".yellowtab-" + UUID.randomUUID() + ".part"));
    }
}
