package app.yellowtab.model.contents;

import app.yellowtab.model.entry.Agreement;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.run.EnclosedFile;
import app.yellowtab.model.run.FrontSheet;
import app.yellowtab.model.run.ReservedPages;
import app.yellowtab.model.run.Run;
import app.yellowtab.model.run.RunId;
import app.yellowtab.model.run.SourcePages;
import app.yellowtab.model.source.Source;
import app.yellowtab.model.source.SourceId;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * One entry of the index and the pages behind it.
 *
 * @param id          its lasting identity
 * @param title       as the index prints it; never blank
 * @param description a further line below the title; empty for none
 * @param date        as the index prints it
 * @param inIndex     whether the index lists it and gives it a tab number
 * @param belongsTo   the entry that it goes with wherever that goes, as an exhibit to its statement; empty for none
 * @param agreement   how it stands between the parties
 * @param runs        its pages in order; never empty
 */
public record Document(EntryId id, String title, String description, DocumentDate date, boolean inIndex,
        Optional<EntryId> belongsTo, Agreement agreement, List<Run> runs) {
    public Document {
        Objects.requireNonNull(agreement, "agreement");
        Objects.requireNonNull(belongsTo, "belongsTo");
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(date, "date");
        Objects.requireNonNull(description, "description");
        if (title.isBlank()) throw new IllegalArgumentException("a document's title must not be blank");
        if (runs.isEmpty()) throw new IllegalArgumentException("a document needs at least one run of pages: " + title);
        runs = List.copyOf(runs);
    }

    /** An entry of which the parties have said nothing. */
    public Document(EntryId id, String title, String description, DocumentDate date, boolean inIndex, Optional<EntryId> belongsTo,
            List<Run> runs) {
        this(id, title, description, date, inIndex, belongsTo, Agreement.OPEN, runs);
    }

    /**
     * {@return a new entry with all pages of a source, or with a sheet for a file that has none, titled and dated as the source
     * proposes}
     */
    public static Document of(Source source) {
        Run run = source.isWithoutPages() ? new EnclosedFile(RunId.fresh(), source.id(), true, "")
                : SourcePages.of(source.id(), 1, source.pageCount());
        return new Document(EntryId.fresh(), source.proposedTitle(), "", source.proposedDate(), true, Optional.empty(),
                List.of(run));
    }

    public int pageCount() {
        int pages = 0;
        for (Run run : runs) pages += run.pageCount();
        return pages;
    }

    /** {@return whether it stands for a document, or a part of one, that is still to come} */
    public boolean isPlaceholder() {
        for (Run run : runs) if (run instanceof ReservedPages) return true;
        return false;
    }

    /** {@return the sheet of ours that it begins with; empty where it has none} */
    public Optional<FrontSheet> frontSheet() {
        return runs.getFirst() instanceof FrontSheet sheet ? Optional.of(sheet) : Optional.empty();
    }

    /** {@return the file that goes along with it as it is; empty where none does} */
    public Optional<EnclosedFile> enclosed() {
        for (Run run : runs) if (run instanceof EnclosedFile file) return Optional.of(file);
        return Optional.empty();
    }

    /** {@return the sources that it takes pages from, or has along as they are, each as often as it has runs of them} */
    public List<SourceId> sources() {
        List<SourceId> sources = new ArrayList<>();
        for (Run run : runs) {
            if (run instanceof SourcePages pages) sources.add(pages.source());
            if (run instanceof EnclosedFile file) sources.add(file.source());
        }
        return sources;
    }

    public Document withTitle(String newTitle) {
        return new Document(id, newTitle, description, date, inIndex, belongsTo, agreement, runs);
    }

    public Document withDescription(String newDescription) {
        return new Document(id, title, newDescription, date, inIndex, belongsTo, agreement, runs);
    }

    public Document withDate(DocumentDate newDate) {
        return new Document(id, title, description, newDate, inIndex, belongsTo, agreement, runs);
    }

    public Document withRuns(List<Run> newRuns) {
        return newRuns.equals(runs) ? this : new Document(id, title, description, date, inIndex, belongsTo, agreement, newRuns);
    }

    public Document withBelongsTo(Optional<EntryId> owner) {
        return new Document(id, title, description, date, inIndex, owner, agreement, runs);
    }

    public Document withAgreement(Agreement newAgreement) {
        return newAgreement.equals(agreement) ? this
                : new Document(id, title, description, date, inIndex, belongsTo, newAgreement, runs);
    }

    public Document withInIndex(boolean shown) {
        return new Document(id, title, description, date, shown, belongsTo, agreement, runs);
    }
}
