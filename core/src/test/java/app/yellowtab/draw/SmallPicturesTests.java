package app.yellowtab.draw;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.sample.paper.RehearsalFile;
import app.yellowtab.sample.paper.RehearsalFile.Packing;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SmallPicturesTests {
    @TempDir
    private Path temp;

    @Test
    void ofAScanDrawnSmallAllDotsCount() throws IOException {
        BufferedImage side = new BufferedImage(1240, 1754, BufferedImage.TYPE_BYTE_BINARY);
        for (int y = 0; y < 1754; y++) for (int x = 0; x < 1240; x++) side.getRaster().setSample(x, y, 0, x % 7 < 2 ? 0 : 1);
        Path scan = temp.resolve("scan.pdf");
        RehearsalFile.write(List.of(side), Packing.CCITT, 150, scan);
        try (PDDocument document = Loader.loadPDF(scan.toFile())) {
            BufferedImage small = new BoundedRenderer(document).draw(0, 112).image();
            assertThat(small.getWidth()).isEqualTo(112);
            assertThat(small.getHeight()).isBetween(157, 159);
            int pale = 0;
            for (int y = 0; y < small.getHeight(); y++) for (int x = 0; x < small.getWidth(); x++)
                if ((small.getRGB(x, y) & 255) > 90 && (small.getRGB(x, y) & 255) < 240) pale++;
            assertThat((double) pale / small.getWidth() / small.getHeight()).as("two dots of seven are black everywhere")
                    .isGreaterThan(0.95);
        }
    }

    @Test
    void aScanOfAStripThatIsHardlyADotWideIsDrawn() throws IOException {
        BufferedImage strip = new BufferedImage(3, 3_000, BufferedImage.TYPE_BYTE_BINARY);
        Path scan = temp.resolve("strip.pdf");
        RehearsalFile.write(List.of(strip), Packing.CCITT, 150, scan);
        try (PDDocument document = Loader.loadPDF(scan.toFile())) {
            for (int width = 1; width < 4; width++)
                assertThat(new BoundedRenderer(document).draw(0, width).image().getHeight()).isPositive();
        }
    }
}
