package app.yellowtab.cli;

import app.yellowtab.convert.OfficeSuites;
import app.yellowtab.files.WorkFolder;
import java.io.IOException;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/** The program as a command. */
@Command(name = "yellowtab", mixinStandardHelpOptions = true, versionProvider = Version.class,
        subcommands = {AssembleCommand.class, GatherCommand.class, BuildCommand.class, ProveCommand.class, CutCommand.class,
                SeparatorsCommand.class, RecogniseCommand.class, PagesCommand.class, StampCommand.class},
        sortOptions = false, synopsisSubcommandLabel = "COMMAND",
        description = "Makes numbered, indexed, bookmarked court bundles.",
        footer = {"", "Without a command the window opens. The launcher also knows:",
                "  demo    opens the window with the sample matter", "  open    opens the window with the bundle in a folder",
                "  test    runs all tests", "  bench   runs the benchmarks",
                "",
                "Exit codes: 0 all is well, 1 nothing could be produced or something could not be proved, 2 bad arguments, 3 "
                        + "some files were left out or damaged."})
public final class Main {
    private Main() {}

    public static void main(String[] arguments) {
        try {
            WorkFolder.begin();
        } catch (IOException e) {
            System.err.println(
                    "There is no folder for work that is not finished: " + e.getMessage() + ". The system's own is used.");
        }
        OfficeSuites.use();
        CommandLine line = commandLine();
        int code;
        try {
            code = line.execute(arguments);
        } catch (Error e) {
            // Too little memory, or a part of the program that is missing: said like any other failure.
            code = ProductionRun.explain(new IllegalStateException(e.toString(), e), line, line.getParseResult());
        }
        System.exit(code);
    }

    static CommandLine commandLine() {
        CommandLine line = new CommandLine(new Main());
        line.setCaseInsensitiveEnumValuesAllowed(true);
        line.setExecutionExceptionHandler(ProductionRun::explain);
        return line;
    }
}
