package app.yellowtab.cli;

import app.yellowtab.assemble.Assembler;
import app.yellowtab.assemble.Outcome;
import app.yellowtab.clash.Clash;
import app.yellowtab.clash.ClashFinder;
import app.yellowtab.cli.option.Console;
import app.yellowtab.cli.option.Exit;
import app.yellowtab.deliver.PaperFiles;
import app.yellowtab.find.BundleWords;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Severity;
import app.yellowtab.finding.Subject;
import app.yellowtab.ledger.LedgerCsv;
import app.yellowtab.ledger.LedgerFinder;
import app.yellowtab.ledger.LedgerPlace;
import app.yellowtab.model.Bundle;
import app.yellowtab.picture.PageRenderer;
import app.yellowtab.picture.PictureFiles;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.printed.OldSeries;
import app.yellowtab.prove.SetsProof;
import app.yellowtab.sets.Output;
import app.yellowtab.source.SourceFiles;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Locale;
import picocli.CommandLine;

/** One production from the command line: findings to standard error, the summary to standard output. */
final class ProductionRun implements AutoCloseable {
    private final Console console;

    ProductionRun(PrintWriter out, PrintWriter err) {
        console = new Console(out, err);
    }

    @Override
    public void close() {
        console.close();
    }

    boolean isStopped() {
        return console.isStopped();
    }

    Console console() {
        return console;
    }

    /** Produces the bundle and says what came of it; {@return the exit code} */
    int produce(Bundle bundle, SourceFiles sources, Path output, LedgerPlace ledger, boolean csv, List<Finding> findings)
            throws FindingException {
        findings.forEach(this::say);
        Plan plan = Planner.plan(bundle, LocalDateTime.now());
        return produce(plan, Output.screen(plan), sources, output, ledger, csv, findings);
    }

    /** Names the marks that stand on something, and the numbers that pages carried before. */
    void checkNumbers(Bundle bundle, SourceFiles sources) {
        Plan plan = Planner.plan(bundle);
        BundleWords words = new BundleWords(sources);
        try (PageRenderer renderer = new PageRenderer(sources, PictureFiles.NONE)) {
            new ClashFinder(words, renderer).all(plan, bundle.sourcesById(),
                    found -> found.stream().filter(clash -> clash.kind() != Clash.Kind.CUT)
                            .forEach(clash -> say(finding(plan, clash))),
                    (done, total) -> console.show("Looking at page " + done + " of " + total), this::isStopped);
        }
        for (OldSeries series : OldSeries.in(bundle, plan, words, this::isStopped)) {
            if (series.differing() > 0 && !series.isDecided())
                say(new Finding(Code.OLD_NUMBERS, new Subject.OfThing(series.fileName()),
                        series.first() + " to " + series.last() + " on pages " + plan.leaf(series.leaves().getFirst()).label()
                                + " to " + plan.leaf(series.leaves().getLast()).label()));
        }
    }

    private static Finding finding(Plan plan, Clash clash) {
        String on = switch (clash.kind()) {
            case WORDS -> "stands on the words \"" + clash.words() + "\"";
            case DRAWN -> "stands on a line or a dark part of a picture";
            case MARK -> "stands on \"" + clash.words() + "\"";
            case CUT -> throw new IllegalArgumentException("said of all pages at once, when they are written");
        };
        return new Finding(Code.NUMBER_ON_SOMETHING, new Subject.OfThing(plan.leaf(clash.leaf()).label()),
                "\"" + clash.mark().words() + "\" " + on);
    }

    /** Produces the set to be printed, with all that goes with it; {@return the exit code} */
    int producePaper(Bundle bundle, SourceFiles sources, Path screen, LedgerPlace ledger, boolean csv) throws FindingException {
        PaperFiles files = PaperFiles.beside(screen);
        Plan plan = Planner.paper(bundle, LocalDateTime.now());
        int code = produce(plan, Output.paper(plan), sources, files.file(), ledger, csv, List.of());
        if (code == Exit.NOTHING) return code;
        try (PageRenderer renderer = new PageRenderer(sources, PictureFiles.NONE)) {
            files.writeOthers(bundle, plan, renderer,
                    (done, total) -> console.show("Looking for colour: page " + done + " of " + total), this::isStopped);
        }
        return code;
    }

    /** Holds both sets against each other; {@return the exit code} */
    int compareSets(Path screen, LedgerPlace place) throws IOException {
        Path paper = PaperFiles.beside(screen).file();
        List<Finding> differing = SetsProof.prove(LedgerFinder.find(screen, place.folders()), paper,
                LedgerFinder.find(paper, place.folders()));
        differing.forEach(this::say);
        return differing.isEmpty() ? Exit.DONE : Exit.NOTHING;
    }

    private int produce(Plan plan, Output set, SourceFiles sources, Path output, LedgerPlace ledger, boolean csv,
            List<Finding> findings) throws FindingException {
        Outcome outcome = Assembler.standard().assemble(plan, set, sources, output, ledger,
                (done, total) -> console.show("Writing page " + done + " of " + total), this::isStopped);
        return switch (outcome) {
            case Outcome.Stopped s -> {
                console.say("Stopped. Nothing was written.");
                yield Exit.NOTHING;
            }
            case Outcome.Written written -> {
                written.findings().forEach(this::say);
                boolean complete = !csv || table(written);
                int code = summary(written, findings);
                yield complete ? code : Exit.SOME_LEFT_OUT;
            }
        };
    }

    /** The bundle is there, whatever becomes of its table; {@return whether that is there too} */
    private boolean table(Outcome.Written written) {
        try {
            LedgerCsv.write(written.file(), written.ledger().orElseThrow());
            return true;
        } catch (FindingException failure) {
            say(failure.finding());
            return false;
        }
    }

    private int summary(Outcome.Written written, List<Finding> intake) {
        long leftOut = intake.stream().filter(finding -> finding.severity() != Severity.REMARK).count();
        console.end(String.format(Locale.UK, "%s: %,d %s, %,d pages, %,d bytes,%s%s", written.file(), written.documents(),
                written.documents() == 1 ? "document" : "documents", written.pages(),
                written.bytes(),
                written.enclosed() > 0
                        ? " " + written.enclosed() + (written.enclosed() == 1 ? " file beside it," : " files beside it,") : "",
                leftOut > 0 ? " " + leftOut + " left out or damaged (named above)," : ""));
        boolean lossy = leftOut > 0 || written.findings().stream().anyMatch(finding -> finding.severity() != Severity.REMARK);
        return lossy ? Exit.SOME_LEFT_OUT : Exit.DONE;
    }

    void say(Finding finding) {
        console.say(finding.message());
    }

    /** Words a failure for the user; {@return the exit code} */
    static int explain(Exception failure, CommandLine line, CommandLine.ParseResult parsed) {
        line.getErr().println(failure instanceof FindingException ? failure.getMessage()
                : "Something went wrong that should not have, and nothing was written: " + failure
                        + ". Please tell us, with the command you gave.");
        return Exit.NOTHING;
    }
}
