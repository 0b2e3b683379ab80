package app.yellowtab.convert.mail;

import com.rtfparserkit.converter.text.StringTextConverter;
import com.rtfparserkit.parser.RtfStringSource;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.poi.hsmf.MAPIMessage;
import org.apache.poi.hsmf.datatypes.AttachmentChunks;
import org.apache.poi.hsmf.datatypes.RecipientChunks;
import org.apache.poi.hsmf.datatypes.StringChunk;
import org.apache.poi.hsmf.exceptions.ChunkNotFoundException;
import org.apache.poi.poifs.filesystem.EntryUtils;
import org.apache.poi.poifs.filesystem.POIFSFileSystem;
import org.jspecify.annotations.Nullable;

/** Reads a mail as an office program stores it ([MS-OXMSG]). */
final class MsgReader {
    private static final Pattern ZONE = Pattern.compile("(?im)^Date:.*([+-]\\d{2})(\\d{2})\\b");

    /**
     * The sender's address: as the internet knows it, and as its own system does ([MS-OXPROPS], PidTagSenderSmtpAddress and
     * PidTagSenderEmailAddress).
     */
    private static final Set<Integer> SENDER_ADDRESSES = Set.of(0x5D01, 0x0C1F);

    private MsgReader() {}

    static Mail read(Path file, ZoneId zone) throws IOException {
        try (MAPIMessage message = new MAPIMessage(file.toFile())) {
            message.setReturnNullOnMissingChunk(true);
            message.guess7BitEncoding();
            return read(message, zone);
        } catch (ChunkNotFoundException e) {
            throw new IOException("no e-mail that can be read", e);
        }
    }

    private static Mail read(MAPIMessage message, ZoneId zone) throws ChunkNotFoundException, IOException {
        String html = words(message.getHtmlBody());
        String text = words(message.getTextBody());
        if (html.isBlank() && text.isBlank()) text = plain(words(message.getRtfBody()));
        Map<String, Mail.Picture> pictures = new HashMap<>();
        List<Mail.Attachment> attachments = new ArrayList<>();
        for (AttachmentChunks attachment : message.getAttachmentFiles()) {
            String id = attachment.getAttachContentId() == null ? ""
                    : words(attachment.getAttachContentId().getValue()).replaceAll("[<>]", "");
            if (attachment.isEmbeddedMessage()) {
                byte[] whole = embedded(attachment);
                attachments.add(new Mail.Attachment("forwarded message.msg", () -> new ByteArrayInputStream(whole)));
            } else if (attachment.getAttachData() != null) {
                byte[] bytes = attachment.getAttachData().getValue();
                if (!id.isEmpty() && html.contains("cid:" + id)) pictures.put(id, new Mail.Picture(bytes));
                else attachments.add(new Mail.Attachment(name(attachment), () -> new ByteArrayInputStream(bytes)));
            }
        }
        Optional<OffsetDateTime> sent = sent(message, zone);
        Map<String, String> header = new LinkedHashMap<>();
        Map<String, String> addresses = addresses(message);
        EmlReader.put(header, "From", sender(message));
        EmlReader.put(header, "To", addressed(words(message.getDisplayTo()), addresses));
        EmlReader.put(header, "Cc", addressed(words(message.getDisplayCC()), addresses));
        EmlReader.put(header, "Bcc", addressed(words(message.getDisplayBCC()), addresses));
        sent.ifPresent(date -> EmlReader.put(header, "Date", EmlReader.SHOWN.format(date)));
        EmlReader.put(header, "Subject", words(message.getSubject()));
        EmlReader.put(header, "Attachments", attachments.stream().map(Mail.Attachment::name).collect(Collectors.joining("; ")));
        return new Mail(words(message.getSubject()), sent.map(OffsetDateTime::toLocalDate), header, html.isBlank() ? text : html,
                !html.isBlank(), pictures, attachments);
    }

    private static String sender(MAPIMessage message) throws ChunkNotFoundException {
        String name = words(message.getDisplayFrom());
        return message.getMainChunks().getAll().entrySet().stream()
                .filter(property -> SENDER_ADDRESSES.contains(property.getKey().id))
                .flatMap(property -> property.getValue().stream())
                .filter(StringChunk.class::isInstance).map(chunk -> words(((StringChunk) chunk).getValue()))
                .filter(address -> address.contains("@")).findFirst()
                .map(address -> withAddress(name, address)).orElse(name);
    }

    /** {@return the address of each recipient by the name under which the mail shows it} */
    private static Map<String, String> addresses(MAPIMessage message) {
        Map<String, String> addresses = new HashMap<>();
        RecipientChunks[] recipients = message.getRecipientDetailsChunks();
        if (recipients == null) return addresses;
        for (RecipientChunks recipient : recipients)
            addresses.put(words(recipient.getRecipientName()), words(recipient.getRecipientEmailAddress()));
        return addresses;
    }

    private static String addressed(String names, Map<String, String> addresses) {
        return Arrays.stream(names.split(";")).map(String::strip).map(name -> withAddress(name, addresses.getOrDefault(name, "")))
                .collect(Collectors.joining("; "));
    }

    /** An address inside one organisation is a path that says nothing to others, and is left out. */
    private static String withAddress(String name, String address) {
        return !address.contains("@") || name.contains(address) ? name : name.isBlank() ? address : name + " <" + address + ">";
    }

    /** {@return the words of a text that comes with its looks only; these are lost} */
    private static String plain(String rtf) throws IOException {
        if (rtf.isBlank()) return "";
        StringTextConverter words = new StringTextConverter();
        words.convert(new RtfStringSource(rtf));
        return words.getText();
    }

    /**
     * The time of sending is kept in UTC; the sender's zone stands in the header that the mail came with, if it kept one, and the
     * reader's is taken otherwise.
     */
    private static Optional<OffsetDateTime> sent(MAPIMessage message, ZoneId here) throws ChunkNotFoundException {
        var date = message.getMessageDate();
        if (date == null) return Optional.empty();
        String[] lines = message.getHeaders();
        Matcher zone = ZONE.matcher(lines == null ? "" : String.join("\n", lines));
        ZoneId there = zone.find() ? ZoneOffset.of(zone.group(1) + ":" + zone.group(2)) : here;
        return Optional.of(date.toInstant().atZone(there).toOffsetDateTime());
    }

    private static byte[] embedded(AttachmentChunks attachment) throws IOException {
        try (POIFSFileSystem whole = new POIFSFileSystem()) {
            EntryUtils.copyNodes(attachment.getAttachmentDirectory().getDirectory(), whole.getRoot());
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            whole.writeFilesystem(out);
            return out.toByteArray();
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
