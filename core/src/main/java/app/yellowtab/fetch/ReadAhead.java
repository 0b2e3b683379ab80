package app.yellowtab.fetch;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.mark.MarkSetter;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Plan;
import app.yellowtab.sets.Output;
import app.yellowtab.sets.Ways;
import app.yellowtab.source.SourceFiles;
import java.io.Closeable;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.Set;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.BooleanSupplier;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/** Makes the next sources ready on other threads while one is written. Used by one thread. */
public final class ReadAhead implements Closeable {
    /**
     * How many runs are made ready ahead, each on a thread; more would only fill the memory, since writing is the slower part.
     */
    private static final int MOST_RUNS = Math.clamp(Runtime.getRuntime().availableProcessors() + 1, 3, 5);
    /** Nor are more of the sources' bytes ahead than this, but for one source. */
    private static final long MOST_BYTES = 40L << 20;
    /**
     * Nor are sources ahead that have more pages than this, but for one: a long text takes ten times its bytes when it is open.
     */
    private static final int MOST_PAGES = 2000;

    /** Nor is one source open so often that its tables of pages have more entries than this in all. */
    private static final long MOST_SIDE_BY_SIDE = Runtime.getRuntime().maxMemory() >> 16;

    /** So many times longer a file may take until it is open. */
    private static final int OPENING = 10;

    private static final int LOOK_MS = 100;

    private final Plan plan;
    private final SourceFiles sources;
    private final SourceSessions sessions;
    private final LeafLookup lookup;
    private final Output output;
    private final MarkSetter setter;
    private final BooleanSupplier stop;
    private final Duration limit;
    private final ExecutorService threads = Executors.newCachedThreadPool(work -> {
        Thread thread = new Thread(work, "sources");
        thread.setDaemon(true);
        return thread;
    });
    private final Deque<Underway> ahead = new ArrayDeque<>();
    private int next;

    /**
     * @param output   the leaves
     * @param ways     where links between them lead
     * @param sessions the sources; not closed by this
     * @param limit    how long nothing may come from a source before it is given up
     */
    public ReadAhead(Plan plan, Output output, Ways ways, SourceSessions sessions, MarkSetter setter, BooleanSupplier stop,
            Duration limit) {
        this.plan = plan;
        this.sources = sessions.sources();
        this.sessions = sessions;
        this.output = output;
        this.lookup = new LeafLookup(plan, ways);
        this.setter = setter;
        this.stop = stop;
        this.limit = limit;
    }

    private record Underway(ReadySource source, Future<?> work) {}

    /**
     * {@return the next run of the plan, ready; empty-handed for every leaf where it was not ready in time}
     *
     * @throws IOException why it cannot be had
     */
    public ReadySource take() throws IOException {
        lookAhead();
        Underway first = ahead.remove();
        lookAhead();
        try {
            long seen = first.source.progress();
            // Looks are counted and not the clock, which goes on while the machine sleeps.
            long waited = 0;
            while (!isDone(first.work)) {
                if (stop.getAsBoolean()) first.source.cancel();
                long now = first.source.progress();
                // A conversion that is made anew shows no progress while its file is opened.
                long patience = first.source.isOpen() ? limit.toMillis() : OPENING * limit.toMillis();
                waited = now == seen ? waited + LOOK_MS : 0;
                if (waited > patience) return givenUp(first);
                seen = now;
            }
            return first.source;
        } catch (ExecutionException e) {
            first.source.close();
            if (e.getCause() instanceof IOException reason) throw reason;
            if (e.getCause() instanceof OutOfMemoryError) {
                LoggerFactory.getLogger(ReadAhead.class).warn("too large to be read: {}",
                        sources.original(first.source.run().source()), e);
                return new ReadySource(first.source.run(), sources, sessions);
            }
            throw new IllegalStateException(e.getCause());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException("interrupted", e);
        }
    }

    /**
     * Gives up a source from which nothing comes; what was opened of it is closed when its thread ends.
     *
     * @throws FindingException if it is its file that does not come, and not a page that does not end
     */
    private ReadySource givenUp(Underway stuck) throws FindingException {
        Path original = sources.original(stuck.source.run().source());
        LoggerFactory.getLogger(ReadAhead.class).warn("nothing comes from {}", original);
        stuck.source.cancel();
        if (stuck.source.isAtPages()) return new ReadySource(stuck.source.run(), sources, sessions);
        throw new FindingException(new Finding(Code.SOURCE_STUCK, sources.subject(stuck.source.run().source(), 0),
                String.valueOf(limit.toSeconds())), null);
    }

    private static boolean isDone(Future<?> work) throws ExecutionException, InterruptedException {
        try {
            work.get(LOOK_MS, TimeUnit.MILLISECONDS);
            return true;
        } catch (TimeoutException notYet) {
            return false;
        }
    }

    private void lookAhead() {
        while (ahead.size() < MOST_RUNS) {
            @Nullable SourceRun run = SourceRun.next(output.leaves(), next);
            if (run == null) return;
            Source source = sources.source(run.source());
            if (!ahead.isEmpty()
                    && !(isSourceAhead(run) ? (ahead.size() + 1L) * source.pageCount() <= MOST_SIDE_BY_SIDE : hasRoom(source)))
                return;
            next = output.position(run.leaves().getLast().index());
            ReadySource ready = new ReadySource(run, sources, sessions);
            ahead.add(new Underway(ready, threads.submit(() -> prepare(ready))));
        }
    }

    private ReadySource prepare(ReadySource source) throws IOException {
        try {
            source.prepare(plan, lookup, setter, stop);
            return source;
        } finally {
            if (source.isCancelled()) source.close();
        }
    }

    /** {@return whether all that is ahead is of the same source} */
    private boolean isSourceAhead(SourceRun run) {
        return ahead.stream().allMatch(underway -> underway.source.run().source().equals(run.source()));
    }

    private boolean hasRoom(Source next) {
        Set<SourceId> counted = new HashSet<>(Set.of(next.id()));
        long bytes = next.bytes();
        int pages = next.pageCount();
        for (Underway underway : ahead) {
            Source open = sources.source(underway.source.run().source());
            if (!counted.add(open.id())) continue;
            bytes += open.bytes();
            pages += open.pageCount();
        }
        return bytes <= MOST_BYTES && pages <= MOST_PAGES;
    }

    @Override
    public void close() throws IOException {
        ahead.forEach(underway -> underway.source.cancel());
        threads.shutdown();
        try {
            // What has not ended by then closes its source itself when it does.
            if (threads.awaitTermination(5, TimeUnit.SECONDS)) {
                for (Underway underway : ahead) underway.source.close();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
