package app.yellowtab.prove;

import app.yellowtab.finding.Finding;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;

/**
 * What came of a proof.
 *
 * @param pages     how many leaves were looked at; each has its number, its label and its fingerprint proved
 * @param rows      of the index
 * @param links     those of the index among them
 * @param findings  what is wrong, in the order of the pages; what concerns the whole file comes first
 */
public record Proof(Path file, int pages, int rows, int bookmarks, int links, List<Finding> findings) {
    public Proof {
        findings = List.copyOf(findings);
    }

    /** {@return whether nothing is wrong} */
    public boolean holds() {
        return findings.isEmpty();
    }

    /** {@return such as "412 pages proved: …", or how much is wrong} */
    public String summary() {
        if (holds()) {
            return String.format(Locale.UK, "%,d %s proved: every number, label and page as it was produced, %,d rows of the index, %,d bookmarks, %,d links.",
                    pages, pages == 1 ? "page" : "pages", rows, bookmarks, links);
        }
        return String.format(Locale.UK, "Not proved: %,d %s wrong in %,d pages. Do not send this file out; produce it again.",
                findings.size(), findings.size() == 1 ? "thing is" : "things are", pages);
    }
}
