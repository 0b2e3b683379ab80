package app.yellowtab.convert.mail;

import app.yellowtab.convert.page.Charsets;
import app.yellowtab.convert.page.TooLargeException;
import jakarta.mail.MessagingException;
import jakarta.mail.Part;
import jakarta.mail.Session;
import jakarta.mail.internet.ContentType;
import jakarta.mail.internet.MailDateFormat;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import jakarta.mail.internet.MimeUtility;
import jakarta.mail.internet.ParseException;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UnsupportedEncodingException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.slf4j.LoggerFactory;

/** Reads a mail of the internet's own form, forgiving what mail programs get wrong. */
final class EmlReader {
    static final DateTimeFormatter SHOWN = DateTimeFormatter.ofPattern("d MMMM uuuu, HH:mm (xx)", Locale.ENGLISH);
    private static final Pattern ZONE = Pattern.compile("([+-]\\d{2})(\\d{2})\\b");
    private static final int DEEPEST = 30;
    /** Chosen by us: no mail server carries larger ones, but for mailboxes. */
    private static final long MOST_BYTES = 150L << 20;

    private final List<Mail.Attachment> attachments = new ArrayList<>();
    private final Map<String, Mail.Picture> pictures = new HashMap<>();
    private final List<Passage> passages = new ArrayList<>();

    /** A piece of what the mail says. */
    private record Passage(boolean html, String words) {}

    private EmlReader() {}

    static Mail read(Path file) throws IOException {
        if (Files.size(file) > MOST_BYTES) throw new TooLargeException(Files.size(file) / 1024 / 1024 + " MB");
        List<byte[]> mails = MailBytes.of(Files.readAllBytes(file));
        EmlReader reader = new EmlReader();
        // What a mailbox holds beside its first mail follows that, like what came with it.
        for (byte[] more : mails.subList(1, mails.size())) {
            reader.attachments.add(new Mail.Attachment("mail " + (reader.attachments.size() + 2) + ".eml",
                    () -> new ByteArrayInputStream(more)));
        }
        try (InputStream in = new ByteArrayInputStream(mails.getFirst())) {
            return reader.read(new MimeMessage(session(), in));
        } catch (MessagingException e) {
            throw new IOException("no e-mail that can be read", e);
        }
    }

    private static Session session() {
        Properties lenient = new Properties();
        lenient.setProperty("mail.mime.address.strict", "false");
        lenient.setProperty("mail.mime.ignoreunknownencoding", "true");
        return Session.getInstance(lenient);
    }

    private Mail read(MimeMessage message) throws IOException, MessagingException {
        walk(message, 0);
        boolean isHtml = passages.stream().anyMatch(Passage::html);
        String body =
                passages.stream().map(passage -> passage.html() || !isHtml ? passage.words() : MailPages.asHtml(passage.words()))
                        .collect(Collectors.joining("\n"));
        String subject = words(message, "Subject");
        Optional<OffsetDateTime> sent = sent(message);
        Map<String, String> header = new LinkedHashMap<>();
        put(header, "From", words(message, "From"));
        put(header, "To", words(message, "To"));
        put(header, "Cc", words(message, "Cc"));
        put(header, "Bcc", words(message, "Bcc"));
        put(header, "Date", sent.map(SHOWN::format).orElseGet(() -> header(message, "Date")));
        put(header, "Subject", subject);
        // A picture that the text does not show came with the mail like any other file.
        pictures.entrySet().removeIf(picture -> {
            if (isHtml && body.contains("cid:" + picture.getKey())) return false;
            attachments.add(new Mail.Attachment(picture.getKey().replaceFirst("@.*", ""),
                    () -> new ByteArrayInputStream(picture.getValue().bytes())));
            return true;
        });
        put(header, "Attachments", attachments.stream().map(Mail.Attachment::name).collect(Collectors.joining("; ")));
        return new Mail(subject, sent.map(OffsetDateTime::toLocalDate), header, body, isHtml, pictures, attachments);
    }

    static void put(Map<String, String> header, String name, String value) {
        if (!value.isBlank()) header.put(name, value.strip());
    }

    private static String header(MimeMessage message, String name) {
        try {
            String[] values = message.getHeader(name);
            return values == null ? "" : String.join(", ", values);
        } catch (MessagingException unreadable) {
            return "";
        }
    }

    /** {@return a header in letters of all kinds (RFC 2047); as it stands where it cannot be decoded} */
    private static String words(MimeMessage message, String name) {
        String raw = MimeUtility.unfold(header(message, name));
        try {
            return MimeUtility.decodeText(raw).replaceAll("\\s+", " ").strip();
        } catch (UnsupportedEncodingException unknown) {
            return raw;
        }
    }

    private static Optional<OffsetDateTime> sent(MimeMessage message) {
        String raw = header(message, "Date");
        if (raw.isBlank()) return Optional.empty();
        try {
            Instant instant = new MailDateFormat().parse(raw).toInstant();
            Matcher zone = ZONE.matcher(raw);
            ZoneOffset offset = zone.find() ? ZoneOffset.of(zone.group(1) + ":" + zone.group(2)) : ZoneOffset.UTC;
            return Optional.of(instant.atOffset(offset));
        } catch (java.text.ParseException | DateTimeException notOne) {
            return Optional.empty();
        }
    }

    private void walk(Part part, int depth) throws IOException, MessagingException {
        if (depth > DEEPEST) return;
        String type = type(part);
        String name = fileName(part);
        boolean attached = Part.ATTACHMENT.equalsIgnoreCase(disposition(part));
        if (type.startsWith("multipart/") && !attached) {
            List<Part> children = children(part);
            if (children.isEmpty()) passages.add(new Passage(false, Charsets.decode(bytes(part), "")));
            if (type.startsWith("multipart/alternative")) children = chosen(children);
            for (Part child : children) walk(child, depth + 1);
        } else if (type.startsWith("message/rfc822")) {
            attach(part, name.isEmpty() ? "forwarded message.eml" : name.replaceFirst("(?i)(\\.eml)?$", ".eml"));
        } else if (!attached && name.isEmpty() && isText(type)) {
            passages.add(new Passage(type.startsWith("text/html"), text(part, type)));
        } else {
            String[] id = part.getHeader("Content-ID");
            if (type.startsWith("image/") && id != null && id.length > 0)
                pictures.put(id[0].replaceAll("[<>\\s]", ""), new Mail.Picture(bytes(part)));
            else attach(part, name.isEmpty() ? "attachment" : name);
        }
    }

    /** {@return the parts; where the boundary is not the one that is stated, those between lines that look like one} */
    private static List<Part> children(Part part) throws MessagingException {
        List<Part> children = List.of();
        for (boolean asStated : new boolean[] {true, false}) {
            try {
                children = children(part, asStated);
                if (!children.isEmpty()) return children;
            } catch (MessagingException notFound) {
                LoggerFactory.getLogger(EmlReader.class).info("no such boundary", notFound);
            }
        }
        return children;
    }

    private static List<Part> children(Part part, boolean asStated) throws MessagingException {
        MimeMultipart parts = new LenientMultipart(part.getDataHandler().getDataSource(), asStated);
        List<Part> children = new ArrayList<>();
        for (int i = 0; i < parts.getCount(); i++) children.add(parts.getBodyPart(i));
        return children;
    }

    /**
     * Of the ways in which the same is said, the last that can be shown is the one to show (RFC 2046, 5.1.4); what is no text is
     * kept beside it.
     */
    private static List<Part> chosen(List<Part> ways) throws MessagingException {
        List<Part> chosen = new ArrayList<>();
        Part best = null;
        for (Part way : ways) {
            if (isText(type(way)) || type(way).startsWith("multipart/")) best = best == null || !isPlain(way) ? way : best;
            else chosen.add(way);
        }
        if (best != null) chosen.addFirst(best);
        return chosen;
    }

    private static boolean isPlain(Part part) throws MessagingException {
        return isText(type(part)) && !type(part).startsWith("text/html");
    }

    private static boolean isText(String type) {
        return type.startsWith("text/") && !type.startsWith("text/calendar");
    }

    private static String type(Part part) throws MessagingException {
        return Optional.ofNullable(part.getContentType()).orElse("text/plain").toLowerCase(Locale.ROOT);
    }

    private void attach(Part part, String name) throws IOException {
        attachments.add(new Mail.Attachment(name, () -> new ByteArrayInputStream(bytes(part))));
    }

    private static String disposition(Part part) {
        try {
            return Optional.ofNullable(part.getDisposition()).orElse("");
        } catch (MessagingException unreadable) {
            return "";
        }
    }

    private static String fileName(Part part) {
        try {
            String name = part.getFileName();
            return name == null ? "" : MimeUtility.decodeText(name);
        } catch (MessagingException | UnsupportedEncodingException unreadable) {
            return "";
        }
    }

    private static byte[] bytes(Part part) throws IOException {
        try (InputStream in = part.getInputStream()) {
            return in.readAllBytes();
        } catch (MessagingException e) {
            throw new IOException("a part of the e-mail cannot be decoded", e);
        }
    }

    private static String text(Part part, String type) throws IOException {
        String charset = "";
        try {
            charset = Optional.ofNullable(new ContentType(type).getParameter("charset")).map(MimeUtility::javaCharset).orElse("");
        } catch (ParseException unreadable) {
            charset = "";
        }
        return Charsets.decode(bytes(part), charset);
    }
}
