package app.yellowtab.assemble;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.input.PdfInput;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.source.SourceFiles;
import java.io.Closeable;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.Iterator;
import java.util.Map;
import org.slf4j.LoggerFactory;

/**
 * The sources of one production. Each is checked once against the file that was brought in, however many documents draw from it,
 * and what was opened for one stretch of its pages serves the next. Safe to share between threads; what is opened is for one
 * thread at a time.
 */
final class SourceSessions implements Closeable {
    /** So many files are kept open that nobody reads at the moment. */
    private static final int MOST_IDLE = 4;
    /** After so many pages a file is opened anew, so that what is remembered of it does not grow with its pages. */
    private static final int MOST_PAGES = 400;

    private final SourceFiles sources;
    private final Map<SourceId, Stand> begun = new HashMap<>();
    /** The oldest first. */
    private final Deque<Lent> idle = new ArrayDeque<>();
    private boolean closed;

    SourceSessions(SourceFiles sources) {
        this.sources = sources;
    }

    /**
     * An open source.
     *
     * @param isNew whether it was opened for this, and not before
     * @param read  how many pages were read of it by now
     */
    record Lent(SourceId source, PdfInput input, boolean isNew, int read) {}

    /** What is true of a source from the moment on that it was first opened for this production. */
    private record Stand(long bytes, long changedAt) {}

    /**
     * Notes how a source's file stands before anything is read of it.
     *
     * @return whether this is the first time, so that it must be checked
     * @throws FindingException if it is gone, or not as it was the first time
     */
    boolean begin(SourceId id) throws IOException {
        Stand now = stand(id);
        synchronized (begun) {
            Stand before = begun.putIfAbsent(id, now);
            if (before == null) return true;
            if (!before.equals(now)) throw changed(id);
            return false;
        }
    }

    /** Looks at a source's file after something was read of it; @throws FindingException if it is not as it was the first time */
    void verify(SourceId id) throws IOException {
        Stand now = stand(id);
        synchronized (begun) {
            if (!now.equals(begun.get(id))) throw changed(id);
        }
    }

    FindingException changed(SourceId id) {
        return new FindingException(Finding.of(Code.SOURCE_CHANGED, sources.original(id)), null);
    }

    private Stand stand(SourceId id) throws IOException {
        Path file = sources.original(id);
        if (!Files.exists(file)) throw new FindingException(Finding.of(Code.SOURCE_MISSING, file), null);
        return new Stand(Files.size(file), Files.getLastModifiedTime(file).toMillis());
    }

    /** {@return a source, opened; to be given back or closed} */
    Lent borrow(SourceId id) throws IOException {
        synchronized (idle) {
            for (Iterator<Lent> known = idle.descendingIterator(); known.hasNext(); ) {
                Lent lent = known.next();
                if (!lent.source().equals(id)) continue;
                known.remove();
                return new Lent(id, lent.input(), false, lent.read());
            }
        }
        return new Lent(id, sources.open(id), true, 0);
    }

    /** Takes a source back that was read without a fault. */
    void giveBack(Lent lent, int pages) throws IOException {
        Lent oldest = null;
        synchronized (idle) {
            int read = lent.read() + pages;
            if (closed || read >= MOST_PAGES) oldest = lent;
            else idle.add(new Lent(lent.source(), lent.input(), false, read));
            if (idle.size() > MOST_IDLE) oldest = idle.remove();
        }
        if (oldest != null) oldest.input().close();
    }

    @Override
    public void close() {
        synchronized (idle) {
            closed = true;
            for (Lent lent : idle) {
                try {
                    lent.input().close();
                } catch (IOException e) {
                    LoggerFactory.getLogger(SourceSessions.class).warn("not closed: {}", sources.original(lent.source()), e);
                }
            }
            idle.clear();
        }
    }
}
