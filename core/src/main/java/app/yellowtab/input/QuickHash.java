package app.yellowtab.input;

import com.dynatrace.hash4j.hashing.HashStream128;
import com.dynatrace.hash4j.hashing.HashValue128;
import com.dynatrace.hash4j.hashing.Hashing;
import java.util.HexFormat;

/**
 * XXH3-128 of long runs of bytes. It finds every change that happens by accident; it is no proof against a forger, who is
 * met by SHA-256 of whole files. Chosen for its speed: some 3 GB a second where SHA-256 makes 0.17 (measured without the
 * processor's SHA instructions), which alone would have taken longer than twice the copying of a bundle.
 */
public final class QuickHash {
    private final HashStream128 stream = Hashing.xxh3_128().hashStream();

    public void update(byte[] bytes, int offset, int length) {
        stream.putBytes(bytes, offset, length);
    }

    /** {@return the hash of all bytes so far, as 32 hexadecimal digits} */
    public String hex() {
        return hex(stream.get());
    }

    private static String hex(HashValue128 value) {
        return HexFormat.of().toHexDigits(value.getMostSignificantBits())
                + HexFormat.of().toHexDigits(value.getLeastSignificantBits());
    }
}
