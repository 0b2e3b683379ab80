package app.yellowtab.model.cut;

import app.yellowtab.model.run.PageKey;
import java.util.Objects;

/** A page that was dropped, or kept, by hand; rules do not change it. */
public record HandDrop(PageKey page, boolean dropped) {
    public HandDrop {
        Objects.requireNonNull(page, "page");
    }
}
