package app.yellowtab.model;

/** What stands between documents. */
public enum Separators {
    /** Nothing. */
    NONE,
    /** A blank page between one document and the next. */
    BLANK,
    /** A page before each document that names it. */
    TITLED
}
