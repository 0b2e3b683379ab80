package app.yellowtab.inspect;

import app.yellowtab.facts.Length;
import app.yellowtab.facts.PageText;
import app.yellowtab.input.Allowance;
import app.yellowtab.input.PdfInput;
import app.yellowtab.input.TooMuchException;
import java.awt.geom.Rectangle2D;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.contentstream.operator.OperatorName;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.apache.pdfbox.util.Matrix;

/** Reads the words of pages, and where they stand. For one thread, as the open document is. */
public final class TextReader implements AutoCloseable {
    /** Places are kept to a hundredth of a millimetre, on the disk too. */
    private static final double HUNDREDTHS = 100;

    private final PdfInput input;
    /** Pages are read in a document of their own, where the list of pages is ours, and fonts are shared. */
    private final PDDocument stage = new PDDocument();
    private final Stripper stripper;

    public TextReader(PdfInput input) throws IOException {
        this.input = input;
        this.stripper = new Stripper();
    }

    /**
     * What a page says.
     *
     * @param isBlank whether it draws nothing at all
     */
    public record Read(PageText text, boolean isBlank) {}

    /**
     * Reads a page.
     *
     * @param page counted from 1
     * @throws IOException      if it cannot be read; others can
     * @throws RuntimeException of any kind, for the same reason
     */
    public Read read(int page) throws IOException {
        PDPage original = new PDPage(input.pages().get(page - 1));
        PDPage copy = new PDPage(new COSDictionary(original.getCOSObject()));
        copy.getCOSObject().removeItem(COSName.PARENT);
        if (original.getResources() != null) copy.setResources(original.getResources());
        copy.setMediaBox(original.getMediaBox());
        copy.setCropBox(original.getCropBox());
        copy.setRotation(original.getRotation());
        return read(copy);
    }

    /**
     * Reads a page that was made of one of the file.
     *
     * @param page that has all that it inherits for itself
     * @throws IOException      if it cannot be read
     * @throws RuntimeException of any kind, for the same reason
     */
    public Read read(COSDictionary page) throws IOException {
        return read(new PDPage(page));
    }

    private Read read(PDPage page) throws IOException {
        stage.addPage(page);
        try {
            return input.page(() -> stripper.read(stage, page.getUserUnit() > 0 ? page.getUserUnit() : 1));
        } finally {
            stage.removePage(0);
        }
    }

    @Override
    public void close() throws IOException {
        stage.close();
    }

    private static final class Stripper extends PDFTextStripper {
        /** What draws (ISO 32000-1:2008, table 51). */
        private static final Set<String> DRAWING = Set.of(OperatorName.STROKE_PATH, OperatorName.CLOSE_AND_STROKE,
                OperatorName.FILL_NON_ZERO, OperatorName.LEGACY_FILL_NON_ZERO,
                OperatorName.FILL_EVEN_ODD, OperatorName.FILL_NON_ZERO_AND_STROKE, OperatorName.FILL_EVEN_ODD_AND_STROKE,
                OperatorName.CLOSE_FILL_NON_ZERO_AND_STROKE,
                OperatorName.CLOSE_FILL_EVEN_ODD_AND_STROKE, OperatorName.SHADING_FILL, OperatorName.BEGIN_INLINE_IMAGE,
                OperatorName.DRAW_OBJECT);

        /** How a page is turned, in degrees clockwise. */
        private static final int QUARTER = 90;
        private static final int HALF = 180;
        private static final int THREE_QUARTERS = 270;
        private static final Pattern WHITE = Pattern.compile("[\\s\\p{Cntrl}]+");

        private final List<List<PageText.Word>> lines = new ArrayList<>();
        private final List<PageText.Word> line = new ArrayList<>();
        private double mmPerUnit = Length.MM_PER_PT;
        private boolean draws;

        Stripper() throws IOException {
            setSortByPosition(true);
        }

        Read read(PDDocument document, double userUnit) throws IOException {
            lines.clear();
            line.clear();
            draws = false;
            mmPerUnit = Length.MM_PER_PT * userUnit;
            getText(document);
            endLine();
            PageText text = lines.isEmpty() ? PageText.NONE : new PageText(lines);
            return new Read(text, text.isEmpty() && !draws);
        }

        @Override
        protected void processOperator(Operator operator, List<COSBase> operands) throws IOException {
            Allowance.spend(operator);
            if (DRAWING.contains(operator.getName())) draws = true;
            super.processOperator(operator, operands);
        }

        @Override
        protected void operatorException(Operator operator, List<COSBase> operands, IOException failure) throws IOException {
            if (failure instanceof TooMuchException) throw failure;
            super.operatorException(operator, operands, failure);
        }

        @Override
        protected void writeString(String shown, List<TextPosition> letters) {
            int begin = 0;
            for (int i = 0; i <= letters.size(); i++) {
                if (i < letters.size() && !letters.get(i).getUnicode().isBlank()) continue;
                if (i > begin) addWord(letters.subList(begin, i));
                begin = i + 1;
            }
        }

        private void addWord(List<TextPosition> letters) {
            StringBuilder word = new StringBuilder();
            Rectangle2D box = new Rectangle2D.Double();
            for (int i = 0; i < letters.size(); i++) {
                word.append(letters.get(i).getUnicode());
                Rectangle2D its = box(letters.get(i));
                if (i == 0) box.setRect(its);
                else Rectangle2D.union(box, its, box);
            }
            String text = WHITE.matcher(word).replaceAll("");
            if (!text.isEmpty()) line.add(
                    new PageText.Word(text, mm(box.getX()), mm(box.getY()), mm(box.getWidth()), mm(box.getHeight())));
        }

        /** {@return the box about a letter from its base line to its top, whichever way it is written, from the upper left} */
        private static Rectangle2D box(TextPosition letter) {
            Matrix at = letter.getTextMatrix();
            double x = at.getTranslateX();
            double y = at.getTranslateY();
            double up = Math.hypot(at.getShearX(), at.getScaleY());
            double high = up == 0 ? 0 : letter.getHeight() / up;
            double overX = at.getShearX() * high;
            double overY = at.getScaleY() * high;
            Rectangle2D box = new Rectangle2D.Double(seenX(letter, x, y), seenY(letter, x, y), 0, 0);
            box.add(seenX(letter, x + overX, y + overY), seenY(letter, x + overX, y + overY));
            x = letter.getEndX();
            y = letter.getEndY();
            box.add(seenX(letter, x, y), seenY(letter, x, y));
            box.add(seenX(letter, x + overX, y + overY), seenY(letter, x + overX, y + overY));
            return box;
        }

        /** {@return how far a point of the page is from the left of what is seen} */
        private static double seenX(TextPosition letter, double x, double y) {
            return switch (Math.round(letter.getRotation())) {
                case QUARTER -> y;
                case HALF -> letter.getPageWidth() - x;
                case THREE_QUARTERS -> letter.getPageHeight() - y;
                default -> x;
            };
        }

        /** {@return how far a point of the page is from the top of what is seen} */
        private static double seenY(TextPosition letter, double x, double y) {
            return switch (Math.round(letter.getRotation())) {
                case QUARTER -> x;
                case HALF -> y;
                case THREE_QUARTERS -> letter.getPageWidth() - x;
                default -> letter.getPageHeight() - y;
            };
        }

        private float mm(double units) {
            return (float) (Math.round(units * mmPerUnit * HUNDREDTHS) / HUNDREDTHS);
        }

        @Override
        protected void writeLineSeparator() {
            endLine();
        }

        @Override
        protected void writeWordSeparator() {
            // Words are apart already.
        }

        private void endLine() {
            if (line.isEmpty()) return;
            lines.add(List.copyOf(line));
            line.clear();
        }
    }
}
