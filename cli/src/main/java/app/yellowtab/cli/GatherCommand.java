package app.yellowtab.cli;

import app.yellowtab.cli.option.Console;
import app.yellowtab.cli.option.Exit;
import app.yellowtab.cli.option.ReadingOptions;
import app.yellowtab.edit.Edits;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.FindingException;
import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Reading;
import app.yellowtab.model.source.Source;
import app.yellowtab.store.BundleFolder;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** From files to the tray of a bundle. */
@Command(name = "gather", mixinStandardHelpOptions = true, versionProvider = Version.class, sortOptions = false,
        description = {"Brings files and folders into the tray of a bundle, and makes the bundle folder if there is none.",
                "The files themselves are not touched; copies are kept in the bundle folder. What lies inside zip archives, "
                        + "e-mails and PDFs is brought in, too."})
final class GatherCommand implements Callable<Integer> {
    @Parameters(index = "0", paramLabel = "BUNDLEFOLDER", description = "The folder with the bundle, or a new or empty one.")
    private Path folder = Path.of("");
    @Parameters(index = "1..*", arity = "1..*", paramLabel = "FILES", description = "Files and folders.")
    private List<Path> files = List.of();
    @Option(names = "--sections",
            description = "Puts the files in the index, each folder as a section, instead of leaving them in the tray.")
    private boolean sections;
    @Mixin
    private ReadingOptions options = new ReadingOptions();
    @Spec
    private CommandSpec spec = CommandSpec.create();

    @Override
    public Integer call() throws IOException {
        BundleFolder.Opened opened = IntoBundle.opened(folder);
        try (Console console = new Console(spec.commandLine().getOut(), spec.commandLine().getErr());
                BundleFolder place = opened.folder()) {
            place.tryPasswords(options.passwords());
            List<Finding> findings = new ArrayList<>();
            FoundFolder found = FoundFolder.of(files, findings);
            Reading reading = options.over(opened.bundle().reading());
            Bundle begun = opened.bundle().withReading(reading);
            Intake.Taken taken = options.bringIn(place, found, reading, findings, new Keeping(place, begun, console), console);
            findings.forEach(finding -> console.say(finding.message()));
            Bundle gathered = Edits.addSources(begun, taken.sources());
            place.save(sections ? Edits.append(gathered, taken.contents()) : gathered);
            int pages = taken.sources().stream().filter(Source::isRead).mapToInt(Source::pageCount).sum();
            long read = taken.sources().stream().filter(Source::isRead).count();
            console.end(String.format(Locale.UK, "%s: %,d of %,d %s read, %,d %s,", folder, read, taken.sources().size(),
                    taken.sources().size() == 1 ? "file" : "files", pages, pages == 1 ? "page" : "pages"));
            if (taken.sources().isEmpty()) return Exit.NOTHING;
            return Exit.of(findings);
        }
    }

    /** Saves what has come in each second, so that a program that is killed has lost no more. */
    private static final class Keeping implements Intake.Listener {
        private static final long OFTEN_NANOS = 1_000_000_000;

        private final BundleFolder place;
        private final Bundle begun;
        private final Console console;
        private final List<Source> come = new ArrayList<>();
        private long kept = System.nanoTime();

        Keeping(BundleFolder place, Bundle begun, Console console) {
            this.place = place;
            this.begun = begun;
            this.console = console;
        }

        @Override
        public void report(int done, int total, String name) {
            console.reading(done, total, name);
        }

        @Override
        public void arrived(Source source) {
            come.add(source);
            if (System.nanoTime() - kept < OFTEN_NANOS) return;
            kept = System.nanoTime();
            try {
                place.save(Edits.addSources(begun, come));
            } catch (FindingException notNow) {
                console.say(notNow.getMessage());
            }
        }
    }
}
