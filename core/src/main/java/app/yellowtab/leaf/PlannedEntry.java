package app.yellowtab.leaf;

import app.yellowtab.model.contents.Document;
import app.yellowtab.model.contents.Section;
import app.yellowtab.model.entry.EntryId;

/** A section or document in its place, with what follows from it. */
public sealed interface PlannedEntry {
    EntryId id();

    String title();

    /** {@return how many sections it lies in} */
    int depth();

    /** {@return where its pages stand; those of a document without what separates it from the one before} */
    Span span();

    /**
     * Leaves that follow each other. An entry that is only a file beside the bundle has none: its span begins at the leaf that it
     * stands behind, and ends before that.
     *
     * @param first the index of the first, counted from 0
     * @param last  the index of the last; before the first where there is none
     * @param from  the number that the first counted leaf bears, in its words; empty where none is counted
     * @param to    the number that the last counted leaf bears
     */
    record Span(int first, int last, String from, String to) {
        /** {@return how many leaves there are} */
        public int count() {
            return last - first + 1;
        }

        /** {@return whether there is no leaf} */
        public boolean isEmpty() {
            return last < first;
        }

        /** {@return such as "4–25", or "4" for a single page} */
        public String shown() {
            return from.equals(to) ? from : from + "–" + to;
        }
    }

    /**
     * A section.
     *
     * @param label the letter that its place gives it, such as "B", or "B.1" for the first sub-section of B
     */
    record PlannedSection(Section section, String label, int depth, Span span) implements PlannedEntry {
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
    record PlannedDocument(Document document, int tab, int depth, Span span) implements PlannedEntry {
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
