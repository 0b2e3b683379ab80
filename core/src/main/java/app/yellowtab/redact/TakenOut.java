package app.yellowtab.redact;

import app.yellowtab.facts.PageText;
import app.yellowtab.facts.PageText.Word;
import app.yellowtab.facts.RecognisedPage;
import app.yellowtab.facts.SheetState;
import app.yellowtab.model.page.Area;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;

/** Which words of a page areas take out, and which areas take words out. A word that is touched goes whole. */
public final class TakenOut {
    /** Letters reach above the box of a word and below it, by so much of its height. */
    private static final double REACH = 0.3;
    /** What stands as near as this is touched, in millimetres. */
    private static final double NEAR_MM = 0.3;

    private TakenOut() {}

    /**
     * {@return the words of a page that no area touches}
     *
     * @param looseMm by how much words may stand beside what they are the words of
     */
    static RecognisedPage wordsLeft(RecognisedPage page, List<Area> areas, double wideMm, double highMm, double looseMm) {
        List<List<Word>> lines = new ArrayList<>();
        List<Integer> certainties = new ArrayList<>();
        int at = 0;
        for (List<Word> line : page.text().lines()) {
            List<Word> its = new ArrayList<>();
            for (Word word : line) {
                int certainty = page.certainties().get(at++);
                if (isTouched(word, page.state(), areas, wideMm, highMm, looseMm)) continue;
                its.add(word);
                certainties.add(certainty);
            }
            if (!its.isEmpty()) lines.add(its);
        }
        return new RecognisedPage(lines.isEmpty() ? PageText.NONE : new PageText(lines), certainties, page.languages(),
                page.engine(), page.state());
    }

    /**
     * {@return the words of a page that an area touches, as they are read, with a space between them}
     *
     * @param state  how the page lies; its words are told as it is upright
     * @param wideMm how wide what is seen of the page is as it came
     * @param highMm how high
     */
    public static List<String> words(PageText text, SheetState state, Area area, double wideMm, double highMm) {
        List<String> words = new ArrayList<>();
        for (List<Word> line : text.lines())
            for (Word word : line) if (isTouched(word, state, List.of(area), wideMm, highMm, 0)) words.add(word.text());
        return words;
    }

    private static boolean isTouched(Word word, SheetState state, List<Area> areas, double wideMm, double highMm,
            double looseMm) {
        Rectangle2D box = box(word, state, wideMm, highMm);
        return areas.stream().anyMatch(area -> box.intersects(area.leftMm() - NEAR_MM - looseMm, area.topMm() - looseMm,
                area.widthMm() + 2 * (NEAR_MM + looseMm), area.heightMm() + 2 * looseMm));
    }

    /** {@return where a word stands on the page as it came, in millimetres from the upper left} */
    public static Rectangle2D box(Word word, SheetState state, double wideMm, double highMm) {
        double[] box = state.asCame(word.leftMm(), word.topMm(), word.rightMm(), word.topMm() + word.heightMm(), wideMm, highMm);
        return new Rectangle2D.Double(box[0], box[1], Math.max(0.01, box[2] - box[0]), Math.max(0.01, box[3] - box[1]));
    }

    /** {@return the area that takes neighbouring words of a line out, with all that their letters reach to} */
    public static Area over(List<Word> words, SheetState state, double wideMm, double highMm) {
        Rectangle2D all = box(words.getFirst(), state, wideMm, highMm);
        for (Word word : words) all = all.createUnion(box(word, state, wideMm, highMm));
        boolean lies = state.turns() % 2 != 0;
        double reach = REACH * (lies ? all.getWidth() : all.getHeight());
        double across = lies ? reach : NEAR_MM;
        double down = lies ? NEAR_MM : reach;
        return new Area(all.getX() - across, all.getY() - down, all.getWidth() + 2 * across, all.getHeight() + 2 * down);
    }
}
