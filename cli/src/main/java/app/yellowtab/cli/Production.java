package app.yellowtab.cli;

import app.yellowtab.assemble.Assembler;
import app.yellowtab.assemble.Outcome;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.FindingException;
import app.yellowtab.model.Bundle;
import app.yellowtab.plan.Planner;
import app.yellowtab.source.SourceFiles;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import picocli.CommandLine;

/** One production from the command line: findings to standard error, the summary to standard output. */
final class Production implements AutoCloseable {
    private static final int DONE = 0;
    private static final int NOTHING_PRODUCED = 1;
    private static final int SOME_LEFT_OUT = 3;

    private final PrintWriter out;
    private final PrintWriter err;
    private final long begun = System.nanoTime();
    private final boolean watched = System.console() != null && System.console().isTerminal();
    private final CountDownLatch ended = new CountDownLatch(1);
    private final Thread onSignal = new Thread(this::stop);
    private volatile boolean stopped;

    Production(PrintWriter out, PrintWriter err) {
        this.out = out;
        this.err = err;
        Runtime.getRuntime().addShutdownHook(onSignal);
    }

    @Override
    public void close() {
        ended.countDown();
        if (!stopped) Runtime.getRuntime().removeShutdownHook(onSignal);
    }

    boolean isStopped() {
        return stopped;
    }

    void reading(int done, int total, String name) {
        show("Reading " + (done + 1) + " of " + total);
    }

    /** Produces the bundle and says what came of it; {@return the exit code} */
    int produce(Bundle bundle, SourceFiles sources, Path output, List<Finding> findings) throws FindingException {
        findings.forEach(this::say);
        Outcome outcome = Assembler.standard().assemble(Planner.plan(bundle), sources, output,
                (done, total) -> show("Writing page " + done + " of " + total), this::isStopped);
        return switch (outcome) {
            case Outcome.Stopped s -> {
                err.println("Stopped. Nothing was written.");
                yield NOTHING_PRODUCED;
            }
            case Outcome.Written written -> {
                written.findings().forEach(this::say);
                yield summary(written, findings);
            }
        };
    }

    private int summary(Outcome.Written written, List<Finding> intake) {
        show("");
        long leftOut = intake.stream().filter(finding -> finding.code().lossy()).count();
        out.printf(Locale.UK, "%s: %,d documents, %,d pages, %,d bytes, %.1f seconds%n", written.file(), written.documents(),
                written.pages(), written.bytes(), (System.nanoTime() - begun) / 1e9);
        if (leftOut > 0) out.println(leftOut + " left out or damaged, named above.");
        out.flush();
        boolean lossy = leftOut > 0 || written.findings().stream().anyMatch(finding -> finding.code().lossy());
        return lossy ? SOME_LEFT_OUT : DONE;
    }

    private void say(Finding finding) {
        show("");
        err.println(finding.message());
        err.flush();
    }

    /** Rewrites one line on a terminal; says nothing to a file. */
    private void show(String words) {
        if (!watched) return;
        System.err.print("\r\u001B[K" + words);
        System.err.flush();
    }

    /** When the program is told to end while it works, lets the work come to its next page, so that it can clear away its draft. */
    private void stop() {
        stopped = true;
        try {
            ended.await(5, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** Words a failure for the user; {@return the exit code} */
    static int explain(Exception failure, CommandLine line, CommandLine.ParseResult parsed) {
        line.getErr().println(failure instanceof FindingException ? failure.getMessage()
                : "Something went wrong that should not have, and nothing was written: " + failure + ". Please tell us, with the command you gave.");
        return NOTHING_PRODUCED;
    }
}
