package app.yellowtab.desktop.look;

import java.text.MessageFormat;
import java.util.Locale;
import java.util.ResourceBundle;

/** The words of the window, by key. */
public final class Words {
    private static final ResourceBundle WORDS = ResourceBundle.getBundle("app.yellowtab.desktop.words", Locale.ROOT);

    private Words() {}

    /** {@return the words of a key, with its places filled; numbers are grouped the English way} */
    public static String of(String key, Object... places) {
        return new MessageFormat(WORDS.getString(key), Locale.UK).format(places);
    }

    /** {@return a size in bytes as people say it, such as "61 MB"} */
    public static String size(long bytes) {
        if (bytes < 1000) return bytes + " bytes";
        if (bytes < 1_000_000) return String.format(Locale.UK, "%d KB", Math.round(bytes / 1000.0));
        double megabytes = bytes / 1e6;
        return String.format(Locale.UK, megabytes < 10 ? "%.1f MB" : "%.0f MB", megabytes);
    }
}
