package app.yellowtab.cli;

import app.yellowtab.cli.option.Console;
import app.yellowtab.cli.option.CutOptions;
import app.yellowtab.cli.option.Exit;
import app.yellowtab.cli.option.ReadingOptions;
import app.yellowtab.cut.Cutter;
import app.yellowtab.cut.Cutting;
import app.yellowtab.cut.PieceNames;
import app.yellowtab.cut.Reason;
import app.yellowtab.deliver.CutReport;
import app.yellowtab.deliver.PieceFiles;
import app.yellowtab.deliver.PieceSizes;
import app.yellowtab.edit.cut.PiecePlace;
import app.yellowtab.files.FileNames;
import app.yellowtab.find.BundleWords;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Severity;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Reading;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.cut.CutRules;
import app.yellowtab.model.source.Source;
import app.yellowtab.source.BatchPages;
import app.yellowtab.source.Depot;
import app.yellowtab.source.InPlace;
import app.yellowtab.source.SourceFiles;
import app.yellowtab.words.BatchPage;
import app.yellowtab.words.PageWeight;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** From batches to their pieces. */
@Command(name = "cut", mixinStandardHelpOptions = true, versionProvider = Version.class, sortOptions = false,
        description = {"Cuts batches, files that hold several documents, into a file for each document.",
                "Each batch gets a folder of its own with its pieces and cuts.csv, which says what became of every page. The "
                        + "batches themselves are not touched."})
final class CutCommand implements Callable<Integer> {
    @Parameters(arity = "1..*", paramLabel = "FILE", description = "The batches.")
    private List<Path> files = List.of();
    @Option(names = {"-o", "--output"}, paramLabel = "FOLDER", description = "Where the folders with the pieces are made.")
    private @Nullable Path output;
    @Option(names = "--go-on",
            description = "Writes pieces although they still say what is redacted in the bundle that --into names. Otherwise "
                    + "each such place is named, the batch is left, and the command ends with 3.")
    private boolean goOn;
    @Option(names = "--list", description = "Shows the pieces, and writes nothing.")
    private boolean list;
    @Option(names = "--into", paramLabel = "BUNDLEFOLDER",
            description = "Makes the pieces documents of a bundle, and the bundle if there is none; with -o, too, they become "
                    + "files as well.")
    private @Nullable Path into;
    @Option(names = "--section", paramLabel = "NAME",
            description = "With --into: the section they are put in; otherwise where separator sheets say, or the tray.")
    private @Nullable String section;
    @Mixin
    private CutOptions options = new CutOptions();
    @Mixin
    private ReadingOptions reading = new ReadingOptions();
    @Spec
    private CommandSpec spec = CommandSpec.create();

    /** A batch, and how it is cut. */
    private record Cut(Source batch, List<BatchPage> pages, Cutting cutting, List<PieceNames.Named> names) {}

    @Override
    public Integer call() throws IOException {
        if (output == null && into == null && !list) throw new ParameterException(spec.commandLine(),
                "Say where to, with -o FOLDER or --into BUNDLEFOLDER, or look first, with --list.");
        if (section != null && (into == null || section.isBlank()))
            throw new ParameterException(spec.commandLine(), "--section names a section, and goes with --into.");
        CutRules rules = options.rules();
        try (Console console = new Console(spec.commandLine().getOut(), spec.commandLine().getErr())) {
            if (into == null || list) {
                try (InPlace place = new InPlace(reading.passwords())) {
                    return cut(rules, place, place, Optional.empty(), console);
                }
            }
            try (IntoBundle bundle = IntoBundle.open(into)) {
                bundle.folder().tryPasswords(reading.passwords());
                return cut(rules, bundle.folder(), bundle.folder(), Optional.of(bundle), console);
            }
        }
    }

    private int cut(CutRules rules, Depot depot, SourceFiles place, Optional<IntoBundle> bundle, Console console)
            throws IOException {
        List<Finding> findings = new ArrayList<>();
        List<Source> sources = reading.bringIn(depot, files, findings, console);
        FileNames folders = new FileNames();
        boolean refused = false;
        int done = 0;
        for (Source batch : sources) {
            if (!batch.isRead() || console.isStopped()) continue;
            try {
                Cut cut = cut(batch, rules, place, console);
                // What was not read any more cannot be cut as the rules say.
                if (console.isStopped()) break;
                if (list) show(cut);
                else if (output != null && !write(cut, bundle, folders, place, findings, console)) {
                    refused = true;
                    continue;
                }
                if (bundle.isPresent()) put(cut, rules, bundle.get(), console);
                done++;
            } catch (FindingException failure) {
                findings.add(failure.finding());
            }
        }
        findings.forEach(finding -> console.say(finding.message()));
        if (refused) console.say("Pieces that would still say what is redacted were not written. Write them all the same with "
                + "--go-on.");
        if (done == 0) return refused ? Exit.SOME_LEFT_OUT : Exit.NOTHING;
        return refused || console.isStopped() || findings.stream().anyMatch(finding -> finding.severity() != Severity.REMARK)
                ? Exit.SOME_LEFT_OUT
                : Exit.DONE;
    }

    private void put(Cut cut, CutRules rules, IntoBundle bundle, Console console) throws FindingException {
        PiecePlace place = section == null ? new PiecePlace.BySheets(cut.names.stream().map(PieceNames.Named::section).toList())
                : new PiecePlace.Titled(section);
        bundle.add(cut.batch, rules, options.hand(cut.batch.pageCount()), cut.cutting, cut.names, place);
        console.end(summary(cut) + ", in the bundle " + into + ",");
    }

    private Cut cut(Source batch, CutRules rules, SourceFiles place, Console console) throws IOException {
        List<BatchPage> pages = new ArrayList<>(BatchPages.read(place, batch.id(),
                rules.rules().stream().anyMatch(CutRule.SeparatorSheets.class::isInstance),
                (page, of) -> console.show(batch.fileName() + ": reading page " + page + " of " + of), console::isStopped));
        if (rules.rules().stream().anyMatch(CutRule.UpTo.class::isInstance)) {
            List<PageWeight> weights = PieceSizes.read(place, batch.id(), Bundle.EMPTY.fromSources().comments(),
                    (page, of) -> console.show(batch.fileName() + ": measuring page " + page + " of " + of), console::isStopped);
            for (int i = 0; i < weights.size(); i++) pages.set(i, pages.get(i).withWeight(weights.get(i)));
        }
        try {
            Cutting cutting = Cutter.cut(pages, rules, options.hand(pages.size()));
            if (needsWords(rules) && pages.stream().allMatch(page -> page.text().isEmpty())) console.say(batch.fileName()
                    + " has no words that could be found: its pages are pictures. Cut it by pages, sizes or blank sheets, or "
                    + "have its words recognised first.");
            return new Cut(batch, pages, cutting,
                    PieceNames.of(pages, cutting, rules, batch.fileName(), reading.over(Reading.STANDARD).monthFirst()));
        } catch (IllegalArgumentException wrong) {
            throw new ParameterException(spec.commandLine(), batch.fileName() + ": " + wrong.getMessage() + ".");
        }
    }

    private static boolean needsWords(CutRules rules) {
        return rules.rules().stream().anyMatch(rule -> switch (rule) {
            case CutRule.WordsFound w -> true;
            case CutRule.ValueChanges v -> true;
            case CutRule.NumberingRestarts n -> true;
            case CutRule.FirstPages f -> true;
            default -> false;
        });
    }

    private void show(Cut cut) {
        var out = spec.commandLine().getOut();
        out.println(summary(cut));
        for (int i = 0; i < cut.names.size(); i++) {
            Cutting.Piece piece = cut.cutting.pieces().get(i);
            out.printf(Locale.UK, "%5d  %s %s  %s  [%s]%n", i + 1, piece.pages().size() == 1 ? "page" : "pages",
                    CutReport.stretches(piece.pages()), cut.names.get(i).words(),
                    piece.reasons().stream().map(Reason::words).collect(Collectors.joining("; ")));
        }
        cut.cutting.dropped().forEach(
                dropped -> out.printf(Locale.UK, "    –  page %d is dropped  [%s]%n", dropped.page(), dropped.reason().words()));
        out.flush();
    }

    private static String summary(Cut cut) {
        int pieces = cut.cutting.pieces().size();
        int dropped = cut.cutting.dropped().size();
        return String.format(Locale.UK, "%s: %,d %s, %,d %s%s", cut.batch.fileName(), cut.batch.pageCount(),
                cut.batch.pageCount() == 1 ? "page" : "pages", pieces, pieces == 1 ? "piece" : "pieces",
                dropped == 0 ? "" : ", " + dropped + " dropped");
    }

    /** {@return whether the pieces were written: they were not where they would still say what is redacted in the bundle} */
    private boolean write(Cut cut, Optional<IntoBundle> bundle, FileNames folders, SourceFiles place, List<Finding> findings,
            Console console) throws FindingException {
        String name = cut.batch.fileName();
        int dot = name.lastIndexOf('.');
        Path folder = Objects.requireNonNull(output).resolve(folders.next(dot > 0 ? name.substring(0, dot) : name, ""));
        Batch batch = bundle.map(its -> its.hiding(cut.batch)).orElse(Batch.of(cut.batch));
        PieceFiles files = new PieceFiles(place,
                new CutReport(List.of(cut.batch), batch, cut.cutting, cut.names, List.of(), List.of()), cut.pages,
                Bundle.EMPTY.fromSources().comments(), options.wanted());
        if (bundle.isPresent()) {
            List<Finding> leaks = files.leaks(bundle.get().plan(), new BundleWords(bundle.get().folder()), console::isStopped);
            findings.addAll(leaks);
            if (!leaks.isEmpty() && !goOn) return false;
        }
        PieceFiles.Written written = files
                .write(folder, (page, of) -> console.show(name + ": writing page " + page + " of " + of), console::isStopped);
        console.end(summary(cut) + ", in " + folder
                + (written.isWhole() ? "," : ", stopped after " + written.pieces() + " of them,"));
        findings.addAll(written.findings());
        return true;
    }
}
