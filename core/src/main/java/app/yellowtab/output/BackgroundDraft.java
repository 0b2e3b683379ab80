package app.yellowtab.output;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;

/**
 * Writes a draft on a thread of its own, so that waiting for the disk does not keep the next pages waiting. A failure to
 * write is thrown by the next call. Used by one thread.
 */
final class BackgroundDraft {
    private static final int BUFFER_BYTES = 1 << 20;
    private static final int BUFFERS = 6;
    /** Small files, of which there may be many, need no more. */
    private static final int FIRST_BYTES = 1 << 16;

    private final DraftFile file;
    private final BlockingQueue<ByteBuffer> free = new ArrayBlockingQueue<>(BUFFERS);
    private final ExecutorService thread = Executors.newSingleThreadExecutor(work -> {
        Thread writer = new Thread(work, "draft");
        writer.setDaemon(true);
        return writer;
    });
    private @Nullable Future<?> last;
    private int made;
    private volatile @Nullable IOException failure;

    BackgroundDraft(DraftFile file) {
        this.file = file;
    }

    /** {@return an empty buffer to be filled, and then to be given to {@link #write}} */
    ByteBuffer buffer() throws IOException {
        try {
            ByteBuffer waiting = free.poll();
            ByteBuffer buffer = waiting != null ? waiting
                    : made < BUFFERS ? ByteBuffer.allocateDirect(made++ == 0 ? FIRST_BYTES : BUFFER_BYTES) : free.take();
            check();
            return buffer.clear();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException("interrupted", e);
        }
    }

    /** Writes what a buffer was filled with, soon. */
    void write(ByteBuffer filled) throws IOException {
        check();
        filled.flip();
        last = thread.submit(() -> {
            attempt(() -> file.write(filled));
            free.add(filled);
        });
    }

    /** Appends a part of another file, soon; it must stay open until everything is written. */
    void append(FileChannel from, long start, long count) throws IOException {
        check();
        last = thread.submit(() -> attempt(() -> file.append(from, start, count)));
    }

    private void attempt(Writing writing) {
        try {
            if (failure == null) writing.run();
        } catch (IOException e) {
            failure = e;
        }
    }

    /** Something that is written. */
    @FunctionalInterface
    private interface Writing {
        void run() throws IOException;
    }

    /** Waits until everything is written. */
    void drain() throws IOException {
        begun().await();
    }

    /** {@return what waits until everything is written that was given by now} */
    PdfWriter.Begun begun() {
        Future<?> before = last;
        return () -> await(before);
    }

    private void await(@Nullable Future<?> before) throws IOException {
        if (before != null) {
            try {
                before.get();
            } catch (ExecutionException e) {
                throw new IOException(e.getCause());
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new IOException("interrupted", e);
            }
        }
        check();
    }

    private void check() throws IOException {
        IOException failed = failure;
        if (failed != null) throw failed;
    }

    /** Ends its thread; what is still to be written is not awaited. */
    void end() {
        failure = failure == null ? new IOException("the draft was given up") : failure;
        thread.shutdown();
        try {
            thread.awaitTermination(10, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
