package app.yellowtab.source;

import java.io.IOException;

/** A file that would need more memory than we give one file. The message names the size in plain words. */
final class TooLargeException extends IOException {
    private static final long serialVersionUID = 1L;

    TooLargeException(String size) {
        super(size);
    }
}
