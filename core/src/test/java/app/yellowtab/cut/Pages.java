package app.yellowtab.cut;

import app.yellowtab.facts.PageText;
import app.yellowtab.facts.PageText.Word;
import app.yellowtab.words.BatchPage;
import java.util.ArrayList;
import java.util.List;

/** Pages of batches for tests: A4, each line 10 mm below the one before, letters 2 mm wide. */
final class Pages {
    static final double WIDTH = 210;
    static final double HEIGHT = 297;

    private Pages() {}

    /**
     * {@return a page of lines from above; "@280 " before one puts it at that height, in millimetres from above, "|" leaves a
     * gap}
     */
    static BatchPage page(String... lines) {
        return page(WIDTH, HEIGHT, List.of(), lines);
    }

    static BatchPage page(double widthMm, double heightMm, List<BatchPage.Bookmark> bookmarks, String... lines) {
        List<List<Word>> set = new ArrayList<>();
        float top = 20;
        for (String line : lines) {
            String words = line;
            if (line.startsWith("@")) {
                top = Float.parseFloat(line.substring(1, line.indexOf(' ')));
                words = line.substring(line.indexOf(' ') + 1);
            }
            List<Word> row = new ArrayList<>();
            float left = 20;
            for (String word : words.strip().split("\\s+")) {
                if (word.equals("|")) {
                    left += 40;
                    continue;
                }
                row.add(new Word(word, left, top, 2 * word.length(), 4));
                left += 2 * word.length() + 2;
            }
            set.add(row);
            top += 10;
        }
        return new BatchPage(set.isEmpty() ? PageText.NONE : new PageText(set), false, widthMm, heightMm, bookmarks);
    }

    static BatchPage marked(int level, String title, String... lines) {
        return page(WIDTH, HEIGHT, List.of(new BatchPage.Bookmark(level, title)), lines);
    }

    static BatchPage blank() {
        return new BatchPage(PageText.NONE, true, WIDTH, HEIGHT, List.of());
    }

    static List<BatchPage> plain(int count) {
        List<BatchPage> all = new ArrayList<>();
        for (int i = 1; i <= count; i++) all.add(page("text " + i));
        return all;
    }

    /** {@return such as "1-3 4 | dropped 5"} */
    static String shown(Cutting cutting) {
        StringBuilder all = new StringBuilder();
        for (Cutting.Piece piece : cutting.pieces()) {
            all.append(all.isEmpty() ? "" : " ");
            List<Integer> pages = piece.pages();
            boolean runs = pages.getLast() - pages.getFirst() == pages.size() - 1 && pages.size() > 1;
            all.append(runs ? pages.getFirst() + "-" + pages.getLast()
                    : String.join("+", pages.stream().map(String::valueOf).toList()));
        }
        if (!cutting.dropped().isEmpty()) all.append(" | dropped ")
                .append(String.join(" ", cutting.dropped().stream().map(drop -> String.valueOf(drop.page())).toList()));
        return all.toString();
    }
}
