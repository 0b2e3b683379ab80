package app.yellowtab.carry.annotation;

import java.io.IOException;
import org.apache.pdfbox.pdmodel.PDAppearanceContentStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.color.PDColor;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationWidget;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAppearanceCharacteristicsDictionary;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAppearanceDictionary;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAppearanceStream;

/** Draws a button that is on, where its file has no appearance for it (ISO 32000-1:2008, 12.5.6.19 and 12.7.4.2.3). */
final class ButtonMark {
    private ButtonMark() {}

    static void draw(PDDocument document, PDAnnotationWidget widget, boolean round) throws IOException {
        PDRectangle area = widget.getRectangle();
        float width = area.getWidth();
        float height = area.getHeight();
        PDAppearanceStream appearance = new PDAppearanceStream(document);
        appearance.setBBox(new PDRectangle(width, height));
        try (PDAppearanceContentStream content = new PDAppearanceContentStream(appearance)) {
            PDAppearanceCharacteristicsDictionary look = widget.getAppearanceCharacteristics();
            PDColor ground = look == null ? null : look.getBackground();
            PDColor border = look == null ? null : look.getBorderColour();
            if (ground != null) {
                content.setNonStrokingColor(ground);
                content.addRect(0, 0, width, height);
                content.fill();
            }
            if (border != null) {
                content.setStrokingColor(border);
                content.addRect(0.5f, 0.5f, width - 1, height - 1);
                content.stroke();
            }
            float side = Math.min(width, height);
            float x = width / 2;
            float y = height / 2;
            content.setStrokingColor(0f);
            content.setLineWidth(side / 10);
            if (round) {
                content.setLineCapStyle(1);
                content.setLineWidth(side / 2);
                content.moveTo(x, y);
                content.lineTo(x, y);
            } else {
                content.moveTo(x - side * 0.3f, y);
                content.lineTo(x - side * 0.08f, y - side * 0.24f);
                content.lineTo(x + side * 0.3f, y + side * 0.28f);
            }
            content.stroke();
        }
        PDAppearanceDictionary appearances = new PDAppearanceDictionary();
        appearances.setNormalAppearance(appearance);
        widget.setAppearance(appearances);
    }
}
