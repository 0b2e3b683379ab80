package app.yellowtab.edit.repage;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static app.yellowtab.testing.Bundles.pages;
import static app.yellowtab.testing.Bundles.source;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import app.yellowtab.edit.Edits;
import app.yellowtab.edit.History;
import app.yellowtab.edit.Place;
import app.yellowtab.edit.Placeholders;
import app.yellowtab.edit.cut.CutEdits;
import app.yellowtab.edit.number.NumberEdits;
import app.yellowtab.edit.page.PageEdits;
import app.yellowtab.finding.Finding;
import app.yellowtab.mark.MarkLook;
import app.yellowtab.mark.Spot;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.cut.HandCut;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.number.GivenNumber;
import app.yellowtab.model.number.MarkMove;
import app.yellowtab.model.number.MarkSetting;
import app.yellowtab.model.number.Series;
import app.yellowtab.model.number.SeriesId;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.Redaction;
import app.yellowtab.model.run.LookAgain;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.RunId;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.ConversionKey;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A file has other pages than it had, in which each page is a letter, a capital one of it a changed page. */
class CarryingTests {
    private static final SeriesId BATES = new SeriesId("bates");
    private static final Redaction NAME = new Redaction(new Area(10, 10, 40, 5), "private", false);
    private static final SourceId A = new SourceId("a");
    private static final EntryId ENTRY = new EntryId("a");

    private static Source read(Source source, String pages) {
        return new Source(source.id(), source.fileName(), source.storedName(), source.kind(), source.bytes(), source.sha256(),
                source.checksum(), pages.length(), source.bookmarks(), source.proposedTitle(), source.proposedDate(),
                source.about(),
                Optional.of(new ConversionKey(pages)));
    }

    /** {@return the bundle with file a read anew} */
    private static Bundle anew(Bundle bundle, String before, String after) {
        Source old = bundle.sourcesById().get(A);
        PagePairs pairs = PagePairs.find(before.length(), after.length(), (i, j) -> PagePairsTests.alike(before.charAt(i - 1),
                after.charAt(j - 1)));
        return Edits.changeSources(bundle, Map.of(A, now -> read(now, after)),
                List.of(Repaging.of(old, read(old, after), pairs)));
    }

    private static PageKey key(Bundle bundle, int place) {
        Document document = bundle.contents().allDocuments().getFirst();
        int left = place;
        for (var run : document.runs()) {
            if (left <= run.pageCount()) return run.key(left);
            left -= run.pageCount();
        }
        throw new AssertionError("no such page: " + place);
    }

    private static PageLook look(Bundle bundle, int page) {
        return bundle.contents().allDocuments().getFirst().runs().stream().map(SourcePages.class::cast)
                .filter(run -> run.first() <= page && page <= run.last()).findFirst().orElseThrow().look();
    }

    private static List<String> numbers(Bundle bundle) {
        Plan plan = Planner.plan(bundle);
        return plan.leaves().stream().map(leaf -> plan.marking().series().getFirst().words(leaf.index()))
                .filter(words -> !words.isEmpty()).toList();
    }

    private static Bundle issued(Bundle bundle) {
        Bundle with = NumberEdits.with(bundle, new Series(BATES, "TH-101", new MarkSetting(Spot.OPPOSITE, MarkLook.SERIES)));
        return NumberEdits.issued(with, Planner.plan(with).numbersOf(with, BATES));
    }

    @Test
    void aDocumentOfWhichAPageWasTurnedHasAllPagesThatTheFileHasThen() {
        Bundle start = bundle(document("a", 4));
        Bundle turned = PageEdits.turned(start, Set.of(key(start, 2)), 1);
        Bundle now = anew(turned, "abcd", "abxcdy");
        assertThat(pages(now.contents().documents().getFirst())).isEqualTo("a1 a2 a3 a4 a5 a6");
        assertThat(look(now, 2).turns()).isEqualTo(1);
        assertThat(look(now, 3).turns()).isZero();
        assertThat(now.toLookAt()).isEmpty();
    }

    @Test
    void aLockedFileThatWasTakenOutOfTheIndexIsWholeWhenItIsPutBack() {
        Bundle locked = Edits.takeOut(bundle(document("a", 1), document("b", 1)), Set.of(ENTRY));
        Bundle unlocked = anew(locked, "?", "abcdefghijklmn");
        Bundle back = Edits.putInIndex(unlocked, List.of("a"), new Place(Optional.empty(), 0));
        assertThat(back.contents().documents().getFirst().pageCount()).isEqualTo(14);
    }

    @Test
    void ofAFileWithFewerPagesIsLeftWhatIsThereAndWhatWasOnTheOthersIsSaid() {
        Bundle start = issued(bundle(document("a", 4), document("b", 1)));
        Bundle looked = PageEdits.turned(start, Set.of(key(start, 4)), 1);
        looked = NumberEdits.moved(looked, key(looked, 3), BATES, Optional.of(Spot.STANDARD));
        Bundle now = anew(looked, "abcd", "ab");
        assertThat(pages(now.contents().documents().getFirst())).isEqualTo("a1 a2");
        assertThat(now.numbering().moves()).isEmpty();
        assertThat(numbers(now)).as("gaps stay").containsExactly("TH-101", "TH-102", "TH-105");
        Source old = looked.sourcesById().get(A);
        Repaging repaging = Repaging.of(old, read(old, "ab"), PagePairs.find(4, 2, (i, j) -> i == j ? 1 : 0));
        assertThat(GonePages.finding(looked, repaging).map(Finding::message).orElseThrow()).startsWith("a.pdf has fewer pages")
                .contains("page 3 (a number moved, TH-103), page 4 (turned, cropped or resized, TH-104)");
        Bundle nothing = anew(PageEdits.keptOnly(start, Set.of(key(start, 3))), "abcd", "ab");
        assertThat(pages(nothing.contents().documents().getFirst())).as("it is not missed").isEqualTo("free");
    }

    @Test
    void whatHidesSomethingStaysOnChangedPagesAndSomebodyMustLook() {
        Bundle start = bundle(document("a", 4));
        Bundle hidden = PageEdits.looked(start, Set.of(key(start, 2), key(start, 4)),
                look -> look.withRedactions(List.of(NAME)).withTurns(1));
        hidden = PageEdits.looked(hidden, Set.of(key(hidden, 3)), look -> look.withWithheld(Optional.of("privileged")));
        Bundle now = anew(hidden, "abcd", "aBCx");
        assertThat(look(now, 2).redactions()).containsExactly(NAME);
        assertThat(look(now, 2).turns()).isZero();
        assertThat(look(now, 3).withheld()).contains("privileged");
        assertThat(now.toLookAt()).extracting(LookAgain::was, LookAgain::page, LookAgain::hidden).containsExactly(
                tuple(2, Optional.of(key(now, 2)), true), tuple(3, Optional.of(key(now, 3)), true),
                tuple(4, Optional.of(key(now, 4)), true));
        Bundle again = anew(now, "aBCx", "aBC");
        assertThat(again.toLookAt()).extracting(LookAgain::page).containsExactly(Optional.of(key(again, 2)),
                Optional.of(key(again, 3)), Optional.empty(), Optional.empty());
        for (LookAgain one : again.toLookAt()) again = Looking.seen(again, one);
        assertThat(again.toLookAt()).isEmpty();
    }

    @Test
    void aPageThatIsTheSameInANewerVersionKeepsItsNumberAndItsMovedMarkAndOfAChangedOneOneIsAsked() {
        Bundle start = Edits.addSources(issued(bundle(document("a", 3), document("b", 1))), List.of(source("n", 4)));
        Bundle moved = NumberEdits.moved(start, key(start, 3), BATES, Optional.of(Spot.STANDARD));
        Bundle now = Replacing.replaced(moved, ENTRY, A, new SourceId("n"),
                PagePairs.find(3, 4, (i, j) -> PagePairsTests.alike("abc".charAt(i - 1), "xaBc".charAt(j - 1))));
        assertThat(pages(now.contents().documents().getFirst())).isEqualTo("n1 n2 n3 n4");
        assertThat(numbers(now)).containsExactly("TH-105", "TH-101", "TH-106", "TH-103", "TH-104");
        assertThat(now.numbering().moves()).singleElement()
                .satisfies(move -> assertThat(move.page()).isEqualTo(key(now, 4)));
        LookAgain asked = now.toLookAt().getFirst();
        assertThat(asked.numbered()).isTrue();
        assertThat(numbers(Looking.numbered(now, asked, true))).containsExactly("TH-105", "TH-101", "TH-102", "TH-103", "TH-104");
        assertThat(numbers(Looking.numbered(now, asked, false))).contains("TH-106").doesNotContain("TH-102");
        assertThat(Looking.numbered(now, asked, true).toLookAt()).isEmpty();
        assertThat(numbers(Looking.numbered(Looking.numbered(now, asked, true).withToLookAt(now.toLookAt()), asked, false)))
                .as("asked once more, after undo").contains("TH-106").doesNotContain("TH-102");
    }

    @Test
    void aPageThatHasMovedKeepsAllThatWasSaidOfItAndStandsWhereTheNewerVersionHasIt() {
        Bundle start = issued(bundle(document("a", 5)));
        Bundle hidden = PageEdits.looked(start, Set.of(key(start, 2)), look -> look.withRedactions(List.of(NAME)));
        Bundle now = anew(hidden, "abcde", "acdxbe");
        assertThat(pages(now.contents().documents().getFirst())).isEqualTo("a1 a2 a3 a4 a5 a6");
        assertThat(look(now, 5).redactions()).containsExactly(NAME);
        assertThat(look(now, 2).redactions()).isEmpty();
        assertThat(now.toLookAt()).isEmpty();
        assertThat(numbers(now)).containsExactly("TH-101", "TH-103", "TH-104", "TH-106", "TH-102", "TH-105");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            what was taken out stays out          | 1 3 4 5   | acdbe | 1 2 3 5
            where the page before is not there    | 2         | acdbe | 4
            a copy stays where it was put         | 1 2 3 4 2 | acdbe | 1 4 2 3 4
            to the front                          | 1 2 3     | cabde | 1 2 3
            not to a page that was not the first  | 2 3       | cabde | 3 1
            one behind the other                  | 1 2 3 4 5 | debac | 1 2 3 4 5
            """)
    void whereAPageStandsThatHasMoved(String what, String before, String after, String expected) {
        Document document = document("a", 5).withRuns(Arrays.stream(before.split(" ")).map(Integer::valueOf)
                .map(page -> (Run) new SourcePages(RunId.fresh(), A, page, page, PageLook.PLAIN)).toList());
        Bundle now = anew(bundle(document("a", 5)).withContents(bundle(document).contents()), "abcde", after);
        assertThat(pages(now.contents().documents().getFirst()).replace("a", "")).as(what).isEqualTo(expected);
    }

    @Test
    void issuedStaysIssuedWhateverIsUndone() {
        Bundle start = NumberEdits.with(Edits.addSources(bundle(document("a", 2), document("b", 1)), List.of(source("n", 2))),
                new Series(BATES, "TH-101", new MarkSetting(Spot.OPPOSITE, MarkLook.SERIES)));
        History history = new History(start);
        history.step(Edits.takeOut(history.present(), Set.of(new EntryId("b"))));
        history.undo();
        history.promise(CarryingTests::issued);
        history.redo();
        history.undo();
        history.step(Edits.moveDocuments(history.present(), Set.of(new EntryId("b")), new Place(Optional.empty(), 0)));
        assertThat(numbers(history.present())).containsExactly("TH-103", "TH-101", "TH-102");
        history.step(Replacing.replaced(history.present(), ENTRY, A, new SourceId("n"),
                PagePairs.find(2, 2, (i, j) -> PagePairsTests.alike("ab".charAt(i - 1), "xb".charAt(j - 1)))));
        history.step(Looking.numbered(history.present(), history.present().toLookAt().getFirst(), false));
        assertThat(numbers(history.present())).containsExactly("TH-103", "TH-104", "TH-102");
        history.promise(bundle -> NumberEdits.issued(bundle, Planner.plan(bundle).numbersOf(bundle, BATES)));
        while (history.canUndo()) history.undo();
        assertThat(numbers(history.present())).as("the old page has its old number").containsExactly("TH-101", "TH-102",
                "TH-103");
        history.step(Edits.insertDocuments(history.present(), List.of(Document.of(source("n", 2))),
                new Place(Optional.empty(), Integer.MAX_VALUE)));
        assertThat(numbers(history.present())).as("the new number stays used").containsExactly("TH-101", "TH-102",
                "TH-103", "TH-104", "TH-102");
    }

    @Test
    void aSeriesThatIsTakenOffLeavesItsNumbersUsed() {
        Bundle off = NumberEdits.without(issued(bundle(document("a", 2))), BATES);
        Bundle other = NumberEdits.with(off,
                new Series(new SeriesId("other"), "TH-100", new MarkSetting(Spot.OPPOSITE, MarkLook.SERIES)));
        assertThat(numbers(other)).containsExactly("TH-100", "TH-103");
    }

    @Test
    void aNumberThatWasTakenBackIsNoPagesAnyMoreAndNoPageGetsItAgain() {
        History history = new History(bundle(document("a", 3)));
        history.step(NumberEdits.with(history.present(),
                new Series(BATES, "TH-101", new MarkSetting(Spot.OPPOSITE, MarkLook.SERIES))));
        history.step(Edits.addSources(history.present(), List.of(source("n", 3))));
        history.promise(CarryingTests::issued);
        history.step(Replacing.replaced(history.present(), ENTRY, A, new SourceId("n"),
                PagePairs.find(3, 3, (i, j) -> PagePairsTests.alike("abc".charAt(i - 1), "abC".charAt(j - 1)))));
        List<GivenNumber> some = history.present().numbering().given().stream()
                .filter(given -> given.source().equals(A) && given.page() >= 2).toList();
        assertThat(history.present().toLookAt()).hasSize(1);
        history.promise(bundle -> NumberEdits.takenBack(bundle, some));
        assertThat(numbers(history.present())).containsExactly("TH-101", "TH-104", "TH-105");
        assertThat(history.present().toLookAt()).as("whether it keeps that number is no question any more").isEmpty();
        while (history.canUndo()) history.undo();
        history.redo();
        assertThat(numbers(history.present())).containsExactly("TH-101", "TH-104", "TH-105");
        assertThat(NumberEdits.issued(history.present(), some).numbering().given()).as("not issued by one who was late")
                .doesNotContainAnyElementsOf(some);
        assertThat(numbers(NumberEdits.takenBack(history.present(), history.present().numbering().given())))
                .as("a gap at the beginning").containsExactly("TH-104", "TH-105", "TH-106");
        while (history.canRedo()) history.redo();
        assertThat(history.present().toLookAt()).as("nor after going back and forward").isEmpty();
    }

    @Test
    void aBatchIsCutBeforeTheSamePagesAndKnowsWhatItHasMade() {
        Bundle tray = Edits.takeOut(bundle(document("a", 6), document("b", 1)), Set.of(ENTRY)).withSetAside(List.of());
        Source batch = tray.sourcesById().get(A);
        List<PageKey> keys = CutEdits.batchOf(tray, batch).keys();
        Bundle cut = CutEdits.change(tray, batch, its -> its.withRuns(List.of(new SourcePages(keys.getFirst().run(), A, 1, 6,
                PageLook.PLAIN))).withCut(keys.get(2), true).withCut(keys.get(4), true).withDrop(keys.get(3), true)
                .withName(keys.get(2), "Letter"));
        List<PageKey> own = cut.batches().getFirst().keys();
        cut = CutEdits.change(cut, batch, its -> its.withCut(own.get(2), true).withCut(own.get(4), true)
                .withDrop(own.get(3), true).withName(own.get(2), "Letter"));
        SourcePages piece = cut.batches().getFirst().runs().getFirst().part(1, 2);
        Document made = document("made", 1).withRuns(List.of(piece));
        Bundle with = cut.withBatches(List.of(cut.batches().getFirst().withMade(List.of(made)))).withSetAside(List.of(made));
        Bundle now = anew(with, "abcdef", "xabdef");
        List<PageKey> after = now.batches().getFirst().keys();
        assertThat(after).extracting(PageKey::page).containsExactly(1, 2, 3, 4, 5, 6);
        assertThat(now.batches().getFirst().cuts()).filteredOn(HandCut::there).extracting(HandCut::before)
                .contains(after.get(3), after.get(4));
        assertThat(now.batches().getFirst().drops()).extracting(drop -> drop.page()).contains(after.get(3));
        assertThat(now.batches().getFirst().names()).extracting(name -> name.first()).containsOnly(after.get(3));
        assertThat(CutEdits.unchanged(now, now.batches().getFirst())).as("the pieces are known again").hasSize(1);
        assertThat(pages(now.setAside().getFirst())).isEqualTo("a1 a2 a3");
    }

    @Test
    void whatWasSaidOfAFreePageIsSaidOfThePageThatFillsIt() {
        Bundle start = Edits.addSources(bundle(document("a", 1)), List.of(source("n", 2)));
        Document free = Placeholders.placeholder("free", 4);
        Bundle with = issued(Edits.insertDocuments(start, List.of(free), new Place(Optional.empty(), 0)));
        for (int page : new int[] {2, 3})
            with = NumberEdits.moved(with, key(with, page), BATES, Optional.of(Spot.STANDARD));
        Bundle filled = Placeholders.fill(with, free.id(), "n", Placeholders.Rest.STAYS);
        assertThat(pages(filled.contents().documents().getFirst())).isEqualTo("n1 n2 free free");
        assertThat(filled.numbering().moves()).extracting(MarkMove::page).containsExactly(key(filled, 2), key(filled, 3));
    }

    @Test
    void ofPagesThatAreReplacedOneByOneSomebodyLooksWhetherWhatWasHiddenIs() {
        Bundle start = Edits.addSources(issued(bundle(document("a", 4))), List.of(source("n", 2)));
        Bundle hidden = PageEdits.looked(start, Set.of(key(start, 2)), look -> look.withRedactions(List.of(NAME)));
        hidden = NumberEdits.moved(hidden, key(hidden, 3), BATES, Optional.of(Spot.STANDARD));
        Bundle now = PageEdits.replaced(hidden, Set.of(key(hidden, 2), key(hidden, 3), key(hidden, 4)),
                List.of(SourcePages.of(new SourceId("n"), 1, 2)));
        assertThat(pages(now.contents().documents().getFirst())).isEqualTo("a1 n1 n2");
        assertThat(now.numbering().moves()).extracting(MarkMove::page).containsExactly(key(now, 3));
        assertThat(now.toLookAt()).extracting(LookAgain::was, LookAgain::page, LookAgain::hidden, LookAgain::numbered)
                .containsExactly(tuple(2, Optional.of(key(now, 2)), true, true),
                        tuple(3, Optional.of(key(now, 3)), false, true));
        assertThat(numbers(Looking.numbered(now, now.toLookAt().getLast(), true))).containsExactly("TH-101", "TH-105", "TH-103");
    }
}
