package app.yellowtab.cli;

import app.yellowtab.cli.option.Console;
import app.yellowtab.cli.option.Exit;
import app.yellowtab.cli.option.ReadingOptions;
import app.yellowtab.cut.SheetCodes;
import app.yellowtab.deliver.SeparatorSheets;
import app.yellowtab.finding.FindingException;
import app.yellowtab.model.Reading;
import app.yellowtab.model.cut.SheetCode;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** From names to sheets that separate documents in a scan. */
@Command(name = "separators", mixinStandardHelpOptions = true, versionProvider = Version.class, sortOptions = false,
        description = {
                "Makes separator sheets to be printed: laid before a document and scanned with it, each says where the "
                        + "document begins, and what it is called.",
                "\"yellowtab cut --separators\" cuts at them."})
final class SeparatorsCommand implements Callable<Integer> {
    @Parameters(arity = "0..*", paramLabel = "NAME",
            description = "Of the documents; with date and section as \"NAME | DATE | SECTION\".")
    private List<String> names = List.of();
    @Option(names = {"-o", "--output"}, paramLabel = "FILE", required = true,
            description = "The PDF to write; must not be there yet.")
    private Path output = Path.of("");
    @Option(names = "--nameless", paramLabel = "N", description = "Adds so many sheets that only separate.")
    private int nameless;
    @Mixin
    private ReadingOptions reading = new ReadingOptions();
    @Spec
    private CommandSpec spec = CommandSpec.create();

    @Override
    public Integer call() throws FindingException {
        List<SheetCode> sheets = new ArrayList<>();
        try {
            for (String name : names) sheets.add(SheetCodes.typed(name, reading.over(Reading.STANDARD).monthFirst()));
        } catch (IllegalArgumentException wrong) {
            throw new ParameterException(spec.commandLine(), wrong.getMessage() + ".");
        }
        for (int n = 0; n < nameless; n++) sheets.add(SheetCode.NAMELESS);
        if (sheets.isEmpty()) throw new ParameterException(spec.commandLine(),
                "Say what the documents are called, or how many sheets without a name, with --nameless N.");
        if (Files.exists(output))
            throw new ParameterException(spec.commandLine(), output + " is there already; nothing was written.");
        SeparatorSheets.write(output, sheets);
        try (Console console = new Console(spec.commandLine().getOut(), spec.commandLine().getErr())) {
            console.end(output + ": " + sheets.size() + (sheets.size() == 1 ? " sheet," : " sheets,"));
        }
        return Exit.DONE;
    }
}
