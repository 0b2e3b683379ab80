package app.yellowtab.index;

import app.yellowtab.model.source.Source;
import java.util.List;
import java.util.Locale;

/** What the pages say that stand for others; the first line is the title. */
public final class SlipWords {
    private static final int FINGERPRINT = 16;

    private SlipWords() {}

    /** {@return what stands in place of a file whose pages cannot be had} */
    public static List<String> unread(Source source) {
        return unread(source.fileName(), source.bytes(), source.sha256());
    }

    /**
     * {@return what stands in place of a file whose pages cannot be had}
     *
     * @param sha256 of its bytes, in hexadecimal
     */
    public static List<String> unread(String fileName, long bytes, String sha256) {
        return List.of(fileName, "This page stands for a file that has no pages of its own in this bundle.",
                String.format(Locale.ROOT, "%,d bytes. Its fingerprint (SHA-256) begins %s.", bytes,
                        sha256.substring(0, Math.min(FINGERPRINT, sha256.length()))));
    }

    /**
     * {@return what stands in place of a page that is damaged}
     *
     * @param page in the file, counted from 1
     */
    public static List<String> lost(String fileName, int page) {
        return List.of("This page could not be read", "Page " + page + " of " + fileName + " is damaged.");
    }

    /** {@return what stands in place of a page that is withheld; the reason may be empty} */
    public static List<String> withheld(String reason) {
        return reason.isBlank() ? List.of("This page is withheld") : List.of("This page is withheld", reason);
    }

    /** {@return what the index says below the title of a document of which pages are withheld} */
    static String withheldPages(int pages) {
        return pages == 1 ? "1 page is withheld" : pages + " pages are withheld";
    }

    /**
     * {@return what a page says that is kept free}
     *
     * @param title of its document
     * @param n     which of them it is, counted from 1
     * @param count how many are kept free together
     */
    public static List<String> reserved(String title, int n, int count) {
        String which = count == 1 ? "This page is" : "Page " + n + " of " + count + " that are";
        return List.of("Reserved for " + title, which + " kept free for a document that is to follow.");
    }

    /** {@return what the index says below the title of a document that is still to come, wholly or in part} */
    static String toFollow(int pages, boolean wholly) {
        String count = pages == 1 ? "1 page" : pages + " pages";
        return wholly ? "To follow; " + count + " reserved" : "The rest is to follow; " + count + " reserved";
    }
}
