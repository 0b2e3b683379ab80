package app.yellowtab.model.number;

import app.yellowtab.model.run.PageKey;
import java.util.Objects;

/** The number under which a page was served, which it keeps when pages come later. */
public record ServedNumber(PageKey page, String label) {
    public ServedNumber {
        Objects.requireNonNull(page, "page");
        if (label.isBlank()) throw new IllegalArgumentException("\"label\" must not be blank");
    }
}
