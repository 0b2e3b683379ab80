package app.yellowtab.intake;

import app.yellowtab.model.entry.DateReader;
import app.yellowtab.model.entry.DocumentDate;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What the name of a file or folder says.
 *
 * @param title never blank
 * @param date  the date at the front or back of the name
 */
public record NameReading(String title, DocumentDate date) {
    private static final String GAP = "[\\s._,–—-]*";
    /** "03 Lease", "3. Lease", "0412-Lease"; a year stays, and so does a figure that belongs to the word after it. */
    private static final Pattern NUMBER = Pattern.compile("^[(\\[]?\\d{1,3}(?:\\s*[.)\\]_:–—-]+\\s*|\\s+)(?!of\\s+\\d)(?=\\S)"
            + "|^(?!(?:19|20)\\d\\d)\\d{4,}(?:\\s*[.)\\]_:–—-]+\\s*|\\s+)(?=\\S)");
    /** "B - Statements", "B. Statements", "(b) Statements". */
    private static final Pattern LETTER = Pattern.compile("^[(\\[]?[A-Za-z]{1,2}(?:\\s*[.)\\]_:]+\\s*|\\s+[–—-]+\\s+)(?=\\S)");
    private static final Pattern DATE_FRONT = datePattern("^(?<date>%s)(?![\\d])" + GAP + "(?<rest>.*)$");
    private static final Pattern DATE_BACK = datePattern("^(?<rest>.*?)" + "[\\s._,(\\[–—-]+" + "(?<date>%s)[)\\]\\s]*$");

    /** {@return the reading of a file's name: extension, leading number and date are no part of the title} */
    public static NameReading ofFile(String fileName) {
        return ofFile(fileName, false);
    }

    /** @param monthFirst whether the month stands before the day where a date is only figures */
    static NameReading ofFile(String fileName, boolean monthFirst) {
        String whole = spaced(withoutExtension(fileName));
        String name = whole;
        DocumentDate date = DocumentDate.NOT_GIVEN;
        for (Pattern place : new Pattern[] {DATE_FRONT, DATE_BACK}) {
            // A number may stand before the date ("03 2031-03-04 Lease"), or after it ("2031-03-04 03 Lease").
            for (String candidate : new String[] {name, NUMBER.matcher(name).replaceFirst("")}) {
                Matcher found = place.matcher(candidate);
                if (date != DocumentDate.NOT_GIVEN || !found.matches()) continue;
                Optional<DocumentDate> read = DateReader.read(found.group("date").replace('_', '-'), monthFirst);
                if (read.isPresent() && read.get() != DocumentDate.UNDATED) {
                    date = read.get();
                    name = found.group("rest");
                }
            }
        }
        String title = trimmed(NUMBER.matcher(name.strip()).replaceFirst(""));
        return new NameReading(title.isEmpty() ? fallback(whole, fileName) : title, date);
    }

    /** {@return the title of a folder's section: its name without a leading number or letter} */
    public static String sectionTitle(String folderName) {
        String name = spaced(folderName).strip();
        String title = trimmed(LETTER.matcher(NUMBER.matcher(name).replaceFirst("")).replaceFirst(""));
        return title.isEmpty() ? fallback(name, folderName) : title;
    }

    private static String fallback(String name, String original) {
        return name.isBlank() ? original.isBlank() ? "Untitled" : original : name.strip();
    }

    private static String trimmed(String text) {
        return text.replaceFirst("^[\\s_,–—-]+", "").replaceFirst("[\\s_,–—-]+$", "");
    }

    /** Underscores stand for spaces where a name has none of those. */
    private static String spaced(String name) {
        return name.contains(" ") ? name : name.replaceAll("(?<![0-9])_|_(?![0-9])", " ");
    }

    private static String withoutExtension(String fileName) {
        return fileName.replaceFirst("(?<=.)\\.[A-Za-z][A-Za-z0-9]{0,4}$", "");
    }

    private static Pattern datePattern(String form) {
        return Pattern.compile(form.replace("%s", DateReader.DATE_OR_RANGE), Pattern.CASE_INSENSITIVE);
    }
}
