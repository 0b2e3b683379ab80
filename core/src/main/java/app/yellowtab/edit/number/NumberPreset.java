package app.yellowtab.edit.number;

import app.yellowtab.model.Bundle;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.number.Numbering;
import app.yellowtab.model.number.RunningLine;
import app.yellowtab.model.number.SerialNumber;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * How numbers and lines are set, to be used in other bundles and on loose files. What is said of some documents or files alone
 * means nothing without these, and is not in it.
 *
 * @param number the numbers that run through a bundle
 * @param series those that run over all pages of files
 * @param lines  at head and foot of all pages
 */
public record NumberPreset(BundleNumber number, List<Series> series, List<RunningLine> lines) {
    /** As a new bundle has it. */
    public static final NumberPreset STANDARD = new NumberPreset(BundleNumber.STANDARD, List.of(), List.of());

    public NumberPreset {
        Objects.requireNonNull(number, "number");
        series = List.copyOf(series);
        lines = List.copyOf(lines);
    }

    /** {@return how a bundle has it} */
    public static NumberPreset of(Bundle bundle) {
        Numbering numbering = bundle.numbering();
        BundleNumber number = numbering.bundle();
        return new NumberPreset(number.withSetting(number.setting().withPages(number.setting().pages().all())),
                numbering.series().stream().filter(each -> !each.setting().pages().isPart()).toList(),
                numbering.lines().stream().filter(each -> !each.setting().pages().isPart()).toList());
    }

    /**
     * {@return a bundle with it} Its lines take the place of those that the bundle has; series are put on beside the bundle's
     * own, but for those that it has already.
     */
    public Bundle on(Bundle bundle) {
        List<Series> all = new ArrayList<>(bundle.numbering().series());
        for (Series one : series) if (all.stream().noneMatch(its -> isLike(its, one)))
            all.add(new Series(SeriesId.fresh(), one.first(), one.setting()));
        return bundle.withNumbering(bundle.numbering().withBundle(number).withSeries(all)
                .withLines(lines.stream().map(line -> new RunningLine(SeriesId.fresh(), line.setting(), line.parts())).toList()));
    }

    private static boolean isLike(Series one, Series other) {
        Optional<SerialNumber> first = SerialNumber.read(one.first());
        return first.isPresent() && SerialNumber.read(other.first()).filter(first.get()::isLike).isPresent();
    }
}
