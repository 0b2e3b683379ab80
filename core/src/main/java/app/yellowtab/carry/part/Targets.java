package app.yellowtab.carry.part;

import app.yellowtab.model.page.PageLook;
import java.util.Optional;

/** Says where pages of a source stand in the file that is written. */
@FunctionalInterface
public interface Targets {
    /** None of them stands in it. */
    Targets NONE = page -> Optional.empty();

    /**
     * A page in the file.
     *
     * @param position its place, counted from 1
     * @param look     how it looks there
     */
    record Target(int position, PageLook look) {}

    /** @param page of the source, counted from 1 */
    Optional<Target> of(int page);
}
