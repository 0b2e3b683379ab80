package app.yellowtab.cli.option;

import app.yellowtab.cut.ByHand;
import app.yellowtab.cut.NamePartReader;
import app.yellowtab.deliver.Wanted;
import app.yellowtab.finding.FindingException;
import app.yellowtab.keep.KeptRules;
import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.cut.CutRules;
import app.yellowtab.model.cut.ValuePlace;
import app.yellowtab.model.page.PageRanges;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;
import picocli.CommandLine.Spec.Target;

/** By which rules batches are cut, and what the pieces are called. */
public final class CutOptions {
    private static final Pattern SIZE = Pattern.compile("(?i)(\\d{1,9}(?:\\.\\d{1,3})?) ?([kmg]b)");

    @Option(names = "--rules", paramLabel = "FILE",
            description = "Takes rules, and parts of names, that were given away as a file; stands beside no other rule.")
    private @Nullable Path file;
    @Option(names = "--every", paramLabel = "N", description = "Cuts after every N pages.")
    private @Nullable Integer every;
    @Option(names = "--ranges", paramLabel = "R",
            description = "Takes these pages, such as \"9-12, 13-29, 40-, 5\"; each stretch is a piece. Stands beside no other "
                    + "rule.")
    private @Nullable String ranges;
    @Option(names = "--rest",
            description = "With --ranges: keeps the pages that are not named as one more piece; otherwise they are dropped.")
    private boolean rest;
    @Option(names = "--odd-even",
            description = "Takes the odd pages as one piece and the even ones as another. Stands beside no other rule.")
    private boolean oddEven;
    @Option(names = "--up-to", paramLabel = "SIZE",
            description = "Makes no piece of more than this, such as 5MB, 800KB or 1.5GB; a single page may be larger.")
    private @Nullable String upTo;
    @Option(names = "--bookmarks", paramLabel = "LEVEL",
            description = "Cuts before pages that bookmarks down to this level lead to.")
    private @Nullable Integer bookmarks;
    @Option(names = "--blanks", description = "Cuts at blank sheets, and drops them.")
    private boolean blanks;
    @Option(names = "--separators",
            description = "Cuts at separator sheets made by this program, drops them, and names the pieces as they say.")
    private boolean separators;
    @Option(names = "--words", paramLabel = "TEXT", description = "Cuts before pages with these words.")
    private @Nullable String words;
    @Option(names = "--pattern", description = "Reads --words as a regular expression.")
    private boolean pattern;
    @Option(names = "--after", description = "Cuts behind the pages with --words.")
    private boolean after;
    @Option(names = "--area", paramLabel = "LEFT,TOP,WIDTH,HEIGHT",
            description = "Where --words stand, in millimetres from the upper left of what is seen of the page.")
    private @Nullable String area;
    @Option(names = "--value-after", paramLabel = "WORDS",
            description = "Cuts where the value behind these words changes, such as \"Invoice no.\".")
    private @Nullable String valueAfter;
    @Option(names = "--value-in", paramLabel = "LEFT,TOP,WIDTH,HEIGHT", description = "Cuts where the words in this area change.")
    private @Nullable String valueIn;
    @Option(names = "--restarts", description = "Cuts where printed page numbers begin again.")
    private boolean restarts;
    @Option(names = "--first-pages", paramLabel = "PERCENT", arity = "0..1", fallbackValue = "50",
            description = "Cuts before pages that look like the first of a letter, an e-mail, an invoice, a form or a "
                    + "statement, where that is so sure; otherwise 50.")
    private @Nullable Integer firstPages;
    @Option(names = "--size-changes", description = "Cuts where pages have another size, or lie the other way.")
    private boolean sizeChanges;
    @Option(names = "--at-least", paramLabel = "N", description = "Makes no piece of fewer pages; otherwise 1.")
    private int atLeast = 1;
    @Option(names = "--drop", paramLabel = "PAGES", description = "Drops these pages, such as \"1, 7-8\".")
    private @Nullable String drop;
    @Option(names = "--name", paramLabel = "PART",
            description = {"A part of the pieces' names; may be given several times:",
                    "bookmark, file, number:3 (of so many digits), date, after:WORDS, in:AREA, text:WORDS.",
                    "Otherwise what is cut by, or the file's name and a number."})
    private List<String> names = List.of();
    @Option(names = "--emails", paramLabel = "HOW",
            description = "Drafts e-mails instead of files: each (one for each piece) or one (with all of them).")
    private @Nullable Emails emails;
    @Spec(Target.MIXEE)
    private CommandSpec spec = CommandSpec.create();

    /** How pieces are attached to e-mails. */
    private enum Emails { EACH, ONE }

    public Wanted wanted() {
        return emails == null ? Wanted.FILES : new Wanted(false, Optional.of(Wanted.Mails.usual(emails == Emails.EACH)));
    }

    public CutRules rules() throws FindingException {
        List<CutRule> rules = new ArrayList<>();
        try {
            if (every != null) rules.add(new CutRule.EveryPages(every, 1));
            if (ranges != null) rules.add(new CutRule.Ranges(ranges, rest));
            if (upTo != null) rules.add(new CutRule.UpTo(bytes(upTo)));
            if (oddEven) rules.add(new CutRule.OddAndEven(false));
            if (bookmarks != null) rules.add(new CutRule.Bookmarks(bookmarks));
            if (blanks) rules.add(new CutRule.BlankSheets(true));
            if (separators) rules.add(new CutRule.SeparatorSheets());
            if (words != null) rules.add(new CutRule.WordsFound(words, pattern, false, true,
                    Optional.ofNullable(area).map(NamePartReader::area), after));
            if (valueAfter != null) rules.add(new CutRule.ValueChanges(new ValuePlace.AfterWords(valueAfter, "")));
            if (valueIn != null) rules.add(new CutRule.ValueChanges(new ValuePlace.InArea(NamePartReader.area(valueIn))));
            if (restarts) rules.add(new CutRule.NumberingRestarts());
            if (firstPages != null) rules.add(new CutRule.FirstPages(firstPages));
            if (sizeChanges) rules.add(new CutRule.SizeChanges());
            if (words == null && (pattern || after || area != null))
                throw new IllegalArgumentException("--pattern, --after and --area go with --words");
            if (ranges == null && rest) throw new IllegalArgumentException("--rest goes with --ranges");
            if (file != null && !rules.isEmpty()) throw new IllegalArgumentException("--rules stands beside no other rule");
            if (file != null) {
                CutRules read = KeptRules.read(file).rules();
                return new CutRules(read.rules(), Math.max(atLeast, read.leastPages()),
                        names.isEmpty() ? read.name() : names.stream().map(NamePartReader::read).toList());
            }
            if (rules.isEmpty())
                throw new IllegalArgumentException("Say how to cut, such as --every 10 or --bookmarks 1; see --help");
            return new CutRules(rules, atLeast, names.stream().map(NamePartReader::read).toList());
        } catch (IllegalArgumentException wrong) {
            throw new ParameterException(spec.commandLine(), wrong.getMessage() + ".");
        }
    }

    /** {@return what is dropped of a batch of so many pages} */
    public ByHand hand(int pages) {
        if (drop == null) return ByHand.NONE;
        PageRanges read = PageRanges.read(drop, pages);
        read.mistake().ifPresent(mistake -> {
            throw new ParameterException(spec.commandLine(),
                    "--drop: in “" + drop + "”, at letter " + (mistake.at() + 1) + ", should stand " + mistake.expected() + ".");
        });
        Map<Integer, Boolean> drops = new TreeMap<>();
        for (PageRanges.Range range : read.ranges())
            for (int page = range.first(); page <= range.last(); page++) drops.put(page, true);
        return new ByHand(Map.of(), drops);
    }

    private static long bytes(String typed) {
        Matcher size = SIZE.matcher(typed.strip());
        double bytes = size.matches() ? Double.parseDouble(size.group(1)) * switch (size.group(2).toUpperCase(Locale.ROOT)) {
            case "KB" -> 1e3;
            case "GB" -> 1e9;
            default -> 1e6;
        } : 0;
        if (bytes < 1 || bytes > 1e15) throw new IllegalArgumentException("--up-to: " + typed + " is no size, such as 5MB");
        return (long) bytes;
    }
}
