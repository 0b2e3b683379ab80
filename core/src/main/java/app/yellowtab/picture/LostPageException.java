package app.yellowtab.picture;

import java.io.IOException;

/** A page of a source that cannot be had, while others of it can. */
final class LostPageException extends IOException {
    private static final long serialVersionUID = 1L;

    LostPageException(Throwable cause) {
        super("the page cannot be read", cause);
    }
}
