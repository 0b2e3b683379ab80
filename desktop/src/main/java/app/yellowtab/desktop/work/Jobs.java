package app.yellowtab.desktop.work;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/** Long work, off the JavaFX thread: each job shows how far it is and can be stopped. */
public final class Jobs {
    private final Executor background;
    private final Executor fxThread;
    private final ObservableList<Job> running = FXCollections.observableArrayList();
    private Consumer<Throwable> failures = failure -> {};
    /** What waits to be begun, in order; null where nothing need wait. */
    private @Nullable List<Runnable> held;

    /**
     * @param background runs the work
     * @param fxThread   runs what changes the window; a test passes {@code Runnable::run} for both
     */
    public Jobs(Executor background, Executor fxThread) {
        this.background = background;
        this.fxThread = fxThread;
    }

    /**
     * Keeps back what is to run in the background until {@link #begin}: where processors are few, it would hold up what is to be
     * seen first.
     */
    public synchronized void hold() {
        if (held == null) held = new ArrayList<>();
    }

    /** Begins with what was kept back. */
    public synchronized void begin() {
        List<Runnable> waiting = held;
        held = null;
        if (waiting == null) return;
        for (Runnable work : waiting) {
            try {
                background.execute(work);
            } catch (RuntimeException | Error e) {
                LoggerFactory.getLogger(Jobs.class).warn("not begun", e);
            }
        }
    }

    /** Runs something in the background that takes as long as it likes and looks after itself. */
    public synchronized void beside(Runnable work) {
        if (held == null) background.execute(work);
        else held.add(work);
    }

    /** Runs something on the JavaFX thread. */
    public void later(Runnable task) {
        fxThread.execute(task);
    }

    /** Is told, on the JavaFX thread, of what failed and is nobody's answer, so that the user hears of it. */
    public void onFailure(Consumer<Throwable> newListener) {
        failures = newListener;
    }

    /**
     * Works something out in the background that is soon done and needs no showing, and gives it to the JavaFX thread. The user
     * is told if it fails.
     */
    public <T> void quietly(Supplier<T> work, Consumer<T> done) {
        quietly(work, done, failure -> {});
    }

    /**
     * Works something out in the same way.
     *
     * @param failed is given what went wrong, errors of the machine among it, on the JavaFX thread, after the user was told
     */
    public <T> void quietly(Supplier<T> work, Consumer<T> done, Consumer<Throwable> failed) {
        attempt(work, done, failure -> {
            failures.accept(failure);
            failed.accept(failure);
        });
    }

    /** Works something out in the same way, whose failure the caller tells the user himself. */
    <T> void attempt(Supplier<T> work, Consumer<T> done, Consumer<Throwable> failed) {
        beside(() -> {
            T result;
            try {
                result = work.get();
            } catch (RuntimeException | Error e) {
                LoggerFactory.getLogger(Jobs.class).warn("not worked out", e);
                fxThread.execute(() -> failed.accept(e));
                return;
            }
            fxThread.execute(() -> done.accept(result));
        });
    }

    /** {@return the jobs under way, the oldest first} */
    public ObservableList<Job> running() {
        return running;
    }

    /**
     * Starts a job.
     *
     * @param work   the work; it reports how far it is, and asks whether to stop
     * @param done   is given the result, on the JavaFX thread
     * @param failed is given what went wrong, on the JavaFX thread, errors of the machine and of the program among it
     */
    public <T> Job start(Work<T> work, Consumer<T> done, Consumer<Throwable> failed) {
        Job job = new Job(fxThread);
        running.add(job);
        beside(() -> {
            try {
                T result = work.run(job::report, job::isStopped);
                fxThread.execute(() -> {
                    running.remove(job);
                    try {
                        done.accept(result);
                    } finally {
                        job.ended.complete(true);
                    }
                });
            } catch (Exception | Error e) {
                LoggerFactory.getLogger(Jobs.class).warn("job failed", e);
                fxThread.execute(() -> {
                    running.remove(job);
                    try {
                        failed.accept(e);
                    } finally {
                        job.ended.complete(false);
                    }
                });
            }
        });
        return job;
    }

    /** The work of a job. */
    @FunctionalInterface
    public interface Work<T> {
        T run(Consumer<JobProgress> progress, BooleanSupplier stop) throws Exception;
    }

    /**
     * How far a job is.
     *
     * @param words    what it is doing
     * @param fraction from 0 to 1
     */
    public record JobProgress(String words, double fraction) {}

    /** One piece of work under way. */
    public static final class Job {
        private final Executor fxThread;
        private final ReadOnlyObjectWrapper<JobProgress> state =
                new ReadOnlyObjectWrapper<>(this, "state", new JobProgress("", 0));
        private final AtomicReference<@Nullable JobProgress> pending = new AtomicReference<>();
        private final CompletableFuture<Boolean> ended = new CompletableFuture<>();
        private volatile boolean stopped;

        private Job(Executor fxThread) {
            this.fxThread = fxThread;
        }

        public ReadOnlyObjectProperty<JobProgress> stateProperty() {
            return state.getReadOnlyProperty();
        }

        /** Asks the work to stop; it ends at its next page or file. */
        public void stop() {
            stopped = true;
        }

        public boolean isStopped() {
            return stopped;
        }

        /** {@return completed when the job has ended and its result was taken, well or not} */
        public CompletableFuture<Boolean> ended() {
            return ended;
        }

        /** Many reports become one change of the window. */
        private void report(JobProgress newest) {
            if (pending.getAndSet(newest) != null) return;
            fxThread.execute(() -> {
                JobProgress latest = pending.getAndSet(null);
                if (latest != null) state.set(latest);
            });
        }
    }
}
