package app.yellowtab.recognise;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/** Figures that were read in parts: in typefaces whose letters are all of one width there is some room beside a point. */
final class WholeFigures {
    /** The room beside a point in a figure, in heights of its digits; that between words is larger. */
    private static final double ROOM = 0.7;
    private static final Pattern PARTED_AFTER = Pattern.compile(".*\\d[.,]");
    private static final Pattern PARTED_BEFORE = Pattern.compile("[.,]\\d+\\W*");

    private WholeFigures() {}

    /** {@return words in which figures are whole} */
    static List<ReadWord> in(List<ReadWord> words) {
        List<ReadWord> whole = new ArrayList<>();
        for (ReadWord word : words) {
            if (whole.isEmpty() || !isFigure(whole.getLast(), word)) {
                whole.add(word);
                continue;
            }
            ReadWord first = whole.removeLast();
            int top = Math.min(first.top(), word.top());
            whole.add(new ReadWord(first.line(), first.text() + word.text(), first.left(), top,
                    word.left() + word.width() - first.left(),
                    Math.max(first.top() + first.height(), word.top() + word.height()) - top,
                    Math.min(first.certainty(), word.certainty())));
        }
        return whole;
    }

    private static boolean isFigure(ReadWord first, ReadWord second) {
        int room = second.left() - first.left() - first.width();
        if (first.line() != second.line() || room < 0 || room > ROOM * Math.max(first.height(), second.height())) return false;
        return PARTED_AFTER.matcher(first.text()).matches() && Character.isDigit(second.text().charAt(0))
                || Character.isDigit(first.text().charAt(first.text().length() - 1))
                        && PARTED_BEFORE.matcher(second.text()).matches();
    }
}
