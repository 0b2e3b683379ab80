package app.yellowtab.bench;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import javax.imageio.ImageIO;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.pdfbox.pdmodel.graphics.image.JPEGFactory;

/**
 * Made-up PDFs to measure with, written once and kept.
 *
 * @param folder where they lie
 * @param files  how many
 * @param pages  pages in each
 * @param scans  the share of pages that are page scans, from 0 to 1
 */
public record Corpus(Path folder, int files, int pages, double scans) {
    /** Different pictures; each use of one is made different by a comment in its data, so that no two scans are the same. */
    private static final int PICTURES = 12;

    /** {@return the files, written now if they are not there yet} */
    public List<Path> write() throws IOException {
        Files.createDirectories(folder);
        List<byte[]> pictures = new ArrayList<>();
        List<Path> all = new ArrayList<>();
        for (int n = 1; n <= files; n++) {
            Path file = folder.resolve(String.format(Locale.ROOT, "%04d.pdf", n));
            all.add(file);
            if (Files.exists(file)) continue;
            if (pictures.isEmpty()) for (int i = 0; i < PICTURES; i++) pictures.add(picture(i));
            write(file, n, pictures);
        }
        return all;
    }

    private void write(Path file, int number, List<byte[]> pictures) throws IOException {
        Random random = new Random(number);
        Path draft = file.resolveSibling(file.getFileName() + ".part");
        try (PDDocument document = new PDDocument(IOUtils.createTempFileOnlyStreamCache())) {
            PDFont font = new PDType1Font(Standard14Fonts.FontName.TIMES_ROMAN);
            for (int p = 1; p <= pages; p++) {
                PDPage page = new PDPage(PDRectangle.A4);
                document.addPage(page);
                try (var content = new PDPageContentStream(document, page)) {
                    if (random.nextDouble() < scans) {
                        byte[] jpeg = marked(pictures.get(random.nextInt(PICTURES)), number + "/" + p);
                        content.drawImage(JPEGFactory.createFromByteArray(document, jpeg), 0, 0, page.getMediaBox().getWidth(),
                                page.getMediaBox().getHeight());
                    } else {
                        text(content, font, number, p);
                    }
                }
            }
            document.save(draft.toFile());
        }
        Files.move(draft, file);
    }

    private static void text(PDPageContentStream content, PDFont font, int number, int page) throws IOException {
        content.beginText();
        content.setFont(font, 11);
        content.newLineAtOffset(72, 760);
        for (int line = 1; line <= 44; line++) {
            content.showText(
                    "File " + number + ", page " + page + ", line " + line + ": the apples in the middle rows were the worst.");
            content.newLineAtOffset(0, -15);
        }
        content.endText();
    }

    /** A grey page with grain, some 300 KB, as a scanner at 150 dpi gives it. */
    private static byte[] picture(int seed) throws IOException {
        Random random = new Random(seed);
        BufferedImage image = new BufferedImage(1240, 1754, BufferedImage.TYPE_BYTE_GRAY);
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                int ink = y % 40 < 14 && (x * 7 + y / 40 * 31 + seed) % 23 < 11 ? 60 : 235;
                int grey = Math.clamp(ink + random.nextInt(9) - 4, 0, 255);
                image.getRaster().setSample(x, y, 0, grey);
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "jpeg", out);
        return out.toByteArray();
    }

    /** Puts a comment segment behind the start of a JPEG (ITU-T T.81, B.2.4.5). */
    private static byte[] marked(byte[] jpeg, String words) {
        byte[] comment = words.getBytes(StandardCharsets.US_ASCII);
        byte[] marked = new byte[jpeg.length + comment.length + 4];
        System.arraycopy(jpeg, 0, marked, 0, 2);
        marked[2] = (byte) 0xFF;
        marked[3] = (byte) 0xFE;
        marked[5] = (byte) (comment.length + 2);
        System.arraycopy(comment, 0, marked, 6, comment.length);
        System.arraycopy(jpeg, 2, marked, 6 + comment.length, jpeg.length - 2);
        return marked;
    }
}
