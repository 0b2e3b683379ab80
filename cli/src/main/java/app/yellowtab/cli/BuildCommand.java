package app.yellowtab.cli;

import app.yellowtab.cli.option.Exit;
import app.yellowtab.cli.option.ProductionOptions;
import app.yellowtab.deliver.BundleSets;
import app.yellowtab.find.BundleWords;
import app.yellowtab.find.RedactedWords;
import app.yellowtab.ledger.LedgerPlace;
import app.yellowtab.model.Bundle;
import app.yellowtab.plan.Planner;
import app.yellowtab.store.BundleFolder;
import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** From a saved bundle to its PDF. */
@Command(name = "build", mixinStandardHelpOptions = true, versionProvider = Version.class, sortOptions = false,
        description = "Produces a saved bundle.")
final class BuildCommand implements Callable<Integer> {
    @Parameters(paramLabel = "BUNDLEFOLDER", description = "The folder with the bundle (bundle.json and originals).")
    private Path folder = Path.of("");
    @Option(names = {"-o", "--output"}, required = true, paramLabel = "FILE",
            description = "The PDF to write; what stands there is replaced.")
    private Path output = Path.of("");
    @Option(names = "--password", paramLabel = "WORD",
            description = "A password to try on locked files; may be given several times. It is not kept.")
    private List<String> passwords = List.of();
    @Option(names = "--set", paramLabel = "screen|paper|both",
            description = "Which set is produced: for the screen, to be printed (with a printing order and spine labels beside "
                    + "it), or both, held against each other; otherwise screen.")
    private BundleSets set = BundleSets.SCREEN;
    @Mixin
    private ProductionOptions options = new ProductionOptions();
    @Spec
    private CommandSpec spec = CommandSpec.create();

    @Override
    public Integer call() throws IOException {
        BundleFolder.Opened opened = BundleFolder.open(folder);
        try (ProductionRun production = new ProductionRun(spec.commandLine().getOut(), spec.commandLine().getErr());
                BundleFolder place = opened.folder()) {
            place.tryPasswords(passwords);
            Bundle bundle = options.on(opened.bundle().withFromSources(options.over(opened.bundle().fromSources())));
            RedactedWords.Found redacted =
                    RedactedWords.in(bundle, Planner.plan(bundle), new BundleWords(place), production::isStopped);
            redacted.remarks().forEach(production::say);
            redacted.open().forEach(leak -> production.say(leak.finding()));
            if (!redacted.open().isEmpty() && !options.goesOn()) {
                production.console()
                        .say("Nothing was written. Decide each of these in the window, where they are listed under Produce, "
                                + "or write the bundle all the same with --go-on.");
                return Exit.SOME_LEFT_OUT;
            }
            if (options.checksNumbers()) production.checkNumbers(bundle, place);
            LedgerPlace ledger = options.ledger(new LedgerPlace.House(BundleFolder.produced(place.path()), LocalDateTime.now()));
            if (set == BundleSets.BOTH && ledger instanceof LedgerPlace.None) throw new ParameterException(spec.commandLine(),
                    "Both sets are held against each other by their ledger: --ledger must not be none.");
            int code = production.produce(bundle, place, set, output, ledger, options.csv(), options.goesOn(),
                    List.of());
            return code == Exit.DONE && !redacted.open().isEmpty() ? Exit.SOME_LEFT_OUT : code;
        }
    }
}
