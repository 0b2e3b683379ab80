package app.yellowtab.inspect;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.facts.Properties;
import app.yellowtab.input.PdfInput;
import app.yellowtab.model.source.SourceKind;
import app.yellowtab.testing.Pdfs;
import app.yellowtab.testing.WordFile;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Calendar;
import java.util.Date;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TimeZone;
import javax.imageio.ImageIO;
import org.apache.pdfbox.pdmodel.PDDocumentInformation;
import org.apache.poi.hssf.usermodel.HSSFWorkbook;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What files say of themselves. */
class FilePropertiesTests {
    private static final Properties STATED = new Properties("Cold store agreement", Optional.of(LocalDate.of(2030, 10, 12)));

    @TempDir
    private Path folder;

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    @Test
    void aPdfSaysItInItsInformation() throws IOException {
        Path file = Pdfs.write(folder, "a", 1, document -> {
            PDDocumentInformation information = new PDDocumentInformation();
            information.setTitle(" Cold store agreement ");
            Calendar late = Calendar.getInstance(TimeZone.getTimeZone("GMT-05:00"), Locale.ROOT);
            late.setTimeInMillis(Instant.parse("2030-10-13T03:30:00Z").toEpochMilli());
            information.setCreationDate(late);
            document.setDocumentInformation(information);
        });
        try (PdfInput input = PdfInput.open(file, List.of())) {
            assertThat(Inspection.of(input).properties()).as("the day is that of the writer").isEqualTo(STATED);
        }
    }

    @Test
    void newerOfficeFilesSayItInAPartOfTheirOwn() throws IOException {
        Map<String, byte[]> parts = Map.of("docProps/core.xml", bytes(
                "<cp:coreProperties xmlns:cp=\"http://schemas.openxmlformats.org/package/2006/metadata/core-properties\" "
                        + "xmlns:dc=\"http://purl.org/dc/elements/1.1/\" "
                        + "xmlns:dcterms=\"http://purl.org/dc/terms/\"><dc:title>Cold store "
                        + "agreement</dc:title><dcterms:created>2030-10-12T08:00:00Z</dcterms:created></cp:coreProperties>"));
        assertThat(FileProperties.of(WordFile.zip(folder.resolve("a.docx"), parts), SourceKind.DOCX, ZoneOffset.UTC))
                .isEqualTo(STATED);
        assertThat(FileProperties.of(folder.resolve("a.docx"), SourceKind.DOCX, ZoneOffset.ofHours(-9)).made())
                .as("it was made the evening before").contains(LocalDate.of(2030, 10, 11));
        Map<String, byte[]> open = Map.of("meta.xml", bytes(
                "<office:document-meta xmlns:office=\"urn:oasis:names:tc:opendocument:xmlns:office:1.0\" "
                        + "xmlns:meta=\"urn:oasis:names:tc:opendocument:xmlns:meta:1.0\" "
                        + "xmlns:dc=\"http://purl.org/dc/elements/1.1/\"><office:meta><dc:title>Cold store "
                        + "agreement</dc:title><meta:creation-date>2030-10-12T08:00:00.123</meta:creation-date></office:meta></"
                        + "office:document-meta>"));
        assertThat(FileProperties.of(WordFile.zip(folder.resolve("a.ods"), open), SourceKind.ODS, ZoneOffset.UTC))
                .isEqualTo(STATED);
    }

    @Test
    void olderOfficeFilesSayItInTheirSummary() throws IOException {
        Path file = folder.resolve("a.xls");
        try (HSSFWorkbook book = new HSSFWorkbook(); OutputStream out = Files.newOutputStream(file)) {
            book.createSheet();
            book.createInformationProperties();
            book.getSummaryInformation().setTitle("Cold store agreement");
            book.getSummaryInformation().setCreateDateTime(Date.from(Instant.parse("2030-10-12T12:00:00Z")));
            book.write(out);
        }
        assertThat(FileProperties.of(file, SourceKind.XLS, ZoneOffset.UTC)).isEqualTo(STATED);
    }

    @Test
    void richTextSaysItInItsHead() throws IOException {
        Path file = Files.writeString(folder.resolve("a.rtf"),
                "{\\rtf1{\\info{\\title Cold store agreement}{\\creatim\\yr2030\\mo10\\dy12\\hr9\\min30}}\\pard text\\par}");
        assertThat(FileProperties.of(file, SourceKind.RTF, ZoneOffset.UTC)).isEqualTo(STATED);
    }

    /** Writes a photograph that says when it was taken (EXIF 2.32, tags 0x8769 and 0x9003). */
    private Path photograph(String taken) throws IOException {
        ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(20, 20, BufferedImage.TYPE_INT_RGB), "jpeg", jpeg);
        ByteBuffer exif = ByteBuffer.allocate(64).order(ByteOrder.LITTLE_ENDIAN).put(bytes("II")).putShort((short) 42).putInt(8);
        exif.putShort((short) 1).putShort((short) 0x8769).putShort((short) 4).putInt(1).putInt(26).putInt(0);
        exif.putShort((short) 1).putShort((short) 0x9003).putShort((short) 2).putInt(20).putInt(44).putInt(0)
                .put(bytes(taken + "\0"));
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(jpeg.toByteArray(), 0, 2);
        out.writeBytes(new byte[] {(byte) 0xFF, (byte) 0xE1, 0, 72, 'E', 'x', 'i', 'f', 0, 0});
        out.writeBytes(exif.array());
        out.write(jpeg.toByteArray(), 2, jpeg.size() - 2);
        return Files.write(folder.resolve("photo.jpg"), out.toByteArray());
    }

    @Test
    void aPhotographSaysWhenItWasTaken() throws IOException {
        assertThat(FileProperties.of(photograph("2030:10:12 23:30:00"), SourceKind.JPEG, ZoneOffset.UTC).made())
                .isEqualTo(STATED.made());
        assertThat(FileProperties.of(photograph("0000:00:00 00:00:00"), SourceKind.JPEG, ZoneOffset.UTC))
                .as("a camera without a clock").isEqualTo(Properties.NONE);
    }

    @ParameterizedTest
    @EnumSource(SourceKind.class)
    void whatCannotBeReadIsAsIfItWereNotSaid(SourceKind kind) throws IOException {
        assertThat(FileProperties.of(Files.write(folder.resolve("broken"), bytes("no such thing")), kind, ZoneOffset.UTC))
                .isEqualTo(Properties.NONE);
    }
}
