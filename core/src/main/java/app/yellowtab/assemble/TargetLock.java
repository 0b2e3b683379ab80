package app.yellowtab.assemble;

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
import org.slf4j.LoggerFactory;

/** Held while a target is produced, so that two programs do not produce the same one at once. */
final class TargetLock {
    private TargetLock() {}

    /** A piece of work. */
    @FunctionalInterface
    interface Work {
        Outcome run() throws IOException;
    }

    /**
     * Does a piece of work while the target's lock is held; the lock's own file is gone afterwards.
     *
     * @throws FindingException if another holds it
     */
    static Outcome holding(Path target, Work work) throws IOException {
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
