package app.yellowtab.output;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.zip.DeflaterOutputStream;

/** Objects that wait to be written together as one object stream (ISO 32000-1:2008, 7.5.7). For one thread. */
final class ObjectPack {
    private static final int MOST = 100;
    private static final int MOST_BYTES = 1 << 16;

    private final ByteSink objects = new ByteSink();
    private final int[] numbers = new int[MOST];
    private final int[] starts = new int[MOST];
    private int count;

    boolean isFull() {
        return count == MOST || objects.size() > MOST_BYTES;
    }

    boolean isEmpty() {
        return count == 0;
    }

    /** Adds an object; the pack must not be full. */
    void add(int number, ByteSink object) {
        numbers[count] = number;
        starts[count++] = objects.size();
        objects.write(object.content().array(), 0, object.size());
        objects.write('\n');
    }

    /** An object stream: its dictionary without length and closing brackets, and its content. */
    record Packed(String dictionary, byte[] deflated) {}

    /**
     * {@return the object stream} The pack is empty then.
     *
     * @param stream its number
     * @param xref   is told where each object is now
     */
    Packed take(int stream, XrefTable xref) throws IOException {
        ByteSink head = new ByteSink();
        for (int i = 0; i < count; i++) {
            xref.packed(numbers[i], stream, i);
            head.number(numbers[i]);
            head.write(' ');
            head.number(starts[i]);
            head.write(' ');
        }
        ByteArrayOutputStream deflated = new ByteArrayOutputStream();
        try (DeflaterOutputStream out = new DeflaterOutputStream(deflated)) {
            out.write(head.content().array(), 0, head.size());
            out.write(objects.content().array(), 0, objects.size());
        }
        Packed packed = new Packed("<</Type/ObjStm/N " + count + "/First " + head.size(), deflated.toByteArray());
        objects.clear();
        count = 0;
        return packed;
    }
}
