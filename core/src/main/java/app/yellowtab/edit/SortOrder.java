package app.yellowtab.edit;

/** By what documents are sorted. */
public enum SortOrder {
    /** The oldest first; a month stands before its days, and what has no date stands last. */
    DATE,
    /** By the alphabet, 2 before 10. */
    TITLE,
    /** By the names of the files that they are made of, 2 before 10; what is made of none stands last. */
    FILE_NAME,
    /** As their files came, each file's pages in their order; what is made of none stands last. */
    AS_CAME
}
