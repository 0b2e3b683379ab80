package app.yellowtab.convert;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.convert.mail.Mail;
import app.yellowtab.model.Reading;
import app.yellowtab.model.source.SourceKind;
import app.yellowtab.testing.Conversions;
import app.yellowtab.testing.MsgFile;
import app.yellowtab.testing.Pdfs;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class MsgTests {
    private static final Instant SENT = Instant.parse("2030-10-08T03:30:00Z");

    @TempDir
    private Path folder;

    private static MsgFile mail() throws IOException {
        return new MsgFile().text("0037", "Chamber 3").text("0C1A", "Orla Fennick").text("0E04", "Idris Vale; Maud Tarn")
                .sent(SENT);
    }

    private Conversions.Result pages(MsgFile mail) throws IOException {
        return Conversions.of(mail.write(folder, "m.msg"), SourceKind.MSG,
                Reading.STANDARD.withZone(Optional.of(ZoneOffset.UTC)));
    }

    @Test
    void theHeadSaysNamesAndAddresses() throws IOException {
        MsgFile mail = mail().text("5D01", "orla@tarnhollow.example").recipient("Idris Vale", "idris@brightwick.example")
                .recipient("Maud Tarn", "/o=orchard/cn=maud").text("1000", "It is –14°.");
        assertThat(pages(mail).page(1))
                .isEqualTo("From Orla Fennick <orla@tarnhollow.example> To Idris Vale <idris@brightwick.example>; Maud Tarn "
                        + "Date 8 October 2030, 03:30 (+0000) Subject Chamber 3 It is –14°.");
    }

    @Test
    void theTimeIsThatOfTheReaderWhereTheMailDidNotKeepItsWay() throws IOException {
        Mail mail = Mail.readMsg(mail().text("1000", "text").write(folder, "m.msg"), ZoneId.of("America/New_York"));
        assertThat(mail.header().get("Date")).isEqualTo("7 October 2030, 23:30 (-0400)");
        assertThat(mail.sent()).as("not the day that it was in Greenwich").contains(LocalDate.of(2030, 10, 7));
    }

    @Test
    void theTimeIsThatOfTheSenderWhereTheMailKeptItsWay() throws IOException {
        Mail mail = Mail.readMsg(mail().text("007D", "Received: by x\r\nDate: Mon, 7 Oct 2030 23:30:00 -0400\r\n")
                .text("1000", "text").write(folder, "m.msg"), ZoneOffset.UTC);
        assertThat(mail.header().get("Date")).isEqualTo("7 October 2030, 23:30 (-0400)");
        assertThat(mail.sent()).contains(LocalDate.of(2030, 10, 7));
    }

    @Test
    void aWebTextShowsThePicturesThatCameWithIt() throws IOException {
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(90, 60, BufferedImage.TYPE_INT_RGB), "png", png);
        byte[] html = "<p>The <b>fan</b></p><img src='cid:fan@orchard'>".getBytes(StandardCharsets.US_ASCII);
        MsgFile mail = mail().bytes("1013", html).attach("fan.png", png.toByteArray(), "fan@orchard").attach("log.csv",
                "a,b".getBytes(StandardCharsets.US_ASCII), "");
        Conversions.Result result = pages(mail);
        assertThat(result.page(1)).endsWith("Subject Chamber 3 Attachments log.csv The fan");
        int[] ink = Pdfs.ink(Pdfs.picture(result.pdf(), 1, 72));
        assertThat(ink[3] - ink[1]).as("the black picture stands below the words").isGreaterThan(130);
        assertThat(result.findings()).isEmpty();
    }

    @Test
    void aTextThatHasItsLooksOnlyIsNotLost() throws IOException {
        String rtf = "{\\rtf1\\ansi{\\fonttbl{\\f0 Arial;}}\\f0 The fan \\b failed\\b0  at night.\\par Orla}";
        assertThat(pages(mail().bytes("1009", MsgFile.storedRtf(rtf))).page(1))
                .endsWith("Subject Chamber 3 The fan failed at night. Orla");
    }

    @Test
    void aMailInAMailKeepsItsOwnAttachments() throws IOException {
        MsgFile outer = mail().text("1000", "see below");
        outer.attachMail().text("001A", "IPM.Note").text("0037", "The inner one").text("1000", "hello").attach("deep.txt",
                "deep".getBytes(StandardCharsets.US_ASCII), "");
        Mail mail = Mail.readMsg(outer.write(folder, "m.msg"), ZoneOffset.UTC);
        assertThat(mail.attachments()).extracting(Mail.Attachment::name).containsExactly("forwarded message.msg");
        Path inner = Files.write(folder.resolve("inner.msg"), mail.attachments().getFirst().content().open().readAllBytes());
        assertThat(Mail.readMsg(inner, ZoneOffset.UTC).subject()).isEqualTo("The inner one");
        assertThat(Mail.readMsg(inner, ZoneOffset.UTC).attachments()).extracting(Mail.Attachment::name)
                .containsExactly("deep.txt");
    }
}
