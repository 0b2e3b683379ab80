package app.yellowtab.convert;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.convert.mail.Mail;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.model.source.SourceKind;
import app.yellowtab.testing.Conversions;
import app.yellowtab.testing.Listener;
import app.yellowtab.testing.Pdfs;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Base64;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** E-mails and web pages. */
class MailTests {
    private static final String HEAD =
            "From: =?utf-8?Q?Orla_Fenn=C3=AFck?= <orla@tarnhollow.example>\r\nTo: Idris <i@brightwick.example>,\r\n Maud "
                    + "<m@tarnhollow.example>\r\n"
                    + "Date: Mon, 7 Oct 2030 23:30:00 -0500\r\nSubject: Chamber 3\r\nMIME-Version: 1.0\r\n";

    @TempDir
    private Path folder;

    private Path eml(String rest) throws IOException {
        return Files.writeString(folder.resolve("m.eml"), HEAD + rest, StandardCharsets.ISO_8859_1);
    }

    private static String part(String head, String body) {
        return "--b\r\n" + head + "\r\n\r\n" + body + "\r\n";
    }

    @Test
    void theHeadSaysWhoWroteWhatToWhomAndWhen() throws IOException {
        Conversions.Result result = Conversions.of(eml(
                "Content-Type: text/plain; charset=windows-1252\r\nContent-Transfer-Encoding: quoted-printable\r\n\r\nIt is "
                        + "=9614=B0.\r\nIdris"),
                SourceKind.EML);
        assertThat(result.page(1)).isEqualTo(
                "From Orla Fennïck <orla@tarnhollow.example> To Idris <i@brightwick.example>, Maud <m@tarnhollow.example> "
                        + "Date 7 October 2030, 23:30 (-0500) Subject Chamber 3 It is –14°. Idris");
        assertThat(result.findings()).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"From orla@tarnhollow.example Mon Oct  7 23:30:00 2030\n", "\n\n", "\u00EF\u00BB\u00BF",
            ">From somebody\n"})
    void whatStandsBeforeTheHead(String before) throws IOException {
        Path file = Files.writeString(folder.resolve("m.eml"), before + HEAD + "\r\nThe store was warm.",
                StandardCharsets.ISO_8859_1);
        assertThat(Conversions.of(file, SourceKind.EML).page(1)).contains("Subject Chamber 3", "The store was warm.");
    }

    @Test
    void everyMailOfAMailbox() throws IOException {
        String mailbox = "From a@b.example Mon Oct  7 23:30:00 2030\n" + HEAD
                + "\r\nFirst.\nFrom here on it is text.\n\nFrom a@b.example Mon Oct  7 23:31:00 2030\nSubject: Second\n\nThe "
                + "other.\n";
        Mail mail = Mail.readEml(Files.writeString(folder.resolve("box.eml"), mailbox, StandardCharsets.ISO_8859_1));
        assertThat(mail.body()).contains("First.", "From here on it is text.").doesNotContain("The other.");
        assertThat(mail.attachments()).extracting(Mail.Attachment::name).containsExactly("mail 2.eml");
        assertThat(new String(mail.attachments().getFirst().content().open().readAllBytes(), StandardCharsets.ISO_8859_1))
                .contains("Subject: Second", "The other.");
    }

    @ParameterizedTest
    @ValueSource(strings = {"Only words, and no head at all.\nA second line.", "Dear Orla,\n\nOnly words, and no head at all."})
    void aMailWithoutAHead(String words) throws IOException {
        assertThat(Conversions.of(Files.writeString(folder.resolve("m.eml"), words), SourceKind.EML).page(1))
                .contains("Only words, and no head at all.");
    }

    @ParameterizedTest
    @ValueSource(strings = {"UTF-16", "UTF-16LE", "UTF-16BE"})
    void aMailInTwoBytesALetter(String charset) throws IOException {
        Path whole = Files.write(folder.resolve("m.eml"), (HEAD + "\r\nIt was 14° – warm.").getBytes(charset));
        assertThat(Conversions.of(whole, SourceKind.EML).page(1)).contains("Chamber 3", "It was 14° – warm.");
        Path body = eml("Content-Type: text/plain; charset=utf-16\r\nContent-Transfer-Encoding: base64\r\n\r\n"
                + Base64.getMimeEncoder().encodeToString("It was 14° – warm.".getBytes(charset)));
        assertThat(Conversions.of(body, SourceKind.EML).page(1)).contains("It was 14° – warm.");
    }

    @ParameterizedTest
    @ValueSource(strings = {"--b\r\n%s\r\n--b--", "--c\r\n%s\r\n--c--", "--b \r\n%s\r\n", "-- b\r\n%s\r\n", "%s"})
    void boundariesThatAreALittleWrong(String form) throws IOException {
        String part = "Content-Type: text/plain\r\n\r\nThe store was warm.";
        assertThat(Conversions.of(eml("Content-Type: multipart/mixed; boundary=b\r\n\r\n" + form.formatted(part)), SourceKind.EML)
                .page(1)).contains("The store was warm.");
    }

    @Test
    void theDayIsThatOfTheSender() throws IOException {
        Mail mail = Mail.readEml(eml("\r\ntext"));
        assertThat(mail.sent()).contains(LocalDate.of(2030, 10, 7));
        assertThat(mail.subject()).isEqualTo("Chamber 3");
    }

    @Test
    void whatCameWithItIsNamedAndCanBeTakenOut() throws IOException {
        Mail mail = Mail.readEml(eml("Content-Type: multipart/mixed; boundary=b\r\n\r\n"
                + part("Content-Type: text/plain", "see attached")
                + part("Content-Type: text/csv; name=\"log.csv\"\r\nContent-Disposition: attachment; "
                        + "filename=\"log.csv\"\r\nContent-Transfer-Encoding: base64",
                        "YSxi")
                + part("Content-Type: message/rfc822", "Subject: inner\r\n\r\nforwarded") + "--b--\r\n"));
        assertThat(mail.attachments()).extracting(Mail.Attachment::name).containsExactly("log.csv", "forwarded message.eml");
        assertThat(new String(mail.attachments().getFirst().content().open().readAllBytes(), StandardCharsets.UTF_8))
                .isEqualTo("a,b");
        assertThat(mail.header()).containsEntry("Attachments", "log.csv; forwarded message.eml");
    }

    @Test
    void picturesInTheTextAreShownAndNoneIsFetched() throws IOException {
        try (Listener listener = new Listener()) {
            String there = listener.address();
            ByteArrayOutputStream png = new ByteArrayOutputStream();
            ImageIO.write(new BufferedImage(60, 60, BufferedImage.TYPE_INT_RGB), "png", png);
            String html = "<html><head><link rel=stylesheet href='" + there + "a.css'><style>@import url(" + there
                    + "b.css); body{background:url('" + there + "c.png')}</style></head>"
                    + "<body background='" + there + "d.png'><script src='" + there
                    + "e.js'></script><p>Dear Idris</p><img src='cid:pic'><img src='" + there + "f.png' alt='logo'>"
                    + "<iframe src='" + there + "g'></iframe><object data='" + there + "h'></object></body></html>";
            Conversions.Result result =
                    Conversions.of(
                            eml("Content-Type: multipart/related; boundary=b\r\n\r\n" + part("Content-Type: text/html", html)
                                    + part("Content-Type: image/png\r\nContent-ID: <pic>\r\nContent-Transfer-Encoding: base64",
                                            Base64.getEncoder().encodeToString(png.toByteArray()))
                                    + "--b--\r\n"),
                            SourceKind.EML);
            assertThat(result.page(1)).contains("Dear Idris", "[picture: logo]");
            assertThat(result.codes()).containsExactly(Code.NOT_FETCHED);
            assertThat(blackShare(Pdfs.picture(result.pdf(), 1, 40))).as("the picture that came with it").isGreaterThan(0.002);
            Path page = Files.writeString(folder.resolve("page.html"), html);
            assertThat(Conversions.of(page, SourceKind.HTML).page(1)).contains("Dear Idris");
            assertThat(listener.asked()).as("nothing leaves the machine").isZero();
        }
    }

    private static double blackShare(BufferedImage picture) {
        int black = 0;
        for (int y = 0; y < picture.getHeight(); y++)
            for (int x = 0; x < picture.getWidth(); x++) if ((picture.getRGB(x, y) & 0xFF) < 60) black++;
        return black / (double) (picture.getWidth() * picture.getHeight());
    }

    @Test
    void aWideTableStaysOnThePage() throws IOException {
        Path page = Files.writeString(folder.resolve("w.html"),
                "<table width=1400><tr><td width=700>left</td><td width=700 style='text-align:right'>right</td></tr></table>");
        Conversions.Result result = Conversions.of(page, SourceKind.HTML);
        assertThat(result.page(1)).isEqualTo("left right");
        assertThat(Pdfs.ink(Pdfs.picture(result.pdf(), 1, 72))[2]).as("nothing is cut off at the right").isLessThan(560);
    }

    @Test
    void aPageSaysItsOwnEncoding() throws IOException {
        Path page = Files.write(folder.resolve("e.html"),
                "<html><head><meta charset='iso-8859-2'></head><body>Łódź</body></html>".getBytes(Charset.forName("ISO-8859-2")));
        assertThat(Conversions.of(page, SourceKind.HTML).page(1)).isEqualTo("Łódź");
    }

    @Test
    void whatFollowsAnAttachmentIsReadTooAndTheSameIsNotSaidTwice() throws IOException {
        String both =
                "Content-Type: multipart/alternative; boundary=a\r\n\r\n--a\r\nContent-Type: text/plain\r\n\r\nthe plain "
                        + "way\r\n--a\r\nContent-Type: text/html\r\n\r\n<p>the rich way</p>\r\n"
                        + "--a\r\nContent-Type: text/calendar; name=\"visit.ics\"\r\n\r\nBEGIN:VCALENDAR\r\n--a--";
        Path mail = eml("Content-Type: multipart/mixed; boundary=b\r\n\r\n--b\r\n" + both + "\r\n"
                + part("Content-Type: text/plain; name=\"log.txt\"\r\nContent-Disposition: attachment", "x")
                + part("Content-Type: text/html", "<p>after the <i>log</i></p>")
                + part("Content-Type: text/plain", "a footer  < with\r\n  its spaces") + "--b--\r\n");
        assertThat(Conversions.of(mail, SourceKind.EML).page(1))
                .endsWith("Attachments visit.ics; log.txt the rich way after the log a footer < with its spaces");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "<p>rich</p>"})
    void linesOfPlainTextStayLines(String beside) throws IOException {
        Path mail = eml("Content-Type: multipart/mixed; boundary=b\r\n\r\n"
                + part("Content-Type: text/plain", "Dear Orla,\r\n\r\n  the <motor> & fan\r\nwere changed.")
                + (beside.isEmpty() ? "" : part("Content-Type: text/html", beside)) + "--b--\r\n");
        Path pdf = Conversions.of(mail, SourceKind.EML).pdf();
        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            assertThat(new PDFTextStripper().getText(document).lines().map(String::strip)).contains("Dear Orla,",
                    "the <motor> & fan", "were changed.");
        }
    }
}
