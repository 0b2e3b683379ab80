package app.yellowtab.cli.option;

import app.yellowtab.edit.VolumeEdits;
import app.yellowtab.finding.FindingException;
import app.yellowtab.ledger.LedgerPlace;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Comments;
import app.yellowtab.model.FromSources;
import app.yellowtab.model.Volumes;
import java.nio.file.Path;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;
import picocli.CommandLine.Spec.Target;

/** What can be chosen for every production. */
public final class ProductionOptions {
    private static final Pattern LIMIT = Pattern.compile("(\\d+(?:\\.\\d+)?)\\s*(mb|pages?)");
    private static final double MB = 1e6;

    @Option(names = "--comments", paramLabel = "kept|flattened|dropped",
            description = "What becomes of comments in the files: they stay, they become part of the page, or they are left "
                    + "out. Otherwise as the bundle says: kept.")
    private @Nullable Comments comments;
    @Option(names = "--bookmark-levels", paramLabel = "N",
            description = "How many levels of the files' own bookmarks come over; 0 for none. Otherwise as the bundle says: all.")
    private @Nullable Integer bookmarkLevels;
    @Option(names = "--csv", description = "Writes the ledger as CSV, too, beside the PDF.")
    private boolean csv;
    @Option(names = "--ledger", paramLabel = "FILE|beside|none",
            description = "Where the ledger goes: to a file, beside the PDF, or nowhere. It names files of the house. Otherwise "
                    + "assemble puts it beside the PDF, and build into the bundle folder, where the proof finds it.")
    private @Nullable String ledger;
    @Option(names = "--volumes", paramLabel = "20MB|200pages|sections|letters|none",
            description = "Divides the set for the screen into files of at most so many megabytes or pages, before each "
                    + "outermost section, or one for each letter with pages from 1 on; otherwise as the bundle says. Each "
                    + "begins with the cover and the whole index, and is named after FILE: \"bundle (volume 2).pdf\".")
    private @Nullable String volumes;
    @Option(names = "--cut-long", description = "Cuts a document at a page that is too long for a volume.")
    private boolean cutLong;
    @Option(names = "--go-on",
            description = "Produces the bundle although words that are redacted on a page are still to be read elsewhere, or a "
                    + "volume will be larger than asked for. Otherwise each is named, nothing is written, and the command ends "
                    + "with 3.")
    private boolean goOn;
    @Option(names = "--check-numbers",
            description = "Names numbers and lines that stand on something, and numbers that pages carried before; takes a few "
                    + "seconds for a thousand pages.")
    private boolean check;
    @Mixin
    private NumberOptions numbers = new NumberOptions();
    @Spec(Target.MIXEE)
    private CommandSpec spec = CommandSpec.create();

    public boolean checksNumbers() {
        return check;
    }

    /** {@return whether it is produced although something is said against it} */
    public boolean goesOn() {
        return goOn;
    }

    public boolean csv() {
        if (csv && "none".equals(ledger))
            throw new ParameterException(spec.commandLine(), "--csv is made of the ledger, and --ledger none keeps none.");
        return csv;
    }

    /** {@return where ledgers go} */
    public LedgerPlace ledger(LedgerPlace usual) {
        return switch (ledger) {
            case null -> usual;
            case "beside" -> LedgerPlace.BESIDE;
            case "none" -> LedgerPlace.NONE;
            default -> new LedgerPlace.At(Path.of(ledger));
        };
    }

    /** {@return the bundle with its numbers and volumes as they were asked for} */
    public Bundle on(Bundle bundle) throws FindingException {
        Bundle numbered = numbers.on(bundle);
        Volumes before = bundle.layout().volumes();
        Volumes asked = volumes == null ? before : volumes(volumes.toLowerCase(Locale.ROOT));
        if (asked.by() == before.by() && asked.most() == before.most()) asked = before;
        if (cutLong) asked = asked.withCutLong(true);
        return VolumeEdits.divided(numbered, asked);
    }

    private Volumes volumes(String words) {
        switch (words) {
            case "none" :
                return Volumes.NONE;
            case "sections" :
                return Volumes.by(Volumes.Division.SECTIONS);
            case "letters" :
                return Volumes.by(Volumes.Division.LETTERS);
            default :
        }
        Matcher said = LIMIT.matcher(words);
        double most = said.matches() ? Double.parseDouble(said.group(1)) : 0;
        boolean isSize = said.matches() && said.group(2).equals("mb");
        long whole = Math.round(isSize ? most * MB : most);
        if (whole < 1) throw new ParameterException(spec.commandLine(),
                "--volumes: " + words + " is none of 20MB, 200pages, sections, letters or none.");
        return Volumes.atMost(isSize ? Volumes.Division.SIZE : Volumes.Division.PAGES, whole);
    }

    public FromSources over(FromSources standard) {
        int levels = bookmarkLevels == null ? standard.bookmarkLevels() : bookmarkLevels;
        if (levels < 0) throw new ParameterException(spec.commandLine(), "--bookmark-levels: " + levels + " is less than none.");
        return new FromSources(comments == null ? standard.comments() : comments, Math.min(levels, FromSources.ALL_LEVELS));
    }
}
