package app.yellowtab.model.number;

import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.Spot;
import java.util.Objects;

/**
 * How the numbers are set that run through a bundle.
 *
 * @param onCover whether the cover shows its number; it is counted and labelled all the same
 */
public record BundleNumber(Spot spot, MarkLook look, boolean onCover) {
    /** At the foot on the right, large enough for a hearing. */
    public static final BundleNumber STANDARD = new BundleNumber(Spot.STANDARD, MarkLook.NUMBER, true);

    public BundleNumber {
        Objects.requireNonNull(spot, "spot");
        Objects.requireNonNull(look, "look");
    }
}
