package app.yellowtab.desktop.mark;

import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.number.MarkSetting;
import app.yellowtab.model.number.RunningLine;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Marking;
import java.util.List;
import java.util.Optional;

/**
 * How the numbers and lines of a bundle stand.
 *
 * @param lines   each as a sentence
 * @param chosen  which of them is being set
 * @param setting how its marks are set
 * @param number  the numbers that run through the bundle
 * @param series  the chosen one, if it is such
 * @param line    the chosen one, if it is such
 * @param isMoved whether its mark stands elsewhere on the page in view
 * @param fixed   how many of its numbers were issued
 * @param count   how many there are
 * @param indexUsed how many pages the index needs
 * @param alike   two files with the same pages of which nothing was said yet, by their names; empty for none
 * @param notice  what must be known of the chosen one; empty for nothing
 */
public record NumberState(List<Sentence> lines, SeriesId chosen, MarkSetting setting, BundleNumber number,
        Optional<Series> series, Optional<RunningLine> line, boolean isMoved, int fixed, int count, int indexUsed,
        Optional<Alike> alike, String notice) {
    public NumberState {
        lines = List.copyOf(lines);
    }

    /**
     * A series or a line.
     *
     * @param id {@link Marking#BUNDLE} for the numbers that run through the bundle
     */
    public record Sentence(SeriesId id, String words) {}

    /** Two files with the same pages. */
    public record Alike(SourceId one, SourceId other, String oneName, String otherName) {}

    /** {@return whether the numbers that run through the bundle are chosen} */
    public boolean isBundle() {
        return series.isEmpty() && line.isEmpty();
    }

    public Spot spot() {
        return setting.spot();
    }

    public MarkLook look() {
        return setting.look();
    }
}
