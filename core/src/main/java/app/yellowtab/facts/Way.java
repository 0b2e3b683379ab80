package app.yellowtab.facts;

/** How a file became pages. */
public enum Way {
    /** It is a PDF. */
    AS_IT_IS,
    /** Set by this program. */
    BUILT_IN,
    /** Set by an office suite that is installed. */
    OFFICE_SUITE,
    /** It has no pages that can be had; a page that names it stands for it. */
    SLIP
}
