package app.yellowtab.model.page;

import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * What is done to a page, in this order: redacted, turned, straightened, cropped, put on a sheet, scaled.
 *
 * @param turns             quarter turns clockwise, 0 to 3
 * @param straightenDegrees turned clockwise about the middle, at most 45 degrees either way
 * @param crop              what stays visible, measured on the page as it came; empty for all of it
 * @param sheet             the sheet that it is put on, in its middle; empty for a sheet of the page's own size
 * @param scale             how large it stands on that sheet: 1 for its own size
 * @param redactions        areas that are taken out
 * @param withheld          why the page is withheld, and a slip stands in its place; the reason may be empty; no reason where it
 *         is shown
 * @param spared            words that stay to be seen although they are redacted elsewhere
 */
public record PageLook(int turns, double straightenDegrees, Optional<Area> crop, Optional<Sheet> sheet, double scale,
        List<Redaction> redactions, Optional<String> withheld, List<Spared> spared) {
    /** As it came. */
    public static final PageLook PLAIN = new PageLook(0, 0, Optional.empty(), Optional.empty(), 1, List.of());
    private static final double MOST_DEGREES = 45;
    private static final double LEAST_SCALE = 0.01;
    private static final double MOST_SCALE = 100;

    /** A page that is shown. */
    public PageLook(int turns, double straightenDegrees, Optional<Area> crop, Optional<Sheet> sheet, double scale,
            List<Redaction> redactions) {
        this(turns, straightenDegrees, crop, sheet, scale, redactions, Optional.empty(), List.of());
    }

    public PageLook {
        Objects.requireNonNull(withheld, "withheld");
        Objects.requireNonNull(crop, "crop");
        Objects.requireNonNull(sheet, "sheet");
        if (turns < 0 || turns > 3) throw new IllegalArgumentException("\"turns\" must be 0 to 3, got " + turns);
        if (!(Math.abs(straightenDegrees) <= MOST_DEGREES)) throw new IllegalArgumentException(
                "\"straightenDegrees\" must be within " + MOST_DEGREES + ", got " + straightenDegrees);
        if (!(scale >= LEAST_SCALE && scale <= MOST_SCALE))
            throw new IllegalArgumentException("\"scale\" must be " + LEAST_SCALE + " to " + MOST_SCALE + ", got " + scale);
        redactions = List.copyOf(redactions);
        spared = List.copyOf(spared);
    }

    /** {@return whether the page is seen as it came} */
    public boolean isPlain() {
        return (spared.isEmpty() ? this : withSpared(List.of())).equals(PLAIN);
    }

    public PageLook withTurns(int newTurns) {
        return new PageLook(newTurns, straightenDegrees, crop, sheet, scale, redactions, withheld, spared);
    }

    /** @param degrees clockwise about the middle */
    public PageLook withStraightening(double degrees) {
        return new PageLook(turns, degrees, crop, sheet, scale, redactions, withheld, spared);
    }

    public PageLook withRedactions(List<Redaction> newRedactions) {
        return new PageLook(turns, straightenDegrees, crop, sheet, scale, newRedactions, withheld, spared);
    }

    public PageLook withWithheld(Optional<String> reason) {
        return new PageLook(turns, straightenDegrees, crop, sheet, scale, redactions, reason, spared);
    }

    /** {@return the same on a sheet, in another size} */
    public PageLook onSheet(Optional<Sheet> newSheet, double newScale) {
        return new PageLook(turns, straightenDegrees, crop, newSheet, newScale, redactions, withheld, spared);
    }

    public PageLook withCrop(Optional<Area> newCrop) {
        return new PageLook(turns, straightenDegrees, newCrop, sheet, scale, redactions, withheld, spared);
    }

    public PageLook withSpared(List<Spared> newSpared) {
        return new PageLook(turns, straightenDegrees, crop, sheet, scale, redactions, withheld, newSpared);
    }
}
