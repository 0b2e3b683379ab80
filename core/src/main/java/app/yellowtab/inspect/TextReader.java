package app.yellowtab.inspect;

import app.yellowtab.facts.Length;
import app.yellowtab.facts.PageText;
import app.yellowtab.input.Allowance;
import app.yellowtab.input.PdfInput;
import app.yellowtab.input.TooMuchException;
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

        /** Which way words are written on the page as it is seen, in degrees against the clock. */
        private static final int UP = 90;
        private static final int UPSIDE_DOWN = 180;
        private static final int DOWN = 270;
        private static final int FULL_TURN = 360;
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
            double left = Double.MAX_VALUE;
            double top = Double.MAX_VALUE;
            double right = -Double.MAX_VALUE;
            double bottom = -Double.MAX_VALUE;
            for (TextPosition letter : letters) {
                word.append(letter.getUnicode());
                double x = letter.getX();
                double y = letter.getY();
                double wide = letter.getWidthDirAdj();
                double high = letter.getHeightDir();
                // Letters reach from their beginning on the base line to where they are written, and to where their tops are.
                switch (Math.floorMod(Math.round(letter.getDir()) - letter.getRotation(), FULL_TURN)) {
                    case UP -> {
                        left = Math.min(left, x - high);
                        right = Math.max(right, x);
                        top = Math.min(top, y - wide);
                        bottom = Math.max(bottom, y);
                    }
                    case UPSIDE_DOWN -> {
                        left = Math.min(left, x - wide);
                        right = Math.max(right, x);
                        top = Math.min(top, y);
                        bottom = Math.max(bottom, y + high);
                    }
                    case DOWN -> {
                        left = Math.min(left, x);
                        right = Math.max(right, x + high);
                        top = Math.min(top, y);
                        bottom = Math.max(bottom, y + wide);
                    }
                    default -> {
                        left = Math.min(left, x);
                        right = Math.max(right, x + letter.getWidth());
                        top = Math.min(top, y - letter.getHeight());
                        bottom = Math.max(bottom, y);
                    }
                }
            }
            String text = WHITE.matcher(word).replaceAll("");
            if (!text.isEmpty()) line.add(new PageText.Word(text, mm(left), mm(top), mm(right - left), mm(bottom - top)));
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
