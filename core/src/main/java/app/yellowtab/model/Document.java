package app.yellowtab.model;

import app.yellowtab.model.source.Source;
import java.util.List;
import java.util.Objects;

/**
 * One entry of the index and the pages behind it.
 *
 * @param id          its lasting identity
 * @param title       as the index prints it; never blank
 * @param description a further line below the title; empty for none
 * @param date        as the index prints it
 * @param inIndex     whether the index lists it and gives it a tab number
 * @param runs        its pages in order; never empty
 */
public record Document(EntryId id, String title, String description, DocumentDate date, boolean inIndex,
                       List<PageRun> runs) {
    public Document {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(date, "date");
        Objects.requireNonNull(description, "description");
        if (title.isBlank()) throw new IllegalArgumentException("a document's title must not be blank");
        if (runs.isEmpty()) throw new IllegalArgumentException("a document needs at least one page: " + title);
        runs = List.copyOf(runs);
    }

    /** {@return a new entry with all pages of a source, titled and dated as the source proposes} */
    public static Document of(Source source) {
        return new Document(EntryId.fresh(), source.proposedTitle(), "", source.proposedDate(), true,
                List.of(new PageRun(source.id(), 1, source.pageCount())));
    }

    public int pageCount() {
        return runs.stream().mapToInt(PageRun::pageCount).sum();
    }

    public Document withTitle(String newTitle) {
        return new Document(id, newTitle, description, date, inIndex, runs);
    }

    public Document withDescription(String newDescription) {
        return new Document(id, title, newDescription, date, inIndex, runs);
    }

    public Document withDate(DocumentDate newDate) {
        return new Document(id, title, description, newDate, inIndex, runs);
    }

    public Document withRuns(List<PageRun> newRuns) {
        return newRuns.equals(runs) ? this : new Document(id, title, description, date, inIndex, newRuns);
    }

    public Document withInIndex(boolean shown) {
        return new Document(id, title, description, date, shown, runs);
    }
}
