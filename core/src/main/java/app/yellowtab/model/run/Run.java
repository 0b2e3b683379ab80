package app.yellowtab.model.run;

/** Neighbouring pages of a document. */
public sealed interface Run permits SourcePages, BlankPages, ReservedPages, FrontSheet, EnclosedFile {
    RunId id();

    /** {@return how many pages it has; at least 1, but for a file that goes along as it is} */
    int pageCount();

    /**
     * {@return the name for ever of its n-th page}
     *
     * @param n counted from 1
     */
    PageKey key(int n);

    /** {@return the same pages once more, under a name of their own} */
    Run copy();
}
