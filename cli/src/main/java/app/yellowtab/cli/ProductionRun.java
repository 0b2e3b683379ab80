package app.yellowtab.cli;

import app.yellowtab.assemble.Assembler;
import app.yellowtab.assemble.Delivery;
import app.yellowtab.assemble.Outcome;
import app.yellowtab.clash.Clash;
import app.yellowtab.clash.ClashFinder;
import app.yellowtab.cli.option.Console;
import app.yellowtab.cli.option.Exit;
import app.yellowtab.deliver.BundleSets;
import app.yellowtab.deliver.PaperFiles;
import app.yellowtab.deliver.Producing;
import app.yellowtab.deliver.VolumeCheck;
import app.yellowtab.find.BundleWords;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Severity;
import app.yellowtab.finding.Subject;
import app.yellowtab.ledger.LedgerCsv;
import app.yellowtab.ledger.LedgerPlace;
import app.yellowtab.model.Bundle;
import app.yellowtab.picture.PageRenderer;
import app.yellowtab.picture.PictureFiles;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.printed.OldSeries;
import app.yellowtab.prove.SetsProof;
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

    /** Produces sets of the bundle, with all that goes with them, and says what came of it; {@return the exit code} */
    int produce(Bundle bundle, SourceFiles sources, BundleSets sets, Path output, LedgerPlace ledger, boolean csv,
            boolean goOn, List<Finding> findings) throws IOException {
        findings.forEach(this::say);
        Producing.Produced produced;
        try {
            produced = new Producing(Assembler.standard(), sources,
                    (done, total) -> console.show("Measuring page " + done + " of " + total),
                    (done, total) -> console.show("Writing page " + done + " of " + total), this::isStopped)
                    .produce(bundle, sets, LocalDateTime.now(), output, ledger, goOn);
        } catch (FindingException refused) {
            if (!VolumeCheck.isOf(refused.finding())) throw refused;
            say(refused.finding());
            console.say("Nothing was written. Write the bundle all the same with --go-on.");
            return Exit.SOME_LEFT_OUT;
        }
        Delivery delivery = produced.delivery();
        if (!(produced.outcome() instanceof Outcome.Written written)) {
            console.say("Stopped. Nothing was written.");
            return Exit.NOTHING;
        }
        written.findings().forEach(this::say);
        boolean complete = !csv || table(delivery.name(), written);
        if (sets.hasPaper()) besidePaper(bundle, sources, delivery, output);
        int code = summary(written, findings);
        if (sets == BundleSets.BOTH) code = Math.max(code, compareSets(written));
        return complete ? code : Math.max(code, Exit.SOME_LEFT_OUT);
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

    private void besidePaper(Bundle bundle, SourceFiles sources, Delivery delivery, Path output) throws FindingException {
        try (PageRenderer renderer = new PageRenderer(sources, PictureFiles.NONE)) {
            PaperFiles.beside(output).writeOthers(bundle, delivery.files().getLast().plan(), renderer,
                    (done, total) -> console.show("Looking for colour: page " + done + " of " + total), this::isStopped);
        }
    }

    /** Holds both sets against each other; {@return the exit code} */
    private int compareSets(Outcome.Written written) throws IOException {
        Path ledger = written.ledger().orElseThrow();
        List<Finding> differing = SetsProof.prove(ledger, written.files().getLast().file(), ledger);
        differing.forEach(this::say);
        return differing.isEmpty() ? Exit.DONE : Exit.NOTHING;
    }

    /** The bundle is there, whatever becomes of its table; {@return whether that is there too} */
    private boolean table(Path name, Outcome.Written written) {
        try {
            LedgerCsv.write(name, written.ledger().orElseThrow());
            return true;
        } catch (FindingException failure) {
            say(failure.finding());
            return false;
        }
    }

    private int summary(Outcome.Written written, List<Finding> intake) {
        long leftOut = intake.stream().filter(finding -> finding.severity() != Severity.REMARK).count();
        List<Outcome.WrittenFile> files = written.files();
        for (Outcome.WrittenFile file : files.subList(0, files.size() - 1))
            console.say(String.format(Locale.UK, "%s: %,d pages, %,d bytes", file.file(), file.pages(), file.bytes()));
        console.end(String.format(Locale.UK, "%s: %,d %s, %,d pages, %,d bytes,%s%s", files.getLast().file(), written.documents(),
                written.documents() == 1 ? "document" : "documents", files.getLast().pages(), files.getLast().bytes(),
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
