package app.yellowtab.assemble;

import app.yellowtab.model.EntryId;
import app.yellowtab.model.source.SourceId;
import app.yellowtab.plan.Leaf;
import app.yellowtab.plan.Plan;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Leaves that follow each other from one document and one source: they are made ready together. Long ones are cut, so that
 * the memory they take does not grow with the source.
 *
 * @param leaves at least one
 */
record SourceRun(List<Leaf.SourcePage> leaves) {
    private static final int MOST_LEAVES = 400;

    SourceId source() {
        return leaves.getFirst().source();
    }

    EntryId document() {
        return leaves.getFirst().document();
    }

    /** {@return the next run at or after a place in the plan, or null if only leaves of ours follow} */
    static @Nullable SourceRun next(Plan plan, int from) {
        int start = from;
        while (start < plan.pageCount() && !(plan.leaves().get(start) instanceof Leaf.SourcePage)) start++;
        if (start == plan.pageCount()) return null;
        Leaf.SourcePage first = (Leaf.SourcePage) plan.leaves().get(start);
        int end = start + 1;
        while (end < plan.pageCount() && end - start < MOST_LEAVES && plan.leaves().get(end) instanceof Leaf.SourcePage next
                && next.source().equals(first.source()) && next.document().equals(first.document())) end++;
        return new SourceRun(plan.leaves().subList(start, end).stream().map(Leaf.SourcePage.class::cast).toList());
    }
}
