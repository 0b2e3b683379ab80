package app.yellowtab.deliver;

import app.yellowtab.model.entry.DocumentDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;

/**
 * What files of single pages are called: words with gaps in square brackets. A gap that has nothing to be filled with is left
 * out.
 *
 * @param words such as "[title], page [page]"
 */
public record PageName(String words) {
    /** What suits most. */
    public static final PageName USUAL = new PageName("[title], page [number]");
    /** The gaps that there are. */
    public static final List<String> GAPS = List.of("[title]", "[number]", "[date]", "[file]", "[file page]", "[count]");
    private static final int DIGITS = 3;

    /**
     * What fills the gaps.
     *
     * @param title    of the document
     * @param number   that the page bears in the bundle; may be empty
     * @param date     of the document
     * @param file     that the page comes from, without its ending; may be empty
     * @param filePage its page there, counted from 1; 0 for none
     * @param count    its place among those that are saved, counted from 1
     */
    public record Page(String title, String number, DocumentDate date, String file, int filePage, int count) {}

    /** {@return the name of a page; never blank} */
    public String of(Page page) {
        String date = page.date() instanceof DocumentDate.Day day ? DateTimeFormatter.ISO_LOCAL_DATE.format(day.day()) : "";
        String name = words.replace("[title]", page.title()).replace("[number]", page.number()).replace("[date]", date)
                .replace("[file page]", page.filePage() == 0 ? "" : String.valueOf(page.filePage()))
                .replace("[file]", page.file()).replace("[count]", String.format(Locale.ROOT, "%0" + DIGITS + "d", page.count()))
                .strip();
        return name.isEmpty() ? String.format(Locale.ROOT, "%0" + DIGITS + "d", page.count()) : name;
    }
}
