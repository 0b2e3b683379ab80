package app.yellowtab.model.number;

import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.Spot;
import java.util.Objects;

/**
 * How the marks of a series or a line are set.
 *
 * @param mirrored whether they stand on the other side on left-hand pages, for printing on both sides
 */
public record MarkSetting(Spot spot, boolean mirrored, MarkLook look, MarkedPages pages) {
    public MarkSetting {
        Objects.requireNonNull(spot, "spot");
        Objects.requireNonNull(look, "look");
        Objects.requireNonNull(pages, "pages");
    }

    /** On all pages, at the same place. */
    public MarkSetting(Spot spot, MarkLook look) {
        this(spot, false, look, MarkedPages.ALL);
    }

    public MarkSetting withSpot(Spot newSpot) {
        return new MarkSetting(newSpot, mirrored, look, pages);
    }

    public MarkSetting withMirrored(boolean newMirrored) {
        return new MarkSetting(spot, newMirrored, look, pages);
    }

    public MarkSetting withLook(MarkLook newLook) {
        return new MarkSetting(spot, mirrored, newLook, pages);
    }

    public MarkSetting withPages(MarkedPages newPages) {
        return new MarkSetting(spot, mirrored, look, newPages);
    }
}
