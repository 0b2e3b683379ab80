package app.yellowtab.model.number;

import java.util.List;
import java.util.Objects;

/**
 * The numbers that the pages of a bundle bear.
 *
 * @param bundle how those are set that run through it
 * @param series others, such as Bates numbers
 * @param moves  marks that stand elsewhere than their series does
 * @param given  numbers that pages keep for ever
 * @param served numbers under which pages have been served
 */
public record Numbering(BundleNumber bundle, List<Series> series, List<MarkMove> moves, List<GivenNumber> given, List<ServedNumber> served) {
    /** None. */
    public static final Numbering NONE = new Numbering(List.of(), List.of(), List.of(), List.of());

    public Numbering {
        Objects.requireNonNull(bundle, "bundle");
        series = List.copyOf(series);
        moves = List.copyOf(moves);
        given = List.copyOf(given);
        served = List.copyOf(served);
    }

    /** Numbers beside those that run through the bundle, which are set as usual. */
    public Numbering(List<Series> series, List<MarkMove> moves, List<GivenNumber> given, List<ServedNumber> served) {
        this(BundleNumber.STANDARD, series, moves, given, served);
    }

    public Numbering withBundle(BundleNumber newBundle) {
        return new Numbering(newBundle, series, moves, given, served);
    }

    public Numbering withSeries(List<Series> newSeries) {
        return new Numbering(bundle, newSeries, moves, given, served);
    }

    public Numbering withMoves(List<MarkMove> newMoves) {
        return new Numbering(bundle, series, newMoves, given, served);
    }

    public Numbering withGiven(List<GivenNumber> newGiven) {
        return new Numbering(bundle, series, moves, newGiven, served);
    }
}
