package app.yellowtab.cut;

import static app.yellowtab.cut.Pages.marked;
import static app.yellowtab.cut.Pages.page;
import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.model.cut.CutRule;
import app.yellowtab.model.cut.CutRules;
import app.yellowtab.model.cut.NamePart;
import app.yellowtab.model.cut.ValuePlace;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.page.Area;
import app.yellowtab.words.BatchPage;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

class PieceNamesTests {
    private final List<BatchPage> pages = List.of(marked(1, "First  invoice", "4 March 2031", "Invoice no. TH-1", "apples"),
            marked(1, "Second", "Invoice no. TH-2", "Payment is due within thirty days, and on 7 March 2031 at the very latest."),
            page("a note"));

    private List<PieceNames.Named> names(NamePart... parts) {
        CutRules rules = new CutRules(List.of(new CutRule.EveryPages(1, 1)), 1, List.of(parts));
        return PieceNames.of(pages, Cutter.cut(pages, rules, ByHand.NONE), rules, "post of the week.pdf", false);
    }

    private List<String> words(NamePart... parts) {
        return names(parts).stream().map(PieceNames.Named::words).toList();
    }

    @Test
    void everyPartOfANameAndWhatIsMissing() {
        assertThat(words(new NamePart.Bookmark())).containsExactly("First invoice", "Second", "(no bookmark)");
        assertThat(words(new NamePart.Typed("Invoice"), new NamePart.Value(new ValuePlace.AfterWords("invoice no.", ""))))
                .containsExactly("Invoice TH-1", "Invoice TH-2", "Invoice (nothing after “invoice no.”)");
        assertThat(words(new NamePart.Value(new ValuePlace.InArea(new Area(15, 35, 100, 15))))).containsExactly("apples",
                "(nothing in the area)", "(nothing in the area)");
        assertThat(words(new NamePart.FileName(), new NamePart.Number(3, 9))).containsExactly("post of the week 009",
                "post of the week 010", "post of the week 011");
        assertThat(words(new NamePart.FirstDate())).containsExactly("2031-03-04", "(no date)", "(no date)");
        assertThat(names(new NamePart.Bookmark()).getLast().missing()).containsExactly("no bookmark");
    }

    @Test
    void ofSeveralBookmarksTheOutermostNamesThePiece() {
        List<BatchPage> marked = List.of(page(Pages.WIDTH, Pages.HEIGHT,
                List.of(new BatchPage.Bookmark(3, "1.2.3"), new BatchPage.Bookmark(1, "2"), new BatchPage.Bookmark(1, "3"))));
        CutRules rules = new CutRules(List.of(new CutRule.Bookmarks(1)), 1, List.of());
        assertThat(PieceNames.of(marked, Cutter.cut(marked, rules, ByHand.NONE), rules, "x.pdf", false))
                .extracting(PieceNames.Named::words).containsExactly("2");
    }

    @Test
    void theDateOfTheFirstPageIsTheDocuments() {
        assertThat(names()).extracting(PieceNames.Named::date).containsExactly(new DocumentDate.Day(LocalDate.of(2031, 3, 4)),
                DocumentDate.NOT_GIVEN, DocumentDate.NOT_GIVEN);
    }

    @Test
    void whatIsCutByIsAGoodName() {
        assertThat(PieceNames.usual(new CutRules(List.of(new CutRule.Bookmarks(2)), 1, List.of())))
                .containsExactly(new NamePart.Bookmark());
        ValuePlace place = new ValuePlace.AfterWords("no.", "");
        assertThat(
                PieceNames.usual(new CutRules(List.of(new CutRule.SizeChanges(), new CutRule.ValueChanges(place)), 1, List.of())))
                .containsExactly(new NamePart.Value(place));
        assertThat(words()).containsExactly("post of the week 001", "post of the week 002", "post of the week 003");
    }
}
