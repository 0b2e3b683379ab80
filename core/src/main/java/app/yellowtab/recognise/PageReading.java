package app.yellowtab.recognise;

import app.yellowtab.draw.BoundedRenderer;
import app.yellowtab.draw.DrawnPage;
import app.yellowtab.facts.PageText;
import app.yellowtab.facts.RecognisedPage;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;

/** Reads pages: draws each and has its picture read. */
public final class PageReading {
    /** Chosen by what `bench recognise` measures: more takes longer and finds no more words. */
    private static final int DPI = 200;
    private static final int PT_AN_INCH = 72;
    private static final double MM_AN_INCH = 25.4;
    /** Larger sheets are read at fewer pixels an inch. */
    private static final int MOST_WIDTH_PX = 6_000;
    private static final int LEAST_WIDTH_PX = 16;
    private static final double HUNDREDTHS = 100;

    private PageReading() {}

    /**
     * Reads a page.
     *
     * @param page      counted from 1
     * @param fileBytes how large the file is that it is of
     * @throws IOException if it cannot be drawn or read; others can
     */
    public static RecognisedPage read(BoundedRenderer renderer, int page, double widthPt, long fileBytes, TextRecogniser recogniser) throws IOException {
        int widthPx = Math.clamp(Math.round(widthPt / PT_AN_INCH * DPI), LEAST_WIDTH_PX, MOST_WIDTH_PX);
        DrawnPage drawn = BoundedRenderer.within(fileBytes, () -> renderer.draw(page - 1, widthPx));
        if (drawn.picturesMissing() > 0) throw new IOException("a picture on it cannot be drawn");
        double pxAnInch = drawn.image().getWidth() / (drawn.widthPt() / PT_AN_INCH);
        List<ReadWord> words = recogniser.read(GreyPicture.of(drawn.image(), Math.max(1, (int) Math.round(pxAnInch))));
        return of(words, MM_AN_INCH / pxAnInch, recogniser);
    }

    private static RecognisedPage of(List<ReadWord> words, double mmAPx, TextRecogniser by) {
        List<List<PageText.Word>> lines = new ArrayList<>();
        List<Integer> certainties = new ArrayList<>();
        int line = -1;
        for (ReadWord word : words) {
            if (word.line() != line) lines.add(new ArrayList<>());
            line = word.line();
            lines.getLast().add(new PageText.Word(word.text(), mm(word.left() * mmAPx), mm(word.top() * mmAPx), mm(word.width() * mmAPx), mm(word.height() * mmAPx)));
            certainties.add(word.certainty());
        }
        return new RecognisedPage(lines.isEmpty() ? PageText.NONE : new PageText(lines), certainties, by.languages(), by.engine());
    }

    /** Places are kept to a hundredth of a millimetre, on the disk too. */
    private static float mm(double exact) {
        return (float) (Math.round(exact * HUNDREDTHS) / HUNDREDTHS);
    }
}
