package app.yellowtab.model.run;

import java.util.ArrayList;
import java.util.List;

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

    /** {@return the names for ever of all its pages, in order} */
    default List<PageKey> keys() {
        List<PageKey> keys = new ArrayList<>();
        for (int n = 1; n <= pageCount(); n++) keys.add(key(n));
        return keys;
    }

    /** {@return the same pages once more, under a name of their own} */
    Run copy();
}
