package app.yellowtab.edit.cut;

import app.yellowtab.model.entry.EntryId;
import java.util.List;

/** Where the documents that pieces become are put. */
public sealed interface PiecePlace {
    /** In the tray. */
    record Tray() implements PiecePlace {}

    /** At the end of a section of the index. */
    record InSection(EntryId section) implements PiecePlace {}

    /** In a section at the end of the index, which is made if there is none of that title; not blank. */
    record Titled(String title) implements PiecePlace {
        public Titled {
            if (title.isBlank()) throw new IllegalArgumentException("a section needs a title");
        }
    }

    /**
     * Where separator sheets say.
     *
     * @param titles of the section of each piece, in order; blank for the tray
     */
    record BySheets(List<String> titles) implements PiecePlace {
        public BySheets {
            titles = List.copyOf(titles);
        }
    }
}
