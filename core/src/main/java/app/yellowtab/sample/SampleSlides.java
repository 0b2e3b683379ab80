package app.yellowtab.sample;

import java.awt.Color;
import java.awt.Rectangle;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import org.apache.poi.xslf.usermodel.XMLSlideShow;
import org.apache.poi.xslf.usermodel.XSLFAutoShape;
import org.apache.poi.xslf.usermodel.XSLFSlide;
import org.apache.poi.xslf.usermodel.XSLFTextBox;
import org.apache.poi.xslf.usermodel.XSLFTextRun;

/** Writes slides; "~~~ title" begins one, "~~~ title hidden" a hidden one, other lines stand below it. */
final class SampleSlides {
    private SampleSlides() {}

    static void write(List<String> lines, Path target) throws IOException {
        try (XMLSlideShow show = new XMLSlideShow()) {
            XSLFSlide slide = null;
            int at = 0;
            for (String line : lines) {
                if (line.startsWith("~~~ ")) {
                    slide = show.createSlide();
                    slide.setHidden(line.endsWith(" hidden"));
                    XSLFAutoShape band = slide.createAutoShape();
                    band.setAnchor(new Rectangle(0, 0, 720, 90));
                    band.setFillColor(new Color(0x2F5D7C));
                    text(slide, line.substring(4).replace(" hidden", ""), 20, 32, Color.WHITE);
                    at = 120;
                } else if (slide != null) {
                    text(slide, line, at, 20, Color.BLACK);
                    at += 45;
                }
            }
            SampleZip.writeAgain(show::write, target);
        }
    }

    private static void text(XSLFSlide slide, String words, int y, double size, Color colour) {
        XSLFTextBox box = slide.createTextBox();
        box.setAnchor(new Rectangle(40, y, 640, 50));
        XSLFTextRun run = box.addNewTextParagraph().addNewTextRun();
        run.setText(words);
        run.setFontSize(size);
        run.setFontFamily("Calibri");
        run.setFontColor(colour);
    }
}
