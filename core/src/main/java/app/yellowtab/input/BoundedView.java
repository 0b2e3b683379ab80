package app.yellowtab.input;

import java.io.IOException;
import org.apache.pdfbox.io.RandomAccessReadView;
import org.jspecify.annotations.Nullable;

/** The bytes of one stream. Reading them to unpack them is bounded; taking them as they are is not. */
final class BoundedView extends RandomAccessReadView {
    /** What is under way on a thread that takes raw bytes; null while streams are unpacked. */
    static final ThreadLocal<@Nullable RawBytes> RAW = new ThreadLocal<>();

    private final FileBytes bytes;
    private final long start;
    private @Nullable Unpacking unpacking;
    private long seenTo;

    BoundedView(FileBytes bytes, long start, long length) {
        super(bytes, start, length);
        this.bytes = bytes;
        this.start = start;
    }

    @Override
    public int read(byte[] to, int offset, int wanted) throws IOException {
        long from = getPosition();
        RawBytes raw = RAW.get();
        if (raw != null && from == 0 && bytes.give(start, length(), raw)) return -1;
        int count = super.read(to, offset, wanted);
        if (count <= 0 || raw != null) return count;
        if (from == 0) {
            if (unpacking != null) unpacking.end();
            unpacking = new Unpacking();
            seenTo = 0;
        }
        if (unpacking != null && from == seenTo) {
            seenTo = from + count;
            unpacking.see(to, offset, count);
            if (seenTo >= length()) unpacking.end();
        }
        return count;
    }

    @Override
    public void close() throws IOException {
        if (unpacking != null) unpacking.end();
        super.close();
    }
}
