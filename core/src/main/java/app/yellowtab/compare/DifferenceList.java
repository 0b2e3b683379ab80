package app.yellowtab.compare;

import app.yellowtab.edit.repage.PagePairs;
import app.yellowtab.edit.repage.PagePairs.Pair;
import app.yellowtab.files.CsvLine;
import app.yellowtab.files.Drafts;
import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Subject;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;

/** What differs between two versions of a file, as a table that can be kept. */
public final class DifferenceList {
    private DifferenceList() {}

    /**
     * {@return the table, a line for every page that is not the same or has moved: its page before, its page now, and what has
     * happened to it}
     */
    public static String of(String older, String newer, PagePairs pairs) {
        StringBuilder table = new StringBuilder(CsvLine.of("Page of " + older, "Page of " + newer, "What has changed"));
        for (Pair pair : pairs.differences()) {
            String what = pair.before() == 0 ? "new" : pair.after() == 0 ? "gone" : pair.moved() ? "moved" : "changed";
            table.append(CsvLine.of(pair.before() == 0 ? "" : pair.before(), pair.after() == 0 ? "" : pair.after(), what));
        }
        return table.toString();
    }

    /**
     * Writes the table to a file, in one step.
     *
     * @throws FindingException if the file cannot be written
     */
    public static void write(String table, Path target) throws FindingException {
        try {
            Drafts.write(target, table.getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new FindingException(
                    new Finding(Code.TARGET_NOT_WRITABLE, Subject.OfProduced.of(target, 0), String.valueOf(e.getMessage())), e);
        }
    }
}
