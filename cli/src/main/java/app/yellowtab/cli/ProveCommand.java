package app.yellowtab.cli;

import app.yellowtab.cli.option.Console;
import app.yellowtab.cli.option.Exit;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.FindingException;
import app.yellowtab.ledger.LedgerFinder;
import app.yellowtab.prove.Proof;
import app.yellowtab.prove.Prover;
import app.yellowtab.prove.SetsProof;
import app.yellowtab.store.BundleFolder;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Opens a produced bundle anew and proves it. */
@Command(name = "prove", mixinStandardHelpOptions = true, versionProvider = Version.class, sortOptions = false,
        description = {
                "Opens a produced bundle anew and proves it against its ledger, which lies beside it or in the bundle folder.",
                "Looked at are: the number of pages, every stamped number and page label, every row of the index with its "
                        + "number and link, every bookmark "
                        + "and link, every page as a whole, our fonts, and that nothing in it runs by itself."},
        footer = {"",
                "With --paper the set to be printed is proved as well, and both are held against each other: the same number "
                        + "on the same page.",
                "", "Exit codes: 0 all is as it was produced, 1 something is wrong or cannot be proved, 2 bad arguments."})
final class ProveCommand implements Callable<Integer> {
    @Parameters(paramLabel = "BUNDLE", description = "The produced PDF.")
    private Path bundle = Path.of("");
    @Option(names = "--bundle", paramLabel = "BUNDLEFOLDER",
            description = "The bundle folder that it was produced from, where its ledger is kept; otherwise that in which it "
                    + "lies.")
    private Optional<Path> folder = Optional.empty();
    @Option(names = "--ledger", paramLabel = "FILE", description = "Its ledger, where that lies somewhere else.")
    private Optional<Path> ledger = Optional.empty();
    @Option(names = "--all", description = "Proves all files that were produced with it, such as the other volumes, as they lie "
            + "beside it.")
    private boolean all;
    @Option(names = "--paper", paramLabel = "FILE", description = "The set to be printed of the same bundle.")
    private Optional<Path> paper = Optional.empty();
    @Spec
    private CommandSpec spec = CommandSpec.create();

    @Override
    public Integer call() throws IOException {
        try (Console console = new Console(spec.commandLine().getOut(), spec.commandLine().getErr())) {
            Path its = ledger.orElse(ledgerOf(bundle));
            boolean holds = true;
            for (Path file : all ? Prover.filesOf(bundle, its) : List.of(bundle)) {
                try {
                    holds &= holds(file, its, console);
                } catch (FindingException unproved) {
                    // The others are proved all the same.
                    console.say(unproved.getMessage());
                    holds = false;
                }
            }
            if (paper.isPresent())
                holds = holds(paper.get(), ledgerOf(paper.get()), console) & holds && agree(paper.get(), console);
            return holds ? Exit.DONE : Exit.NOTHING;
        }
    }

    private Path ledgerOf(Path produced) {
        Path in = folder.orElse(produced.toAbsolutePath().getParent());
        return LedgerFinder.find(produced, List.of(BundleFolder.produced(in)));
    }

    private static boolean holds(Path produced, Path ledger, Console console) throws IOException {
        Optional<Proof> proof = Prover.standard().prove(produced, ledger,
                (done, total) -> console.show("Proving page " + done + " of " + total), console::isStopped);
        console.show("");
        if (proof.isEmpty()) {
            console.say("Stopped. Nothing was proved.");
            return false;
        }
        for (Finding finding : proof.get().findings()) console.say(finding.message());
        console.end(produced + ": " + proof.get().summary());
        return proof.get().holds();
    }

    private boolean agree(Path printed, Console console) throws IOException {
        List<Finding> differing = SetsProof.prove(ledger.orElse(ledgerOf(bundle)), printed, ledgerOf(printed));
        for (Finding finding : differing) console.say(finding.message());
        if (differing.isEmpty()) console.end("Both sets have the same numbers on the same pages.");
        return differing.isEmpty();
    }
}
