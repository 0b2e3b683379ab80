package app.yellowtab.fetch;

import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.model.entry.EntryId;
import app.yellowtab.model.source.SourceId;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Leaves that follow each other from one document and one source: they are made ready together. Long ones are cut, so that
 * the memory they take does not grow with the source.
 *
 * @param leaves at least one, all of them a source's pages
 */
public record SourceRun(List<Leaf> leaves) {
    private static final int MOST_LEAVES = 400;
    /** Their pictures are in the memory until they are written. */
    private static final int MOST_REDACTED = 12;

    public SourceId source() {
        return page(0).source();
    }

    EntryId document() {
        return page(0).document();
    }

    /** {@return the page that the n-th leaf shows, counted from 0} */
    public Content.SourcePage page(int n) {
        return (Content.SourcePage) leaves.get(n).content();
    }

    /** {@return the next run at or after a place among leaves, or null if only leaves of ours follow} */
    static @Nullable SourceRun next(List<Leaf> leaves, int from) {
        int start = from;
        while (start < leaves.size() && !(leaves.get(start).content() instanceof Content.SourcePage)) start++;
        if (start == leaves.size()) return null;
        Content.SourcePage first = (Content.SourcePage) leaves.get(start).content();
        int end = start + 1;
        int redacted = first.look().redactions().isEmpty() ? 0 : 1;
        while (end < leaves.size() && end - start < MOST_LEAVES && redacted < MOST_REDACTED
                && leaves.get(end).content() instanceof Content.SourcePage next
                && next.source().equals(first.source()) && next.document().equals(first.document())) {
            if (!next.look().redactions().isEmpty()) redacted++;
            end++;
        }
        return new SourceRun(leaves.subList(start, end));
    }
}
