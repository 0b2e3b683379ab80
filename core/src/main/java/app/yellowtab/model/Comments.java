package app.yellowtab.model;

/** What becomes of comments and other marks of reviewers that a source carries. */
public enum Comments {
    /** They stay what they are: a reader can open them. */
    KEPT,
    /** What they show becomes part of the page; their words, pop-ups and authors are left out. */
    FLATTENED,
    /** Nothing of them is in the bundle. */
    DROPPED
}
