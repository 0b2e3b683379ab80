package app.yellowtab.files;

import java.io.IOException;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.UUID;

/** Drafts of files that are being written. */
public final class Drafts {
    private Drafts() {}

    private static final String BEGIN = ".yellowtab-";
    private static final String END = ".part";

    /** {@return whether a file is a draft, by its name} */
    public static boolean is(Path file) {
        String name = String.valueOf(file.getFileName());
        return name.startsWith(BEGIN) && name.endsWith(END);
    }

    /**
     * {@return a new empty file in the target's folder, with the rights that the folder's new files have; it can be moved into
     * place in one step}
     */
    public static Path beside(Path target) throws IOException {
        return Files.createFile(target.toAbsolutePath().resolveSibling(BEGIN + UUID.randomUUID() + END));
    }

    /** Writes a file whole or not at all: what was there before stays until the new one is complete. */
    public static void write(Path target, byte[] content) throws IOException {
        Path draft = beside(target);
        try {
            Files.write(draft, content);
            move(draft, target);
        } finally {
            Files.deleteIfExists(draft);
        }
    }

    /**
     * Moves a draft into the place of what is there, if there is something, in one step wherever the file system can: at no
     * moment is there nothing under that name, which somebody else could take.
     */
    public static Path move(Path draft, Path target) throws IOException {
        try {
            return Files.move(draft, target, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        } catch (AtomicMoveNotSupportedException e) {
            return Files.move(draft, target, StandardCopyOption.REPLACE_EXISTING);
        }
    }
}
