package app.yellowtab.cli;

import app.yellowtab.cli.option.Console;
import app.yellowtab.cli.option.Exit;
import app.yellowtab.cli.option.ReadingOptions;
import app.yellowtab.deliver.PageFiles;
import app.yellowtab.deliver.PageName;
import app.yellowtab.edit.page.PageEdits;
import app.yellowtab.files.FileNames;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Severity;
import app.yellowtab.finding.Subject;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Contents;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.page.PageRanges;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.sets.Excerpt;
import app.yellowtab.source.InPlace;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** From files to the pages of them that are wanted. */
@Command(name = "pages", mixinStandardHelpOptions = true, versionProvider = Version.class, sortOptions = false,
        description = {
                "Writes files anew with the pages that are wanted: some of them, without some of them, turned, or each page as "
                        + "a file.",
                "The files themselves are not touched, and nothing in the folder is written over."})
final class PagesCommand implements Callable<Integer> {
    private static final int TURNS = 4;
    private static final Pattern TURN =
            Pattern.compile("(?<pages>[\\d\\s,–—-]*?)\\s*(?<way>left|right|about)", Pattern.CASE_INSENSITIVE);

    @Parameters(arity = "1..*", paramLabel = "FILE", description = "The files: PDFs, pictures, and whatever can be brought in.")
    private List<Path> files = List.of();
    @Option(names = {"-o", "--output"}, required = true, paramLabel = "FOLDER", description = "Where the new files are written.")
    private Path output = Path.of("");
    @Option(names = "--keep", paramLabel = "PAGES",
            description = "The pages that are kept, in this order, such as \"1, 3-5\"; otherwise all.")
    private @Nullable String keep;
    @Option(names = "--drop", paramLabel = "PAGES", description = "The pages that are left out.")
    private @Nullable String drop;
    @Option(names = "--turn", paramLabel = "PAGES WAY",
            description = "Turns pages left, right or about, such as \"2-4 right\", or \"about\" for all; may be given several "
                    + "times. Pages are counted as the file has them.")
    private List<String> turns = List.of();
    @Option(names = "--each", description = "Writes each page as a file of its own.")
    private boolean each;
    @Mixin
    private ReadingOptions reading = new ReadingOptions();
    @Spec
    private CommandSpec spec = CommandSpec.create();

    @Override
    public Integer call() throws IOException {
        if (keep != null && drop != null)
            throw new ParameterException(spec.commandLine(), "Say either which pages are kept, or which are left out.");
        for (String turn : turns) if (!TURN.matcher(turn.strip()).matches()) throw new ParameterException(spec.commandLine(),
                "“" + turn + "” says not how pages are turned; it should be such as \"2-4 right\", \"left\" or \"about\".");
        try (Console console = new Console(spec.commandLine().getOut(), spec.commandLine().getErr());
                InPlace place = new InPlace(reading.passwords())) {
            List<Finding> findings = new ArrayList<>();
            List<Source> sources = reading.bringIn(place, files, findings, console);
            Files.createDirectories(output);
            FileNames names = new FileNames();
            int written = 0;
            boolean leftOut = false;
            for (Source source : sources) {
                if (!source.isRead() || console.isStopped()) continue;
                try {
                    if (write(source, place, names, findings, console)) written++;
                } catch (FindingException failure) {
                    findings.add(failure.finding());
                } catch (ParameterException notOfThisFile) {
                    // It may have fewer pages than the others.
                    console.say(notOfThisFile.getMessage());
                    leftOut = true;
                } catch (RuntimeException | Error lost) {
                    // The other files are not to blame.
                    findings.add(new Finding(Code.FAILED, place.subject(source.id(), 0), String.valueOf(lost.getMessage())));
                }
            }
            findings.forEach(finding -> console.say(finding.message()));
            if (written == 0) return Exit.NOTHING;
            return leftOut || console.isStopped() || findings.stream().anyMatch(finding -> finding.severity() != Severity.REMARK)
                    ? Exit.SOME_LEFT_OUT : Exit.DONE;
        }
    }

    /** {@return whether it is there} */
    private boolean write(Source source, InPlace place, FileNames names, List<Finding> findings, Console console)
            throws FindingException {
        int dot = source.fileName().lastIndexOf('.');
        String stem = dot > 0 ? source.fileName().substring(0, dot) : source.fileName();
        Plan plan = plan(source);
        List<Leaf> leaves = plan.leaves().stream().filter(leaf -> leaf.key().isPresent()).toList();
        PageFiles writer = new PageFiles(place);
        PageFiles.Saved saved;
        if (each) {
            saved = writer.each(plan, leaves, false, new PageName("[file], page [file page]"), output,
                    (page, of) -> console.show(source.fileName() + ": writing page " + page + " of " + of), console::isStopped);
        } else {
            Path target = output.resolve(names.next(stem, ".pdf"));
            if (Files.exists(target)) throw new FindingException(
                    new Finding(Code.TARGET_NOT_WRITABLE, Subject.OfProduced.of(target, 0), "there is such a file already"),
                    null);
            saved = writer.one(new Excerpt(plan, false).of(leaves, stem), target,
                    (page, of) -> console.show(source.fileName() + ": writing page " + page + " of " + of), console::isStopped);
        }
        findings.addAll(saved.findings());
        if (!saved.files().isEmpty()) {
            console.end(String.format(Locale.UK, "%s: %,d of %,d pages, in %s,", source.fileName(), leaves.size(),
                    source.pageCount(), each ? output : saved.files().getFirst()));
        }
        return saved.isWhole();
    }

    /** {@return the wanted pages of a file, as a bundle of it alone has them} */
    private Plan plan(Source source) {
        int count = source.pageCount();
        SourcePages all = SourcePages.of(source.id(), 1, count);
        List<Run> runs = new ArrayList<>();
        if (keep != null) {
            Set<Integer> had = new HashSet<>();
            for (PageRanges.Range range : ranges(keep, count, source)) {
                // A page that is wanted twice is there twice.
                boolean again = false;
                for (int page = range.first(); page <= range.last(); page++) again |= !had.add(page);
                SourcePages part = all.part(range.first(), range.last());
                runs.add(again ? part.copy() : part);
            }
        } else {
            BitSet left = new BitSet();
            left.set(1, count + 1);
            if (drop != null)
                for (PageRanges.Range range : ranges(drop, count, source)) left.clear(range.first(), range.last() + 1);
            if (left.isEmpty()) throw new ParameterException(spec.commandLine(), source.fileName() + " would have no page left.");
            for (int first = left.nextSetBit(0); first > 0; first = left.nextSetBit(left.nextClearBit(first)))
                runs.add(all.part(first, left.nextClearBit(first) - 1));
        }
        Document document = Document.of(source).withRuns(runs);
        Bundle bundle = Bundle.EMPTY.withSources(List.of(source)).withContents(new Contents(List.of(document), List.of()));
        for (String turn : turns) bundle = turned(bundle, turn.strip(), runs, count, source);
        return Planner.plan(bundle);
    }

    private Bundle turned(Bundle bundle, String turn, List<Run> runs, int count, Source source) {
        Matcher said = TURN.matcher(turn);
        if (!said.matches()) throw new IllegalStateException("checked before");
        int quarters = switch (said.group("way").toLowerCase(Locale.ROOT)) {
            case "left" -> TURNS - 1;
            case "right" -> 1;
            default -> 2;
        };
        Set<Integer> pages = new HashSet<>();
        String typed = said.group("pages").isBlank() ? "1-" : said.group("pages");
        for (PageRanges.Range range : ranges(typed, count, source))
            for (int page = range.first(); page <= range.last(); page++) pages.add(page);
        Set<PageKey> keys = new HashSet<>();
        for (Run run : runs)
            for (int n = 1; n <= run.pageCount(); n++) if (pages.contains(run.key(n).page())) keys.add(run.key(n));
        return PageEdits.turned(bundle, keys, quarters);
    }

    private List<PageRanges.Range> ranges(String typed, int count, Source source) {
        PageRanges read = PageRanges.read(typed, count);
        if (read.mistake().isPresent()) throw new ParameterException(spec.commandLine(),
                source.fileName() + ": in “" + typed + "” there should be " + read.mistake().get().expected() + ".");
        return read.ranges();
    }
}
