package app.yellowtab.source;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** SHA-256 of files (FIPS 180-4), in lower-case hexadecimal. */
public final class Fingerprint {
    private Fingerprint() {}

    /** {@return the fingerprint of a file's bytes} */
    public static String of(Path file) throws IOException {
        return copying(file, OutputStream.nullOutputStream());
    }

    /** Copies a file's bytes, leaving the stream open; {@return their fingerprint} */
    public static String copying(Path file, OutputStream to) throws IOException {
        DigestOutputStream digesting = new DigestOutputStream(to, sha256());
        try (InputStream in = Files.newInputStream(file)) {
            in.transferTo(digesting);
        }
        return HexFormat.of().formatHex(digesting.getMessageDigest().digest());
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java platform has SHA-256", e);
        }
    }
}
