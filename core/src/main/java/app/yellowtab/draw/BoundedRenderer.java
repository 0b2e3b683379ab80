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
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotation;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.rendering.PageDrawer;
import org.apache.pdfbox.rendering.PageDrawerParameters;
import org.apache.pdfbox.util.Matrix;
import org.apache.pdfbox.util.Vector;

/** Draws pages within the bounds of an {@link Allowance}, and knows whether a picture could not be drawn. For one thread. */
public final class BoundedRenderer extends PDFRenderer {
    /** Nobody waits longer for a picture of a page; chosen by us. */
    private static final Duration MOST_TIME = Duration.ofSeconds(20);

    /** Pictures of pages that have so many times more dots across than are wanted are drawn finer, at most so many times. */
    private static final double LEAST_FINER = 2.5;
    private static final int MOST_FINER = 4;
    private static final double MOST_FINER_PIXELS = 4e6;
    /** Scans are drawn in half the time that the library's own hints take, and look alike. */
    private static final RenderingHints HINTS =
            new RenderingHints(Map.of(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR,
                    RenderingHints.KEY_RENDERING, RenderingHints.VALUE_RENDER_QUALITY, RenderingHints.KEY_ANTIALIASING,
                    RenderingHints.VALUE_ANTIALIAS_ON));
    /** In widths. */
    private static final float MOST_HEIGHT = 4;

    private final boolean withText;
    private int picturesMissing;

    public BoundedRenderer(PDDocument document) {
        this(document, true);
    }

    private BoundedRenderer(PDDocument document, boolean withText) {
        super(document);
        this.withText = withText;
        setSubsamplingAllowed(true);
        setRenderingHints(HINTS);
    }

    /** {@return a renderer that leaves out the words of pages, which takes most of the time; those of comments are drawn} */
    public static BoundedRenderer withoutText(PDDocument document) {
        return new BoundedRenderer(document, false);
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
        int finer = finer(document.getPage(page), widthPx, scale * frame.widthPt() * scale * frame.heightPt());
        BufferedImage image = renderImage(page, finer * scale * frame.userUnit(), ImageType.RGB);
        return new DrawnPage(finer == 1 ? image : averaged(image, finer), frame.widthPt(), frame.heightPt(), picturesMissing);
    }

    /**
     * {@return how many times finer a page is drawn than it is wanted, so that of a scan all dots count and not one here and
     * there}
     */
    private static int finer(PDPage page, int widthPx, double pixels) {
        int widest = 0;
        try {
            PDResources resources = page.getResources();
            if (resources == null) return 1;
            for (COSName name : resources.getXObjectNames()) {
                if (resources.getCOSObject().getCOSDictionary(COSName.XOBJECT)
                        .getDictionaryObject(name) instanceof COSDictionary picture
                        && COSName.IMAGE.equals(picture.getCOSName(COSName.SUBTYPE)))
                    widest = Math.max(widest, picture.getInt(COSName.WIDTH, 0));
            }
        } catch (RuntimeException damaged) {
            return 1;
        }
        if (widest < LEAST_FINER * widthPx) return 1;
        return (int) Math.clamp(
                Math.min(Math.floor((double) widest / widthPx), Math.sqrt(MOST_FINER_PIXELS / Math.max(1, pixels))), 1,
                MOST_FINER);
    }

    /** {@return a picture of which each pixel is the mean of a square of them} */
    private static BufferedImage averaged(BufferedImage fine, int times) {
        // Of a strip that is hardly a dot wide there is nothing to be averaged.
        if (fine.getWidth() < times || fine.getHeight() < times) return fine;
        int width = fine.getWidth() / times;
        int height = fine.getHeight() / times;
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        int[] rows = new int[width * times * times];
        int[] row = new int[width];
        for (int y = 0; y < height; y++) {
            fine.getRGB(0, y * times, width * times, times, rows, 0, width * times);
            for (int x = 0; x < width; x++) {
                int red = 0;
                int green = 0;
                int blue = 0;
                for (int dy = 0; dy < times; dy++) {
                    for (int dx = 0; dx < times; dx++) {
                        int pixel = rows[dy * width * times + x * times + dx];
                        red += pixel >> 16 & 255;
                        green += pixel >> 8 & 255;
                        blue += pixel & 255;
                    }
                }
                int count = times * times;
                row[x] = red / count << 16 | green / count << 8 | blue / count;
            }
            image.setRGB(0, y, width, 1, row, 0, width);
        }
        return image;
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
        private boolean inAnnotation;

        Drawer(PageDrawerParameters parameters) throws IOException {
            super(parameters);
        }

        @Override
        protected void showGlyph(Matrix at, PDFont font, int code, Vector displacement) throws IOException {
            if (withText || inAnnotation) super.showGlyph(at, font, code, displacement);
        }

        @Override
        public void showAnnotation(PDAnnotation annotation) throws IOException {
            inAnnotation = true;
            super.showAnnotation(annotation);
            inAnnotation = false;
        }

        @Override
        protected void processOperator(Operator operator, List<COSBase> operands) throws IOException {
            Allowance.spend(operator);
            super.processOperator(operator, operands);
        }

        @Override
        protected void operatorException(Operator operator, List<COSBase> operands, IOException failure) throws IOException {
            if (failure instanceof TooMuchException) throw failure;
            if (operator.getName().equals(OperatorName.DRAW_OBJECT) || operator.getName().equals(OperatorName.BEGIN_INLINE_IMAGE))
                picturesMissing++;
            super.operatorException(operator, operands, failure);
        }
    }
}
