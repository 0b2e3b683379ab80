package app.yellowtab.cli;

import app.yellowtab.cli.option.Console;
import app.yellowtab.cli.option.Exit;
import app.yellowtab.cli.option.ReadingOptions;
import app.yellowtab.deliver.SearchableFile;
import app.yellowtab.files.FileNames;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Severity;
import app.yellowtab.intake.Recognition;
import app.yellowtab.model.source.Source;
import app.yellowtab.recognise.Languages;
import app.yellowtab.recognise.ProcessRecogniser;
import app.yellowtab.recognise.TextRecogniser;
import app.yellowtab.source.InPlace;
import app.yellowtab.source.RecognisedPages;
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
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** From scans to files that can be searched. */
@Command(name = "recognise", mixinStandardHelpOptions = true, versionProvider = Version.class, sortOptions = false,
        description = {"Reads the words in scans, and writes each as a PDF with the same pages that can be searched.",
                "Pages that have words of their own are left alone, and so are the files themselves."})
final class RecogniseCommand implements Callable<Integer> {
    @Parameters(arity = "1..*", paramLabel = "FILE", description = "The scans: PDFs and pictures.")
    private List<Path> files = List.of();
    @Option(names = {"-o", "--output"}, required = true, paramLabel = "FOLDER",
            description = "Where the new files are written; nothing in it is written over.")
    private Path output = Path.of("");
    @Option(names = "--text", description = "Writes the words as plain text instead.")
    private boolean text;
    @Option(names = "--language", paramLabel = "CODE",
            description = "A language that is read; may be given several times. Otherwise eng. Others are data files in the "
                    + "folder \"languages\" of the user's folder.")
    private List<String> languages = List.of(Languages.ENGLISH);
    @Mixin
    private ReadingOptions reading = new ReadingOptions();
    @Spec
    private CommandSpec spec = CommandSpec.create();

    @Override
    public Integer call() throws IOException {
        Languages known = Languages.ofUser();
        for (String code : languages) {
            if (!known.codes().contains(code))
                throw new ParameterException(spec.commandLine(), "There is no language " + code + "; there are "
                        + String.join(", ", known.codes()) + ". Put " + code + ".traineddata into " + known.folder() + ".");
        }
        try (Console console = new Console(spec.commandLine().getOut(), spec.commandLine().getErr());
                InPlace place = new InPlace(reading.passwords())) {
            List<Finding> findings = new ArrayList<>();
            List<Source> sources = reading.bringIn(place, files, findings, console);
            int done;
            try (TextRecogniser engine = engine(known)) {
                done = recognise(sources, place, engine, findings, console);
            } catch (EngineException none) {
                console.say(none.getMessage());
                return Exit.NOTHING;
            }
            findings.forEach(finding -> console.say(finding.message()));
            if (done == 0) return Exit.NOTHING;
            return console.isStopped() || findings.stream().anyMatch(finding -> finding.severity() != Severity.REMARK)
                    ? Exit.SOME_LEFT_OUT : Exit.DONE;
        }
    }

    /** Recognition does not run here. */
    private static final class EngineException extends IOException {
        private static final long serialVersionUID = 1;

        EngineException(Throwable cause) {
            super("Words cannot be recognised on this computer: " + cause.getMessage() + ".", cause);
        }
    }

    private TextRecogniser engine(Languages known) throws EngineException {
        try {
            return new ProcessRecogniser(known, languages);
        } catch (IOException missing) {
            throw new EngineException(missing);
        }
    }

    private int recognise(List<Source> sources, InPlace place, TextRecogniser engine, List<Finding> findings, Console console)
            throws IOException {
        Files.createDirectories(output);
        Recognition recognition = new Recognition(place, place.recognisedFolder().orElseThrow(), engine,
                Runtime.getRuntime().availableProcessors());
        FileNames names = new FileNames();
        int written = 0;
        for (Source source : sources) {
            if (!source.isRead() || console.isStopped()) continue;
            String name = source.fileName();
            int dot = name.lastIndexOf('.');
            Path target = output.resolve(names.next(dot > 0 ? name.substring(0, dot) : name, text ? ".txt" : ".pdf"));
            try {
                int wanted = RecognisedPages.wanted(source).cardinality();
                if (wanted == 0 && !text) {
                    console.say(name
                            + ": there is nothing to be recognised; its pages have words of their own, or are no scans. It is "
                            + "not written anew.");
                    written++;
                    continue;
                }
                Recognition.Done done = recognition.read(source.id(),
                        (page, of) -> console.show(name + ": recognising page " + page + " of " + of), console::isStopped);
                if (console.isStopped()) break;
                place.know(List.of(source.withAbout(source.about().withRecognised(done.list()))));
                findings.addAll(recognition.findings(source.id(), done));
                if (text) SearchableFile.writeWords(place, source, target, console::isStopped);
                else findings.addAll(SearchableFile.write(place, source, target,
                        (page, of) -> console.show(name + ": writing page " + page + " of " + of), console::isStopped));
                if (console.isStopped()) break;
                console.end(String.format(Locale.UK, "%s: %,d of %,d pages recognised, in %s,", name, done.read() + done.known(),
                        source.pageCount(), target));
                written++;
            } catch (FindingException failure) {
                findings.add(failure.finding());
            } catch (IOException | RuntimeException | Error lost) {
                // The other files are not to blame.
                findings.add(new Finding(Finding.Code.NOT_RECOGNISED, place.subject(source.id(), 0),
                        String.valueOf(lost.getMessage())));
            }
        }
        return written;
    }
}
