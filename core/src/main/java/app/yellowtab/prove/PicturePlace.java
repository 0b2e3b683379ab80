package app.yellowtab.prove;

import app.yellowtab.input.Allowance;
import java.awt.geom.AffineTransform;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.contentstream.PDFStreamEngine;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.contentstream.operator.OperatorName;
import org.apache.pdfbox.contentstream.operator.OperatorProcessor;
import org.apache.pdfbox.contentstream.operator.state.Concatenate;
import org.apache.pdfbox.contentstream.operator.state.Restore;
import org.apache.pdfbox.contentstream.operator.state.Save;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.pdmodel.PDPage;
import org.jspecify.annotations.Nullable;

/** Finds where the one thing that a page draws by name is drawn. For one page. */
final class PicturePlace extends PDFStreamEngine {
    private final List<AffineTransform> drawn = new ArrayList<>();

    private PicturePlace() {
        List<OperatorProcessor> understood = List.of(new Concatenate(this), new Save(this), new Restore(this), new Draw());
        understood.forEach(this::addOperator);
    }

    /**
     * {@return what takes the picture's square, one by one, to the page's own coordinates; null where it is drawn never or more
     * than once}
     */
    static @Nullable AffineTransform of(PDPage page) throws IOException {
        PicturePlace place = new PicturePlace();
        place.processPage(page);
        return place.drawn.size() == 1 ? place.drawn.getFirst() : null;
    }

    @Override
    protected void processOperator(Operator operator, List<COSBase> operands) throws IOException {
        Allowance.spend(operator);
        // A picture that stands in the content itself has no name.
        if (operator.getName().equals(OperatorName.BEGIN_INLINE_IMAGE)) drawn.add(new AffineTransform());
        super.processOperator(operator, operands);
    }

    private final class Draw extends OperatorProcessor {
        Draw() {
            super(PicturePlace.this);
        }

        @Override
        public void process(Operator operator, List<COSBase> operands) {
            drawn.add(getGraphicsState().getCurrentTransformationMatrix().createAffineTransform());
        }

        @Override
        public String getName() {
            return OperatorName.DRAW_OBJECT;
        }
    }
}
