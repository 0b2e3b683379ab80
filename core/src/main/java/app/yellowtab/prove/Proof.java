package app.yellowtab.prove;

import app.yellowtab.finding.Finding;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * What came of a proof.
 *
 * @param pages     how many leaves were looked at; each has its number, its label and its fingerprint proved
 * @param rows      of the index
 * @param links     those of the index among them
 * @param enclosed  how many files go along with it
 * @param findings  what is wrong, in the order of the pages; what concerns the whole file comes first
 */
public record Proof(Path file, int pages, int rows, int bookmarks, int links, int enclosed, List<Finding> findings) {
    public Proof {
        findings = List.copyOf(findings);
    }

    /** {@return this, and what came of the proof of another file of the same production} */
    public Proof and(Proof other) {
        return new Proof(file, pages + other.pages, rows + other.rows, bookmarks + other.bookmarks, links + other.links, enclosed,
                findings).with(other.findings);
    }

    /** {@return this with more that is wrong} */
    Proof with(List<Finding> more) {
        List<Finding> all = new ArrayList<>(findings);
        all.addAll(more);
        return new Proof(file, pages, rows, bookmarks, links, enclosed, all);
    }

    /** {@return whether nothing is wrong} */
    public boolean holds() {
        return findings.isEmpty();
    }

    /** {@return such as "412 pages proved: …", or how much is wrong} */
    public String summary() {
        if (holds()) {
            return counted(pages, "page") + " proved: every number, label and page as it was produced, " + counted(rows, "row")
                    + " of the index, "
                    + counted(bookmarks, "bookmark") + ", " + counted(links, "link")
                    + (enclosed == 0 ? "" : ", " + counted(enclosed, "file") + " beside it") + ".";
        }
        return "Not proved: " + counted(findings.size(), "thing") + (findings.size() == 1 ? " is" : " are") + " wrong in "
                + counted(pages, "page")
                + ". Do not send this file out; produce it again.";
    }

    private static String counted(int count, String thing) {
        return String.format(Locale.UK, "%,d %s%s", count, thing, count == 1 ? "" : "s");
    }
}
