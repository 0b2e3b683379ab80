package app.yellowtab.model;

/**
 * How files that are no PDF are read, and dates that are only figures.
 *
 * @param monthFirst   whether 4/3/2031 is the third of April
 * @param showChanges  whether tracked changes are marked, instead of accepted
 * @param showComments whether comments on words stand in the text, instead of being left out
 */
public record Reading(boolean monthFirst, boolean showChanges, boolean showComments) {
    /** The day first; changes accepted; no comments. */
    public static final Reading STANDARD = new Reading(false, false, false);
}
