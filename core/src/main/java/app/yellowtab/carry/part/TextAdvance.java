package app.yellowtab.carry.part;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.contentstream.operator.OperatorName;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNumber;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;

/**
 * Follows the text state of a content stream (ISO 32000-1:2008, 9.3), so that text which is taken out can leave its width
 * behind, and what follows it on the line stays where it was. For one thread.
 */
public final class TextAdvance {
    private final PDResources resources;
    private final Deque<TextState> saved = new ArrayDeque<>();
    private TextState state = new TextState(null, 1, 0, 0);

    private record TextState(@Nullable COSName font, float size, float letterSpace, float wordSpace) {}

    public TextAdvance(COSDictionary resources) {
        this.resources = new PDResources(resources);
    }

    /** Takes note of an operator that may change the state. */
    public void follow(String operator, List<Object> operands) {
        switch (operator) {
            case OperatorName.SAVE -> saved.push(state);
            case OperatorName.RESTORE -> state = saved.isEmpty() ? state : saved.pop();
            case OperatorName.SET_FONT_AND_SIZE -> {
                if (operands.size() > 1 && operands.get(0) instanceof COSName font)
                    state = new TextState(font, number(operands, 1), state.letterSpace, state.wordSpace);
            }
            case OperatorName.SET_CHAR_SPACING ->
                    state = new TextState(state.font, state.size, number(operands, 0), state.wordSpace);
            case OperatorName.SET_WORD_SPACING ->
                    state = new TextState(state.font, state.size, state.letterSpace, number(operands, 0));
            case OperatorName.SHOW_TEXT_LINE_AND_SPACE ->
                    state = new TextState(state.font, state.size, number(operands, 1), number(operands, 0));
            default -> {}
        }
    }

    private static float number(List<Object> operands, int at) {
        return at < operands.size() && operands.get(at) instanceof COSNumber number ? number.floatValue() : 0;
    }

    /** {@return the operand of {@code TJ} that moves as far as showing a text would; empty where that cannot be known} */
    public Optional<COSArray> insteadOf(Object shown) {
        try {
            PDFont font = state.font == null ? null : resources.getFont(state.font);
            if (font == null || font.isVertical() || state.size == 0) return Optional.empty();
            double thousandths = 0;
            if (shown instanceof COSString text) thousandths = width(font, text.getBytes());
            if (shown instanceof COSArray parts) {
                for (COSBase part : parts) thousandths += part instanceof COSString text ? width(font, text.getBytes())
                        : part instanceof COSNumber back ? -back.floatValue() : 0;
            }
            return Optional.of(new COSArray(List.of(new COSFloat((float) -thousandths))));
        } catch (IOException | RuntimeException e) {
            LoggerFactory.getLogger(TextAdvance.class).warn("width of hidden text not known", e);
            return Optional.empty();
        }
    }

    private double width(PDFont font, byte[] text) throws IOException {
        double width = 0;
        InputStream in = new ByteArrayInputStream(text);
        for (int left = text.length; left > 0;) {
            int code = font.readCode(in);
            int length = left - in.available();
            left = in.available();
            double space = state.letterSpace + (length == 1 && code == ' ' ? state.wordSpace : 0);
            width += font.getWidth(code) + space * 1000 / state.size;
        }
        return width;
    }
}
