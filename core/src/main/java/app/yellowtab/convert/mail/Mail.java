package app.yellowtab.convert.mail;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * An e-mail that has been read.
 *
 * @param subject     empty where it has none
 * @param sent        the day on which it was sent, where the sender was
 * @param header      what is printed above it, in order: "From", "To" and so on
 * @param body        its text; HTML if {@code isHtml}
 * @param pictures    by content identity, the pictures that its text shows (RFC 2392)
 * @param attachments the files that came with it
 */
public record Mail(String subject, Optional<LocalDate> sent, Map<String, String> header, String body, boolean isHtml,
        Map<String, Picture> pictures, List<Attachment> attachments) {
    public Mail {
        header = new LinkedHashMap<>(header);
        pictures = Map.copyOf(pictures);
        attachments = List.copyOf(attachments);
    }

    /** A picture in the text. */
    public record Picture(byte[] bytes) {}

    /** A file that came with a mail; its name is as the sender wrote it, and not to be trusted. */
    public record Attachment(String name, Content content) {}

    /** Opens what is attached. */
    @FunctionalInterface
    public interface Content {
        /** {@return the bytes, to be closed by the caller} */
        InputStream open() throws IOException;
    }

    /** {@return an e-mail as it is sent (RFC 5322, RFC 2045)} */
    public static Mail readEml(Path file) throws IOException {
        return EmlReader.read(file);
    }

    /**
     * {@return an e-mail as an office program stores it}
     *
     * @param zone where the day begins on which it was sent, if it does not say where the sender was
     */
    public static Mail readMsg(Path file, ZoneId zone) throws IOException {
        return MsgReader.read(file, zone);
    }
}
