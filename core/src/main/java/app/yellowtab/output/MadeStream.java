package app.yellowtab.output;

import java.io.ByteArrayInputStream;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;

/** A short stream that we made; it needs no document. */
public final class MadeStream extends COSStream {
    private final byte[] bytes;

    /** @param content as its filters leave it */
    public MadeStream(byte[] content) {
        bytes = content.clone();
        // The library takes a picture without a length for an empty one.
        setInt(COSName.LENGTH, bytes.length);
    }

    /** @param content in ASCII */
    public MadeStream(String content) {
        this(content.getBytes(StandardCharsets.US_ASCII));
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
