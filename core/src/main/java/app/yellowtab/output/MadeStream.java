package app.yellowtab.output;

import java.io.ByteArrayInputStream;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import org.apache.pdfbox.cos.COSStream;

/** A short stream that we made; it needs no document. */
public final class MadeStream extends COSStream {
    private final byte[] bytes;

    /** @param content as its filters leave it */
    public MadeStream(byte[] content) {
        bytes = content.clone();
    }

    /** @param content in ASCII */
    public MadeStream(String content) {
        bytes = content.getBytes(StandardCharsets.US_ASCII);
    }

    @Override
    public InputStream createRawInputStream() {
        return new ByteArrayInputStream(bytes);
    }

    @Override
    public boolean hasData() {
        return true;
    }
}
