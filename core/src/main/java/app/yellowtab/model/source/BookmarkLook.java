package app.yellowtab.model.source;

import java.util.regex.Pattern;

/**
 * How a bookmark is shown, and which view of its page it opens.
 *
 * @param colour as "rrggbb" in lower-case hexadecimal; empty for the viewer's own
 * @param view   in the PDF standard's words (ISO 32000-1:2008, table 151), such as "XYZ 72 700 null"; empty for the page's top
 */
public record BookmarkLook(boolean bold, boolean italic, String colour, String view) {
    private static final Pattern COLOUR = Pattern.compile("|[0-9a-f]{6}");
    private static final Pattern VIEW =
            Pattern.compile("|(XYZ|Fit|FitH|FitV|FitR|FitB|FitBH|FitBV)( (null|-?\\d{1,9}(\\.\\d{1,9})?)){0,4}");

    /** Nothing special. */
    public static final BookmarkLook PLAIN = new BookmarkLook(false, false, "", "");

    /** {@return whether words are a view of a page} */
    public static boolean isView(String words) {
        return VIEW.matcher(words).matches();
    }

    public BookmarkLook {
        if (!COLOUR.matcher(colour).matches())
            throw new IllegalArgumentException("a bookmark's colour must be rrggbb, got " + colour);
        if (!isView(view)) throw new IllegalArgumentException("not a view of a page: " + view);
    }
}
