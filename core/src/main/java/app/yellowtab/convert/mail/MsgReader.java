package app.yellowtab.convert.mail;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.poi.hsmf.MAPIMessage;
import org.apache.poi.hsmf.datatypes.AttachmentChunks;
import org.apache.poi.hsmf.exceptions.ChunkNotFoundException;
import org.apache.poi.poifs.filesystem.EntryUtils;
import org.apache.poi.poifs.filesystem.POIFSFileSystem;
import org.jspecify.annotations.Nullable;

/** Reads a mail as an office program stores it ([MS-OXMSG]). */
final class MsgReader {
    private static final Pattern ZONE = Pattern.compile("(?im)^Date:.*([+-]\\d{2})(\\d{2})\\b");

    private MsgReader() {}

    static Mail read(Path file) throws IOException {
        try (MAPIMessage message = new MAPIMessage(file.toFile())) {
            message.setReturnNullOnMissingChunk(true);
            message.guess7BitEncoding();
            return read(message);
        } catch (ChunkNotFoundException e) {
            throw new IOException("no e-mail that can be read", e);
        }
    }

    private static Mail read(MAPIMessage message) throws ChunkNotFoundException, IOException {
        String html = words(message.getHtmlBody());
        String text = words(message.getTextBody());
        Map<String, Mail.Picture> pictures = new HashMap<>();
        List<Mail.Attachment> attachments = new ArrayList<>();
        for (AttachmentChunks attachment : message.getAttachmentFiles()) {
            String id = attachment.getAttachContentId() == null ? "" : words(attachment.getAttachContentId().getValue()).replaceAll("[<>]", "");
            if (attachment.isEmbeddedMessage()) {
                attachments.add(new Mail.Attachment("forwarded message.msg", () -> embedded(attachment)));
            } else if (attachment.getAttachData() != null) {
                byte[] bytes = attachment.getAttachData().getValue();
                if (!id.isEmpty() && html.contains("cid:" + id)) pictures.put(id, new Mail.Picture(bytes));
                else attachments.add(new Mail.Attachment(name(attachment), () -> new ByteArrayInputStream(bytes)));
            }
        }
        Optional<OffsetDateTime> sent = sent(message);
        Map<String, String> header = new LinkedHashMap<>();
        EmlReader.put(header, "From", words(message.getDisplayFrom()));
        EmlReader.put(header, "To", words(message.getDisplayTo()));
        EmlReader.put(header, "Cc", words(message.getDisplayCC()));
        EmlReader.put(header, "Bcc", words(message.getDisplayBCC()));
        sent.ifPresent(date -> EmlReader.put(header, "Date", EmlReader.SHOWN.format(date)));
        EmlReader.put(header, "Subject", words(message.getSubject()));
        EmlReader.put(header, "Attachments", attachments.stream().map(Mail.Attachment::name).collect(Collectors.joining("; ")));
        return new Mail(words(message.getSubject()), sent.map(OffsetDateTime::toLocalDate), header, html.isBlank() ? text : html, !html.isBlank(), pictures, attachments);
    }

    /** The time of sending is kept in UTC; the sender's zone stands in the header that the mail came with, if it kept one. */
    private static Optional<OffsetDateTime> sent(MAPIMessage message) throws ChunkNotFoundException {
        var date = message.getMessageDate();
        if (date == null) return Optional.empty();
        String[] lines = message.getHeaders();
        Matcher zone = ZONE.matcher(lines == null ? "" : String.join("\n", lines));
        ZoneOffset offset = zone.find() ? ZoneOffset.of(zone.group(1) + ":" + zone.group(2)) : ZoneOffset.UTC;
        return Optional.of(date.toInstant().atOffset(offset));
    }

    private static InputStream embedded(AttachmentChunks attachment) throws IOException {
        try (POIFSFileSystem whole = new POIFSFileSystem()) {
            EntryUtils.copyNodes(attachment.getAttachmentDirectory().getDirectory(), whole.getRoot());
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            whole.writeFilesystem(out);
            return new ByteArrayInputStream(out.toByteArray());
        }
    }

    private static String name(AttachmentChunks attachment) {
        if (attachment.getAttachLongFileName() != null) return words(attachment.getAttachLongFileName().getValue());
        return attachment.getAttachFileName() == null ? "attachment" : words(attachment.getAttachFileName().getValue());
    }

    private static String words(@Nullable String text) {
        return text == null ? "" : text.replace("\0", "");
    }

}
