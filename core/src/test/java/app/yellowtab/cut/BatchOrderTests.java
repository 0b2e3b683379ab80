package app.yellowtab.cut;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.yellowtab.edit.Edits;
import app.yellowtab.edit.Place;
import app.yellowtab.edit.cut.CutEdits;
import app.yellowtab.facts.PageText;
import app.yellowtab.facts.PageText.Word;
import app.yellowtab.facts.RecognisedPage;
import app.yellowtab.facts.SheetState;
import app.yellowtab.facts.SheetState.DarkEdges;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Comments;
import app.yellowtab.model.contents.Document;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.cut.BatchOrder;
import app.yellowtab.model.cut.CutRules;
import app.yellowtab.model.page.Area;
import app.yellowtab.model.page.LookedPage;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.run.PageKey;
import app.yellowtab.model.source.BookmarkLook;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceBookmark;
import app.yellowtab.plan.Planner;
import app.yellowtab.sample.paper.RehearsalSheets;
import app.yellowtab.sets.PiecePlanner;
import app.yellowtab.testing.Bundles;
import app.yellowtab.words.BatchPage;
import app.yellowtab.words.SeenPages;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** Pages of batches in another order, sheets divided, and what is seen of pages then. */
class BatchOrderTests {
    private static final double PT_A_MM = 72 / 25.4;

    private static List<Integer> order(Batch batch) {
        return BatchOrder.singles(batch).stream().map(page -> page.first()).toList();
    }

    @Test
    void aReversedBatchBeginsWithItsLastPageAndKeepsWhatTheHandDid() {
        Batch batch = Batch.of(Bundles.source("post", 5));
        PageKey third = batch.keys().get(2);
        Batch reversed = BatchOrder.reversed(batch.withCut(third, true));
        assertThat(order(reversed)).containsExactly(5, 4, 3, 2, 1);
        assertThat(Pieces.byHand(reversed).cuts()).containsExactly(Map.entry(3, true));
        assertThat(BatchOrder.reversed(reversed).runs()).isEqualTo(batch.runs());
    }

    @Test
    void frontsAndBacksOfTwoRunsAreSetTogether() {
        Batch six = Batch.of(Bundles.source("post", 6));
        assertThat(order(BatchOrder.interleaved(six, false))).containsExactly(1, 4, 2, 5, 3, 6);
        assertThat(order(BatchOrder.interleaved(six, true))).containsExactly(1, 6, 2, 5, 3, 4);
        Batch five = Batch.of(Bundles.source("post", 5));
        assertThat(order(BatchOrder.interleaved(five, false))).as("the last back is missing").containsExactly(1, 4, 2, 5, 3);
        assertThat(order(BatchOrder.interleaved(five, true))).containsExactly(1, 5, 2, 4, 3);
    }

    @Property
    void whatWasScannedInTwoRunsIsAgainAsItWas(@ForAll @IntRange(min = 2, max = 41) int sides, @ForAll boolean turnsOver) {
        List<Integer> delivered = RehearsalSheets.inTwoRuns(IntStream.rangeClosed(1, sides).boxed().toList(), turnsOver);
        Batch mended = BatchOrder.interleaved(Batch.of(Bundles.source("post", sides)), turnsOver);
        assertThat(order(mended).stream().map(page -> delivered.get(page - 1))).isSorted().hasSize(sides);
        assertThat(new HashSet<>(mended.keys())).hasSize(sides);
        assertThat(BatchOrder.asCame(mended)).singleElement().satisfies(again -> assertThat(BatchOrder.isAsCame(again)).isTrue());
    }

    @Test
    void twoFilesBecomeOneBatchAndComeApartAgain() {
        Source fronts = Bundles.source("fronts", 3);
        Source backs = Bundles.source("backs", 2);
        Bundle bundle = Edits.addSources(Bundle.EMPTY, List.of(fronts, backs));
        Bundle cutBefore = CutEdits.change(bundle, backs, batch -> batch.withCut(batch.keys().get(1), true));
        PageKey cut = CutEdits.batchOf(cutBefore, backs).keys().get(1);
        Bundle joined = CutEdits.joined(cutBefore, fronts, backs, false);
        Batch batch = CutEdits.batchOf(joined, fronts);
        assertThat(CutEdits.batchOf(joined, backs)).isEqualTo(batch);
        assertThat(BatchOrder.singles(batch))
                .extracting(page -> page.source().equals(fronts.id()) ? "f" + page.first() : "b" + page.first())
                .containsExactly("f1", "b1", "f2", "b2", "f3");
        assertThat(Pieces.byHand(batch).cuts()).as("what was cut stays cut").containsKey(batch.places().get(cut));
        assertThat(CutEdits.isInOther(joined, backs)).isTrue();
        assertThat(CutEdits.isInOther(joined, fronts)).isFalse();
        Bundle apart = CutEdits.asCame(joined, fronts);
        assertThat(CutEdits.batchOf(apart, fronts).runs()).hasSize(1);
        assertThat(Pieces.byHand(CutEdits.batchOf(apart, backs)).cuts()).containsKey(2);
        assertThat(CutEdits.isInOther(apart, backs)).isFalse();
    }

    @Test
    void whatIsLeftOfAJoinedBatchStaysWhenOneOfItsFilesGoes() {
        Source fronts = Bundles.source("fronts", 3);
        Source backs = Bundles.source("backs", 3);
        Bundle joined = CutEdits.joined(Edits.addSources(Bundle.EMPTY, List.of(fronts, backs)), fronts, backs, false);
        Bundle left = Edits.removeSources(joined, Set.of(backs.id()));
        assertThat(left.batches()).singleElement().satisfies(batch -> assertThat(order(batch)).containsExactly(1, 2, 3));
        assertThat(Edits.removeSources(left, Set.of(fronts.id())).batches()).isEmpty();
    }

    @Test
    void bookmarksOfADividedSheetLeadToItsFirstHalf() {
        Source book = Bundles.source("book", 2);
        Source marked = new Source(book.id(), book.fileName(), book.storedName(), book.kind(), book.bytes(), book.sha256(),
                book.checksum(), 2, List.of(new SourceBookmark(1, "Chapter", 1, BookmarkLook.PLAIN)),
                book.proposedTitle(), book.proposedDate(), book.about(), book.conversion());
        List<BatchPage> read = List.of(sheet(420, 297, SheetState.SOUND.withFold(0.5)), sheet(420, 297, SheetState.SOUND));
        Batch divided = SheetMending.divided(Batch.of(marked), read, List.of(1));
        Document document = Document.of(marked).withRuns(List.copyOf(divided.runs()));
        assertThat(PiecePlanner.plan(document, Map.of(marked.id(), marked), Comments.KEPT, 3).bookmarks()).singleElement()
                .satisfies(mark -> assertThat(mark.target().leaf()).isZero());
        Bundle bundle = Edits.insertDocuments(Edits.addSources(Bundle.EMPTY, List.of(marked)), List.of(document),
                new Place(Optional.empty(), 0));
        assertThat(Planner.plan(bundle).bookmarks()).filteredOn(mark -> mark.title().equals("Chapter")).hasSize(1);
    }

    @Test
    void filesThatDoNotBelongTogetherAreRefusedInWords() {
        Batch fronts = Batch.of(Bundles.source("fronts", 12));
        Batch backs = Batch.of(Bundles.source("backs", 9));
        assertThatThrownBy(() -> BatchOrder.interleaved(fronts, backs, false)).isInstanceOf(IllegalArgumentException.class)
                .hasMessage("12 fronts and 9 backs: there must be as many, or one back less");
    }

    private static BatchPage sheet(double widthMm, double heightMm, SheetState state, Word... words) {
        PageText text = words.length == 0 ? PageText.NONE : new PageText(List.of(List.of(words)));
        List<Integer> sure = new ArrayList<>();
        for (int i = 0; i < words.length; i++) sure.add(90);
        return new BatchPage(PageText.NONE, false, widthMm, heightMm, List.of(new BatchPage.Bookmark(1, "a mark")))
                .withRecognised(new RecognisedPage(text, sure, "eng", "stand-in 1", state));
    }

    @Test
    void aSpreadBecomesTwoPagesEachWithItsWords() {
        Source source = Bundles.source("book", 2);
        Batch batch = Batch.of(source);
        BatchPage spread = sheet(420, 297, SheetState.SOUND.withFold(0.5), new Word("left", 30, 50, 20, 4),
                new Word("right", 250, 60, 20, 4));
        List<BatchPage> read = List.of(spread, sheet(210, 297, SheetState.SOUND, new Word("after", 30, 50, 20, 4)));
        assertThat(SheetsToMend.of(batch, read, Cutter.cut(read, CutRules.NONE, ByHand.NONE)).spreads()).containsExactly(1);
        Batch divided = SheetMending.divided(batch, read, List.of(1));
        assertThat(order(divided)).containsExactly(1, 1, 2);
        assertThat(new HashSet<>(divided.keys())).hasSize(3);
        List<BatchPage> inOrder = SeenPages.inOrder(divided, Map.of(source.id(), read));
        List<BatchPage> seen = SeenPages.seen(divided, inOrder);
        assertThat(seen).extracting(page -> page.text().text().strip()).containsExactly("left", "right", "after");
        assertThat(seen.get(1).widthMm()).isCloseTo(210, within(0.01));
        assertThat(seen.get(1).text().lines().getFirst().getFirst().leftMm()).isCloseTo(40, within(0.01f));
        assertThat(seen).extracting(page -> page.bookmarks().size()).as("what leads to the sheet leads to its first half")
                .containsExactly(1, 0, 1);
        assertThat(SheetsToMend.of(divided, inOrder, Cutter.cut(seen, CutRules.NONE, ByHand.NONE)).spreads()).as("done")
                .isEmpty();
        assertThat(BatchOrder.undivided(divided, Set.of(divided.keys().get(1))).runs()).isEqualTo(batch.runs());
    }

    @Test
    void aSheetIsDividedWhereTheHandSaysAlsoOnceItIsTurnedAndCropped() {
        Source source = Bundles.source("book", 1);
        List<BatchPage> read = List.of(sheet(297, 420, SheetState.SOUND));
        PageLook turned = PageLook.PLAIN.withTurns(1).withCrop(Optional.of(new Area(0, 20, 297, 400)));
        Batch batch = Batch.of(source);
        batch = batch.withLooks(Map.of(batch.keys().getFirst(), turned));
        List<BatchPage> seen = SeenPages.seen(SheetMending.divided(batch, read, List.of(1), 150),
                SeenPages.inOrder(SheetMending.divided(batch, read, List.of(1), 150), Map.of(source.id(), read)));
        assertThat(seen).extracting(BatchPage::widthMm).satisfiesExactly(first -> assertThat(first).isCloseTo(150, within(0.01)),
                second -> assertThat(second).isCloseTo(250, within(0.01)));
        assertThat(seen).extracting(BatchPage::heightMm).allSatisfy(height -> assertThat(height).isCloseTo(297, within(0.01)));
    }

    @Test
    void aHalfStaysAsLargeWhenItIsStraightenedAfterwards() {
        Source source = Bundles.source("book", 1);
        List<BatchPage> read = List.of(sheet(420, 297, SheetState.SOUND.withFold(0.5).withSlant(1.5)));
        Batch divided = SheetMending.divided(Batch.of(source), read, List.of(1));
        List<BatchPage> inOrder = SeenPages.inOrder(divided, Map.of(source.id(), read));
        Batch straight = SheetMending.straightened(divided, inOrder, List.of(1, 2));
        assertThat(SeenPages.seen(straight, inOrder)).allSatisfy(half -> {
            assertThat(half.widthMm()).isCloseTo(210, within(0.5));
            assertThat(half.heightMm()).isCloseTo(297, within(8.0));
        });
        assertThat(SheetsToMend.of(straight, inOrder, Cutter.cut(inOrder, CutRules.NONE, ByHand.NONE)).askew()).isEmpty();
    }

    @Test
    void darkEdgesGoAndNoWordWithThem() {
        Source source = Bundles.source("post", 1);
        Word atEdge = new Word("12", 204, 285, 6, 4);
        List<BatchPage> read = List.of(sheet(220, 307, SheetState.SOUND.withEdges(new DarkEdges(6, 5, 4, 5)).withSlant(-1.2),
                new Word("text", 30, 40, 30, 4), atEdge));
        Batch cropped = SheetMending.cropped(Batch.of(source), read, List.of(1));
        PageLook look = cropped.runs().getFirst().look();
        LookedPage looked = LookedPage.of(220 * PT_A_MM, 307 * PT_A_MM, look);
        assertThat(looked.widthPt() / PT_A_MM).isCloseTo(210, within(0.6));
        assertThat(looked.heightPt() / PT_A_MM).isCloseTo(297, within(0.6));
        Batch straight = SheetMending.straightened(cropped, read, List.of(1));
        List<BatchPage> seen = SeenPages.seen(straight, read);
        assertThat(seen.getFirst().widthMm()).as("the crop does not grow as the page is straightened").isCloseTo(210,
                within(5.0));
        assertThat(seen.getFirst().text().text()).isEqualTo("text 12\n");
        assertThat(SheetsToMend.of(straight, read, Cutter.cut(seen, CutRules.NONE, ByHand.NONE)).dark()).isEmpty();
    }

    @Test
    void wordsOfATurnedScanStandWhereTheyAreSeen() {
        BatchPage page = sheet(297, 210, SheetState.SOUND.withTurns(1), new Word("upright", 20, 30, 25, 5));
        BatchPage upright = SeenPages.seen(page, PageLook.PLAIN.withTurns(1));
        assertThat(upright.widthMm()).isCloseTo(210, within(0.001));
        assertThat(upright.text().lines().getFirst().getFirst()).satisfies(word -> {
            assertThat(word.leftMm()).isCloseTo(20, within(0.01f));
            assertThat(word.topMm()).isCloseTo(30, within(0.01f));
            assertThat(word.widthMm()).isCloseTo(25, within(0.01f));
        });
    }

    @Test
    void doubtfulSheetsAreThoseWithFewMarks() {
        List<BatchPage> read = List.of(sheet(210, 297, SheetState.SOUND), sheet(210, 297, SheetState.BLANK),
                sheet(210, 297, SheetState.SOUND.withMark(7.5)), sheet(210, 297, SheetState.SOUND.withMark(30)));
        Cutting cutting = Cutter.cut(read, CutRules.NONE, ByHand.NONE);
        assertThat(SheetsToMend.doubtful(read, cutting, 10)).containsExactly(3);
        assertThat(SheetsToMend.doubtful(read, cutting, 40)).containsExactly(3, 4);
        assertThat(SheetsToMend.doubtful(read, cutting, 0)).isEmpty();
    }
}
