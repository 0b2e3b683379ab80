package app.yellowtab.output;

import java.io.Closeable;
import java.lang.foreign.Arena;
import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;

/** The numbers of written objects by the SHA-256 of what was written, kept outside of the heap. For one thread. */
final class SharedObjects implements Closeable {
    private static final long SLOT = 40;

    private Arena arena = Arena.ofConfined();
    private long slots = 1 << 12;
    private MemorySegment table = arena.allocate(slots * SLOT, 8);
    private long used;

    /** {@return the number of an object with this key, or 0} */
    int get(byte[] key) {
        return table.get(ValueLayout.JAVA_INT, slot(table, slots, MemorySegment.ofArray(key)) + 32);
    }

    /** @param number above 0 */
    void put(byte[] key, int number) {
        if (++used * 2 > slots) grow();
        MemorySegment bytes = MemorySegment.ofArray(key);
        long slot = slot(table, slots, bytes);
        table.asSlice(slot, 32).copyFrom(bytes);
        table.set(ValueLayout.JAVA_INT, slot + 32, number);
    }

    /** {@return where the key's slot begins, or the empty slot where it would} */
    private static long slot(MemorySegment table, long slots, MemorySegment key) {
        long at = key.get(ValueLayout.JAVA_LONG_UNALIGNED, 0) & slots - 1;
        while (table.get(ValueLayout.JAVA_INT, at * SLOT + 32) != 0 && table.asSlice(at * SLOT, 32).mismatch(key) >= 0) {
            at = at + 1 & slots - 1;
        }
        return at * SLOT;
    }

    private void grow() {
        Arena larger = Arena.ofConfined();
        MemorySegment copy = larger.allocate(slots * 2 * SLOT, 8);
        for (long old = 0; old < slots * SLOT; old += SLOT) {
            if (table.get(ValueLayout.JAVA_INT, old + 32) == 0) continue;
            copy.asSlice(slot(copy, slots * 2, table.asSlice(old, 32)), SLOT).copyFrom(table.asSlice(old, SLOT));
        }
        arena.close();
        arena = larger;
        table = copy;
        slots *= 2;
    }

    @Override
    public void close() {
        arena.close();
    }
}
