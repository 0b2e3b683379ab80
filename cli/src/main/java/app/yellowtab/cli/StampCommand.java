package app.yellowtab.cli;

import app.yellowtab.cli.option.Console;
import app.yellowtab.cli.option.Exit;
import app.yellowtab.cli.option.NumberOptions;
import app.yellowtab.edit.number.NumberPreset;
import app.yellowtab.files.FileNames;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Severity;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.stamp.StampOrder;
import app.yellowtab.stamp.StampRegister;
import app.yellowtab.stamp.Stamper;
import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Numbers and lines on loose files that stay files. */
@Command(name = "stamp", mixinStandardHelpOptions = true, versionProvider = Version.class, sortOptions = false,
        description = {"Puts numbers and lines on copies of loose PDFs.",
                "Numbers run on from file to file. Each copy is the file itself with an update behind it, so that it keeps all "
                        + "that the file has, and what was put on can be taken off again."})
final class StampCommand implements Callable<Integer> {
    @Parameters(paramLabel = "FILE", arity = "1..*", description = "PDFs, or folders of them, in their order.")
    private List<Path> files = List.of();
    @Option(names = {"-o", "--output"}, required = true, paramLabel = "FOLDER",
            description = "The folder for the copies; copies that stand there are replaced, but never one of the files.")
    private Path folder = Path.of("");
    @Mixin
    private NumberOptions numbers = new NumberOptions();
    @Option(names = "--each-from-start", description = "Begins anew in each file.")
    private boolean each;
    @Option(names = "--name-before", paramLabel = "S", description = "Set before the name of each copy.")
    private String before = "";
    @Option(names = "--name-after", paramLabel = "S", description = "Set behind the name of each copy, before its ending.")
    private String after = "";
    @Option(names = "--register", paramLabel = "FILE.csv",
            description = "Writes which page of which file bears which number; .xlsx and .docx go, too.")
    private @Nullable Path register;
    @Option(names = "--take-off", description = "Takes off what was put on earlier, in copies.")
    private boolean takeOff;
    @Option(names = "--password", paramLabel = "WORD",
            description = "A password to try on locked files; may be given several times. It is not kept.")
    private List<String> passwords = List.of();
    @Spec
    private CommandSpec spec = CommandSpec.create();

    @Override
    public Integer call() throws IOException {
        if (takeOff == numbers.isGiven())
            throw new ParameterException(spec.commandLine(), takeOff ? "--take-off puts nothing on: leave the other options out."
                    : "Say what to put on: --number, --bates, --line or --preset.");
        for (String part : List.of(before, after))
            if (!part.isEmpty() && !FileNames.safe("x" + part + "x").equals("x" + part + "x"))
                throw new ParameterException(spec.commandLine(), "“" + part + "” cannot stand in the name of a file.");
        try (Console console = new Console(spec.commandLine().getOut(), spec.commandLine().getErr())) {
            List<Path> all = Stamper.pdfs(files);
            return takeOff ? takeOff(all, console) : stamp(all, console);
        }
    }

    private int stamp(List<Path> all, Console console) throws FindingException {
        NumberPreset preset = numbers.preset();
        Optional<BundleNumber> number = numbers.numbers() ? Optional.of(preset.number()) : Optional.empty();
        Stamper.Outcome outcome = Stamper.stamp(
                new StampOrder(all, folder, before, after, number, preset.series().stream().findFirst(), preset.lines(), each,
                        LocalDateTime.now(), passwords),
                (done, of) -> console.show("Stamping file " + done + " of " + of), console::isStopped);
        outcome.findings().forEach(finding -> console.say(finding.message()));
        if (register != null) StampRegister.write(outcome.files(), register);
        int pages = outcome.files().stream().mapToInt(Stamper.Stamped::pages).sum();
        String span = outcome.files().isEmpty() ? ""
                : ", " + outcome.files().getFirst().names().getFirst() + " to " + outcome.files().getLast().names().getLast();
        console.end(String.format(Locale.UK, "%s: %,d %s, %,d %s%s", folder, outcome.files().size(),
                outcome.files().size() == 1 ? "file" : "files", pages, pages == 1 ? "page" : "pages",
                span.replaceFirst("^,  to $", "")));
        boolean lossy = !outcome.isWhole()
                || outcome.findings().stream().map(Finding::severity).anyMatch(severity -> severity != Severity.REMARK);
        return outcome.files().isEmpty() ? Exit.NOTHING : lossy ? Exit.SOME_LEFT_OUT : Exit.DONE;
    }

    private int takeOff(List<Path> all, Console console) {
        int done = 0;
        int failed = 0;
        for (Path file : all) {
            if (console.isStopped()) break;
            try {
                String name = String.valueOf(file.getFileName());
                int end = name.toLowerCase(Locale.ROOT).endsWith(".pdf") ? name.length() - 4 : name.length();
                if (Stamper.takenOff(file, folder.resolve(FileNames.safe(before + name.substring(0, end) + after) + ".pdf"),
                        passwords))
                    done++;
                else console.say(name + " has nothing that was put on by this program.");
            } catch (FindingException refused) {
                console.say(refused.finding().message());
                failed++;
            }
        }
        console.end(String.format(Locale.UK, "%s: %,d %s without what was put on", folder, done, done == 1 ? "file" : "files"));
        return failed > 0 ? Exit.SOME_LEFT_OUT : Exit.DONE;
    }
}
