package app.yellowtab.intake;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.testing.IntakeOfFiles;
import app.yellowtab.testing.Pdfs;
import app.yellowtab.testing.WordFile;
import java.awt.Dimension;
import java.awt.Rectangle;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.poi.sl.usermodel.PictureData;
import org.apache.poi.xslf.usermodel.XMLSlideShow;
import org.apache.poi.xssf.streaming.SXSSFWorkbook;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A file of each kind that holds many times more than the memory has room for is read all the same, several at once. */
class SmallHeapTests {
    private static final Random RANDOM = new Random(7);

    @TempDir
    private Path folder;

    private static BufferedImage sprinkled(int width, int height) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        for (int i = 0; i < width * height / 200; i++)
            image.setRGB(RANDOM.nextInt(width), RANDOM.nextInt(height), RANDOM.nextInt());
        return image;
    }

    private static byte[] jpeg(int width, int height) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(sprinkled(width, height), "jpeg", out);
        return out.toByteArray();
    }

    @Test
    void aLargeFileOfEachKindInASmallHeap() throws Exception {
        byte[] photograph = jpeg(2400, 1800);
        tiff();
        Files.write(folder.resolve("photo.jpg"), photograph);
        ImageIO.write(sprinkled(3000, 2200), "png", folder.resolve("plan.png").toFile());
        Pdfs.write(folder, "pictures", 1, document -> {
            for (int i = 0; i < 30; i++) Pdfs.picture(document, Pdfs.addPage(document, PDRectangle.A4), i);
        });
        StringBuilder paragraphs = new StringBuilder();
        for (int i = 0; i < 2500; i++)
            paragraphs.append(WordFile.p("The store was warm, again and again, and nobody came to look at bin " + i + "."));
        new WordFile(paragraphs.toString()).write(folder, "statement.docx");
        Files.writeString(folder.resolve("log.txt"), "2030-10-07 23:30 14.1 C manual\n".repeat(60_000));
        Files.writeString(folder.resolve("mail.eml"),
                "From: a@b.example\nSubject: Photographs\nContent-Type: multipart/mixed; boundary=b\n\n--b\n\nHere they "
                        + "are.\n--b\n"
                        + "Content-Type: image/jpeg; name=p.jpg\nContent-Disposition: attachment; "
                        + "filename=p.jpg\nContent-Transfer-Encoding: base64\n\n"
                        + Base64.getMimeEncoder().encodeToString(photograph) + "\n--b--\n",
                StandardCharsets.ISO_8859_1);
        slides(photograph);
        workbook();
        String said = run("-Xmx160m");
        assertThat(said.lines().filter(line -> line.startsWith("SOURCE"))).as(said).hasSize(10);
        for (String name : List.of("long.tif 14", "photo.jpg 1", "plan.png 1", "pictures.pdf 31", "mail.eml 1", "p.jpg 1",
                "slides.pptx 3"))
            assertThat(said).contains("SOURCE " + name + "\n");
        for (String name : List.of("statement.docx", "log.txt", "table.xlsx"))
            assertThat(said).containsPattern("SOURCE " + name + " [1-9]");
    }

    private void tiff() throws IOException {
        var writer = ImageIO.getImageWritersByFormatName("tiff").next();
        BufferedImage page = sprinkled(1700, 2400);
        try (var out = ImageIO.createImageOutputStream(folder.resolve("long.tif").toFile())) {
            writer.setOutput(out);
            writer.prepareWriteSequence(null);
            for (int i = 0; i < 14; i++) writer.writeToSequence(new IIOImage(page, null, null), null);
            writer.endWriteSequence();
        }
    }

    private void slides(byte[] photograph) throws IOException {
        try (XMLSlideShow show = new XMLSlideShow(); OutputStream out = Files.newOutputStream(folder.resolve("slides.pptx"))) {
            show.setPageSize(new Dimension(720, 540));
            var data = show.addPicture(photograph, PictureData.PictureType.JPEG);
            for (int i = 0; i < 3; i++) show.createSlide().createPicture(data).setAnchor(new Rectangle(50, 50, 400, 300));
            show.write(out);
        }
    }

    private void workbook() throws IOException {
        try (SXSSFWorkbook workbook = new SXSSFWorkbook(100);
                OutputStream out = Files.newOutputStream(folder.resolve("table.xlsx"))) {
            var sheet = workbook.createSheet("Weights");
            for (int r = 0; r < 4000; r++) {
                var row = sheet.createRow(r);
                for (int c = 0; c < 8; c++) row.createCell(c).setCellValue(r * 8 + c);
            }
            workbook.write(out);
        }
    }

    private String run(String heap) throws IOException, InterruptedException {
        Path said = folder.resolveSibling(folder.getFileName() + ".said");
        Process process = new ProcessBuilder(Path.of(System.getProperty("java.home"), "bin", "java").toString(), heap,
                "--enable-native-access=ALL-UNNAMED",
                "--sun-misc-unsafe-memory-access=allow", "-Djava.awt.headless=true", "-cp", System.getProperty("java.class.path"),
                IntakeOfFiles.class.getName(), folder.toString())
                .redirectOutput(said.toFile()).redirectError(ProcessBuilder.Redirect.DISCARD).start();
        assertThat(process.waitFor(150, TimeUnit.SECONDS)).as("it came to an end").isTrue();
        return Files.readString(said);
    }
}
