package app.yellowtab.cut;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import app.yellowtab.facts.PageText;
import app.yellowtab.facts.RecognisedPage;
import app.yellowtab.facts.SheetState;
import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.cut.CutRules;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.testing.Bundles;
import app.yellowtab.words.BatchPage;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Six sheets: the backs are blank, the second front is upside down, the third lies askew. */
class SheetsToMendTests {
    private final Batch batch = Batch.of(Bundles.source("post", 6));
    private final List<BatchPage> pages =
            pages(SheetState.SOUND, blank(), SheetState.SOUND.withTurns(2), blank(), SheetState.SOUND.withSlant(-0.8), blank());

    private static SheetState blank() {
        return SheetState.BLANK;
    }

    private static SheetsToMend mend(List<Integer> wrongWay, List<Integer> askew, List<Integer> blank) {
        return new SheetsToMend(wrongWay, List.of(), askew, List.of(), List.of(), blank);
    }

    private static List<BatchPage> pages(SheetState... states) {
        List<BatchPage> pages = new ArrayList<>();
        for (SheetState state : states) pages.add(new BatchPage(PageText.NONE, false, 210, 297, List.of())
                .withRecognised(new RecognisedPage(PageText.NONE, List.of(), "eng", "stand-in 1", state)));
        return pages;
    }

    private SheetsToMend left(Batch now) {
        return SheetsToMend.of(now, pages, Cutter.cut(pages, CutRules.NONE, Pieces.byHand(now)));
    }

    @Test
    void eachIsProposedUntilItIsDone() {
        SheetsToMend all = left(batch);
        assertThat(all).isEqualTo(mend(List.of(3), List.of(5), List.of(2, 4, 6)));
        assertThat(all.areBacks(6)).isTrue();
        Batch turned = SheetMending.turned(batch, pages, all.wrongWay());
        assertThat(turned.runs()).extracting(run -> run.look().turns()).containsExactly(0, 2, 0);
        Batch straight = SheetMending.straightened(turned, pages, all.askew());
        assertThat(straight.runs()).extracting(SourcePages::first, run -> run.look().straightenDegrees())
                .contains(tuple(5, -0.8));
        Batch done = SheetMending.dropped(straight, List.of(2, 4));
        assertThat(left(done)).isEqualTo(mend(List.of(), List.of(), List.of(6)));
        assertThat(done.keys()).as("pages keep their names").isEqualTo(batch.keys());
        assertThat(left(done).areBacks(6)).as("a single one tells nothing").isFalse();
    }

    @Test
    void blankFrontsAreNoBacks() {
        assertThat(mend(List.of(), List.of(), List.of(1, 2)).areBacks(4)).isFalse();
        assertThat(mend(List.of(), List.of(), List.of(2, 4)).areBacks(60)).as("few among many").isFalse();
    }
}
