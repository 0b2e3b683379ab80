package app.yellowtab.convert.mail;

import app.yellowtab.convert.page.Charsets;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The bytes of mails in a file that does not hold just one as it was sent: one that a mail program kept begins with a line of
 * its own (RFC 4155), one that somebody saved as text may be in two bytes a letter, or have no header at all.
 */
final class MailBytes {
    /** A line that begins a mail in a mailbox; before it stands nothing, or an empty line. */
    private static final Pattern BEGINS =
            Pattern.compile("(?:\\A|(?<=\\n\\n|\\n\\r\\n))From [^\\r\\n]*\\r?\\n(?=[!-9;-~]+:|From )");
    private static final Pattern HEADER = Pattern.compile("\\A(?:>?From [^\\n]*\\n)?[!-9;-~]+[ \\t]*:");

    private MailBytes() {}

    /** {@return the mails in a file, at least one, each with a header, be it an empty one} */
    static List<byte[]> of(byte[] file) {
        boolean wide = file.length > 3 && (file[0] == 0 || file[1] == 0 || (file[0] & 0xFF) == 0xFF && (file[1] & 0xFF) == 0xFE
                || (file[0] & 0xFF) == 0xFE && (file[1] & 0xFF) == 0xFF);
        byte[] bytes = wide ? Charsets.decode(file, "").getBytes(StandardCharsets.UTF_8) : file;
        // One byte is one letter here, so that places in the text are places in the file.
        String text = new String(bytes, StandardCharsets.ISO_8859_1);
        int start = text.startsWith("\u00EF\u00BB\u00BF") ? 3 : 0;
        while (start < text.length() && (text.charAt(start) == '\n' || text.charAt(start) == '\r')) start++;
        text = text.substring(start);
        List<Integer> starts = new ArrayList<>();
        List<Integer> ends = new ArrayList<>();
        Matcher begins = BEGINS.matcher(text);
        while (begins.find()) {
            if (!starts.isEmpty()) ends.add(begins.start());
            starts.add(begins.end());
        }
        if (starts.isEmpty() || starts.getFirst() > 2000) return List.of(withHeader(text, wide));
        ends.add(text.length());
        List<byte[]> mails = new ArrayList<>();
        for (int i = 0; i < starts.size(); i++) mails.add(withHeader(text.substring(starts.get(i), ends.get(i)), wide));
        return mails;
    }

    private static byte[] withHeader(String mail, boolean wide) {
        boolean stated = HEADER.matcher(mail).find();
        String whole = stated ? mail : (wide ? "Content-Type: text/plain; charset=utf-8\n\n" : "\n") + mail;
        return whole.getBytes(StandardCharsets.ISO_8859_1);
    }
}
