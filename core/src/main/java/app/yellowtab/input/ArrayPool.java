package app.yellowtab.input;

import java.util.ArrayDeque;
import java.util.Deque;

/**
 * Arrays that were used and can be used again, which is cheaper than having new ones cleared and collected. Safe to share between
 * threads.
 */
final class ArrayPool {
    private static final int MOST = 4;
    private final Deque<byte[]> free = new ArrayDeque<>();

    /** {@return an array of at least this length; what is in it is of no meaning} */
    synchronized byte[] take(int length) {
        for (byte[] array : free) {
            if (array.length < length || array.length / 4 > length) continue;
            free.removeFirstOccurrence(array);
            return array;
        }
        return new byte[Math.max(length, Math.min(Integer.highestOneBit(Math.max(1, length)) << 1, length + (1 << 20)))];
    }

    /** Gives an array back; nobody may use it any more. */
    synchronized void give(byte[] array) {
        if (free.size() == MOST) free.removeFirst();
        free.addLast(array);
    }
}
