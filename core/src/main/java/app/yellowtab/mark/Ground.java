package app.yellowtab.mark;

/** What a mark stands on. */
public enum Ground {
    /** On the page as it is. */
    NONE,
    /** On white, which covers what is there. */
    WHITE,
    /** On white within a thin frame, for pages that are dark there. */
    FRAME
}
