package app.yellowtab.mark;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.yellowtab.pdf.Typeface;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.FloatRange;
import org.junit.jupiter.api.Test;

class PlacingTests {
    private static final float A4_WIDE = 595.28f;
    private static final float A4_HIGH = 841.89f;

    private static Mark line(String words, Spot.Row row, Spot.Column column) {
        return Mark.line("line " + column, words, new Spot(row, column, 10, 10), MarkLook.LINE);
    }

    private static Mark number(String words) {
        return new Mark(Mark.BUNDLE_NUMBER, words, Spot.STANDARD, MarkLook.NUMBER);
    }

    @Provide
    Arbitrary<Mark> marks() {
        Arbitrary<Spot> spots = Combinators.combine(Arbitraries.of(Spot.Row.class), Arbitraries.of(Spot.Column.class),
                Arbitraries.doubles().between(0, 400), Arbitraries.doubles().between(0, 400)).as(Spot::new);
        Arbitrary<MarkLook> looks = Combinators
                .combine(Arbitraries.of(Typeface.class), Arbitraries.floats().between(1, 200), Arbitraries.of(Ground.class),
                        Arbitraries.integers().between(-180, 180))
                .as((face, size, ground, turn) -> new MarkLook(face, size, ground, Ink.BLACK, 1, turn));
        return Combinators
                .combine(Arbitraries.strings().alpha().withChars(' ').ofMinLength(1).ofMaxLength(60).map(words -> "x" + words),
                        spots, looks, Arbitraries.of(true, false))
                .as((words, spot, look, line) -> line ? Mark.line("l", words, spot, look) : new Mark("n", words, spot, look));
    }

    @Property(tries = 400)
    void everyMarkLiesWithinWhatIsSeen(@ForAll("marks") Mark mark, @ForAll @FloatRange(min = 30, max = 3000) float wide,
            @ForAll @FloatRange(min = 30, max = 3000) float high) {
        Placed placed = Placing.of(mark, wide, high);
        Box ink = placed.inkPt();
        if (placed.cut()) return;    // a line is cut no shorter than its mark that it was
        assertThat(ink.left()).isGreaterThanOrEqualTo(-0.01f);
        assertThat(ink.bottom()).isGreaterThanOrEqualTo(-0.01f);
        assertThat(ink.right()).isLessThanOrEqualTo(wide + 0.01f);
        assertThat(ink.top()).isLessThanOrEqualTo(high + 0.01f);
    }

    @Test
    void aLineThatIsTooLongIsSetSmallerThenCutAtAWord() {
        String title = "Bundle of documents for the trial of the claim and the counterclaim ";
        Placed fits = Placing.of(line(title, Spot.Row.HEAD, Spot.Column.MIDDLE), A4_WIDE, A4_HIGH);
        assertThat(fits.sizePt()).isEqualTo(9);
        Placed smaller = Placing.of(line((title + title + title.substring(0, 33)).strip(), Spot.Row.HEAD, Spot.Column.MIDDLE),
                A4_WIDE, A4_HIGH);
        assertThat(smaller.sizePt()).isBetween(6f, 8.9f);
        assertThat(smaller.cut()).isFalse();
        Placed cut = Placing.of(line((title + title + title + title + title).strip(), Spot.Row.HEAD, Spot.Column.MIDDLE), A4_WIDE,
                A4_HIGH);
        assertThat(cut.cut()).isTrue();
        assertThat(cut.sizePt()).isEqualTo(6);
        assertThat(cut.mark().words()).endsWith(" …").doesNotContain("  ");
        assertThat(title + title + title + title).startsWith(cut.mark().words().replace(" …", ""));
        assertThat(cut.inkPt().right()).isLessThan(A4_WIDE - 28);
    }

    @Test
    void linesGiveWayToNumbersAndToEachOther() {
        String words = "Tarn Hollow Orchards Ltd v Brightwick Cold Stores Ltd, claim AL-2031-00417, bundle B";
        List<Mark> marks = new ArrayList<>();
        for (Spot.Column column : Spot.Column.values()) marks.add(line(words, Spot.Row.FOOT, column));
        marks.add(number("1204"));
        List<Placed> placed = Placing.of(marks, A4_WIDE, A4_HIGH);
        for (int i = 0; i < placed.size(); i++) {
            for (int j = i + 1; j < placed.size(); j++) {
                boolean sameCorner = i == 2 && j == 3;
                if (!sameCorner) assertThat(placed.get(i).wholePt().meets(placed.get(j).wholePt())).as(i + " and " + j).isFalse();
            }
        }
        Placed alone =
                Placing.of(List.of(line(words, Spot.Row.FOOT, Spot.Column.LEFT), number("1204")), A4_WIDE, A4_HIGH).getFirst();
        assertThat(alone.sizePt()).as("with room to the number it stays as it is").isEqualTo(9);
    }

    @Test
    void onALargePageANumberCanStillBeReadWhenItIsBroughtToA4() {
        assertThat(Placing.of(number("12"), 842, 1191).sizePt()).as("A3").isEqualTo(14);
        assertThat(Placing.of(number("12"), 2384, 3370).sizePt() * 595 / 2384).as("A0").isGreaterThan(7.9f);
    }

    @Test
    void aTurnedMarkStandsWithItsSidesWhereItsSpotIs() {
        Mark upward =
                new Mark("n", "TH-000101", new Spot(Spot.Row.FOOT, Spot.Column.RIGHT, 10, 20), MarkLook.SERIES.withTurn(-90));
        Box ink = Placing.of(upward, A4_WIDE, A4_HIGH).inkPt();
        assertThat(ink.height()).isGreaterThan(3 * ink.width());
        assertThat(A4_WIDE - ink.right()).isCloseTo(28.35f, within(0.1f));
        assertThat(ink.bottom()).isCloseTo(56.7f, within(0.1f));
    }
}
