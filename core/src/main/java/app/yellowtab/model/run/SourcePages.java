package app.yellowtab.model.run;

import app.yellowtab.model.page.PageLook;
import app.yellowtab.model.source.SourceId;
import java.util.Objects;

/**
 * Neighbouring pages of one source, in their order.
 *
 * @param source the source they come from
 * @param first  the first of them, counted from 1
 * @param last   the last of them, counted from 1, included
 * @param look   what is done to each of them
 */
public record SourcePages(RunId id, SourceId source, int first, int last, PageLook look) implements Run {
    public SourcePages {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(source, "source");
        Objects.requireNonNull(look, "look");
        if (first < 1) throw new IllegalArgumentException("\"first\" must be >= 1, got " + first);
        if (last < first) throw new IllegalArgumentException("\"last\" must be >= " + first + ", got " + last);
        if (look.equals(PageLook.PLAIN)) look = PageLook.PLAIN;
    }

    /** {@return a new run of pages as they came} */
    public static SourcePages of(SourceId source, int first, int last) {
        return new SourcePages(RunId.fresh(), source, first, last, PageLook.PLAIN);
    }

    @Override
    public int pageCount() {
        return last - first + 1;
    }

    @Override
    public PageKey key(int n) {
        return new PageKey(id, first + n - 1);
    }

    /** {@return some of these pages, which keep their names} */
    public SourcePages part(int newFirst, int newLast) {
        return new SourcePages(id, source, newFirst, newLast, look);
    }

    /** {@return whether other pages of the same run come right after these, and look the same} */
    public boolean isFollowedBy(SourcePages next) {
        return id.equals(next.id) && source.equals(next.source) && last + 1 == next.first && look.equals(next.look);
    }

    /** {@return whether this is the other half of a sheet that was divided in two, and whose first half came right before} */
    public boolean isOtherHalfOf(Run before) {
        return before instanceof SourcePages half && first == last && half.last == first && half.source.equals(source)
                && half.look.crop().isPresent() && look.crop().isPresent();
    }

    /** {@return these pages and those up to another} */
    public SourcePages to(int newLast) {
        return part(first, newLast);
    }

    public SourcePages withLook(PageLook newLook) {
        return new SourcePages(id, source, first, last, newLook);
    }

    @Override
    public SourcePages copy() {
        return new SourcePages(RunId.fresh(), source, first, last, look);
    }
}
