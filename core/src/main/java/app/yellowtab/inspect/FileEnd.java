package app.yellowtab.inspect;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** How a PDF file ends: a whole one with a mark that says where its table of objects begins (ISO 32000-1:2008, 7.5.5). */
public enum FileEnd {
    /** Its end leads to the table. */
    WHOLE,
    /** It has an end, but where it leads is no table; what the file holds was found by searching for it. */
    LEADS_NOWHERE,
    /** It stops somewhere in the middle. */
    MISSING;

    /** Chosen by us: the mark stands in the last lines, but some programs and mail servers add to the file. */
    private static final int TAIL_BYTES = 2048;
    /** Some programs set their own words before the header; places in the file may be counted from either. */
    private static final int HEAD_BYTES = 1024;
    private static final int TABLE_HEAD_BYTES = 40;
    private static final Pattern START = Pattern.compile("startxref\\s+(\\d{1,18})");
    /** A table, or the object that holds one (7.5.4, 7.5.8). */
    private static final Pattern TABLE = Pattern.compile("\\s*(xref\\b|\\d+\\s+\\d+\\s+obj\\b)");

    /** {@return how a file ends} */
    public static FileEnd of(Path file) throws IOException {
        try (SeekableByteChannel channel = Files.newByteChannel(file)) {
            String tail = read(channel, Math.max(0, channel.size() - TAIL_BYTES), TAIL_BYTES);
            Matcher start = START.matcher(tail);
            long table = -1;
            while (start.find()) table = Long.parseLong(start.group(1));
            if (table < 0) return tail.contains("%%EOF") ? LEADS_NOWHERE : MISSING;
            int header = Math.max(0, read(channel, 0, HEAD_BYTES).indexOf("%PDF-"));
            return isTable(channel, table) || isTable(channel, table + header) ? WHOLE : LEADS_NOWHERE;
        }
    }

    private static boolean isTable(SeekableByteChannel channel, long place) throws IOException {
        return place < channel.size() && TABLE.matcher(read(channel, place, TABLE_HEAD_BYTES)).lookingAt();
    }

    private static String read(SeekableByteChannel channel, long place, int most) throws IOException {
        ByteBuffer bytes = ByteBuffer.allocate(most);
        channel.position(place);
        while (bytes.hasRemaining() && channel.read(bytes) > 0) {}
        return new String(bytes.array(), 0, bytes.position(), StandardCharsets.ISO_8859_1);
    }
}
