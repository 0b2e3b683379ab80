package app.yellowtab.cli;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.util.stream.Stream;
import picocli.CommandLine;

/** Tests that type commands and read what comes of them. */
abstract class AtTheCommandLine {
    final StringWriter out = new StringWriter();
    final StringWriter err = new StringWriter();

    /** {@return the exit code of a command} */
    int run(Object... arguments) {
        CommandLine line = Main.commandLine();
        line.setOut(new PrintWriter(out, true));
        line.setErr(new PrintWriter(err, true));
        return line.execute(Stream.of(arguments).map(Object::toString).toArray(String[]::new));
    }
}
