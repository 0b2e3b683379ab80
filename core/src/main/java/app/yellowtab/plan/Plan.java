package app.yellowtab.plan;

import app.yellowtab.model.CaseHeading;
import app.yellowtab.model.Comments;
import app.yellowtab.model.EntryId;
import java.util.List;
import java.util.Optional;

/**
 * The whole product before anything is written. Immutable.
 *
 * @param heading    the case heading
 * @param comments   what becomes of the sources' comments
 * @param leaves     every leaf; the n-th, counted from 1, carries number n
 * @param entries    sections and documents in order, those that the index does not list included
 * @param headingLines the heading of each index page, set in lines
 * @param indexSheets the rows of each index page
 * @param bookmarks  in order
 * @param coverSheets what stands on each page of the cover; none where there is no cover
 */
public record Plan(CaseHeading heading, Comments comments, List<Leaf> leaves, List<PlannedEntry> entries, List<String> headingLines,
                   List<List<IndexRow>> indexSheets, List<PlannedBookmark> bookmarks, List<List<CoverPart>> coverSheets) {
    public int pageCount() {
        return leaves.size();
    }

    /** {@return how many documents it holds} */
    public int documentCount() {
        int count = 0;
        for (PlannedEntry entry : entries) if (entry instanceof PlannedEntry.PlannedDocument) count++;
        return count;
    }

    /** {@return the leaf with a bundle number from 1 to {@link #pageCount()}} */
    public Leaf leaf(int number) {
        return leaves.get(number - 1);
    }

    /** {@return the section or document with an id} */
    public Optional<PlannedEntry> entry(EntryId id) {
        return entries.stream().filter(entry -> entry.id().equals(id)).findFirst();
    }
}
