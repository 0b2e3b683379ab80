package app.yellowtab.input;

import java.io.ByteArrayOutputStream;
import java.io.Closeable;
import java.io.IOException;
import java.util.zip.DataFormatException;
import java.util.zip.Inflater;

/** Unpacks the commonest kind of streams (Flate, ISO 32000-1:2008, 7.4.4) up to the limit; where it is damaged, it ends. */
final class Flate implements RawBytes, Closeable {
    private final ByteArrayOutputStream to;
    private final Inflater inflater = new Inflater();
    private final byte[] unpacked = new byte[1 << 13];
    private boolean over;
    private boolean damaged;

    Flate(ByteArrayOutputStream to) {
        this.to = to;
    }

    @Override
    public void take(byte[] bytes, int offset, int length) throws IOException {
        if (over) return;
        inflater.setInput(bytes, offset, length);
        try {
            for (int count; (count = inflater.inflate(unpacked)) > 0;) {
                if (to.size() + count > Unpacking.LIMIT) throw new TooMuchException(Unpacking.LIMIT);
                Allowance.spendBytes(count);
                to.write(unpacked, 0, count);
            }
            over = inflater.finished();
        } catch (DataFormatException unsound) {
            over = true;
            damaged = true;
        }
    }

    boolean isDamaged() {
        return damaged;
    }

    @Override
    public void close() {
        inflater.end();
    }
}
