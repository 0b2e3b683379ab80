package app.yellowtab.leaf;

import java.util.Objects;

/**
 * Where a link leads. An output turns it into a place in a file.
 *
 * @param leaf the index of a leaf, counted from 0
 * @param view of its page, in the PDF standard's words (ISO 32000-1:2008, table 151); empty for the page's top
 */
public record Target(int leaf, String view) {
    public Target {
        Objects.requireNonNull(view, "view");
        if (leaf < 0) throw new IllegalArgumentException("a leaf's index must be >= 0, got " + leaf);
    }
}
