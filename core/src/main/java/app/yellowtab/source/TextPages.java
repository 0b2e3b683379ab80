package app.yellowtab.source;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.pdf.Canvas;
import app.yellowtab.pdf.FontSet;
import app.yellowtab.pdf.Typeface;
import app.yellowtab.pdf.Units;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
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
    /** Chosen by us: some 25,000 pages. */
    private static final long MOST_BYTES = 64L * 1024 * 1024;
    private static final int LINES_PER_PAGE = (int) ((Units.A4_HEIGHT_PT - TOP_PT - BOTTOM_PT) / LEADING_PT);

    private TextPages() {}

    static void add(PDDocument document, Path file, Path named, Collection<Finding> notes) throws IOException {
        if (Files.size(file) > MOST_BYTES) throw new TooLargeException(Files.size(file) / 1024 / 1024 + " MB of text");
        String text = decode(Files.readAllBytes(file));
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

    /** A byte order mark decides; otherwise UTF-8 if the whole text is valid, else the western code page of Windows. */
    private static String decode(byte[] bytes) {
        if (startsWith(bytes, 0xFF, 0xFE)) return new String(bytes, 2, bytes.length - 2, StandardCharsets.UTF_16LE);
        if (startsWith(bytes, 0xFE, 0xFF)) return new String(bytes, 2, bytes.length - 2, StandardCharsets.UTF_16BE);
        int start = startsWith(bytes, 0xEF, 0xBB, 0xBF) ? 3 : 0;
        try {
            return StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes, start, bytes.length - start)).toString();
        } catch (CharacterCodingException notUtf8) {
            return new String(bytes, Charset.forName("windows-1252"));
        }
    }

    private static boolean startsWith(byte[] bytes, int... mark) {
        if (bytes.length < mark.length) return false;
        for (int i = 0; i < mark.length; i++) if ((bytes[i] & 0xFF) != mark[i]) return false;
        return true;
    }
}
