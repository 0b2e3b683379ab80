package app.yellowtab.sample;

import java.awt.BasicStroke;
import java.awt.Graphics2D;
import java.util.HashMap;
import java.util.Map;

/**
 * Writes capitals and figures as strokes on a grid of three by five points. The pictures are made with it, because what
 * fonts a machine has would otherwise show in them.
 */
final class Strokes {
    /** Each letter's strokes as pairs of grid points: column 0 to 2, row 0 (top) to 4. */
    private static final Map<Character, String> SHAPES = new HashMap<>();

    static {
        String all = "A0400 0020 2024 0222|B0004 0020 0222 0424 2024|C2000 0004 0424|D0004 0014 1424 2420 2000|E2000 0004 0424 0222"
                + "|F2000 0004 0222|G2000 0004 0424 2422 2212|H0004 2024 0222|I1014|K0004 2002 0224|L0004 0424|M0400 0012 1220 2024"
                + "|N0400 0024 2420|O0004 0424 2420 2000|P0400 0020 2022 2202|R0400 0020 2022 2202 0224|S2000 0002 0222 2224 2404"
                + "|T0020 1014|V0014 1420|W0004 0412 1224 2420|0 0004 0424 2420 2000|1 1014|2 0020 2022 2202 0204 0424"
                + "|3 0020 2024 2404 0222|4 0002 0222 2024|5 2000 0002 0222 2224 2404|6 2000 0004 0424 2422 2202|7 0020 2014"
                + "|8 0004 0424 2420 2000 0222|9 2404 2420 2000 0002 0222";
        for (String shape : all.split("\\|")) SHAPES.put(shape.charAt(0), shape.substring(1).replace(" ", ""));
    }

    private final Graphics2D g;

    Strokes(Graphics2D g) {
        this.g = g;
    }

    void write(String text, int x, int y, int unit) {
        g.setStroke(new BasicStroke(unit * 0.9f));
        int left = x;
        for (char letter : text.toCharArray()) {
            String points = SHAPES.getOrDefault(letter, "");
            for (int i = 0; i + 3 < points.length(); i += 4) {
                g.drawLine(left + at(points, i) * unit * 2, y + at(points, i + 1) * unit * 2,
                        left + at(points, i + 2) * unit * 2, y + at(points, i + 3) * unit * 2);
            }
            left += unit * 6;
        }
    }

    private static int at(String points, int index) {
        return points.charAt(index) - '0';
    }
}
