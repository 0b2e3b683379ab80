package app.yellowtab.input;

import java.io.IOException;

/** A stream unpacks to more than any honest one does. */
public final class TooMuchException extends IOException {
    private static final long serialVersionUID = 1L;

    TooMuchException(long limitBytes) {
        this("a stream unpacks to more than " + (limitBytes >> 20) + " MB");
    }

    TooMuchException(String what) {
        super(what);
    }
}
