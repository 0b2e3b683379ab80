package app.yellowtab.output;

import java.io.EOFException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.jspecify.annotations.Nullable;

/**
 * A draft that is brought to the disk itself while it is still being written, part by part on a thread of its own. Moving
 * it over an older file is then safe in a power cut, and quick: otherwise some file systems write all of it only then.
 */
final class DurableDraft implements DraftFile {
    /** Large enough that the disk is not asked too often, small enough that little is left at the end. */
    private static final long PART = 192L << 20;

    private final FileChannel channel;
    private final ExecutorService flusher = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "draft to disk");
        thread.setDaemon(true);
        return thread;
    });
    private @Nullable Future<?> flushing;
    private long sinceFlush;

    DurableDraft(Path file) throws IOException {
        channel = FileChannel.open(file, StandardOpenOption.READ, StandardOpenOption.WRITE, StandardOpenOption.TRUNCATE_EXISTING);
    }

    @Override
    public void write(ByteBuffer bytes) throws IOException {
        int count = bytes.remaining();
        while (bytes.hasRemaining()) channel.write(bytes);
        wrote(count);
    }

    @Override
    public void append(FileChannel from, long start, long count) throws IOException {
        for (long done = 0; done < count;) {
            long part = from.transferTo(start + done, count - done, channel);
            if (part <= 0) throw new EOFException("a file has become shorter while it was read");
            done += part;
        }
        wrote(count);
    }

    /** What was written is brought to the disk in parts. */
    private void wrote(long count) throws IOException {
        sinceFlush += count;
        if (sinceFlush < PART || flushing != null && !flushing.isDone()) return;
        awaitFlush();
        sinceFlush = 0;
        flushing = flusher.submit(() -> {
            channel.force(false);
            return null;
        });
    }

    @Override
    public void read(ByteBuffer into, long offset) throws IOException {
        for (long at = offset; into.hasRemaining();) {
            int count = channel.read(into, at);
            if (count < 0) return;
            at += count;
        }
    }

    /** A failure of the disk is told once, to whoever asked it last, and must not be lost. */
    private void awaitFlush() throws IOException {
        if (flushing == null) return;
        try {
            flushing.get();
        } catch (ExecutionException e) {
            throw e.getCause() instanceof IOException failure ? failure : new IOException(e.getCause());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException("interrupted", e);
        } finally {
            flushing = null;
        }
    }

    @Override
    public void close() throws IOException {
        flusher.shutdown();
        try (channel) {
            awaitFlush();
            channel.force(true);
        }
    }
}
