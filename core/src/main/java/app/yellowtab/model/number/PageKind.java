package app.yellowtab.model.number;

/** Kinds of page that marks can be kept off. */
public enum PageKind {
    COVER, INDEX,
    /** Pages that open a section or name the document after them, and front sheets of exhibits. */
    TITLES, BLANKS,
    /** Pages that stand for others, or for files. */
    PLACEHOLDERS
}
