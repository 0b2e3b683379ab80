package app.yellowtab.input;

import app.yellowtab.files.Checksum;
import java.io.EOFException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.zip.CRC32C;
import org.apache.pdfbox.io.RandomAccessRead;
import org.apache.pdfbox.io.RandomAccessReadView;

/**
 * The bytes of a file as the parser reads them: a small file is held whole, so that what is read is what was fingerprinted;
 * of a large one only a few windows are held. For one thread at a time; any thread may cancel.
 */
final class FileBytes implements RandomAccessRead {
    private static final ArrayPool POOL = new ArrayPool();
    private static final int WINDOW = 1 << 16;
    private static final int WINDOWS = 16;
    /** Parts of this size are hashed while the processor's cache still holds them. */
    private static final int CHUNK = 1 << 17;
    /** From this size on the system copies better than we do. */
    private static final int LARGE = 1 << 16;

    private final FileChannel channel;
    private final long length;
    private final boolean isWhole;
    private final CRC32C whole = new CRC32C();
    private final long[] windowStarts = new long[WINDOWS];
    private final byte[][] windows = new byte[WINDOWS][];
    private int nextWindow;
    /** What is at hand: the whole file, or the window used last. */
    private byte[] hand;
    private long handStart;
    private int handLength;
    private long position;
    private boolean closed;
    private volatile boolean cancelled;
    private volatile long readSoFar;

    /**
     * Opens a file.
     *
     * @param wholeUpTo files of up to so many bytes are held whole
     */
    FileBytes(Path file, long wholeUpTo) throws IOException {
        FileChannel opened = FileChannel.open(file, StandardOpenOption.READ);
        boolean kept = false;
        try {
            length = opened.size();
            if (length <= wholeUpTo) {
                hand = POOL.take((int) length);
                handLength = (int) length;
                for (int at = 0; at < handLength; at += CHUNK) {
                    int part = Math.min(CHUNK, handLength - at);
                    fill(opened, hand, at, at, part);
                    whole.update(hand, at, part);
                }
            } else {
                hand = new byte[0];
            }
            channel = opened;
            isWhole = length <= wholeUpTo;
            kept = true;
        } finally {
            if (!kept) opened.close();
        }
    }

    /** Makes every later read fail, so that work which does not end comes to an end. */
    void cancel() {
        cancelled = true;
    }

    /** {@return a number that grows while something is read; any thread may ask} */
    long readSoFar() {
        return readSoFar;
    }

    /** {@return the checksum of the whole file} */
    String checksum() throws IOException {
        byte[] buffer = new byte[CHUNK];
        for (long at = 0; !isWhole && at < length;) {
            int part = (int) Math.min(buffer.length, length - at);
            check();
            fill(channel, buffer, at, 0, part);
            whole.update(buffer, 0, part);
            at += part;
            readSoFar = readSoFar + part;
        }
        return Checksum.shown(whole);
    }

    @Override
    public int read() throws IOException {
        if (position >= length) return -1;
        long inHand = position - handStart;
        if (inHand < 0 || inHand >= handLength) {
            takeWindow();
            inHand = position - handStart;
        }
        position++;
        return hand[(int) inHand] & 0xFF;
    }

    @Override
    public int read(byte[] to, int offset, int wanted) throws IOException {
        check();
        if (position >= length) return -1;
        int count = (int) Math.min(wanted, length - position);
        if (isWhole) {
            System.arraycopy(hand, (int) position, to, offset, count);
        } else if (count >= WINDOW) {
            fill(channel, to, position, offset, count);
            readSoFar = readSoFar + count;
        } else {
            takeWindow();
            int inHand = (int) (position - handStart);
            count = Math.min(count, handLength - inHand);
            System.arraycopy(hand, inHand, to, offset, count);
        }
        position += count;
        return count;
    }

    /** Gives a part of the file without copying it; {@return whether it could} */
    boolean give(long start, long count, RawBytes taker) throws IOException {
        check();
        if (!isWhole) return taker.takeFromFile(channel, start, Math.min(count, length - start));
        if (count >= LARGE && taker.takeFromFile(channel, start, Math.min(count, length - start))) return true;
        int from = (int) Math.min(start, length);
        taker.take(hand, from, (int) Math.min(count, length - from));
        return true;
    }

    private void takeWindow() throws IOException {
        check();
        if (isWhole) return;
        long start = position / WINDOW * WINDOW;
        if (start == handStart && handLength > 0) return;
        int slot = -1;
        for (int i = 0; i < WINDOWS; i++) if (windows[i] != null && windowStarts[i] == start) slot = i;
        if (slot < 0) {
            slot = nextWindow;
            nextWindow = (nextWindow + 1) % WINDOWS;
            byte[] window = windows[slot] == null ? new byte[WINDOW] : windows[slot];
            windows[slot] = window;
            windowStarts[slot] = -1;
            fill(channel, window, start, 0, (int) Math.min(WINDOW, length - start));
            readSoFar = readSoFar + WINDOW;
            windowStarts[slot] = start;
        }
        hand = windows[slot];
        handStart = start;
        handLength = (int) Math.min(WINDOW, length - start);
    }

    private static void fill(FileChannel from, byte[] to, long at, int offset, int count) throws IOException {
        ByteBuffer buffer = ByteBuffer.wrap(to, offset, count);
        while (buffer.hasRemaining()) {
            if (from.read(buffer, at + count - buffer.remaining()) < 0)
                throw new EOFException("the file has become shorter while it was read");
        }
    }

    private void check() throws IOException {
        if (cancelled) throw new IOException("reading was cancelled");
        if (closed) throw new IOException("the file is closed");
    }

    @Override
    public long getPosition() {
        return position;
    }

    @Override
    public void seek(long newPosition) throws IOException {
        check();
        if (newPosition < 0) throw new IOException("invalid position " + newPosition);
        position = Math.min(newPosition, length);
    }

    @Override
    public long length() {
        return length;
    }

    @Override
    public boolean isEOF() {
        return position >= length;
    }

    @Override
    public boolean isClosed() {
        return closed;
    }

    @Override
    public RandomAccessReadView createView(long start, long count) throws IOException {
        check();
        return new BoundedView(this, start, count);
    }

    @Override
    public void close() throws IOException {
        if (!closed && isWhole) POOL.give(hand);
        closed = true;
        hand = new byte[0];
        handLength = 0;
        channel.close();
    }
}
