package app.yellowtab.stamp;

import app.yellowtab.draw.BoundedRenderer;
import app.yellowtab.draw.DrawnPage;
import app.yellowtab.finding.Finding;
import app.yellowtab.mark.Mark;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.pdmodel.PDDocument;

/** The pages of loose files before they are stamped: how many there are, what they look like, what they will bear. Stateless. */
public final class LoosePages {
    private LoosePages() {}

    /** {@return how many pages a file has; empty, with the reason among the findings, where it cannot be stamped} */
    public static Optional<Integer> count(Path file, List<String> passwords, List<Finding> findings) {
        return Stamper.pageCount(file, passwords, findings);
    }

    /**
     * {@return the marks of a page}
     *
     * @param pages of each file, in their order
     * @param file  counted from 0
     * @param page  counted from 1
     */
    public static List<Mark> marks(StampOrder order, List<Integer> pages, int file, int page) {
        return of(order, pages, file).on(page);
    }

    /** {@return the number of a page; empty where it bears none} */
    public static String name(StampOrder order, List<Integer> pages, int file, int page) {
        return of(order, pages, file).name(page);
    }

    private static StampMarks of(StampOrder order, List<Integer> pages, int file) {
        int count = pages.get(file);
        int done = pages.subList(0, file).stream().mapToInt(Integer::intValue).sum();
        int all = pages.stream().mapToInt(Integer::intValue).sum();
        return new StampMarks(order, String.valueOf(order.files().get(file).getFileName()), count,
                order.eachFromStart() ? 0 : done, order.eachFromStart() ? count : all);
    }

    /**
     * {@return the picture of a page}
     *
     * @param page counted from 1
     * @throws IOException if it cannot be read or drawn
     */
    public static DrawnPage draw(Path file, int page, int widthPx) throws IOException {
        try (PDDocument document = Stamper.open(file, List.of())) {
            return BoundedRenderer.within(Files.size(file), () -> new BoundedRenderer(document).draw(page - 1, widthPx));
        }
    }
}
