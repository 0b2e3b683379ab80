package app.yellowtab.plan;

import app.yellowtab.model.Document;
import app.yellowtab.model.EntryId;
import app.yellowtab.model.Section;

/** A section or document in its place, with the numbers that follow from it. */
public sealed interface PlannedEntry {
    EntryId id();

    String title();

    /** {@return how many sections it lies in} */
    int depth();

    /** {@return the bundle number of its first page; for a document, of the document itself and not of a page before it} */
    int firstPage();

    int lastPage();

    /**
     * A section.
     *
     * @param label the letter that its place gives it, such as "B", or "B.1" for the first sub-section of B
     */
    record PlannedSection(Section section, String label, int depth, int firstPage, int lastPage) implements PlannedEntry {
        @Override
        public EntryId id() {
            return section.id();
        }

        @Override
        public String title() {
            return section.title();
        }
    }

    /**
     * A document.
     *
     * @param tab its number in the index, running through the bundle; 0 where the index does not list it
     */
    record PlannedDocument(Document document, int tab, int depth, int firstPage, int lastPage) implements PlannedEntry {
        @Override
        public EntryId id() {
            return document.id();
        }

        @Override
        public String title() {
            return document.title();
        }
    }
}
