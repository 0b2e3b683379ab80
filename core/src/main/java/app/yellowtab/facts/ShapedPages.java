package app.yellowtab.facts;

import java.util.Objects;

/** Neighbouring pages of one shape. */
public record ShapedPages(int pages, PageShape shape) {
    public ShapedPages {
        Objects.requireNonNull(shape, "shape");
        if (pages < 1) throw new IllegalArgumentException("\"pages\" must be >= 1, got " + pages);
    }
}
