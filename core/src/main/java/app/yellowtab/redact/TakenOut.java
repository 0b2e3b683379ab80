package app.yellowtab.redact;

import app.yellowtab.facts.PageText;
import app.yellowtab.facts.PageText.Word;
import app.yellowtab.facts.RecognisedPage;
import app.yellowtab.facts.SheetState;
import app.yellowtab.model.page.Area;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.IdentityHashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;

/** Which words of a page areas take out, and which areas take words out. A word that is touched goes whole. */
public final class TakenOut {
    /** Letters reach above the box of a word and below it, by so much of its height. */
    private static final double REACH = 0.3;
    /** What stands as near as this is touched, in millimetres. */
    private static final double NEAR_MM = 0.3;

    /** Some letters hang below their line by so much of the height of a word's box. */
    private static final double HANG = 0.45;
    /** Between words there is more room than so much of their height. */
    private static final double CLOSE = 0.15;
    /** What stands in one line overlaps by so much of the smaller. */
    private static final double BESIDE = 0.25;
    /** A word that is so many times as high as wide is written up or down. */
    private static final double STANDING = 1.5;
    private static final String HANGING = "gjpqyQJ,;()[]{}|/\\_@$&";
    private static final int LAST_PLAIN = 127;

    private TakenOut() {}

    /**
     * {@return the words of a page that no area touches}
     *
     * @param looseMm by how much words that were read in a picture may stand beside what is seen of them; 0 for a page's own
     */
    static RecognisedPage wordsLeft(RecognisedPage page, List<Area> areas, double wideMm, double highMm, double looseMm) {
        boolean isOwn = looseMm == 0;
        List<Rectangle2D> boxes = new ArrayList<>();
        Deque<Rectangle2D> touched = new ArrayDeque<>();
        for (List<Word> line : page.text().lines()) for (Word word : line) {
            Rectangle2D box = box(word, page.state(), wideMm, highMm);
            // What was read in a picture stands in a box about its ink; that of a page's own words ends at their line.
            if (isTouched(isOwn ? withInk(box, word.text()) : box, areas, looseMm)) touched.add(box);
            boxes.add(box);
        }
        Set<Rectangle2D> taken = Collections.newSetFromMap(new IdentityHashMap<>());
        while (!touched.isEmpty()) {
            Rectangle2D next = touched.remove();
            // A word that is written askew is told in parts.
            if (taken.add(next) && isOwn) boxes.stream().filter(box -> isOneWord(box, next)).forEach(touched::add);
        }
        Iterator<Rectangle2D> at = boxes.iterator();
        return only(page, word -> !taken.contains(at.next()));
    }

    /** {@return whether two parts of a line stand so close that they are of one word} */
    private static boolean isOneWord(Rectangle2D one, Rectangle2D other) {
        double across = Math.min(one.getMaxX(), other.getMaxX()) - Math.max(one.getX(), other.getX());
        double down = Math.min(one.getMaxY(), other.getMaxY()) - Math.max(one.getY(), other.getY());
        double gap = CLOSE * Math.min(Math.min(one.getWidth(), one.getHeight()), Math.min(other.getWidth(), other.getHeight()));
        return across >= -gap && down >= -gap && (across >= BESIDE * Math.min(one.getWidth(), other.getWidth())
                || down >= BESIDE * Math.min(one.getHeight(), other.getHeight()));
    }

    /** {@return the words of a page of which something is seen in its picture} */
    static RecognisedPage wordsSeen(RecognisedPage page, BufferedImage picture, double wideMm, double highMm) {
        return only(page, word -> {
            Rectangle2D box = box(word, page.state(), wideMm, highMm);
            return SeenWords.isSeen(picture, new Rectangle2D.Double(box.getX() / wideMm, box.getY() / highMm,
                    box.getWidth() / wideMm, box.getHeight() / highMm));
        });
    }

    private static RecognisedPage only(RecognisedPage page, Predicate<Word> stays) {
        List<List<Word>> lines = new ArrayList<>();
        List<Integer> certainties = new ArrayList<>();
        int at = 0;
        for (List<Word> line : page.text().lines()) {
            List<Word> its = new ArrayList<>();
            for (Word word : line) {
                int certainty = page.certainties().get(at++);
                if (!stays.test(word)) continue;
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
            for (Word word : line) if (takes(area, word, state, wideMm, highMm)) words.add(word.text());
        return words;
    }

    /** {@return whether an area takes a word of a page out} The other things are as {@link #words} takes them. */
    public static boolean takes(Area area, Word word, SheetState state, double wideMm, double highMm) {
        return isTouched(box(word, state, wideMm, highMm), List.of(area), 0);
    }

    private static boolean isTouched(Rectangle2D box, List<Area> areas, double looseMm) {
        return areas.stream().anyMatch(area -> box.intersects(area.leftMm() - NEAR_MM - looseMm, area.topMm() - looseMm,
                area.widthMm() + 2 * (NEAR_MM + looseMm), area.heightMm() + 2 * looseMm));
    }

    /** {@return the box of a word, with what its letters reach to below their line, and above it} */
    private static Rectangle2D withInk(Rectangle2D box, String text) {
        boolean isUpright = text.length() > 1 && box.getHeight() > STANDING * box.getWidth();
        boolean hangs = text.chars().anyMatch(letter -> letter > LAST_PLAIN || HANGING.indexOf(letter) >= 0);
        double below = hangs ? HANG * (isUpright ? box.getWidth() : box.getHeight()) : 0;
        double reach = REACH * (isUpright ? box.getWidth() : box.getHeight());
        // Which way up an upright word runs is not known.
        double beside = Math.max(reach, below);
        if (isUpright)
            return new Rectangle2D.Double(box.getX() - beside, box.getY(), box.getWidth() + 2 * beside, box.getHeight());
        return new Rectangle2D.Double(box.getX(), box.getY() - reach, box.getWidth(), box.getHeight() + reach + below);
    }

    /** {@return where a word stands on the page as it came, in millimetres from the upper left} */
    public static Rectangle2D box(Word word, SheetState state, double wideMm, double highMm) {
        double[] box = state.asCame(word.leftMm(), word.topMm(), word.rightMm(), word.topMm() + word.heightMm(), wideMm, highMm);
        return new Rectangle2D.Double(box[0], box[1], Math.max(0.01, box[2] - box[0]), Math.max(0.01, box[3] - box[1]));
    }

    /**
     * {@return the areas that take words out which follow each other on a page, one for each line that they stand in} The other
     * things are as {@link #over} takes them.
     */
    public static List<Area> overLines(List<Word> words, SheetState state, double wideMm, double highMm) {
        List<List<Word>> lines = new ArrayList<>();
        for (Word word : words) {
            if (lines.isEmpty() || lines.getLast().getLast().leftMm() > word.leftMm()) lines.add(new ArrayList<>());
            lines.getLast().add(word);
        }
        return lines.stream().map(line -> over(line, state, wideMm, highMm)).toList();
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
