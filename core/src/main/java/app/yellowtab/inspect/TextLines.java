package app.yellowtab.inspect;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Pattern;

/** Puts pieces of text, as a page shows them, back into lines. */
final class TextLines {
    private static final Pattern SPACES = Pattern.compile("\\s+");

    private TextLines() {}

    /**
     * A piece of shown text.
     *
     * @param x      from the left edge of the page as it is shown, in points
     * @param y      from its lower edge, of the line that letters stand on
     * @param endX   about where it ends
     * @param sizePt the height of its letters
     */
    record Piece(double x, double y, double endX, double sizePt, String text) {}

    /**
     * A line of text.
     *
     * @param y      from the lower edge of the page, in points
     * @param sizePt the height of its highest letters
     */
    record Line(double x, double y, double sizePt, String text) {}

    /** {@return the lines, from above} */
    static List<Line> lines(List<Piece> pieces) {
        List<Piece> sorted = new ArrayList<>(pieces);
        sorted.sort(Comparator.comparingDouble((Piece p) -> -p.y()).thenComparingDouble(Piece::x));
        List<Line> lines = new ArrayList<>();
        List<Piece> row = new ArrayList<>();
        for (Piece piece : sorted) {
            if (!row.isEmpty() && row.getFirst().y() - piece.y() > Math.max(2, row.getFirst().sizePt() * 0.45)) {
                lines.add(line(row));
                row.clear();
            }
            row.add(piece);
        }
        if (!row.isEmpty()) lines.add(line(row));
        lines.removeIf(line -> line.text().isBlank());
        return lines;
    }

    private static Line line(List<Piece> row) {
        row.sort(Comparator.comparingDouble(Piece::x));
        StringBuilder text = new StringBuilder();
        double end = Double.NaN;
        double size = 0;
        for (Piece piece : row) {
            if (!Double.isNaN(end) && piece.x() - end > piece.sizePt() * 0.18) text.append(' ');
            text.append(piece.text());
            end = piece.endX();
            size = Math.max(size, piece.sizePt());
        }
        return new Line(row.getFirst().x(), row.getFirst().y(), size, SPACES.matcher(text).replaceAll(" ").strip());
    }
}
