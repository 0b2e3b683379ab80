package app.yellowtab.edit;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static app.yellowtab.testing.Bundles.ids;
import static app.yellowtab.testing.Bundles.order;
import static app.yellowtab.testing.Bundles.pages;
import static app.yellowtab.testing.Bundles.section;
import static app.yellowtab.testing.Bundles.source;
import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.edit.Placeholders.Rest;
import app.yellowtab.leaf.Content;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.InTray;
import app.yellowtab.model.entry.DateReader;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.PageRanges;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.RunId;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is done with whole documents: some of their pages, free ones, two made of one and one of two. */
class EntriesTests {
    private static final EntryId NEW = new EntryId("new");
    private final Bundle start = Edits.addSources(
            bundle(section("A", document("a", 12), document("b", 2), document("c", 3)), section("B", document("d", 1))),
            List.of(source("late", 12), source("short", 9), source("long", 14)));

    private static EntryId id(String name) {
        return new EntryId(name);
    }

    private static Bundle pick(Bundle bundle, String name, String typed) {
        return PagePick.pick(bundle, id(name), PageRanges.read(typed, 12).ranges());
    }

    private static Document in(Bundle bundle, String name) {
        return bundle.contents().allDocuments().stream().filter(document -> document.id().value().equals(name)).findFirst()
                .orElseThrow();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            1, 3-5, 8-  | a1 a3 a4 a5 a8 a9 a10 a11 a12 | 1, 3-5, 8-12
            5, 1-2      | a5 a1 a2                      | 5, 1-2
            1-3, 3-4    | a1 a2 a3 a3 a4                | 1-3, 3-4
            2           | a2                            | 2
            """)
    void onlySomePagesAsTheyAreTyped(String typed, String expected, String again) {
        Bundle some = pick(start, "a", typed);
        assertThat(pages(in(some, "a"))).isEqualTo(expected);
        assertThat(PagePick.typed(in(some, "a"))).isEqualTo(again);
        assertThat(pages(in(pick(some, "a", "1-12"), "a"))).isEqualTo(pages(in(start, "a")));
    }

    @Test
    void pagesKeepTheirNamesAndLooksAndACopyHasAnother() {
        PageLook turned = PageLook.PLAIN.withTurns(1);
        RunId run = in(start, "a").runs().getFirst().id();
        Bundle looked = Edits.changeDocument(start, id("a"),
                a -> a.withRuns(List.of(new SourcePages(run, new SourceId("a"), 1, 4, turned),
                        new SourcePages(run, new SourceId("a"), 6, 7, PageLook.PLAIN))));
        Document some = in(pick(looked, "a", "3-6, 3"), "a");
        assertThat(some.runs()).extracting(r -> ((SourcePages) r).look().turns()).containsExactly(1, 0, 1);
        assertThat(some.runs().subList(0, 2)).extracting(Run::id).containsOnly(run);
        assertThat(some.runs().getLast().id()).isNotEqualTo(run);
    }

    @Test
    void bothHalvesOfADividedSheetAreOnePage() {
        RunId run = in(start, "a").runs().getFirst().id();
        SourcePages left =
                new SourcePages(run, new SourceId("a"), 2, 2, PageLook.PLAIN.withCrop(Optional.of(new Area(0, 0, 100, 200))));
        SourcePages right = left.copy().withLook(PageLook.PLAIN.withCrop(Optional.of(new Area(100, 0, 100, 200))));
        Bundle divided = Edits.changeDocument(start, id("a"), a -> a.withRuns(
                List.of(left.withLook(PageLook.PLAIN).part(1, 1), left, right, left.withLook(PageLook.PLAIN).part(3, 3))));
        assertThat(PagePick.typed(in(divided, "a"))).isEqualTo("1-3");
        assertThat(in(pick(divided, "a", "2-3"), "a").runs()).startsWith(left, right);
    }

    @Test
    void anotherEntryTakesTheRest() {
        Bundle some = pick(start, "a", "1, 3-5, 8-");
        assertThat(PagePick.rest(some, in(some, "a")).shown()).isEqualTo("2, 6-7");
        Bundle both = PagePick.takeRest(some, id("a"), NEW);
        assertThat(order(both)).isEqualTo("A(a a b c) B(d)");
        assertThat(pages(in(both, "new"))).isEqualTo("a2 a6 a7");
        assertThat(PagePick.takeRest(both, id("a"), id("more"))).isSameAs(both);
    }

    @Test
    void aPlaceholderIsFilledInItsPlaceAndNothingElseMoves() {
        Document free = Placeholders.placeholder("Report of Dr Hale", 12);
        Bundle waiting = Edits.insertDocuments(start, List.of(free), new Place(Optional.of(id("A")), 1));
        Bundle filled = Placeholders.fill(waiting, free.id(), "late", Rest.STAYS);
        Document report = in(filled, free.id().value());
        assertThat(report.title()).isEqualTo("Report of Dr Hale");
        assertThat(report.isPlaceholder()).isFalse();
        assertThat(report.pageCount()).isEqualTo(12);
        assertThat(filled.tray()).extracting(InTray::id).containsExactly("short", "long");
        assertThat(Placeholders.fill(filled, free.id(), "short", Rest.STAYS)).isSameAs(filled);
        assertThat(Placeholders.fill(waiting, free.id(), "gone", Rest.STAYS)).isSameAs(waiting);
    }

    @Test
    void whatIsShorterKeepsThePlaceOrGivesItUpAndWhatIsLongerTakesMore() {
        Document free = Placeholders.placeholder("Report", 12).withDate(DateReader.read("3 May 2031", false).orElseThrow());
        Bundle waiting = Edits.insertDocuments(start, List.of(free), new Place(Optional.of(id("A")), 1));
        Document kept = in(Placeholders.fill(waiting, free.id(), "short", Rest.STAYS), free.id().value());
        assertThat(kept.pageCount()).isEqualTo(12);
        assertThat(Placeholders.reserved(kept)).isEqualTo(3);
        assertThat(kept.date().shown()).isEqualTo("3 May 2031");
        assertThat(in(Placeholders.fill(waiting, free.id(), "short", Rest.GOES), free.id().value()).pageCount()).isEqualTo(9);
        assertThat(in(Placeholders.fill(waiting, free.id(), "long", Rest.STAYS), free.id().value()).pageCount()).isEqualTo(14);
        Bundle aside = Edits.takeOut(waiting, Set.of(id("b")));
        Bundle withAside = Placeholders.fill(aside, free.id(), "b", Rest.GOES);
        assertThat(pages(in(withAside, free.id().value()))).isEqualTo("b1 b2");
        assertThat(withAside.setAside()).isEmpty();
        assertThat(Placeholders.reserved(in(Placeholders.reserve(waiting, free.id(), 5), free.id().value()))).isEqualTo(5);
        assertThat(Placeholders.reserved(in(Placeholders.reserve(waiting, free.id(), 0), free.id().value()))).isEqualTo(1);
    }

    @Test
    void aDocumentIsDividedAndItsPartsAreJoinedAgain() {
        Bundle divided = Entries.divide(start, id("a"), 5, NEW, "a, second part");
        assertThat(order(divided)).isEqualTo("A(a a, second part b c) B(d)");
        assertThat(pages(in(divided, "a"))).isEqualTo("a1 a2 a3 a4 a5");
        assertThat(Entries.divide(start, id("a"), 12, NEW, "x")).isSameAs(start);
        assertThat(Entries.join(divided, ids("a, new"))).isEqualTo(start);
        Document mixed = Placeholders.placeholder("m", 4);
        Bundle parts = Entries.divide(Edits.insertDocuments(start, List.of(mixed), new Place(Optional.empty(), 0)), mixed.id(), 1,
                NEW, "m2");
        assertThat(parts.contents().documents()).extracting(Document::pageCount).containsExactly(1, 3);
        assertThat(parts.contents().documents().getFirst().runs().getFirst().id())
                .isNotEqualTo(in(parts, "new").runs().getFirst().id());
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            a, b    | A(a c) B(d)
            b, c    | A(a b) B(d)
            a, b, c | A(a) B(d)
            a, c    | A(a b c) B(d)
            c, d    | A(a b c) B(d)
            A, a    | A(a b c) B(d)
            """)
    void onlyNeighboursAreJoined(String chosen, String expected) {
        assertThat(order(Entries.join(start, ids(chosen)))).isEqualTo(expected);
    }

    @Test
    void whatBelongsToAJoinedDocumentBelongsToTheWhole() {
        Bundle tied = Entries.tie(start, ids("c"), id("b"));
        assertThat(in(Entries.join(tied, ids("a, b")), "c").belongsTo()).contains(id("a"));
    }

    @Test
    void nothingEverBelongsToItself() {
        Bundle tied = Entries.tie(start, ids("a"), id("b"));
        assertThat(in(Entries.join(tied, ids("a, b")), "a").belongsTo()).as("joined with what it belonged to").isEmpty();
        assertThat(Entries.tie(tied, ids("b"), id("a"))).as("round in a ring").isSameAs(tied);
    }

    @Test
    void copiesHaveTheSamePagesUnderNamesOfTheirOwnAndBringWhatBelongsToThem() {
        Bundle tied = Entries.tie(start, ids("b, c"), id("a"));
        Entries.Copied copied = Entries.copy(tied, ids("a"), new Place(Optional.of(id("B")), Integer.MAX_VALUE));
        assertThat(order(copied.bundle())).isEqualTo("A(a b c) B(d a b c)");
        List<Document> copies = copied.bundle().contents().allDocuments().stream()
                .filter(document -> copied.made().contains(document.id())).toList();
        assertThat(copies).hasSize(3);
        assertThat(copies.get(1).belongsTo()).contains(copies.getFirst().id());
        assertThat(pages(copies.getFirst())).isEqualTo(pages(in(start, "a")));
        assertThat(copies.getFirst().runs().getFirst().id()).isNotEqualTo(in(start, "a").runs().getFirst().id());
    }

    @Test
    void documentsAndSectionsGoToASectionByItsName() {
        Bundle tied = Entries.tie(start, ids("c"), id("a"));
        assertThat(order(Entries.moveTo(tied, ids("a"), Optional.of(id("B"))))).isEqualTo("A(b) B(d a c)");
        assertThat(order(Entries.moveTo(start, ids("A"), Optional.of(id("B"))))).isEqualTo("B(d A(a b c))");
        assertThat(order(Entries.moveTo(start, ids("d"), Optional.empty()))).isEqualTo("d A(a b c) B()");
    }

    @Test
    void anExhibitHasAFrontSheetWithTheMarkThatItsStatementSuggests() {
        Bundle statement = Edits.changeDocument(Entries.tie(start, ids("b, c"), id("a")), id("a"),
                a -> a.withTitle("First witness statement of Orla Fennick")
                        .withDate(DateReader.read("9 June 2031", false).orElseThrow()));
        assertThat(Entries.proposedMark(statement, in(statement, "c"))).isEqualTo("OF2");
        assertThat(Entries.proposedMark(statement, in(statement, "c").withTitle("Exhibit TH-7 readings"))).isEqualTo("TH-7");
        assertThat(Entries.proposedMark(statement, in(statement, "d"))).isEqualTo("1");
        Bundle marked = Entries.withFrontSheet(statement, id("c"), " OF2 ");
        Plan plan = Planner.plan(marked);
        Content.FrontSheet sheet = (Content.FrontSheet) plan.leaf(plan.entry(id("c")).orElseThrow().span().first()).content();
        assertThat(sheet.mark()).isEqualTo("OF2");
        assertThat(sheet.below()).containsExactly("c",
                "This is the exhibit marked OF2 that is referred to in: First witness statement of Orla Fennick, 9 Jun 2031");
        Bundle some = pick(marked, "c", "3, 1");
        assertThat(pages(in(some, "c"))).as("the sheet stays before them, and pages are counted as the file counts them")
                .isEqualTo("free c3 c1");
        assertThat(Entries.withFrontSheet(marked, id("c"), "")).isEqualTo(statement);
    }

    @Test
    void aDocumentIsTiedToTheOneAboveOrToWhatThatBelongsTo() {
        assertThat(Entries.ownerAbove(start, ids("b"))).contains(id("a"));
        assertThat(Entries.ownerAbove(start, ids("a"))).isEmpty();
        Bundle tied = Entries.tie(start, ids("b"), id("a"));
        assertThat(Entries.ownerAbove(tied, ids("c"))).contains(id("a"));
        assertThat(Entries.tie(tied, ids("a"), id("b"))).isSameAs(tied);
        assertThat(Entries.part(tied, ids("b"))).isEqualTo(start);
    }
}
