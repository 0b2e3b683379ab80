package app.yellowtab.model.number;

import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.NumberStyle;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.EntryId;
import app.yellowtab.model.source.SourceId;
import java.util.List;
import java.util.Objects;

/**
 * Numbers that run on from page to page, such as Bates numbers.
 *
 * @param style   how they count
 * @param first   the first number as it looks, such as "TH-000101"; the others count on from it
 * @param spot    where they stand
 * @param entries whose pages bear them; with {@code sources} empty too, all pages do
 * @param sources whose pages bear them, wherever they stand
 */
public record Series(SeriesId id, NumberStyle style, String first, Spot spot, MarkLook look, List<EntryId> entries, List<SourceId> sources) {
    public Series {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(style, "style");
        Objects.requireNonNull(spot, "spot");
        Objects.requireNonNull(look, "look");
        if (first.isBlank()) throw new IllegalArgumentException("\"first\" must not be blank");
        entries = List.copyOf(entries);
        sources = List.copyOf(sources);
    }
}
