package app.yellowtab.sample;

import app.yellowtab.sample.paper.SampleFile;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import org.apache.poi.poifs.filesystem.DirectoryEntry;
import org.apache.poi.poifs.filesystem.POIFSFileSystem;

/** Writes e-mails from lines: headers as "From: …", an empty line, the text; "attached: NAME: words" attaches a text file. */
final class SampleMail {
    /** Hundreds of nanoseconds between 1601, from which the stored form counts ([MS-DTYP] 2.3.3), and 1970. */
    private static final long EPOCH_1601 = 116_444_736_000_000_000L;
    private static final int FIXED_PROPERTY_BYTES = 16;

    private final Map<String, String> headers = new LinkedHashMap<>();
    private final Map<String, String> attachments = new LinkedHashMap<>();
    private final StringBuilder text = new StringBuilder();

    private SampleMail(SampleFile file) {
        boolean inHead = true;
        for (String line : file.lines()) {
            if (line.startsWith("attached: ")) {
                String[] parts = line.substring(10).split(": ", 2);
                attachments.put(parts[0], parts[1].replace("; ", "\n") + "\n");
            } else if (inHead && line.contains(": ")) {
                headers.put(line.substring(0, line.indexOf(':')), line.substring(line.indexOf(':') + 2));
            } else {
                inHead = false;
                text.append(line).append("\r\n");
            }
        }
    }

    /** Writes a mail as it is sent (RFC 5322). */
    static void writeEml(SampleFile file, Path target) throws IOException {
        SampleMail mail = new SampleMail(file);
        StringBuilder out = new StringBuilder();
        mail.headers.forEach((name, value) -> out.append(name).append(": ").append(value).append("\r\n"));
        out.append(
                "MIME-Version: 1.0\r\nContent-Type: multipart/mixed; boundary=\"orchard\"\r\n\r\n--orchard\r\nContent-Type: "
                        + "text/plain; charset=utf-8\r\n"
                        + "Content-Transfer-Encoding: base64\r\n\r\n")
                .append(base64(mail.text.toString().strip())).append("\r\n");
        mail.attachments.forEach((name, words) -> out
                .append("--orchard\r\nContent-Type: application/octet-stream\r\nContent-Disposition: attachment; filename=\"")
                .append(name)
                .append("\"\r\nContent-Transfer-Encoding: base64\r\n\r\n").append(base64(words)).append("\r\n"));
        Files.writeString(target, out.append("--orchard--\r\n").toString(), StandardCharsets.US_ASCII);
    }

    private static String base64(String words) {
        return Base64.getMimeEncoder().encodeToString(words.getBytes(StandardCharsets.UTF_8));
    }

    /** Writes a mail as an office program stores it ([MS-OXMSG]). */
    static void writeMsg(SampleFile file, Path target) throws IOException {
        SampleMail mail = new SampleMail(file);
        try (POIFSFileSystem system = new POIFSFileSystem()) {
            DirectoryEntry root = system.getRoot();
            DirectoryEntry names = root.createDirectory("__nameid_version1.0");
            for (String stream : new String[] {"00020102", "00030102", "00040102"})
                put(names, "__substg1.0_" + stream, new byte[0]);
            string(root, "0037", mail.headers.getOrDefault("Subject", ""));
            string(root, "0C1A", mail.headers.getOrDefault("From", ""));
            string(root, "0E04", mail.headers.getOrDefault("To", ""));
            string(root, "1000", mail.text.toString().strip());
            string(root, "007D", "Date: " + mail.headers.get("Date") + "\r\n");
            string(root, "001A", "IPM.Note");
            OffsetDateTime sent = OffsetDateTime.parse(mail.headers.get("Date"),
                    DateTimeFormatter.RFC_1123_DATE_TIME.withLocale(Locale.ENGLISH));
            ByteBuffer properties = ByteBuffer.allocate(32 + FIXED_PROPERTY_BYTES).order(ByteOrder.LITTLE_ENDIAN);
            properties.putInt(16, mail.attachments.size()).putInt(12, 0);
            properties.position(32);
            properties.putInt(0x00390040).putInt(6)
                    .putLong(EPOCH_1601 + sent.withOffsetSameInstant(ZoneOffset.UTC).toEpochSecond() * 10_000_000L);
            put(root, "__properties_version1.0", properties.array());
            int number = 0;
            for (Map.Entry<String, String> attachment : mail.attachments.entrySet()) {
                DirectoryEntry inside = root.createDirectory(String.format(Locale.ROOT, "__attach_version1.0_#%08X", number++));
                string(inside, "3707", attachment.getKey());
                put(inside, "__substg1.0_37010102", attachment.getValue().getBytes(StandardCharsets.UTF_8));
                ByteBuffer method = ByteBuffer.allocate(8 + FIXED_PROPERTY_BYTES).order(ByteOrder.LITTLE_ENDIAN);
                method.position(8);
                method.putInt(0x37050003).putInt(6).putInt(1);
                put(inside, "__properties_version1.0", method.array());
            }
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            system.writeFilesystem(bytes);
            try (OutputStream out = Files.newOutputStream(target)) {
                bytes.writeTo(out);
            }
        }
    }

    private static void string(DirectoryEntry to, String property, String value) throws IOException {
        put(to, "__substg1.0_" + property + "001F", value.getBytes(StandardCharsets.UTF_16LE));
    }

    private static void put(DirectoryEntry to, String name, byte[] bytes) throws IOException {
        to.createDocument(name, new ByteArrayInputStream(bytes));
    }
}
