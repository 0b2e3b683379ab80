package app.yellowtab.input;

import java.io.IOException;
import java.util.zip.DataFormatException;
import java.util.zip.Inflater;
import org.jspecify.annotations.Nullable;

/**
 * Counts beside a reader how much its bytes unpack to (Flate, ISO 32000-1:2008, 7.4.4), so that a small stream which
 * unpacks to gigabytes is refused before it has filled the memory. A packed stream inside a packed stream is counted too.
 */
final class Unpacking {
    /** A page's content of this size would take minutes to draw; chosen by us. */
    static final long LIMIT = 96L << 20;
    private static final int DEEPEST = 3;

    private final Inflater inflater = new Inflater();
    private final byte[] unpacked = new byte[1 << 13];
    private final int depth;
    private @Nullable Unpacking inner;
    private long total;
    private boolean begun;
    private boolean over;

    Unpacking() {
        this(1);
    }

    private Unpacking(int depth) {
        this.depth = depth;
    }

    /** Takes up the next bytes; what is not packed is passed over. */
    void see(byte[] bytes, int offset, int length) throws IOException {
        if (over || length <= 0) return;
        if (!begun && (bytes[offset] & 0x0F) != 8) {
            end();
            return;
        }
        begun = true;
        inflater.setInput(bytes, offset, length);
        try {
            for (int count; (count = inflater.inflate(unpacked)) > 0;) {
                if (total == 0 && depth < DEEPEST) inner = new Unpacking(depth + 1);
                total += count;
                if (total > LIMIT) throw new TooMuchException(LIMIT);
                Allowance.spendBytes(count);
                if (inner != null) inner.see(unpacked, 0, count);
            }
            if (inflater.finished() || inflater.needsDictionary()) end();
        } catch (DataFormatException notPacked) {
            end();
        }
    }

    /** Frees what it holds; harmless when called again. */
    void end() {
        over = true;
        inflater.end();
        if (inner != null) inner.end();
    }
}
