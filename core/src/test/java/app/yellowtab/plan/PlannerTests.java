package app.yellowtab.plan;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static app.yellowtab.testing.Bundles.section;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.yellowtab.edit.Edits;
import app.yellowtab.finding.Subject;
import app.yellowtab.index.IndexLook;
import app.yellowtab.index.IndexRow;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.PlannedBookmark;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.Layout;
import app.yellowtab.model.Separators;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.source.BookmarkLook;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceBookmark;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class PlannerTests {
    private final Bundle start = bundle(document("x", 2), section("First", document("a", 1), section("Inner", document("b", 3))),
            section("Empty"), section("Last", document("c", 1), document("d", 1)));

    private static List<String> leaves(Plan plan) {
        return plan.leaves().stream().map(leaf -> leaf.label() + " " + switch (leaf.content()) {
            case Content.Cover c -> "cover";
            case Content.IndexSheet i -> "index " + i.sheet();
            case Content.SectionTitle s -> s.label() + " " + s.title();
            case Content.Withheld w -> "withheld " + w.page();
            case Content.TabSheet t -> "tab " + t.label();
            case Content.Blank b -> "blank";
            case Content.Divider d -> "divider " + d.tab() + " " + d.title();
            case Content.Slip s -> "slip " + s.lines().getFirst();
            case Content.FrontSheet f -> "exhibit " + f.mark();
            case Content.FileSheet f -> "file " + f.title();
            case Content.SourcePage s -> s.source().value() + s.page();
        }).toList();
    }

    private static List<String> rows(Plan plan) {
        return plan.indexSheets().stream().flatMap(List::stream).map(row -> switch (row.entry()) {
            case PlannedEntry.PlannedSection s -> s.label() + " " + s.title() + " " + s.span().from() + "-" + s.span().to();
            case PlannedEntry.PlannedDocument d -> d.tab() + " " + d.title() + " " + d.span().from();
        }).toList();
    }

    private static SourceBookmark bookmark(int level, String title, int page) {
        return new SourceBookmark(level, title, page, BookmarkLook.PLAIN);
    }

    @Test
    void everyLeafInPrintOrder() {
        assertThat(leaves(Planner.plan(start))).containsExactly("1 cover", "2 index 0", "3 x1", "4 x2", "5 A First", "6 a1",
                "7 A.1 Inner", "8 b1", "9 b2", "10 b3", "11 B Empty", "12 C Last", "13 c1", "14 d1");
    }

    @Test
    void theIndexSaysWhereEverythingIs() {
        assertThat(rows(Planner.plan(start))).containsExactly("1 x 3", "A First 5-10", "2 a 6", "A.1 Inner 7-10", "3 b 8",
                "B Empty 11-11", "C Last 12-14", "4 c 13", "5 d 14");
    }

    @Test
    void whatIsFoundLeadsToItsPage() {
        Plan plan = Planner.plan(start);
        Path file = Path.of("x.pdf");
        assertThat(plan.leafOf(Subject.OfSource.of("b", file, 2))).map(Leaf::label).contains("9");
        assertThat(plan.leafOf(Subject.OfSource.of("b", file, 0))).as("the whole source").map(Leaf::label).contains("8");
        assertThat(plan.leafOf(new Subject.OfEntry("d", "d"))).map(Leaf::label).contains("14");
        assertThat(plan.leafOf(Subject.OfProduced.of(file, 5))).map(Leaf::label).contains("5");
        assertThat(List.of(Subject.OfProduced.of(file, 0), Subject.OfProduced.of(file, 15), Subject.OfSource.of("z", file, 1),
                new Subject.OfThing("heading"))).allSatisfy(
                        nowhere -> assertThat(plan.leafOf(nowhere)).isEmpty());
    }

    @Test
    void bookmarksFollowTheSections() {
        assertThat(Planner.plan(start).bookmarks()).extracting(b -> b.level() + " " + b.title() + " " + (b.target().leaf() + 1))
                .containsExactly("1 Index 2", "1 1. x 3", "1 A. First 5", "2 2. a 6", "2 A.1. Inner 7", "3 3. b 8",
                        "1 B. Empty 11", "1 C. Last 12", "2 4. c 13", "2 5. d 14");
    }

    @Test
    void aSourcesOwnBookmarksStandBelowItsDocument() {
        Source marked = new Source(start.sources().get(2).id(), "b.pdf", "b.pdf", start.sources().get(2).kind(), 1, "", "", 3,
                List.of(bookmark(1, "One", 1), bookmark(4, "Deep", 2), bookmark(2, "Two", 3)), "b",
                start.sources().get(2).proposedDate(), start.sources().get(2).about(), Optional.empty());
        List<Source> sources =
                List.of(start.sources().get(0), start.sources().get(1), marked, start.sources().get(3), start.sources().get(4));
        assertThat(Planner.plan(start.withSources(sources)).bookmarks())
                .extracting(b -> b.level() + " " + b.title() + " " + (b.target().leaf() + 1))
                .containsSequence("3 3. b 8", "4 One 8", "5 Deep 9", "5 Two 10", "1 B. Empty 11");
    }

    @Test
    void blankSeparatorsStandBetweenDocumentsOnly() {
        Bundle separated = start.withLayout(new Layout(false, Separators.BLANK));
        assertThat(leaves(Planner.plan(separated))).endsWith("11 C Last", "12 c1", "13 blank", "14 d1").startsWith("1 index 0",
                "2 x1");
        assertThat(rows(Planner.plan(separated))).endsWith("4 c 12", "5 d 14");
    }

    @Test
    void titledSeparatorsNameEveryDocument() {
        Bundle separated = start.withLayout(new Layout(false, Separators.TITLED));
        assertThat(leaves(Planner.plan(separated))).startsWith("1 index 0", "2 divider 1 x", "3 x1").endsWith("17 divider 5 d",
                "18 d1");
    }

    @Test
    void anUnlistedDocumentHasPagesButNoRowAndNoTab() {
        Bundle hidden = Edits.changeDocument(start, new EntryId("a"), document -> document.withInIndex(false));
        assertThat(rows(Planner.plan(hidden))).contains("2 b 8").noneMatch(row -> row.contains(" a "));
        assertThat(leaves(Planner.plan(hidden))).contains("6 a1");
        assertThat(Planner.plan(hidden).bookmarks()).extracting(PlannedBookmark::title).contains("a");
    }

    @Test
    void aLongIndexMovesEveryNumber() {
        Object[] many = new Object[120];
        for (int i = 0; i < many.length; i++) many[i] = document("d" + i, 1);
        Plan plan = Planner.plan(bundle(many));
        int sheets = plan.indexSheets().size();
        assertThat(sheets).isGreaterThan(2);
        assertThat(rows(plan)).startsWith("1 d0 " + (2 + sheets)).endsWith("120 d119 " + (121 + sheets));
    }

    @Test
    void aSectionRowNeverStandsLastOnAnIndexPage() {
        for (int before = 20; before < 50; before++) {
            Object[] entries = new Object[before + 1];
            for (int i = 0; i < before; i++) entries[i] = document("d" + i, 1);
            entries[before] = section("S", document("z", 1));
            for (List<IndexRow> sheet : Planner.plan(bundle(entries)).indexSheets()) {
                assertThat(sheet.getLast().entry()).isInstanceOf(PlannedEntry.PlannedDocument.class);
            }
        }
    }

    @Test
    void longTitlesAreBrokenIntoLinesThatFit() {
        Bundle wordy = bundle(
                section("S", document("Letter of the claimant's insurers about the survey of the plant and its findings", 1)));
        IndexRow row = Planner.plan(wordy).indexSheets().getFirst().getLast();
        assertThat(row.titleLines()).hasSizeGreaterThan(1)
                .allSatisfy(line -> assertThat(IndexLook.FACE.width(line, IndexLook.SIZE_PT))
                        .isLessThanOrEqualTo(IndexLook.titleWidth(1, false, false)));
    }

    @Test
    void lettersGoOnAfterZ() {
        assertThat(List.of(0, 25, 26, 27, 51, 52, 701, 702)).extracting(Planner::letter)
                .containsExactly("A", "Z", "AA", "AB", "AZ", "BA", "ZZ", "AAA");
    }

    @Test
    void anEmptyBundleHasACoverAndAnIndex() {
        assertThat(leaves(Planner.plan(Bundle.EMPTY))).containsExactly("1 cover", "2 index 0");
    }

    @Test
    void headingLinesRepeatTheCase() {
        Plan plan = Planner.plan(Bundle.EMPTY.withHeading(CaseHeading.EMPTY.withTitle("Trial bundle")));
        assertThat(plan.headingLines()).containsExactly("Trial bundle · Index");
        assertThat(Planner.plan(Bundle.EMPTY).headingLines()).containsExactly("Index");
    }

    @Test
    void aDocumentWithoutItsSourceIsRefused() {
        assertThatThrownBy(() -> Planner.plan(start.withSources(List.of()))).hasMessage("no such source in the bundle: x");
    }
}
