package app.yellowtab.output;

import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.util.Arrays;

/** Bytes as they are put together; can be emptied and used again. For one thread. */
final class ByteSink extends OutputStream {
    private byte[] bytes = new byte[1 << 10];
    private int size;

    @Override
    public void write(int b) {
        if (size == bytes.length) bytes = Arrays.copyOf(bytes, size * 2);
        bytes[size++] = (byte) b;
    }

    @Override
    public void write(byte[] from, int offset, int length) {
        if (size + length > bytes.length) bytes = Arrays.copyOf(bytes, Math.max(bytes.length * 2, size + length));
        System.arraycopy(from, offset, bytes, size, length);
        size += length;
    }

    @Override
    public void write(byte[] from) {
        write(from, 0, from.length);
    }

    /** Appends ASCII text. */
    void text(String text) {
        for (int i = 0; i < text.length(); i++) write(text.charAt(i));
    }

    /** Appends a whole number in decimal digits. */
    void number(long number) {
        text(Long.toString(number));
    }

    /** Puts spaces in the place of bytes. */
    void blank(int from, int count) {
        Arrays.fill(bytes, from, from + count, (byte) ' ');
    }

    void clear() {
        size = 0;
    }

    int size() {
        return size;
    }

    byte[] copy() {
        return Arrays.copyOf(bytes, size);
    }

    ByteBuffer content() {
        return ByteBuffer.wrap(bytes, 0, size);
    }
}
