package app.yellowtab.convert.slide;

import app.yellowtab.convert.page.Notes;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.pdf.Units;
import de.rototor.pdfbox.graphics2d.PdfBoxGraphics2D;
import java.awt.Dimension;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.util.Matrix;
import org.apache.poi.sl.usermodel.MasterSheet;
import org.apache.poi.sl.usermodel.Slide;
import org.apache.poi.sl.usermodel.SlideShow;
import org.apache.poi.sl.usermodel.SlideShowFactory;
import org.slf4j.LoggerFactory;

/** Draws slides of the newer and the older kind (.pptx, .ppt), each on an A4 page sideways. */
public final class SlidePages {
    private static final float MARGIN_PT = Units.mm(12);

    private SlidePages() {}

    /** Adds a page for each slide that is not hidden. */
    public static void add(PDDocument document, Path file, Notes notes) throws IOException {
        try (SlideShow<?, ?> show = SlideShowFactory.create(file.toFile(), null, true)) {
            SlideFonts fonts = new SlideFonts(document);
            Dimension size = show.getPageSize();
            List<String> hidden = new ArrayList<>();
            for (MasterSheet<?, ?> master : show.getSlideMasters()) fonts.substitute(master);
            for (Slide<?, ?> slide : show.getSlides()) {
                fonts.substitute(slide);
                if (slide.isHidden()) {
                    hidden.add(String.valueOf(slide.getSlideNumber()));
                    continue;
                }
                place(document, draw(document, slide, size, fonts, notes), size);
            }
            if (fonts.missing() > 0) notes.say(Code.CHARACTERS_NOT_SHOWN, String.valueOf(fonts.missing()));
            if (!hidden.isEmpty()) notes.say(Code.HIDDEN_LEFT_OUT, "slides " + String.join(", ", hidden));
        }
    }

    private static PDFormXObject draw(PDDocument document, Slide<?, ?> slide, Dimension size, SlideFonts fonts, Notes notes)
            throws IOException {
        PdfBoxGraphics2D graphics = new PdfBoxGraphics2D(document, size.width, size.height);
        try {
            graphics.setFontTextDrawer(fonts.drawer());
            slide.draw(graphics);
        } catch (RuntimeException e) {
            LoggerFactory.getLogger(SlidePages.class).warn("slide {} not drawn whole", slide.getSlideNumber(), e);
            notes.lost("slide " + slide.getSlideNumber() + " could not be drawn whole");
        } finally {
            graphics.dispose();
        }
        return graphics.getXFormObject();
    }

    private static void place(PDDocument document, PDFormXObject drawn, Dimension size) throws IOException {
        boolean sideways = size.width >= size.height;
        float width = sideways ? Units.A4_HEIGHT_PT : Units.A4_WIDTH_PT;
        float height = sideways ? Units.A4_WIDTH_PT : Units.A4_HEIGHT_PT;
        float scale = Math.min((width - 2 * MARGIN_PT) / size.width, (height - 2 * MARGIN_PT) / size.height);
        PDPage page = new PDPage(new PDRectangle(width, height));
        document.addPage(page);
        float left = (width - size.width * scale) / 2;
        float bottom = (height - size.height * scale) / 2;
        try (PDPageContentStream content = new PDPageContentStream(document, page)) {
            content.saveGraphicsState();
            content.transform(new Matrix(scale, 0, 0, scale, left, bottom));
            content.drawForm(drawn);
            content.restoreGraphicsState();
            content.setStrokingColor(0.7f);
            content.setLineWidth(0.5f);
            content.addRect(left, bottom, size.width * scale, size.height * scale);
            content.stroke();
        }
    }
}
