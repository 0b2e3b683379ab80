package app.yellowtab.deliver;

import jakarta.activation.DataHandler;
import jakarta.activation.FileDataSource;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeBodyPart;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/**
 * An e-mail that is written and not sent (RFC 5322): a mail program opens it ready to be completed. Memory does not grow with
 * what is attached.
 *
 * @param to      who it is for, as typed; empty for nobody yet
 * @param subject one line
 * @param text    what it says
 * @param attached the files that go with it, under their own names
 */
record MailDraft(String to, String subject, String text, List<Path> attached) {
    MailDraft {
        attached = List.copyOf(attached);
    }

    /**
     * {@return whether words can be told as addresses, separated by commas} Nobody at all is one, too.
     */
    static boolean isAddress(String to) {
        try {
            InternetAddress.parse(to.strip(), true);
            return true;
        } catch (MessagingException wrong) {
            return false;
        }
    }

    /** Writes it to a file that must not be there yet. */
    void write(Path target) throws IOException {
        try {
            MimeMultipart parts = new MimeMultipart();
            MimeBodyPart words = new MimeBodyPart();
            words.setText(text, StandardCharsets.UTF_8.name());
            parts.addBodyPart(words);
            for (Path file : attached) parts.addBodyPart(attachment(file));
            Draft message = new Draft();
            message.setSubject(subject.replaceAll("[\\r\\n]+", " ").strip(), StandardCharsets.UTF_8.name());
            if (!to.isBlank()) message.setRecipients(Message.RecipientType.TO, InternetAddress.parse(to.strip(), true));
            message.setContent(parts);
            message.saveChanges();
            // Whoever sends it dates it.
            message.removeHeader("Date");
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(target))) {
                message.writeTo(out);
            }
        } catch (MessagingException e) {
            throw e.getNextException() instanceof IOException cause ? cause : new IOException(e.getMessage(), e);
        }
    }

    private static MimeBodyPart attachment(Path file) throws MessagingException {
        MimeBodyPart part = new MimeBodyPart();
        part.setDataHandler(new DataHandler(new FileDataSource(file.toFile()) {
            @Override
            public String getContentType() {
                return "application/pdf";
            }
        }));
        part.setFileName(String.valueOf(file.getFileName()));
        part.setHeader("Content-Transfer-Encoding", "base64");
        return part;
    }

    /** Without the name of this computer, which the library would set, and marked as not sent yet, which mail programs heed. */
    private static final class Draft extends MimeMessage {
        Draft() throws MessagingException {
            super((jakarta.mail.Session) null);
            setHeader("X-Unsent", "1");
        }

        @Override
        protected void updateMessageID() {
            // Whoever sends it gives it an identity.
        }
    }
}
