package app.yellowtab.pdf;

import java.awt.Color;
import java.io.Closeable;
import java.io.IOException;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.PDPageContentStream.AppendMode;

/** Sets lines of our own typefaces on a page, in the page's own coordinates: points from its lower left corner. */
public final class Canvas implements Closeable {
    private final FontSet fonts;
    private final PDPageContentStream content;

    public Canvas(PDDocument document, PDPage page, FontSet fonts) throws IOException {
        this.fonts = fonts;
        this.content = new PDPageContentStream(document, page, AppendMode.APPEND, true);
    }

    /** Sets one line, its left end at x; letters that the typeface lacks show as a box. */
    public void left(String text, Typeface face, float sizePt, float x, float y) throws IOException {
        String shown = face.showable(text);
        if (shown.isEmpty()) return;
        content.beginText();
        content.setFont(fonts.get(face), sizePt);
        content.newLineAtOffset(x, y);
        content.showText(shown);
        content.endText();
    }

    /** Sets one line, its right end at x. */
    public void right(String text, Typeface face, float sizePt, float x, float y) throws IOException {
        left(text, face, sizePt, x - face.width(face.showable(text), sizePt), y);
    }

    /** Sets one line, its middle at x. */
    public void centre(String text, Typeface face, float sizePt, float x, float y) throws IOException {
        left(text, face, sizePt, x - face.width(face.showable(text), sizePt) / 2, y);
    }

    /** Draws a level line from x to another x. */
    public void rule(float x, float toX, float y, float thicknessPt) throws IOException {
        content.setLineWidth(thicknessPt);
        content.moveTo(x, y);
        content.lineTo(toX, y);
        content.stroke();
    }

    /** Draws an upright line from y to another y. */
    public void upright(float x, float y, float toY, float thicknessPt) throws IOException {
        content.setLineWidth(thicknessPt);
        content.moveTo(x, y);
        content.lineTo(x, toY);
        content.stroke();
    }

    /** Fills a rectangle; what is drawn later is black again. */
    public void fill(float x, float y, float width, float height, int rgb) throws IOException {
        content.setNonStrokingColor(new Color(rgb));
        content.addRect(x, y, width, height);
        content.fill();
        content.setNonStrokingColor(Color.BLACK);
    }

    /** Sets the colour of lines, as 0xRRGGBB. */
    public void colour(int rgb) throws IOException {
        content.setStrokingColor(new Color(rgb));
    }

    @Override
    public void close() throws IOException {
        content.close();
    }
}
