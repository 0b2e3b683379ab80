package app.yellowtab.files;

import java.io.IOException;
import java.io.InputStream;
import java.util.HexFormat;
import java.util.zip.CRC32C;

/**
 * CRC-32C of whole files (RFC 3720, appendix B.4), in hexadecimal: with the length it tells, at the speed of memory,
 * whether a file was changed by accident since it was brought in. Whether it was forged is told by its SHA-256.
 */
public final class Checksum {
    private Checksum() {}

    /**
     * {@return the checksum of all that a stream still holds; the stream stays open}
     *
     * @param alive is run now and then while something is read
     */
    public static String of(InputStream in, Runnable alive) throws IOException {
        CRC32C sum = new CRC32C();
        byte[] buffer = new byte[1 << 16];
        for (int read; (read = in.read(buffer)) > 0;) {
            sum.update(buffer, 0, read);
            alive.run();
        }
        return shown(sum);
    }

    /** {@return a finished sum as eight digits} */
    public static String shown(CRC32C sum) {
        return HexFormat.of().toHexDigits(sum.getValue(), 8);
    }
}
