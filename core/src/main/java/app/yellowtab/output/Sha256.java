package app.yellowtab.output;

import java.nio.ByteBuffer;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;

/** SHA-256 (FIPS 180-4) of short texts, one after the other. For one thread. */
final class Sha256 {
    private final MessageDigest digest;

    Sha256() {
        try {
            digest = MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java platform has SHA-256", e);
        }
    }

    byte[] of(ByteBuffer bytes) {
        digest.update(bytes);
        return digest.digest();
    }
}
