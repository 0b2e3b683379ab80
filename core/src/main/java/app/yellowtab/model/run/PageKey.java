package app.yellowtab.model.run;

import java.util.Objects;

/**
 * Which page this is, for ever: it holds through splitting, moving and looks.
 *
 * @param run  the run that the page came with
 * @param page of a source's pages the page in the source, otherwise the page in the run; counted from 1
 */
public record PageKey(RunId run, int page) {
    public PageKey {
        Objects.requireNonNull(run, "run");
        if (page < 1) throw new IllegalArgumentException("a page must be >= 1, got " + page);
    }
}
