package app.yellowtab.cli.option;

import app.yellowtab.finding.FindingException;
import app.yellowtab.ledger.LedgerPlace;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Comments;
import app.yellowtab.model.FromSources;
import java.nio.file.Path;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;
import picocli.CommandLine.Spec.Target;

/** What can be chosen for every production. */
public final class ProductionOptions {
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

    /** {@return the bundle with its numbers as they were asked for} */
    public Bundle numbered(Bundle bundle) throws FindingException {
        return numbers.on(bundle);
    }

    public FromSources over(FromSources standard) {
        int levels = bookmarkLevels == null ? standard.bookmarkLevels() : bookmarkLevels;
        if (levels < 0) throw new ParameterException(spec.commandLine(), "--bookmark-levels: " + levels + " is less than none.");
        return new FromSources(comments == null ? standard.comments() : comments, Math.min(levels, FromSources.ALL_LEVELS));
    }
}
