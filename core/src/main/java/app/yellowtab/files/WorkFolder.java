package app.yellowtab.files;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/**
 * Where this program keeps what it needs for a while only: clients' pages among it, so that nobody but the user may look
 * inside. It is deleted when the program ends; what a program left that was killed, the next one deletes.
 */
public final class WorkFolder {
    private static final String LOCK = ".lock";

    private static @Nullable WorkFolder ofProgram;

    private final Path folder;
    /** Held open as long as the program lives, which is how others know that it does. */
    private final FileChannel lock;

    private WorkFolder(Path folder, FileChannel lock) {
        this.folder = folder;
        this.lock = lock;
    }

    /**
     * Makes this program's folder, sweeps away what dead ones left, and has whatever makes temporary files make them there.
     * To be called before anything else.
     *
     * @throws IOException if there can be none; then the system's folder for temporary files serves
     */
    public static void begin() throws IOException {
        System.setProperty("java.io.tmpdir", ofProgram().folder.toString());
    }

    /** {@return a new empty folder in it} */
    public static Path newFolder(String purpose) throws IOException {
        return Files.createTempDirectory(ofProgram().folder, purpose + "-");
    }

    /** {@return a new empty file in it} */
    public static Path newFile(String purpose, String ending) throws IOException {
        return Files.createTempFile(ofProgram().folder, purpose + "-", ending);
    }

    private static synchronized WorkFolder ofProgram() throws IOException {
        WorkFolder known = ofProgram;
        if (known == null) {
            WorkFolder made = under(UserFolder.path().resolve("work"));
            Runtime.getRuntime().addShutdownHook(new Thread(made::delete));
            ofProgram = known = made;
        }
        return known;
    }

    /** {@return a folder of this program's below another, from which those of dead programs have been swept} */
    static WorkFolder under(Path all) throws IOException {
        Folders.createForUserOnly(all);
        sweep(all);
        Path folder = Files.createTempDirectory(all, ProcessHandle.current().pid() + "-");
        FileChannel lock = FileChannel.open(folder.resolve(LOCK), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
        lock.lock();
        return new WorkFolder(folder, lock);
    }

    private static void sweep(Path all) throws IOException {
        List<Path> folders;
        try (Stream<Path> found = Files.list(all)) {
            folders = found.filter(Files::isDirectory).toList();
        }
        for (Path folder : folders) {
            try {
                if (isLeft(folder)) Folders.delete(folder);
            } catch (IOException e) {
                LoggerFactory.getLogger(WorkFolder.class).warn("not swept: {}", folder, e);
            }
        }
    }

    /** {@return whether no living program has a folder} One that is just being made has no lock yet, and is left alone. */
    private static boolean isLeft(Path folder) throws IOException {
        Path file = folder.resolve(LOCK);
        if (!Files.exists(file)) return System.currentTimeMillis() - Files.getLastModifiedTime(folder).toMillis() > 60_000;
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.WRITE)) {
            FileLock free = channel.tryLock();
            return free != null;
        } catch (OverlappingFileLockException ours) {
            return false;
        }
    }

    Path folder() {
        return folder;
    }

    /** Ends it. */
    void delete() {
        try {
            lock.close();
            Folders.delete(folder);
        } catch (IOException e) {
            LoggerFactory.getLogger(WorkFolder.class).warn("not deleted: {}", folder, e);
        }
    }
}
