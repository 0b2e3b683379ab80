package app.yellowtab.sheet;

import app.yellowtab.model.cut.SheetCode;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.pdf.Canvas;
import app.yellowtab.pdf.FontSet;
import app.yellowtab.pdf.Typeface;
import app.yellowtab.pdf.Units;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import com.google.zxing.qrcode.encoder.ByteMatrix;
import com.google.zxing.qrcode.encoder.Encoder;
import java.io.IOException;
import java.util.Map;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** Draws separator sheets: a QR code (ISO/IEC 18004), and in plain words what it says. For one thread. */
public final class SeparatorSetter {
    private static final float MIDDLE = Units.A4_WIDTH_PT / 2;
    private static final float MEASURE = Units.mm(160);
    /** So large that a scan of 100 dots an inch still tells its squares apart. */
    private static final float CODE = Units.mm(90);
    private static final float CODE_BOTTOM = Units.mm(170);
    private static final float TITLE_TOP = Units.mm(140);
    private static final float FOOT = Units.mm(30);
    private static final float SMALLEST_PT = 10;

    private final PDDocument document;
    private final FontSet fonts;

    public SeparatorSetter(PDDocument document, FontSet fonts) {
        this.document = document;
        this.fonts = fonts;
    }

    /** Adds a sheet to the document. */
    public void add(SheetCode sheet) throws IOException {
        PDPage page = new PDPage(new PDRectangle(Units.A4_WIDTH_PT, Units.A4_HEIGHT_PT));
        document.addPage(page);
        try (Canvas canvas = new Canvas(document, page, fonts)) {
            code(canvas, sheet);
            String title = sheet.name().isEmpty() ? "Separator sheet" : sheet.name();
            float size = 26;
            while (size > SMALLEST_PT && Typeface.SERIF_BOLD.wrap(title, size, MEASURE).size() > 4) size -= 1;
            float y = TITLE_TOP;
            for (String line : Typeface.SERIF_BOLD.wrap(title, size, MEASURE)) {
                canvas.centre(line, Typeface.SERIF_BOLD, size, MIDDLE, y);
                y -= size * 1.3f;
            }
            if (sheet.date().isPresent()) {
                canvas.centre(DocumentDate.Formats.full(sheet.date().get()), Typeface.SERIF, 16, MIDDLE, y - 6);
                y -= 30;
            }
            for (String line : Typeface.SERIF.wrap(sheet.section().isEmpty() ? "" : "Section: " + sheet.section(), 16, MEASURE)) {
                canvas.centre(line, Typeface.SERIF, 16, MIDDLE, y - 6);
                y -= 22;
            }
            canvas.rule(MIDDLE - MEASURE / 2, MIDDLE + MEASURE / 2, FOOT + 20, 0.7f);
            canvas.centre("Lay this sheet before the document, and scan both together. It becomes part of no document.",
                    Typeface.SANS, 9, MIDDLE, FOOT);
        }
    }

    private static void code(Canvas canvas, SheetCode sheet) throws IOException {
        ByteMatrix squares;
        try {
            squares = Encoder.encode(sheet.text(), ErrorCorrectionLevel.M, Map.of(EncodeHintType.CHARACTER_SET, "UTF-8"))
                    .getMatrix();
        } catch (WriterException tooLong) {
            throw new IOException("the code cannot be made of “" + sheet.name() + "”", tooLong);
        }
        float side = CODE / squares.getWidth();
        for (int row = 0; row < squares.getHeight(); row++) {
            for (int at = 0; at < squares.getWidth();) {
                int end = at;
                while (end < squares.getWidth() && squares.get(end, row) == 1) end++;
                if (end > at)
                    canvas.fill(MIDDLE - CODE / 2 + at * side, CODE_BOTTOM + CODE - (row + 1) * side, (end - at) * side, side, 0);
                at = Math.max(end, at + 1);
            }
        }
    }
}
