package app.yellowtab.convert;

import app.yellowtab.pdf.Canvas;
import app.yellowtab.pdf.FontSet;
import app.yellowtab.pdf.Typeface;
import app.yellowtab.pdf.Units;
import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** The page that stands for a file which has none. */
final class SlipPage {
    private static final float SIDE_PT = Units.mm(35);
    private static final float TITLE_PT = 15;
    private static final float TEXT_PT = 11;

    private SlipPage() {}

    static void add(PDDocument document, List<String> lines) throws IOException {
        PDPage page = new PDPage(new PDRectangle(Units.A4_WIDTH_PT, Units.A4_HEIGHT_PT));
        document.addPage(page);
        float width = Units.A4_WIDTH_PT - 2 * SIDE_PT;
        float y = Units.A4_HEIGHT_PT * 0.64f;
        try (Canvas canvas = new Canvas(document, page, FontSet.forSaving(document))) {
            canvas.rule(SIDE_PT, SIDE_PT + width, y + TITLE_PT * 1.8f, 0.7f);
            for (int i = 0; i < lines.size(); i++) {
                Typeface face = i == 0 ? Typeface.SERIF_BOLD : Typeface.SERIF;
                float size = i == 0 ? TITLE_PT : TEXT_PT;
                for (String line : face.wrap(lines.get(i), size, width)) {
                    canvas.left(line, face, size, SIDE_PT, y);
                    y -= size * 1.4f;
                }
                y -= size * 0.5f;
            }
            canvas.rule(SIDE_PT, SIDE_PT + width, y, 0.7f);
        }
    }
}
