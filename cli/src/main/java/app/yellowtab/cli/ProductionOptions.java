package app.yellowtab.cli;

import app.yellowtab.edit.number.NumberEdits;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.NumberStyle;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Comments;
import app.yellowtab.model.FromSources;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.number.SerialNumber;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;
import picocli.CommandLine.Spec.Target;

/** What can be chosen for every production. */
final class ProductionOptions {
    @Option(names = "--comments", paramLabel = "kept|flattened|dropped",
            description = "What becomes of comments in the files: they stay, they become part of the page, or they are left out. Otherwise as the bundle says: kept.")
    private @Nullable Comments comments;
    @Option(names = "--bookmark-levels", paramLabel = "N", description = "How many levels of the files' own bookmarks come over; 0 for none. Otherwise as the bundle says: all.")
    private @Nullable Integer bookmarkLevels;
    @Option(names = "--csv", description = "Writes the ledger as CSV, too, beside the PDF.")
    private boolean csv;
    @Option(names = "--place", paramLabel = "WHERE", description = "Where the number stands on every page, such as \"top middle\"; otherwise as the bundle says: bottom right.")
    private @Nullable String place;
    @Option(names = "--bates", paramLabel = "FIRST", description = "Gives every page of the files a Bates number as well, at the bottom on the left, counting on from the first as it is typed, such as TH-000101.")
    private @Nullable String bates;
    @Spec(Target.MIXEE)
    private CommandSpec spec = CommandSpec.create();

    boolean csv() {
        return csv;
    }

    /** {@return the bundle with its numbers as they were asked for} */
    Bundle numbered(Bundle bundle) {
        Bundle now = bundle;
        if (place != null) {
            Spot spot = spot(place);
            now = NumberEdits.withNumber(now, new BundleNumber(spot, now.numbering().bundle().look(), now.numbering().bundle().onCover()));
        }
        if (bates == null) return now;
        SerialNumber first = SerialNumber.read(bates).orElseThrow(() -> new ParameterException(spec.commandLine(), "--bates: “" + bates + "” is no number to begin with, such as TH-000101."));
        if (!MarkLook.SERIES.hasLettersOf(first.shown())) throw new ParameterException(spec.commandLine(), "--bates: “" + bates + "” has letters that cannot be printed.");
        return NumberEdits.with(now, new Series(new SeriesId("bates"), NumberStyle.FIGURES, bates.strip(), Spot.OPPOSITE, MarkLook.SERIES, List.of(), List.of()));
    }

    private Spot spot(String words) {
        String[] parts = words.strip().toLowerCase(Locale.ROOT).split("\\s+");
        if (parts.length == 2) {
            Optional<Spot.Row> row = switch (parts[0]) {
                case "top" -> Optional.of(Spot.Row.HEAD);
                case "middle" -> Optional.of(Spot.Row.MIDDLE);
                case "bottom" -> Optional.of(Spot.Row.FOOT);
                default -> Optional.empty();
            };
            Optional<Spot.Column> column = switch (parts[1]) {
                case "left" -> Optional.of(Spot.Column.LEFT);
                case "middle" -> Optional.of(Spot.Column.MIDDLE);
                case "right" -> Optional.of(Spot.Column.RIGHT);
                default -> Optional.empty();
            };
            if (row.isPresent() && column.isPresent()) return new Spot(row.get(), column.get(), Spot.STANDARD.across(), Spot.STANDARD.down());
        }
        throw new ParameterException(spec.commandLine(), "--place: “" + words + "” is no place; it is top, middle or bottom, and left, middle or right, such as \"bottom right\".");
    }

    FromSources over(FromSources standard) {
        int levels = bookmarkLevels == null ? standard.bookmarkLevels() : bookmarkLevels;
        if (levels < 0) throw new ParameterException(spec.commandLine(), "--bookmark-levels: " + levels + " is less than none.");
        return new FromSources(comments == null ? standard.comments() : comments, Math.min(levels, FromSources.ALL_LEVELS));
    }
}
