package app.yellowtab.finding;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;

/** Tells a full disk from other failures. */
public final class DiskFull {
    /** So little is left only where nothing more can be written, whatever language the system speaks. */
    private static final long NOTHING_LEFT = 1 << 16;

    private DiskFull() {}

    /**
     * {@return whether a failure came of a full disk} Java has no exception of its own for it: it shows in the system's
     * words, where these are English, and in the room that is left.
     *
     * @param near a file on the disk that was written to; it need not exist
     */
    public static boolean is(IOException failure, Path near) {
        String words = String.valueOf(failure.getMessage()).toLowerCase(Locale.ROOT);
        if (words.contains("no space left") || words.contains("not enough space") || words.contains("quota exceeded"))
            return true;
        Path folder = near.toAbsolutePath().getParent();
        try {
            return folder != null && Files.getFileStore(folder).getUsableSpace() < NOTHING_LEFT;
        } catch (IOException | SecurityException unknown) {
            return false;
        }
    }
}
