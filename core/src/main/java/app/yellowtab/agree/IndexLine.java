package app.yellowtab.agree;

import app.yellowtab.model.entry.Agreement;
import app.yellowtab.model.entry.DocumentDate;
import app.yellowtab.model.entry.EntryId;
import java.util.Optional;

/**
 * One line of an index as somebody has written it.
 *
 * @param row       where it stands in the file, counted from 1
 * @param id        the entry that it is of, if it bears our reference; otherwise that which will be made of it
 * @param isKnown   whether it bore a reference
 * @param isSection whether it is the heading of a section
 * @param depth     in how many sections it lies
 * @param section   the section that it lies in; empty for none
 * @param title     never blank
 * @param date      empty where the table has no such column, or it cannot be made out
 * @param pages     how many it has; 0 where the table does not say
 * @param agreement empty where the table has no such columns
 */
public record IndexLine(int row, EntryId id, boolean isKnown, boolean isSection, int depth, Optional<EntryId> section,
        String title, Optional<DocumentDate> date, int pages, Optional<Agreement> agreement) {}
