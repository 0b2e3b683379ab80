package app.yellowtab.input;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
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

    private int picturesMissing;

    public BoundedRenderer(PDDocument document) {
        super(document);
    }

    /** {@return a page, counted from 0, at so many pixels to the point} */
    public DrawnPage draw(int page, float scale) throws IOException {
        picturesMissing = 0;
        BufferedImage image = renderImage(page, scale, ImageType.RGB);
        return new DrawnPage(image, picturesMissing);
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
