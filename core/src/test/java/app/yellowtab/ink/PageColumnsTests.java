package app.yellowtab.ink;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.draw.BoundedRenderer;
import app.yellowtab.sample.paper.RehearsalPages;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Running text in two columns is told from tables and from plain text. */
class PageColumnsTests {
    @TempDir
    private Path temp;

    @Test
    void onlyRunningTextHasColumns() throws IOException {
        Path file = temp.resolve("pages.pdf");
        List<List<String>> truth = RehearsalPages.write(file, 24, 5);
        List<Integer> found = new ArrayList<>();
        List<Integer> columns = new ArrayList<>();
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            BoundedRenderer renderer = new BoundedRenderer(document);
            for (int page = 0; page < 24; page++) {
                if (PageColumns.areTwo(GreyPicture.of(renderer.draw(page, 827).image(), 100))) found.add(page);
                // Paragraphs are counted anew in the second column.
                if (truth.get(page).stream().filter("1."::equals).count() == 2) columns.add(page);
            }
        }
        assertThat(columns).hasSizeGreaterThan(1);
        assertThat(found).isEqualTo(columns);
    }
}
