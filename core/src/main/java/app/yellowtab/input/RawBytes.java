package app.yellowtab.input;

import java.io.IOException;
import java.io.InputStream;
import java.nio.channels.FileChannel;
import org.apache.pdfbox.cos.COSStream;

/** Takes a stream's bytes as they are stored, part by part. */
@FunctionalInterface
public interface RawBytes {
    /** @param bytes not to be changed, nor kept */
    void take(byte[] bytes, int offset, int length) throws IOException;

    /**
     * Takes a part of a file without its bytes passing through here.
     *
     * @return whether it did; otherwise the bytes are given as usual
     */
    default boolean takeFromFile(FileChannel file, long start, long count) throws IOException {
        return false;
    }

    /** Gives all stored bytes of a stream, without unpacking them. */
    static void of(COSStream stream, RawBytes taker) throws IOException {
        if (!stream.hasData()) return;
        BoundedView.RAW.set(taker);
        byte[] buffer = new byte[1];    // most streams are given whole at the first read
        try (InputStream in = stream.createRawInputStream()) {
            for (int count; (count = in.read(buffer)) > 0;) {
                taker.take(buffer, 0, count);
                if (buffer.length == 1) buffer = new byte[1 << 12];
            }
        } finally {
            BoundedView.RAW.remove();
        }
    }
}
