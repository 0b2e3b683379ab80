package app.yellowtab.output;

import java.io.Closeable;
import java.io.IOException;
import java.io.OutputStream;
import java.lang.foreign.Arena;
import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;

/** Where every object lies (ISO 32000-1:2008, 7.5.8): eight bytes an object, kept outside of the heap. For one thread. */
final class XrefTable implements Closeable {
    /** Bytes of type, offset or stream number, and place in the stream; offsets up to a terabyte. */
    static final String WIDTHS = "[1 5 2]";
    private static final long PACKED = 1L << 62;

    private Arena arena = Arena.ofConfined();
    private MemorySegment entries = arena.allocate(8L << 12, 8);

    /** Says that an object begins at an offset in bytes from the start of the file. */
    void at(int number, long offset) {
        set(number, offset);
    }

    /** Says that an object lies in an object stream. */
    void packed(int number, int streamNumber, int place) {
        set(number, PACKED | (long) streamNumber << 16 | place);
    }

    /** {@return where an object begins that is not packed} */
    long offset(int number) {
        return entries.getAtIndex(ValueLayout.JAVA_LONG, number);
    }

    private void set(int number, long entry) {
        if (number * 8L >= entries.byteSize()) grow(number);
        entries.setAtIndex(ValueLayout.JAVA_LONG, number, entry);
    }

    private void grow(int number) {
        Arena larger = Arena.ofConfined();
        MemorySegment copy = larger.allocate(Math.max(entries.byteSize() * 2, (number + 1) * 8L), 8);
        copy.copyFrom(entries);
        arena.close();
        arena = larger;
        entries = copy;
    }

    /** Writes the entries of the numbers from 0 up to {@code size}; a number that was not used is free. */
    void write(int size, OutputStream out) throws IOException {
        byte[] entry = new byte[8];
        for (int number = 0; number < size; number++) {
            long value = number * 8L < entries.byteSize() ? entries.getAtIndex(ValueLayout.JAVA_LONG, number) : 0;
            boolean packed = (value & PACKED) != 0;
            entry[0] = (byte) (value == 0 ? 0 : packed ? 2 : 1);
            long middle = packed ? (value & ~PACKED) >> 16 : value;
            for (int i = 0; i < 5; i++) entry[5 - i] = (byte) (middle >> 8 * i);
            int last = value == 0 ? 0xFFFF : packed ? (int) (value & 0xFFFF) : 0;
            entry[6] = (byte) (last >> 8);
            entry[7] = (byte) last;
            out.write(entry);
        }
    }

    @Override
    public void close() {
        arena.close();
    }
}
