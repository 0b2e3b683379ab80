package app.yellowtab.recognise;

import app.yellowtab.draw.BoundedRenderer;
import app.yellowtab.draw.DrawnPage;
import app.yellowtab.facts.Length;
import app.yellowtab.facts.PageShape;
import app.yellowtab.facts.PageText;
import app.yellowtab.facts.RecognisedPage;
import app.yellowtab.facts.SheetState;
import app.yellowtab.ink.Blankness;
import app.yellowtab.ink.Edges;
import app.yellowtab.ink.Fold;
import app.yellowtab.ink.GreyPicture;
import app.yellowtab.ink.Ink;
import app.yellowtab.ink.Slant;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;

/** Reads pages: draws each, has its picture read, and tells how it lies. */
public final class PageReading {
    /** Chosen by what `bench recognise` measures: more takes longer and finds no more words. */
    private static final int DPI = 200;
    private static final int PT_AN_INCH = 72;
    /** Larger sheets are read at fewer pixels an inch. */
    private static final double MOST_PIXELS = 24e6;
    private static final int LEAST_WIDTH_PX = 16;
    private static final double HUNDREDTHS = 100;
    private static final int[] OTHER_TURNS = {2, 1, 3};
    /**
     * A page stands the wrong way only if so many words are read surely the other way, and so many times more than as it came.
     */
    private static final int LEAST_SURE = 8;
    private static final int CLEARLY_MORE = 3;
    private static final int SURE = 75;
    private static final int LONG_ENOUGH = 3;
    /** Fewer words read surely say nothing of how a page stands. */
    private static final int FEW = 3;
    private static final int LIKELY = 50;
    private static final double DOUBTFUL = 0.4;
    /** What has as many spots of the size of letters may be text. */
    private static final int LEAST_LETTERS = 40;
    private static final int DARK = 80;
    private static final double LETTER_MM = 0.8;
    private static final double MOST_LETTER_MM = 8;
    /** Nobody sees that a page lies askew by less. */
    private static final double LEAST_SLANT = 0.2;

    private PageReading() {}

    /**
     * Reads a page.
     *
     * @param page      counted from 1
     * @param shape     the page's own
     * @param fileBytes how large the file is that it is of
     * @throws IOException if it cannot be drawn or read; others can
     */
    public static RecognisedPage read(BoundedRenderer renderer, int page, PageShape shape, long fileBytes,
            TextRecogniser recogniser) throws IOException {
        double mostPx = Math.sqrt(MOST_PIXELS * shape.seenWidthPt() / shape.seenHeightPt());
        int widthPx = (int) Math.max(LEAST_WIDTH_PX, Math.round(Math.min(mostPx, shape.seenWidthPt() / PT_AN_INCH * DPI)));
        DrawnPage drawn = BoundedRenderer.within(fileBytes, () -> renderer.draw(page - 1, widthPx));
        if (drawn.picturesMissing() > 0) throw new IOException("a picture on it cannot be drawn");
        double pxAnInch = drawn.image().getWidth() / (drawn.widthPt() / PT_AN_INCH);
        return read(GreyPicture.of(drawn.image(), Math.max(1, (int) Math.round(pxAnInch))), Length.MM_PER_INCH / pxAnInch,
                recogniser);
    }

    /**
     * Reads the picture of a page.
     *
     * @param image   all that is seen of the page
     * @param widthPt how wide that is, in points
     * @throws IOException if it cannot be read; others can
     */
    public static RecognisedPage read(BufferedImage image, double widthPt, TextRecogniser recogniser) throws IOException {
        GreyPicture picture = toBeRead(image, widthPt);
        return read(picture, mmAPx(picture, widthPt), recogniser);
    }

    /**
     * Reads the picture of a page whose lines are known to be level, which takes a quarter of the time where little of it is read
     * surely.
     *
     * @param image   all that is seen of the page
     * @param widthPt how wide that is, in points
     * @throws IOException if it cannot be read; others can
     */
    public static RecognisedPage readLevel(BufferedImage image, double widthPt, TextRecogniser recogniser) throws IOException {
        GreyPicture picture = toBeRead(image, widthPt);
        return of(recogniser.read(picture), mmAPx(picture, widthPt), recogniser, SheetState.SOUND);
    }

    private static GreyPicture toBeRead(BufferedImage image, double widthPt) {
        double pxAnInch = image.getWidth() / (widthPt / PT_AN_INCH);
        double scale = Math.min(1, DPI / pxAnInch);
        BufferedImage read =
                scale == 1 ? image : GreyPicture.scaled(image, (int) Math.max(1, Math.round(image.getWidth() * scale)),
                        (int) Math.max(1, Math.round(image.getHeight() * scale)));
        return GreyPicture.of(read, Math.max(1, (int) Math.round(pxAnInch * scale)));
    }

    private static double mmAPx(GreyPicture picture, double widthPt) {
        return widthPt * Length.MM_PER_PT / picture.width();
    }

    /** @param mmAPx how large a pixel is, in millimetres */
    static RecognisedPage read(GreyPicture picture, double mmAPx, TextRecogniser recogniser) throws IOException {
        Ink ink = new Ink(picture);
        // Nothing is looked for on a blank sheet: what is found in dust are no words.
        double mark = Blankness.markMm(ink);
        if (mark == 0) return new RecognisedPage(PageText.NONE, List.of(), recogniser.languages(), recogniser.engine(),
                SheetState.BLANK.withEdges(Edges.of(ink, List.of())));
        List<ReadWord> words = recogniser.read(picture);
        int turns = 0;
        int perhaps = 0;
        if (isDoubtful(words) && letters(ink) >= LEAST_LETTERS) {
            int asCame = sure(words);
            int most = Math.max(LEAST_SURE, CLEARLY_MORE * asCame) - 1;
            int unsure = Math.max(FEW, asCame + 1) - 1;
            for (int other : OTHER_TURNS) {
                List<ReadWord> turned = recogniser.read(picture.turned(other));
                if (sure(turned) > unsure) {
                    unsure = sure(turned);
                    perhaps = other;
                }
                if (sure(turned) <= most) continue;
                most = sure(turned);
                words = turned;
                turns = other;
            }
        }
        Ink upright = turns == 0 ? ink : new Ink(picture.turned(turns));
        if (turns == 0 && perhaps == 0 && sure(words) < FEW && Slant.isSideways(ink, new Ink(picture.turned(1)))) perhaps = 1;
        double slant = Slant.of(upright);
        SheetState state = new SheetState(turns, turns == 0 ? perhaps : 0, Math.abs(slant) < LEAST_SLANT ? 0 : slant, mark,
                Edges.of(ink, shares(words, picture, turns)), Fold.of(upright));
        return of(words, mmAPx, recogniser, state);
    }

    /** {@return whether a sheet is surely blank: nothing on it but dirt} */
    public static boolean isBlank(GreyPicture picture) {
        return Blankness.markMm(new Ink(picture)) == 0;
    }

    /** {@return the places of words that may be some, on the page as it came, as shares of its sides} */
    private static List<double[]> shares(List<ReadWord> words, GreyPicture picture, int turns) {
        double width = turns % 2 == 0 ? picture.width() : picture.height();
        double height = turns % 2 == 0 ? picture.height() : picture.width();
        List<double[]> shares = new ArrayList<>();
        SheetState turned = SheetState.SOUND.withTurns(turns);
        for (ReadWord word : words) {
            if (word.certainty() < LIKELY || word.text().codePoints().noneMatch(Character::isLetterOrDigit)) continue;
            double left = word.left() / width;
            double top = word.top() / height;
            double right = left + word.width() / width;
            double bottom = top + word.height() / height;
            shares.add(turned.asCame(left, top, right, bottom, 1, 1));
        }
        return shares;
    }

    /** {@return by how many degrees a page must be turned clockwise so that its lines lie level; 0 where nothing can be told} */
    public static double slant(GreyPicture picture) {
        return Slant.of(new Ink(picture));
    }

    private static boolean isDoubtful(List<ReadWord> words) {
        return sure(words) < LEAST_SURE || sure(words) < DOUBTFUL * words.size();
    }

    /** Lines that run up or down the page are read too, and do not count. */
    private static int sure(List<ReadWord> words) {
        return (int) words.stream().filter(word -> word.certainty() >= SURE && word.width() > word.height()
                && word.text().codePoints().filter(Character::isLetterOrDigit).count() >= LONG_ENOUGH).count();
    }

    private static int letters(Ink ink) {
        return (int) ink.spots(ink.darkerBy(DARK)).stream().filter(
                spot -> spot[3] - spot[1] + 1 >= LETTER_MM * ink.dotsAMm && spot[3] - spot[1] + 1 <= MOST_LETTER_MM * ink.dotsAMm)
                .count();
    }

    private static RecognisedPage of(List<ReadWord> words, double mmAPx, TextRecogniser by, SheetState state) {
        List<List<PageText.Word>> lines = new ArrayList<>();
        List<Integer> certainties = new ArrayList<>();
        int line = -1;
        for (ReadWord word : words) {
            if (word.line() != line) lines.add(new ArrayList<>());
            line = word.line();
            lines.getLast().add(new PageText.Word(word.text(), mm(word.left() * mmAPx), mm(word.top() * mmAPx),
                    mm(word.width() * mmAPx), mm(word.height() * mmAPx)));
            certainties.add(word.certainty());
        }
        return new RecognisedPage(lines.isEmpty() ? PageText.NONE : new PageText(lines), certainties, by.languages(), by.engine(),
                state);
    }

    /** Places are kept to a hundredth of a millimetre, on the disk too. */
    private static float mm(double exact) {
        return (float) (Math.round(exact * HUNDREDTHS) / HUNDREDTHS);
    }
}
