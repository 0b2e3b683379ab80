package app.yellowtab.input;

import java.io.IOException;

/** A file that is locked with something else than a password, such as a certificate; only its owner's program opens it. */
public final class OtherLockException extends IOException {
    private static final long serialVersionUID = 1L;
    /** The handler that locks to certificates (ISO 32000-1:2008, 7.6.5). */
    private static final String CERTIFICATES = "Adobe.PubSec";

    private final boolean toCertificate;

    OtherLockException(String handler) {
        super("locked by " + handler);
        toCertificate = handler.equals(CERTIFICATES);
    }

    public boolean isToCertificate() {
        return toCertificate;
    }
}
