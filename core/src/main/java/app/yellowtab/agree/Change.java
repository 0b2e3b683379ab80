package app.yellowtab.agree;

import app.yellowtab.model.entry.Agreement;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.entry.EntryId;
import java.util.Optional;

/** Something in which an index that came back differs from ours. */
public sealed interface Change {
    /** {@return the entry that it is about} */
    EntryId id();

    /** {@return what the entry is called with us, or would be} */
    String title();

    /**
     * A line that we do not have.
     *
     * @param after the document, or the section, that it stands behind; empty for the first of its section
     */
    record Added(IndexLine line, Optional<EntryId> after) implements Change {
        @Override
        public EntryId id() {
            return line.id();
        }

        @Override
        public String title() {
            return line.title();
        }
    }

    /** An entry of ours that is missing. */
    record TakenOut(EntryId id, String title, boolean isSection) implements Change {}

    /** Another title. */
    record Retitled(EntryId id, String title, String now) implements Change {}

    /** Another date. */
    record Redated(EntryId id, String title, DocumentDate was, DocumentDate now) implements Change {}

    /** Another number of pages that are kept free. */
    record Resized(EntryId id, String title, int was, int now) implements Change {}

    /**
     * Another place.
     *
     * @param section the section that it stands in then; empty for none
     * @param after   the entry that it stands behind; empty for the first there
     */
    record Moved(EntryId id, String title, boolean isSection, Optional<EntryId> section, Optional<EntryId> after)
            implements Change {}

    /** Something else is said of it. */
    record Stands(EntryId id, String title, Agreement was, Agreement now) implements Change {}
}
