package app.yellowtab.cut;

import static app.yellowtab.cut.Pages.blank;
import static app.yellowtab.cut.Pages.marked;
import static app.yellowtab.cut.Pages.page;
import static app.yellowtab.cut.Pages.plain;
import static app.yellowtab.cut.Pages.shown;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.cut.CutRules;
import app.yellowtab.model.cut.ValuePlace;
import app.yellowtab.model.page.Area;
import app.yellowtab.words.BatchPage;
import app.yellowtab.words.PageWeight;
import app.yellowtab.words.PrintedPage;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What each rule makes of a batch. */
class CutterTests {
    private static Cutting cut(List<BatchPage> pages, CutRule... rules) {
        return Cutter.cut(pages, new CutRules(List.of(rules), 1, List.of()), ByHand.NONE);
    }

    private static CutRule.WordsFound words(String text) {
        return new CutRule.WordsFound(text, false, false, true, Optional.empty(), false);
    }

    private static List<String> reasons(Cutting cutting) {
        return cutting.pieces().stream().map(piece -> String.join("; ", piece.reasons().stream().map(Reason::words).toList()))
                .toList();
    }

    @Test
    void withoutRulesABatchIsOnePiece() {
        assertThat(shown(cut(plain(4)))).isEqualTo("1-4");
    }

    @Test
    void noPieceTakesMoreThanItMayAndWhatIsSharedCountsOnce() {
        List<BatchPage> pages = new ArrayList<>();
        for (int i = 0; i < 7; i++) pages.add(
                page("x").withWeight(new PageWeight(new long[] {1, 10 + i}, new long[] {500_000, i == 3 ? 2_000_000 : 200_000})));
        Cutting cutting = cut(pages, new CutRule.UpTo(1_000_000));
        assertThat(shown(cutting)).isEqualTo("1-2 3 4 5-6 7");
        assertThat(reasons(cutting)).contains("with this page it would be more than 1 MB");
        assertThat(cutting.counts().get(new CutRule.UpTo(1_000_000))).isEqualTo(new Cutting.Count(4, 4));
        assertThat(shown(Cutter.cut(pages, new CutRules(List.of(new CutRule.UpTo(1_000_000)), 1, List.of()),
                new ByHand(Map.of(3, false), Map.of(4, true))))).as("the hand comes first").isEqualTo("1-3 5-6 7 | dropped 4");
        assertThat(shown(cut(plain(3), new CutRule.UpTo(1)))).as("nobody has measured them").isEqualTo("1-3");
    }

    @Test
    void everySoManyPages() {
        assertThat(shown(cut(plain(7), new CutRule.EveryPages(3, 1)))).isEqualTo("1-3 4-6 7");
        assertThat(shown(cut(plain(7), new CutRule.EveryPages(2, 4)))).as("from page 4 on").isEqualTo("1-3 4-5 6-7");
        assertThat(shown(cut(plain(2), new CutRule.EveryPages(5, 9)))).isEqualTo("1-2");
    }

    @Test
    void rangesAsTyped() {
        assertThat(shown(cut(plain(9), new CutRule.Ranges("6-8, 1-2, 8-, 2", false)))).isEqualTo("6-8 1-2 8-9 2 | dropped 3 4 5");
        assertThat(shown(cut(plain(9), new CutRule.Ranges("2-3, 5", true)))).as("the rest is a piece")
                .isEqualTo("2-3 5 1+4+6+7+8+9");
        assertThatThrownBy(() -> cut(plain(9), new CutRule.Ranges("2-3, x", true)))
                .hasMessage("in “2-3, x”, at letter 6, should stand a page or a stretch of pages, such as 5 or 9-12");
    }

    @Test
    void oddAndEven() {
        assertThat(shown(cut(plain(5), new CutRule.OddAndEven(false)))).isEqualTo("1+3+5 2+4");
        assertThat(shown(cut(plain(6), new CutRule.OddAndEven(true)))).isEqualTo("1+3+5 6+4+2");
        assertThat(shown(cut(plain(1), new CutRule.OddAndEven(false)))).isEqualTo("1");
    }

    @Test
    void bookmarksDownToALevel() {
        List<BatchPage> pages = List.of(page("cover"), marked(1, "Invoice 1"), marked(2, "Annex"), marked(1, "Invoice 2"));
        assertThat(shown(cut(pages, new CutRule.Bookmarks(1)))).isEqualTo("1 2-3 4");
        Cutting deep = cut(pages, new CutRule.Bookmarks(2));
        assertThat(shown(deep)).isEqualTo("1 2 3 4");
        assertThat(reasons(deep)).containsExactly("the batch begins here", "bookmark “Invoice 1”", "bookmark “Annex”",
                "bookmark “Invoice 2”");
    }

    @Test
    void blankSheets() {
        List<BatchPage> pages = List.of(page("a"), blank(), page("b"), page("c"), blank(), blank(), page("d"), blank());
        assertThat(shown(cut(pages, new CutRule.BlankSheets(true)))).isEqualTo("1 3-4 7 | dropped 2 5 6 8");
        assertThat(shown(cut(pages, new CutRule.BlankSheets(false)))).as("each stays at the end of its piece")
                .isEqualTo("1-2 3-6 7-8");
    }

    @Test
    void wordsAnywhereOrInAnArea() {
        List<BatchPage> pages =
                List.of(page("Invoice", "1 of 2"), page("2 of 2"), page("INVOICE", "we speak of 1 of"), page("@280 1 of"));
        assertThat(shown(cut(pages, words("invoice")))).isEqualTo("1-2 3-4");
        assertThat(shown(cut(pages, words("1 of")))).isEqualTo("1-2 3 4");
        CutRule foot = new CutRule.WordsFound("1 of", false, false, true, Optional.of(new Area(10, 250, 190, 40)), false);
        assertThat(shown(cut(pages, foot))).as("only at the foot").isEqualTo("1-3 4");
        assertThat(shown(cut(pages, new CutRule.WordsFound("Invoice", false, true, true, Optional.empty(), false))))
                .as("capitals matter").isEqualTo("1-4");
        assertThat(shown(cut(pages, new CutRule.WordsFound("2 of 2", false, false, true, Optional.empty(), true))))
                .as("behind the page").isEqualTo("1-2 3-4");
        assertThat(shown(cut(pages, new CutRule.WordsFound("in voice", false, false, false, Optional.empty(), false))))
                .as("white space does not matter").isEqualTo("1-2 3-4");
        assertThat(reasons(cut(pages, words("invoice")))).containsExactly("“Invoice” is on it", "“INVOICE” is on it");
    }

    @Test
    void patternsThatAreNoneAndPatternsThatWouldHang() {
        CutRule none = new CutRule.WordsFound("(", true, false, true, Optional.empty(), false);
        assertThatThrownBy(() -> cut(plain(1), none)).isInstanceOf(IllegalArgumentException.class)
                .hasMessageStartingWith("“(” is no pattern: ");
        CutRule slow = new CutRule.WordsFound("(a*)*b", true, false, true, Optional.empty(), false);
        assertThat(shown(cut(List.of(page("x"), page("a".repeat(50_000))), slow))).isEqualTo("1-2");
        CutRule line = new CutRule.WordsFound("^No\\. \\d+$", true, false, true, Optional.empty(), false);
        assertThat(shown(cut(List.of(page("x"), page("head", "No. 12", "text"), page("see No. 12")), line))).isEqualTo("1 2-3");
    }

    @Test
    void aValueThatChanges() {
        List<BatchPage> pages = List.of(page("cover"), page("Invoice no. 17 | 3 May"), page("more"), page("INVOICE NO.: 17"),
                page("invoice no. 18 / 2031"), page("Invoice no."));
        CutRule after = new CutRule.ValueChanges(new ValuePlace.AfterWords("Invoice no.", "/"));
        assertThat(shown(cut(List.of(page("Invoice no. 17"), page("more"), page("INVOICE NO.: 17"), page("invoice no. 18 / 2031"),
                page("Invoice no.")), after))).isEqualTo("1-3 4-5");
        assertThat(shown(cut(pages, after))).as("the first value begins a piece; what follows on the line belongs to it")
                .isEqualTo("1 2-3 4 5-6");
        CutRule area = new CutRule.ValueChanges(new ValuePlace.InArea(new Area(15, 15, 40, 10)));
        assertThat(shown(cut(List.of(page("TH-1"), page("TH-1"), page("TH-2", "TH-1")), area))).isEqualTo("1-2 3");
        assertThat(reasons(cut(List.of(page("TH-1"), page("TH-2")), area))).containsExactly("“TH-1” begins", "“TH-2” begins");
    }

    @Test
    void printedNumberingThatStartsAgain() {
        List<BatchPage> pages = List.of(page("Letter | Page 1 of 2"), page("Letter | page 2 of 2"), page("@288 - 1 -"),
                page("@288 2"), page("see page 1 of the lease, which says that rent is due each month in advance"),
                page("Slip 1 of 3"), page("Slip 2 of 3"), page("Slip 2 of 4"), page("text", "@150 1"));
        Cutting cutting = cut(pages, new CutRule.NumberingRestarts());
        assertThat(shown(cutting)).isEqualTo("1-2 3-5 6-7 8-9");
        assertThat(reasons(cutting)).containsExactly("its numbering begins, “Page 1 of 2”", "its numbering begins, “1”",
                "its numbering begins, “1 of 3”", "its numbering begins, “2 of 4”");
    }

    @Test
    void anotherSizeOrTheOtherWay() {
        List<BatchPage> pages = List.of(page("a"), page(211, 298, List.of(), "b"), page(297, 210, List.of(), "c"),
                page(420, 297, List.of(), "d"));
        Cutting cutting = cut(pages, new CutRule.SizeChanges());
        assertThat(shown(cutting)).isEqualTo("1-2 3 4");
        assertThat(reasons(cutting)).containsExactly("the batch begins here", "it lies the other way",
                "it has another size, 420 × 297 mm");
    }

    @Test
    void cutsAreUnitedAndCountedByRule() {
        List<BatchPage> pages = List.of(page("Invoice"), page("x"), page("Invoice"), page("Letter"), page("x"), page("Invoice"));
        CutRule every = new CutRule.EveryPages(2, 1);
        CutRule invoices = words("Invoice");
        Cutting cutting = cut(pages, every, invoices);
        assertThat(shown(cutting)).isEqualTo("1-2 3-4 5 6");
        assertThat(cutting.counts()).isEqualTo(Map.of(every, new Cutting.Count(2, 1), invoices, new Cutting.Count(2, 1)));
    }

    @Test
    void noPieceUnderSoManyPages() {
        CutRules least = new CutRules(List.of(words("cut")), 2, List.of());
        List<BatchPage> pages = List.of(page("cut"), page("cut"), page("x"), page("cut"), page("cut"), page("cut"));
        assertThat(shown(Cutter.cut(pages, least, ByHand.NONE))).isEqualTo("1-3 4-6");
        assertThat(shown(Cutter.cut(pages, least, new ByHand(Map.of(6, true), Map.of())))).as("what is cut by hand stays")
                .isEqualTo("1-3 4-5 6");
    }

    @Test
    void whatIsDoneByHandStaysWhateverTheRulesSay() {
        ByHand hand = new ByHand(Map.of(3, false, 4, true, 99, true), Map.of(2, true, 6, false, 99, true));
        List<BatchPage> pages = List.of(page("a"), page("b"), page("c"), page("d"), page("e"), blank(), page("f"));
        CutRules rules = new CutRules(List.of(new CutRule.EveryPages(2, 1), new CutRule.BlankSheets(true)), 1, List.of());
        Cutting cutting = Cutter.cut(pages, rules, hand);
        assertThat(shown(cutting)).isEqualTo("1+3 4 5-6 7 | dropped 2");
        assertThat(cutting.pieces().get(1).reasons()).containsExactly(Reason.HAND);
        assertThat(cutting.dropped().getFirst().reason()).isEqualTo(Reason.HAND);
    }

    @Test
    void rulesThatStandAloneStandAlone() {
        assertThatThrownBy(() -> new CutRules(List.of(new CutRule.Ranges("1", true), words("x")), 1, List.of()))
                .hasMessageContaining("stand beside no other rule");
    }

    @ParameterizedTest
    @CsvSource({"Page 10f 3, 1, 3", "lof1l, 1, 0", "lofl, 1, 1", "Page 10 of 12, 10, 12", "Sheet 2, 2, 0",
            "Brightwick  p. l of 4, 1, 4", "3 of 12, 3, 12"})
    void numbersOfPagesAreUnderstoodAsPicturesAreRead(String words, int number, int of) {
        assertThat(PrintedPage.of(Pages.page(words.replace("  ", " | ")))).hasValueSatisfying(printed -> {
            assertThat(printed.number()).isEqualTo(number);
            assertThat(printed.of()).isEqualTo(of);
            assertThat(printed.words()).as("fit to be shown").doesNotContain("lof", "0f");
        });
    }

    @ParameterizedTest
    @ValueSource(strings = {"5 pill", "see page 4 of the report of 3 May", "profit 5"})
    void wordsThatLookLikeSuchNumbersAreNone(String words) {
        assertThat(PrintedPage.of(Pages.page("@100 " + words))).isEmpty();
    }
}
