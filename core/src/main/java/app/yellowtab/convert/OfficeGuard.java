package app.yellowtab.convert;

import java.io.Closeable;
import java.io.File;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Locale;

/**
 * Ends what works for this program when the program ends in whatever way, killed included: a small shell that waits until nobody
 * holds the other end of its input any more. Where there is no shell, as on Windows, nothing is guarded.
 */
final class OfficeGuard implements Closeable {
    /** Kills all whose command line names the folder; the shell itself knows it from its environment. */
    private static final String SCRIPT = """
            cat > /dev/null
            if [ -d /proc/self ]; then
              for its in /proc/[0-9]*; do
                case "$(tr '\\0' ' ' < "$its/cmdline" 2> /dev/null)" in *"$GUARDED"*) kill -9 "${its#/proc/}" ;; esac
              done
            else
              ps -A -o pid= -o args= | while read -r pid words; do
                case "$words" in *"$GUARDED"*) kill -9 "$pid" ;; esac
              done
            fi
            """;

    private final Process shell;

    private OfficeGuard(Process shell) {
        this.shell = shell;
    }

    /** {@return whether there is what it takes} */
    static boolean isPossible() {
        return !System.getProperty("os.name").toLowerCase(Locale.ROOT).contains("windows") && new File("/bin/sh").canExecute();
    }

    /**
     * Begins to watch.
     *
     * @param folder its name is on the command line of each process that is to end, and of no other
     */
    static OfficeGuard over(Path folder) throws IOException {
        ProcessBuilder builder = new ProcessBuilder("/bin/sh", "-c", SCRIPT).redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD);
        builder.environment().put("GUARDED", folder.getFileName().toString());
        return new OfficeGuard(builder.start());
    }

    /** Ends what is left, as the end of the program does. */
    @Override
    public void close() throws IOException {
        shell.getOutputStream().close();
    }
}
