package app.yellowtab.compare;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.edit.PagePairs;
import app.yellowtab.finding.Progress;
import app.yellowtab.model.source.Source;
import app.yellowtab.picture.PageRenderer;
import app.yellowtab.picture.PictureFiles;
import app.yellowtab.source.InPlace;
import app.yellowtab.testing.Folder;
import app.yellowtab.testing.Pdfs;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class FileComparisonTests {
    @TempDir
    private Path folder;

    private void write(String name, String... pages) throws IOException {
        try (PDDocument document = new PDDocument()) {
            for (String words : pages) {
                PDPage page = Pdfs.addPage(document, PDRectangle.A4);
                Pdfs.say(document, page, words.replace("#", ""));
                if (words.endsWith("#")) Pdfs.picture(document, page, 90);
            }
            document.save(folder.resolve(name).toFile());
        }
    }

    private String compared() throws IOException {
        try (InPlace place = new InPlace(List.of()); PageRenderer renderer = new PageRenderer(place, new PictureFiles(folder.resolve("pictures"), 1 << 20))) {
            List<Source> sources = Folder.bundle(place, folder).sources();
            PagePairs pairs = FileComparison.compare(renderer, place, sources.get(0), sources.get(1), Progress.NONE, () -> false);
            return pairs.pairs().stream().map(pair -> pair.before() + (pair.same() ? "=" : "~") + pair.after()).collect(Collectors.joining(" "));
        }
    }

    @Test
    void whatHasChangedInWordsOrInPicturesIsFound() throws IOException {
        write("a.pdf", "The first page of it", "The bins stood in chamber 3", "They were opened on 12 October", "The last page of it");
        write("b.pdf", "The first page of it", "A page that is quite new", "The bins stood in chamber 3 #", "They were opened on 13 October", "The last page of it");
        assertThat(compared()).isEqualTo("1=1 0~2 2~3 3~4 4=5");
    }

    @Test
    void theSamePagesInAnotherFileAreTheSame() throws IOException {
        write("a.pdf", "One #", "Two");
        write("b.pdf", "One #", "Two", "Three");
        assertThat(compared()).isEqualTo("1=1 2=2 0~3");
    }

    @Test
    void oneOtherFigureInAPictureOfTextIsSeen() {
        assertThat(PageSight.of(text("Invoice 4127")).isLike(PageSight.of(text("Invoice 4127")))).isTrue();
        assertThat(PageSight.of(text("Invoice 4127")).isLike(PageSight.of(text("Invoice 4121")))).isFalse();
        assertThat(PageSight.of(text("Invoice 4127")).isLike(PageSight.of(text("Invoice 4127").getSubimage(0, 0, 480, 600)))).isFalse();
    }

    private static BufferedImage text(String words) {
        BufferedImage page = new BufferedImage(PageSight.WIDTH_PX, 680, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = page.createGraphics();
        pen.setColor(Color.WHITE);
        pen.fillRect(0, 0, 480, 680);
        pen.setColor(Color.BLACK);
        pen.setFont(new Font(Font.SERIF, Font.PLAIN, 8));
        pen.drawString(words, 100, 300);
        pen.dispose();
        return page;
    }
}
