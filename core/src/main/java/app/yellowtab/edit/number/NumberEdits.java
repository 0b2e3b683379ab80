package app.yellowtab.edit.number;

import app.yellowtab.mark.Mark;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.number.AlikeFiles;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.number.GivenNumber;
import app.yellowtab.model.number.MarkMove;
import app.yellowtab.model.number.MarkSetting;
import app.yellowtab.model.number.Numbering;
import app.yellowtab.model.number.OldNumbers;
import app.yellowtab.model.number.RunningLine;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.model.run.PageKey;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/** The edits of the numbers that pages bear. */
public final class NumberEdits {
    private NumberEdits() {}

    /** A number of a series, whatever pages have it. */
    private record Issued(SeriesId series, String number) {
        static Issued of(GivenNumber given) {
            return new Issued(given.series(), given.number());
        }
    }

    /** {@return the bundle with the numbers that run through it set in another way} */
    public static Bundle withNumber(Bundle bundle, BundleNumber number) {
        return bundle.withNumbering(bundle.numbering().withBundle(number));
    }

    /** {@return the bundle with a series put on, or changed where it has it already} */
    public static Bundle with(Bundle bundle, Series series) {
        return bundle.withNumbering(bundle.numbering().withSeries(put(bundle.numbering().series(), series, Series::id)));
    }

    /** {@return the bundle with a line at head or foot, or with one changed that it has already} */
    public static Bundle with(Bundle bundle, RunningLine line) {
        return bundle.withNumbering(bundle.numbering().withLines(put(bundle.numbering().lines(), line, RunningLine::id)));
    }

    private static <T> List<T> put(List<T> before, T changed, Function<T, SeriesId> id) {
        List<T> all = new ArrayList<>(before);
        int known = all.stream().map(id).toList().indexOf(id.apply(changed));
        if (known < 0) all.add(changed);
        else all.set(known, changed);
        return all;
    }

    /**
     * {@return the bundle with the marks of a series or line set in another way} As an id, {@link Mark#BUNDLE_NUMBER} means the
     * numbers that run through the bundle.
     */
    public static Bundle set(Bundle bundle, SeriesId id, UnaryOperator<MarkSetting> change) {
        Numbering numbering = bundle.numbering();
        if (id.value().equals(Mark.BUNDLE_NUMBER))
            return withNumber(bundle, numbering.bundle().withSetting(change.apply(numbering.bundle().setting())));
        return bundle.withNumbering(numbering
                .withSeries(numbering.series().stream()
                        .map(one -> one.id().equals(id) ? one.withSetting(change.apply(one.setting())) : one).toList())
                .withLines(numbering.lines().stream()
                        .map(one -> one.id().equals(id) ? one.withSetting(change.apply(one.setting())) : one).toList()));
    }

    /** {@return the bundle without a series or line; the numbers that it has given stay given, and no other page gets them} */
    public static Bundle without(Bundle bundle, SeriesId id) {
        Numbering numbering = bundle.numbering();
        return bundle.withNumbering(numbering.withSeries(numbering.series().stream().filter(one -> !one.id().equals(id)).toList())
                .withLines(numbering.lines().stream().filter(one -> !one.id().equals(id)).toList())
                .withMoves(numbering.moves().stream().filter(one -> !one.series().equals(id)).toList()));
    }

    /**
     * {@return the bundle with numbers given for ever, beside those that are; without those that were taken back}
     *
     * @param numbers that its pages bear at present
     */
    public static Bundle issued(Bundle bundle, List<GivenNumber> numbers) {
        Set<GivenNumber> given = new LinkedHashSet<>(bundle.numbering().given());
        Set<Issued> takenBack = bundle.numbering().takenBack().stream().map(Issued::of).collect(Collectors.toSet());
        for (GivenNumber number : numbers) if (!takenBack.contains(Issued.of(number))) given.add(number);
        return bundle.withNumbering(bundle.numbering().withGiven(List.copyOf(given)));
    }

    /**
     * {@return the bundle in which numbers are no page's any more that were given for ever} No page gets them again.
     *
     * @param some of any page that has them
     */
    public static Bundle takenBack(Bundle bundle, List<GivenNumber> some) {
        Set<Issued> numbers = some.stream().map(Issued::of).collect(Collectors.toSet());
        Numbering numbering = bundle.numbering();
        List<GivenNumber> given = new ArrayList<>();
        Set<GivenNumber> takenBack = new LinkedHashSet<>(numbering.takenBack());
        for (GivenNumber one : numbering.given()) {
            if (numbers.contains(Issued.of(one))) takenBack.add(one);
            else given.add(one);
        }
        Numbering now = numbering.withGiven(given).withTakenBack(List.copyOf(takenBack));
        return bundle.withNumbering(now).withToLookAt(now.stillAsked(bundle.toLookAt()));
    }

    /** {@return the bundle in which it was said whether two files with the same pages are one document} */
    public static Bundle alike(Bundle bundle, AlikeFiles files) {
        List<AlikeFiles> all = new ArrayList<>(
                bundle.numbering().alike().stream().filter(known -> !known.isOf(files.one(), files.other())).toList());
        all.add(files);
        return bundle.withNumbering(bundle.numbering().withAlike(all));
    }

    /** {@return the bundle with something decided about numbers that pages carried before} */
    public static Bundle decided(Bundle bundle, OldNumbers numbers) {
        List<OldNumbers> all = new ArrayList<>(bundle.numbering().old().stream()
                .filter(one -> !(one.source().equals(numbers.source()) && one.first().equals(numbers.first()))).toList());
        all.add(numbers);
        return bundle.withNumbering(bundle.numbering().withOld(all));
    }

    /** {@return the bundle with marks of a series elsewhere on some pages} */
    public static Bundle moved(Bundle bundle, Map<PageKey, Spot> spots, SeriesId series) {
        List<MarkMove> moves = new ArrayList<>(bundle.numbering().moves().stream()
                .filter(one -> !(one.series().equals(series) && spots.containsKey(one.page()))).toList());
        spots.forEach((page, spot) -> moves.add(new MarkMove(page, series, spot)));
        return bundle.withNumbering(bundle.numbering().withMoves(moves));
    }

    /** {@return the bundle with a mark elsewhere on one page than on the others; where its series has it for an empty place} */
    public static Bundle moved(Bundle bundle, PageKey page, SeriesId series, Optional<Spot> spot) {
        List<MarkMove> moves = new ArrayList<>(bundle.numbering().moves().stream()
                .filter(one -> !(one.page().equals(page) && one.series().equals(series))).toList());
        spot.ifPresent(place -> moves.add(new MarkMove(page, series, place)));
        return bundle.withNumbering(bundle.numbering().withMoves(moves));
    }
}
