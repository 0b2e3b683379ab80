package app.yellowtab.model.number;

import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.NumberStyle;
import app.yellowtab.mark.Spot;
import java.util.Objects;
import java.util.Optional;

/**
 * The numbers that run through a bundle. A page that does not show its number is counted and labelled all the same.
 *
 * @param style      how they are written
 * @param start      the first of them, at least 0; what is not written in figures begins with at least 1
 * @param bySection  whether they begin anew in each outermost section, behind its letter: B12; in figures alone
 * @param total      whether each says how many there are: "3 of 412"
 * @param front      how cover and index are numbered for themselves, otherwise than the rest; empty where they are counted with
 *         it
 * @param indexPages how many pages are kept for the index, so that a longer one pushes nothing; 0 for as many as it needs
 */
public record BundleNumber(MarkSetting setting, NumberStyle style, int start, boolean bySection, boolean total,
        Optional<NumberStyle> front, int indexPages) {
    /** The largest start: what is larger is a mistake. */
    public static final int LARGEST_START = 9_999_999;
    /** The most pages that can be kept for the index. */
    public static final int MOST_INDEX_PAGES = 200;

    /** From 1 on, at the foot on the right, large enough for a hearing. */
    public static final BundleNumber STANDARD = new BundleNumber(new MarkSetting(Spot.STANDARD, MarkLook.NUMBER));

    public BundleNumber {
        Objects.requireNonNull(setting, "setting");
        Objects.requireNonNull(style, "style");
        Objects.requireNonNull(front, "front");
        if (start < style.least() || start > LARGEST_START)
            throw new IllegalArgumentException("\"start\" must be " + style.least() + " to " + LARGEST_START + ", got " + start);
        if (bySection && style != NumberStyle.FIGURES)
            throw new IllegalArgumentException("\"style\" must be figures behind the letter of a section, got " + style);
        if (front.isPresent() && !goTogether(front.get(), style)) throw new IllegalArgumentException(
                "\"front\" must be told from all other numbers, and no number may stand twice: one of the two must be figures");
        if (indexPages < 0 || indexPages > MOST_INDEX_PAGES)
            throw new IllegalArgumentException("\"indexPages\" must be 0 to " + MOST_INDEX_PAGES + ", got " + indexPages);
    }

    /** From 1 on, in figures. */
    public BundleNumber(MarkSetting setting) {
        this(setting, NumberStyle.FIGURES, 1, false, false, Optional.empty(), 0);
    }

    /** {@return whether cover and index can be numbered in one style and the rest in another} Letters look like roman numbers. */
    public static boolean goTogether(NumberStyle front, NumberStyle style) {
        return (front == NumberStyle.FIGURES) != (style == NumberStyle.FIGURES);
    }

    public BundleNumber withSetting(MarkSetting newSetting) {
        return new BundleNumber(newSetting, style, start, bySection, total, front, indexPages);
    }

    /** {@return the same in another style; what does not go with it is given up} */
    public BundleNumber withStyle(NumberStyle newStyle) {
        return new BundleNumber(setting, newStyle, Math.max(start, newStyle.least()),
                bySection && newStyle == NumberStyle.FIGURES, total, front.filter(own -> goTogether(own, newStyle)), indexPages);
    }

    public BundleNumber withStart(int newStart) {
        return new BundleNumber(setting, style, newStart, bySection, total, front, indexPages);
    }

    /** {@return the same by section, and then in figures, or not} */
    public BundleNumber withBySection(boolean newBySection) {
        return new BundleNumber(setting, newBySection ? NumberStyle.FIGURES : style, start, newBySection, total,
                newBySection ? front.filter(own -> goTogether(own, NumberStyle.FIGURES)) : front, indexPages);
    }

    public BundleNumber withTotal(boolean newTotal) {
        return new BundleNumber(setting, style, start, bySection, newTotal, front, indexPages);
    }

    public BundleNumber withFront(Optional<NumberStyle> newFront) {
        return new BundleNumber(setting, style, start, bySection, total, newFront, indexPages);
    }

    public BundleNumber withIndexPages(int newIndexPages) {
        return new BundleNumber(setting, style, start, bySection, total, front, newIndexPages);
    }
}
