package app.yellowtab.cli.option;

import app.yellowtab.finding.Finding;
import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.model.Reading;
import app.yellowtab.model.source.Source;
import app.yellowtab.source.Depot;
import java.io.IOException;
import java.nio.file.Path;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Option;

/** What can be chosen for every intake. */
public final class ReadingOptions {
    @Option(names = "--month-first", description = "Reads 4/3/2031 as the third of April.")
    private boolean monthFirst;
    @Option(names = "--show-changes", description = "Marks tracked changes in word-processor files; otherwise they are accepted.")
    private boolean showChanges;
    @Option(names = "--show-word-comments",
            description = "Prints comments of word-processor files in the text; otherwise they are left out.")
    private boolean showComments;
    @Option(names = "--time-zone", paramLabel = "ZONE",
            description = "Where days begin, such as Europe/London, for files that tell only the moment they were sent or "
                    + "made; otherwise where this computer is.")
    private @Nullable ZoneId zone;
    @Option(names = "--password", paramLabel = "WORD",
            description = "A password to try on locked files; may be given several times. It is not kept.")
    private List<String> passwords = List.of();

    public List<String> passwords() {
        return passwords;
    }

    /** {@return the choices laid over those that a bundle has} */
    public Reading over(Reading standard) {
        return new Reading(monthFirst || standard.monthFirst(), showChanges || standard.showChanges(),
                showComments || standard.showComments(),
                Optional.ofNullable(zone).or(standard::zone));
    }

    /** Brings files and folders in, and has the depot know them; what is found on the way is added to {@code findings}. */
    public List<Source> bringIn(Depot depot, List<Path> files, List<Finding> findings, Console console) throws IOException {
        List<Source> sources = bringIn(depot, FoundFolder.of(files, findings), over(Reading.STANDARD), findings,
                console::reading, console).sources();
        depot.know(sources);
        return sources;
    }

    /** Brings in what was found in folders. */
    public Intake.Taken bringIn(Depot depot, FoundFolder found, Reading reading, List<Finding> findings, Intake.Listener listener,
            Console console) throws IOException {
        Intake.Taken taken = new Intake(depot, passwords, reading).bringIn(found, listener, console::isStopped);
        findings.addAll(taken.findings());
        return taken;
    }
}
