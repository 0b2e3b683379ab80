package app.yellowtab.edit;

import app.yellowtab.model.entry.EntryId;
import java.util.Optional;

/**
 * Where an entry stands, or is to stand.
 *
 * @param section the section it stands in; empty for outside of any section
 * @param index   its place among the documents there, or among the sub-sections there, counted from 0
 */
public record Place(Optional<EntryId> section, int index) {
    public Place {
        if (index < 0) throw new IllegalArgumentException("a place's index must be >= 0, got " + index);
    }
}
