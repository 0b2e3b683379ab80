package app.yellowtab.desktop.mark;

import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.mark.NumberState.Sentence;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.mark.NumberStyle;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.number.LineField;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.plan.Marking;
import app.yellowtab.plan.Plan;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What is said of numbers and lines. */
public final class NumberWords {
    /** Numbers that are longer are hard to call out. */
    private static final int LONG = 8;

    private NumberWords() {}

    /** {@return a place in words, such as "bottom right"} */
    public static String place(Spot spot) {
        return Words.of("number.place." + spot.row().name() + "." + spot.column().name());
    }

    public static String style(NumberStyle style) {
        return Words.of("number.style." + style.name());
    }

    public static String field(LineField field) {
        return Words.of("line.field." + field.name());
    }

    /**
     * {@return all series and lines as sentences}
     *
     * @param leaf in view, whose line is shown
     */
    public static List<Sentence> sentences(Bundle bundle, Plan plan, int leaf) {
        List<Sentence> all = new ArrayList<>();
        Spot spot = bundle.numbering().bundle().setting().spot();
        all.add(new Sentence(Marking.BUNDLE, Words.of("number.bundleLine", first(plan), plan.lastNumber(), place(spot))));
        for (Marking.PlannedSeries series : plan.marking().series()) {
            String where = place(series.setting().spot());
            all.add(new Sentence(series.id(),
                    series.count() == 0 ? Words.of("number.seriesNone", typed(bundle, series.id()), where)
                            : Words.of("number.seriesLine", series.first().orElse(""), series.highest(), where)));
        }
        for (Marking.PlannedSeries line : plan.marking().lines()) {
            String words = line.words(leaf).isEmpty() ? line.first().orElse("") : line.words(leaf);
            all.add(new Sentence(line.id(), words.isEmpty() ? Words.of("number.lineNone", place(line.setting().spot()))
                    : Words.of("number.line", words, place(line.setting().spot()))));
        }
        return all;
    }

    private static String first(Plan plan) {
        return plan.leaves().stream().filter(leaf -> leaf.number().isPresent()).findFirst().map(Leaf::label).orElse("");
    }

    private static String typed(Bundle bundle, SeriesId id) {
        return bundle.numbering().series().stream().filter(one -> one.id().equals(id)).map(Series::first).findFirst().orElse("");
    }

    /** {@return what a hearing will make of numbers that are not those of the file's pages; empty where they are} */
    public static String notice(BundleNumber number, Plan plan) {
        if (number.indexPages() > 0 && number.indexPages() < indexUsed(plan))
            return Words.of("number.indexLonger", number.indexPages(), indexUsed(plan));
        // Figures alone, one with every page: nothing is to be said, and twenty thousand numbers need not be written.
        if (plan.leaves().stream().allMatch(
                leaf -> leaf.number().filter(its -> its.isPlain() && its.value() == leaf.index() + 1).isPresent()))
            return "";
        Optional<Leaf> longest = plan.leaves().stream()
                .filter(leaf -> leaf.number().filter(its -> !its.isPlain()).isPresent() && leaf.label().length() > LONG)
                .findFirst();
        if (longest.isPresent()) return Words.of("number.long", longest.get().label());
        if (number.bySection()) return Words.of("number.bySectionNotice");
        for (Leaf leaf : plan.leaves()) {
            if (leaf.number().isEmpty() || leaf.label().equals(String.valueOf(leaf.index() + 1))) continue;
            if (leaf.onlyPaper()) return "";
            return Words.of("number.notPages", leaf.label(), leaf.index() + 1);
        }
        return "";
    }

    /** {@return how many pages of the index have rows} */
    public static int indexUsed(Plan plan) {
        return Math.max(1, (int) plan.indexSheets().stream().filter(sheet -> !sheet.isEmpty()).count());
    }
}
