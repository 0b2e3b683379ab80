package app.yellowtab.convert;

import java.io.IOException;

/** A file that opens only with a password which is not among those that were given. */
public final class LockedException extends IOException {
    private static final long serialVersionUID = 1L;

    LockedException(String file) {
        super(file + ": locked with a password");
    }
}
