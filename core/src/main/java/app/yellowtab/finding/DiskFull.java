package app.yellowtab.finding;

import java.io.IOException;
import java.util.Locale;

/** Tells a full disk from other failures. */
public final class DiskFull {
    private DiskFull() {}

    /** {@return whether the failure says so in the operating system's words; Java has no exception of its own for it} */
    public static boolean is(IOException failure) {
        String words = String.valueOf(failure.getMessage()).toLowerCase(Locale.ROOT);
        return words.contains("no space left") || words.contains("not enough space") || words.contains("quota exceeded");
    }
}
