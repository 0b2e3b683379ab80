package app.yellowtab.model.number;

import app.yellowtab.mark.Spot;
import app.yellowtab.model.run.PageKey;
import java.util.Objects;

/** A mark that stands elsewhere on one page than on the others. */
public record MarkMove(PageKey page, SeriesId series, Spot spot) {
    public MarkMove {
        Objects.requireNonNull(page, "page");
        Objects.requireNonNull(series, "series");
        Objects.requireNonNull(spot, "spot");
    }
}
