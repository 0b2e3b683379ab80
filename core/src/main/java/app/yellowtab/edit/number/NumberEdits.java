package app.yellowtab.edit.number;

import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.number.GivenNumber;
import app.yellowtab.model.number.MarkMove;
import app.yellowtab.model.number.Numbering;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.model.page.PageKey;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The edits of the numbers that pages bear. */
public final class NumberEdits {
    private NumberEdits() {}

    /** {@return the bundle with the numbers that run through it set in another way} */
    public static Bundle withNumber(Bundle bundle, BundleNumber number) {
        return bundle.withNumbering(bundle.numbering().withBundle(number));
    }

    /** {@return the bundle with a series put on, or changed where it has it already} */
    public static Bundle with(Bundle bundle, Series series) {
        List<Series> all = new ArrayList<>(bundle.numbering().series());
        boolean known = false;
        for (int i = 0; i < all.size(); i++) {
            if (!all.get(i).id().equals(series.id())) continue;
            all.set(i, series);
            known = true;
        }
        if (!known) all.add(series);
        return bundle.withNumbering(bundle.numbering().withSeries(all));
    }

    /** {@return the bundle without a series, and without what it has given} */
    public static Bundle without(Bundle bundle, SeriesId id) {
        Numbering numbering = bundle.numbering();
        return bundle.withNumbering(numbering.withSeries(numbering.series().stream().filter(one -> !one.id().equals(id)).toList())
                .withGiven(numbering.given().stream().filter(one -> !one.series().equals(id)).toList()).withMoves(numbering.moves().stream().filter(one -> !one.series().equals(id)).toList()));
    }

    /**
     * {@return the bundle with the numbers of a series given for ever}
     *
     * @param numbers that its pages bear at present
     */
    public static Bundle issued(Bundle bundle, SeriesId id, List<GivenNumber> numbers) {
        List<GivenNumber> given = new ArrayList<>(bundle.numbering().given().stream().filter(one -> !one.series().equals(id)).toList());
        given.addAll(numbers);
        return bundle.withNumbering(bundle.numbering().withGiven(given));
    }

    /** {@return the bundle with a mark elsewhere on one page than on the others; where its series has it for an empty place} */
    public static Bundle moved(Bundle bundle, PageKey page, SeriesId series, Optional<Spot> spot) {
        List<MarkMove> moves = new ArrayList<>(bundle.numbering().moves().stream().filter(one -> !(one.page().equals(page) && one.series().equals(series))).toList());
        spot.ifPresent(place -> moves.add(new MarkMove(page, series, place)));
        return bundle.withNumbering(bundle.numbering().withMoves(moves));
    }
}
