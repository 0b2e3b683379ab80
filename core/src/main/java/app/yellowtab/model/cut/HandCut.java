package app.yellowtab.model.cut;

import app.yellowtab.model.run.PageKey;
import java.util.Objects;

/**
 * A cut that was made, or taken away, by hand; rules do not change it.
 *
 * @param before the page that it is before
 * @param there  whether there is a cut
 */
public record HandCut(PageKey before, boolean there) {
    public HandCut {
        Objects.requireNonNull(before, "before");
    }
}
