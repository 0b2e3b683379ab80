package app.yellowtab.model.cut;

import app.yellowtab.model.page.PageKey;
import java.util.Objects;

/** A name that was typed for the piece that begins with a page. */
public record PieceName(PageKey first, String words) {
    public PieceName {
        Objects.requireNonNull(first, "first");
        if (words.isBlank()) throw new IllegalArgumentException("\"words\" must not be blank");
    }
}
