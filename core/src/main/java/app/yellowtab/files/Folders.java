package app.yellowtab.files;

import java.io.IOException;
import java.nio.file.FileSystems;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.attribute.BasicFileAttributes;
import java.nio.file.attribute.FileAttribute;
import java.nio.file.attribute.PosixFilePermissions;
import org.jspecify.annotations.Nullable;

/** Folders of our own making. */
public final class Folders {
    private Folders() {}

    /**
     * Makes a folder that only the user may look into, where the system knows such rights; one that is there already is left as
     * it is.
     */
    public static void createForUserOnly(Path folder) throws IOException {
        boolean posix = FileSystems.getDefault().supportedFileAttributeViews().contains("posix") && !Files.exists(folder);
        Files.createDirectories(folder, posix
                ? new FileAttribute<?>[] {PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rwx------"))}
                : new FileAttribute<?>[0]);
    }

    /** Deletes a folder and all that is in it; links are deleted, not followed. */
    public static void delete(Path folder) throws IOException {
        if (!Files.exists(folder)) return;
        Files.walkFileTree(folder, new SimpleFileVisitor<>() {
            @Override
            public FileVisitResult visitFile(Path file, BasicFileAttributes attributes) throws IOException {
                Files.delete(file);
                return FileVisitResult.CONTINUE;
            }

            @Override
            public FileVisitResult postVisitDirectory(Path visited, @Nullable IOException failure) throws IOException {
                if (failure != null) throw failure;
                Files.delete(visited);
                return FileVisitResult.CONTINUE;
            }
        });
    }
}
