package app.yellowtab.cli.option;

import java.io.PrintWriter;
import java.util.Locale;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;

/**
 * Where one command speaks: progress on one line of a terminal, what is found to standard error, the summary to standard output.
 */
public final class Console implements AutoCloseable {
    private final PrintWriter out;
    private final PrintWriter err;
    private final long begun = System.nanoTime();
    private final boolean watched = System.console() != null && System.console().isTerminal();
    private final CountDownLatch ended = new CountDownLatch(1);
    private final Thread onSignal = new Thread(this::stop);
    private volatile boolean stopped;

    public Console(PrintWriter out, PrintWriter err) {
        this.out = out;
        this.err = err;
        Runtime.getRuntime().addShutdownHook(onSignal);
    }

    @Override
    public void close() {
        ended.countDown();
        if (!stopped) Runtime.getRuntime().removeShutdownHook(onSignal);
    }

    public boolean isStopped() {
        return stopped;
    }

    /** Rewrites one line on a terminal; says nothing to a file. */
    public void show(String words) {
        if (!watched) return;
        System.err.print("\r\u001B[K" + words);
        System.err.flush();
    }

    /** Shows which file is being read, counted from 0. */
    public void reading(int done, int total, String name) {
        show("Reading " + (done + 1) + " of " + total);
    }

    /** Says what was found, or why something cannot be had. */
    public void say(String words) {
        show("");
        err.println(words);
        err.flush();
    }

    /** Says the last word, with the time that all took. */
    public void end(String words) {
        show("");
        out.printf(Locale.UK, "%s %.1f seconds%n", words, (System.nanoTime() - begun) / 1e9);
        out.flush();
    }

    /**
     * When the program is told to end while it works, lets the work come to its next page, so that it can clear away its draft.
     */
    private void stop() {
        stopped = true;
        try {
            ended.await(5, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
