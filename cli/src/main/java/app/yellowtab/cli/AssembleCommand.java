package app.yellowtab.cli;

import app.yellowtab.cli.option.ProductionOptions;
import app.yellowtab.cli.option.ReadingOptions;
import app.yellowtab.deliver.BundleSets;
import app.yellowtab.finding.Finding;
import app.yellowtab.intake.FoundFolder;
import app.yellowtab.intake.Intake;
import app.yellowtab.intake.NameReading;
import app.yellowtab.ledger.Ledger;
import app.yellowtab.ledger.LedgerCsv;
import app.yellowtab.ledger.LedgerPlace;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.FromSources;
import app.yellowtab.model.Layout;
import app.yellowtab.model.Party;
import app.yellowtab.model.Reading;
import app.yellowtab.model.RecognitionChoice;
import app.yellowtab.model.Separators;
import app.yellowtab.model.entry.DateReader;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.number.Numbering;
import app.yellowtab.source.InPlace;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** From a folder of files straight to a bundle. */
@Command(name = "assemble", mixinStandardHelpOptions = true, versionProvider = Version.class, sortOptions = false,
        description = {"Makes a bundle of a folder of files, without keeping anything but the PDF.",
                "Each sub-folder is a section, each file a document, both in natural order; files directly in FOLDER come first. "
                        + "Titles and dates are read from the names, from the headers of e-mails, and from first pages."})
final class AssembleCommand implements Callable<Integer> {
    @Parameters(paramLabel = "FOLDER", description = "The folder with the files.")
    private Path folder = Path.of("");
    @Option(names = {"-o", "--output"}, required = true, paramLabel = "FILE",
            description = "The PDF to write; what stands there is replaced.")
    private Path output = Path.of("");
    @Option(names = "--title", paramLabel = "T", description = "Title of the bundle; otherwise the folder's name.")
    private String title = "";
    @Option(names = "--court", paramLabel = "C", description = "The court, as the heading names it.")
    private String court = "";
    @Option(names = "--case", paramLabel = "N", description = "The case number.")
    private String caseNumber = "";
    @Option(names = "--parties", paramLabel = "P", description = "Such as \"A Ltd (Claimant); B Ltd (Defendant)\".")
    private String parties = "";
    @Option(names = "--hearing", paramLabel = "DATE", description = "The day of the hearing.")
    private String hearing = "";
    @Option(names = "--prepared-by", paramLabel = "NAME", description = "Who prepared the bundle.")
    private String preparedBy = "";
    @Option(names = "--separators", paramLabel = "none|blank|titled",
            description = "What stands between documents; otherwise none.")
    private Separators separators = Separators.NONE;
    @Option(names = "--no-cover", description = "Begins with the index.")
    private boolean noCover;
    @Mixin
    private ProductionOptions options = new ProductionOptions();
    @Mixin
    private ReadingOptions intake = new ReadingOptions();
    @Spec
    private CommandSpec spec = CommandSpec.create();

    @Override
    public Integer call() throws IOException {
        if (!Files.isDirectory(folder)) throw new ParameterException(spec.commandLine(), folder + " is not a folder.");
        CaseHeading heading = heading();
        List<Finding> findings = new ArrayList<>();
        FoundFolder found = FoundFolder.of(List.of(folder), findings).folders().getFirst().without(output)
                .without(Ledger.beside(output)).without(LedgerCsv.beside(output));
        try (ProductionRun production = new ProductionRun(spec.commandLine().getOut(), spec.commandLine().getErr());
                InPlace place = new InPlace(intake.passwords())) {
            Intake.Taken taken = intake.bringIn(place, found, intake.over(Reading.STANDARD), findings,
                    production.console()::reading, production.console());
            place.know(taken.sources());
            Bundle bundle = new Bundle(heading, new Layout(!noCover, separators), options.over(FromSources.STANDARD),
                    intake.over(Reading.STANDARD), taken.sources(), taken.contents(), List.of(), Numbering.NONE, List.of(),
                    RecognitionChoice.STANDARD, List.of());
            Bundle numbered = options.on(bundle);
            if (options.checksNumbers()) production.checkNumbers(numbered, place);
            return production.produce(numbered, place, BundleSets.SCREEN, output, options.ledger(LedgerPlace.BESIDE),
                    options.csv(), options.goesOn(),
                    findings);
        }
    }

    private CaseHeading heading() throws IOException {
        String name = title.isBlank() ? NameReading.sectionTitle(folder.toRealPath().getFileName().toString()) : title;
        return new CaseHeading(court, caseNumber, Party.parseAll(parties), name, hearingDay(), preparedBy);
    }

    private Optional<LocalDate> hearingDay() {
        if (hearing.isBlank()) return Optional.empty();
        if (DateReader.read(hearing, intake.over(Reading.STANDARD).monthFirst())
                .orElse(DocumentDate.UNDATED) instanceof DocumentDate.Day day)
            return Optional.of(day.day());
        throw new ParameterException(spec.commandLine(), "--hearing: " + hearing + " is no date. Write it like 6 October 2031.");
    }
}
