package app.yellowtab.testing;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Locale;
import org.apache.poi.poifs.filesystem.DirectoryEntry;
import org.apache.poi.poifs.filesystem.POIFSFileSystem;

/** Writes mails as an office program stores them ([MS-OXMSG]), property by property. */
public final class MsgFile {
    /** Hundreds of nanoseconds between 1601 and 1970 ([MS-DTYP] 2.3.3). */
    private static final long EPOCH_1601 = 116_444_736_000_000_000L;

    private final POIFSFileSystem system;
    private final DirectoryEntry root;
    private int recipients;
    private int attachments;

    public MsgFile() throws IOException {
        this(new POIFSFileSystem());
        DirectoryEntry names = root.createDirectory("__nameid_version1.0");
        for (String stream : new String[] {"00020102", "00030102", "00040102"}) put(names, "__substg1.0_" + stream, new byte[0]);
        text("001A", "IPM.Note");
    }

    private MsgFile(POIFSFileSystem system) {
        this(system, system.getRoot());
    }

    private MsgFile(POIFSFileSystem system, DirectoryEntry root) {
        this.system = system;
        this.root = root;
    }

    /** Sets a property that is text, by its number in hexadecimal digits. */
    public MsgFile text(String property, String value) throws IOException {
        string(root, property, value);
        return this;
    }

    /** Sets a property that is bytes. */
    public MsgFile bytes(String property, byte[] value) throws IOException {
        put(root, "__substg1.0_" + property + "0102", value);
        return this;
    }

    public MsgFile sent(Instant time) throws IOException {
        return fixed(root, 32, 0x00390040, EPOCH_1601 + time.getEpochSecond() * 10_000_000L);
    }

    public MsgFile recipient(String name, String address) throws IOException {
        DirectoryEntry inside = root.createDirectory(String.format(Locale.ROOT, "__recip_version1.0_#%08X", recipients++));
        string(inside, "3001", name);
        string(inside, "39FE", address);
        return this;
    }

    /** Attaches a file; with an identity, a picture that the text shows. */
    public MsgFile attach(String name, byte[] content, String identity) throws IOException {
        DirectoryEntry inside = root.createDirectory(String.format(Locale.ROOT, "__attach_version1.0_#%08X", attachments++));
        string(inside, "3707", name);
        if (!identity.isEmpty()) string(inside, "3712", identity);
        put(inside, "__substg1.0_37010102", content);
        return fixed(inside, 8, 0x37050003, 1);
    }

    /** {@return a mail that is attached to this one, to be filled} */
    public MsgFile attachMail() throws IOException {
        DirectoryEntry inside = root.createDirectory(String.format(Locale.ROOT, "__attach_version1.0_#%08X", attachments++));
        fixed(inside, 8, 0x37050003, 5);
        return new MsgFile(system, inside.createDirectory("__substg1.0_3701000D"));
    }

    private MsgFile fixed(DirectoryEntry to, int head, int property, long value) throws IOException {
        ByteBuffer properties = ByteBuffer.allocate(head + 16).order(ByteOrder.LITTLE_ENDIAN);
        properties.position(head);
        properties.putInt(property).putInt(6).putLong(value);
        put(to, "__properties_version1.0", properties.array());
        return this;
    }

    private static void string(DirectoryEntry to, String property, String value) throws IOException {
        put(to, "__substg1.0_" + property + "001F", value.getBytes(StandardCharsets.UTF_16LE));
    }

    private static void put(DirectoryEntry to, String name, byte[] bytes) throws IOException {
        to.createDocument(name, new ByteArrayInputStream(bytes));
    }

    /** {@return a text with its looks as such a mail holds it, here without making it smaller ([MS-OXRTFCP] 2.1.3.1.1)} */
    public static byte[] storedRtf(String rtf) {
        byte[] raw = rtf.getBytes(StandardCharsets.US_ASCII);
        return ByteBuffer.allocate(16 + raw.length).order(ByteOrder.LITTLE_ENDIAN).putInt(raw.length + 12).putInt(raw.length)
                .putInt(0x414C454D).putInt(0).put(raw).array();
    }

    public Path write(Path folder, String name) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        system.writeFilesystem(bytes);
        try (OutputStream out = Files.newOutputStream(folder.resolve(name))) {
            bytes.writeTo(out);
        }
        return folder.resolve(name);
    }
}
