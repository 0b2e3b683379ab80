package app.yellowtab.convert.page;

import java.io.IOException;

/** A file that would need more memory than we give one file. The message names the size in plain words. */
public final class TooLargeException extends IOException {
    private static final long serialVersionUID = 1L;

    public TooLargeException(String size) {
        super(size);
    }
}
