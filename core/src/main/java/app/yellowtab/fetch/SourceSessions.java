package app.yellowtab.fetch;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.input.PdfInput;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.recognise.LazyRecogniser;
import app.yellowtab.recognise.TextRecogniser;
import app.yellowtab.source.RecognisedPages;
import app.yellowtab.source.SourceFiles;
import java.io.Closeable;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.LoggerFactory;

/**
 * The sources of one production. Each is checked once against the file that was brought in, however many documents draw from it,
 * and what was opened for one stretch of its pages serves the next. Safe to share between threads; what is opened is for one
 * thread at a time.
 */
public final class SourceSessions implements Closeable {
    /**
     * So many files are kept open that nobody reads at the moment, and of no more pages and bytes in all than this, but for one:
     * what was read of them is in the memory. Chosen by us, by what the table of pages and the names of a long text take.
     */
    private static final int MOST_IDLE = 32;
    private static final long MOST_IDLE_PAGES = Runtime.getRuntime().maxMemory() >> 15;
    private static final long MOST_IDLE_BYTES = Runtime.getRuntime().maxMemory() / 6;
    /** Of larger files only a part is in the memory. */
    private static final long WHOLE_UP_TO = 12L << 20;
    /** After so many pages a file is opened anew, so that what is remembered of it does not grow with its pages. */
    private static final int MOST_PAGES = 400;
    /** Each use counts as so many pages: what it does with the file as a whole counts for what a file may ask for. */
    private static final int PAGES_A_USE = 4;

    private final SourceFiles sources;
    private final Map<SourceId, Stand> begun = new HashMap<>();
    private final Set<SourceId> unchecked = new HashSet<>();
    private final List<Lent> idle = new ArrayList<>();
    /** How many stretches of each source's pages are still to come. */
    private final Map<SourceId, Integer> stretches = new HashMap<>();
    private final Map<SourceId, String> lists = new HashMap<>();
    private final Map<String, Optional<RecognisedPages>> recognised = new ConcurrentHashMap<>();
    private final LazyRecogniser recogniser = LazyRecogniser.ofUser();
    private boolean closed;

    /** @param files the leaves of each file that will be written */
    public SourceSessions(SourceFiles sources, List<List<Leaf>> files) {
        this.sources = sources;
        files.forEach(this::count);
        // Words that are recognised meanwhile are no part of this production.
        for (SourceId id : stretches.keySet()) lists.put(id, sources.source(id).about().recognised());
    }

    /** {@return the words that were read in the pictures of a source, as it named them when this production began} */
    Optional<RecognisedPages> recognised(SourceId id) {
        String list = lists.getOrDefault(id, "");
        return list.isEmpty() ? Optional.empty() : recognised.computeIfAbsent(list, key -> RecognisedPages.of(sources, key));
    }

    private void count(List<Leaf> leaves) {
        int at = 0;
        for (SourceRun run; (run = SourceRun.next(leaves, at)) != null;) {
            stretches.merge(run.source(), 1, Integer::sum);
            while (leaves.get(at) != run.leaves().getFirst()) at++;
            at += run.leaves().size();
        }
    }

    /** {@return what reads the pictures of redacted paper} */
    TextRecogniser recogniser() {
        return recogniser;
    }

    public SourceFiles sources() {
        return sources;
    }

    /**
     * An open source.
     *
     * @param read how many pages were read of it by now, its uses included
     */
    record Lent(SourceId source, PdfInput input, int read) {}

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

    /** Tells that a source was to be checked, and could not be. */
    void leftUnchecked(SourceId id) {
        synchronized (begun) {
            unchecked.add(id);
        }
    }

    /** {@return whether a source was left unchecked; the caller checks it now} */
    boolean takeUnchecked(SourceId id) {
        synchronized (begun) {
            return unchecked.remove(id);
        }
    }

    FindingException changed(SourceId id) {
        return new FindingException(new Finding(Code.SOURCE_CHANGED, sources.subject(id, 0), ""), null);
    }

    private Stand stand(SourceId id) throws IOException {
        Path file = sources.original(id);
        if (!Files.exists(file)) throw new FindingException(new Finding(Code.SOURCE_MISSING, sources.subject(id, 0), ""), null);
        return new Stand(Files.size(file), Files.getLastModifiedTime(file).toMillis());
    }

    /** {@return a source, opened; to be given back or closed} */
    Lent borrow(SourceId id) throws IOException {
        synchronized (idle) {
            for (int i = 0; i < idle.size(); i++) if (idle.get(i).source().equals(id)) return idle.remove(i);
        }
        return new Lent(id, sources.open(id), 0);
    }

    /** Takes a source back that was read without a fault. */
    void giveBack(Lent lent, int pages) throws IOException {
        List<Lent> done = new ArrayList<>();
        synchronized (idle) {
            int read = lent.read() + pages + PAGES_A_USE;
            boolean isLast = stretches.merge(lent.source(), -1, Integer::sum) <= 0;
            if (closed || isLast || read >= MOST_PAGES) done.add(lent);
            else idle.add(new Lent(lent.source(), lent.input(), read));
            while (idle.size() > 1 && isTooMuch()) {
                // A file of few pages is soon opened again.
                Lent least = Collections.min(idle, Comparator.comparingInt(one -> sources.source(one.source()).pageCount()));
                idle.remove(least);
                done.add(least);
            }
        }
        for (Lent over : done) over.input().close();
    }

    private boolean isTooMuch() {
        long bytes = 0;
        long pages = 0;
        for (Lent lent : idle) {
            Source source = sources.source(lent.source());
            bytes += Math.min(source.bytes(), WHOLE_UP_TO);
            pages += source.pageCount();
        }
        return idle.size() > MOST_IDLE || pages > MOST_IDLE_PAGES || bytes > MOST_IDLE_BYTES;
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
        try {
            recogniser.close();
        } catch (IOException e) {
            LoggerFactory.getLogger(SourceSessions.class).warn("the text recognition did not end", e);
        }
    }
}
