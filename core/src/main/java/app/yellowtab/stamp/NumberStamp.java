package app.yellowtab.stamp;

import app.yellowtab.pdf.FontSet;
import app.yellowtab.pdf.PageFrame;
import app.yellowtab.pdf.Typeface;
import app.yellowtab.pdf.Units;
import java.io.IOException;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.PDPageContentStream.AppendMode;
import org.apache.pdfbox.pdmodel.documentinterchange.markedcontent.PDPropertyList;
import org.apache.pdfbox.util.Matrix;

/** Puts bundle numbers at the bottom right of what a reader sees of a page, upright, in an embedded font. */
public final class NumberStamp {
    /** From the number to the right and to the bottom edge; the distance that issue "First light" asks for. */
    static final float MARGIN_PT = Units.mm(10);
    /** Chosen by us: larger than body text, so that it is found first when a number is called out. */
    static final float SIZE_PT = 13;
    private static final Typeface FACE = Typeface.SANS_BOLD;

    private final PDDocument document;
    private final FontSet fonts;

    public NumberStamp(PDDocument document, FontSet fonts) {
        this.document = document;
        this.fonts = fonts;
    }

    /** Adds a number to a page, on top of all that is there, marked as pagination (ISO 32000-1:2008, 14.8.2.2). */
    public void put(int number, PDPage page) throws IOException {
        PageFrame frame = PageFrame.of(page);
        String text = String.valueOf(number);
        Spot spot = Spot.of(frame, FACE.width(text, 1));
        Matrix place = Matrix.concatenate(frame.fromReader(), Matrix.getTranslateInstance(spot.x, spot.y));
        try (var content = new PDPageContentStream(document, page, AppendMode.APPEND, true)) {
            content.beginMarkedContent(COSName.getPDFName("Artifact"), pagination());
            content.beginText();
            content.setNonStrokingColor(0f);
            content.setFont(fonts.get(FACE), spot.size);
            content.setTextMatrix(place);
            content.showText(text);
            content.endText();
            content.endMarkedContent();
        }
    }

    private static PDPropertyList pagination() {
        COSDictionary properties = new COSDictionary();
        properties.setItem(COSName.TYPE, COSName.getPDFName("Pagination"));
        properties.setItem(COSName.SUBTYPE, COSName.getPDFName("Footer"));
        return PDPropertyList.create(properties);
    }

    /** Where the number's left end stands, in the reader's coordinates; on very small pages everything shrinks to fit. */
    private record Spot(float x, float y, float size) {
        static Spot of(PageFrame frame, float widthPerPoint) {
            float margin = Math.min(MARGIN_PT, Math.min(frame.widthPt(), frame.heightPt()) / 8);
            float room = frame.widthPt() - 2 * margin;
            float size = Math.min(SIZE_PT, Math.min(room / widthPerPoint, frame.heightPt() / 3));
            return new Spot(frame.widthPt() - margin - widthPerPoint * size, margin, size);
        }
    }
}
