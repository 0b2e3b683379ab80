package app.yellowtab.model.number;

import java.util.List;

/**
 * The numbers of a bundle beside those that run through it.
 *
 * @param moves  marks that stand elsewhere than their series does
 * @param given  numbers that pages keep for ever
 * @param served numbers under which pages have been served
 */
public record Numbering(List<Series> series, List<MarkMove> moves, List<GivenNumber> given, List<ServedNumber> served) {
    /** None. */
    public static final Numbering NONE = new Numbering(List.of(), List.of(), List.of(), List.of());

    public Numbering {
        series = List.copyOf(series);
        moves = List.copyOf(moves);
        given = List.copyOf(given);
        served = List.copyOf(served);
    }
}
