package app.yellowtab.files;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Subject;
import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;
import org.slf4j.LoggerFactory;

/** Held while targets are produced, so that two programs do not produce the same one at once. */
public final class TargetLock {
    private TargetLock() {}

    /** A piece of work. */
    @FunctionalInterface
    public interface Work<T> {
        T run() throws IOException;
    }

    /**
     * Does a piece of work while the locks of targets are held; the locks' own files are gone afterwards.
     *
     * @throws FindingException if another holds one
     */
    public static <T> T holding(List<Path> targets, Work<T> work) throws IOException {
        if (targets.isEmpty()) return work.run();
        return holding(targets.getFirst(), () -> holding(targets.subList(1, targets.size()), work));
    }

    private static <T> T holding(Path target, Work<T> work) throws IOException {
        Path file = target.toAbsolutePath().resolveSibling(".yellowtab-" + target.getFileName() + ".lock");
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.CREATE, StandardOpenOption.WRITE)) {
            if (isTaken(channel))
                throw new FindingException(new Finding(Code.TARGET_BUSY, Subject.OfProduced.of(target, 0), ""), null);
            try {
                return work.run();
            } finally {
                Files.deleteIfExists(file);
            }
        }
    }

    private static boolean isTaken(FileChannel channel) throws IOException {
        try {
            FileLock lock = channel.tryLock();
            if (lock != null) return false;
        } catch (OverlappingFileLockException heldByUs) {
            LoggerFactory.getLogger(TargetLock.class).info("already being produced");
        }
        return true;
    }
}
