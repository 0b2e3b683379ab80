package app.yellowtab.model.run;

import java.util.ArrayList;
import java.util.List;

/** Runs of pages taken apart and put together; what is said of a page goes with it. */
public final class Runs {
    private Runs() {}

    /**
     * {@return some pages of a run, which keep their names where these are those of a file}
     *
     * @param first counted from 1, in the run
     */
    public static Run part(Run run, int first, int last) {
        if (first == 1 && last == run.pageCount()) return run;
        return switch (run) {
            case SourcePages pages -> pages.part(pages.first() + first - 1, pages.first() + last - 1);
            case BlankPages blank -> new BlankPages(first == 1 ? blank.id() : RunId.fresh(), last - first + 1, blank.look(),
                    blank.counted(), blank.sets());
            case FrontSheet sheet -> sheet;
            case EnclosedFile file -> file;
            case ReservedPages reserved -> new ReservedPages(first == 1 ? reserved.id() : RunId.fresh(), last - first + 1);
        };
    }

    /** {@return the same pages in as few runs as there can be} */
    public static List<Run> merged(List<Run> runs) {
        List<Run> merged = new ArrayList<>();
        for (Run run : runs) {
            if (!merged.isEmpty() && merged.getLast() instanceof SourcePages before && run instanceof SourcePages next
                    && before.isFollowedBy(next))
                merged.set(merged.size() - 1, before.to(next.last()));
            else merged.add(run);
        }
        return merged;
    }
}
