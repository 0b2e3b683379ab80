package app.yellowtab.facts;

import java.util.ArrayList;
import java.util.List;

/**
 * The words of a page as they are seen, in the order in which they are read, and where each stands. Kept close together, since
 * a batch has thousands of pages. Immutable.
 */
public final class PageText {
    /** A page without words. */
    public static final PageText NONE = new PageText(List.of());
    private static final int SIDES = 4;

    /** Words have spaces between them, and lines end with a line feed. */
    private final String text;
    /** Of each word: left, top, width and height. */
    private final float[] sides;

    /**
     * A word and where it stands, in millimetres from the upper left of what is seen of the page as it came.
     *
     * @param text without white space; never empty
     */
    public record Word(String text, float leftMm, float topMm, float widthMm, float heightMm) {
        public Word {
            if (text.isEmpty() || text.chars().anyMatch(c -> c == ' ' || c == '\n'))
                throw new IllegalArgumentException("a word must be one, got \"" + text + "\"");
        }

        /** {@return how far its end is from the left} */
        public float rightMm() {
            return leftMm + widthMm;
        }
    }

    /** @param lines without empty ones */
    public PageText(List<List<Word>> lines) {
        StringBuilder all = new StringBuilder();
        sides = new float[SIDES * lines.stream().mapToInt(List::size).sum()];
        int at = 0;
        for (List<Word> line : lines) {
            if (line.isEmpty()) throw new IllegalArgumentException("a line must have words");
            for (int i = 0; i < line.size(); i++) {
                Word word = line.get(i);
                all.append(word.text()).append(i + 1 < line.size() ? ' ' : '\n');
                sides[at++] = word.leftMm();
                sides[at++] = word.topMm();
                sides[at++] = word.widthMm();
                sides[at++] = word.heightMm();
            }
        }
        text = all.toString();
    }

    private PageText(String text, float[] sides) {
        this.text = text;
        this.sides = sides;
    }

    /**
     * {@return the words of a page as {@link #text} and {@link #sides} give them}
     *
     * @throws IllegalArgumentException if they do not belong together
     */
    public static PageText of(String text, float[] sides) {
        int words = 0;
        boolean inside = false;
        for (int i = 0; i < text.length(); i++) {
            boolean end = text.charAt(i) == ' ' || text.charAt(i) == '\n';
            if (end && !inside) throw new IllegalArgumentException("a word must have letters, at " + i);
            if (end) words++;
            inside = !end;
        }
        if (inside || text.endsWith(" ") || words * SIDES != sides.length)
            throw new IllegalArgumentException("words and their sides must be as many, got " + words + " and " + sides.length);
        return text.isEmpty() ? NONE : new PageText(text, sides.clone());
    }

    /** {@return left, top, width and height of each word, in millimetres} */
    public float[] sides() {
        return sides.clone();
    }

    public boolean isEmpty() {
        return text.isEmpty();
    }

    /** {@return all words, with spaces between them; a line feed ends each line} */
    public String text() {
        return text;
    }

    /**
     * A line.
     *
     * @param text      its words, with spaces between them
     * @param firstWord the place of its first word among all of the page, counted from 0
     */
    public record Line(String text, int firstWord) {}

    /** {@return the lines, without saying of each word where it stands; {@link #word} does} */
    public List<Line> textLines() {
        List<Line> lines = new ArrayList<>();
        int begin = 0;
        int word = 0;
        for (int i = 0, words = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c == ' ' || c == '\n') words++;
            if (c != '\n') continue;
            lines.add(new Line(text.substring(begin, i), word));
            word += words;
            words = 0;
            begin = i + 1;
        }
        return lines;
    }

    /**
     * {@return how much room there is between a word and the one before it, in heights of the word; of at least a millimetre}
     *
     * @param n its place among all of the page, counted from 0; at least 1
     */
    public double roomBefore(int n) {
        int at = n * SIDES;
        return (sides[at] - (sides[at - SIDES] + sides[at - SIDES + 2])) / Math.max(1, sides[at + 3]);
    }

    /** {@return how far the line's first word is from the top, in millimetres} */
    public float topMm(Line line) {
        return sides[line.firstWord() * SIDES + 1];
    }

    /** {@return how high the line's first word is, in millimetres} */
    public float heightMm(Line line) {
        return sides[line.firstWord() * SIDES + 3];
    }

    /** {@return the words whose middles stand between four places, line by line} */
    public String within(double leftMm, double topMm, double rightMm, double bottomMm) {
        StringBuilder found = new StringBuilder();
        int begin = 0;
        boolean inLine = false;
        int at = 0;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c != ' ' && c != '\n') continue;
            double x = sides[at] + sides[at + 2] / 2.0;
            double y = sides[at + 1] + sides[at + 3] / 2.0;
            if (x >= leftMm && x <= rightMm && y >= topMm && y <= bottomMm) {
                if (!found.isEmpty()) found.append(inLine ? ' ' : '\n');
                found.append(text, begin, i);
                inLine = true;
            }
            at += SIDES;
            begin = i + 1;
            if (c == '\n') inLine = false;
        }
        return found.toString();
    }

    /** {@return the words of each line} */
    public List<List<Word>> lines() {
        List<List<Word>> lines = new ArrayList<>();
        List<Word> line = new ArrayList<>();
        int begin = 0;
        int at = 0;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c != ' ' && c != '\n') continue;
            line.add(new Word(text.substring(begin, i), sides[at], sides[at + 1], sides[at + 2], sides[at + 3]));
            at += SIDES;
            begin = i + 1;
            if (c == '\n') {
                lines.add(List.copyOf(line));
                line.clear();
            }
        }
        return lines;
    }
}
