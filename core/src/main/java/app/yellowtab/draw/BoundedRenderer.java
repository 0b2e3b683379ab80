package app.yellowtab.draw;

import app.yellowtab.input.Allowance;
import app.yellowtab.input.TooMuchException;
import app.yellowtab.pdf.PageFrame;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.contentstream.operator.OperatorName;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.rendering.PageDrawer;
import org.apache.pdfbox.rendering.PageDrawerParameters;

/** Draws pages within the bounds of an {@link Allowance}, and knows whether a picture could not be drawn. For one thread. */
public final class BoundedRenderer extends PDFRenderer {
    /** Nobody waits longer for a picture of a page; chosen by us. */
    private static final Duration MOST_TIME = Duration.ofSeconds(20);

    /** Scans are drawn in half the time that the library's own hints take, and look alike. */
    private static final RenderingHints HINTS = new RenderingHints(Map.of(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR,
            RenderingHints.KEY_RENDERING, RenderingHints.VALUE_RENDER_QUALITY, RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON));
    /** In widths. */
    private static final float MOST_HEIGHT = 4;

    private int picturesMissing;

    public BoundedRenderer(PDDocument document) {
        super(document);
        setSubsamplingAllowed(true);
        setRenderingHints(HINTS);
    }

    /**
     * Draws a page.
     *
     * @param page    counted from 0
     * @param widthPx the width of the picture, in pixels; a page that is more than four times as high as wide is drawn narrower
     */
    public DrawnPage draw(int page, int widthPx) throws IOException {
        picturesMissing = 0;
        PageFrame frame = PageFrame.of(document.getPage(page));
        float scale = Math.min(widthPx / frame.widthPt(), MOST_HEIGHT * widthPx / frame.heightPt());
        BufferedImage image = renderImage(page, scale * frame.userUnit(), ImageType.RGB);
        return new DrawnPage(image, frame.widthPt(), frame.heightPt(), picturesMissing);
    }

    /** Does something for a page of a file of so many bytes; {@return what comes of it} */
    public static <T> T within(long fileBytes, ScopedValue.CallableOp<T, IOException> work) throws IOException {
        return Allowance.ofFile(fileBytes).ofPageToSee(MOST_TIME).on(work);
    }

    @Override
    protected PageDrawer createPageDrawer(PageDrawerParameters parameters) throws IOException {
        return new Drawer(parameters);
    }

    private final class Drawer extends PageDrawer {
        Drawer(PageDrawerParameters parameters) throws IOException {
            super(parameters);
        }

        @Override
        protected void processOperator(Operator operator, List<COSBase> operands) throws IOException {
            Allowance.spend(operator);
            super.processOperator(operator, operands);
        }

        @Override
        protected void operatorException(Operator operator, List<COSBase> operands, IOException failure) throws IOException {
            if (failure instanceof TooMuchException) throw failure;
            if (operator.getName().equals(OperatorName.DRAW_OBJECT) || operator.getName().equals(OperatorName.BEGIN_INLINE_IMAGE)) picturesMissing++;
            super.operatorException(operator, operands, failure);
        }
    }
}
