package app.yellowtab.cut;

import app.yellowtab.model.cut.Batch;
import app.yellowtab.model.cut.BatchOrder;
import app.yellowtab.model.page.PageLook;
import app.yellowtab.words.BatchPage;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * What the pictures of a batch's sheets propose, as far as it is not done yet. All pages are told by their place in the batch,
 * counted from 1.
 *
 * @param wrongWay the pages that stand the wrong way
 * @param perhaps  the pages that may stand the wrong way, where that is not sure
 * @param askew    the pages that lie askew
 * @param dark     the pages with dark edges
 * @param spreads  the sheets that hold two pages
 * @param blank    the blank sheets
 */
public record SheetsToMend(List<Integer> wrongWay, List<Integer> perhaps, List<Integer> askew, List<Integer> dark,
        List<Integer> spreads, List<Integer> blank) {
    /** So large a part of a batch must be blank backs before it is said that it was scanned on both sides. */
    private static final int BACKS_SHARE = 3;

    public SheetsToMend {
        wrongWay = List.copyOf(wrongWay);
        perhaps = List.copyOf(perhaps);
        askew = List.copyOf(askew);
        dark = List.copyOf(dark);
        spreads = List.copyOf(spreads);
        blank = List.copyOf(blank);
    }

    /**
     * {@return what is proposed for a batch as it is cut}
     *
     * @param pages in the batch's order, as they were read
     */
    public static SheetsToMend of(Batch batch, List<BatchPage> pages, Cutting cutting) {
        Set<Integer> dropped = new HashSet<>();
        cutting.dropped().forEach(one -> dropped.add(one.page()));
        List<PageLook> looks = BatchOrder.looks(batch);
        List<Integer> wrongWay = new ArrayList<>();
        List<Integer> perhaps = new ArrayList<>();
        List<Integer> askew = new ArrayList<>();
        List<Integer> dark = new ArrayList<>();
        List<Integer> spreads = new ArrayList<>();
        List<Integer> blank = new ArrayList<>();
        for (int place = 1; place <= pages.size(); place++) {
            BatchPage page = pages.get(place - 1);
            PageLook look = looks.get(place - 1);
            if (page.state().turns() != 0 && page.state().turns() != look.turns()) wrongWay.add(place);
            if (page.state().perhapsTurns() != 0 && look.turns() == 0) perhaps.add(place);
            if (page.state().slantDegrees() != 0 && look.straightenDegrees() == 0) askew.add(place);
            boolean goes = dropped.contains(place);
            // The edges of a blank sheet trouble nobody.
            if (!page.state().edges().areNone() && look.crop().isEmpty() && !page.isBlank() && !goes) dark.add(place);
            if (page.state().foldShare() > 0 && look.crop().filter(crop -> !SheetMending.isOfEdges(page, look)).isEmpty())
                spreads.add(place);
            if (page.isBlank() && !goes) blank.add(place);
        }
        return new SheetsToMend(wrongWay, perhaps, askew, dark, spreads, blank);
    }

    /**
     * {@return the sheets that are not blank for sure, with marks of up to so much on them, and that are not dropped}
     *
     * @param pages  in the batch's order
     * @param mostMm how long all marks are together, in millimetres
     */
    public static List<Integer> doubtful(List<BatchPage> pages, Cutting cutting, double mostMm) {
        Set<Integer> dropped = new HashSet<>();
        cutting.dropped().forEach(one -> dropped.add(one.page()));
        List<Integer> doubtful = new ArrayList<>();
        for (int place = 1; place <= pages.size(); place++) {
            BatchPage page = pages.get(place - 1);
            if (!page.isBlank() && page.state().markMm() <= mostMm && !dropped.contains(place)) doubtful.add(place);
        }
        return doubtful;
    }

    /**
     * {@return whether the blank sheets are the backs of a batch that was scanned on both sides}
     *
     * @param pageCount of the batch
     */
    public boolean areBacks(int pageCount) {
        return blank.size() > 1 && blank.stream().allMatch(page -> page % 2 == 0) && blank.size() * BACKS_SHARE >= pageCount;
    }
}
