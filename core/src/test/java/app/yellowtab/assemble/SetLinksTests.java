package app.yellowtab.assemble;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.edit.Edits;
import app.yellowtab.finding.Progress;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Layout;
import app.yellowtab.model.PaperSet.Beginning;
import app.yellowtab.model.Separators;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.run.BlankLook;
import app.yellowtab.model.run.BlankPages;
import app.yellowtab.model.run.ReservedPages;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.RunId;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.plan.Plan;
import app.yellowtab.plan.Planner;
import app.yellowtab.prove.Prover;
import app.yellowtab.sets.Excerpt;
import app.yellowtab.sets.Output;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import java.io.IOException;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotation;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationLink;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageXYZDestination;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Every link of every set is followed. Each page of "S", which has five, leads to all five, the first link uppermost; a blank
 * page and one kept free stand between its third and its fourth.
 */
class SetLinksTests extends OneSource {
    private static final int PAGES = 5;
    private Bundle bundle;

    @BeforeEach
    void make() throws IOException {
        Pdfs.write(matter, "S", PAGES, SetLinksTests::linkAll);
        Pdfs.write(matter, "T", 2);
        Bundle made = Folder.bundle(place, matter);
        Document s = made.contents().documents().getFirst();
        SourcePages whole = (SourcePages) s.runs().getFirst();
        BlankPages blank = new BlankPages(RunId.fresh(), 1, BlankLook.PLAIN, false, BlankPages.Sets.BOTH);
        BlankPages back = new BlankPages(RunId.fresh(), 1, BlankLook.PLAIN, false, BlankPages.Sets.PAPER);
        List<Run> runs = List.of(whole.part(1, 3), blank, back, new ReservedPages(RunId.fresh(), 1), whole.part(4, 5));
        bundle = Edits.changeDocument(made, s.id(), document -> document.withRuns(runs));
    }

    private static void linkAll(PDDocument document) {
        for (PDPage page : document.getPages()) {
            List<PDAnnotation> links = new ArrayList<>();
            for (int to = 0; to < PAGES; to++) {
                PDPageXYZDestination there = new PDPageXYZDestination();
                there.setPage(document.getPage(to));
                PDAnnotationLink link = new PDAnnotationLink();
                link.setRectangle(new PDRectangle(100, 500 - 30 * to, 50, 20));
                link.setDestination(there);
                links.add(link);
            }
            page.setAnnotations(links);
        }
    }

    private Bundle singleSided(Separators separators, Beginning begins, Beginning tabs, boolean isSingle) {
        Document s = bundle.contents().documents().getFirst();
        Layout layout = bundle.layout();
        return bundle.withLayout(layout.withSeparators(separators).withPaper(layout.paper().withBegins(begins).withTabs(tabs)
                .withSingleSided(isSingle ? List.of(s.id()) : List.of())));
    }

    private void assertLinksLeadHome(Plan plan, Output output) throws IOException {
        Assembler.standard().assemble(plan, output, place, target, Progress.NONE, () -> false);
        List<String> pages = Pdfs.pages(target);
        int followed = 0;
        for (int page = 1; page <= pages.size(); page++) {
            if (!pages.get(page - 1).startsWith("S-")) continue;
            List<Integer> targets = Pdfs.linkTargets(target, page);
            assertThat(targets.stream().map(to -> pages.get(to - 1).substring(0, 3))).as("links of place %s", page)
                    .containsExactly("S-1", "S-2", "S-3", "S-4", "S-5");
            followed += targets.size();
        }
        assertThat(followed).isEqualTo(PAGES * PAGES);
        assertThat(Prover.standard().prove(target, Progress.NONE, () -> false).orElseThrow().findings()).isEmpty();
    }

    @ParameterizedTest
    @EnumSource
    void everyLinkOfBothSetsLeadsToItsPage(Separators separators) throws IOException {
        for (boolean isSingle : new boolean[] {false, true}) {
            Bundle set = singleSided(separators, Beginning.DOCUMENTS, Beginning.DOCUMENTS, isSingle);
            Plan paper = Planner.paper(set, LocalDateTime.now());
            assertLinksLeadHome(paper, Output.paper(paper));
            List<Integer> rows = Pdfs.linkTargets(target, 2);
            assertThat(rows.stream().map(to -> pageAt(to).substring(0, 3))).as("rows of the index").containsExactly("S-1", "T-1");
            assertLinksLeadHome(paper, Output.screen(paper));
        }
    }

    private String pageAt(int place) {
        try {
            return Pdfs.pages(target).get(place - 1);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void linksOfPagesThatAreSavedAloneLeadToEachOther() throws IOException {
        Plan paper = Planner.paper(singleSided(Separators.NONE, Beginning.NOTHING, Beginning.NOTHING, true), LocalDateTime.now());
        List<Leaf> leaves = paper.leaves().stream().filter(leaf -> leaf.key().isPresent() && !leaf.onlyPaper()).toList();
        Plan alone = new Excerpt(paper, true).of(leaves, "Pages");
        assertLinksLeadHome(alone, Output.screen(alone));
    }

    @ParameterizedTest
    @EnumSource
    void documentsThatBeginOnTheRightDoSoBehindWhatSeparatesThem(Separators separators) {
        for (boolean isSingle : new boolean[] {false, true}) {
            Plan paper =
                    Planner.paper(singleSided(separators, Beginning.DOCUMENTS, Beginning.NOTHING, isSingle), LocalDateTime.now());
            assertThat(paper.entries()).allMatch(entry -> entry.span().first() % 2 == 0, "begins on a right-hand page");
        }
    }

    @ParameterizedTest
    @EnumSource
    void everyPageOfADocumentOnOneSideIsOnTheRight(Separators separators) {
        Plan paper = Planner.paper(singleSided(separators, Beginning.NOTHING, Beginning.NOTHING, true), LocalDateTime.now());
        int first = paper.entries().getFirst().span().first();
        assertThat(IntStream.rangeClosed(first, paper.entries().getFirst().span().last()).mapToObj(paper::leaf)
                .filter(leaf -> leaf.key().isPresent())).hasSize(PAGES + 3).allMatch(leaf -> leaf.index() % 2 == 0);
    }
}
