package app.yellowtab.carry.part;

import app.yellowtab.model.page.PageLook;
import app.yellowtab.sets.Way;
import java.util.Optional;

/** Says where pages of a source stand in the file that is written, or in those beside it. */
@FunctionalInterface
public interface Targets {
    /** None of them stands in it. */
    Targets NONE = page -> Optional.empty();

    /**
     * A page in the file, or in one beside it.
     *
     * @param way  that leads to it
     * @param look how it looks there
     */
    record Target(Way way, PageLook look) {}

    /** @param page of the source, counted from 1 */
    Optional<Target> of(int page);
}
