package app.yellowtab.cli;

import app.yellowtab.finding.Finding;
import app.yellowtab.prove.Proof;
import app.yellowtab.prove.Prover;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Opens a produced bundle anew and proves it. */
@Command(name = "prove", mixinStandardHelpOptions = true, versionProvider = Version.class, sortOptions = false,
        description = {"Opens a produced bundle anew and proves it against the ledger that lies beside it.",
            "Looked at are: the number of pages, every stamped number and page label, every row of the index with its number and link, every bookmark "
                + "and link, every page as a whole, our fonts, and that nothing in it runs by itself."},
        footer = {"", "Exit codes: 0 all is as it was produced, 1 something is wrong or cannot be proved, 2 bad arguments."})
final class ProveCommand implements Callable<Integer> {
    @Parameters(paramLabel = "BUNDLE", description = "The produced PDF; its ledger (.ledger.json) is beside it.")
    private Path bundle = Path.of("");
    @Spec
    private CommandSpec spec = CommandSpec.create();

    @Override
    public Integer call() throws IOException {
        try (Console console = new Console(spec.commandLine().getOut(), spec.commandLine().getErr())) {
            Optional<Proof> proof = Prover.standard().prove(bundle, (done, total) -> console.show("Proving page " + done + " of " + total), console::isStopped);
            console.show("");
            if (proof.isEmpty()) {
                console.say("Stopped. Nothing was proved.");
                return 1;
            }
            for (Finding finding : proof.get().findings()) console.say(finding.message());
            console.end(bundle + ": " + proof.get().summary());
            return proof.get().holds() ? 0 : 1;
        }
    }
}
