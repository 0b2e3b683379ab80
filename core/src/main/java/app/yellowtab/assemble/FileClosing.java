package app.yellowtab.assemble;

import app.yellowtab.output.DraftFile;
import java.io.Closeable;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;

/** Closes files that were written while the next is: until a file is on the disk itself takes a good part of a production. */
final class FileClosing implements Closeable {
    private final ExecutorService thread =
            Executors.newSingleThreadExecutor(Thread.ofPlatform().daemon().name("closing").factory());
    private final List<Future<?>> underway = new ArrayList<>();

    /** Begins to close a file. */
    void begin(DraftFile file) {
        underway.add(thread.submit(() -> {
            file.close();
            return file;
        }));
    }

    /** Waits until all are on the disk; @throws IOException why one is not */
    void await() throws IOException {
        for (Future<?> one : underway) {
            try {
                one.get();
            } catch (ExecutionException e) {
                throw e.getCause() instanceof IOException failure ? failure : new IOException(e.getCause());
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new IOException("interrupted", e);
            }
        }
    }

    @Override
    public void close() {
        thread.close();
    }
}
