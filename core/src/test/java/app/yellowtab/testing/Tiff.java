package app.yellowtab.testing;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.TreeMap;

/** Writes a TIFF of one picture by hand, entry by entry (TIFF 6.0, section 2). */
public final class Tiff {
    private static final int[] SIZES = {0, 1, 1, 2, 4, 8, 1, 1, 2, 4};

    private record Entry(int type, long value) {}

    private final TreeMap<Integer, Entry> entries = new TreeMap<>();
    private byte[] data = new byte[0];

    public Tiff(int width, int height) {
        typed(256, 4, width).typed(257, 4, height).typed(259, 3, 1).typed(277, 3, 1).typed(278, 4, height).typed(296, 3, 2);
    }

    /** Sets an entry, of type 1 (byte), 3 (short), 4 (long) or 9 (signed long). */
    public Tiff typed(int tag, int type, long value) {
        entries.put(tag, new Entry(type, value));
        return this;
    }

    /** Sets an entry that is a fraction: a resolution in dots per inch. */
    public Tiff number(int tag, int value) {
        return typed(tag, 5, value);
    }

    /** @param rows of one bit a dot, black is 0, each beginning with a byte of its own */
    public Tiff blackAndWhite(byte[] rows) {
        data = rows.clone();
        return typed(258, 3, 1).typed(262, 3, 1).typed(279, 4, rows.length);
    }

    public Path write(Path folder, String name) throws IOException {
        int directory = 8;
        int afterwards = directory + 2 + 12 * (entries.size() + 1) + 4;
        int fractions = (int) entries.values().stream().filter(entry -> entry.type == 5).count();
        typed(273, 4, afterwards + 8L * fractions);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ByteBuffer head = ByteBuffer.allocate(afterwards + 8 * fractions).order(ByteOrder.LITTLE_ENDIAN);
        head.put((byte) 'I').put((byte) 'I').putShort((short) 42).putInt(directory).putShort((short) entries.size());
        int fraction = afterwards;
        for (Map.Entry<Integer, Entry> entry : entries.entrySet()) {
            head.putShort(entry.getKey().shortValue()).putShort((short) entry.getValue().type).putInt(1);
            int size = SIZES[entry.getValue().type];
            if (size == 8) {
                head.putInt(fraction);
                head.putInt(fraction, (int) entry.getValue().value).putInt(fraction + 4, 1);
                fraction += 8;
            } else if (size == 2) {
                head.putShort((short) entry.getValue().value).putShort((short) 0);
            } else {
                head.putInt((int) entry.getValue().value);
            }
        }
        head.putInt(0);
        out.write(head.array());
        out.write(data);
        return Files.write(folder.resolve(name), out.toByteArray());
    }
}
