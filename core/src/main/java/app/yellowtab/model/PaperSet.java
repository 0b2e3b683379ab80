package app.yellowtab.model;

import app.yellowtab.model.entry.EntryId;
import java.util.List;
import java.util.Objects;

/**
 * What only the set to be printed has. None of it is counted, so that the same pages bear the same numbers on paper and on the
 * screen.
 *
 * @param twoSided    whether it is printed on both sides
 * @param begins      what begins on a right-hand page; without meaning on one side
 * @param singleSided documents and sections of which every page stands on a right-hand page, with its back empty
 * @param tabs        what a tab sheet stands before
 * @param note        what tab sheets say to the person at the printer; may be empty
 * @param binderSheets so many sheets fit into a binder; 0 for all in one
 * @param copies      how many sets are printed
 */
public record PaperSet(boolean twoSided, Beginning begins, List<EntryId> singleSided, Beginning tabs, String note,
        int binderSheets, int copies) {
    /** What something is done for. */
    public enum Beginning { NOTHING, SECTIONS, DOCUMENTS }

    /** The most sheets that a binder can be said to hold; more is a mistake. */
    public static final int MOST_BINDER_SHEETS = 2000;
    /** The most copies that can be asked for; more is a mistake. */
    public static final int MOST_COPIES = 999;
    /** On both sides; nothing else is put in. */
    public static final PaperSet STANDARD = new PaperSet(true, Beginning.NOTHING, List.of(), Beginning.NOTHING, "", 0, 1);

    public PaperSet {
        Objects.requireNonNull(begins, "begins");
        Objects.requireNonNull(tabs, "tabs");
        Objects.requireNonNull(note, "note");
        singleSided = List.copyOf(singleSided);
        if (binderSheets < 0 || binderSheets > MOST_BINDER_SHEETS)
            throw new IllegalArgumentException("\"binderSheets\" must be 0 to " + MOST_BINDER_SHEETS + ", got " + binderSheets);
        if (copies < 1 || copies > MOST_COPIES)
            throw new IllegalArgumentException("\"copies\" must be 1 to " + MOST_COPIES + ", got " + copies);
    }

    public PaperSet withTwoSided(boolean newTwoSided) {
        return new PaperSet(newTwoSided, begins, singleSided, tabs, note, binderSheets, copies);
    }

    public PaperSet withBegins(Beginning newBegins) {
        return new PaperSet(twoSided, newBegins, singleSided, tabs, note, binderSheets, copies);
    }

    public PaperSet withSingleSided(List<EntryId> newSingleSided) {
        return new PaperSet(twoSided, begins, newSingleSided, tabs, note, binderSheets, copies);
    }

    public PaperSet withTabs(Beginning newTabs) {
        return new PaperSet(twoSided, begins, singleSided, newTabs, note, binderSheets, copies);
    }

    public PaperSet withNote(String newNote) {
        return new PaperSet(twoSided, begins, singleSided, tabs, newNote, binderSheets, copies);
    }

    public PaperSet withBinderSheets(int sheets) {
        return new PaperSet(twoSided, begins, singleSided, tabs, note, sheets, copies);
    }

    public PaperSet withCopies(int newCopies) {
        return new PaperSet(twoSided, begins, singleSided, tabs, note, binderSheets, newCopies);
    }
}
