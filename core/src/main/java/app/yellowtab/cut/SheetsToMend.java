package app.yellowtab.cut;

import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.cut.HandDrop;
import app.yellowtab.model.page.PageKey;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.page.SourcePages;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiFunction;

/**
 * What the pictures of a batch's sheets propose, as far as it is not done yet. All pages are told by their place in the batch, counted
 * from 1.
 *
 * @param wrongWay the pages that stand the wrong way
 * @param askew    the pages that lie askew
 * @param blank    the blank sheets
 */
public record SheetsToMend(List<Integer> wrongWay, List<Integer> askew, List<Integer> blank) {
    /** So large a part of a batch must be blank backs before it is said that it was scanned on both sides. */
    private static final int BACKS_SHARE = 3;

    public SheetsToMend {
        wrongWay = List.copyOf(wrongWay);
        askew = List.copyOf(askew);
        blank = List.copyOf(blank);
    }

    /** {@return what is proposed for a batch as it is cut} */
    public static SheetsToMend of(Batch batch, List<BatchPage> pages, Cutting cutting) {
        Set<Integer> dropped = new HashSet<>();
        cutting.dropped().forEach(one -> dropped.add(one.page()));
        List<PageLook> looks = looks(batch);
        List<Integer> wrongWay = new ArrayList<>();
        List<Integer> askew = new ArrayList<>();
        List<Integer> blank = new ArrayList<>();
        for (int place = 1; place <= pages.size(); place++) {
            BatchPage page = pages.get(place - 1);
            PageLook look = looks.get(place - 1);
            if (page.state().turns() != 0 && page.state().turns() != look.turns()) wrongWay.add(place);
            if (page.state().slantDegrees() != 0 && look.straightenDegrees() == 0) askew.add(place);
            if (page.isBlank() && !dropped.contains(place)) blank.add(place);
        }
        return new SheetsToMend(wrongWay, askew, blank);
    }

    private static List<PageLook> looks(Batch batch) {
        List<PageLook> looks = new ArrayList<>();
        for (SourcePages run : batch.runs()) for (int n = 1; n <= run.pageCount(); n++) looks.add(run.look());
        return looks;
    }

    /**
     * {@return whether the blank sheets are the backs of a batch that was scanned on both sides}
     *
     * @param pageCount of the batch
     */
    public boolean areBacks(int pageCount) {
        return blank.size() > 1 && blank.stream().allMatch(page -> page % 2 == 0) && blank.size() * BACKS_SHARE >= pageCount;
    }

    /** {@return a batch with some of its pages turned upright, as their words say} */
    public static Batch turned(Batch batch, List<BatchPage> pages, List<Integer> places) {
        return looked(batch, pages, places, (page, look) -> look.withTurns(page.state().turns()));
    }

    /** {@return a batch with some of its pages straightened, as their lines say} */
    public static Batch straightened(Batch batch, List<BatchPage> pages, List<Integer> places) {
        return looked(batch, pages, places, (page, look) -> look.withStraightening(page.state().slantDegrees()));
    }

    private static Batch looked(Batch batch, List<BatchPage> pages, List<Integer> places, BiFunction<BatchPage, PageLook, PageLook> change) {
        List<PageKey> keys = batch.keys();
        List<PageLook> before = looks(batch);
        Map<PageKey, PageLook> looks = new HashMap<>();
        for (int place : places) looks.put(keys.get(place - 1), change.apply(pages.get(place - 1), before.get(place - 1)));
        return batch.withLooks(looks);
    }

    /** {@return a batch with some of its pages dropped by hand} */
    public static Batch dropped(Batch batch, List<Integer> places) {
        List<PageKey> keys = batch.keys();
        List<HandDrop> drops = new ArrayList<>();
        for (int place : places) drops.add(new HandDrop(keys.get(place - 1), true));
        return batch.withDrops(drops);
    }
}
