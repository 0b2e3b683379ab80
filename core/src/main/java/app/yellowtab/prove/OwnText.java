package app.yellowtab.prove;

import app.yellowtab.input.Allowance;
import app.yellowtab.input.TooMuchException;
import app.yellowtab.pdf.Face;
import app.yellowtab.pdf.PageFrame;
import java.awt.geom.AffineTransform;
import java.awt.geom.NoninvertibleTransformException;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.contentstream.PDFStreamEngine;
import org.apache.pdfbox.contentstream.operator.DrawObject;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.contentstream.operator.OperatorName;
import org.apache.pdfbox.contentstream.operator.OperatorProcessor;
import org.apache.pdfbox.contentstream.operator.markedcontent.BeginMarkedContentSequenceWithProperties;
import org.apache.pdfbox.contentstream.operator.markedcontent.EndMarkedContentSequence;
import org.apache.pdfbox.contentstream.operator.state.Concatenate;
import org.apache.pdfbox.contentstream.operator.state.Restore;
import org.apache.pdfbox.contentstream.operator.state.Save;
import org.apache.pdfbox.contentstream.operator.state.SetMatrix;
import org.apache.pdfbox.contentstream.operator.text.BeginText;
import org.apache.pdfbox.contentstream.operator.text.EndText;
import org.apache.pdfbox.contentstream.operator.text.MoveText;
import org.apache.pdfbox.contentstream.operator.text.MoveTextSetLeading;
import org.apache.pdfbox.contentstream.operator.text.NextLine;
import org.apache.pdfbox.contentstream.operator.text.SetCharSpacing;
import org.apache.pdfbox.contentstream.operator.text.SetTextHorizontalScaling;
import org.apache.pdfbox.contentstream.operator.text.SetTextLeading;
import org.apache.pdfbox.contentstream.operator.text.SetTextRise;
import org.apache.pdfbox.contentstream.operator.text.SetWordSpacing;
import org.apache.pdfbox.contentstream.operator.text.ShowText;
import org.apache.pdfbox.contentstream.operator.text.ShowTextAdjusted;
import org.apache.pdfbox.contentstream.operator.text.ShowTextLine;
import org.apache.pdfbox.contentstream.operator.text.ShowTextLineAndSpace;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNumber;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.util.Matrix;
import org.apache.pdfbox.util.Vector;
import org.jspecify.annotations.Nullable;

/**
 * Extracts from a page the text that is set in our own fonts, with its places. Whatever else the page shows is passed over,
 * so that a damaged font of a source does not matter here. For one thread.
 */
final class OwnText extends PDFStreamEngine {
    private final OwnFonts fonts;
    private List<Letter> letters = new ArrayList<>();
    private List<List<Letter>> marks = new ArrayList<>();
    private boolean isMark;
    private AffineTransform toReader = new AffineTransform();

    /**
     * One letter.
     *
     * @param text      mostly one character
     * @param x         its left end on the base line, in the reader's coordinates
     * @param turn      anticlockwise, as the reader sees it, in radians; not a number where the letter is mirrored or slanted
     */
    record Letter(String text, float x, float y, float sizePt, double turn) {
        private static final double TOLERANCE = 1e-3;

        /** {@return whether it is turned by so many radians, anticlockwise} */
        boolean isTurned(double by) {
            return Math.abs(Math.IEEEremainder(turn - by, 2 * Math.PI)) < TOLERANCE;
        }
    }

    OwnText(OwnFonts fonts) {
        this.fonts = fonts;
        List<OperatorProcessor> understood =
                List.of(new DrawObject(this), new Concatenate(this), new Save(this), new Restore(this), new SetMatrix(this),
                        new BeginText(this), new EndText(this), new MoveText(this), new MoveTextSetLeading(this),
                        new NextLine(this), new SetCharSpacing(this),
                        new SetTextHorizontalScaling(this), new SetTextLeading(this), new SetTextRise(this),
                        new SetWordSpacing(this), new ShowText(this),
                        new ShowTextAdjusted(this), new ShowTextLine(this), new ShowTextLineAndSpace(this), new SelectFont(),
                        new BeginMarkedContentSequenceWithProperties(this), new EndMarkedContentSequence(this));
        understood.forEach(this::addOperator);
    }

    /** {@return the letters of a page below its marks, in the order in which they are drawn} */
    List<Letter> withoutMarks(COSDictionary page) throws IOException {
        COSArray streams = page.getCOSArray(COSName.CONTENTS);
        read(page, streams == null ? page.getItem(COSName.CONTENTS) : part(streams, 0, streams.size() - 1));
        return letters;
    }

    /** {@return the letters of each mark of a page: marks are what the page's last content stream holds under our tag} */
    List<List<Letter>> marks(COSDictionary page) throws IOException {
        COSArray streams = page.getCOSArray(COSName.CONTENTS);
        read(page, streams == null || streams.size() == 0 ? new COSArray() : part(streams, streams.size() - 1, streams.size()));
        return marks;
    }

    private static COSArray part(COSArray streams, int from, int to) {
        COSArray part = new COSArray();
        for (int i = from; i < to; i++) part.add(streams.get(i));
        return part;
    }

    private void read(COSDictionary page, @Nullable COSBase contents) throws IOException {
        letters = new ArrayList<>();
        marks = new ArrayList<>();
        isMark = false;
        COSDictionary alone = new COSDictionary(page);
        alone.setItem(COSName.CONTENTS, contents);
        PDPage read = new PDPage(alone);
        try {
            toReader = PageFrame.of(read).fromReader().createAffineTransform().createInverse();
        } catch (NoninvertibleTransformException flat) {
            throw new IOException("the page has no extent", flat);
        }
        processPage(read);
        marks.removeIf(List::isEmpty);
    }

    @Override
    public void beginMarkedContentSequence(COSName tag, COSDictionary properties) {
        isMark = COSName.ARTIFACT.equals(tag) && properties != null
                && COSName.getPDFName("Pagination").equals(properties.getItem(COSName.TYPE));
        if (isMark) marks.add(new ArrayList<>());
    }

    @Override
    public void endMarkedContentSequence() {
        isMark = false;
    }

    @Override
    protected void processOperator(Operator operator, List<COSBase> operands) throws IOException {
        Allowance.spend(operator);
        super.processOperator(operator, operands);
    }

    @Override
    public void showTextString(byte[] text) throws IOException {
        if (getGraphicsState().getTextState().getFont() != null) super.showTextString(text);
    }

    @Override
    public void showTextStrings(COSArray texts) throws IOException {
        if (getGraphicsState().getTextState().getFont() != null) super.showTextStrings(texts);
    }

    @Override
    protected void showGlyph(Matrix at, PDFont font, int code, Vector displacement) throws IOException {
        Optional<Face> face = fonts.faceOf(font);
        if (face.isEmpty()) return;
        AffineTransform seen = new AffineTransform(toReader);
        seen.concatenate(at.createAffineTransform());
        String text = font.toUnicode(code);
        double size = Math.hypot(seen.getShearX(), seen.getScaleY());
        boolean straight =
                Math.abs(seen.getScaleX() * seen.getShearX() + seen.getShearY() * seen.getScaleY()) < 1e-3 * size * size
                        && seen.getDeterminant() > 0;
        Letter letter = new Letter(text == null ? "\uFFFD" : text, (float) seen.getTranslateX(), (float) seen.getTranslateY(),
                (float) size, straight ? Math.atan2(seen.getShearY(), seen.getScaleX()) : Double.NaN);
        letters.add(letter);
        if (isMark) marks.getLast().add(letter);
    }

    @Override
    protected void operatorException(Operator operator, List<COSBase> operands, IOException failure) throws IOException {
        if (failure instanceof TooMuchException) throw failure;
        // A source's own operators may be damaged; ours are proved by what is found of them.
    }

    /** Takes up a font of ours, and lays any other aside (Tf, ISO 32000-1:2008, 9.3). */
    private final class SelectFont extends OperatorProcessor {
        SelectFont() {
            super(OwnText.this);
        }

        @Override
        public void process(Operator operator, List<COSBase> operands) throws IOException {
            if (operands.size() < 2 || !(operands.get(0) instanceof COSName name) || !(operands.get(1) instanceof COSNumber size))
                return;
            Optional<PDFont> font = getResources() == null ? Optional.empty() : fonts.load(getResources().getCOSObject(), name);
            getGraphicsState().getTextState().setFontSize(size.floatValue());
            getGraphicsState().getTextState().setFont(font.orElse(null));
        }

        @Override
        public String getName() {
            return OperatorName.SET_FONT_AND_SIZE;
        }
    }
}
