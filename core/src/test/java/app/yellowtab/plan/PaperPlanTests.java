package app.yellowtab.plan;

import static app.yellowtab.testing.Bundles.bundle;
import static app.yellowtab.testing.Bundles.document;
import static app.yellowtab.testing.Bundles.section;
import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.leaf.PlannedBookmark;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.PaperSet;
import app.yellowtab.model.PaperSet.Beginning;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.sets.Binder;
import app.yellowtab.sets.Output;
import java.time.LocalDateTime;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * Cover, index, a document of 2 pages, section A with documents of 3 and 1, section B with one of 2: on the screen twelve pages.
 */
class PaperPlanTests {
    private static final Bundle START =
            bundle(document("x", 2), section("A", document("a", 3), document("b", 1)), section("B", document("c", 2)));

    private static Bundle with(UnaryOperator<PaperSet> change) {
        return START.withLayout(START.layout().withPaper(change.apply(PaperSet.STANDARD)));
    }

    private static Plan paper(UnaryOperator<PaperSet> change) {
        return Planner.paper(with(change), LocalDateTime.of(2031, 3, 4, 9, 0));
    }

    /** {@return the numbers of the leaves as they lie on paper: "-" for a blank, "[A]" for a tab sheet} */
    private static String leaves(Plan plan) {
        return plan.leaves().stream().map(leaf -> leaf.content() instanceof Content.TabSheet tab ? "[" + tab.label() + "]"
                : leaf.onlyPaper() ? "-" : leaf.label()).collect(Collectors.joining(" "));
    }

    @Test
    void sectionsOrDocumentsBeginOnARightHandPage() {
        assertThat(leaves(paper(set -> set))).isEqualTo("1 2 3 4 5 6 7 8 9 10 11 12");
        assertThat(leaves(paper(set -> set.withBegins(Beginning.SECTIONS)))).isEqualTo("1 2 3 4 5 6 7 8 9 - 10 11 12");
        assertThat(leaves(paper(set -> set.withBegins(Beginning.DOCUMENTS)))).isEqualTo("1 2 3 4 5 - 6 7 8 - 9 - 10 - 11 12");
        assertThat(leaves(paper(set -> set.withBegins(Beginning.DOCUMENTS).withTwoSided(false))))
                .as("on one side every page is a right-hand page").isEqualTo("1 2 3 4 5 6 7 8 9 10 11 12");
    }

    @Test
    void theBacksOfSingleSidedDocumentsAreEmpty() {
        assertThat(leaves(paper(set -> set.withSingleSided(List.of(new EntryId("a"))))))
                .isEqualTo("1 2 3 4 5 - 6 - 7 - 8 - 9 10 11 12");
        assertThat(leaves(paper(set -> set.withSingleSided(List.of(new EntryId("B"))))))
                .isEqualTo("1 2 3 4 5 6 7 8 9 10 11 - 12 -");
    }

    @Test
    void tabSheetsAreSheetsOfTheirOwn() {
        assertThat(leaves(paper(set -> set.withTabs(Beginning.SECTIONS)))).isEqualTo("1 2 3 4 [A] - 5 6 7 8 9 - [B] - 10 11 12");
        assertThat(leaves(paper(set -> set.withTabs(Beginning.DOCUMENTS).withTwoSided(false))))
                .isEqualTo("1 2 [1] 3 4 [A] 5 [2] 6 7 8 [3] 9 [B] 10 [4] 11 12");
    }

    @Test
    void whatIsCountedIsTheSameInBothSetsAndMarksAreKeptOffTheRest() {
        Bundle bundle = with(set -> set.withBegins(Beginning.DOCUMENTS).withTabs(Beginning.DOCUMENTS)
                .withSingleSided(List.of(new EntryId("a"))));
        Plan screen = Planner.plan(bundle);
        Plan paper = Planner.paper(bundle, LocalDateTime.now());
        assertThat(Output.screen(paper).leaves().stream().map(leaf -> leaf.label() + leaf.content()).toList())
                .isEqualTo(screen.leaves().stream().map(leaf -> leaf.label() + leaf.content()).toList());
        assertThat(Output.paper(paper).size()).isEqualTo(paper.pageCount());
        for (Leaf leaf : paper.leaves()) if (leaf.onlyPaper()) assertThat(paper.marksOn(leaf)).isEmpty();
        assertThat(paper.entry(new EntryId("c")).orElseThrow().span().shown())
                .isEqualTo(screen.entry(new EntryId("c")).orElseThrow().span().shown());
        for (PlannedBookmark bookmark : paper.bookmarks()) assertThat(paper.leaf(bookmark.target().leaf()).onlyPaper()).isFalse();
    }

    @Test
    void bindersEndBeforeSectionsThenBeforeDocuments() {
        Plan plan = paper(set -> set.withBegins(Beginning.DOCUMENTS));    // 1 2 | 3 4 | 5 - | 6 7 | 8 - | 9 - | 10 - | 11 12
        Output output = Output.paper(plan);
        assertThat(Binder.of(plan, output, true, 0)).extracting(Binder::sheets).containsExactly(8);
        List<Binder> binders = Binder.of(plan, output, true, 3);
        assertThat(binders).extracting(Binder::sheets).allMatch(sheets -> sheets <= 3);
        assertThat(binders.getFirst().to()).as("before section A or a document").isIn("4", "5");
        assertThat(binders.getLast().sections()).contains("B");
        assertThat(binders.stream().mapToInt(Binder::sheets).sum()).isEqualTo(8);
        assertThat(binders.stream().mapToInt(binder -> binder.last() - binder.first() + 1).sum()).isEqualTo(output.size());
        for (Binder binder : binders) assertThat(binder.first() % 2).as("a binder begins with a sheet of its own").isEqualTo(1);
    }
}
