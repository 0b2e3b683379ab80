package app.yellowtab.plan;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static app.yellowtab.testing.Bundles.section;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.edit.number.NumberEdits;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.NumberRanges;
import app.yellowtab.mark.Mark;
import app.yellowtab.mark.NumberStyle;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.number.BundleNumber;
import app.yellowtab.model.number.MarkedPages;
import app.yellowtab.model.number.PageKind;
import app.yellowtab.model.source.SourceId;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * A document (2 pages), section A with another (1 page) and a section in it (2 pages), section B (3 pages); before them cover and
 * index.
 */
class BundleNumbersTests {
    private static final Bundle START = bundle(document("x", 2), section("A", document("a", 1), section("A1", document("i", 2))),
            section("B", document("b", 3)));

    private static Plan plan(UnaryOperator<BundleNumber> how) {
        return Planner.plan(NumberEdits.withNumber(START, how.apply(BundleNumber.STANDARD)));
    }

    private static String labels(Plan plan) {
        return plan.leaves().stream().map(Leaf::label).collect(Collectors.joining(" "));
    }

    private static String marks(Plan plan) {
        return plan.leaves().stream().map(leaf -> plan.marksOn(leaf).stream().map(Mark::words).collect(Collectors.joining("+")))
                .collect(Collectors.joining(" | "));
    }

    @Test
    void theyBeginWhereTheyShouldInTheStyleThatIsWanted() {
        assertThat(labels(plan(number -> number.withStart(101))))
                .isEqualTo("101 102 103 104 105 106 107 108 109 110 111 112 113");
        assertThat(labels(plan(number -> number.withStart(0)))).startsWith("0 1 2");
        assertThat(labels(plan(number -> number.withStyle(NumberStyle.SMALL_LETTERS).withStart(25)))).startsWith("y z aa bb cc");
        assertThat(labels(plan(number -> number.withStyle(NumberStyle.LARGE_ROMAN)))).startsWith("I II III IV");
    }

    @Test
    void bySectionTheyBeginAnewBehindTheLetterOfTheOutermost() {
        Plan plan = plan(number -> number.withBySection(true));
        assertThat(labels(plan)).isEqualTo("1 2 3 4 A1 A2 A3 A4 A5 B1 B2 B3 B4");
        assertThat(plan.leafNumbered("b3").orElseThrow().index()).isEqualTo(11);
        assertThat(plan.entry(new EntryId("i")).orElseThrow().span().shown()).isEqualTo("A4–A5");
        assertThat(marks(plan(number -> number.withBySection(true).withTotal(true))))
                .endsWith("B1 of B4 | B2 of B4 | B3 of B4 | B4 of B4").startsWith("1 of 4");
    }

    @Test
    void coverAndIndexCanBeNumberedForThemselves() {
        Plan plan = plan(number -> number.withFront(Optional.of(NumberStyle.SMALL_ROMAN)).withTotal(true).withIndexPages(3));
        assertThat(labels(plan)).isEqualTo("i ii iii iv 1 2 3 4 5 6 7 8 9 10 11");
        assertThat(marks(plan)).startsWith("i | ii | iii | iv | 1 of 11 | 2 of 11");
        assertThat(plan.leafNumbered("IV").orElseThrow().index()).isEqualTo(3);
        assertThat(plan.indexSheets()).hasSize(3);
        assertThat(plan.indexSheets().getLast()).isEmpty();
    }

    @Test
    void pagesKeptForTheIndexHoldTheNumbersWhenItGrows() {
        Plan before = plan(number -> number.withIndexPages(2));
        Bundle longer = NumberEdits.withNumber(bundle(document("x", 2), section("A", manyDocuments())),
                BundleNumber.STANDARD.withIndexPages(2));
        Plan after = Planner.plan(longer);
        assertThat(after.indexSheets()).hasSize(2);
        assertThat(after.indexSheets().get(1)).isNotEmpty();
        assertThat(after.entry(new EntryId("x")).orElseThrow().span().from())
                .isEqualTo(before.entry(new EntryId("x")).orElseThrow().span().from()).isEqualTo("4");
    }

    private static Object[] manyDocuments() {
        Object[] documents = new Object[40];
        for (int i = 0; i < documents.length; i++) documents[i] = document("d" + i, 1);
        return documents;
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';',
            value = {"4-6; 4 5 6", "2, 12-; 2 12 13", "5 – 7, 4; 4 5 6 7", "0-3, 9; 9", "; 1 2 3 4 5 6 7 8 9 10 11 12 13"})
    void aNumberShowsOnThePagesThatAreTypedAndCountsOnAll(String typed, String shown) {
        Plan plan = plan(number -> number.withSetting(
                number.setting().withPages(new MarkedPages(typed == null ? "" : typed, List.of(), List.of(), List.of()))));
        assertThat(marks(plan).replace(" | ", " ").strip().replaceAll(" +", " ")).isEqualTo(shown);
        assertThat(labels(plan)).isEqualTo("1 2 3 4 5 6 7 8 9 10 11 12 13");
    }

    @Test
    void whatIsTypedWrongIsNamed() {
        List<Leaf> leaves = plan(number -> number).leaves();
        assertThat(NumberRanges.read("3-5, 99, x", leaves).mistake()).contains("99");
        assertThat(NumberRanges.read("7-3", leaves).mistake()).contains("7-3");
        assertThat(NumberRanges.read("3-5,", leaves).mistake()).isEmpty();
    }

    @Test
    void kindsOfPageEntriesAndFilesAreChosen() {
        MarkedPages pages =
                MarkedPages.ALL.without(PageKind.COVER, true).without(PageKind.INDEX, true).without(PageKind.TITLES, true);
        assertThat(marks(plan(number -> number.withSetting(number.setting().withPages(pages)))))
                .isEqualTo(" |  | 3 | 4 |  | 6 |  | 8 | 9 |  | 11 | 12 | 13");
        MarkedPages named = new MarkedPages("", List.of(new EntryId("A1")), List.of(new SourceId("x")), List.of());
        assertThat(marks(plan(number -> number.withSetting(number.setting().withPages(named)))))
                .isEqualTo(" |  | 3 | 4 |  |  | 7 | 8 | 9 |  |  |  | ");
    }

    @Test
    void onLeftHandPagesTheyCanStandOnTheOtherSide() {
        Plan plan = plan(number -> number.withSetting(number.setting().withMirrored(true)));
        assertThat(plan.marksOn(plan.leaf(0)).getFirst().spot()).isEqualTo(Spot.STANDARD);
        assertThat(plan.marksOn(plan.leaf(1)).getFirst().spot()).isEqualTo(Spot.STANDARD.mirrored());
        assertThat(plan.marksOn(plan.leaf(2)).getFirst().spot().column()).isEqualTo(Spot.Column.RIGHT);
    }

    @Test
    void whatCannotBeIsRefused() {
        assertThatThrownBy(() -> BundleNumber.STANDARD.withStart(-1)).hasMessageContaining("\"start\" must be 0 to");
        assertThatThrownBy(() -> BundleNumber.STANDARD.withFront(Optional.of(NumberStyle.FIGURES)))
                .hasMessageContaining("no number may stand twice");
        assertThat(BundleNumber.STANDARD.withStart(0).withStyle(NumberStyle.SMALL_ROMAN).start()).as("there is no roman nought")
                .isEqualTo(1);
    }
}
