package app.yellowtab.convert;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.pdf.Canvas;
import app.yellowtab.pdf.FontSet;
import app.yellowtab.pdf.Typeface;
import app.yellowtab.pdf.Units;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** Sets plain text on A4 pages, in a typeface with letters of one width, so that columns made of spaces stay columns. */
final class TextPages {
    private static final Typeface FACE = Typeface.MONO;
    private static final float SIZE_PT = 9.5f;
    private static final float LEADING_PT = 13;
    private static final float SIDE_PT = Units.mm(20);
    private static final float TOP_PT = Units.mm(20);
    private static final float BOTTOM_PT = Units.mm(22);
    private static final int TAB_STOP = 8;
    private static final int LINES_PER_PAGE = (int) ((Units.A4_HEIGHT_PT - TOP_PT - BOTTOM_PT) / LEADING_PT);

    private TextPages() {}

    static void add(PDDocument document, String text, Path named, Collection<Finding> notes) throws IOException {
        int missing = FACE.missingIn(text);
        if (missing > 0) notes.add(Finding.of(Code.CHARACTERS_NOT_SHOWN, named, String.valueOf(missing)));
        FontSet fonts = FontSet.forSaving(document);
        for (String part : text.split("\f", -1)) {
            List<String> lines = lines(part);
            for (int from = 0; from < lines.size(); from += LINES_PER_PAGE) {
                addPage(document, fonts, lines.subList(from, Math.min(from + LINES_PER_PAGE, lines.size())));
            }
        }
    }

    private static void addPage(PDDocument document, FontSet fonts, List<String> lines) throws IOException {
        PDPage page = new PDPage(new PDRectangle(Units.A4_WIDTH_PT, Units.A4_HEIGHT_PT));
        document.addPage(page);
        try (Canvas canvas = new Canvas(document, page, fonts)) {
            float y = Units.A4_HEIGHT_PT - TOP_PT - SIZE_PT;
            for (String line : lines) {
                if (!line.isBlank()) canvas.left(line, FACE, SIZE_PT, SIDE_PT, y);
                y -= LEADING_PT;
            }
        }
    }

    private static List<String> lines(String text) {
        int columns = (int) ((Units.A4_WIDTH_PT - 2 * SIDE_PT) / FACE.width("0", SIZE_PT));
        List<String> lines = new ArrayList<>();
        text.stripTrailing().lines().forEach(line -> {
            String rest = expandTabs(line);
            while (rest.length() > columns) {
                int space = rest.lastIndexOf(' ', columns);
                int cut = space > rest.length() - rest.stripLeading().length() ? space : columns;
                lines.add(rest.substring(0, cut));
                rest = rest.substring(cut).stripLeading();
            }
            lines.add(rest);
        });
        return lines.isEmpty() ? List.of("") : lines;
    }

    private static String expandTabs(String line) {
        StringBuilder wide = new StringBuilder();
        for (int i = 0; i < line.length(); i++) {
            char c = line.charAt(i);
            if (c == '\t') wide.repeat(' ', TAB_STOP - wide.length() % TAB_STOP);
            else wide.append(c);
        }
        return wide.toString();
    }
}
