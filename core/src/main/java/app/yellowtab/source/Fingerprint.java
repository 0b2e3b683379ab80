package app.yellowtab.source;

import app.yellowtab.files.Checksum;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.zip.CRC32C;

/** SHA-256 of files (FIPS 180-4), in lower-case hexadecimal. */
public final class Fingerprint {
    private Fingerprint() {}

    /** A file's SHA-256, which nobody can forge, and its checksum, which is quickly made. */
    public record Both(String sha256, String checksum) {}

    /** {@return the fingerprint of a file's bytes} */
    public static String of(Path file) throws IOException {
        return copying(file, OutputStream.nullOutputStream()).sha256();
    }

    /**
     * {@return the checksum of a file's bytes}
     *
     * @param alive is run now and then while something is read
     */
    public static String checksum(Path file, Runnable alive) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            return Checksum.of(in, alive);
        }
    }

    /** Copies a file's bytes, leaving the stream open; {@return their fingerprints} */
    public static Both copying(Path file, OutputStream to) throws IOException {
        return copying(file, to, () -> false).orElseThrow();
    }

    /**
     * Copies a file's bytes, leaving the stream open.
     *
     * @param stop asked a few times a megabyte
     * @return their fingerprints; empty if it was stopped
     */
    public static Optional<Both> copying(Path file, OutputStream to, BooleanSupplier stop) throws IOException {
        MessageDigest sha256 = sha256();
        CRC32C checksum = new CRC32C();
        byte[] buffer = new byte[1 << 16];
        try (InputStream in = Files.newInputStream(file)) {
            for (int count; (count = in.read(buffer)) > 0;) {
                if (stop.getAsBoolean()) return Optional.empty();
                sha256.update(buffer, 0, count);
                checksum.update(buffer, 0, count);
                to.write(buffer, 0, count);
            }
        }
        return Optional.of(new Both(HexFormat.of().formatHex(sha256.digest()), Checksum.shown(checksum)));
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java platform has SHA-256", e);
        }
    }
}
